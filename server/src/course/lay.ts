import { createHash, hash } from 'node:crypto';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import {
  fallenOf,
  newsOf,
  onlyDrifted,
  type Course,
  type Moved,
  type PlannedStep,
} from '@gonimos/core/course';
import { packRings } from '@gonimos/core/trunk';
import { asKept, keptSteps, type KeptPlan, type KeptStep } from './kept.ts';

/**
 * A compiled course as far as it says something new, already in the words the database takes. The course itself is
 * let go: thousands are compiled one after another, and what outlives the next one costs more than compiling it.
 */
export interface Laid {
  cohortId: string;
  /** rows of the steps that are news, each in JSON */
  rows: readonly string[];
  /** keys of steps that are no longer part of it */
  gone: readonly string[];
  /** what the next plan is compared with, in JSON */
  kept: string;
  /** what lists show of the course, in JSON */
  summary: string;
  moved: readonly Moved[];
  /** containers wanted on a day before, and now */
  wants: { was: readonly string[]; now: readonly string[] };
}

/** Rings a section draws: all that has grown, and a few seasons ahead. */
const RINGS_AHEAD = 4;

const digestOf = (text: string, seq: number): string => hash('sha1', `${seq} ${text}`, 'base64url');

/** A digest of all a course says; the rings that are shown go with the year. */
function digestOfAll(course: Course, texts: readonly string[], today: string): string {
  const { steps: _, leftOut: _says, ...rest } = course;
  const all = createHash('sha1').update(`${today.slice(0, 4)} ${JSON.stringify(rest)}`);
  for (const text of texts) all.update(text);
  return all.digest('base64url');
}

/** The row of a step: its own words, with whose it is and where it stands. */
const rowOf = (cohortId: string, seq: number, text: string): string =>
  `{"cohortId":"${cohortId}","seq":${seq},${text.slice(1)}`;

const wantsOf = (
  steps: readonly Pick<PlannedStep, 'status' | 'container' | 'target' | 'wantsOn'>[],
): string[] =>
  steps
    .filter((s) => s.status === 'planned' && s.container)
    .map((s) => `${s.container} ${s.wantsOn ?? s.target}`);

function summaryOf(course: Course, today: string): string {
  const next = course.steps
    .filter((s) => s.status === 'planned' && s.opens !== null)
    .sort((a, b) => Number(b.ready) - Number(a.ready) || (a.opens! < b.opens! ? -1 : 1))[0];
  return JSON.stringify({
    rings: packRings(course.rings.filter((r) => r.season <= Number(today.slice(0, 4)) + RINGS_AHEAD)),
    endsOn: course.endsOn,
    rootBoundOn: course.rootBoundOn,
    nextTitle: next?.title ?? null,
    nextOpens: next?.opens ?? null,
    nextCloses: next?.closes ?? null,
    nextRule: next?.reasons.find((r) => r.binding)?.rule ?? null,
  });
}

/** A step near at hand that has moved by more than this takes what follows it along, days. */
const TAKES_ALONG = 30;

/** Whether what is near has stayed about where it was, so that the drift of what is far may wait. */
const nearHolds = (course: Course, before: ReadonlyMap<string, KeptStep>, today: string): boolean =>
  course.steps.every((step) => {
    const was = before.get(step.key);
    if (!was?.opens || !step.opens || was.opens === step.opens) return true;
    return Math.abs(daysBetween(was.opens, step.opens)) <= TAKES_ALONG || onlyDrifted(was, step, today);
  });

/** Step by step: rows of what is new, and all steps as they are kept from now on. */
function compare(
  cohortId: string,
  course: Course,
  texts: readonly string[] | null,
  before: ReadonlyMap<string, KeptStep>,
  today: string,
): { rows: string[]; news: PlannedStep[]; steps: KeptStep[] } {
  const rows: string[] = [];
  const news: PlannedStep[] = [];
  const mayDrift = texts === null && nearHolds(course, before, today);
  const steps = course.steps.map((step, seq) => {
    const was = before.get(step.key);
    // what lies far ahead and has drifted is not even put into words
    if (mayDrift && was && onlyDrifted(was, step, today)) return was;
    const text = texts?.[seq] ?? JSON.stringify(step);
    const digest = digestOf(text, seq);
    if (was?.digest === digest) return was;
    rows.push(rowOf(cohortId, seq, text));
    news.push(step);
    return { ...step, digest };
  });
  return { rows, news, steps };
}

/**
 * A course beside the plan that is kept of it; null where it says nothing new. `drift`: nothing but the day and its
 * weather has changed, and a day's shift of what lies far ahead is no news.
 */
export function layOut(
  cohortId: string,
  course: Course,
  kept: KeptPlan,
  today: string,
  drift: boolean,
): Laid | null {
  const texts = drift ? null : course.steps.map((s) => JSON.stringify(s));
  const digest = texts ? digestOfAll(course, texts, today) : '';
  if (texts && digest === kept.digest) return null;
  const was = keptSteps(kept);
  const { rows, news, steps } = compare(cohortId, course, texts, new Map(was.map((s) => [s.key, s])), today);
  const now = new Set(steps.map((s) => s.key));
  const gone = was.filter((s) => !now.has(s.key)).map((s) => s.key);
  if (drift && rows.length === 0 && gone.length === 0) return null;
  // what may still come or go with the weather of a day is no news before it is near
  const soon = drift ? addDays(today, TAKES_ALONG) : null;
  return {
    cohortId,
    rows,
    gone,
    kept: asKept(steps),
    summary: `{"id":"${cohortId}","planDigest":"${digest}",${summaryOf(course, today).slice(1)}`,
    moved: [...fallenOf(was, course, soon), ...(was.length > 0 ? newsOf(was, news, today) : [])],
    wants: { was: wantsOf(was), now: wantsOf(course.steps) },
  };
}
