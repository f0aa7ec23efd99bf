/**
 * The rows of every table, by the names of the code; a test holds them against the database. What is worked out by the
 * database or has a default may be left out of an insert.
 */
import type { Origin } from '@gonimos/contract/cohorts';
import type { KeptDetails } from '@gonimos/contract/details';
import type { RoutineKind } from '@gonimos/contract/year';
import type { DrainTest, Part, Under } from '@gonimos/core/mixes';
import type { PlannedStep, Reason } from '@gonimos/core/course';
import type { Programme } from '@gonimos/core/programmes';
import type { Choices } from '@gonimos/core/schools';
import type { CellState } from '@gonimos/core/trays';
import type { RingRun } from '@gonimos/core/trunk';
import type { UnitSystem } from '@gonimos/core/units';
import type { Knex } from 'knex';

/** How steps done up to a record stand under the programme that came after it; '' for no like. */
export interface StepMap {
  upTo: number;
  keys: Record<string, string>;
}

/** What a table gives, and what it takes: objects go into JSON columns as text. */
type Table<Row> = Knex.CompositeTableType<
  Row,
  { [K in keyof Row]?: unknown },
  { [K in keyof Row]?: unknown }
>;

export interface AbsenceRow {
  personId: string;
  week: string;
  hours: number;
}

export interface AuditRow {
  seq: number;
  at: Date;
  personId: string | null;
  subject: string;
  what: string;
}

export interface CohortRow {
  id: string;
  code: string;
  taxonId: string;
  method: string;
  placeId: string;
  container: string;
  programmeId: string;
  programme: Programme;
  programmeDigest: string | null;
  startedSaid: string;
  startedFrom: string;
  startedTo: string;
  parentId: string | null;
  standsAt: string | null;
  firstContainer: string | null;
  splitFrom: string | null;
  splitSeq: number | null;
  goal: string;
  goalCaliper: number | null;
  note: string;
  live: number;
  pending: number;
  emerged: number;
  rings: RingRun;
  endsOn: string | null;
  nextTitle: string | null;
  nextOpens: string | null;
  nextCloses: string | null;
  nextRule: string | null;
  version: number;
  createdAt: Date;
  growing: boolean | null;
  schools: Choices;
  programmeVersion: number;
  stepMaps: StepMap[];
  placeSince: string | null;
  goalId: string | null;
  lotId: string | null;
  hostId: string | null;
  origin: Origin | null;
  tag: string | null;
  taxonMaybe: string[] | null;
  rootBoundOn: string | null;
  planFault: string | null;
  planDigest: string;
}

export interface ContainerStockRow {
  container: string;
  counted: number;
  countedOn: string;
  countedSeq: number;
  arriving: number;
  arrives: string | null;
  worn: number;
  version: number;
}

/** A mix of the nursery's own, or what it found of one of the library; `under`: its coarse zone. */
export interface MixRow {
  id: string;
  name: string;
  parts: Part[];
  under: Under | null;
  drain: DrainTest | null;
  version: number;
  retired: boolean;
}

/** Loose components in the bins, litres; `countedBatch`: the last batch made before the count; `cents`: of a litre. */
export interface MixStockRow {
  component: string;
  counted: number;
  countedOn: string;
  countedSeq: number;
  countedBatch: number;
  arriving: number;
  arrives: string | null;
  cents: number | null;
  version: number;
}

/** Litres of a component that work took, as it came from the bag; below 0: old mix that was put back. */
export interface MixUseRow {
  recordId: string;
  component: string;
  litres: number;
}

interface BatchPartKept {
  component: string;
  litres: number;
}

/** Mix that was made ahead, with what went in from the bag. */
export interface MixBatchRow {
  id: string;
  seq: number;
  mix: string;
  madeOn: string;
  litres: number;
  parts: BatchPartKept[];
  note: string;
  personId: string | null;
  withdrawn: boolean;
}

/** Litres that work took from a batch. */
export interface MixBatchUseRow {
  recordId: string;
  batchId: string;
  litres: number;
}

/** Stems that were set together to become one base. */
export interface PlantGroupRow {
  id: string;
  seq: number;
  cohortId: string;
  madeOn: string;
  method: string;
  members: string;
  stood: string;
  joinAt: string | null;
  joint: string;
  lookOn: string;
  outcome: string | null;
  lookedOn: string | null;
  note: string;
  personId: string | null;
  version: number;
}

/** What the next plan of a cohort is compared with. */
export interface PlanKeptRow {
  cohortId: string;
  steps: string;
}

export interface CourseStepRow {
  cohortId: string;
  key: string;
  seq: number;
  operation: string;
  title: string;
  lane: string;
  status: string;
  opens: string | null;
  closes: string | null;
  opensEarly: string | null;
  opensLate: string | null;
  target: string | null;
  doneOn: string | null;
  container: string | null;
  rootCut: NonNullable<PlannedStep['rootCut']> | null;
  ready: boolean;
  minutes: number;
  reasons: PlannedStep['reasons'];
  chain: string | null;
  odds: number | null;
  waits: PlannedStep['waits'];
  offers: string | null;
  moved: NonNullable<PlannedStep['moved']> | null;
  topCut: NonNullable<PlannedStep['topCut']> | null;
  refusal: string | null;
  span: NonNullable<PlannedStep['span']> | null;
  materials: PlannedStep['materials'];
  missed: NonNullable<PlannedStep['missed']> | null;
  wantsOn: string | null;
}

export interface FailedSignInRow {
  name: string;
  at: Date;
}

export interface IdentityRow {
  id: string;
  seq: number;
  cohortId: string;
  onDate: string;
  was: unknown;
  now: unknown;
  reason: string;
  personId: string | null;
}

export interface LayerRow {
  cohortId: string;
  parentId: string;
  stem: string;
  height: number;
  diameter: number;
  how: 'ring' | 'tourniquet';
  branches: number;
  keeps: number;
  becomes: string;
  leaves: string;
}

export interface LayerEventRow {
  id: string;
  seq: number;
  cohortId: string;
  kind: string;
  onDate: string;
  found: string | null;
  recordId: string | null;
  note: string;
  personId: string | null;
  at: Date;
}

export interface LedgerEntryRow {
  id: string;
  seq: number;
  cohortId: string;
  type:
    | 'started'
    | 'lost_before_emergence'
    | 'emerged'
    | 'severed'
    | 'potted'
    | 'lost'
    | 'culled'
    | 'split_out'
    | 'split_in'
    | 'fused'
    | 'promoted'
    | 'sold'
    | 'given'
    | 'recount'
    | 'reversed';
  onDate: string;
  toDate: string;
  count: number;
  unit: 'seed' | 'layer' | 'plant' | null;
  intoCount: number | null;
  cause: string | null;
  note: string;
  reverses: string | null;
  transferId: string | null;
  recordId: string | null;
  personId: string | null;
  at: Date;
  damageId: string | null;
}

export interface LockedWeekRow {
  week: string;
}

export interface NurseryRow {
  onlyOne: boolean;
  id: string;
  name: string;
  latitude: number;
  longitude: number;
  elevation: number;
  timeZone: string;
  tmin: number[];
  tmax: number[];
  spreadWinter: number;
  spreadSummer: number;
  wetFrom: number | null;
  demoToday: string | null;
  weatherSeed: number | null;
  plannedOn: string | null;
  version: number;
  schools: Choices;
  stationUrl: string | null;
  planningOf: number;
  planningPaused: boolean;
}

export interface ObservationRow {
  id: string;
  seq: number;
  placeId: string;
  taxonId: string | null;
  kind: string;
  season: number;
  onDate: string;
  expected: string | null;
  note: string;
  withdraws: string | null;
  personId: string | null;
  at: Date;
}

export interface OwnEntryRow {
  seq: number;
  kind: 'operation' | 'taxon' | 'container';
  ownId: string;
  version: number;
  likeId: string;
  edit: unknown;
  personId: string | null;
  at: Date;
}

export interface PersonRow {
  id: string;
  name: string;
  role: 'helper' | 'grower' | 'owner';
  passwordHash: string | null;
  version: number;
  createdAt: Date;
  hours: number;
  skilled: boolean;
  disabledAt: Date | null;
  seenTo: string | null;
  units: UnitSystem;
}

export interface PictureRow {
  id: string;
  cohortId: string;
  recordId: string | null;
  onDate: string;
  width: number;
  height: number;
  bytes: Buffer;
  thumb: Buffer;
  note: string;
  personId: string | null;
  at: Date;
}

export interface PlaceRow {
  id: string;
  name: string;
  kind: string;
  night: number;
  day: number;
  heatedTo: number | null;
  sort: number;
  version: number;
  light: 'full' | 'half' | 'shade';
  length: number | null;
  width: number | null;
}

export interface PlanChangeRow {
  id: string;
  cohortId: string;
  at: Date;
  onDate: string;
  cause: string;
  key: string;
  title: string;
  wasOpens: string | null;
  wasCloses: string | null;
  nowOpens: string | null;
  nowCloses: string | null;
  because: Reason | null;
}

export interface PlanDueRow {
  cohortId: string;
  cause: string;
  since: Date;
  drift: boolean;
}

export interface PlantRow {
  id: string;
  cohortId: string;
  entryId: string;
  tag: string;
  promotedOn: string;
  ownCohortId: string | null;
}

export interface ProgrammeRow {
  id: string;
  version: number;
  body: Programme;
  basedOn: string | null;
  personId: string | null;
  at: Date;
}

export interface ProtectionRow {
  id: string;
  cohortId: string;
  kind: 'mesh' | 'fleece' | 'cage' | 'glass' | 'guard';
  clearance: number;
  fromDate: string;
  ended: string | null;
  note: string;
  version: number;
  personId: string | null;
  recordId: string | null;
  endedBy: string | null;
}

export interface RecordRow {
  id: string;
  seq: number;
  cohortId: string;
  kind: 'work' | 'look' | 'put off' | 'undo' | 'visit' | 'moved' | 'released';
  stepKey: string | null;
  undoes: string | null;
  onDate: string;
  until: string | null;
  reason: string | null;
  done: number | null;
  finished: boolean;
  minutes: number | null;
  note: string;
  nextTime: string;
  personId: string | null;
  at: Date;
  follows: string | null;
  details: KeptDetails;
}

/** What was seen of a plant on a day, and what was decided about it: its roots, or its stem. */
export interface DrawingRow {
  id: string;
  cohortId: string;
  label: string;
  onDate: string;
  record: unknown;
  decided: unknown;
  note: string;
  version: number;
  personId: string | null;
  withdrawn: boolean;
  createdAt: Date;
  changedAt: Date;
}

export interface RoutineRow {
  id: string;
  what: RoutineKind;
  placeId: string | null;
  hours: number;
  fromMonth: number;
  toMonth: number;
  createdAt: Date;
}

export interface SeedEventRow {
  id: string;
  seq: number;
  lotId: string;
  kind: 'test' | 'soaked' | 'to warm' | 'to cold' | 'out' | 'thrown away';
  onDate: string;
  tested: number | null;
  sound: number | null;
  seeds: number | null;
  note: string;
  personId: string | null;
  at: Date;
}

export interface SeedLotRow {
  id: string;
  name: string;
  taxonId: string;
  source: string;
  parentId: string | null;
  harvestedSaid: string;
  harvestedFrom: string;
  seeds: number;
  price: number | null;
  handling: string;
  storage: string;
  note: string;
  version: number;
}

export interface SessionRow {
  hash: string;
  personId: string | null;
  data: unknown;
  agent: string;
  createdAt: Date;
  seenAt: Date;
  expires: Date;
}

export interface SettingRow {
  key: string;
  value: string;
}

export interface StandingRecordRow {
  id: string;
  seq: number;
  cohortId: string;
  kind: 'work' | 'look' | 'put off' | 'undo' | 'visit' | 'moved' | 'released';
  stepKey: string | null;
  undoes: string | null;
  onDate: string;
  until: string | null;
  reason: string | null;
  done: number | null;
  finished: boolean;
  minutes: number | null;
  note: string;
  nextTime: string;
  personId: string | null;
  at: Date;
  follows: string | null;
  details: KeptDetails;
}

export interface StartGoalRow {
  id: string;
  taxonId: string;
  programmeId: string;
  placeId: string;
  stage: string;
  wanted: number;
  byYear: number;
  confidence: number;
  most: number;
  cost: unknown;
  note: string;
  closedOn: string | null;
  version: number;
  personId: string | null;
  at: Date;
}

export interface StationReadingRow {
  at: Date;
  temperature: number;
  humidity: number;
  wind: number;
  gust: number;
  rain: number;
}

export interface TallyRow {
  id: string;
  seq: number;
  cohortId: string;
  kind: string;
  onDate: string;
  counts: unknown;
  note: string;
  personId: string | null;
}

export interface TrayRow {
  id: string;
  cohortId: string;
  name: string;
  rows: number;
  columns: number;
  at: Date;
}

export interface TrayCellRow {
  trayId: string;
  cell: number;
  state: CellState;
}

export interface TrayCellEntryRow {
  trayId: string;
  cell: number;
  entryId: string;
}

export interface TrayMarkRow {
  id: string;
  seq: number;
  trayId: string;
  cell: number;
  was: CellState;
  now: CellState;
  onDate: string;
  undoes: string | null;
  personId: string | null;
  at: Date;
}

export interface WeatherDayRow {
  onDate: string;
  tmin: number;
  tmax: number;
}

export interface WriteReceiptRow {
  id: string;
  route: string;
  bodyHash: string;
  reply: unknown;
  at: Date;
}

export interface YearWeekRow {
  cohortId: string;
  key: string;
  week: string;
  locked: boolean;
  later: number;
}

declare module 'knex/types/tables.js' {
  interface Tables {
    absence: Table<AbsenceRow>;
    audit: Table<AuditRow>;
    cohort: Table<CohortRow>;
    container_stock: Table<ContainerStockRow>;
    course_step: Table<CourseStepRow>;
    plan_kept: Table<PlanKeptRow>;
    failed_sign_in: Table<FailedSignInRow>;
    identity: Table<IdentityRow>;
    layer: Table<LayerRow>;
    layer_event: Table<LayerEventRow>;
    ledger_entry: Table<LedgerEntryRow>;
    locked_week: Table<LockedWeekRow>;
    mix: Table<MixRow>;
    mix_stock: Table<MixStockRow>;
    mix_use: Table<MixUseRow>;
    mix_batch: Table<MixBatchRow>;
    mix_batch_use: Table<MixBatchUseRow>;
    nursery: Table<NurseryRow>;
    observation: Table<ObservationRow>;
    own_entry: Table<OwnEntryRow>;
    person: Table<PersonRow>;
    picture: Table<PictureRow>;
    place: Table<PlaceRow>;
    plan_change: Table<PlanChangeRow>;
    plan_due: Table<PlanDueRow>;
    plant: Table<PlantRow>;
    plant_group: Table<PlantGroupRow>;
    programme: Table<ProgrammeRow>;
    protection: Table<ProtectionRow>;
    record: Table<RecordRow>;
    root_record: Table<DrawingRow>;
    routine: Table<RoutineRow>;
    seed_event: Table<SeedEventRow>;
    seed_lot: Table<SeedLotRow>;
    session: Table<SessionRow>;
    setting: Table<SettingRow>;
    standing_record: Table<StandingRecordRow>;
    start_goal: Table<StartGoalRow>;
    station_reading: Table<StationReadingRow>;
    stem_record: Table<DrawingRow>;
    tally: Table<TallyRow>;
    tray: Table<TrayRow>;
    tray_cell: Table<TrayCellRow>;
    tray_cell_entry: Table<TrayCellEntryRow>;
    tray_mark: Table<TrayMarkRow>;
    weather_day: Table<WeatherDayRow>;
    write_receipt: Table<WriteReceiptRow>;
    year_week: Table<YearWeekRow>;
  }
}
