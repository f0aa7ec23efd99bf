import { expect } from 'chai';
import fc from 'fast-check';
import { goalState, stageEstimate, throughAll } from '@gonimos/core/starts';
import { cp } from '@gonimos/core/params';
import type { Shared } from '@gonimos/core/stats';

/**
 * Beta-binomial masses from the definition by rising products, Johnson, Kemp & Kotz, Univariate Discrete
 * Distributions (3rd ed., ch. 6, from memory): C(n,k) · a(a+1)…(a+k−1) · b(b+1)…(b+n−k−1) / (a+b)…(a+b+n−1).
 * Slow, and nothing of the code under test in it.
 */
function masses(n: number, { mean, rho }: Shared): number[] {
  const size = 1 / rho - 1;
  const a = mean * size;
  const b = (1 - mean) * size;
  const rise = (x: number, k: number) =>
    Array.from({ length: k }, (_, i) => x + i).reduce((p, v) => p * v, 1);
  const choose = (k: number) => rise(n - k + 1, k) / rise(1, k);
  return Array.from({ length: n + 1 }, (_, k) => (choose(k) * rise(a, k) * rise(b, n - k)) / rise(a + b, n));
}

/** Chance that all batches together give `wanted`, by going through every way they can fall. */
function together(wanted: number, batches: readonly { count: number; share: Shared }[]): number {
  const [first, ...rest] = batches;
  if (!first) return wanted <= 0 ? 1 : 0;
  return masses(first.count, first.share).reduce((sum, m, k) => sum + m * together(wanted - k, rest), 0);
}

const share = fc.record({
  mean: fc.double({ min: 0.15, max: 0.9, noNaN: true }),
  rho: fc.double({ min: 0.02, max: 0.4, noNaN: true }),
});
const batch = fc.record({ count: fc.integer({ min: 1, max: 12 }), share });

describe('a goal and the batches under way towards it', () => {
  it('property: the chance is that of every way the batches can fall, gone through one by one', () => {
    fc.assert(
      fc.property(
        fc.array(batch, { maxLength: 3 }),
        fc.integer({ min: 1, max: 14 }),
        share,
        (under, wanted, next) => {
          const g = goalState(wanted, 0.8, under, next, 200);
          const exact = together(wanted, under);
          expect(g.chance).to.be.closeTo(exact, 1e-9);
          if (Math.abs(exact - 0.8) > 1e-9) expect(g.met).to.equal(exact > 0.8);
          // the mean of a sum is the sum of the means, whatever plants of a batch share
          expect(g.expected).to.equal(Math.round(under.reduce((s, b) => s + b.count * b.share.mean, 0)));
          expect(g.low).to.be.at.most(g.high);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('property: what is still asked for is the smallest that does it', () => {
    fc.assert(
      fc.property(
        fc.array(batch, { maxLength: 2 }),
        fc.integer({ min: 1, max: 8 }),
        share,
        fc.double({ min: 0.5, max: 0.8, noNaN: true }),
        (under, wanted, next, confidence) => {
          const g = goalState(wanted, confidence, under, next, 24);
          const withMore = (n: number) => together(wanted, [...under, { count: n, share: next }]);
          if (g.met) {
            expect(g.more).to.equal(null);
          } else if (g.more === null) {
            expect(withMore(24)).to.be.below(confidence + 1e-9);
          } else {
            expect(withMore(g.more)).to.be.at.least(confidence - 1e-9);
            if (g.more > 1) expect(withMore(g.more - 1)).to.be.below(confidence + 1e-9);
          }
        },
      ),
      { numRuns: 120 },
    );
  });

  it('property: one more batch never lessens the chance, nor the number still expected', () => {
    fc.assert(
      fc.property(fc.array(batch, { maxLength: 3 }), batch, share, (under, more, next) => {
        const [was, now] = [under, [...under, more]].map((u) => goalState(10, 0.9, u, next, 100));
        expect(now.chance).to.be.at.least(was.chance - 1e-12);
        expect(now.expected).to.be.at.least(was.expected);
        if (was.met) expect(now.met).to.equal(true);
      }),
      { numRuns: 200 },
    );
  });
});

describe('what one has lived through', () => {
  const lived = fc.array(
    fc
      .integer({ min: 1, max: 300 })
      .chain((n) => fc.record({ n: fc.constant(n), k: fc.integer({ min: 0, max: n }) })),
    { maxLength: 12 },
  );

  it('property: the share lies between the library’s and one’s own; more of one’s own pulls it there', () => {
    fc.assert(
      fc.property(lived, fc.double({ min: 0.1, max: 0.95, noNaN: true }), (batches, library) => {
        const e = stageEstimate('showing', cp(library, 'share'), batches);
        expect(e.rho).to.be.within(0, 1);
        expect(e.batches).to.equal(batches.length);
        if (batches.length === 0) return void expect(e.mean).to.be.closeTo(library, 1e-12);
        const shares = batches.map((b) => b.k / b.n);
        expect(e.mean).to.be.within(Math.min(library, ...shares) - 1e-9, Math.max(library, ...shares) + 1e-9);
        // the same batches over again weigh more against the library's word
        const own = batches.reduce((s, b) => s + b.k, 0) / batches.reduce((s, b) => s + b.n, 0);
        if (batches.some((b) => b.n !== batches[0].n)) return;
        const often = stageEstimate('showing', cp(library, 'share'), [
          ...batches,
          ...batches,
          ...batches,
          ...batches,
        ]);
        // enough batches to tell how much they differ may well lessen the trust in each
        if (often.ownRho !== e.ownRho) return;
        expect(Math.abs(often.mean - own)).to.be.at.most(Math.abs(e.mean - own) + 1e-9);
      }),
      { numRuns: 400 },
    );
  });

  it('property: through all stages no more come than through the worst, and doubt only grows', () => {
    fc.assert(
      fc.property(fc.array(share, { minLength: 1, maxLength: 5 }), (stages) => {
        const all = throughAll(stages);
        const product = stages.reduce((p, s) => p * s.mean, 1);
        expect(all.mean).to.be.closeTo(product, 1e-9);
        expect(all.mean).to.be.at.most(Math.min(...stages.map((s) => s.mean)) + 1e-9);
        expect(all.rho).to.be.within(0, 1);
        // variance of a product of independent shares: Goodman 1960, J. Am. Stat. Assoc. 55:708–713
        const second = stages.reduce((p, s) => p * (s.mean ** 2 + s.rho * s.mean * (1 - s.mean)), 1);
        const variance = second - product ** 2;
        expect(all.rho * all.mean * (1 - all.mean)).to.be.closeTo(variance, 1e-9);
      }),
      { numRuns: 300 },
    );
  });
});
