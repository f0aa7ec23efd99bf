import { expect } from 'chai';
import { compileCourse, type CourseFacts } from '@gonimos/core/course';
import { adopt, faultsOf, labStart, type LabStart, type Wish } from '@gonimos/core/lab';
import { faultsOf as programmeFaults, programme, retarget, type Programme } from '@gonimos/core/programmes';
import { random } from '@gonimos/core/random';
import { climateOf, seasonBook, type SeasonBook } from '@gonimos/core/season';
import { maritime, mirrored, warmer } from '../sites.ts';

const SEASONS = 8;
const SITES: readonly [string, SeasonBook, string][] = [
  ['maritime', seasonBook(climateOf(maritime)), '2037-03-09'],
  ['4 °C colder, in autumn', seasonBook(climateOf(warmer(maritime, -4))), '2037-10-20'],
  ['5 °C warmer', seasonBook(climateOf(warmer(maritime, 5))), '2037-02-01'],
  ['south of the equator', seasonBook(climateOf(mirrored(maritime))), '2037-08-15'],
];
const COHORTS: readonly [string, string, string[]][] = [
  ['acer-campestre', 'seed-broadleaf', ['sow', 'emergence', 'cells']],
  ['carpinus-betulus', 'seed-ground', ['sow', 'emergence', 'cells', 'correct', 'tile', 'plant-out']],
  ['pinus-sylvestris', 'seed-pine', ['sow', 'emergence']],
  ['ligustrum-ovalifolium', 'cutting-broadleaf', []],
];

/** A cohort that did so much of its programme, a step each spring before the last one. */
function cohortOf(taxonId: string, p: Programme, done: readonly string[], today: string): CourseFacts {
  const keys = [p.steps[0].key, ...done.filter((k) => k !== p.steps[0].key)];
  const last = Number(today.slice(0, 4)) - 1;
  const days = keys.map((_, i) => `${last - keys.length + 1 + i}-${today.slice(5)}`);
  const steps: CourseFacts['steps'] = {};
  keys.forEach((key, i) => (steps[key] = { status: 'done', doneOn: days[i] }));
  const schools = { nursery: {}, cohort: {} };
  return { taxonId, programme: p, startedOn: days[0], live: 40, steps, sizes: [], vigour: [], schools };
}

/** A course nobody thought of, but within what may be asked. */
function wishOf(seed: number, start: LabStart): Wish {
  const rng = random(seed);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(rng.next() * of.length)];
  const year = (from: number, to: number) => start.year + from + Math.floor(rng.next() * (to - from));
  const from = year(0, 3);
  return {
    name: 'Wish',
    pots: [
      { year: year(0, 2), container: pick(['basket-25', 'air-pot-1', 'ground', 'pot-17']) },
      { year: year(3, 6), container: pick(['basket-32', 'ground', 'training-22']) },
    ],
    prune: pick(['none', 'lightly', 'hard']),
    sacrifice:
      rng.next() < 0.5 ? { from, to: from + 1 + Math.floor(4 * rng.next()), height: 60, foliage: 0.5 } : null,
    chop: rng.next() < 0.5 ? { year: year(2, 7), height: 200 } : null,
    methods: [pick(['tile', 'tourniquet', 'wind', 'flare-cuts', 'silica', 'fusing'])],
  };
}

describe('a course of the lab taken into the plan', () => {
  it('is a sound programme anywhere: every step is dated or says why not, moves in order, near the spring asked for', () => {
    let moves = 0;
    let inTime = 0;
    for (const [where, book, today] of SITES)
      for (const [taxonId, programmeId, done] of COHORTS)
        for (let seed = 1; seed <= 12; seed++) {
          const facts = cohortOf(taxonId, programme(programmeId), done, today);
          const start = labStart(facts, book, today);
          const wish = wishOf(seed, start);
          expect(faultsOf(wish, start, SEASONS).filter((f) => f.field !== 'sacrifice.height')).to.deep.equal(
            [],
          );
          const { programme: made, byHand } = adopt(facts, book, today, wish, start.year, SEASONS);
          const own: Programme = { ...made, id: 'own' };
          const name = `${where} ${taxonId} ${seed}`;
          expect(programmeFaults(own), name).to.deep.equal([]);
          expect(byHand.length, name).to.equal(['wind', 'silica'].includes(wish.methods[0]) ? 1 : 0);
          const behind = Object.keys(facts.steps);
          expect(Object.keys(retarget(facts.programme, behind, own).keys), name).to.have.members(behind);
          const course = compileCourse({ ...facts, programme: own }, book, today);
          for (const s of course.steps.filter((x) => x.status === 'planned' || x.status === 'none'))
            expect(
              s.opens !== null || (s.refusal !== null && s.reasons.length > 0),
              `${name} ${s.key}`,
            ).to.equal(true);
          const laid = course.steps.filter((s) => /^lab1-(move|row|lift)-\d$/.test(s.key));
          expect(laid.map((s) => s.container)).to.deep.equal(
            wish.pots.toSorted((a, b) => a.year - b.year).map((p) => p.container),
          );
          const targets = laid.flatMap((s) => s.target ?? []);
          expect(targets, name).to.deep.equal([...targets].sort());
          wish.pots
            .toSorted((a, b) => a.year - b.year)
            .forEach((p, i) => {
              moves++;
              const { target } = laid[i];
              // never before the spring asked for
              if (!target) return;
              const season = book.seasonOf(Date.parse(target) / 86_400_000);
              expect(season, `${name} ${laid[i].key} ${target}`).to.be.at.least(p.year - 1);
              if (Math.abs(season - p.year) <= 1) inTime++;
            });
        }
    console.log(
      `      ${moves} moves, ${Math.round((100 * inTime) / moves)} % within a season of the spring asked for`,
    );
    expect(inTime / moves).to.be.above(0.8);
  });
});
