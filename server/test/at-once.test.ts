import { expect } from 'chai';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { Problem } from '@gonimos/contract/problem';
import { fold } from '@gonimos/core/ledger';
import { openDatabase, type Db } from '../src/db/index.ts';
import { buildApp } from '../src/app.ts';
import { readEntries } from '../src/ledger/store.ts';
import { bench, id, SECRET, seedCohort, Visitor, workshop, type Bench } from './harness.ts';

const AT_ONCE = 50;

describe('many at once, and a database that is held or away', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());
  const lost = (count: number) => ({ id: id(), type: 'lost', on: '2037-03-02', count, cause: 'frost' });
  const standing = async (cohortId: string) => [
    (await w.v.get<Cohort>(`/cohorts/${cohortId}`)).live,
    fold(await readEntries(b.db, cohortId)).live,
  ];

  it(`${AT_ONCE} entries, looks and reversals at once on one cohort all succeed, and the counts are their sum`, async () => {
    const c = await w.ready();
    const [before] = await standing(c.id);
    const other = await b.visitor('grower');
    await w.v.post(`/cohorts/${c.id}/ledger`, {
      id: id(),
      type: 'recount',
      on: '2037-03-01',
      count: 200,
      meant: true,
    });
    const entries = Array.from({ length: AT_ONCE }, () => lost(1));
    const all = await Promise.all(
      entries.map((e, i) => (i % 2 ? w.v : other).post(`/cohorts/${c.id}/ledger`, e)),
    );
    expect(all.map((r) => r.statusCode).filter((s) => s !== 200)).to.deep.equal([]);
    expect(await standing(c.id)).to.deep.equal([200 - AT_ONCE, 200 - AT_ONCE]);
    const mixed = await Promise.all([
      ...entries.slice(0, 25).map((e) => w.v.post(`/ledger/${e.id}/reverse`, { id: id(), note: '' })),
      ...Array.from({ length: 25 }, () => {
        const losses = [{ id: id(), kind: 'lost', count: 2, cause: 'slugs' }];
        return other.post('/records', { id: id(), cohortId: c.id, stepKey: null, on: '2037-03-03', losses });
      }),
    ]);
    expect(mixed.map((r) => [r.statusCode, r.body]).filter(([s]) => s !== 200)).to.deep.equal([]);
    expect(await standing(c.id)).to.deep.equal([200 - AT_ONCE + 25 - 50, 200 - AT_ONCE + 25 - 50]);
    expect(before).to.be.greaterThan(0);
  }).timeout(120_000);

  it('plants put in from one cohort to the other and back at once never stand in each other’s way', async () => {
    const x = await w.ready();
    const y = await w.ready();
    const moves = Array.from({ length: 20 }, (_, i) => {
      const [from, into] = i % 2 ? [x, y] : [y, x];
      return w.v.post(`/cohorts/${from.id}/merge`, { id: id(), intoId: into.id, count: 1, note: '' });
    });
    expect((await Promise.all(moves)).map((r) => r.statusCode).filter((s) => s !== 200)).to.deep.equal([]);
    expect([...(await standing(x.id)), ...(await standing(y.id))]).to.deep.equal([30, 30, 30, 30]);
  }).timeout(120_000);

  /** A server of its own on the same nursery, with what it is to be tried with. */
  const on = async (db: Db) => {
    const app = await buildApp({ db, secret: SECRET, demo: true });
    await app.ready();
    return { v: new Visitor(app), close: () => Promise.all([app.close(), db.destroy()]) };
  };
  const busy = (r: { statusCode: number; headers: object; json: <T>() => T }) => {
    expect(r.statusCode).to.equal(503);
    expect(Number((r.headers as Record<string, string>)['retry-after'])).to.be.within(1, 30);
    return r.json<Problem>().detail;
  };

  it('a cohort that another holds answers 503 and when to try again; later it goes through, once', async () => {
    const c = await seedCohort(w.v, 50);
    await w.v.post('/cohorts', c);
    const here = await on(openDatabase(b.url, 4, 300));
    await here.v.enter('grower');
    const holder = await b.db.transaction();
    await holder('cohort').where({ id: c.id }).forUpdate().select('id');
    const entry = { id: id(), type: 'lost_before_emergence', on: '2037-03-02', count: 5, cause: 'mice' };
    const send = () => here.v.post(`/cohorts/${c.id}/ledger`, entry);
    expect(busy(await send())).to.match(/Someone else.*Nothing was written/);
    await holder.rollback();
    expect([(await send()).statusCode, (await send()).statusCode]).to.deep.equal([200, 200]);
    expect((await w.v.get<Cohort>(`/cohorts/${c.id}`)).pending).to.equal(45);
    await here.close();
  });

  it('while the database is away every answer is 503; “nothing was written” is said only where it is known', async () => {
    const c = await w.ready();
    const here = await on(openDatabase(b.url, 4));
    await here.v.enter('grower');
    // the connection is ended while the write waits for its cohort: rolled back, and that is known
    const holder = await b.db.transaction();
    await holder('cohort').where({ id: c.id }).forUpdate().select('id');
    const sent = here.v.post(`/cohorts/${c.id}/ledger`, lost(1));
    await b.db.raw('SELECT pg_sleep(0.3)');
    await b.db.raw(
      `SELECT pg_terminate_backend(pid) FROM pg_stat_activity
       WHERE datname = current_database() AND wait_event_type = 'Lock'`,
    );
    expect(busy(await sent)).to.match(/does not answer.*Nothing was written/);
    await holder.rollback();
    await here.close();
    // nothing listens there: nobody knows anything of a write, and reading says no more than that
    const gone = new URL(b.url);
    gone.port = '1';
    const nowhere = await on(openDatabase(gone.href, 2));
    const told = busy(await nowhere.v.send('GET', '/api/session'));
    expect(told)
      .to.match(/does not answer/)
      .and.not.to.match(/written/);
    await nowhere.close();
  }).timeout(60_000);
});
