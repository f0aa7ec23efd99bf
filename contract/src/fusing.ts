import { MEMBERS_MOST, STEP, type Joint, type Limb, type Member, type Stood } from '@gonimos/core/fusing';
import { array, number, string, type InferType } from 'yup';
import { body, date, id, measure, noneOf, text, version } from './fields.ts';

/** How stems are held to each other. */
export const FUSE_METHODS = ['bound', 'overlapped'] as const;
export type FuseMethod = (typeof FUSE_METHODS)[number];
/** What was seen of a joint. */
export const JOINT_OUTCOMES = ['joined', 'growing', 'failed'] as const;
export type JointOutcome = (typeof JOINT_OUTCOMES)[number];

/** Limbs that are told of one stem. */
const LIMBS_MOST = 80;

const limb = body({
  azimuth: measure(0, 360, '°').required('is missing'),
  reach: measure(0, 2000, 'mm').required('is missing'),
  diameter: measure(0, 500, 'mm').required('is missing'),
  height: measure(0, 20_000, 'mm').required('is missing'),
});
const limbs = () => array(limb).max(LIMBS_MOST, `at most ${LIMBS_MOST}`).default([]);
const memberId = () =>
  string()
    .required('is missing')
    .matches(/^[A-Za-z0-9 .-]{1,40}$/, 'is 1 to 40 letters, digits, spaces, dots or hyphens');

const member = body({
  id: memberId(),
  /** the cohort it comes out of */
  cohortId: id(),
  base: measure(0.5, 500, 'mm').required('is missing'),
  height: measure(10, 20_000, 'mm').required('is missing'),
  curve: measure(0, 360, '°').nullable().default(null),
  roots: limbs(),
  branches: limbs(),
});
const stood = body({
  id: memberId(),
  place: number()
    .typeError('is not a number')
    .integer('is not a whole number')
    .min(0)
    .max(MEMBERS_MOST - 1)
    .required('is missing'),
  turn: measure(0, 359, '°').required('is missing'),
});

/** Stems set together to become one plant; it cannot be undone by nature, only as an error by reversal. */
export const setStems = body({
  id: id(),
  on: date(),
  method: string<FuseMethod>().oneOf(FUSE_METHODS, noneOf(FUSE_METHODS)).required('is missing'),
  members: array(member)
    .min(2, 'are fewer than two')
    .max(MEMBERS_MOST, `are more than ${MEMBERS_MOST}`)
    .required('is missing'),
  stood: array(stood).required('is missing'),
  note: text(400).default(''),
}).test('group', function (sent) {
  if (!Array.isArray(sent.members) || !Array.isArray(sent.stood)) return true;
  const names = sent.members.map((m: Partial<Member> | null) => m?.id);
  if (new Set(names).size < names.length)
    return this.createError({ path: 'members', message: 'name one stem twice' });
  const placed = sent.stood.map((s: Partial<Stood> | null) => s?.id);
  if (placed.length !== names.length || names.some((n) => !placed.includes(n)))
    return this.createError({ path: 'stood', message: 'does not tell where each of them stands, once' });
  const places = new Set(sent.stood.map((s: Partial<Stood> | null) => s?.place));
  if (places.size < placed.length || [...places].some((p) => Number(p) >= placed.length))
    return this.createError({ path: 'stood', message: 'has two on one place, or one on none' });
  const off = sent.stood.findIndex((s: Partial<Stood> | null) => Number(s?.turn) % STEP !== 0);
  if (off >= 0) return this.createError({ path: `stood[${off}].turn`, message: `is no step of ${STEP}°` });
  return true;
});

/** What was seen of a joint. */
export const lookAtJoint = body({
  id: id(),
  groupId: id(),
  version: version(),
  outcome: string<JointOutcome>().oneOf(JOINT_OUTCOMES, noneOf(JOINT_OUTCOMES)).required('is missing'),
  /** when it is looked at again, while it grows */
  again: date().nullable().notRequired().default(null),
  note: text(400).default(''),
});

export type SetStems = InferType<typeof setStems>;
export type LookAtJoint = InferType<typeof lookAtJoint>;
export type { Limb };

/** Stems that were set together. */
export interface PlantGroup {
  id: string;
  cohortId: string;
  code: string;
  madeOn: string;
  method: FuseMethod;
  members: SetStems['members'];
  stood: Stood[];
  joint: Joint;
  /** when the joint is looked at next */
  lookOn: string;
  outcome: JointOutcome | null;
  lookedOn: string | null;
  note: string;
  version: number;
}

/** What came of each way of holding them, over the nursery. */
export interface FuseResult {
  method: FuseMethod;
  made: number;
  joined: number;
  failed: number;
}

export interface PlantGroups {
  groups: PlantGroup[];
  results: FuseResult[];
}
