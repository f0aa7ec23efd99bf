import { expect } from 'chai';
import { fold } from '@gonimos/core/ledger';
import { migrate, openDatabase } from '../src/db/index.ts';
import { houseOf } from '../src/house.ts';
import { loadDemo } from '../src/demo/nursery.ts';
import { readEntries } from '../src/ledger/store.ts';
import { freshDatabase, id } from './harness.ts';
import { endServer, freePort, serve } from './serve.ts';

const WRITES = 500;

async function enter(base: string) {
  const first = await fetch(`${base}/api/session`);
  const cookieOf = (...all: Response[]) =>
    all.flatMap((r) => r.headers.getSetCookie().map((c) => c.split(';')[0])).join('; ');
  const { csrf } = (await first.json()) as { csrf: string };
  const headers = { 'content-type': 'application/json', 'x-csrf-token': csrf, cookie: cookieOf(first) };
  const signed = await fetch(`${base}/api/session/demo`, {
    method: 'POST',
    headers,
    body: '{"role":"grower"}',
  });
  return {
    ...headers,
    cookie: cookieOf(first, signed),
    'x-csrf-token': ((await signed.json()) as { csrf: string }).csrf,
  };
}

describe('the server killed in the middle of writing', () => {
  it(`${WRITES} concurrent writes and SIGKILL: nothing acknowledged is lost, nothing half written`, async () => {
    const made = await freshDatabase();
    const db = openDatabase(made.url, 4);
    await migrate(made.url);
    await loadDemo(houseOf(db));
    const cohorts: { id: string; live: number }[] = await db('cohort')
      .where('live', '>', 20)
      .select('id', 'live');
    const port = await freePort();
    const base = `http://127.0.0.1:${port}`;
    const server = await serve(made.url, port);
    const headers = await enter(base);

    const acknowledged = new Set<string>();
    const sent: string[] = [];
    let killed = false;
    await Promise.all(
      Array.from({ length: WRITES }, async (_, i) => {
        const record = {
          id: id(),
          cohortId: cohorts[i % cohorts.length].id,
          stepKey: null,
          on: '2037-03-09',
          losses: [
            { id: id(), kind: 'lost', count: 1, cause: 'frost' },
            { id: id(), kind: 'culled', count: 1, cause: 'weak' },
          ],
          note: `write ${i}`,
        };
        sent.push(record.id);
        try {
          const r = await fetch(`${base}/api/records`, {
            method: 'POST',
            headers,
            body: JSON.stringify(record),
          });
          await r.text();
          if (r.status === 200) acknowledged.add(record.id);
        } catch {
          // the connection fell with the server: this write was never acknowledged
        }
        if (acknowledged.size >= 60 && !killed) {
          killed = true;
          server.kill('SIGKILL');
        }
      }),
    );
    expect(killed).to.equal(true);
    expect(acknowledged.size).to.be.within(60, WRITES - 1);
    console.log(`      acknowledged ${acknowledged.size} of ${WRITES} before the kill`);

    const kept = new Set<string>(await db('record').whereIn('id', sent).pluck('id'));
    const lost = [...acknowledged].filter((a) => !kept.has(a));
    expect(lost, 'acknowledged and lost').to.deep.equal([]);
    const halves = await db('record as r')
      .whereIn('r.id', sent)
      .whereRaw(
        `((SELECT count(*) FROM ledger_entry l WHERE l.record_id = r.id) <> 2
                 OR NOT EXISTS (SELECT 1 FROM write_receipt w WHERE w.id = r.id AND w.reply IS NOT NULL))`,
      )
      .pluck('r.id');
    expect(halves, 'half written').to.deep.equal([]);
    const orphans = await db('ledger_entry as l')
      .whereIn('l.record_id', sent)
      .whereNotIn('l.record_id', [...kept]);
    expect(orphans).to.deep.equal([]);
    for (const c of cohorts) {
      const { live } = await db('cohort').where({ id: c.id }).first('live');
      expect(fold(await readEntries(db, c.id)).live).to.equal(live);
    }

    const again = await serve(made.url, port);
    const health = await fetch(`${base}/api/health`);
    expect(health.status).to.equal(200);
    await endServer(again);
    await db.destroy();
    await made.drop();
  }).timeout(120_000);
});
