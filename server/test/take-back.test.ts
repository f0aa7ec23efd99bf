import { expect } from 'chai';
import fc from 'fast-check';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { CohortCourse } from '@gonimos/contract/course';
import type { RecordRow } from '@gonimos/contract/records';
import { container } from '@gonimos/core/containers';
import { fold } from '@gonimos/core/ledger';
import { operation } from '@gonimos/core/operations';
import { readEntries } from '../src/ledger/store.ts';
import { bench, id, must, seedCohort, type Bench, type Visitor } from './harness.ts';

const TODAY = '2037-03-09';
/** Ways plants begin, each far enough back for its steps to be recorded one after another. */
const BEGINNINGS = [
  { taxonId: 'acer-campestre', programmeId: 'seed-broadleaf', container: 'seed-flat', started: '2033-03-01' },
  {
    taxonId: 'pinus-sylvestris',
    programmeId: 'seedling-cutting-pine',
    container: 'seed-flat',
    started: '2034-03-10',
  },
  {
    taxonId: 'ligustrum-ovalifolium',
    programmeId: 'cutting-broadleaf',
    container: 'cutting-tray',
    started: '2034-06-20',
  },
  { taxonId: 'carpinus-betulus', programmeId: 'seed-ground', container: 'seed-flat', started: '2032-03-01' },
  { taxonId: 'tilia-cordata', programmeId: 'bare-root-sale', container: 'seed-flat', started: '2033-03-01' },
];

describe('whatever was recorded is taken back whole', () => {
  let b: Bench;
  let v: Visitor;
  before(async () => {
    b = await bench();
    v = await b.visitor('grower');
  });
  after(() => b.close());

  /** All that a record may change of a cohort and its course. */
  const standing = async (cohortId: string) => {
    const c = await v.get<Cohort>(`/cohorts/${cohortId}`);
    const { steps } = await v.get<CohortCourse>(`/cohorts/${cohortId}/course`);
    return {
      live: c.live,
      pending: c.pending,
      container: c.container,
      placeId: c.placeId,
      viability: c.viability,
      quarantine: c.quarantine,
      buds: c.buds,
      steps: steps.map((s) => [s.key, s.status, s.opens, s.closes, s.container, s.doneOn ?? null]),
    };
  };

  /** A record of a step as it might be told: `luck` 0..1 decides how many live and what is measured. */
  const told = (cohortId: string, c: Cohort, s: CohortCourse['steps'][number], luck: number) => {
    const asks = new Set<string>(operation(s.operation).asks);
    const some = (n: number) => Math.round(n * luck);
    const lost = Math.min(c.live > 1 ? some(c.live * 0.2) : 0, Math.max(0, c.live - 1));
    return {
      id: id(),
      cohortId,
      stepKey: s.key,
      on: TODAY,
      finished: true,
      note: `by luck ${luck.toFixed(2)}`,
      details: {
        ...(asks.has('emergence') ? { emergence: { emerged: Math.max(1, some(c.pending * 0.8)) } } : {}),
        ...(asks.has('container') && s.container ? { potting: { container: s.container } } : {}),
        ...(asks.has('sizes')
          ? { sizes: { calipers: [4 + 20 * luck, 6 + 20 * luck], heights: [200 + 500 * luck] } }
          : {}),
        ...(asks.has('alive') ? { survival: { alive: c.live - lost } } : {}),
        looks: { vigour: 1 + some(4) },
      },
      losses:
        lost > 0 && !asks.has('emergence') && !asks.has('alive')
          ? [{ id: id(), kind: luck > 0.5 ? 'culled' : 'lost', count: lost, cause: 'weak' }]
          : [],
      minutes: some(90),
    };
  };

  it('property: step after step recorded, then undone from the last: each time all is as it was before it', async () => {
    let recorded = 0;
    const lucks = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 9 });
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...BEGINNINGS), lucks, async (beginning, fortune) => {
        const cohort = await seedCohort(v, 80, beginning);
        await must(v.post('/cohorts', cohort));
        const stack: { before: unknown; undo: string }[] = [];
        for (const luck of fortune) {
          const { steps } = await v.get<CohortCourse>(`/cohorts/${cohort.id}/course`);
          const open = steps.filter((s) => s.status === 'planned' && s.ready);
          if (open.length === 0) break;
          const step = open[Math.floor(luck * open.length * 0.999)];
          const c = await v.get<Cohort>(`/cohorts/${cohort.id}`);
          const before = await standing(cohort.id);
          if (operation(step.operation).asks.includes('rooted')) {
            // a check of cuttings: some rooted, the rest dead, the rooted potted at once
            const rooted = Math.max(1, Math.round(c.live * luck));
            const check = {
              id: id(),
              cohortId: cohort.id,
              stepKey: step.key,
              on: TODAY,
              note: '',
              minutes: null,
              batches: [{ name: '', rooted, callus: 0, dead: c.live - rooted }],
            };
            await must(v.post('/checks', check));
            stack.push({ before, undo: check.id });
          } else {
            const record = told(cohort.id, c, step, luck);
            await must(v.post('/records', record));
            stack.push({ before, undo: record.id });
          }
          recorded++;
          // what the database counts is what the core folds
          const now = await v.get<Cohort>(`/cohorts/${cohort.id}`);
          const folded = fold(await readEntries(b.db, cohort.id));
          expect([folded.live, folded.pending]).to.deep.equal([now.live, now.pending]);
          expect(() => container(now.container)).to.not.throw();
        }
        for (const { before, undo } of stack.reverse()) {
          await must(v.post(`/records/${undo}/undo`, { id: id() }));
          expect(await standing(cohort.id)).to.deep.equal(before);
          expect((await v.post(`/records/${undo}/undo`, { id: id() })).statusCode, 'once').to.equal(409);
        }
        // all of it stays to be read, and says that it was taken back
        const rows = await v.get<RecordRow[]>(`/cohorts/${cohort.id}/records`);
        const mine = rows.filter((r) => stack.some((x) => x.undo === r.id));
        expect(mine.map((r) => r.undone)).to.deep.equal(mine.map(() => true));
        expect(mine.length).to.equal(stack.length);
      }),
      { numRuns: 15 },
    );
    expect(recorded, 'enough was recorded for this to mean something').to.be.above(40);
  }).timeout(120_000);

  it('a record taken back in the middle leaves what was done after it, or says why it cannot', async () => {
    const cohort = await seedCohort(v, 80, BEGINNINGS[0]);
    await must(v.post('/cohorts', cohort));
    const up = {
      id: id(),
      cohortId: cohort.id,
      stepKey: 'emergence',
      on: '2033-05-01',
      details: { emergence: { emerged: 60 } },
    };
    await must(v.post('/records', up));
    const potted = {
      id: id(),
      cohortId: cohort.id,
      stepKey: 'cells',
      on: '2033-06-10',
      details: { potting: { container: 'cell-60' } },
    };
    await must(v.post('/records', potted));
    await must(
      v.post(`/cohorts/${cohort.id}/ledger`, {
        id: id(),
        type: 'sold',
        on: '2035-04-01',
        count: 12,
        note: 'spring market',
        cause: null,
      }),
    );
    // twelve were sold of those that came up: without them there were none to sell
    const refused = await v.post(`/records/${up.id}/undo`, { id: id() });
    expect(refused.statusCode).to.be.within(400, 422);
    expect(refused.body).to.match(/more plants would leave than are alive/);
    expect(await v.get<Cohort>(`/cohorts/${cohort.id}`)).to.include({ live: 48, container: 'cell-60' });
    // the potting can be taken back: they are in the flat again, and as many
    await must(v.post(`/records/${potted.id}/undo`, { id: id() }));
    expect(await v.get<Cohort>(`/cohorts/${cohort.id}`)).to.include({ live: 48, container: 'seed-flat' });
  });
});
