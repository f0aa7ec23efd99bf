import { expect } from 'chai';
import {
  Leveller,
  loadOf,
  OVERLOAD_COST,
  overloadOf,
  shortfalls,
  type YearProblem,
} from '@gonimos/core/year';
import { randomYear } from './random-year.ts';

/** Every way to give the steps weeks, by brute force and from the definition alone. */
function exhaustive(p: YearProblem, canSplit: (i: number) => boolean): number {
  let best = Infinity;
  const at: { week: number; split: boolean }[] = [];
  const orders = p.steps.map((s, i) =>
    s.after
      .map((a) => ({ j: p.steps.findIndex((x) => x.id === a.id), lag: a.weeks }))
      .filter(({ j }) => j < i),
  );
  const cost = () => {
    const all = Array(p.weeks).fill(0);
    const skilled = Array(p.weeks).fill(0);
    let away = 0;
    p.steps.forEach((s, i) => {
      const { week, split } = at[i];
      away += s.priority * (week + (split ? 0.5 : 0) - s.ideal) ** 2;
      const parts = split
        ? [
            [week, s.minutes / 2],
            [week + 1, s.minutes / 2],
          ]
        : [[week, s.minutes]];
      for (const [w, m] of parts) {
        all[w] += m;
        if (s.skilled) skilled[w] += m;
      }
      for (const t of s.trail) if (week + t.weeks < p.weeks) all[week + t.weeks] += t.minutes;
    });
    return (
      away +
      OVERLOAD_COST *
        all.reduce((n, a, w) => n + overloadOf(a, skilled[w], p.capacity.all[w], p.capacity.skilled[w]), 0)
    );
  };
  const go = (i: number): void => {
    if (i === p.steps.length) {
      best = Math.min(best, cost());
      return;
    }
    for (let week = p.steps[i].from; week <= p.steps[i].to; week++)
      for (const split of canSplit(i) && week < p.steps[i].to ? [false, true] : [false]) {
        if (orders[i].some(({ j, lag }) => week < at[j].week + (at[j].split ? 1 : 0) + lag)) continue;
        at[i] = { week, split };
        go(i + 1);
      }
  };
  go(0);
  return best;
}

describe('year: levelling', () => {
  it('equals exhaustive search on 30 small random years, and no bound is above it', () => {
    let looked = 0;
    for (let seed = 1; looked < 30; seed++) {
      const p = randomYear(seed, 6, 6, 0.9);
      const l = new Leveller(p, seed);
      const plan = l.first();
      if (plan.outOfOrder.length > 0) continue;
      looked++;
      const found = l.improve(20_000);
      l.prove(200);
      const week = p.capacity.all[0];
      const truth = exhaustive(p, (i) => p.steps[i].minutes > 0.25 * week && p.steps[i].to > p.steps[i].from);
      expect(found.cost, `seed ${seed}`).to.be.closeTo(truth, 1e-6);
      expect(l.bound, `bound ${seed}`).to.be.at.most(truth + 1e-6);
    }
  });

  it('comes within two per cent of its proven bound on a year of 600 steps, and says what will not fit', () => {
    const p = randomYear(9, 600, 52, 0.92);
    const l = new Leveller(p);
    const first = l.first();
    const plan = l.improve(400_000);
    l.prove(400);
    const gap = (plan.cost - l.bound) / plan.cost;
    const planned = p.steps.reduce((n, s) => n + s.minutes, 0);
    console.log(
      `      first ${first.cost.toFixed(0)}, then ${plan.cost.toFixed(0)}, bound ${l.bound.toFixed(0)}: ${(gap * 100).toFixed(2)} %, overload ${plan.overload} of ${planned} min`,
    );
    expect(plan.overload / planned, 'of what is planned does not fit').to.be.below(0.001);
    const steps = new Map(p.steps.map((s) => [s.id, s]));
    for (const x of plan.placed) {
      const s = steps.get(x.id)!;
      expect(x.week).to.be.within(s.from, s.to);
      if (!plan.outOfOrder.includes(x.id))
        for (const a of s.after) {
          const before = plan.placed.find((y) => y.id === a.id)!;
          expect(x.week).to.be.at.least(before.week + (before.split ? 1 : 0) + a.weeks);
        }
    }
    const over = plan.load.filter((w) => w.over >= 1).length;
    expect(shortfalls(p, plan).length > 0, `${over} weeks overfull`).to.equal(over > 0);
  });

  it('property: a plan’s loads are those of its weeks, its cost is never below the bound, more search is no worse', () => {
    for (let seed = 40; seed < 60; seed++) {
      const p = randomYear(seed, 50, 14, 0.85 + (seed % 5) * 0.1);
      const l = new Leveller(p, seed);
      const first = l.first();
      const plan = l.improve(8000);
      const split = new Set(plan.placed.filter((x) => x.split).map((x) => x.id));
      const load = loadOf(p, new Map(plan.placed.map((x) => [x.id, x.week])), split);
      load.forEach((w, i) => {
        expect(w.all, `seed ${seed} week ${i}`).to.be.closeTo(plan.load[i].all, 1);
        expect(w.skilled).to.be.closeTo(plan.load[i].skilled, 1);
      });
      // the objective from its definition: ten a minute too many, and the distance from the ideal weeks
      const away = plan.placed.reduce((n, x, i) => {
        const s = p.steps[i];
        return n + s.priority * (x.week + (x.split ? 0.5 : 0) - s.ideal) ** 2;
      }, 0);
      const over = load.reduce((n, w) => n + w.over, 0);
      expect(plan.cost).to.be.closeTo(away + OVERLOAD_COST * over, 1e-3);
      expect(plan.cost).to.be.at.most(first.cost + 1e-6);
      expect(l.prove(60)).to.be.at.most(plan.cost + 1e-6);
      const spare = load.every((w, i) => w.all <= p.capacity.all[i] && w.skilled <= p.capacity.skilled[i]);
      expect(shortfalls(p, plan).length === 0).to.equal(spare || over < 1);
    }
  });

  it('an empty year costs nothing, a step too many is told with the window it loses', () => {
    const none: YearProblem = {
      weeks: 4,
      capacity: { all: [60, 60, 60, 60], skilled: [0, 0, 0, 0] },
      hands: [1, 1, 1, 1],
      steps: [],
    };
    expect(new Leveller(none).first()).to.include({ cost: 0, overload: 0 });
    const one = {
      id: 'a',
      minutes: 90,
      skilled: false,
      crew: 1,
      from: 1,
      to: 1,
      ideal: 1,
      priority: 1,
      after: [],
      trail: [],
      locked: null,
    };
    const plan = new Leveller({ ...none, steps: [one] }).first();
    expect(plan.overload).to.equal(30);
    expect(shortfalls({ ...none, steps: [one] }, plan)).to.deep.equal([
      { id: 'a', week: 1, minutes: 90, windowLost: true, crewShort: false },
    ]);
    const wide = { ...one, to: 3, minutes: 50 };
    const two = { ...none, steps: [wide, { ...wide, id: 'b' }] };
    expect(new Leveller(two).first().overload, 'two fit into two weeks').to.equal(0);
    const skilled = { ...none, steps: [{ ...one, minutes: 30, skilled: true }] };
    expect(new Leveller(skilled).first().overload, 'nobody with practice').to.equal(30);
  });

  it('keeps locked steps where they are, and tells of a crew that is not there', () => {
    const p = randomYear(4, 40, 12, 0.8);
    p.steps[3].locked = p.steps[3].to;
    p.steps[5].crew = 4;
    p.steps[5].after = [];
    const plan = new Leveller(p).first();
    expect(plan.placed[3].week).to.equal(p.steps[3].to);
    expect(
      shortfalls(p, plan)
        .filter((x) => x.crewShort)
        .map((x) => x.id),
    ).to.deep.equal(['s5']);
    expect(() => {
      p.steps[0].after = [{ id: 's1', weeks: 0 }];
      p.steps[1].after = [{ id: 's0', weeks: 0 }];
      return new Leveller(p);
    }).to.throw(RangeError, /circle/);
  });
});
