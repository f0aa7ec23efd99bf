import { expect } from 'chai';
import type { CohortCourse } from '@gonimos/contract/course';
import type { FittingLine } from '@gonimos/contract/fittings';
import type { Outcome } from '@gonimos/contract/outcome';
import { workOn, type RecordRow } from '@gonimos/contract/records';
import type { MissedStep, Round } from '@gonimos/contract/round';
import { bench, id, must, type Bench, type Visitor } from './harness.ts';

describe('what was missed', () => {
  let b: Bench;
  let v: Visitor;
  const missed = async () => (await v.get<Round>('/round')).missed;
  const nameOf = (m: MissedStep) => `${m.code} ${m.key}`;
  const stepOf = ({ cohortId, key }: MissedStep) => ({ cohortId, stepKey: key });
  const answer = (what: string, steps: MissedStep[], on: string | null = null, as = id()) =>
    v.post('/missed', { id: as, answer: what, on, steps: steps.map(stepOf) });
  const pass = async (weeks: number) => {
    for (let w = 0; w < weeks; w++) await must(v.post('/demo/calendar', { id: id(), days: 7 }));
  };

  before(async function () {
    this.timeout(240_000);
    b = await bench();
    v = await b.visitor('grower');
    await pass(5);
  });
  after(() => b.close());

  it('stays on the round, what harms first, also when the season has moved the step on', async () => {
    const { missed: all, due, today } = await v.get<Round>('/round?most=1000');
    expect(all.length).to.be.above(10);
    expect(all.every((m) => m.missed.closes < today)).to.equal(true);
    // wire and covers that bite stand before what only waits
    expect(nameOf(all[0])).to.match(/wire-check|guard-off|wedges|tie-check|survival-look|emergence/);
    expect(all.some((m) => m.next !== null && m.next.opens > today)).to.equal(true);
    const both = due.filter((d) => all.some((m) => m.cohortId === d.cohortId && m.key === d.key));
    expect(both, 'nothing stands in two lists').to.deep.equal([]);
  });

  it('is not written down twice, however often the day is looked at', async () => {
    const before = (await missed()).map(nameOf);
    await pass(1);
    const after = (await missed()).map(nameOf);
    expect(after).to.include.members(before);
    const { rows } = await b.db.raw<{ rows: { n: string }[] }>(
      `SELECT cohort_id, step_key, count(*) AS n FROM standing_record WHERE kind = 'missed'
       GROUP BY 1, 2 HAVING count(*) > 1`,
    );
    expect(rows).to.deep.equal([]);
  });

  it('done on a day: recorded for that day, and gone from the list', async () => {
    const [m] = (await missed()).filter((x) => x.operation === 'guard-on');
    const on = m.missed.closes;
    const { recordId } = await must<Outcome>(answer('done', [m], on));
    expect((await missed()).map(nameOf)).not.to.include(nameOf(m));
    const { steps } = await v.get<CohortCourse>(`/cohorts/${m.cohortId}/course`);
    expect(steps.find((s) => s.key === m.key)).to.include({ status: 'done', doneOn: on });
    const again = await answer('done', [m], on);
    expect(again.statusCode).to.equal(409);
    await must(v.post(`/records/${recordId}/undo`, { id: id() }));
    expect((await missed()).map(nameOf)).to.include(nameOf(m));
  });

  it('left for its next window, or let go: many at once, undone at once', async () => {
    const all = await missed();
    const later = all.filter((m) => m.next !== null).slice(0, 2);
    await must(answer('next time', later));
    const gone = all.filter((m) => m.next === null).slice(0, 3);
    expect(new Set(gone.map((m) => m.cohortId)).size).to.be.above(1);
    const as = id();
    const { recordId } = await must<Outcome>(answer('let go', gone, null, as));
    // the same request again is the same answer
    expect((await must<Outcome>(answer('let go', gone, null, as))).recordId).to.equal(recordId);
    const left = (await missed()).map(nameOf);
    expect(left).not.to.include.members([...later, ...gone].map(nameOf));
    const { steps } = await v.get<CohortCourse>(`/cohorts/${gone[0].cohortId}/course`);
    expect(steps.find((s) => s.key === gone[0].key)!.status).to.equal('dropped');
    await must(v.post(`/records/${recordId}/undo`, { id: id() }));
    expect((await missed()).map(nameOf)).to.include.members(gone.map(nameOf));
  });

  it('what has no other window cannot be left for it; a day to come, a wrong step, a helper are refused', async () => {
    const m = (await missed()).find((x) => x.next === null)!;
    const refused = await answer('next time', [m]);
    expect(refused.statusCode).to.equal(422);
    expect(refused.json<{ errors: { field: string }[] }>().errors[0].field).to.equal('answer');
    expect((await answer('done', [m], '2039-01-01')).statusCode).to.equal(422);
    expect((await answer('done', [m])).statusCode).to.equal(422);
    expect((await answer('let go', [{ ...m, key: 'nothing' }])).statusCode).to.equal(409);
    const helper = await b.visitor('helper');
    const body = { id: id(), answer: 'let go', on: null, steps: [stepOf(m)] };
    expect((await helper.post('/missed', body)).statusCode).to.equal(403);
    expect((await missed()).map(nameOf)).to.include(nameOf(m));
  });

  it('small care lapses by itself, with a line that says so', async () => {
    const { rows } = await b.db.raw<{ rows: { cohortId: string; key: string }[] }>(
      `SELECT p.cohort_id AS "cohortId", p.key FROM course_step s
       JOIN course_step p ON p.cohort_id = s.cohort_id AND p.key = s.chain
       WHERE s.operation = 'mist' AND p.status = 'planned' AND p.ready ORDER BY p.opens LIMIT 1`,
    );
    const { cohortId, key } = rows[0];
    const { today } = await v.get<Round>('/round');
    await must(v.post('/records', workOn({ id: id(), cohortId, stepKey: key, on: today })));
    await pass(5);
    const lines = await v.get<RecordRow[]>(`/cohorts/${cohortId}/records`);
    expect(lines.filter((l) => l.kind === 'lapsed').map((l) => l.title)).to.include('Mist by day');
    expect((await missed()).map((m) => m.key)).not.to.include(`${key}.mist`);
  });

  it('what is on the plants has a line and a day, by the course or put on by hand', async () => {
    const before = await v.get<FittingLine[]>('/fittings');
    expect(before.every((f) => f.due)).to.equal(true);
    const { cohortId } = before[0];
    const { today } = await v.get<Round>('/round');
    const screw = { id: id(), what: 'screw', note: 'under the base, 40 mm', due: '2038-03-01' };
    const told = (fittings: object) =>
      v.post('/records', {
        ...workOn({ id: id(), cohortId, stepKey: null, on: today }),
        details: { fittings },
      });
    await must(told({ on: [screw], off: [] }));
    const on = (await v.get<FittingLine[]>('/fittings')).find((f) => f.id === screw.id)!;
    expect(on).to.include({ what: 'screw', due: '2038-03-01', since: today, note: 'under the base, 40 mm' });
    expect((await told({ on: [{ ...screw, id: id(), due: '2030-01-01' }], off: [] })).statusCode).to.equal(
      422,
    );
    expect((await told({ on: [{ ...screw, id: id(), what: 'toString' }], off: [] })).statusCode).to.equal(
      400,
    );
    await must(told({ on: [], off: [screw.id] }));
    expect((await v.get<FittingLine[]>('/fittings')).map((f) => f.id)).not.to.include(screw.id);
  });
});
