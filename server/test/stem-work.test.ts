import { expect } from 'chai';
import type { BiteOfStretch, FittingLine } from '@gonimos/contract/fittings';
import type { Outcome } from '@gonimos/contract/outcome';
import type { StemBench } from '@gonimos/contract/stem-records';
import type { CohortCourse } from '@gonimos/contract/course';
import { bench, id, refusal, workshop, type Bench } from './harness.ts';

const TODAY = '2037-03-09';
const TODAY_YEAR = 2037;

/** A stem of 30 mm with a branch low down and one above where it is to be cut. */
const drawing = (wires: object[] = []) => ({
  label: 'no. 1',
  on: TODAY,
  record: {
    base: 30,
    height: 900,
    front: 180,
    girths: [{ at: 400, mm: 18 }],
    parts: [
      { id: 'a', kind: 'branch', height: 120, azimuth: 90, diameter: 8, role: 'first' },
      { id: 'b', kind: 'branch', height: 400, azimuth: 270, diameter: 9 },
      { id: 's', kind: 'stub', height: 200, azimuth: 0, diameter: 5 },
    ],
  },
  decided: { finished: 420, style: 'usual', way: null, cutAt: 190, wires },
  note: '',
});
const wire = (more: object = {}) => ({ part: 'a', metal: 'aluminium', moves: 'down', ...more });

describe('work on a stem', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  const keep = (cohortId: string, more: object = {}) =>
    w.v.post('/stem-records', { id: id(), cohortId, ...drawing(), ...more });
  const stemOf = (cohortId: string) => w.v.get<StemBench>(`/cohorts/${cohortId}/stem`);
  const look = (cohortId: string, details: object, more: object = {}) =>
    w.v.post('/records', { id: id(), cohortId, stepKey: null, on: TODAY, details, ...more });
  const bites = async (cohortId: string, stretches: object[]) =>
    (await w.v.post('/calc/bites', { cohortId, stretches })).json<BiteOfStretch[]>();

  it('wires are kept with the drawing, those of before read as none, and what cannot be is refused by its field', async () => {
    const { id: cohortId } = await w.ready();
    const kept = await keep(cohortId, {
      decided: { ...drawing().decided, wires: [wire({ with: 'b', gauge: 2.5 })] },
    });
    expect(kept.statusCode, kept.body).to.equal(200);
    const [row] = (await stemOf(cohortId)).records;
    expect(row.decided.wires[0]).to.deep.equal({ ...wire({ with: 'b', gauge: 2.5 }), to: null });
    const wrong = (wires: unknown) => keep(cohortId, { decided: { ...drawing().decided, wires } });
    await refusal(wrong([wire({ part: 'x' })]), 'decided.wires[0].part');
    await refusal(wrong([wire({ part: 's' })]), 'decided.wires[0].part');
    await refusal(wrong([wire(), wire()]), 'decided.wires[1].part');
    await refusal(wrong([wire({ gauge: 2.2 })]), 'decided.wires[0].gauge');
    await refusal(wrong([wire({ metal: 'gold' })]), 'decided.wires[0].metal');
    await refusal(wrong([wire({ to: 'high' })]), 'decided.wires[0].to');
    await refusal(wrong([null]), 'decided.wires[0]');
    await refusal(wrong('many'), 'decided.wires');
    await refusal(wrong(Array.from({ length: 41 }, () => wire())), 'decided.wires');
  });

  it('bites by its own stretch: a branch with much of the crown first, one with little last or not within a year', async () => {
    const { id: cohortId } = await w.ready();
    const told = await bites(cohortId, [
      { id: 'much', of: 0.3, share: 0.5 },
      { id: 'some', of: 0.3, share: 0.1 },
      { id: 'little', of: 0.3, share: 0.002 },
      { id: 'base', of: 1, share: 1 },
    ]);
    expect(told.map((t) => t.id)).to.deep.equal(['much', 'some', 'little', 'base']);
    const [much, some, little, base] = told;
    expect(much.bites).to.equal(true);
    expect(much.due < some.due || !some.bites).to.equal(true);
    expect(little.bites).to.equal(false);
    const named = (await w.v.post('/calc/bite', { cohortId, part: 'base' })).json<BiteOfStretch>();
    expect(base.due, 'the base is a stretch like any').to.equal(named.due);
    await refusal(w.v.post('/calc/bites', { cohortId, stretches: [] }), 'stretches');
    await refusal(
      w.v.post('/calc/bites', { cohortId, stretches: [{ id: 'a', of: 0, share: 1 }] }),
      'stretches[0].of',
    );
    await refusal(
      w.v.post('/calc/bites', { cohortId, stretches: [{ id: 'a', of: 1, share: 1.5 }] }),
      'stretches[0].share',
    );
    expect(
      (await w.v.post('/calc/bites', { cohortId: id(), stretches: [{ id: 'a', of: 1, share: 1 }] }))
        .statusCode,
    ).to.equal(404);
  });

  it('wire off: whether its movement stayed is counted by kind, with the days it was on; on again it has a new day', async () => {
    const { id: cohortId } = await w.ready();
    const before = (await stemOf(cohortId)).held;
    const [one, two] = [id(), id()];
    const put = { what: 'wire', note: '2 mm', due: '2037-06-01', stretch: { of: 0.3, share: 0.1 } };
    const on = await look(
      cohortId,
      {
        fittings: {
          on: [
            { ...put, id: one },
            { ...put, id: two },
          ],
        },
      },
      { on: '2037-03-01' },
    );
    expect(on.statusCode, on.body).to.equal(200);
    const mine = async () =>
      (await w.v.get<FittingLine[]>('/fittings')).filter((l) => l.cohortId === cohortId && l.what === 'wire');
    expect((await mine()).map((l) => l.stretch)).to.deep.equal([put.stretch, put.stretch]);
    const again = { ...put, id: id(), due: '2037-08-01' };
    const kept = [
      { id: one, held: true },
      { id: two, held: false },
    ];
    const off = await look(cohortId, { fittings: { on: [again], off: [one, two], kept } });
    expect(off.statusCode, off.body).to.equal(200);
    expect((await mine()).map((l) => l.due)).to.deep.equal(['2037-08-01']);
    const { held } = await stemOf(cohortId);
    expect(held).to.deep.equal({ off: before.off + 2, kept: before.kept + 1, days: 8 });
    await refusal(look(cohortId, { fittings: { on: [], off: [], kept } }), 'details.fittings.kept');
    // taken back, it is as if it had not been said
    await w.v.post(`/records/${off.json<Outcome>().recordId}/undo`, { id: id() });
    expect((await mine()).map((l) => l.due)).to.deep.equal(['2037-06-01', '2037-06-01']);
    expect((await stemOf(cohortId)).held).to.deep.equal(before);
  });

  it('a walk through a wired batch: what sprang back is among what came off, and counts for the kind', async () => {
    const { id: cohortId } = await w.ready();
    const walk = (tend: object) => look(cohortId, { fittings: { on: [], off: [], tend } });
    await refusal(walk({ stays: 5, off: 10, biting: 0, sprang: 11 }), 'details.fittings.tend.sprang');
    await refusal(walk({ stays: 5, off: 10, biting: 0, sprang: -1 }), 'details.fittings.tend.sprang');
    await refusal(walk({ stays: 25, off: 10, biting: 0, sprang: 1 }), 'details.fittings.tend');
    const before = (await stemOf(cohortId)).held;
    const told = await look(
      cohortId,
      { fittings: { on: [], off: [], tend: { stays: 5, off: 10, biting: 2, sprang: 3 } } },
      { finished: false },
    );
    expect(told.statusCode, told.body).to.equal(200);
    const after = (await stemOf(cohortId)).held;
    expect(after).to.deep.include({ off: before.off + 10, kept: before.kept + 7 });
    // a walk on which nobody looked whether it stayed says nothing of that
    const unsaid = await look(cohortId, {
      fittings: { on: [], off: [], tend: { stays: 0, off: 5, biting: 0 } },
    });
    expect(unsaid.statusCode, unsaid.body).to.equal(200);
    expect((await stemOf(cohortId)).held).to.deep.equal(after);
  });

  it('another kind has learnt nothing of it', async () => {
    const { id: cohortId } = await w.ready({ taxonId: 'carpinus-betulus' });
    expect((await stemOf(cohortId)).held).to.deep.equal({ off: 0, kept: 0, days: null });
  });

  it('what a cut took of the crown is what the plant has lost: it lays down less wood; what was left comes back', async () => {
    // stock that stands before its first cutting back, done in its dormancy
    const { id: cohortId } = await w.ready({
      standsAt: 'cut-back-1',
      container: 'basket-18',
      started: '2033',
    });
    const drawn = (await keep(cohortId)).json<{ id: string }>();
    const { step } = await stemOf(cohortId);
    const { steps } = await w.v.get<CohortCourse>(`/cohorts/${cohortId}/course`);
    const top = steps.find((s) => s.lane === 'top' && s.status === 'planned')!;
    expect(step!.key).to.equal(top.key);
    const took = async (share: number | null) => {
      const sent = await look(
        cohortId,
        { stem: { drawnId: drawn.id, took: share, left: ['branch at 400 mm: waits'] } },
        { stepKey: top.key },
      );
      expect(sent.statusCode, sent.body).to.equal(200);
      const outcome = sent.json<Outcome>();
      const { rings } = await w.cohort(cohortId);
      const { left } = await stemOf(cohortId);
      await w.v.post(`/records/${outcome.recordId}/undo`, { id: id() });
      return { thick: rings.mm[TODAY_YEAR - rings.from], left };
    };
    const light = await took(0.05);
    const hard = await took(0.9);
    expect(light.left).to.deep.equal({ on: TODAY, lines: ['branch at 400 mm: waits'] });
    // a crown that has gone lays down no wood this year
    expect(light.thick).to.be.above(hard.thick + 0.5);
    const planned = await took(null);
    expect(planned.thick).to.be.within(hard.thick, light.thick);
    expect((await stemOf(cohortId)).left, 'taken back').to.equal(null);
  });

  it('what a choice of shoots leaves for a season keeps its step for then, and says so; undone, it is as it was', async () => {
    const elms = await w.enter(
      { taxonId: 'ulmus-minor', standsAt: 'chop', started: 'spring 2031', container: 'basket-25' },
      12,
    );
    const cut = await look(elms.id, {}, { stepKey: 'chop', on: '2037-03-08' });
    expect(cut.statusCode, cut.body).to.equal(200);
    const before = (await w.course(elms.id)).steps.find(
      (s) => s.operation === 'shoot-choice' && s.status === 'planned',
    )!;
    const choice = () => w.step(elms.id, before.key);
    const line = 'shoot at 190 mm, E, 2 mm: off when the leader is 4.6 mm';
    const sprouts = { cut: 12, broke: 12, shoots: 40 };
    const told = (stem: object, finished: boolean) =>
      look(
        elms.id,
        { sprouts, stem: { left: [line], ...stem } },
        { stepKey: before.key, finished, done: finished ? null : 0 },
      );
    await refusal(told({ until: TODAY }, false), 'details.stem.until');
    await refusal(told({ until: '2038-05-01' }, true), 'is told of work that is not finished');
    const sent = await told({ until: '2038-05-01' }, false);
    expect(sent.statusCode, sent.body).to.equal(200);
    const outcome = sent.json<Outcome>();
    const after = await choice();
    expect(after.status).to.equal('planned');
    expect(after.opens! >= '2038-05-01', `${after.opens}`).to.equal(true);
    // was, now, because
    const moved = outcome.moved.find((m) => m.key === before.key)!;
    expect(moved.was.opens).to.equal(before.opens);
    expect(moved.now.opens).to.equal(after.opens);
    expect(JSON.stringify(after.reasons)).to.contain('off when the leader is 4.6 mm');
    expect((await stemOf(elms.id)).left!.lines).to.deep.equal([line]);
    await w.v.post(`/records/${outcome.recordId}/undo`, { id: id() });
    const undone = await choice();
    expect([undone.opens, undone.closes]).to.deep.equal([before.opens, before.closes]);
    // done for good, nothing of it is left
    const done = await look(elms.id, { sprouts, stem: { took: 0.1 } }, { stepKey: before.key });
    expect(done.statusCode, done.body).to.equal(200);
    expect((await choice()).status).to.equal('done');
  });

  it('bands around the base are kept with the drawing, and what cannot be is refused by its field', async () => {
    const { id: cohortId } = await w.ready();
    const band = (more: object = {}) => ({ what: 'tourniquet', at: 12, metal: 'copper', ...more });
    const bands = (...all: unknown[]) => keep(cohortId, { decided: { ...drawing().decided, bands: all } });
    const kept = await bands(band(), band({ what: 'cage wire', at: 75 }));
    expect(kept.statusCode, kept.body).to.equal(200);
    const [row] = (await stemOf(cohortId)).records;
    expect(row.decided.bands.map((b) => [b.what, b.at])).to.deep.equal([
      ['tourniquet', 12],
      ['cage wire', 75],
    ]);
    await refusal(bands(band({ at: 900 })), 'decided.bands[0].at');
    await refusal(bands(band(), band()), 'decided.bands[1].what');
    await refusal(bands(band({ what: 'cage wire', at: 10 })), 'it would hold nothing');
    await refusal(bands(band({ metal: 'gold' })), 'decided.bands[0].metal');
    await refusal(bands(null), 'decided.bands[0]');
  });

  it('is refused where it cannot be: on work that is none of stem or crown, by a drawing of another, beyond all', async () => {
    const { id: cohortId } = await w.ready();
    const { id: other } = await w.ready();
    const drawn = (await keep(other)).json<{ id: string }>();
    const told = (stem: object) => look(cohortId, { stem });
    await refusal(told({ took: 0.2 }), 'details.stem.took');
    await refusal(told({ drawnId: drawn.id }), 'details.stem.drawnId');
    await refusal(told({ took: 1.2 }), 'details.stem.took');
    await refusal(told({ left: ['x'.repeat(201)] }), 'details.stem.left[0]');
    await refusal(told({ odd: 1 }), 'details.stem');
  });
});
