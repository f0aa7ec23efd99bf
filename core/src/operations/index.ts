import { OPERATIONS } from '../../data/operations/index.ts';
import type { Param } from '../params/index.ts';
import type { QuestionId } from '../schools/index.ts';
import type { MarkerName } from '../season/marker-rules.ts';
import type { GrowthGroup, SowTime, Taxon } from '../taxa/index.ts';

export const LANES = ['roots', 'top', 'container', 'care'] as const;
export type Lane = (typeof LANES)[number];

/** A part whose swelling is asked for: the base, where ties sit, or the stem above, where wire does. */
export type Segment = 'base' | 'stem';

/** Any stretch of a plant: how thick it is, of the base, and how much of the crown stands above it or on it, 0..1. */
export interface Stretch {
  of: number;
  share: number;
}

/** A marker of the place, and days after it (negative: before). */
export type Edge = [marker: MarkerName, offset: number];

/** The days in which an operation may be done. */
export type WindowSpec =
  /** hangs on the season of the place, or of the open air */
  | {
      kind: 'season';
      opens: Edge;
      closes: Edge;
      outdoors?: boolean;
      /** days it lasts at least */ atLeast?: number;
    }
  /** counted in days from the step it follows */
  | { kind: 'lag'; opens: number; closes: number }
  /** counted in growing seasons from the step it follows: growth decides, not the calendar */
  | { kind: 'growth'; opens: number; days: number }
  /** opens once enough warmth has passed since the step it follows; °C·d above `base`, 5 °C unless given */
  | {
      kind: 'warmth';
      /** a sum, what seed of the kind wants, or what a layer of the kind wants to fill, and to fill again */
      degreeDays: number | 'emergence' | 'layer' | 'layer again';
      days: number;
      base?: number;
      /** of that sum; the whole unless given */
      share?: number;
    }
  /** around the first night of autumn, or last of spring, too cold for the kind: all but one year in fifty */
  | { kind: 'cold'; side: 'first' | 'last'; opens: number; closes: number }
  /** closes when a part has swollen by this share of its thickness since the step it follows; opens so many days before */
  | { kind: 'swelling'; part: Segment; share: number; days: number }
  /** from half up to the day tips reach the cover, by its clearance */
  | { kind: 'tips' };

/** A window by growth group: the group's own, that of all kinds ruled by warmth, or that of any kind. */
export type Windows = Partial<Record<GrowthGroup | 'warm' | 'any', WindowSpec>>;

/** An answer to a question of schools under which something is done. */
export interface When {
  question: QuestionId;
  /** ‘dry-air’ stands for "by humidity" where summers are dry */
  options: readonly string[];
}

/** What may be on a plant besides the plant itself; each has a day to be looked at, renewed or to go. */
export const FITTINGS = [
  'wire',
  'tie-down',
  'binding',
  'coil',
  'guy',
  'stake',
  'prop stone',
  'wedge',
  'pin',
  'screw',
  'tile',
  'board',
  'moss',
  'cover',
  'repellent',
  'tourniquet',
  'cage wire',
] as const;
export type Fitting = (typeof FITTINGS)[number];
export type Tending = 'looks' | 'takes off' | 'renews';

/** What comes of work that is missed, the worst first. */
export const RISKS = ['bites', 'frost', 'life', 'guard', 'wound'] as const;
export type Risk = (typeof RISKS)[number];

/** What the recording sheet asks for besides how many were done. */
export type Asks =
  | 'emergence'
  | 'severed'
  | 'rooted'
  | 'container'
  | 'sizes'
  | 'culls'
  | 'grades'
  | 'alive'
  | 'buds'
  | 'sprouts';

/** Care that follows a piece of work, with its own window; only for some kinds of plant where named. */
export interface Aftercare {
  operation: string;
  window?: WindowSpec;
  groups?: readonly GrowthGroup[];
  when?: When;
  /** growing seasons to pass before it */
  seasons?: number;
  /** window of what ends it, where that is not the usual one */
  ends?: WindowSpec;
}

export interface Operation {
  id: string;
  /** on one of a nursery's own: the library's operation it was made from, whose part it plays in every rule */
  like?: string;
  name: string;
  lane: Lane;
  windows: Windows;
  /** a school that moves the window: by option chosen, for kinds ruled by cold */
  schoolWindows?: { question: QuestionId; options: Record<string, Windows> };
  /** sowing follows the seed: as it ripens where it does not keep */
  seedWindows?: Partial<Record<SowTime, WindowSpec>>;
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
  /** cuts into bare old wood: wants live growth below it on kinds that do not sprout there */
  oldWood?: boolean;
  /** all or nothing: it is put off, never made lighter */
  whole?: boolean;
  /** may be done in one sitting with the step it follows */
  sameSitting?: boolean;
  /** leaves wounds that are treated by school */
  wounds?: boolean;
  /** fills a container: with fresh mix, again with some of the old, or with some of the soil it was lifted from */
  fills?: 'fresh' | 'again' | 'lifted';
  /** holds stems together by school */
  binds?: boolean;
  /** sets stems together: several to one base, or a thin one to a thicker tree */
  joins?: 'stems' | 'thin stem';
  /** what it leaves over that may be stuck */
  gives?: 'prunings';
  /** looks at, takes off or renews what holds, presses or covers plants since the step it follows */
  tends?: { what: Fitting; how: Tending };
  /** what comes of it when it is missed */
  risk?: Risk;
  /** small care: where nobody recorded it in time it lapses by itself */
  lapses?: boolean;
  /** shows a further length of root */
  uncovers?: boolean;
  /** disturbs the roots: kept from frost for some weeks */
  loosens?: boolean;
  /** shows whether the roots hold again */
  firms?: boolean;
  /** makes plants used to the open air */
  hardens?: boolean;
  /** takes plants to a sheltered place */
  shelters?: boolean;
  /** a cover goes on, or comes off */
  cover?: 'on' | 'off';
  /** what happens to a layer by it */
  layer?: 'looked' | 'opened' | 'severed';
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

/** Those in force by id: the library's, and over them those of the nursery's own. */
let held = new Map<string, Operation>(OPERATIONS.map((o) => [o.id, o]));

/** Puts a nursery's own operations over the library's; those put before are forgotten. */
export function holdOperations(own: readonly Operation[]): void {
  held = new Map([...OPERATIONS, ...own].map((o) => [o.id, o]));
}

/** Every operation in force, the library's first. */
export const operations = (): Operation[] => [...held.values()];

/** Names that stand in programmes written before: a mesh is a cover like any other, ties are looked at and stay. */
const BEFORE: Record<string, string> = { 'mesh-off': 'guard-off', 'tie-off': 'tie-check' };
const found = (id: string) => held.get(id) ?? held.get(BEFORE[id] ?? '');
export const hasOperation = (id: string): boolean => found(id) !== undefined;

/** Throws RangeError for an operation neither the library nor the nursery holds. */
export function operation(id: string): Operation {
  const op = found(id);
  if (!op) throw new RangeError(`no such operation: ${id}`);
  return op;
}

/** Work of which something has to be told before it can be said to be done: a count, or what was seen. */
export const mustBeTold = (op: Operation): boolean =>
  op.layer !== undefined || op.asks.includes('emergence') || op.asks.includes('rooted');

/** The library's operation whose part one plays: itself, or what it was made from. */
export function workOf(id: string): string {
  const op = operation(id);
  return op.like ?? op.id;
}

/** Ids of the operations in force of which something holds. */
export const operationsThat = (holds: (o: Operation) => boolean): string[] =>
  operations()
    .filter(holds)
    .map((o) => o.id);

/** The window of a kind among those written; null when it has none. */
export function windowOf(w: Windows, t: Pick<Taxon, 'group' | 'phenology'>): WindowSpec | null {
  const byWarmth = t.phenology === 'warm-season' ? w.warm : undefined;
  return w[t.group] ?? byWarmth ?? w.any ?? null;
}

/** The window of an operation for a kind; null when that kind has none. */
export const windowFor = (o: Operation, t: Pick<Taxon, 'group' | 'phenology' | 'sown'>): WindowSpec | null =>
  (t.sown ? o.seedWindows?.[t.sown] : undefined) ?? windowOf(o.windows, t);

/** An insult is major when it takes more than three tenths of the root or of the top. */
export const MAJOR = 0.3;

export { OPERATIONS };
