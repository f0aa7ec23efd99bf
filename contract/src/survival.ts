import type { Score } from '@gonimos/core/survival';
import { body, count, measure } from './fields.ts';

/** Severe work and the look after it: how sure the grower is that a plant lives, 0..1; how many were alive. */
export const survivalTold = body({
  sure: measure(0, 1, '').nullable().default(null),
  alive: count().nullable().default(null),
});

/** As it is kept: with the model's chance of living at the work, 0..1, and how many were looked at. */
export const survivalKept = survivalTold.shape({
  odds: measure(0, 1, '').nullable().default(null),
  of: count().nullable().default(null),
});

export interface SurvivalScores {
  all: Score;
  groups: { group: string; name: string; score: Score; factor: number }[];
}
