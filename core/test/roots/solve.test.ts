import { expect } from 'chai';
import { ACTIONS, choicesOf, compareScores, crossingsOf, scoreOf, solve } from '../../src/roots/index.ts';
import type { Choice, RootRecord, Score, Terms } from '../../src/roots/index.ts';
import { randomRecord } from './random-record.ts';

const TERMS: Terms = { school: 'flat', ring: 5, room: null };

/** The best of every combination of choices that keeps within the limit, in the same units of fibre. */
function exhaustive(record: RootRecord, terms: Terms, limit: number): Score | null {
  const choices = choicesOf(record, terms);
  const crossings = crossingsOf(record);
  let best: Score | null = null;
  const pick: Choice[] = [];
  const go = (i: number, cost: number): void => {
    if (cost > limit * 1000 + 1e-6) return;
    if (i === choices.length) {
      const score = scoreOf(pick, record, crossings);
      if (!best || compareScores(score, best) > 0) best = score;
      return;
    }
    for (const c of choices[i]) {
      pick[i] = c;
      go(i + 1, cost + c.cost);
    }
  };
  go(0, 0);
  return best;
}

function sameAsExhaustive(record: RootRecord, terms: Terms, limit: number, what: string): void {
  const best = exhaustive(record, terms, limit);
  const solved = solve(record, terms, limit);
  expect(solved === null, what).to.equal(best === null);
  if (!solved || !best) return;
  expect(solved.score.strangling, `${what}: strangling`).to.equal(best.strangling);
  expect(solved.score.crossing, `${what}: crossing`).to.equal(best.crossing);
  expect(solved.score.points, `${what}: points`).to.be.closeTo(best.points, 1e-6);
  expect(solved.cost, `${what}: over the limit`).to.be.at.most(Math.floor(limit * 1000 + 1e-9));
}

describe('plan of cuts: the solver', () => {
  it('equals exhaustive search on 240 records of up to five roots with every action', () => {
    const seen = new Set<string>();
    for (let seed = 1; seed <= 240; seed++) {
      const record = randomRecord(seed, 1 + (seed % 5), seed % 5 >= 1 && seed % 3 === 0 ? 1 : 0);
      const limit = [0, 0.15, 0.4, 0.8][seed % 4];
      sameAsExhaustive(record, TERMS, limit, `seed ${seed}`);
      for (const c of solve(record, TERMS, limit)?.choices ?? []) seen.add(c.action);
    }
    // no action that is never the best
    expect([...seen]).to.have.members([...ACTIONS]);
  });

  it('equals exhaustive search on 32 records of nine to twelve roots kept or removed, and 32 of six to eight shortened too', function () {
    this.timeout(60_000);
    const terms: Terms = { ...TERMS, only: ['keep', 'remove'] };
    for (let seed = 1; seed <= 32; seed++)
      sameAsExhaustive(
        randomRecord(500 + seed, 9 + (seed % 4)),
        terms,
        0.2 + 0.1 * (seed % 5),
        `seed ${seed}`,
      );
    const three: Terms = { ...TERMS, only: ['keep', 'shorten', 'remove'] };
    for (let seed = 1; seed <= 32; seed++) {
      const record = randomRecord(700 + seed, 6 + (seed % 3));
      sameAsExhaustive(record, three, 0.2 + 0.1 * (seed % 5), `three, seed ${seed}`);
    }
  });

  it('equals exhaustive search where the front was decided, on 60 records', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const record = randomRecord(300 + seed, 2 + (seed % 4));
      const terms: Terms = { ...TERMS, front: (seed * 37) % 360 };
      sameAsExhaustive(record, terms, [0.15, 0.4, 0.8][seed % 3], `front, seed ${seed}`);
    }
  });

  it('never takes more than the limit, and a higher limit never lowers the score', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const record = randomRecord(900 + seed, 3 + (seed % 10), seed % 2);
      let before: Score | null = null;
      for (let limit = 0; limit <= 1.001; limit += 0.1) {
        const solved = solve(record, TERMS, limit)!;
        expect(solved.cost).to.be.at.most(Math.floor(limit * 1000 + 1e-9));
        if (before) expect(compareScores(solved.score, before)).to.be.at.least(0);
        before = solved.score;
      }
    }
  });

  it('solves around what the grower has decided, and says so when that alone is too much', () => {
    const record = randomRecord(7, 6);
    const free = solve(record, TERMS, 0.6)!;
    const wish = free.choices.map((c) => (c.action === 'keep' ? 'remove' : 'keep'));
    const overruled = { r0: { action: wish[0] } } as const;
    const solved = solve(record, { ...TERMS, overruled }, 0.9)!;
    expect(solved.choices[0].action).to.be.oneOf([wish[0], 'trim']);
    const all = Object.fromEntries(record.roots.map((r) => [r.id, { action: 'remove' as const }]));
    expect(solve(record, { ...TERMS, overruled: all }, 0.3)).to.equal(null);
  });

  it('30 roots in the time a drag may wait, with four that cross in a moment; with more it is not called proved', function () {
    this.timeout(60_000);
    const timed = (record: RootRecord) => {
      const from = performance.now();
      const solved = solve(record, TERMS, 0.5)!;
      return { ms: performance.now() - from, solved };
    };
    // a worker has solved before a root is dragged
    timed(randomRecord(1, 30));
    const plain = Array.from({ length: 9 }, (_, k) => {
      const record = randomRecord(40 + k, 30);
      const sound = { ...record, roots: record.roots.map((r) => ({ ...r, faults: [] })) };
      return timed(sound).ms;
    }).sort((a, b) => a - b);
    console.log(`      30 roots: median ${plain[4].toFixed(0)} ms, slowest ${plain[8].toFixed(0)} ms`);
    expect(plain[4]).to.be.below(200);
    // the bound is 200 ms each in a worker of its own; here other tests run on the same two cores
    expect(plain[8]).to.be.below(400);
    let four: RootRecord | null = null;
    for (let seed = 1; !four; seed++) {
      // short roots, so that none but the four pairs meet
      const record = randomRecord(seed, 30, 4);
      const short = record.roots.map((r, i) =>
        i < 8 ? r : { ...r, faults: [], path: [{ azimuth: r.azimuth, out: record.trunk * 0.75 }] },
      );
      const made = { ...record, roots: short };
      if (crossingsOf(made).length === 4) four = made;
    }
    const crossed = timed(four);
    console.log(`      30 roots, four pairs crossing: ${crossed.ms.toFixed(0)} ms`);
    expect(crossed.ms).to.be.below(1500);
    expect(crossed.solved.proved).to.equal(true);
    expect(timed(randomRecord(3, 30, 4)).solved.proved).to.equal(false);
  });
});
