import { expect } from 'chai';
import { fitCurve } from '@gonimos/core/stats';

/** R's `Orange` (Draper & Smith 1998, exercise 24.N): age in days, circumference in mm of five trees; from memory. */
const ORANGE_AGES = [118, 484, 664, 1004, 1231, 1372, 1582];
const ORANGE = [
  [30, 58, 87, 115, 120, 142, 145],
  [33, 69, 111, 156, 172, 203, 203],
  [30, 51, 75, 108, 115, 139, 140],
  [32, 62, 112, 167, 179, 209, 214],
  [30, 49, 81, 125, 142, 174, 177],
];
/** R's `Loblolly` (Kung 1986), seed source 329: age in years, height in feet; from memory. */
const LOBLOLLY_AGES = [3, 5, 10, 15, 20, 25];
const SOURCE_329 = [3.93, 9.34, 26.08, 37.79, 48.31, 56.43];

describe('growth curves', () => {
  it('logistic: R’s Orange, all trees together (nls with SSlogis: 192.69 ± 20.24, 728.76 ± 107.29, 353.53 ± 81.47)', () => {
    const fit = fitCurve(
      'logistic',
      ORANGE.flatMap(() => ORANGE_AGES),
      ORANGE.flat(),
    )!;
    const [asym, mid, scale] = fit.parameters;
    expect([asym.name, mid.name, scale.name]).to.deep.equal(['Asym', 'xmid', 'scal']);
    expect(asym.value).to.be.closeTo(192.69, 0.01);
    expect(asym.se).to.be.closeTo(20.24, 0.01);
    expect(mid.value).to.be.closeTo(728.76, 0.01);
    expect(mid.se).to.be.closeTo(107.29, 0.02);
    expect(scale.value).to.be.closeTo(353.53, 0.01);
    expect(scale.se).to.be.closeTo(81.47, 0.02);
    expect(fit.sigma).to.be.closeTo(23.37, 0.01);
  });

  it('asymptotic: R’s Loblolly, source 329 (help page of SSasymp: 94.1282, −8.2508, −3.2176)', () => {
    const fit = fitCurve('asymptotic', LOBLOLLY_AGES, SOURCE_329)!;
    const [asym, r0, lrc] = fit.parameters.map((p) => p.value);
    expect(asym).to.be.closeTo(94.1282, 0.001);
    expect(r0).to.be.closeTo(-8.2508, 0.001);
    expect(lrc).to.be.closeTo(-3.2176, 0.0005);
  });

  it('gives none for too few dates, or points that bear no such curve', () => {
    expect(fitCurve('logistic', [1, 2, 3, 4], [1, 2, 3, 4])).to.equal(null);
    expect(fitCurve('logistic', [1, 1, 2, 2, 2], [5, 6, 7, 8, 9])).to.equal(null);
    expect(fitCurve('asymptotic', [1, 2, 3, 4, 5], [7, 7, 7, 7, 7])).to.equal(null);
  });
});
