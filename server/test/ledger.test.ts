import { expect } from 'chai';
import fc from 'fast-check';
import { addDays } from '@gonimos/core/calendar';
import { conserved, fold, LedgerError, type EntryType, type LedgerEntry } from '@gonimos/core/ledger';
import { readEntries } from '../src/ledger/store.ts';
import { bench, id, seedCohort, type Bench, type Visitor } from './harness.ts';

describe('ledger in the database', () => {
  let b: Bench;
  let grower: Visitor;
  before(async () => {
    b = await bench();
    grower = await b.visitor('grower');
  });
  after(() => b.close());

  const refused = async (sql: string, code: string) => {
    const error = await b.db.raw(sql).then(
      () => null,
      (e: { code: string }) => e,
    );
    expect(error, sql).not.to.equal(null);
    expect(error!.code).to.equal(code);
  };

  it('cannot be changed, deleted or emptied, not even by hand', async () => {
    for (const table of ['ledger_entry', 'record']) {
      await refused(`UPDATE ${table} SET note = 'x'`, 'GN001');
      await refused(`DELETE FROM ${table}`, 'GN001');
      await refused(`TRUNCATE ${table} CASCADE`, 'GN001');
    }
  });

  it('keeps every stored count of the demo equal to the core’s fold', async () => {
    const cohorts = await b.db('cohort').select('id', 'code', 'live', 'pending', 'emerged');
    expect(cohorts.length).to.be.at.least(10);
    for (const c of cohorts) {
      const s = fold(await readEntries(b.db, c.id));
      expect([s.live, s.pending, s.emerged], c.code).to.deep.equal([c.live, c.pending, c.emerged]);
    }
  });

  it('property: whatever is tried, database and core agree on what is refused and on every count', async () => {
    const place = (await b.db('place').first('id'))!.id;
    const template = (await b.db('cohort').first())!;
    const blank = async (unit: string) => {
      const own = id();
      const { live: _l, pending: _p, emerged: _e, growing: _g, programmeDigest: _d, ...kept } = template;
      const row = { ...kept, id: own, code: own.slice(0, 12), placeId: place, method: unit };
      await b.db('cohort').insert({ ...row, programme: JSON.stringify(kept.programme) });
      return own;
    };
    const step = fc.record({
      type: fc.constantFrom<EntryType>(
        'emerged',
        'lost_before_emergence',
        'severed',
        'lost',
        'recount',
        'promoted',
        'split_out',
        'reversed',
      ),
      count: fc.integer({ min: 0, max: 14 }),
      day: fc.integer({ min: 0, max: 30 }),
      pick: fc.nat(20),
    });
    const one = await blank('seed');
    const two = await blank('seed');
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: 30 }),
        fc.array(step, { maxLength: 6 }),
        async (start, steps) => {
          // each run happens in a transaction of its own that is taken back at the end
          const trx = await b.db.transaction();
          try {
            let seq = 0;
            const mine: LedgerEntry[] = [];
            const tryAll = async (entries: LedgerEntry[]) => {
              let coreSays = true;
              try {
                for (const c of [one, two]) fold([...mine, ...entries].filter((e) => e.cohortId === c));
              } catch (error) {
                expect(error).to.be.instanceOf(LedgerError);
                coreSays = false;
              }
              const rows = entries.map((e) => ({
                id: e.id,
                cohortId: e.cohortId,
                type: e.type,
                onDate: e.on,
                toDate: e.on,
                count: e.count,
                unit: e.unit ?? null,
                reverses: e.reverses ?? null,
                transferId: e.transferId ?? null,
              }));
              const databaseSays = await trx
                .transaction((inner) => inner('ledger_entry').insert(rows))
                .then(() => true)
                .catch(() => false);
              expect(databaseSays).to.equal(coreSays);
              if (coreSays) mine.push(...entries);
            };
            const entry = (
              cohortId: string,
              type: EntryType,
              count: number,
              on: string,
              more = {},
            ): LedgerEntry => ({
              id: id(),
              cohortId,
              type,
              on,
              count,
              seq: ++seq,
              ...more,
            });
            await tryAll([
              entry(one, 'started', start, '2037-01-01', { unit: start % 2 ? 'layer' : 'seed' }),
              entry(two, 'started', 5, '2037-01-01', { unit: 'plant' }),
            ]);
            for (const s of steps) {
              const on = addDays('2037-01-01', s.day);
              const target = mine[s.pick % Math.max(1, mine.length)];
              if (s.type === 'reversed') {
                if (!target?.transferId)
                  await tryAll([entry(target.cohortId, 'reversed', 0, target.on, { reverses: target.id })]);
              } else if (s.type === 'split_out') {
                const transferId = id();
                await tryAll([
                  entry(one, 'split_out', s.count, on, { transferId }),
                  entry(two, 'split_in', s.count, on, { transferId }),
                ]);
              } else await tryAll([entry(one, s.type, s.count, on)]);
            }
            for (const c of [one, two]) {
              const stored = (await trx('cohort').where({ id: c }).first('live', 'pending', 'emerged'))!;
              const { live, pending, emerged } = fold(mine.filter((e) => e.cohortId === c));
              expect(stored).to.deep.equal({ live, pending, emerged });
              expect(stored.live).to.be.at.least(0);
            }
            expect(conserved(mine)).to.equal(true);
            await trx.raw('SET CONSTRAINTS ALL IMMEDIATE');
          } finally {
            await trx.rollback();
          }
        },
      ),
      { numRuns: 1000 },
    );
  }).timeout(240_000);

  it('refuses half a split at commit', async () => {
    const c = (await b.db('cohort').where('live', '>', 5).first('id'))!;
    const error = await b
      .db('ledger_entry')
      .insert({
        id: id(),
        cohortId: c.id,
        type: 'split_out',
        onDate: '2037-03-09',
        toDate: '2037-03-09',
        count: 1,
        transferId: id(),
      })
      .then(
        () => null,
        (e: { code: string }) => e,
      );
    expect(error!.code).to.equal('GN004');
  });

  it('counts a request once, however often and at once it is sent', async () => {
    const cohort = await seedCohort(grower);
    const five = await Promise.all(Array.from({ length: 5 }, () => grower.post('/cohorts', cohort)));
    expect(five.map((r) => r.statusCode)).to.deep.equal([200, 200, 200, 200, 200]);
    const entry = { id: id(), type: 'lost_before_emergence', on: '2037-03-05', count: 4, cause: 'eaten' };
    const again = await Promise.all(
      Array.from({ length: 5 }, () => grower.post(`/cohorts/${cohort.id}/ledger`, entry)),
    );
    expect(new Set(again.map((r) => r.body)).size).to.equal(1);
    const now = await grower.get<{ pending: number }>(`/cohorts/${cohort.id}`);
    expect(now.pending).to.equal(116);
    const other = await grower.post(`/cohorts/${cohort.id}/ledger`, { ...entry, count: 5 });
    expect(other.statusCode).to.equal(409);
  });

  it('splits and promotes through the interface without losing a plant', async () => {
    const from = (await b.db('cohort').where({ code: 'HB-36' }).first('id', 'live', 'placeId'))!;
    const part = { id: id(), newId: id(), newCode: 'HB-36B', placeId: from.placeId, count: 10 };
    const one = { newId: id(), newCode: 'HB-36-01' };
    expect((await grower.post(`/cohorts/${from.id}/split`, part)).statusCode).to.equal(200);
    expect(
      (await grower.post(`/cohorts/${from.id}/promote`, { id: id(), ...one, tag: 'HB-36·01' })).statusCode,
    ).to.equal(200);
    expect((await grower.get<{ live: number }>(`/cohorts/${one.newId}`)).live).to.equal(1);
    const [rest, off] = await Promise.all(
      [from.id, part.newId].map((c) =>
        grower.get<{ live: number; rings: unknown[]; plants: unknown[] }>(`/cohorts/${c}`),
      ),
    );
    expect([rest.live, off.live, rest.plants.length]).to.deep.equal([from.live - 11, 10, 1]);
    const [a, c] = await Promise.all(
      [from.id, part.newId].map((x) =>
        grower.get<{ steps: { key: string; status: string }[] }>(`/cohorts/${x}/course`),
      ),
    );
    expect(
      c.steps.map((s) => s.status),
      'the part keeps the history of the whole',
    ).to.deep.equal(a.steps.map((s) => s.status));
    const out = (await b.db('ledger_entry').where({ transferId: part.id, type: 'split_out' }).first('id'))!;
    expect((await grower.post(`/ledger/${out.id}/reverse`, { id: id() })).statusCode).to.equal(200);
    expect((await grower.get<{ live: number }>(`/cohorts/${part.newId}`)).live).to.equal(0);
  });
});
