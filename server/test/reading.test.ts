import { expect } from 'chai';
import type { CohortRow } from '@gonimos/contract/cohorts';
import type { Round } from '@gonimos/contract/round';
import { bench, id, workshop, type Bench, type Visitor } from './harness.ts';

/** Answers that cost much, as the screens ask for them. */
const ASKED = [
  '/round?most=40',
  '/round/open',
  '/warnings',
  '/year?weeks=52',
  '/beds',
  '/beds/room',
  '/beds/full',
  '/beds/winter',
  '/goals',
  '/mixes',
  '/fittings',
];

describe('answers that have not changed', () => {
  let b: Bench;
  let [v, other]: Visitor[] = [];
  let cohort = '';
  before(async () => {
    b = await bench();
    const w = await workshop(b);
    [v, other] = [w.v, w.owner];
    const many = (await v.get<CohortRow[]>('/cohorts')).find((c) => c.live > 50)!;
    cohort = many.id;
  });
  after(() => b.close());

  const ask = async (who: Visitor, url: string, tag?: string) => {
    const { statusCode, headers, body } = await who.send(
      'GET',
      `/api${url}`,
      undefined,
      tag ? { 'if-none-match': tag } : {},
    );
    return { status: statusCode, tag: String(headers.etag), body };
  };
  /**
   * The tag of an answer that was asked for again and had not changed. Transactions are counted over a whole cluster,
   * and other suites write beside this one: it is asked until none did in between.
   */
  const unchanged = async (url: string): Promise<string> => {
    for (let tries = 0; tries < 60; tries++) {
      const first = await ask(v, url);
      expect(first.status, url).to.equal(200);
      const again = await ask(v, url, first.tag);
      if (again.status !== 304) continue;
      expect([again.body, again.tag], url).to.deep.equal(['', first.tag]);
      return first.tag;
    }
    throw new Error(`${url} is worked out anew each time`);
  };
  /** Something small that every one of the answers may hang on. */
  const write = async () => {
    const entry = { id: id(), type: 'lost', on: '2037-03-09', count: 1, cause: 'frost' };
    const { statusCode, body } = await v.post(`/cohorts/${cohort}/ledger`, entry);
    expect(statusCode, body).to.equal(200);
  };

  it('are told as such to who asked before, and worked out anew for everybody after any write', async () => {
    for (const url of ASKED) {
      const tag = await unchanged(url);
      expect((await ask(other, url, tag)).status, `${url} asked by another`).to.equal(200);
      await write();
      expect((await ask(v, url, tag)).status, `${url} after a write`).to.equal(200);
      await unchanged(url);
    }
  });

  it('what was written while an answer was worked out, and kept after it, is not missed', async () => {
    const trx = await b.db.transaction();
    await trx('nursery').update({ name: 'Renamed meanwhile' });
    const meanwhile = await unchanged('/round?most=40');
    await trx.commit();
    expect((await ask(v, '/round?most=40', meanwhile)).status).to.equal(200);
  });

  it('the register hangs on less: a write of what it does not show leaves it as it was', async () => {
    const { tag } = await ask(v, '/cohorts');
    await b.db('nursery').update({ name: 'Renamed again' });
    expect((await ask(v, '/cohorts', tag)).status).to.equal(304);
    await write();
    expect((await ask(v, '/cohorts', tag)).status).to.equal(200);
  });

  it('an answer is of one state: what is written while it is being read is in no part of it', async () => {
    const shortOf = async () => (await v.get<Round>('/round?most=40')).short;
    const before = await shortOf();
    // holds the answer up between its steps and its shelves
    const wall = await b.db.transaction();
    await wall.raw('LOCK TABLE station_reading IN ACCESS EXCLUSIVE MODE');
    const reading = shortOf();
    await b.db.raw(`DO $$ BEGIN WHILE NOT EXISTS (SELECT FROM pg_locks WHERE NOT granted) LOOP
      PERFORM pg_sleep(0.01); END LOOP; END $$`);
    await b.db('container_stock').update({ counted: 0 });
    await wall.commit();
    expect(await reading).to.deep.equal(before);
    expect((await shortOf()).length).to.be.above(before.length);
  });

  it('what every page tells of the day is what the round says of it', async () => {
    const round = await v.get<Round>('/round?most=1');
    expect(round.open).to.be.above(5);
    expect(await v.get('/round/open')).to.deep.equal({ open: round.open });
    expect(round.warnings.length).to.be.above(0);
    expect(await v.get('/warnings')).to.deep.equal(round.warnings);
  });
});
