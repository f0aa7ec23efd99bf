import { container, containers, roomPerPlant } from '../containers/index.ts';
import { LabPlant, MEDIAN_LUCK, ROOT_AT_MOVE, type LabStart } from '../lab/index.ts';

/** A move on the way to a thicker trunk. */
export interface ChainMove {
  container: string;
  /** calendar year, in spring */
  year: number;
  /** mm at the base then */
  caliper: number;
  litres: number;
}

export interface Chain {
  moves: ChainMove[];
  /** year in whose season the goal is reached; null: not within these years */
  reached: number | null;
  /** mix of all moves, litres a plant */
  litres: number;
}

/** Years a chain is followed for. */
const AHEAD = 15;
/** Next pot: so many times the room of the one before, at least. Common practice, no source. */
const STEP = 1.6;

/** Pots of a wall for one plant each, from small to large. */
const ladder = (wall: LabStart['wall']) =>
  containers()
    .filter((c) => c.wall === wall && !c.shared)
    .toSorted((a, b) => a.litres - b.litres);

/**
 * The pots a plant goes through until its trunk has come to a goal, each when the one before is full of root: the next
 * larger of one kind of wall, by the growth of the trunk lab in middling weather. `from`: what it stands in.
 */
export function chainTo(
  start: LabStart,
  from: string,
  goal: number,
  wall: LabStart['wall'] = 'air-pruning',
): Chain {
  const plant = new LabPlant(start);
  const pots = ladder(wall);
  const moves: ChainMove[] = [];
  let litres = start.litres ?? roomPerPlant(container(from), 1);
  let reached: number | null = null;
  for (let i = 0; i < AHEAD && reached === null; i++) {
    const full = i > 0 && plant.look().fill >= 1;
    const next = pots.find((p) => p.litres >= litres * STEP);
    // what stands too small today moves at once
    const small = i === 0 && start.litres !== null && plant.look().room < 0.75;
    if ((full || small) && next) {
      plant.act({
        year: plant.year,
        do: 'move',
        litres: next.litres,
        wall: next.wall,
        rootCut: ROOT_AT_MOVE.value,
        name: next.name,
      });
      moves.push({ container: next.id, year: plant.year, caliper: plant.caliper, litres: next.litres });
      litres = next.litres;
    }
    plant.season(MEDIAN_LUCK, i);
    if (plant.caliper >= goal) reached = plant.year - 1;
  }
  return { moves, reached, litres: moves.reduce((n, m) => n + m.litres, 0) };
}
