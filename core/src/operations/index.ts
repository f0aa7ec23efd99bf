import { OPERATIONS } from '../../data/operations/index.ts';
import type { Param } from '../params/index.ts';
import type { QuestionId } from '../schools/index.ts';
import type { MarkerName } from '../season/markers.ts';
import type { GrowthGroup } from '../taxa/index.ts';

export const LANES = ['roots', 'top', 'container', 'care'] as const;
export type Lane = (typeof LANES)[number];

/** A marker of the place, and days after it (negative: before). */
export type Edge = [marker: MarkerName, offset: number];

/** The days in which an operation may be done. */
export type WindowSpec =
  /** hangs on the season of the place, or of the open air */
  | { kind: 'season'; opens: Edge; closes: Edge; outdoors?: boolean }
  /** counted in days from the step it follows */
  | { kind: 'lag'; opens: number; closes: number }
  /** counted in growing seasons from the step it follows: growth decides, not the calendar */
  | { kind: 'growth'; opens: number; days: number }
  /** opens once enough warmth has passed since the step it follows; °C·d above `base`, 5 °C unless given */
  | { kind: 'warmth'; degreeDays: number | 'emergence'; days: number; base?: number }
  /** around the first night of autumn, or last of spring, too cold for the kind: all but one year in fifty */
  | { kind: 'cold'; side: 'first' | 'last'; opens: number; closes: number };

/** What the recording sheet asks for besides how many were done. */
export type Asks =
  'emergence' | 'severed' | 'rooted' | 'container' | 'sizes' | 'culls' | 'grades' | 'alive' | 'buds';

/** Care that follows a piece of work, with its own window; only for some kinds of plant where named. */
export interface Aftercare {
  operation: string;
  window?: WindowSpec;
  groups?: readonly GrowthGroup[];
}

export interface Operation {
  id: string;
  name: string;
  lane: Lane;
  /** the first entry that fits the taxon's group; `any` fits all */
  windows: Partial<Record<GrowthGroup | 'any', WindowSpec>>;
  /** a school that moves the window: by option chosen */
  schoolWindows?: { question: QuestionId; options: Record<string, WindowSpec> };
  /** share of root and of top taken, 0..1 */
  rootLoss: Param;
  topLoss: Param;
  /** growing seasons to pass before the next work of the same lane */
  recovery: Param;
  /** growing seasons the plant must have stood undisturbed, unless it was seen firm */
  established?: Param;
  /** coldest night, °C, borne in the three nights after the work */
  guard?: Param;
  /** other work that must stay this many days away from it */
  apart?: { from: readonly string[]; days: Param };
  /** leans on low buds or keepers that need light */
  wantsLight?: boolean;
  /** brings plants among others or out of the nursery: barred in quarantine */
  moves?: boolean;
  /** sends plants from their place into the open air */
  exposes?: boolean;
  /** waits for the buds: a tally of bud stages bears on it */
  budsDecide?: boolean;
  /** person-minutes a plant, worked in series */
  minutes: Param;
  /** people wanted at once, and whether it takes practice */
  crew: number;
  skilled: boolean;
  asks: Asks[];
  tools: string[];
  caution?: string;
  aftercare: readonly Aftercare[];
}

const byId = new Map(OPERATIONS.map((o) => [o.id, o]));
export const hasOperation = (id: string): boolean => byId.has(id);

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
