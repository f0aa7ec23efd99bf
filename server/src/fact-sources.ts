import type { FactSource } from './facts/source.ts';
import { layerFacts } from './layers/facts.ts';
import { paceFacts } from './pace/facts.ts';
import { seedFacts } from './seed/facts.ts';
import { shortFacts } from './stock/facts.ts';
import { learnedFacts } from './survival/facts.ts';
import { weekFacts } from './year/facts.ts';

/** What the subjects know of cohorts that bears on their courses. A new subject adds its line. */
export const FACT_SOURCES: readonly FactSource[] = [
  seedFacts,
  layerFacts,
  learnedFacts,
  paceFacts,
  weekFacts,
  shortFacts,
];
