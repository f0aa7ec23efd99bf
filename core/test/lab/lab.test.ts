import { expect } from 'chai';
import {
  forecast,
  HEIGHTS,
  LabPlant,
  luckOf,
  MEDIAN_LUCK,
  runCourse,
  type LabAct,
  type LabStart,
} from '@gonimos/core/lab';
import { random } from '@gonimos/core/random';
import { FREE_RING, taxon, toleranceOf } from '@gonimos/core/taxa';
import type { Wall } from '@gonimos/core/containers';
import { plantOf } from './plant.ts';

const kind = (id: string) => ({ ring: FREE_RING[taxon(id).pace].value, tolerance: toleranceOf(taxon(id)) });
const plant = (more: Partial<LabStart> = {}): LabStart =>
  plantOf('acer-campestre', { year: 1, caliper: 3, litres: 0.25, wall: 'air-pruning', ...more });
const move = (year: number, litres: number | null, wall: Wall, rootCut = 0): LabAct => ({
  year,
  do: 'move',
  litres,
  wall,
  rootCut,
  name: '',
});
const course = (acts: LabAct[]) => ({ id: 'x', name: 'x', acts });
const last = (start: LabStart, acts: LabAct[], years: number) =>
  runCourse(start, course(acts), years).at(-1)!;

/** Litres by year of the reference pot schedule. */
const POTS = [0.25, 1, 3, 3, 7, 7, 15, 15, 25, 25];
const potted = (wall: Wall) => POTS.map((l, i) => move(i + 1, l, wall));
const PINCHED = (years: number): LabAct[] =>
  Array.from({ length: years }, (_, i) => ({ year: i + 1, do: 'prune', share: 0.6 }));

/** Light yearly cut-back of what stands in the ground. */
const CUT_BACK = Array.from({ length: 12 }, (_, i): LabAct => ({ year: i + 1, do: 'prune', share: 0.3 }));

// Ranges of the trade, which the parameters were fitted to: regression guards and estimates, not outside checks.
describe('trunk lab: ranges it was fitted to (guards, estimates)', () => {
  it('ten years in pots, years in the ground, a display pot, an elm, a pine', () => {
    const air = last(plant(), potted('air-pruning'), 10).caliper;
    const smooth = last(plant({ wall: 'smooth' }), potted('smooth'), 10).caliper;
    expect(air).to.be.within(35, 60);
    expect(smooth).to.be.within(35, 60).and.below(air);
    const ground = (years: number) =>
      last(plant({ caliper: 6, litres: null, wall: 'ground' }), CUT_BACK, years).caliper;
    expect(ground(8)).to.be.within(105, 150);
    expect(ground(10)).to.be.within(105, 150);
    const elm = (years: number) =>
      last(plant({ caliper: 5.5, litres: null, wall: 'ground' }), [], years).caliper;
    expect(elm(3)).to.be.within(40, 60);
    expect(elm(4)).to.be.within(40, 60);
    const shown = plant({ caliper: 8, litres: 0.5, wall: 'smooth' });
    expect((last(shown, PINCHED(5), 5).caliper - 8) / 5).to.be.below(1.5);
    const pine = plant({ ...kind('pinus-sylvestris'), caliper: 1.5, litres: 1.3 });
    expect(last(pine, [], 2).caliper).to.be.within(8, 13);
  });

  it('a low sacrifice raises the base and not what is above it; never pruned beats pruned; pinched is a fifth', () => {
    const start = plant({ caliper: 12, litres: 15 });
    const free = last(start, [], 3);
    const fed = last(start, [{ year: 1, do: 'sacrifice', id: 's', height: 60, foliage: 0.6 }], 3);
    expect(fed.caliper).to.be.above(free.caliper + 3);
    const above = HEIGHTS.indexOf(150);
    expect(fed.stem[above]).to.be.at.most(free.stem[above] + 0.3);
    const hard = Array.from({ length: 10 }, (_, i): LabAct => ({ year: i + 1, do: 'prune', share: 0.7 }));
    expect(last(plant(), [...potted('air-pruning')], 10).caliper).to.be.above(
      1.2 * last(plant(), [...potted('air-pruning'), ...hard], 10).caliper,
    );
    const ring = (l: number, acts: LabAct[]) =>
      last(plant({ caliper: 10, litres: l, wall: 'smooth' }), acts, 1).caliper - 10;
    expect(ring(0.5, PINCHED(1))).to.be.at.most(0.2 * ring(15, []));
  });

  it('an untouched pot of 14 L is root-bound at 24 to 30 mm, long after it began to hold growth back', () => {
    const years = runCourse(plant({ caliper: 4, litres: 14, wall: 'smooth' }), course([]), 12);
    const bound = years.find((y) => y.fill >= 1)!;
    const held = years.find((y) => y.room < 1)!;
    expect(bound.caliper).to.be.within(24, 32);
    expect(held.caliper).to.be.below(bound.caliper);
  });
});

describe('trunk lab: what holds of every course', () => {
  /** Courses at random: moves, cuts, sacrifices. */
  function anyCourse(seed: number) {
    const rng = random(seed);
    const acts: LabAct[] = [];
    for (let year = 1; year <= 12; year++) {
      if (rng.next() < 0.3)
        acts.push(move(year, rng.next() < 0.2 ? null : 1 + 30 * rng.next(), 'air-pruning', 0.3));
      if (rng.next() < 0.15) acts.push({ year, do: 'chop', height: 60 + 300 * rng.next() });
      if (rng.next() < 0.2)
        acts.push({ year, do: 'sacrifice', id: `s${year}`, height: 30 + 200 * rng.next(), foliage: 0.3 });
      if (rng.next() < 0.3) acts.push({ year, do: 'off', id: `s${year - 2}` });
      if (rng.next() < 0.2) acts.push({ year, do: 'prune', share: 0.5 * rng.next() });
    }
    return acts;
  }

  it('below the crown area grows alike at every height (Pressler); above a sacrifice it lacks just that shoot’s (pipe model, Shinozaki et al. 1964)', () => {
    let compared = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const p = new LabPlant(plant({ caliper: 10, litres: 20 }));
      const acts = anyCourse(seed);
      for (let i = 0; i < 12; i++) {
        for (const a of acts) if (a.year === p.year) p.act(a);
        const before = p.look();
        p.season(luckOf(seed, 12), i);
        const after = p.look();
        const area = (d: number) => (Math.PI / 4) * d * d;
        const gain = HEIGHTS.map((_, j) => area(after.stem[j]) - area(before.stem[j]));
        const clear = HEIGHTS.filter((h) => h < before.height * 0.3).length;
        for (let j = 1; j < clear; j++) {
          const between = after.sacrifices.filter((s) => s.height >= HEIGHTS[j - 1] && s.height < HEIGHTS[j]);
          const shoots = between.reduce(
            (n, s) =>
              n + area(s.diameter) - area(before.sacrifices.find((x) => x.id === s.id)?.diameter ?? 0),
            0,
          );
          expect(gain[j - 1], `seed ${seed} year ${i} height ${HEIGHTS[j]}`).to.be.closeTo(
            gain[j] + shoots,
            1e-6,
          );
          compared++;
        }
        for (const d of after.stem) expect(d).to.be.at.least(0);
        expect(after.reserve).to.be.within(0, 1);
      }
    }
    expect(compared).to.be.above(2000);
  });

  it('the same seeds give the same runs; the band holds eight runs of ten; scars close and never open', () => {
    const acts = [...potted('air-pruning'), { year: 5, do: 'chop', height: 150 } as LabAct];
    const one = forecast(plant(), course(acts), 10, 400, 30);
    expect(one).to.deep.equal(forecast(plant(), course(acts), 10, 400, 30));
    const end = one.band.at(-1)!;
    const runs = Array.from(
      { length: 300 },
      (_, i) => runCourse(plant(), course(acts), 10, luckOf(10_000 + i, 10)).at(-1)!.caliper,
    );
    const inside = runs.filter((d) => d >= end.p10 && d <= end.p90).length / runs.length;
    expect(inside).to.be.within(0.74, 0.86);
    const open = runCourse(plant(), course(acts), 16, MEDIAN_LUCK).flatMap((y) => y.scars.map((s) => s.open));
    for (let i = 1; i < open.length; i++) expect(open[i]).to.be.at.most(open[i - 1]);
    expect(open.at(-1)).to.be.below(open[0]);
    const made = one.middle.map((y) => y.scars.length);
    expect(made).to.deep.equal([0, 0, 0, 0, 1, 1, 1, 1, 1, 1]);
  });
});
