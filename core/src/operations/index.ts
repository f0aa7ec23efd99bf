import { OPERATIONS } from '../../data/operations.ts';
import type { Param } from '../params/index.ts';
import type { MarkerName } from '../season/markers.ts';
import type { GrowthGroup } from '../taxa/index.ts';

export type Lane = 'roots' | 'top' | 'container' | 'care';

/** A marker of the place, and days after it (negative: before). */
export type Edge = [marker: MarkerName, offset: number];

/** The days in which an operation may be done. */
export type WindowSpec =
  /** hangs on the season of the place */
  | { kind: 'season'; opens: Edge; closes: Edge }
  /** counted in days from the step it follows */
  | { kind: 'lag'; opens: number; closes: number }
  /** opens once enough warmth has passed since the step it follows; °C·d above 5 °C */
  | { kind: 'warmth'; degreeDays: number | 'emergence'; days: number };

/** What the recording sheet asks for besides how many were done. */
export type Asks = 'emergence' | 'rooted' | 'container' | 'sizes' | 'culls' | 'grades';

export interface Operation {
  id: string;
  name: string;
  lane: Lane;
  /** the first entry that fits the taxon's group; `any` fits all */
  windows: Partial<Record<GrowthGroup | 'any', WindowSpec>>;
  /** share of root and of top taken, 0..1 */
  rootLoss: Param;
  topLoss: Param;
  /** growing seasons to pass before the next work of the same lane */
  recovery: Param;
  /** person-minutes a plant, worked in series */
  minutes: Param;
  asks: Asks[];
  tools: string[];
  caution?: string;
}

const byId = new Map(OPERATIONS.map((o) => [o.id, o]));

/** Throws RangeError for an operation the library does not hold. */
export function operation(id: string): Operation {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no such operation: ${id}`);
  return found;
}

/** The window of an operation for a growth group; null when that group has none. */
export const windowFor = (o: Operation, group: GrowthGroup): WindowSpec | null =>
  o.windows[group] ?? o.windows.any ?? null;

/** An insult is major when it takes more than three tenths of the root or of the top. */
export const MAJOR = 0.3;

export { OPERATIONS };
