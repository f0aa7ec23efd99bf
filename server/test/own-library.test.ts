import { expect } from 'chai';
import type { CohortCourse } from '@gonimos/contract/course';
import type { OwnLibrary, OwnVersion } from '@gonimos/contract/own';
import type { Planning } from '@gonimos/contract/planning';
import type { Programme } from '@gonimos/core/programmes';
import { editOfOperation, editOfTaxon, holdOwn } from '@gonimos/core/library';
import { operation } from '@gonimos/core/operations';
import { taxon } from '@gonimos/core/taxa';
import { OWN_LIBRARY } from '@gonimos/contract/headers';
import { openCrew } from '../src/planning/crew.ts';
import { workOff } from '../src/planning/due.ts';
import { bench, id, must, refusal, seedCohort, workshop, type Bench } from './harness.ts';

describe('operations and taxa of one’s own', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async function () {
    this.timeout(120_000);
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  const potOn = (more: object = {}, minutes = 9) => ({
    id: id(),
    ownId: 'pot-on',
    like: 'pot-on',
    basedOn: 0,
    edit: { ...editOfOperation(operation('pot-on')), minutes },
    ...more,
  });
  const field = async () => {
    const c = await seedCohort(w.v, 40, { taxonId: 'acer-campestre' });
    await must(w.v.post('/cohorts', c));
    return c.id;
  };
  const minutesOf = async (cohortId: string) =>
    (await w.v.get<CohortCourse>(`/cohorts/${cohortId}/course`)).steps.find((s) => s.operation === 'pot-on')!
      .minutes;

  it('plan every course anew, here and on threads of their own, and say why', async function () {
    this.timeout(60_000);
    const cohortId = await field();
    const before = await minutesOf(cohortId);
    const sent = potOn();
    const kept = await must<{ version: number }>(w.v.post('/own-operations', sent));
    expect(kept.version).to.equal(1);
    // the same write again is the same version
    expect(await must(w.v.post('/own-operations', sent))).to.deep.equal(kept);
    const state = await w.v.get<Planning>('/planning');
    expect(state.cause).to.equal('the operation ‘Pot on’ became version 1');
    expect(state.left).to.equal(state.of);
    await workOff(b.app);
    const after = await minutesOf(cohortId);
    expect(after).to.be.above(before);
    // a thread was started by nobody's question: it asks the database what is in force
    await must(w.v.post('/own-operations', potOn({ basedOn: 1 }, 18)));
    const crew = openCrew(b.url);
    await crew.workOff(() => false);
    await crew.close();
    expect(await minutesOf(cohortId)).to.equal(2 * after);
  });

  it('keep one of two versions written at once, and tell the other', async () => {
    const both = await Promise.all([1, 2].map((n) => w.v.post('/own-operations', potOn({ basedOn: 2 }, n))));
    expect(both.map((r) => r.statusCode).sort()).to.deep.equal([200, 409]);
    const versions = await w.v.get<OwnVersion[]>('/own-library/versions');
    expect(versions.filter((v) => v.id === 'pot-on').map((v) => v.version)).to.deep.equal([3, 2, 1]);
    expect(versions[0].by).to.be.a('string').and.not.equal('nobody');
  });

  it('go back to the library’s; a copy stays, since programmes may hold it', async () => {
    const library = { id: id(), kind: 'operation', ownId: 'pot-on', basedOn: 3 };
    await must(w.v.post('/own-library/let-go', library));
    const { own } = await w.v.get<OwnLibrary>('/own-library');
    expect(own).to.deep.equal([]);
    expect(operation('pot-on').minutes.basis).to.equal('common practice');
    await must(
      w.v.post(
        '/own-operations',
        potOn({ ownId: 'pot-deep', basedOn: 0, edit: { ...potOn().edit, name: 'Pot deep' } }),
      ),
    );
    const gone = { ...library, id: id(), ownId: 'pot-deep', basedOn: 1 };
    await refusal(w.v.post('/own-library/let-go', gone), 'is not in the library');
  });

  it('serve as ours do: a kind of one’s own is sown, potted on by work of one’s own, and read from a file', async function () {
    this.timeout(60_000);
    const dwarf = {
      ...editOfTaxon(taxon('acer-campestre')),
      name: 'Dwarf field maple',
      botanical: 'Acer campestre ‘Dwarf’',
      code: 'DF',
      pace: 'slow',
      hardyTo: -3,
    };
    await must(
      w.v.post('/own-taxa', {
        id: id(),
        ownId: 'dwarf-maple',
        like: 'acer-campestre',
        basedOn: 0,
        edit: dwarf,
      }),
    );
    const { programme } = await w.v.get<{ programme: Programme }>('/programmes/seed-broadleaf');
    const { id: _id, ...body } = programme;
    const steps = body.steps.map((s) => (s.operation === 'pot-on' ? { ...s, operation: 'pot-deep' } : s));
    const save = {
      id: id(),
      programmeId: 'deep',
      basedOn: 0,
      copyOf: 'seed-broadleaf',
      programme: { ...body, name: 'Deep', steps },
    };
    await must(w.v.post('/programmes', save));
    const c = await seedCohort(w.v, 40, { taxonId: 'dwarf-maple', programmeId: 'deep' });
    await must(w.v.post('/cohorts', c));
    const course = await w.v.get<CohortCourse>(`/cohorts/${c.id}/course`);
    expect(course.steps.find((s) => s.operation === 'pot-deep')).to.include({
      lane: 'container',
      status: 'planned',
    });
    // hardy to −3 °C by our own word: it is to be brought in, as the field maple is not
    expect(course.steps.some((s) => s.operation === 'bring-in')).to.equal(true);
    const sheltered = async (cohortId: string) =>
      (await w.v.get<CohortCourse>(`/cohorts/${cohortId}/course`)).steps.some(
        (s) => s.operation === 'bring-in',
      );
    expect(await sheltered(await field())).to.equal(false);
    const csv = (await w.v.send('GET', '/api/files/cohorts.csv')).body;
    const line = csv.split('\n').find((l) => l.includes(c.code))!;
    expect(line).to.contain('Acer campestre ‘Dwarf’');
    // the file names the kind as a grower does: read back under another code it is the same kind
    const again = [csv.split('\n')[0], line.replace(c.code, 'DF-99')].join('\n');
    await must(w.v.post('/files/cohorts', { id: id(), importId: id(), csv: again }));
  });

  it('say what is wrong by field, and hold in this database alone', async () => {
    const never = { any: { kind: 'lag', opens: 30, closes: 3 } };
    const bad = (edit: object) =>
      w.v.post('/own-operations', potOn({ ownId: 'bad', edit: { ...potOn().edit, ...edit } }));
    await refusal(bad({ windows: never }), 'edit.windows.any');
    await refusal(bad({ windows: { nothing: never.any } }), 'nothing');
    await refusal(bad({ rootLoss: 1.2 }), 'edit.rootLoss');
    await refusal(bad({ minutes: '1,000' }), 'edit.minutes');
    await refusal(bad({ asks: [] }), 'asks');
    expect((await (await b.visitor('helper')).post('/own-operations', potOn())).statusCode).to.equal(403);
    const other = await bench();
    const there = await other.visitor('grower');
    const answer = await there.send('GET', '/api/own-library');
    expect(answer.json<OwnLibrary>().own).to.deep.equal([]);
    expect(answer.headers[OWN_LIBRARY]).to.equal('0');
    await refusal(
      there.post('/cohorts', await seedCohort(there, 5, { taxonId: 'dwarf-maple' })),
      'is not in the library',
    );
    await other.close();
    // and here again
    expect((await w.v.get<OwnLibrary>('/own-library')).own.map((o) => o.id)).to.deep.equal([
      'pot-deep',
      'dwarf-maple',
    ]);
    holdOwn([]);
  });
});
