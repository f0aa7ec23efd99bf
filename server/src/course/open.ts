import { isYearly } from '@gonimos/core/course';
import type { Sql } from '../db/index.ts';
import { conflict, wrongField } from '../http/problem.ts';

export interface OpenStep {
  title: string;
  operation: string;
  ready: boolean;
  odds: number | null;
}

/** The step something is said of, if it is still to do. */
export async function openStep(sql: Sql, cohortId: string, key: string): Promise<OpenStep> {
  const step = await sql('course_step').where({ cohortId: cohortId, key }).first();
  if (!step) throw wrongField('stepKey', 'is not a step of this course');
  if (step.status === 'done')
    throw conflict(`‘${step.title}’ was recorded meanwhile, for ${step.doneOn}.`, {
      status: 'done',
      doneOn: step.doneOn,
    });
  if (step.status === 'dropped') throw conflict(`‘${step.title}’ is not part of this course any more.`);
  return step;
}

/** As `openStep`, where it may be recorded now. */
export async function readyStep(sql: Sql, cohortId: string, key: string): Promise<OpenStep> {
  const step = await openStep(sql, cohortId, key);
  if (!step.ready) throw wrongField('stepKey', 'waits for a step before it that is not done');
  return step;
}

/** As `openStep`, for setting a day or a week by hand: what the season asks for each year keeps the season's days. */
export function openOwnStep(sql: Sql, cohortId: string, key: string): Promise<OpenStep> {
  if (isYearly(key)) throw wrongField('stepKey', 'is asked for by the season: record it when it is done');
  return openStep(sql, cohortId, key);
}
