import { expect } from 'chai';
import fc from 'fast-check';
// a statistics library of its own; used by tests alone
import jstat from 'jstat';
import { random } from '@gonimos/core/random';
import {
  betaBinomialAtLeast,
  betaOf,
  binomialAtLeast,
  fisherExact,
  logGamma,
  sharedMasses,
  sharedQuantile,
  smallestCount,
  withinCorrelation,
} from '@gonimos/core/stats';

describe('chances of counts', () => {
  it('logarithm of the gamma function: factorials and Γ(1/2) = √π', () => {
    let factorial = 1;
    for (let n = 1; n <= 20; n++) {
      factorial *= n;
      expect(logGamma(n + 1)).to.be.closeTo(Math.log(factorial), 1e-9 * Math.max(1, Math.log(factorial)));
    }
    expect(logGamma(0.5)).to.be.closeTo(Math.log(Math.sqrt(Math.PI)), 1e-9);
  });

  it('binomial: equals the exact sum in whole numbers, and the jStat library', () => {
    const choose = (n: number, k: number): bigint => {
      let c = 1n;
      for (let i = 1; i <= k; i++) c = (c * BigInt(n - k + i)) / BigInt(i);
      return c;
    };
    // p = 2/5 so that every term is a whole number over 5ⁿ
    for (const [n, least] of [
      [10, 4],
      [37, 20],
      [92, 40],
      [140, 66],
    ]) {
      let sum = 0n;
      for (let k = least; k <= n; k++) sum += choose(n, k) * 2n ** BigInt(k) * 3n ** BigInt(n - k);
      const exact = Number((sum * 10n ** 18n) / 5n ** BigInt(n)) / 1e18;
      expect(binomialAtLeast(least, n, 0.4)).to.be.closeTo(exact, 1e-12);
      expect(binomialAtLeast(least, n, 0.4)).to.be.closeTo(1 - jstat.binomial.cdf(least - 1, n, 0.4), 1e-9);
    }
    expect(binomialAtLeast(0, 5, 0.3)).to.equal(1);
    expect(binomialAtLeast(6, 5, 0.3)).to.equal(0);
    expect(() => binomialAtLeast(1.5, 5, 0.3)).to.throw(RangeError);
  });

  it('inverse binomial: the count jStat finds by trying one after another', () => {
    for (const [want, p, c] of [
      [40, 0.5, 0.9],
      [12, 0.6, 0.95],
      [5, 0.22, 0.8],
      [60, 0.85, 0.99],
    ]) {
      let n = want;
      while (1 - jstat.binomial.cdf(want - 1, n, p) < c) n++;
      expect(smallestCount(want, 2000, c, (x) => binomialAtLeast(want, x, p))).to.equal(n);
    }
  });

  it('beta-binomial: masses sum to one, mean and variance as in the book, and as simulated', () => {
    // variance n·p·q·(1 + (n − 1)ρ): Williams 1975, Biometrics 31:949–952 (from memory)
    for (const [n, mean, rho] of [
      [30, 0.5, 0.1],
      [105, 0.7, 0.3],
      [200, 0.12, 0.05],
      [60, 0.97, 0.5],
    ]) {
      const masses = [...sharedMasses(n, { mean, rho })];
      const sum = (f: (k: number) => number) => masses.reduce((s, m, k) => s + m * f(k), 0);
      expect(sum(() => 1)).to.be.closeTo(1, 1e-12);
      expect(sum((k) => k)).to.be.closeTo(n * mean, 1e-7 * n);
      expect(sum((k) => (k - n * mean) ** 2)).to.be.closeTo(
        n * mean * (1 - mean) * (1 + (n - 1) * rho),
        1e-5 * n,
      );
    }
    const rng = random(41);
    const gamma = (shape: number) => {
      // Marsaglia & Tsang 2000, shapes of one and more
      const d = shape - 1 / 3;
      for (;;) {
        const x = rng.normal();
        const v = (1 + x / Math.sqrt(9 * d)) ** 3;
        if (v > 0 && Math.log(rng.next()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
      }
    };
    const [a, b] = betaOf({ mean: 0.5, rho: 0.1 });
    const runs = 20_000;
    const n = 140;
    let reached = 0;
    for (let i = 0; i < runs; i++) {
      const x = gamma(a);
      const y = gamma(b);
      const p = x / (x + y);
      let k = 0;
      for (let j = 0; j < n; j++) if (rng.next() < p) k++;
      if (k >= 40) reached++;
    }
    expect(betaBinomialAtLeast(40, n, { mean: 0.5, rho: 0.1 })).to.be.closeTo(reached / runs, 0.008);
  });

  it('quantile: the smallest count that reaches the share', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 150 }),
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (n, mean, rho, q) => {
          const k = sharedQuantile(q, n, { mean, rho });
          expect(1 - betaBinomialAtLeast(k + 1, n, { mean, rho })).to.be.at.least(q - 1e-9);
          if (k > 0) expect(1 - betaBinomialAtLeast(k, n, { mean, rho })).to.be.below(q + 1e-9);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('Fisher’s exact test: the tea tasting (Fisher 1935) and the twins of convicts (Fisher 1962), as R prints them', () => {
    expect(fisherExact(3, 1, 1, 3)).to.be.closeTo(0.4857, 5e-5);
    expect(fisherExact(2, 15, 10, 3)).to.be.closeTo(0.0005367, 5e-8);
    expect(fisherExact(0, 0, 3, 4)).to.equal(1);
    expect(() => fisherExact(1, -1, 2, 2)).to.throw(RangeError);
  });

  it('correlation within trays: none when all are alike, found again when it was put in', () => {
    const same = Array.from({ length: 8 }, () => ({ k: 30, n: 60 }));
    expect(withinCorrelation(same)).to.equal(0);
    expect(withinCorrelation([{ k: 3, n: 10 }])).to.equal(null);
    const rng = random(7);
    for (const rho of [0.05, 0.2]) {
      const masses = sharedMasses(60, { mean: 0.6, rho });
      const trays = Array.from({ length: 600 }, () => {
        let k = 0;
        let u = rng.next();
        while (k < 60 && (u -= masses[k]) > 0) k++;
        return { k, n: 60 };
      });
      expect(withinCorrelation(trays)).to.be.closeTo(rho, 0.03);
    }
  });
});
