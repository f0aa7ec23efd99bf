import { expect } from 'chai';
import fc from 'fast-check';
import { addDays, isIsoDate } from '@gonimos/core/calendar';
import {
  changeOfCourse,
  compileCourse,
  mayMove,
  type CourseFacts,
  type StepFact,
} from '@gonimos/core/course';
import { programme, PROGRAMMES } from '@gonimos/core/programmes';
import { facts, house, outside } from './kit.ts';

/** Whatever growers say, do and find, a course stays a course. */
const day = (from: string, span: number) => fc.integer({ min: 0, max: span }).map((n) => addDays(from, n));
const TODAY = '2030-03-09';

const said = fc.oneof(
  fc.record({ until: day(TODAY, 500) }).map((x): StepFact => ({
    status: 'planned',
    putOff: { until: x.until, reason: 'no time' },
  })),
  day(TODAY, 500).map((to): StepFact => ({ status: 'planned', moved: { to, overrides: null, reason: '' } })),
  day(TODAY, 500).map((to): StepFact => ({
    status: 'planned',
    moved: { to, overrides: 'window', reason: 'must be' },
  })),
  day('2030-03-04', 400).map((week): StepFact => ({ status: 'planned', week })),
  fc.constant<StepFact>({ status: 'planned', lighten: { share: 0.5, found: 'rot', on: TODAY } }),
  fc.constant<StepFact>({ status: 'dropped' }),
  day(TODAY, 60).map((until): StepFact => ({
    status: 'planned',
    short: { container: 'basket-18', count: 9, until, takenBy: 'HB-1' },
  })),
);

const anyCase = fc.record({
  programme: fc.constantFrom(...PROGRAMMES.map((p) => p.id)),
  taxon: fc.constantFrom(
    'tilia-cordata',
    'pinus-sylvestris',
    'taxus-baccata',
    'murraya-paniculata',
    'olea-europaea',
  ),
  indoors: fc.boolean(),
  doneSteps: fc.integer({ min: 0, max: 6 }),
  picks: fc.array(fc.tuple(fc.nat({ max: 40 }), said), { maxLength: 5 }),
  vigour: fc.integer({ min: 1, max: 5 }),
  quarantine: fc.boolean(),
  light: fc.constantFrom('full', 'shade'),
  insults: fc.constantFrom('one', 'combined', 'by-age'),
  buds: fc.option(fc.integer({ min: 0, max: 20 }), { nil: undefined }),
});

type Case = typeof anyCase extends fc.Arbitrary<infer T> ? T : never;

function build(c: Case): CourseFacts {
  const p = programme(c.programme);
  const steps: CourseFacts['steps'] = {};
  p.steps.slice(1, 1 + c.doneSteps).forEach((s, i) => {
    steps[s.key] = { status: 'done', doneOn: addDays('2027-04-01', 120 * i) };
  });
  for (const [at, fact] of c.picks) {
    const key = p.steps[at % p.steps.length].key;
    if (!steps[key] && at % p.steps.length > 0) steps[key] = fact;
  }
  return facts(c.taxon, p, '2027-03-12', {
    steps,
    vigour: [{ on: '2030-01-10', value: c.vigour }],
    schools: { nursery: {}, cohort: { insults: c.insults } },
    quarantine: c.quarantine ? { since: '2030-02-01', found: 'aphid' } : null,
    light: { is: c.light, since: '2027-03-12' },
    buds: c.buds === undefined ? null : { on: '2030-03-05', looked: 20, ready: c.buds },
  });
}

describe('courses under anything growers say', () => {
  it('property: planned steps lie in their windows, one rule decides each, and nothing is NaN', () => {
    fc.assert(
      fc.property(anyCase, (c) => {
        const f = build(c);
        const course = compileCourse(f, c.indoors ? house : outside, TODAY);
        const again = compileCourse(f, c.indoors ? house : outside, TODAY);
        expect(again, 'the same facts give the same course').to.deep.equal(course);
        for (const s of course.steps) {
          if (s.status === 'planned') {
            expect(isIsoDate(s.opens) && isIsoDate(s.closes) && isIsoDate(s.target), s.key).to.equal(true);
            // what is late is counted on from today
            const late = s.closes! < TODAY;
            const fits = s.opens! <= s.target! && (late || s.target! <= s.closes!);
            expect(fits, `${s.key} ${s.opens} ${s.target} ${s.closes}`).to.equal(true);
            expect(s.target! >= TODAY, `${s.key} in the past`).to.equal(true);
          }
          if (s.status === 'planned' || s.status === 'none') {
            expect(s.reasons.filter((r) => r.binding).length, s.key).to.equal(1);
            for (const r of s.reasons) expect(r.text).not.to.match(/NaN|undefined/);
          }
          // shares are told in hundredths
          if (s.rootCut) expect(s.rootCut.take).to.be.within(0, s.rootCut.wanted + 0.0051);
          if (s.odds !== null) expect(s.odds).to.be.within(0, 1);
          expect(Number.isFinite(s.minutes)).to.equal(true);
        }
        expect(course.rings.every((r) => Number.isFinite(r.caliper) && r.caliper > 0)).to.equal(true);
        const { moved, added, removed } = changeOfCourse(course, again);
        expect([moved, added, removed]).to.deep.equal([[], [], []]);
      }),
      { numRuns: 300 },
    );
  });

  it('property: a day the rules agree to is the day the plan then counts on', () => {
    fc.assert(
      fc.property(anyCase, day(TODAY, 120), (c, to) => {
        const f = build({ ...c, picks: [], quarantine: false });
        const book = c.indoors ? house : outside;
        const open = compileCourse(f, book, TODAY).steps.find(
          (s) => s.status === 'planned' && s.ready && s.chain === null,
        );
        if (!open || /-20\d\d$/.test(open.key)) return;
        const refused = mayMove(f, book, TODAY, open.key, to);
        const moved = { to, overrides: refused?.rule ?? null, reason: refused ? 'must be' : '' };
        const steps = { ...f.steps, [open.key]: { status: 'planned' as const, moved } };
        const now = compileCourse({ ...f, steps }, book, TODAY).steps.find((s) => s.key === open.key)!;
        expect(now.target, refused ? `against ${refused.rule}` : 'agreed').to.equal(to);
      }),
      { numRuns: 200 },
    );
  });
});
