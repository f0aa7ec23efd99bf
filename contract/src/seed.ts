import type { EmergenceCurve, AnimalRisk } from '@gonimos/core/seed';
import type { Share } from '@gonimos/core/stats';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { string, type InferType } from 'yup';
import { body, count, date, id, measure, name, noneOf, taxonId, text, version } from './fields.ts';

export const STORAGE = ['cool and dry', 'cold and dry', 'moist in the fridge', 'warm', 'not stored'] as const;
export const SEED_EVENTS = ['test', 'soaked', 'to warm', 'to cold', 'out', 'thrown away'] as const;
export const PROTECTIONS = ['mesh', 'fleece', 'cage', 'glass', 'guard'] as const;

/** Seed that has come up. */
export const emergenceTold = body({ emerged: count().nullable().default(null) });

export const newSeedLot = body({
  id: id(),
  name: name(40),
  taxonId: taxonId(),
  source: name(200),
  parentId: id().notRequired().nullable().default(null),
  harvested: string()
    .required('is missing')
    .test('uncertain', 'is not a date such as 2036-10-12, autumn 2036 or 2036', (v) =>
      Boolean(v && readUncertainDate(v, 'north')),
    ),
  seeds: count(1_000_000).min(1, 'is below 1').required('is missing'),
  /** cents for the lot */
  price: count(100_000_000).nullable().default(null),
  handling: text(500).default(''),
  storage: string().oneOf(STORAGE, noneOf(STORAGE)).required('is missing'),
  note: text(1000).default(''),
});

export const newSeedEvent = body({
  id: id(),
  kind: string().oneOf(SEED_EVENTS, noneOf(SEED_EVENTS)).required('is missing'),
  on: date(),
  /** a viability test: seeds tried, and sound ones among them */
  tested: count(10_000).min(1, 'is below 1').nullable().default(null),
  sound: count(10_000).nullable().default(null),
  seeds: count(1_000_000).nullable().default(null),
  note: text(500).default(''),
}).test('sound', 'sound is more than were tested', (e) => e.tested === null || (e.sound ?? 0) <= e.tested);

export const newProtection = body({
  id: id(),
  kind: string().oneOf(PROTECTIONS, noneOf(PROTECTIONS)).required('is missing'),
  /** room between soil and cover, mm */
  clearance: measure(0, 3000, 'mm').integer('is not a whole number').required('is missing'),
  from: date(),
  note: text(300).default(''),
});
export const endProtection = body({ id: id(), version: version(), ended: date() });

export type NewSeedLot = InferType<typeof newSeedLot>;
export type NewSeedEvent = InferType<typeof newSeedEvent>;
export type NewProtection = InferType<typeof newProtection>;
export type EndProtection = InferType<typeof endProtection>;

export interface SeedEventRow {
  id: string;
  kind: (typeof SEED_EVENTS)[number];
  on: string;
  tested: number | null;
  sound: number | null;
  seeds: number | null;
  note: string;
  by: string;
}
export interface SeedLot {
  id: string;
  name: string;
  taxonId: string;
  source: string;
  parentId: string | null;
  parentCode: string | null;
  harvested: string;
  seeds: number;
  /** not sown, tested or thrown away yet */
  left: number;
  /** sown, tested or thrown away beyond what was counted: the count was short */
  over: number;
  price: number | null;
  handling: string;
  storage: string;
  note: string;
  events: SeedEventRow[];
  /** last viability test */
  viability: (Share & { on: string }) | null;
  sown: { id: string; code: string; count: number; up: Share | null }[];
  /** what it wants, counted back from this place's next sowing window */
  needs: 'fresh' | 'stratified' | 'ready';
  /** when seed of the kind is sown that does not keep */
  ripens: 'early summer' | 'autumn' | null;
  /** years the lot is old, when that is more than its kind keeps; else 0 */
  tooOld: number;
  /** years the kind keeps */
  keeps: number;
  phases: { what: string; from: string; to: string }[];
  late: number;
}

export interface Protection {
  id: string;
  kind: (typeof PROTECTIONS)[number];
  clearance: number;
  from: string;
  /** to come off by, before tips touch it */
  until: string | null;
  ended: string | null;
  note: string;
  version: number;
}

/** Everything a sowing has shown so far. */
export interface Sowing {
  sown: number;
  sownOn: string;
  curve: EmergenceCurve;
  /** degree days above 5 °C from sowing to half of those that came up */
  warmthToHalf: number | null;
  /** when half are expected up, by the warmth the kind wants; null when unknown */
  expected: string | null;
  protections: Protection[];
  risk: AnimalRisk;
  /** losses before emergence by cause */
  lost: { cause: string; count: number }[];
}
