import {
  LACKS,
  MEMBERS_MOST,
  STEP,
  type Joint,
  type Lack,
  type Limb,
  type Member,
  type Stood,
} from '@gonimos/core/fusing';
import { array, number, string, type InferType } from 'yup';
import { body, count, date, id, measure, noneOf, text, version } from './fields.ts';

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

/** Where a thin stem is joined to a thicker tree. */
const join = body({
  lacks: string<Lack>().oneOf(LACKS, noneOf(LACKS)).required('is missing'),
  height: measure(0, 20_000, 'mm').required('is missing'),
  azimuth: measure(0, 360, '°').required('is missing'),
});

type Sent = Partial<Record<'members' | 'stood' | 'join', unknown>>;
type Fault = { path: string; message: string } | null;

const names = (all: unknown[]): unknown[] => all.map((m) => (m as Partial<Member> | null)?.id);

/** What is wrong with how stems were said to stand. */
function standFault(members: unknown[], stood: unknown[]): Fault {
  const all = stood as (Partial<Stood> | null)[];
  const placed = names(stood);
  if (placed.length !== members.length || names(members).some((n) => !placed.includes(n)))
    return { path: 'stood', message: 'does not tell where each of them stands, once' };
  const places = new Set(all.map((s) => s?.place));
  if (places.size < placed.length || [...places].some((p) => Number(p) >= placed.length))
    return { path: 'stood', message: 'has two on one place, or one on none' };
  const off = all.findIndex((s) => Number(s?.turn) % STEP !== 0);
  return off < 0 ? null : { path: `stood[${off}].turn`, message: `is no step of ${STEP}°` };
}

/** What is wrong with where a thin stem is to be joined. */
function joinFault(members: unknown[], at: { height?: unknown }): Fault {
  if (members.length !== 2) return { path: 'join', message: 'is of two: a thin stem and a thicker tree' };
  const [a, b] = members as (Partial<Member> | null)[];
  const tree = Number(a?.base) >= Number(b?.base) ? a : b;
  return Number(at.height) < Number(tree?.height)
    ? null
    : { path: 'join.height', message: `is above the tip, ${tree?.height} mm` };
}

function groupFault({ members, stood, join: at }: Sent): Fault {
  if (!Array.isArray(members) || !Array.isArray(stood)) return null;
  if (new Set(names(members)).size < members.length)
    return { path: 'members', message: 'name one stem twice' };
  const fault = standFault(members, stood);
  return fault ?? (typeof at === 'object' && at !== null ? joinFault(members, at) : null);
}

/** Stems set together to become one plant; it cannot be undone by nature, only as an error by reversal. */
export const groupTold = body({
  /** of the group, and of its entry in the ledger */
  id: id(),
  method: string<FuseMethod>().oneOf(FUSE_METHODS, noneOf(FUSE_METHODS)).required('is missing'),
  members: array(member)
    .min(2, 'are fewer than two')
    .max(MEMBERS_MOST, `are more than ${MEMBERS_MOST}`)
    .required('is missing'),
  stood: array(stood).required('is missing'),
  /** null: to one base */
  join: join.nullable().default(null),
}).test('group', function (sent) {
  const fault = sent ? groupFault(sent) : null;
  return fault
    ? this.createError({ path: `${this.path ? `${this.path}.` : ''}${fault.path}`, message: fault.message })
    : true;
});

/** What is kept with the work: which group, how many stems, and whose they were besides. */
export const groupKept = body({ id: id(), stems: count(), from: array(id()).default([]) });

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

export type GroupTold = InferType<typeof groupTold>;
export type LookAtJoint = InferType<typeof lookAtJoint>;
export type { Limb };

/** Stems that were set together. */
export interface PlantGroup {
  id: string;
  cohortId: string;
  code: string;
  madeOn: string;
  method: FuseMethod;
  members: GroupTold['members'];
  stood: Stood[];
  join: GroupTold['join'];
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
