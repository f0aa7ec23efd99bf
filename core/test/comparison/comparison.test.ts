import { expect } from 'chai';
import {
  alsoDiffers,
  difference,
  groupRates,
  sentence,
  type GroupRate,
  type Unit,
} from '@gonimos/core/comparison';
import { random } from '@gonimos/core/random';
import { sharedMasses, wilson } from '@gonimos/core/stats';

const unit = (group: string, k: number, n: number, traits: Record<string, string> = {}): Unit => ({
  group,
  k,
  n,
  traits,
});
const alone = (group: string, k: number, n: number): GroupRate => ({
  group,
  k,
  n,
  units: n,
  effective: n,
  share: wilson(k, n)!,
});

describe('years, methods and lots compared', () => {
  it('difference of two shares: Newcombe 1998, method 10, his example a: 56/70 less 48/80 is 0.0524 to 0.3339', () => {
    const d = difference(alone('A', 56, 70), alone('B', 48, 80));
    expect([d.by, d.low, d.high].map((x) => Math.round(x * 1e4) / 1e4)).to.deep.equal([0.2, 0.0524, 0.3339]);
    expect(d.verdict).to.equal('more');
    // example c of the same paper: 9/10 less 3/10 is 0.1705 to 0.8090
    const c = difference(alone('A', 9, 10), alone('B', 3, 10));
    expect([c.low, c.high].map((x) => Math.round(x * 1e4) / 1e4)).to.deep.equal([0.1705, 0.809]);
  });

  it('trays are respected: two trays are two lots of luck, not 200 seeds', () => {
    const { groups, rho, estimated } = groupRates([
      unit('2036', 70, 100),
      unit('2036', 74, 100),
      unit('2037', 52, 100),
    ]);
    expect([rho, estimated]).to.deep.equal([0.1, false]);
    // 100 of one tray at ρ 0.1 are worth 100/10.9 plants
    expect(groups.map((g) => Math.round(g.effective * 100) / 100)).to.deep.equal([18.35, 9.17]);
    const naive = wilson(144, 200)!;
    expect(groups[0].share.high - groups[0].share.low).to.be.above(2 * (naive.high - naive.low));
    expect(groups[0].share.value).to.be.closeTo(0.72, 1e-9);
    expect(difference(groups[0], groups[1]).verdict).to.equal('cannot tell');
    expect(groupRates([]).groups).to.deep.equal([]);
  });

  it('holds what it promises: the truth lies in 95 % intervals about that often, and naive ones miss it', () => {
    const rng = random(29);
    const masses = sharedMasses(60, { mean: 0.65, rho: 0.1 });
    const tray = () => {
      let k = 0;
      let u = rng.next();
      while (k < 60 && (u -= masses[k]) > 0) k++;
      return unit('year', k, 60);
    };
    let held = 0;
    let naively = 0;
    const runs = 600;
    for (let i = 0; i < runs; i++) {
      const trays = [tray(), tray(), tray(), tray()];
      const [g] = groupRates(trays).groups;
      const w = wilson(g.k, g.n)!;
      if (g.share.low <= 0.65 && 0.65 <= g.share.high) held++;
      if (w.low <= 0.65 && 0.65 <= w.high) naively++;
    }
    console.log(
      `      held in ${Math.round((held / runs) * 100)} %, counted seed by seed in ${Math.round((naively / runs) * 100)} %`,
    );
    expect(held / runs).to.be.within(0.9, 0.99);
    expect(naively / runs).to.be.below(0.65);
  });

  it('says it in one plain sentence, with what else differed and no cause', () => {
    const units = [
      ...[71, 75, 70, 73].map((k) => unit('2036', k, 100, { lot: 'hedge 2035', place: 'Cold frame' })),
      ...[31, 35, 28, 30].map((k) => unit('2035', k, 100, { lot: 'hedge 2034', place: 'Cold frame' })),
    ];
    const [a, b] = groupRates(units).groups.toReversed();
    const differs = alsoDiffers(units, '2036', '2035');
    expect(differs).to.deep.equal(['lot']);
    const said = sentence(difference(a, b), 'up', differs);
    expect(said).to.match(
      /^2036: 72 % up \(289 of 400\); 2035: 31 % \(124 of 400\)\. That is more than trays differ by chance, by between \d+ and \d+ points\. It does not say why: lot differed too\.$/,
    );
    expect(sentence(difference(b, a), 'up', [])).to.match(
      /That is fewer than trays differ by chance, by between (\d+) and (\d+) points\. It does not say why\.$/,
    );
    const near = groupRates([unit('A', 50, 100), unit('B', 54, 100)]).groups;
    expect(sentence(difference(near[0], near[1]), 'rooted', [])).to.match(
      /no more than trays differ by chance/,
    );
  });
});
