import { toDay, toIso, type Day } from '../calendar/index.ts';
import { afterSeasons, type Plant } from '../plant/index.ts';
import type { Placement } from './place.ts';
import { slowAfter } from './rules/condition.ts';
import type { Context, PlannedStep, StepInHand } from './types.ts';
import { findWindow } from './windows/index.ts';

const LONGEST = 15;
const STEP = 0.5;

const yearOf = (day: Day) => Number(toIso(day).slice(0, 4));

/** Years in which a step that waits for a size may come: as fast and as slow plants of the kind grow. */
export function spanOf(ctx: Context, hand: StepInHand, found: Placement): PlannedStep['span'] {
  const { plant, window } = found;
  if (!window || !plant) return null;
  const waits = found.demands.find((d) => d.band);
  // typical plants are large enough on the day the step comes anyway; slow ones may hold it up
  const band = waits?.band ?? slowAfter(ctx, hand, plant);
  if (!band) return null;
  const opensIn = (from: Day) => {
    const w = findWindow(ctx, hand, from, plant);
    return 'none' in w ? null : yearOf(w.opens);
  };
  const others = found.demands.filter((d) => d !== waits && d.notBefore !== 'never');
  const earliest = Math.max(toDay(ctx.facts.startedOn), ...others.map((d) => d.notBefore as Day));
  const likely = yearOf(window.opens);
  const from =
    band.fast === null ? likely : (opensIn(Math.max(band.fast, Math.min(earliest, window.opens))) ?? likely);
  const to = band.slow === null ? null : opensIn(band.slow);
  return { from: Math.min(from, likely), to: to === null ? null : Math.max(to, likely), likely };
}

/** The day roots fill the container a plant stands in; null when that is not within many years, or it stands free. */
export function fullOn(ctx: Context, plant: Plant): Day | null {
  if (plant.litres === Infinity) return null;
  const probe = plant.clone();
  for (let s = 0; s < LONGEST / STEP; s++) {
    if (probe.fill(probe.day) >= 1) return probe.day;
    probe.advance(afterSeasons(ctx.seasons, probe.day, STEP) + 1);
  }
  return null;
}
