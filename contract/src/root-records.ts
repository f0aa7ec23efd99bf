import type { BenchStep } from './bench-step.ts';
import { ACTIONS, crossesItself, FAULTS, lineOf, UNDERS, type Action, type Fault } from '@gonimos/core/roots';
import type { Protocol, Root, RootAngle, RootPoint } from '@gonimos/core/roots';
import { array, boolean, string, type InferType } from 'yup';
import type { StemDrawn } from './stem-records.ts';
import { lean, offMiddle, type StanceRow } from './stance.ts';
import { body, containerId, date, id, measure, noneOf, text, version } from './fields.ts';

/** Most roots that are drawn of one plant. */
const ROOTS_MOST = 60;
const POINTS_MOST = 12;

const azimuth = () => measure(0, 360, '°').required('is missing');
const rootId = () =>
  string()
    .required('is missing')
    .matches(/^[a-z0-9-]{1,12}$/, 'is 1 to 12 small letters, digits or hyphens');

const root = body({
  id: rootId(),
  azimuth: azimuth(),
  diameter: measure(0.2, 500, 'mm').required('is missing'),
  height: measure(-500, 500, 'mm').required('is missing'),
  angle: measure(-90, 90, '°').required('is missing'),
  fibre: measure(0, 10_000, '').nullable().default(null),
  path: array(body({ azimuth: azimuth(), out: measure(1, 5000, 'mm').required('is missing') }))
    .min(1, 'has no point')
    .max(POINTS_MOST, `at most ${POINTS_MOST} points`)
    .required('is missing'),
  forks: array(
    body({
      at: measure(0, 5000, 'mm').required('is missing'),
      turn: measure(-150, 150, '°').required('is missing'),
      length: measure(1, 3000, 'mm').required('is missing'),
      diameter: measure(0.2, 500, 'mm').required('is missing'),
    }),
  )
    .max(6, 'at most 6 forks')
    .default([]),
  faults: array(string<Fault>().oneOf(FAULTS, noneOf(FAULTS)).required())
    .max(FAULTS.length, 'are too many')
    .default([]),
  note: text(200).default(''),
});

const isNumber = (x: unknown): boolean => typeof x === 'number' && Number.isFinite(x);

/** The roots of what was sent, where all of it can be drawn; the fields tell what is wrong with the rest. */
function wellTyped(sent: unknown): Root[] {
  const { trunk, roots } = (sent ?? {}) as { trunk?: unknown; roots?: unknown };
  if (!isNumber(trunk) || !Array.isArray(roots) || roots.length > ROOTS_MOST) return [];
  const drawable = (r: Partial<Root> | null) =>
    isNumber(r?.azimuth) &&
    Array.isArray(r?.path) &&
    r.path.length <= POINTS_MOST &&
    r.path.every((p: Partial<RootPoint> | null) => isNumber(p?.azimuth) && isNumber(p?.out));
  return (roots as Root[]).every(drawable) ? (roots as Root[]) : [];
}

/** The roots of one plant as they lie open: at least its trunk, and no root over itself. */
export const rootRecord = body({
  trunk: measure(1, 2000, 'mm').required('is missing'),
  front: azimuth(),
  under: body({
    kind: string().oneOf(UNDERS, noneOf(UNDERS)).required('is missing'),
    size: measure(5, 3000, 'mm').required('is missing'),
    depth: measure(0, 500, 'mm').required('is missing'),
  })
    .nullable()
    .default(null),
  profile: body({
    top: measure(0, 1, '').required('is missing'),
    middle: measure(0, 1, '').required('is missing'),
    bottom: measure(0, 1, '').required('is missing'),
  })
    .nullable()
    .default(null),
  escaped: boolean().default(false),
  pests: text(200).default(''),
  roots: array(root)
    .max(ROOTS_MOST, `at most ${ROOTS_MOST} roots`)
    .required('is missing')
    .test('names', 'name one root twice', (rs: unknown) => {
      const names = Array.isArray(rs) ? rs.map((r: Partial<Root> | null) => r?.id) : [];
      return new Set(names).size === names.length;
    }),
}).test('paths', function (r) {
  for (const [i, one] of wellTyped(r).entries()) {
    const path = `${this.path ? `${this.path}.` : ''}roots[${i}].path`;
    if (one.path.some((p) => p.out <= r.trunk / 2))
      return this.createError({
        path,
        message: `has a point inside of the trunk, ${r.trunk / 2} mm from its middle`,
      });
    if (crossesItself(lineOf(one, r.trunk))) return this.createError({ path, message: 'runs over itself' });
  }
  return true;
});

/** What the grower has decided against the plan, and how much may go. */
const decided = body({
  /** feeders that may go, 0..1; null: as much as the plant bears */
  limit: measure(0, 1, '').nullable().default(null),
  overruled: array(
    body({
      root: rootId(),
      action: string<Action>().oneOf(ACTIONS, noneOf(ACTIONS)).required('is missing'),
      length: measure(0, 5000, 'mm').nullable().default(null),
      turn: measure(-180, 180, '°').nullable().default(null),
    }),
  )
    .max(ROOTS_MOST, `at most ${ROOTS_MOST} lines`)
    .default([]),
  /** goes into, and where in it the trunk is to stand, mm from the middle */
  container: containerId().nullable().default(null),
  aside: offMiddle(),
  behind: offMiddle(),
  lean: lean(),
  /** help for bare sides that is given at this sitting, in words, to be looked at next time */
  remedies: array(text(200).required()).max(12, 'at most 12 lines').default([]),
});

const drawn = {
  /** which plant of the cohort, in the grower's words; '' where there is but one */
  label: text(30).default(''),
  on: date(),
  record: rootRecord,
  decided,
  note: text(1000).default(''),
};

export const newRootRecord = body({ id: id(), cohortId: id(), ...drawn });
export const changeRootRecord = body({ id: id(), version: version(), ...drawn });
export const withdrawRootRecord = body({ id: id(), version: version() });

export type NewRootRecord = InferType<typeof newRootRecord>;
export type ChangeRootRecord = InferType<typeof changeRootRecord>;

/** A drawn record as the cohort's page shows it. */
export interface RootRecordRow {
  id: string;
  label: string;
  on: string;
  record: NewRootRecord['record'];
  decided: NewRootRecord['decided'];
  note: string;
  version: number;
  by: string;
}

/** Plants of a series by class, as they were told on a day. */
export interface ClassedRow {
  on: string;
  container: string;
  A: number;
  B: number;
  C: number;
}

/** Everything the root bench needs to know of a cohort. */
export interface RootBench {
  records: RootRecordRow[];
  /** told of the series, oldest first */
  classed: ClassedRow[];
  /** left at the last opening */
  left: { on: string; lines: string[] } | null;
  school: RootAngle;
  /** most of the feeders that may go at the next root work, 0..1, and why */
  limit: { share: number; words: string };
  /** the step of the course it would be done on, where there is one */
  step: BenchStep | null;
  /** steps that uncover roots, done and to come, in their order */
  exposures: { key: string; title: string; opens: string | null; doneOn: string | null }[];
  /** what the next pot is */
  container: string | null;
  /** when what is put on the roots today has to be looked at */
  heldUntil: string;
  protocol: Protocol;
  /** stems as they were last drawn, by the name of the plant */
  stems: StemDrawn[];
  /** how each plant was last decided to stand, on this bench or at its stem */
  stances: StanceRow[];
}
