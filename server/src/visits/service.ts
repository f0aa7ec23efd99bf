import { sure } from '../db/sure.ts';
import type { NewVisit, VisitOutcome } from '@gonimos/contract/visits';
import { addDays, toDay, toIso } from '@gonimos/core/calendar';
import { container, roomPerPlant } from '@gonimos/core/containers';
import { plantOn } from '@gonimos/core/course';
import { afterSeasons } from '@gonimos/core/plant';
import { chosen } from '@gonimos/core/schools';
import type { SeasonBook } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import { CHECK_AFTER, PUT_BACK_SEASONS, rankCauses, type Cause, type Found } from '@gonimos/core/visits';
import { readyFacts } from '../planning/replan.ts';
import type { CohortFacts } from '../facts/facts.ts';
import { wrongField } from '../http/problem.ts';
import { notInFuture } from '../nursery/day.ts';
import { lockCohort } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';
import { insertVisit } from './store.ts';

/** Findings that ask why the roots have failed. */
const ROOT_TROUBLE: readonly Found[] = ['few-roots', 'rot', 'mat-below', 'roots-out'];

/** First day on which so many growing seasons have passed since a day, for this kind at its place. */
const afterGrowth = (book: SeasonBook, taxonId: string, on: string, seasons: number): string =>
  toIso(
    afterSeasons(
      {
        seasonOf: (d) => book.seasonOf(d),
        span: (y) => book.span(y),
        growing: (y) => book.growing(y, taxon(taxonId)),
      },
      toDay(on),
      seasons,
    ),
  );

/** Mean of the warm days of the last two months at the place, °C. */
function warmthOf(book: SeasonBook, on: string): number {
  let sum = 0;
  for (let d = 1; d <= 60; d++) sum += book.outlook(toDay(on) - d).high.p50;
  return sum / 60;
}

/** Ranks why roots may have failed from everything on record. */
function causesFor(f: CohortFacts, book: SeasonBook, found: Found[], on: string): Cause[] {
  if (!found.some((x) => ROOT_TROUBLE.includes(x))) return [];
  const kind = container(f.container);
  const litres = kind.wall === 'ground' ? 400 : roomPerPlant(kind, f.live);
  const rooted = Object.values(f.steps)
    .filter((s) => s.status === 'done' && s.container)
    .map((s) => s.doneOn!)
    .sort();
  const last = rooted.at(-1) ?? f.startedOn;
  const mix = chosen('medium', {
    cohort: f.schools.cohort,
    programme: f.programme.schools,
    nursery: f.schools.nursery,
  });
  return rankCauses({
    found,
    fill: plantOn(f, book, on).fill(toDay(on)),
    litres,
    wall: kind.wall,
    light: f.light?.is ?? null,
    warmth: warmthOf(book, on),
    sinceWork: Math.max(0, (toDay(on) - toDay(last)) / 365.25),
    mix: mix.option as 'mineral' | 'potting' | 'by-kind',
  });
}

/** Takes down an unplanned look: what was found, the decision, likely causes, and plans again. */
export async function recordVisit(
  { trx, personId, planning: open }: Writing,
  v: NewVisit,
): Promise<Written<VisitOutcome>> {
  const cohort = await lockCohort(trx, v.cohortId);
  await notInFuture(trx, 'on', v.on);
  if (v.on < cohort.startedFrom) throw wrongField('on', `is before the start, ${cohort.startedFrom}`);
  if (v.decision === 'step-back' && !v.container) throw wrongField('container', 'is missing: into which one');
  if (v.found.includes('wrong-identity') !== Boolean(v.taxonId))
    throw wrongField(
      'taxonId',
      v.taxonId ? 'goes with the finding that the label is wrong' : 'is missing: what is it',
    );
  if ((v.decision === 'lighten' || v.decision === 'put-back') && !v.stepKey)
    throw wrongField('stepKey', 'is missing: which work is it about');
  if (v.stepKey) {
    const step = await trx('course_step').where({ cohortId: v.cohortId, key: v.stepKey }).first('status');
    if (!step || step.status === 'done') throw wrongField('stepKey', 'is not an open step of this course');
  }
  const planning = await open();
  const [facts] = await readyFacts(trx, [v.cohortId], planning);
  const book = planning.books.get(facts.placeId)!;
  const { taxonId } = await sure(trx('cohort').where({ id: v.cohortId }).first('taxonId'));
  const causes = causesFor(facts, book, v.found, v.on);
  const looksAgain = causes.length > 0 || v.decision === 'quarantine';
  const checkOn = !looksAgain
    ? null
    : v.decision === 'quarantine'
      ? addDays(v.on, 21)
      : afterGrowth(book, facts.taxonId, v.on, CHECK_AFTER);
  const until = v.decision === 'put-back' ? afterGrowth(book, facts.taxonId, v.on, PUT_BACK_SEASONS) : null;
  const into = v.decision === 'step-back' ? v.container : null;
  await insertVisit(trx, v, {
    causes,
    checkOn,
    until,
    personId,
    ...(into ? { potting: { container: into, before: cohort.container } } : {}),
    taxonBefore: v.taxonId ? taxonId : null,
  });
  if (into) await trx('cohort').where({ id: v.cohortId }).update({ container: into });
  if (v.taxonId) await trx('cohort').where({ id: v.cohortId }).update({ taxonId: v.taxonId });
  return {
    touched: [v.cohortId],
    cause: 'a surprise on opening was recorded',
    answer: (planned) => ({ recordId: v.id, causes, checkOn, moved: planned.get(v.cohortId) ?? [] }),
  };
}
