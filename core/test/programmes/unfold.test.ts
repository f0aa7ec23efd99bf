import { expect } from 'chai';
import fc from 'fast-check';
import { compileCourse, plantOn, type PlannedStep } from '@gonimos/core/course';
import { OPERATIONS, operation } from '@gonimos/core/operations';
import { programme, PROGRAMMES, unfold } from '@gonimos/core/programmes';
import { chosen, QUESTIONS, type Choices, type Question, type QuestionId } from '@gonimos/core/schools';
import type { GrowthGroup } from '@gonimos/core/taxa';
import { facts, outside, step } from '../course/kit.ts';

const questions = QUESTIONS as readonly Question[];
const GROUPS: GrowthGroup[] = [
  'deciduous-broadleaf',
  'pine',
  'juniper-cypress',
  'tropical-broadleaf',
  'sensitive-shrub',
  'swollen-base',
];

/** Any answers to any of the questions. */
const anyChoices = fc
  .subarray(questions.map((q) => q.id))
  .chain((ids) =>
    fc.record(
      Object.fromEntries(
        ids.map((id) => [id, fc.constantFrom(...Object.keys(questions.find((q) => q.id === id)!.options))]),
      ),
    ),
  ) as fc.Arbitrary<Choices>;

describe('programmes unfolded', () => {
  it('property: under any schools, for any kind, every step waits for something that is there before it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PROGRAMMES),
        anyChoices,
        fc.constantFrom(...GROUPS),
        (p, cohort, group) => {
          const levels = { cohort, programme: p.schools, nursery: {} };
          const steps = unfold(p, { levels, taxon: { group } });
          const before = new Set<string>();
          for (const s of steps) {
            expect(before.has(s.key), `${p.id} ${s.key} twice`).to.equal(false);
            if (before.size > 0)
              expect(s.after.length, `${p.id} ${s.key} waits for nothing`).to.be.at.least(1);
            for (const a of s.after)
              expect(before.has(a.step), `${p.id} ${s.key} after ${a.step}`).to.equal(true);
            if (s.chain) expect(before.has(s.chain)).to.equal(true);
            before.add(s.key);
          }
        },
      ),
      { numRuns: 400 },
    );
  });

  it('asks a school only for what it decides, and the narrowest level answers', () => {
    const moves = new Set(
      PROGRAMMES.flatMap((p) => p.steps.flatMap((s) => (s.only ? [s.only.question] : []))),
    );
    const windows = OPERATIONS.flatMap((o) => (o.schoolWindows ? [o.schoolWindows.question] : []));
    for (const id of [...moves, ...windows] as QuestionId[])
      expect(questions.find((q) => q.id === id)!.decides, id).to.equal('plan');
    expect(chosen('chop', {})).to.deep.equal({ option: 'staged', from: 'library' });
    const levels = { nursery: { chop: 'hard' }, programme: { chop: 'bend' }, cohort: { chop: 'sacrifice' } };
    expect(chosen('chop', levels)).to.deep.equal({ option: 'sacrifice', from: 'cohort' });
    expect(chosen('chop', { nursery: levels.nursery })).to.deep.equal({ option: 'hard', from: 'nursery' });
  });

  it('a staged chop comes in two sittings, a hard one in one, a bent one after a bend', () => {
    const under = (chop: string) =>
      compileCourse(
        facts('tilia-cordata', programme('seed-broadleaf'), '2027-03-12', {
          schools: { nursery: { chop }, cohort: {} },
        }),
        outside,
        '2027-03-12',
      ).steps.filter((s) => ['half-chop', 'chop', 'bend-shoot'].includes(s.operation));
    expect(under('staged').map((s) => s.operation)).to.deep.equal(['half-chop', 'chop']);
    expect(under('hard').map((s) => s.operation)).to.deep.equal(['chop']);
    expect(under('bend').map((s) => s.operation)).to.deep.equal(['bend-shoot', 'chop']);
    const [half, rest] = under('staged');
    expect(rest.opens! > half.closes!).to.equal(true);
  });
});

describe('aftercare chains', () => {
  const course = (taxonId: string, id: string, more = {}) =>
    compileCourse(facts(taxonId, programme(id), '2027-03-12', more), outside, '2027-03-12');
  const careOf = (steps: PlannedStep[], parent: string) => steps.filter((s) => s.chain === parent);

  it('every piece of severe work is followed by a look, and nothing comes before what it follows', () => {
    for (const p of PROGRAMMES) {
      const c = course('tilia-cordata', p.id);
      for (const s of c.steps.filter((x) => x.odds !== null && x.status === 'planned')) {
        const care = careOf(c.steps, s.key);
        if (operation(s.operation).aftercare.length === 0) continue;
        for (const x of care.filter((y) => y.status === 'planned'))
          expect(x.opens! >= s.target!, `${p.id} ${x.key}`).to.equal(true);
      }
    }
  });

  it('holds the whole chain: looks, feed, wedges, moss, ties, shade, mist, guards, wire, layer, shoots, stub', () => {
    const seen = new Set(
      [
        ...course('carpinus-betulus', 'seed-broadleaf').steps,
        ...course('carpinus-betulus', 'air-layer').steps,
        ...course('carpinus-betulus', 'lifted-plant').steps,
        ...course('taxus-baccata', 'cutting-conifer').steps,
      ]
        .filter((s) => s.chain !== null)
        .map((s) => s.operation),
    );
    expect([...seen]).to.include.members([
      'survival-look',
      'first-feed',
      'tie-check',
      'moss-off',
      'shade',
      'shade-off',
      'mist',
      'stake',
      'guard-on',
      'guard-off',
      'wire-check',
      'layer-check',
      'shoot-choice',
      'stub-off',
      'root-check',
      'stake-off',
      'repellent',
      'repellent-again',
    ]);
  });

  it('growth decides where growth decides: in a cold year-half nothing passes, by the calendar two weeks do', () => {
    const c = course('tilia-cordata', 'seed-broadleaf');
    const care = careOf(c.steps, 'roots-2');
    const by = (op: string) => care.find((s) => s.operation === op)!;
    const work = step(c, 'roots-2').target!;
    const days = (s: PlannedStep) => (Date.parse(s.opens!) - Date.parse(work)) / 86_400_000;
    expect(days(by('survival-look'))).to.equal(12);
    expect(days(by('first-feed'))).to.equal(28);
    // an eighth of a growing season from March is May, when new growth shows; eight tenths are autumn
    expect(by('moss-off').opens!.slice(5, 7)).to.be.oneOf(['04', '05']);
    expect(by('root-check').opens!.slice(5, 7)).to.be.oneOf(['09', '10', '11']);
    expect(by('moss-off').reasons.find((r) => r.rule === 'window')!.text).to.match(/growth decides/);
  });

  it('evergreens are misted and shaded, deciduous kinds are not; severed layers wait for growth with their feed', () => {
    const ops = (taxonId: string) =>
      careOf(course(taxonId, 'bought-liner').steps, 'correct').map((s) => s.operation);
    expect(ops('olea-europaea')).to.include.members(['mist', 'shade', 'shade-off']);
    expect(ops('acer-campestre')).not.to.include('mist');
    const layer = course('tilia-cordata', 'air-layer');
    const feed = careOf(layer.steps, 'sever').find((s) => s.operation === 'first-feed')!;
    expect(feed.reasons.find((r) => r.rule === 'window')!.text).to.match(/0\.2 of a growing season/);
  });

  it('keeps its days when nobody recorded it, until a word is said or plants are opened again', () => {
    const f = facts('tilia-cordata', programme('seed-broadleaf'), '2027-03-12', {
      steps: Object.fromEntries(
        ['emergence', 'cells', 'plug', 'measure-1', 'correct'].map((key, i) => [
          key,
          {
            status: 'done' as const,
            doneOn: ['2027-04-27', '2027-06-09', '2027-08-02', '2027-11-16', '2028-03-17'][i],
          },
        ]),
      ),
    });
    const soon = compileCourse(f, outside, '2028-04-01');
    expect(step(soon, 'correct.survival-look').status).to.equal('planned');
    const late = compileCourse(f, outside, '2028-09-01');
    for (const key of ['survival-look', 'first-feed']) {
      const [then, now] = [soon, late].map((c) => step(c, `correct.${key}`));
      expect(now.status, key).to.equal('planned');
      expect([now.opens, now.closes], key).to.deep.equal([then.opens, then.closes]);
    }
    const again = { status: 'done' as const, doneOn: '2029-03-10' };
    const opened = compileCourse({ ...f, steps: { ...f.steps, 'roots-2': again } }, outside, '2029-03-20');
    expect(step(opened, 'correct.survival-look').status).to.equal('lapsed');
  });

  it('small care lapses by itself; what follows work that was let go is not asked for', () => {
    const f = facts('olea-europaea', programme('bought-liner'), '2027-03-12');
    const corrected = { status: 'done' as const, doneOn: '2028-04-10' };
    const done = { ...f, steps: { ...f.steps, correct: corrected } };
    const late = compileCourse(done, outside, '2028-09-01');
    expect(step(late, 'correct.mist').status).to.equal('lapsed');
    const gone = { ...done.steps, 'correct.shade': { status: 'dropped' as const } };
    const after = compileCourse({ ...done, steps: gone }, outside, '2028-05-01');
    expect(step(after, 'correct.shade.shade-off').status).to.equal('lapsed');
  });

  it('a missed window is told with the step, also when the season has given it another year', () => {
    const f = facts('tilia-cordata', programme('seed-broadleaf'), '2027-03-12');
    const missed = { opens: '2027-04-20', closes: '2027-05-18' };
    const steps = { ...f.steps, emergence: { status: 'planned' as const, missed } };
    const now = step(compileCourse({ ...f, steps }, outside, '2027-07-01'), 'emergence');
    expect(now.missed).to.deep.equal(missed);
    expect(now.reasons.some((r) => r.text.startsWith('Missed: the window {2027-04-20}'))).to.equal(true);
  });

  it('what a winter now past asked for stays asked for until a word is said of it', () => {
    const f = facts('olea-europaea', programme('bought-liner'), '2027-03-12');
    const shelter = compileCourse(f, outside, '2027-10-01').steps.find((s) => s.key.startsWith('shelter-'));
    const missed = { opens: shelter!.opens!, closes: shelter!.closes! };
    const told = { ...f, steps: { ...f.steps, [shelter!.key]: { status: 'planned' as const, missed } } };
    const keys = (c: ReturnType<typeof compileCourse>) =>
      c.steps.filter((s) => s.key.startsWith('shelter-')).map((s) => s.key);
    const spring = compileCourse(told, outside, '2028-05-01');
    expect(keys(spring)).to.have.length(2).and.include(shelter!.key);
    expect(keys(compileCourse(f, outside, '2028-05-01'))).to.have.length(1);
  });

  it('half done, hours are those of what is left; of seed that is not up only looks and covers are ready', () => {
    const f = facts('tilia-cordata', programme('seed-broadleaf'), '2027-03-12');
    const up = { ...f.steps, emergence: { status: 'done' as const, doneOn: '2027-05-10' } };
    const at = (more: object) => compileCourse({ ...f, ...more }, outside, '2027-06-01');
    const whole = step(at({ steps: up }), 'cells').minutes;
    const part = { status: 'planned' as const, part: Math.floor(f.live * 0.75) };
    expect(step(at({ steps: { ...up, cells: part } }), 'cells').minutes / whole).to.be.closeTo(0.25, 0.02);
    const none = at({ steps: up, nothingUp: true });
    expect(step(none, 'cells').ready).to.equal(false);
    expect(step(at({ steps: up }), 'cells').ready).to.equal(true);
    expect(step(at({ nothingUp: true }), 'emergence').ready).to.equal(true);
  });

  it('a part that was chopped and covered has its cover taken off, though the rest still waits for the chop', () => {
    const f = facts('carpinus-betulus', programme('seed-broadleaf'), '2027-03-12');
    const keys = f.programme.steps.map((s) => s.key);
    const before = Object.fromEntries(
      [...keys.slice(0, keys.indexOf('chop')), 'half-chop'].map((k) => [k, { status: 'dropped' as const }]),
    );
    const half = { status: 'planned' as const, part: 9, partOn: '2033-02-21' };
    const at = (more: object) =>
      compileCourse({ ...f, steps: { ...before, chop: half, ...more } }, outside, '2033-03-10').steps;
    const find = (steps: PlannedStep[], key: string) => steps.find((s) => s.key === `chop.guard-on${key}`)!;
    expect(find(at({}), '').ready).to.equal(true);
    expect(find(at({}), '.guard-off').ready).to.equal(false);
    const covered = at({ 'chop.guard-on': { ...half, partOn: '2033-02-28' } });
    expect(find(covered, '').ready).to.equal(false);
    expect(find(covered, '.guard-off').ready).to.equal(true);
    // of five of the nine the cover is still to be put on
    expect(find(at({ 'chop.guard-on': { ...half, part: 4 } }), '.guard-off').ready).to.equal(false);
  });

  it('the share a plan of cuts took is what the plant recovers from', () => {
    const f = facts('carpinus-betulus', programme('seed-broadleaf'), '2027-03-12');
    const done = (took?: number) => ({
      ...f,
      steps: {
        ...f.steps,
        emergence: { status: 'done' as const, doneOn: '2027-05-10' },
        cells: { status: 'done' as const, doneOn: '2027-06-10' },
        correct: { status: 'done' as const, doneOn: '2028-03-10', ...(took === undefined ? {} : { took }) },
      },
    });
    const reserve = (took?: number) => plantOn(done(took), outside, '2028-03-12').reserve;
    expect(reserve(0.05)).to.be.greaterThan(reserve(0.3));
    expect(reserve(0.3)).to.be.greaterThan(reserve(0.8));
  });
});
