import { createHash } from 'node:crypto';
import type { NewCohort } from '@gonimos/contract/cohorts';
import type { Person } from '@gonimos/contract/people';
import type { SeasonBook } from '@gonimos/core/season';
import type { Writing, Written } from '../write/types.ts';
import type { DemoPerson, DemoPlace } from './stage.ts';

/** The day on which the demo opens. */
export const OPENING_DAY = '2037-03-09';

/** What the chapters are told with. */
export interface Hand {
  person: (name: DemoPerson) => Person;
  /** books of the places as they stand before anything was seen */
  bookOf: (place: DemoPlace) => SeasonBook;
}

/** What somebody did on a day: asked of the same services that a request of theirs would reach. */
export interface DemoRequest {
  on: string;
  by: DemoPerson;
  act: (w: Writing) => Promise<Written<unknown>>;
}

/** A subject's part in the story of the nursery. */
export type Chapter = (h: Hand) => DemoRequest[];

/** The id of something in the demo: a UUID made of its name, the same in every demo. */
export function named(name: string): string {
  const h = createHash('sha256').update(`Tessary Bank: ${name}`).digest('hex');
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-5${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`;
}
export const placeId = (name: DemoPlace): string => named(`place ${name}`);
export const cohortId = (code: string): string => named(`cohort ${code}`);
export const lotId = (name: string): string => named(`lot ${name}`);
export const goalId = (name: string): string => named(`goal ${name}`);

type Told = 'code' | 'taxonId' | 'programmeId' | 'started' | 'count' | 'container' | 'note';

/** A cohort as somebody enters it; what is not told is empty. */
export const entered = (
  place: DemoPlace,
  c: Pick<NewCohort, Told> & Partial<Omit<NewCohort, 'id' | 'placeId'>>,
): NewCohort => ({
  id: cohortId(c.code),
  placeId: placeId(place),
  goal: '',
  goalCaliper: null,
  maybe: [],
  parentId: null,
  schools: {},
  standsAt: null,
  goalId: null,
  lotId: null,
  hostId: null,
  origin: null,
  ...c,
});
