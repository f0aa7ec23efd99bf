import { expect } from 'chai';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fold } from '@gonimos/core/ledger';
import { openDatabase, type Db } from '../src/db/index.ts';
import { readEntries } from '../src/ledger/store.ts';
import { id } from './harness.ts';
import { endServer, freePort, serve } from './serve.ts';

/** A cluster of its own that keeps its promises: that of the other tests runs without waiting for the disk. */
interface Cluster {
  url: string;
  folder: string;
}
const LIBRARY = new URL('../../scripts/lib/postgres.mjs', import.meta.url).href;
const startCluster = async (folder: string) => {
  const { startCluster: start } = (await import(LIBRARY)) as {
    startCluster: (f: string) => Promise<Cluster>;
  };
  return start(folder);
};

const postmasterOf = (c: Cluster): number =>
  Number(readFileSync(join(c.folder, 'cluster/postmaster.pid'), 'utf8').split('\n')[0]);

/** Waits until nothing is left of a process; its children see by themselves that it has fallen. */
async function gone(pid: number): Promise<void> {
  for (;;) {
    try {
      process.kill(pid, 0);
    } catch {
      return wait(1500);
    }
    await wait(100);
  }
}

const COHORTS = 20;
const WRITERS = 9;
/** Writes acknowledged before the first fall, between the two, and after the second. */
const EACH = 60;
const PASSWORD = 'seven rows of hornbeam';

class Client {
  private headers: Record<string, string> = { 'content-type': 'application/json' };
  constructor(readonly base: string) {}
  async send(method: string, path: string, body?: unknown): Promise<Response> {
    const r = await fetch(`${this.base}/api${path}`, {
      method,
      headers: this.headers,
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const cookies = new Map((this.headers.cookie ?? '').split('; ').map((c) => [c.split('=')[0], c]));
    for (const c of r.headers.getSetCookie()) cookies.set(c.split('=')[0], c.split(';')[0]);
    this.headers.cookie = [...cookies.values()].filter(Boolean).join('; ');
    return r;
  }
  /** As `send`, for what has to go well. */
  async must<T>(method: string, path: string, body?: unknown): Promise<T> {
    const r = await this.send(method, path, body);
    const text = await r.text();
    if (!r.ok) throw new Error(`${path}: ${r.status} ${text}`);
    return JSON.parse(text) as T;
  }
  async token(path: string, body?: unknown): Promise<void> {
    const { csrf } = await this.must<{ csrf: string }>(body ? 'POST' : 'GET', path, body);
    this.headers['x-csrf-token'] = csrf;
  }
}

/** A nursery with its owner and cohorts to write to; the ids of the cohorts. */
async function begin(owner: Client): Promise<string[]> {
  await owner.token('/session');
  const months = (winter: number, summer: number) =>
    Array.from(
      { length: 12 },
      (_, m) => winter + ((summer - winter) * (1 - Math.cos((m / 6) * Math.PI))) / 2,
    );
  await owner.token('/owner', {
    name: 'Ines Tessary',
    password: PASSWORD,
    nursery: 'Tessary Bank',
    latitude: 43.2,
    longitude: -1.4,
    elevation: 310,
    timeZone: 'Europe/Paris',
    tmin: months(1, 13),
    tmax: months(9, 25),
    spreadWinter: 3,
    spreadSummer: 2.3,
    wetFrom: null,
  });
  const [place] = await owner.must<{ id: string }[]>('GET', '/places');
  const ids: string[] = [];
  for (let i = 0; i < COHORTS; i++) {
    const cohort = {
      id: id(),
      code: `HB-${i + 10}`,
      taxonId: 'carpinus-betulus',
      programmeId: 'seed-broadleaf',
      placeId: place.id,
      container: 'cell-60',
      started: '2024-03-01',
      count: 500,
      standsAt: 'correct',
    };
    await owner.must('POST', '/cohorts', cohort);
    ids.push(cohort.id);
  }
  return ids;
}

const record = (cohortId: string) => ({
  id: id(),
  cohortId,
  stepKey: null,
  on: '2026-06-01',
  losses: [
    { id: id(), kind: 'lost', count: 1, cause: 'frost' },
    { id: id(), kind: 'culled', count: 1, cause: 'weak' },
  ],
});

/** Writes until told to end; what got no answer is sent again as it was, as the interface does. */
async function writer(
  base: string,
  cohorts: string[],
  turn: number,
  told: Set<string>,
  ended: () => boolean,
) {
  let open: ReturnType<typeof record> | null = null;
  let me: Client | null = null;
  for (let i = turn; !ended();) {
    open ??= record(cohorts[i % cohorts.length]);
    try {
      if (!me) {
        const fresh = new Client(base);
        await fresh.token('/session');
        await fresh.token('/session', { name: 'Ines Tessary', password: PASSWORD });
        me = fresh;
      }
      const r = await me.send('POST', '/records', open);
      await r.text();
      if (r.status === 200) {
        told.add(open.id);
        open = null;
        i += WRITERS;
      } else if (r.status !== 503) throw new Error(`answered ${r.status}`);
      else await wait(200);
    } catch {
      await wait(200);
    }
  }
}

/** Nothing acknowledged is lost, nothing is there twice or by half, and counts are those of the fold. */
async function holds(db: Db, cohorts: string[], acknowledged: Set<string>): Promise<void> {
  const kept: { id: string; n: number }[] = await db('record as r')
    .where('kind', 'look')
    .select('id', { n: db.raw('(SELECT count(*)::int FROM ledger_entry l WHERE l.record_id = r.id)') });
  const ids = new Set(kept.map((r) => r.id));
  expect(
    [...acknowledged].filter((a) => !ids.has(a)),
    'acknowledged and lost',
  ).to.deep.equal([]);
  expect(
    kept.filter((r) => r.n !== 2),
    'written twice or by half',
  ).to.deep.equal([]);
  let gone = 0;
  for (const cohort of cohorts) {
    const { live } = (await db('cohort').where({ id: cohort }).first('live'))!;
    expect(fold(await readEntries(db, cohort)).live).to.equal(live);
    gone += 500 - live;
  }
  expect(gone, 'two plants for every record').to.equal(2 * kept.length);
}

describe('server and database killed in the middle of writing', () => {
  it(`${WRITERS} writers on ${COHORTS} cohorts: nothing acknowledged is lost, nothing is there twice`, async () => {
    const folder = mkdtempSync(join(tmpdir(), 'gonimos-durable-'));
    chmodSync(folder, 0o755);
    const cluster = await startCluster(folder);
    const port = await freePort();
    const base = `http://127.0.0.1:${port}`;
    let server = await serve(cluster.url, port, false);
    const acknowledged = new Set<string>();
    let ended = false;
    const until = async (n: number) => {
      while (acknowledged.size < n) await wait(20);
    };
    try {
      const cohorts = await begin(new Client(base));
      const writers = Array.from({ length: WRITERS }, (_, k) =>
        writer(base, cohorts, k, acknowledged, () => ended),
      );
      await until(EACH);
      const fallen = new Promise((gone) => server.once('exit', gone));
      server.kill('SIGKILL');
      await fallen;
      server = await serve(cluster.url, port, false);

      await until(2 * EACH);
      const postmaster = postmasterOf(cluster);
      process.kill(postmaster, 'SIGKILL');
      await gone(postmaster);
      await startCluster(folder);

      await until(3 * EACH);
      ended = true;
      await Promise.all(writers);
      const db = openDatabase(cluster.url, 2);
      await holds(db, cohorts, acknowledged);
      await db.destroy();
    } finally {
      ended = true;
      await endServer(server);
      // without a last word: all of it is thrown away
      process.kill(postmasterOf(cluster), 'SIGQUIT');
      await wait(500);
      rmSync(folder, { recursive: true, force: true });
    }
  }).timeout(120_000);
});
