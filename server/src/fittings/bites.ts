import type { BiteAnswer, PartHeld } from '@gonimos/contract/fittings';
import type { Stretch } from '@gonimos/core/operations';
import { toDay, toIso } from '@gonimos/core/calendar';
import { plantOn } from '@gonimos/core/course';
import { BITES_AT } from '@gonimos/core/wire';
import type { CohortFacts } from '../facts/facts.ts';
import type { Planning } from '../facts/source.ts';

const YEAR = 365;

/** When what is put around a part of a cohort's plants today will bite: by the swelling of that very part. */
export function biteOf(facts: CohortFacts, { books, today }: Planning, part: PartHeld | Stretch): BiteAnswer {
  const now = toDay(today);
  const plant = plantOn(facts, books.get(facts.placeId)!, today);
  const thick = plant.thickness(part, now);
  const day = plant.swollenOn(part, BITES_AT * thick, now, now + 1, now + YEAR);
  return { thick, due: toIso(day ?? now + YEAR), bites: day !== null };
}
