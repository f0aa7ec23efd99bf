import { CALLUS_TO_RING, HEIGHTS, LabPlant, MEDIAN_LUCK, type LabAct, type LabStart } from '../lab/index.ts';

/** Seasons a wound is watched for. */
const WATCHED = 25;
/** Below a wound by so much: right above it there may be a new leader, thin at first, mm. */
const BELOW = 5;

/** Thickness of a stem of the lab between the heights it is followed at, mm. */
export function between(stem: Float64Array, height: number): number {
  const j = HEIGHTS.findIndex((h) => h >= height);
  if (j <= 0) return stem[j < 0 ? HEIGHTS.length - 1 : 0];
  const part = (height - HEIGHTS[j - 1]) / (HEIGHTS[j] - HEIGHTS[j - 1]);
  return stem[j - 1] + part * (stem[j] - stem[j - 1]);
}

/**
 * Seasons until a wound of so many mm across is shut, by the rings laid down at its height: callus comes from both
 * sides (form of Neely 1988, from memory). `acts`: what is done to the plant in the spring of the wound, the cut
 * itself among them. null: not within 25 seasons.
 */
export function seasonsToClose(
  start: LabStart,
  acts: readonly LabAct[],
  height: number,
  width: number,
): number | null {
  const plant = new LabPlant(start);
  for (const act of acts) plant.act(act);
  const at = Math.max(0, height - BELOW);
  let before = between(plant.look().stem, at);
  let open = width;
  for (let season = 0; season < WATCHED; season++) {
    plant.season(MEDIAN_LUCK, season);
    const now = between(plant.look().stem, at);
    open -= CALLUS_TO_RING.value * Math.max(0, now - before);
    before = now;
    if (open <= 0) return season + 1;
  }
  return null;
}
