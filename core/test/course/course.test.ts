import { expect } from 'chai';
import fc from 'fast-check';
import { addDays, daysBetween, isIsoDate } from '@gonimos/core/calendar';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { compileCourse, diffCourse, type Course, type CourseFacts } from '@gonimos/core/course';
import { OPERATIONS } from '@gonimos/core/operations';
import { firstStep, programme, PROGRAMMES } from '@gonimos/core/programmes';
import { climateOf, OUTDOORS, seasonBook } from '@gonimos/core/season';
import { TAXA } from '@gonimos/core/taxa';
import { maritime, mirrored, warmer } from '../sites.ts';

const book = seasonBook(climateOf(maritime));

const facts = (
  taxonId: string,
  programmeId: string,
  startedOn: string,
  more: Partial<CourseFacts> = {},
): CourseFacts => {
  const p = programme(programmeId);
  return {
    taxonId,
    programme: p,
    startedOn,
    live: 100,
    sizes: [],
    vigour: [],
    school: null,
    ...more,
    steps: { [firstStep(p).key]: { status: 'done', doneOn: startedOn }, ...more.steps },
  };
};
const step = (c: Course, key: string) => c.steps.find((s) => s.key === key)!;
const binding = (c: Course, key: string) => step(c, key).reasons.find((r) => r.binding)?.rule;
const maple = (more: Partial<CourseFacts> = {}) =>
  facts('acer-campestre', 'seed-broadleaf', '2027-03-12', more);

/** Steps up to and including `key` done on the day the plan counted on. */
function doneUpTo(f: CourseFacts, key: string): CourseFacts {
  const c = compileCourse(f, book, f.startedOn);
  const steps = { ...f.steps };
  for (const s of c.steps) {
    if (!steps[s.key]) steps[s.key] = { status: 'done', doneOn: s.target! };
    if (s.key === key) break;
  }
  return { ...f, steps };
}

describe('library', () => {
  it('holds enough of everything, and every programme compiles on a taxon it is meant for', () => {
    expect(OPERATIONS.length).to.be.at.least(15);
    expect(TAXA.length).to.be.at.least(15);
    expect(new Set(TAXA.map((t) => t.code)).size).to.equal(TAXA.length);
    for (const p of PROGRAMMES) {
      expect(p.steps.length, p.id).to.be.at.least(12);
      const taxonId =
        { 'seed-pine': 'pinus-sylvestris', 'cutting-conifer': 'taxus-baccata' }[p.id] ?? 'tilia-cordata';
      const c = compileCourse(facts(taxonId, p.id, '2027-03-12'), book, '2027-03-12');
      expect(daysBetween('2027-03-12', c.endsOn!), p.id).to.be.greaterThan(5 * 365);
      for (const s of c.steps) {
        expect(s.status, `${p.id} ${s.key}`).to.be.oneOf(['done', 'planned']);
        if (s.status === 'planned')
          expect(
            s.reasons.some((r) => r.binding),
            s.key,
          ).to.equal(true);
      }
    }
  });
});

describe('course: windows from the climate', () => {
  const target = { ...maritime };
  const opening = (site: typeof maritime, taxonId: string) => {
    const c = compileCourse(
      facts(taxonId, 'seed-broadleaf', '2027-03-12'),
      seasonBook(climateOf(site)),
      '2027-03-12',
    );
    return step(c, 'correct');
  };

  it('opens repotting earlier 3 °C warmer, later colder; beech opens later in the warm and says why', () => {
    const rows = [-3, 0, 3].map((d) => ({
      maple: opening(warmer(target, d), 'acer-campestre').opens!,
      beech: opening(warmer(target, d), 'fagus-sylvatica'),
    }));
    const [cold, here, warm] = rows;
    for (const [d, r] of [
      [-3, cold],
      [0, here],
      [3, warm],
    ] as const)
      console.log(`      ${d} °C: field maple opens ${r.maple}, beech ${r.beech.opens}`);
    expect(warm.maple < here.maple && here.maple < cold.maple).to.equal(true);
    expect(warm.beech.opens! > here.beech.opens!).to.equal(true);
    expect(cold.beech.opens! > here.beech.opens!).to.equal(true);
    expect(warm.beech.reasons[0].text).to.match(/too mild for European beech/);
    expect(warm.beech.reasons[0].figures.map((f) => f.basis)).to.include('from memory');
  });

  it('moves the whole course by half a year in mirrored weather', () => {
    const south = seasonBook(climateOf(mirrored(maritime)));
    const n = compileCourse(maple(), book, '2027-03-12');
    const start = addDays('2027-03-12', 184);
    const s = compileCourse(facts('acer-campestre', 'seed-broadleaf', start), south, start);
    for (const a of n.steps) {
      const b = step(s, a.key);
      for (const edge of ['opens', 'closes', 'target'] as const)
        if (a[edge]) expect(daysBetween(a[edge], b[edge]!), `${a.key} ${edge}`).to.be.within(179, 189);
    }
  });

  it('explains a tropical kind by the warm season of its house', () => {
    const house = seasonBook(climateOf(maritime, { night: 8, day: 8, heatedTo: 17 }));
    const f = facts('murraya-paniculata', 'cutting-broadleaf', '2027-06-25');
    const s = step(compileCourse(f, house, '2027-06-25'), 'correct');
    expect(s.reasons[0].text).to.match(/at the warm season/);
    const outdoors = compileCourse(f, seasonBook(climateOf(warmer(maritime, -3), OUTDOORS)), '2027-06-25');
    const none = step(outdoors, 'correct');
    expect(none.status).to.equal('none');
    expect(none.reasons.find((r) => r.binding)!.text).to.match(/does not get warm enough/);
  });
});

describe('course: rules', () => {
  it('order: later steps wait for earlier ones and move with them', () => {
    const before = compileCourse(maple(), book, '2027-03-12');
    const late = maple({ steps: { emergence: { status: 'done', doneOn: '2027-06-20' } } });
    const after = compileCourse(late, book, '2027-06-20');
    const moved = diffCourse(before.steps, after).find((m) => m.key === 'cells')!;
    expect(after.steps.find((s) => s.key === 'cells')!.opens).to.equal(addDays('2027-06-20', 25));
    expect(moved.days).to.be.greaterThan(20);
    expect(moved.because!.rule).to.equal('order');
  });

  it('window: one that passed undone moves to the next season and says so', () => {
    const f = doneUpTo(maple(), 'measure-1');
    const c = compileCourse(f, book, '2028-06-01');
    const s = step(c, 'correct');
    expect(s.opens!.slice(0, 4)).to.equal('2029');
    expect(s.reasons.map((r) => r.text).join()).to.match(/passed undone/);
  });

  it('put off: the grower’s word holds and is kept as the reason', () => {
    const f = doneUpTo(maple(), 'measure-1');
    f.steps.correct = { status: 'planned', putOff: { until: '2028-03-20', reason: 'pots not here' } };
    const s = step(compileCourse(f, book, '2028-03-05'), 'correct');
    expect(s.opens).to.equal('2028-03-20');
    expect(s.reasons.find((r) => r.binding)).to.include({ rule: 'put off' });
    expect(s.reasons.find((r) => r.binding)!.text).to.match(/pots not here/);
  });

  it('vigour: a weak cohort’s chop waits until it can carry it, with the day it becomes possible', () => {
    const f = doneUpTo(maple({ sizes: [{ on: '2031-11-20', caliper: 30, height: null }] }), 'measure-2');
    const strong = step(compileCourse(f, book, '2032-01-05'), 'chop');
    const weak = compileCourse({ ...f, vigour: [{ on: '2031-12-01', value: 2 }] }, book, '2032-01-05');
    const s = step(weak, 'chop');
    expect(s.opens! > strong.opens!).to.equal(true);
    expect(binding(weak, 'chop')).to.be.oneOf(['vigour', 'reserve']);
    expect(s.reasons.find((r) => r.binding)!.text).to.match(/from \{20\d\d-\d\d-\d\d\}/);
  });

  it('reserve: a sensitive shrub is never cut beyond its limit (a fifth of the root)', () => {
    const f = facts('lavandula-angustifolia', 'cutting-broadleaf', '2027-06-25');
    const c = compileCourse(f, book, '2027-06-25');
    const s = step(c, 'correct');
    expect(s.status === 'none' || s.rootCut!.take <= 0.2).to.equal(true);
  });

  it('condition: the chop waits for its caliper; thicker stock measured brings it forward', () => {
    const f = doneUpTo(facts('taxus-baccata', 'cutting-broadleaf', '2027-06-25'), 'look-3');
    const slow = compileCourse(f, book, '2031-05-01');
    expect(step(slow, 'chop').reasons.some((r) => r.rule === 'condition')).to.equal(true);
    const thick = compileCourse(
      { ...f, sizes: [{ on: '2031-05-01', caliper: 26, height: null }] },
      book,
      '2031-05-01',
    );
    const [a, b] = [step(slow, 'chop').opens, step(thick, 'chop').opens!];
    expect(a === null || b < a).to.equal(true);
  });

  it('school: one insult a season parts what a combined sitting allows', () => {
    const base = doneUpTo(maple({ sizes: [{ on: '2029-11-01', caliper: 30, height: null }] }), 'grade');
    const p = structuredClone(base.programme);
    p.steps.find((s) => s.key === 'chop')!.after = [{ step: 'grade' }];
    p.steps = p.steps.filter((s) =>
      [
        'sow',
        'emergence',
        'mesh-off',
        'cells',
        'measure-1',
        'correct',
        'look-1',
        'feed-1',
        'wire-1',
        'wire-check-1',
        'grade',
        'roots-2',
        'chop',
      ].includes(s.key),
    );
    const under = (school: 'one' | 'combined') =>
      compileCourse({ ...base, programme: p, school }, book, '2029-12-01');
    const apart = daysBetween(step(under('one'), 'roots-2').opens!, step(under('one'), 'chop').opens!);
    const together = daysBetween(
      step(under('combined'), 'roots-2').opens!,
      step(under('combined'), 'chop').opens!,
    );
    expect(apart).to.be.greaterThan(250);
    expect(together).to.be.lessThan(60);
    expect(binding(under('one'), 'chop')).to.equal('school');
  });

  it('property: any history of dates gives a plan in order, inside its windows, without NaN', () => {
    const keys = programme('seed-broadleaf').steps.map((s) => s.key);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 12 }),
        fc.array(fc.integer({ min: -10, max: 90 }), { minLength: 12, maxLength: 12 }),
        fc.integer({ min: 0, max: 700 }),
        fc.integer({ min: 1, max: 5 }),
        (count, slips, wait, vigour) => {
          const f = maple();
          let day = f.startedOn;
          for (let i = 1; i <= count; i++) {
            const plan = step(compileCourse(f, book, day), keys[i]);
            if (!plan.target) break;
            day = [day, addDays(plan.target, slips[i - 1])].sort()[1];
            f.steps[keys[i]] = { status: 'done', doneOn: day };
          }
          const today = addDays(day, wait);
          const c = compileCourse({ ...f, vigour: [{ on: day, value: vigour }] }, book, today);
          for (const s of c.steps.filter((x) => x.status === 'planned')) {
            expect(isIsoDate(s.opens) && isIsoDate(s.closes) && isIsoDate(s.target)).to.equal(true);
            expect(s.opens! <= s.closes!).to.equal(true);
            expect(s.target! >= today && s.target! >= s.opens!).to.equal(true);
            for (const a of f.programme.steps.find((x) => x.key === s.key)!.after) {
              const before = step(c, a.step);
              const when = before.doneOn ?? before.target;
              expect(when !== null && when <= s.target!, `${a.step} before ${s.key}`).to.equal(true);
            }
          }
          expect(c.rings.every((r) => Number.isFinite(r.caliper))).to.equal(true);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('uncertain dates', () => {
  it('reads what growers write, in both hemispheres, and refuses the rest', () => {
    const north = (t: string) => readUncertainDate(t, 'north');
    expect(north('2027-03-14')).to.include({ from: '2027-03-14', to: '2027-03-14' });
    expect(north('2024-02')).to.include({ from: '2024-02-01', to: '2024-02-29' });
    expect(north('2 2021')).to.equal(null);
    expect(north('2019 or 2021')).to.include({ from: '2019-01-01', to: '2021-12-31' });
    expect(north('spring 2021')!.from).to.match(/^2021-03-0/);
    expect(readUncertainDate('Spring 2021', 'south')!.from).to.match(/^2021-(08-3|09-0)/);
    for (const bad of ['', '2027-13-01', '2027-02-30', 'last week', '2030-2020', '3000'])
      expect(north(bad), bad).to.equal(null);
  });
});
