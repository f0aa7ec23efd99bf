import type { Family, LineageNode } from '@gonimos/core/lineage';
import type { Method } from '@gonimos/core/programmes';
import { object, string, number, type InferType } from 'yup';
import { body, code, count, date, id, text } from './fields.ts';

export const TALLIES = {
  wire: ['unwired', 'wired', 're-wire'],
  grade: ['A', 'B', 'C'],
  rooting: ['rooted', 'callus', 'not seen'],
  size: ['small', 'middle', 'large'],
} as const;
export type TallyKind = keyof typeof TALLIES;

export const newTally = body({
  id: id(),
  kind: string<TallyKind>()
    .oneOf(Object.keys(TALLIES) as TallyKind[], 'is no tally')
    .required('is missing'),
  on: date(),
  counts: object()
    .required('is missing')
    .test('counts', 'holds something that is no count of a state', (c) =>
      Object.values(c as Record<string, unknown>).every((n) =>
        number().integer().min(0).max(100_000).isValidSync(n),
      ),
    ),
  note: text(500).default(''),
});
export const mergeCohort = body({
  id: id(),
  intoId: id(),
  count: count().min(1, 'is below 1').required('is missing'),
  note: text(500).default(''),
});
export const fusePlants = body({
  id: id(),
  stems: count().min(2, 'is below 2').required('is missing'),
  into: count().min(1, 'is below 1').required('is missing'),
  note: text(500).default(''),
}).test('into', 'into is not fewer than the stems', (f) => f.into < f.stems);
export const identifyCohort = body({
  id: id(),
  newCode: code().notRequired().nullable().default(null),
  newTag: text(30).nullable().default(null),
  reason: text(300).required('is missing').matches(/\S/, 'is empty'),
});

export type NewTally = Omit<InferType<typeof newTally>, 'counts'> & { counts: Record<string, number> };
export type MergeCohort = InferType<typeof mergeCohort>;
export type FusePlants = InferType<typeof fusePlants>;
export type IdentifyCohort = InferType<typeof identifyCohort>;

export interface Tally {
  id: string;
  kind: TallyKind;
  on: string;
  counts: Record<string, number>;
  note: string;
  by: string;
}
export interface Identity {
  id: string;
  on: string;
  was: { code: string; tag: string | null };
  now: { code: string; tag: string | null };
  reason: string;
  by: string;
}

export interface FamilyNode extends LineageNode {
  taxonId: string;
  method: Method;
  startedSaid: string;
  pending: number;
  tag: string | null;
}
export interface Lineage {
  family: Family<FamilyNode>;
  identities: Identity[];
}
