import type { AskStart, StartAnswer, StartTime } from '@gonimos/contract/starts';
import { addDays, toDay, toIso } from '@gonimos/core/calendar';
import { compileCourse } from '@gonimos/core/course';
import { firstStep, type Programme } from '@gonimos/core/programmes';
import type { SeasonBook } from '@gonimos/core/season';
import { backCount, seedNeeds } from '@gonimos/core/seed';
import {
  beginningOf,
  choices,
  costOf,
  libraryShare,
  stageEstimate,
  stagesOf,
  stageWords,
  startNumber,
  startUnit,
  throughAll,
  type Stage,
  type StageEstimate,
} from '@gonimos/core/starts';
import { taxon } from '@gonimos/core/taxa';
import { programmeFor } from '../library/store.ts';
import type { Ground } from '../facts/source.ts';
import { readGround } from '../season/ground.ts';
import { learnedByGroup } from '../survival/store.ts';
import type { Sql } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { readLived, type Lived } from './history.ts';

/** Seasons looked ahead for a start that is in time. */
const SEASONS = 3;
const BETWEEN_SEASONS = 30;

/** The stages of a programme up to one, each with the share to expect. Refuses a stage it does not have. */
export function estimates(
  p: Programme,
  taxonId: string,
  stage: Stage,
  lived: readonly Lived[],
): StageEstimate[] {
  const all = stagesOf(p);
  const at = all.findIndex((s) => s.stage === stage);
  if (at < 0)
    throw wrongField('stage', `is not one of this programme: ${all.map((s) => s.stage).join(', ')}`);
  const beginning = beginningOf(p);
  return all.slice(0, at + 1).map((s) =>
    stageEstimate(
      s.stage,
      libraryShare(s.stage, beginning, taxon(taxonId)),
      lived.filter(
        (l) =>
          l.stage === s.stage && (s.stage === 'showing' ? l.beginning === beginning : l.method === p.method),
      ),
    ),
  );
}

export function bookOf(planning: Ground, placeId: string): SeasonBook {
  const book = planning.books.get(placeId);
  if (!book) throw wrongField('placeId', 'is not a place of this nursery');
  return book;
}

/** What starts are dated from: the ground of all courses, and what outcomes have taught. */
export interface StartGround extends Ground {
  learned: Awaited<ReturnType<typeof learnedByGroup>>;
}
export const readStartGround = async (sql: Sql): Promise<StartGround> => ({
  ...(await readGround(sql)),
  learned: await learnedByGroup(sql),
});

/** When plants of this kind may be started in this season and the next, and when they reach the stage. */
export function timesOf(
  p: Programme,
  want: Pick<AskStart, 'taxonId' | 'placeId' | 'stage' | 'byYear' | 'wanted'>,
  ground: StartGround,
): StartTime[] {
  const book = bookOf(ground, want.placeId);
  const until = stagesOf(p).find((s) => s.stage === want.stage)!.step.key;
  const times: StartTime[] = [];
  let from = ground.today;
  for (let i = 0; i < SEASONS; i++) {
    const course = compileCourse(
      {
        taxonId: want.taxonId,
        programme: p,
        startedOn: from,
        live: want.wanted,
        steps: {},
        sizes: [],
        vigour: [],
        schools: { nursery: ground.schools, cohort: {} },
        learned: ground.learned.get(taxon(want.taxonId).group) ?? null,
      },
      book,
      from,
    );
    const first = course.steps.find((s) => s.key === firstStep(p).key);
    if (!first?.opens || !first.closes) break;
    const reaches = course.steps.find((s) => s.key === until)?.target ?? null;
    const { phases, late } =
      p.method === 'seed'
        ? backCount(
            seedNeeds(taxon(want.taxonId)),
            { from: toDay(first.opens), to: toDay(first.closes) },
            toDay(ground.today),
          )
        : { phases: [], late: 0 };
    times.push({
      season: book.seasonOf(toDay(first.opens)),
      opens: first.opens,
      closes: first.closes,
      reaches,
      late,
      phases: phases.map((x) => ({ what: x.what, from: toIso(x.from), to: toIso(x.to) })),
      inTime: reaches !== null && late === 0 && Number(reaches.slice(0, 4)) <= want.byYear,
    });
    from = addDays(first.closes, BETWEEN_SEASONS);
  }
  return times;
}

/** How many to start for a want, what each confidence costs, and when. */
export async function answerStart(sql: Sql, want: AskStart): Promise<StartAnswer> {
  const { programme: p } = await programmeFor(sql, want.programmeId);
  const stages = estimates(p, want.taxonId, want.stage, await readLived(sql, want.taxonId));
  const share = throughAll(stages);
  return {
    stages: stages.map((s) => ({ ...s, words: stageWords(s.stage, p.method) })),
    ...share,
    number: startNumber(want.wanted, want.confidence, share, want.most),
    choices: choices(want.wanted, share, costOf(p, want.stage, want.cost), want.most),
    times: timesOf(p, want, await readStartGround(sql)),
    fresh: p.method === 'seed' && seedNeeds(taxon(want.taxonId)).kind === 'fresh',
    unit: startUnit(p),
  };
}
