import { toDay, type IsoDate } from '../calendar/index.ts';
import { contextOf } from '../course/context.ts';
import { plantOn, type CourseFacts } from '../course/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { FREE_RING, taxon, toleranceOf } from '../taxa/index.ts';
import type { LabStart } from './types.ts';

/** A cohort's typical plant as a course of thickening would begin with it: before the next season it can grow in. */
export function labStart(facts: CourseFacts, book: SeasonBook, today: IsoDate): LabStart {
  const { seasons } = contextOf(facts, book, today);
  const day = toDay(today);
  const plant = plantOn(facts, book, today).clone();
  let year = seasons.seasonOf(day);
  const growing = seasons.growing(year);
  if (day > growing.from) {
    plant.advance(Math.max(day, growing.to));
    year++;
  }
  const kind = taxon(facts.taxonId);
  return {
    year,
    ring: FREE_RING[kind.pace].value,
    tolerance: toleranceOf(kind),
    vigour: plant.vigour,
    caliper: plant.caliper,
    height: plant.height,
    litres: plant.litres === Infinity ? null : plant.litres,
    wall: plant.wall,
  };
}
