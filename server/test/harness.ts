import type { FastifyInstance, InjectOptions, LightMyRequestResponse } from 'fastify';
import { expect } from 'chai';
import { randomUUID } from 'node:crypto';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { CohortCourse } from '@gonimos/contract/course';
import type { Role } from '@gonimos/contract/people';
import { migrate, openDatabase, type Db } from '../src/db/index.ts';
import { houseOf } from '../src/house.ts';
import { loadDemo } from '../src/demo/nursery.ts';
import { buildApp } from '../src/app.ts';

export const id = randomUUID;

/** Everything propagation writes to. */
export const PROPAGATION_TABLES = [
  'cohort',
  'ledger_entry',
  'record',
  'plant',
  'start_goal',
  'seed_lot',
  'seed_event',
  'tray',
  'tray_mark',
  'tray_cell',
  'tray_cell_entry',
  'protection',
  'layer',
  'layer_event',
  'tally',
  'identity',
];
export const SECRET = 'a secret of more than thirty-two letters for tests';

/** Address of the throwaway cluster that the test command starts. */
export function clusterUrl(): string {
  const url = process.env.GONIMOS_TEST_DATABASE_URL;
  if (!url) throw new Error('GONIMOS_TEST_DATABASE_URL is not set: run npm test');
  return url;
}

export async function freshDatabase(
  template?: string,
): Promise<{ url: string; name: string; drop: () => Promise<void> }> {
  const name = `test_${randomUUID().replace(/-/g, '')}`;
  const admin = openDatabase(clusterUrl(), 1);
  await admin.raw(`CREATE DATABASE ${name}${template ? ` TEMPLATE ${template}` : ''}`);
  const url = new URL(clusterUrl());
  url.pathname = `/${name}`;
  return {
    url: url.href,
    name,
    drop: async () => {
      await admin.raw(`DROP DATABASE ${name} WITH (FORCE)`);
      await admin.destroy();
    },
  };
}

let demoTemplate: Promise<string> | null = null;

/** A database with the demo nursery as it opens; its name. */
export async function makeDemo(): Promise<string> {
  const made = await freshDatabase();
  const db = openDatabase(made.url, 4);
  await migrate(made.url);
  await loadDemo(houseOf(db));
  await db.destroy();
  return made.name;
}

/** The demo nursery, made once by the test command, or by who comes first, and copied for each suite. */
export async function demoDatabase() {
  demoTemplate ??= Promise.resolve(process.env.GONIMOS_TEST_DEMO ?? makeDemo());
  return freshDatabase(await demoTemplate);
}

let visitors = 0;
/** Someone at the interface: keeps the cookie and sends the token. */
export class Visitor {
  readonly cookies = new Map<string, string>();
  /** each visitor comes from an address of its own */
  private readonly address = `10.${++visitors >> 8}.0.${visitors & 255}`;
  csrf = '';
  constructor(readonly app: FastifyInstance) {}

  async send(
    method: InjectOptions['method'],
    url: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<LightMyRequestResponse> {
    const response = await this.app.inject({
      method: method ?? 'GET',
      remoteAddress: this.address,
      url: url.startsWith('/') ? url : `/${url}`,
      headers: {
        ...(this.cookies.size > 0 ? { cookie: this.cookie } : {}),
        ...headers,
        ...(this.csrf ? { 'x-csrf-token': this.csrf } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { payload: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    for (const { name, value } of response.cookies) this.cookies.set(name, encodeURIComponent(value));
    return response;
  }
  get cookie(): string {
    return [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
  }
  get = async <T>(url: string): Promise<T> => (await this.send('GET', `/api${url}`)).json<T>();
  post = (url: string, body: unknown) => this.send('POST', `/api${url}`, body);
  /** As the interface does, every write has an id of its own. */
  put = (url: string, body: object) => this.send('PUT', `/api${url}`, { id: id(), ...body });

  async arrive(): Promise<this> {
    this.csrf = (await this.get<{ csrf: string }>('/session')).csrf;
    return this;
  }
  async signIn(name: string, password: string): Promise<LightMyRequestResponse> {
    await this.arrive();
    const answer = await this.post('/session', { name, password });
    if (answer.statusCode === 200) this.csrf = answer.json<{ csrf: string }>().csrf;
    return answer;
  }
  async enter(role: Role): Promise<this> {
    await this.arrive();
    this.csrf = (await this.post('/session/demo', { role })).json<{ csrf: string }>().csrf;
    return this;
  }
}

export interface Bench {
  app: FastifyInstance;
  db: Db;
  url: string;
  visitor: (role?: Role) => Promise<Visitor>;
  close: () => Promise<void>;
}

type Made = Awaited<ReturnType<typeof freshDatabase>>;

/** A whole server on a database of its own, with the demo nursery or empty, or on one that was made before. */
export async function bench({ demo = true, on }: { demo?: boolean; on?: Made } = {}): Promise<Bench> {
  const made = on ?? (await (demo ? demoDatabase() : freshDatabase()));
  const db = openDatabase(made.url, 8);
  await migrate(made.url);
  const app = await buildApp({ db, secret: SECRET, demo: true });
  await app.ready();
  return {
    app,
    db,
    url: made.url,
    visitor: (role) => (role ? new Visitor(app).enter(role) : new Visitor(app).arrive()),
    close: async () => {
      await app.close();
      await db.destroy();
      await made.drop();
    },
  };
}

/** The answer of a write that has to go well. */
export async function must<T>(sent: Promise<LightMyRequestResponse>): Promise<T> {
  const r = await sent;
  expect(r.statusCode, r.body).to.equal(200);
  return r.json<T>();
}
/** A write that has to be refused for what was asked, saying why. */
export async function refusal(sent: Promise<LightMyRequestResponse>, why: string): Promise<void> {
  const r = await sent;
  expect(r.statusCode, r.body).to.be.within(400, 422);
  expect(r.body).to.contain(why);
}

/** A new seed cohort as the interface would send it. */
export async function seedCohort(v: Visitor, count = 120, more: Record<string, unknown> = {}) {
  const places = await v.get<{ id: string; name: string }[]>('/places');
  return {
    id: id(),
    code: `T${id().slice(0, 6).toUpperCase()}`,
    taxonId: 'acer-campestre',
    programmeId: 'seed-broadleaf',
    placeId: places[0].id,
    container: 'seed-flat',
    started: '2037-03-01',
    count,
    goal: '',
    note: '',
    goalCaliper: 40,
    ...more,
  };
}

/** A layer on a parent as the interface would send it. */
export const drawnLayer = (more: Record<string, unknown> = {}) => ({
  id: id(),
  code: `L${id().slice(0, 6).toUpperCase()}`,
  stem: 'leader',
  height: 1400,
  diameter: 20,
  how: 'ring',
  branches: 4,
  keeps: 2,
  becomes: '',
  leaves: '',
  ...more,
});

/** A nursery with full shelves, people in their roles, and cohorts ready for their first root correction. */
export async function workshop(b: Bench) {
  const v = await b.visitor('grower');
  const owner = await b.visitor('owner');
  const places = await v.get<{ id: string; name: string }[]>('/places');
  // shelves are full but where a test says otherwise
  await b.db('container_stock').update({ counted: 100_000 });
  const course = (cohortId: string) => v.get<CohortCourse>(`/cohorts/${cohortId}/course`);
  const enter = async (more: Record<string, unknown>, count = 120) => {
    const c = await seedCohort(v, count, more);
    await must(v.post('/cohorts', c));
    return c;
  };
  return {
    v,
    owner,
    course,
    enter,
    cohort: (cohortId: string) => v.get<Cohort>(`/cohorts/${cohortId}`),
    placeId: (name: string) => places.find((p) => p.name === name)!.id,
    step: async (cohortId: string, key: string) => (await course(cohortId)).steps.find((s) => s.key === key)!,
    /** Schools of the nursery, as an owner chooses them. */
    schools: async (schools: Record<string, string>) => {
      const { version } = await owner.get<{ version: number }>('/nursery');
      await must(owner.put('/nursery/schools', { version, schools }));
    },
    /** A lime in the ground, kept for its layers. */
    parent: () =>
      enter(
        {
          taxonId: 'tilia-cordata',
          programmeId: 'stock-plant',
          placeId: places.find((p) => p.name === 'Ground row A')!.id,
          container: 'ground',
          started: '2020',
          origin: { source: 'the old garden', permission: 'our own ground', quarantine: false },
        },
        1,
      ),
    /** Privet cuttings stuck last June, before their check. */
    stuck: () =>
      enter(
        {
          taxonId: 'ligustrum-ovalifolium',
          programmeId: 'cutting-broadleaf',
          container: 'cutting-tray',
          started: '2036-06-20',
        },
        100,
      ),
    /** Stock that stands before its first root correction, open this spring. */
    ready: async (more: Record<string, unknown> = {}) => {
      const standing = { standsAt: 'correct', started: 'spring 2035', container: 'cell-60' };
      return enter({ ...standing, ...more }, 30);
    },
  };
}
