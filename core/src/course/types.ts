import type { Day, IsoDate } from '../calendar/index.ts';
import type { Wall } from '../containers/index.ts';
import type { Operation } from '../operations/index.ts';
import type { Param } from '../params/index.ts';
import type { CourseStepPlan, Programme } from '../programmes/index.ts';
import type { Choices, Levels } from '../schools/index.ts';
import type { SeasonBook } from '../season/book.ts';
import type { GroupTolerance, Taxon } from '../taxa/index.ts';
import type { Seasons } from '../plant/index.ts';
import type { Ring } from '../trunk/index.ts';

/** The rules of the trade, and the grower's own word. */
export const RULES = [
  'window',
  'order',
  'recovery',
  'reserve',
  'vigour',
  'establishment',
  'condition',
  'weather guard',
  'layer cut-off',
  'light on low buds',
  'exclusive work',
  'stock',
  'labour',
  'school',
  'quarantine',
  'exposure',
  'old wood',
  'put off',
  'set by hand',
] as const;
export type RuleName = (typeof RULES)[number];

/** Why a step has no date: a closed list, so that every one of them can be answered for. */
export const REFUSALS = [
  'winters-too-warm',
  'never-warm-enough',
  'no-such-season',
  'no-cold',
  'stays-in',
  'not-for-kind',
  'follows-refused',
  'old-wood',
  'beyond-reserve',
  'never-so-large',
  'layer-cut-off',
  'in-shade',
  'held-apart',
  'exposure',
  'rules-disagree',
] as const;
export type RefusalCode = (typeof REFUSALS)[number];

/** A number a reason rests on, with where it comes from. */
export interface Figure {
  label: string;
  value: number | IsoDate;
  unit: string;
  basis: Param['basis'] | 'computed';
  source?: string;
}

/** Why a step stands where it stands. Dates in the text are written {YYYY-MM-DD}. */
export interface Reason {
  rule: RuleName;
  text: string;
  figures: Figure[];
  /** this rule decided the date */
  binding: boolean;
}

/** A window that closed while a step stood open in it. */
export interface MissedWindow {
  opens: IsoDate;
  closes: IsoDate;
}

/** What is known of one step of a course. */
export interface StepFact {
  status: 'planned' | 'done' | 'dropped';
  doneOn?: IsoDate;
  container?: string | null;
  /** the grower said not yet: not before this day, and why */
  putOff?: { until: IsoDate; reason: string };
  /** the grower set the day; `overrides` names the rule it goes against, with the reason kept */
  moved?: { to: IsoDate; overrides: RuleName | null; reason: string };
  /** Monday of the week the levelled year gives it */
  week?: IsoDate;
  /** share of the root that went by the grower's own plan of cuts, 0..1 */
  took?: number;
  /** share of the crown that went by a drawing of the stem, 0..1 */
  tookTop?: number;
  /** found on opening: this share of the loss is taken */
  lighten?: { share: number; found: string; on: IsoDate };
  /** looked at before it was ready: waits again from that day, and for what */
  again?: { on: IsoDate; found: string };
  /** seen to be ready: it waits for no more warmth */
  ripe?: { on: IsoDate; found: string };
  /** the window in which it was to be done, and was not; until the grower says what becomes of it */
  missed?: MissedWindow;
  /** plants it was done on so far, where more are left for another day, and the last of those days */
  part?: number;
  partOn?: IsoDate;
  /** small care nobody recorded in time: it is not asked for any more */
  lapsed?: true;
  /** containers it wants that are spoken for or not there */
  short?: { container: string; count: number; until: IsoDate | null; takenBy: string };
}

/** An air layer as far as its course hangs on it. */
export interface LayerSeen {
  openedOn: IsoDate | null;
  severedOn: IsoDate | null;
}

export type Light = 'full' | 'half' | 'shade';

export interface CourseFacts {
  taxonId: string;
  /** kinds it may be until leaves or flowers tell: the plan spares what the tenderest of them would suffer */
  maybe?: readonly string[];
  programme: Programme;
  startedOn: IsoDate;
  live: number;
  /** what the plants stood in at the start; null: what the programme begins with */
  firstContainer?: string | null;
  /** nothing has come up of what was sown: work on plants waits */
  nothingUp?: boolean;
  /** by step key; a missing step is planned */
  steps: Record<string, StepFact>;
  sizes: { on: IsoDate; caliper: number | null; height: number | null }[];
  vigour: { on: IsoDate; value: number }[];
  /** containers changed between steps, as when a plant is put back a size */
  moves?: { on: IsoDate; container: string }[];
  /** whether live growth was seen low on the stem, and when; null: nobody looked */
  lowGrowth?: { on: IsoDate; seen: boolean } | null;
  /** the cover over them now: mesh, fleece, cage or glass, and its clearance, mm */
  cover?: { clearance: number } | null;
  /** of an air layer: what was done to it */
  layer?: LayerSeen;
  /** days of cold the seed had when it was sown; null: none is told of, taken as enough */
  chilled?: number | null;
  /** when half of a sowing were up, by the counts so far */
  halfUp?: IsoDate | null;
  /** the programme is the grower's own: lags and conditions in it are theirs */
  own?: boolean;
  /** the last day plants were seen firm and rooted */
  firmOn?: IsoDate | null;
  /** schools chosen for the nursery and for this cohort */
  schools: { nursery: Choices; cohort: Choices };
  /** held apart since, until released */
  quarantine?: { since: IsoDate; found: string } | null;
  /** light where the cohort stands, and since when */
  light?: { is: Light; since: IsoDate } | null;
  /** last tally of bud stages */
  buds?: { on: IsoDate; looked: number; ready: number } | null;
  /** minutes a plant that the clock has taught, by operation; what is missing is as in the library */
  pace?: Record<string, number>;
  /** what outcomes have taught of the group's tolerance: 1 as in the library */
  learned?: { factor: number; plants: number } | null;
}

export interface PlannedStep {
  key: string;
  operation: string;
  title: string;
  lane: Operation['lane'];
  /** lapsed: small care whose time went by unrecorded */
  status: 'planned' | 'done' | 'dropped' | 'none' | 'lapsed';
  /** the step this one is aftercare of */
  chain: string | null;
  /** first and last day of the window that holds, null when done without one or none is found */
  opens: IsoDate | null;
  closes: IsoDate | null;
  /** earliest and latest the window is likely to open, one year in ten each way */
  opensEarly: IsoDate | null;
  opensLate: IsoDate | null;
  /** day the plan counts on */
  target: IsoDate | null;
  /** day its containers would be wanted, where it waits for them; null: on its target */
  wantsOn: IsoDate | null;
  doneOn: IsoDate | null;
  container: string | null;
  /** share of the root to take: wanted, and what the plant bears on the target day */
  rootCut: { wanted: number; limit: number; take: number } | null;
  /** share of the top to take where that is less than is usual, and why stands among the reasons */
  topCut: { wanted: number; take: number } | null;
  /** severe work: the model's chance, 0..1, that a plant of the cohort lives through it */
  odds: number | null;
  /** everything it waits for is done */
  ready: boolean;
  /** steps still to be done before it, and the days between */
  waits: { key: string; days: number }[];
  /** person-minutes for all plants */
  minutes: number;
  /** what may be done instead when the step is refused */
  offers: string | null;
  /** why it has no date */
  refusal: RefusalCode | null;
  /** years in which a step that waits for a size may come, and the likeliest */
  span: { from: number; to: number | null; likely: number } | null;
  /** what is used for it, besides tools, by kind, container and school */
  materials: Material[];
  /** the window that went by, of which nothing has been said yet */
  missed: MissedWindow | null;
  /** the day was set by hand; with the rule it goes against */
  moved: { to: IsoDate; overrides: RuleName | null; reason: string } | null;
  reasons: Reason[];
}

/** Something used for a step, for all plants together. */
export interface Material {
  what: string;
  /** null: have it at hand, the amount does not matter */
  amount: number | null;
  unit: string;
}

export interface Course {
  steps: PlannedStep[];
  /** caliper at the end of each season, past and expected */
  rings: readonly Ring[];
  endsOn: IsoDate | null;
  /** what holds the roots today */
  wall: Wall;
  /** when roots fill, or have filled, the container they stand in now, as the plan goes; null: they move on before, or stand free */
  rootBoundOn: IsoDate | null;
  /** steps of the programme for which there is no time in this course, and what says so */
  leftOut: readonly { key: string; because: Reason | null }[];
}

/** What a rule asks: not before a day, or never; some close the window early. */
export interface Demand {
  rule: RuleName;
  notBefore: Day | 'never';
  /** the step before that it counts from */
  since?: { key: string; day: Day };
  /** last day on which the rule agrees */
  closesBy?: Day;
  offers?: string;
  /** a step that never comes: why */
  code?: RefusalCode;
  /** days on which fast and slow plants reach what is asked; null: never */
  band?: { fast: Day; slow: Day | null };
  text: string;
  figures: Figure[];
}

export interface Context {
  facts: CourseFacts;
  levels: Levels;
  /** a layer is opened only where its dates allow */
  byDate: boolean;
  taxon: Taxon;
  tolerance: GroupTolerance;
  book: SeasonBook;
  /** growing seasons of this kind at this place, kept */
  seasons: Seasons;
  /** basis of the lags and conditions a programme asks for: the grower's own, or the trade's */
  practice: Param['basis'];
  /** half were up by then, where that has been told */
  emergedOn: Day | null;
  today: Day;
  /** day each step was done or is planned for, in programme order; null: cannot be planned */
  dates: Map<
    string,
    {
      day: Day | null;
      title: string;
      /** the library’s operation whose part it plays */ work: string;
      done: boolean;
      why?: string;
    }
  >;
}

export interface StepInHand {
  step: CourseStepPlan;
  op: Operation;
  fact: StepFact;
  rootLoss: number;
  topLoss: number;
  /** the share of the top asked for before old wood was thought of */
  topWanted: number;
}
