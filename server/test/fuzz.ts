import { PROBLEMS, type Problem } from '@gonimos/contract/problem';
import type { FastifyInstance } from 'fastify';
import { randomUUID } from 'node:crypto';
import type { AnySchema, SchemaDescription, SchemaFieldDescription } from 'yup';
import { random, type Random } from '@gonimos/core/random';
import type { Db } from '../src/db/index.ts';
import type { Declared } from '../src/http/route.ts';
import type { Visitor } from './harness.ts';

/** What no honest client sends, and careless or hostile ones do. */
const NASTY: readonly unknown[] = [
  null,
  true,
  false,
  0,
  -1,
  1,
  0.5,
  -0,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53,
  99_999,
  0.1,
  1000,
  '',
  ' ',
  'toString',
  'constructor',
  '__proto__',
  'hasOwnProperty',
  'x'.repeat(5000),
  '12',
  '1e3',
  'NaN',
  '\u0000',
  '\ud800',
  '\u200b\u202e',
  '𠀀𠀀',
  "'; DROP TABLE cohort; --",
  '../../etc/passwd',
  '%00',
  '0000-00-00',
  '9999-12-31',
  '1900-01-01',
  '2037-02-30',
  '2037-03-09',
  '2036-13-01',
  '-2037-01-01',
  [],
  {},
  [null],
  [[]],
  { toString: 1 },
  { length: 3 },
  [1, 2, 3],
  { id: {} },
];

/** Anything as a text, also what cannot be made one. */
const asText = (v: unknown): string => (typeof v === 'string' ? v : (JSON.stringify(v) ?? '')).toWellFormed();

interface World {
  app: FastifyInstance;
  /** one of each role, and one who has not signed in */
  visitors: readonly Visitor[];
  /** ids of things that are there, by field name or any */
  ids: Record<string, readonly string[]>;
}

/** Everything a made-up request may name. */
export async function idsOf(db: Db): Promise<World['ids']> {
  const pluck = (table: string) => db(table).limit(40).pluck('id') as Promise<string[]>;
  const cohort = await pluck('cohort');
  const place = await pluck('place');
  const person = await pluck('person');
  const record = await pluck('record');
  const entry = await pluck('ledger_entry');
  const lot = await pluck('seed_lot');
  const tray = await pluck('tray');
  const goal = await pluck('start_goal');
  const keys: string[] = await db('course_step').where('ready', true).limit(60).pluck('key');
  return {
    cohortId: cohort,
    parentId: cohort,
    hostId: cohort,
    intoId: cohort,
    placeId: place,
    lotId: lot,
    goalId: goal,
    stepKey: keys,
    key: keys,
    any: [...cohort, ...place, ...person, ...record, ...entry, ...lot, ...tray, ...goal],
  };
}

/** Makes requests up: mostly right, with something wrong somewhere; the same for the same seed. */
export class Fuzzer {
  private readonly rng: Random;
  /** answers so far, by status */
  readonly answers = new Map<number, number>();
  /** routes that took what was made up, at least once */
  readonly taken = new Set<string>();
  constructor(
    private readonly world: World,
    seed: number,
  ) {
    this.rng = random(seed);
  }

  private pick = <T>(list: readonly T[]): T => list[Math.floor(this.rng.next() * list.length)];
  private chance = (p: number): boolean => this.rng.next() < p;

  private word(name: string): unknown {
    const { ids } = this.world;
    const own = Object.hasOwn(ids, name) ? ids[name] : null;
    if (own && own.length > 0 && this.chance(0.9)) return this.pick(own);
    if (/^(id|newId|.*Id)$/.test(name)) return this.chance(0.7) ? randomUUID() : this.pick(ids.any);
    if (/^(on|from|to|until|ended|harvested|arrives|week|date)$/.test(name))
      return this.pick(['2037-03-01', '2037-03-09', '2037-03-16', '2036-06-01', '2037-05-04']);
    if (name === 'started') return this.pick(['2037-03-01', 'spring 2035', '2030']);
    if (name === 'taxonId') return this.pick(['acer-campestre', 'pinus-sylvestris', 'ligustrum-ovalifolium']);
    if (name === 'programmeId') return this.pick(['seed-broadleaf', 'cutting-broadleaf', 'stock-plant']);
    if (name === 'container') return this.pick(['pot-9', 'cell-60', 'seed-flat', 'ground']);
    if (/code$/i.test(name)) return `F${Math.floor(this.rng.next() * 1e6)}`;
    return this.pick(['frost', 'a word', 'x', 'Outdoors']);
  }

  private value(d: SchemaFieldDescription, name: string, schema?: AnySchema): unknown {
    const one = (d as SchemaDescription).oneOf;
    if (one && one.length > 0) return this.pick(one);
    if (d.type === 'number') {
      const bound = (test: string, otherwise: number) =>
        Number((d as SchemaDescription).tests?.find((t) => t.name === test)?.params?.[test] ?? otherwise);
      const least = bound('min', 0);
      const most = bound('max', 100);
      const n = least + this.rng.next() * Math.min(most - least, 60);
      return this.chance(0.8) ? Math.round(n) : n;
    }
    if (d.type === 'boolean') return this.chance(0.5);
    if (d.type === 'array') {
      const inner = (d as { innerType?: SchemaFieldDescription }).innerType;
      return Array.from({ length: Math.floor(this.rng.next() * 4) }, () =>
        inner ? this.value(inner, name) : this.pick(NASTY),
      );
    }
    if (d.type === 'object') return this.object(d as SchemaDescription & { fields?: Fields });
    if (d.type === 'lazy' || d.type === 'mixed') return schema ? undefined : this.pick(NASTY);
    return this.word(name);
  }

  private object(d: { fields?: Fields }): Record<string, unknown> {
    return Object.fromEntries(
      Object.entries(d.fields ?? {})
        .filter(([, f]) => !('optional' in f && f.optional === true) || this.chance(0.6))
        .map(([name, f]) => [name, this.value(f, name)]),
    );
  }

  /** Puts something nasty in a place somewhere inside. */
  private spoil(node: unknown, depth = 0): unknown {
    if (typeof node !== 'object' || node === null || depth > 5 || this.chance(0.15)) return this.pick(NASTY);
    if (Array.isArray(node)) {
      if (node.length === 0 || this.chance(0.2)) return [...(node as unknown[]), node[0] ?? this.pick(NASTY)];
      const at = Math.floor(this.rng.next() * node.length);
      return node.map((x: unknown, i) => (i === at ? this.spoil(x, depth + 1) : x));
    }
    const keys = Object.keys(node);
    const changed = { ...(node as Record<string, unknown>) };
    const key = keys.length === 0 || this.chance(0.1) ? asText(this.pick(NASTY)) : this.pick(keys);
    if (this.chance(0.15)) delete changed[key];
    else changed[key] = this.spoil(changed[key], depth + 1);
    return changed;
  }

  private body(route: Declared): unknown {
    if (this.chance(0.02))
      return this.pick(['{"id": ', '[1,2', 'nothing', '', '['.repeat(5000) + ']'.repeat(5000)]);
    if (!route.body) return this.chance(0.5) ? undefined : this.pick(NASTY);
    const good = this.object(route.body.describe());
    return this.chance(0.25) ? good : this.spoil(good);
  }

  private address(route: Declared): string {
    const part = () => (this.chance(0.85) ? this.pick(this.world.ids.any) : asText(this.pick(NASTY)));
    const url = route.url.replace(/:\w+/g, () => encodeURIComponent(part()));
    if (!route.query) return url;
    const asked = this.object(route.query.describe());
    const query = Object.entries(this.chance(0.4) ? asked : ((this.spoil(asked) as object) ?? {}));
    return `${url}?${query.map(([k, v]) => `${encodeURIComponent(k)}=${encodeURIComponent(asText(v))}`).join('&')}`;
  }

  /** Sends one made-up request; gives what it was when the answer was a fault of ours. */
  async send(): Promise<string | null> {
    const route = this.pick(
      this.world.app.declared.filter((r) => !/^\/api\/(session|owner|demo)/.test(r.url)),
    );
    const visitor = this.pick(this.world.visitors);
    const url = this.address(route);
    const body = route.method === 'GET' ? undefined : this.body(route);
    const answer = await visitor.send(route.method, url, body);
    const { statusCode: status } = answer;
    this.answers.set(status, (this.answers.get(status) ?? 0) + 1);
    if (status < 300) this.taken.add(`${route.method} ${route.url}`);
    // a refusal says which of all there are it is
    const said = status < 400 || Object.hasOwn(PROBLEMS, answer.json<Problem>().code);
    if (status < 500 && said) return null;
    return `${route.method} ${url} ${JSON.stringify(body)?.slice(0, 600)} → ${status} ${answer.body.slice(0, 300)}`;
  }
}

type Fields = Record<string, SchemaFieldDescription>;
