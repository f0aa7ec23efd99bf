import type { Material, MissedWindow, PlannedStep, Reason, RuleName } from '@gonimos/core/course';
import type { Lane } from '@gonimos/core/operations';
import type { Method } from '@gonimos/core/programmes';
import type { KitLine } from '@gonimos/core/round';
import type { Warning } from '@gonimos/core/station';
import type { FittingLine } from './fittings.ts';
import type { Sheltered } from './shelter.ts';
import type { StartAnswer } from './starts.ts';
import type { RingRun } from '@gonimos/core/trunk';

export interface StartDue {
  goalId: string;
  taxonId: string;
  /** soak, warm, cold, sow, or the start itself */
  what: string;
  from: string;
  to: string;
  count: number;
  unit: StartAnswer['unit'];
}

/** Work whose window went by, until something is said of it. */
export interface MissedStep extends RoundStep {
  missed: MissedWindow;
  /** the window it has next; null: none, the day it was asked for has gone */
  next: MissedWindow | null;
}

/** One piece of work on the round. */
export interface RoundStep {
  cohortId: string;
  code: string;
  taxonId: string;
  placeId: string;
  method: Method;
  live: number;
  pending: number;
  cohortContainer: string;
  /** the cohort in whose pots these stand as guests */
  host: string | null;
  /** guests in the same pots: what is done to the pots is done to them */
  guests: { code: string; live: number }[];
  goalCaliper: number | null;
  /** held apart since, and for what; null: it is not */
  held: { since: string; found: string } | null;
  rings: RingRun;
  key: string;
  operation: string;
  title: string;
  lane: Lane;
  chain: string | null;
  odds: number | null;
  moved: { to: string; overrides: RuleName | null; reason: string } | null;
  opens: string;
  closes: string;
  container: string | null;
  rootCut: PlannedStep['rootCut'];
  topCut: PlannedStep['topCut'];
  materials: Material[];
  span: PlannedStep['span'];
  minutes: number;
  reasons: Reason[];
  putOff: { until: string; reason: string } | null;
  /** plants it was done on so far, where the rest is left for another day */
  part: number;
  /** aftercare of work done on a part of the plants is about so many; null: about all */
  about: number | null;
  /** words left at the last opening of the same lane */
  nextTime: string;
}

export interface Round {
  today: string;
  /** what was missed and waits for a word, what harms most first */
  missed: MissedStep[];
  /** how many there are in all, where they are more than are told at once */
  missedInAll: number;
  /** open today, soonest closing first, as many as were asked for */
  due: RoundStep[];
  /** how many are open in all, and how many of those close within ten days */
  open: number;
  closing: number;
  /** the last of those ten days */
  closingBy: string;
  soon: RoundStep[];
  /** kit for the steps shown */
  ready: KitLine[];
  /** carried in for some nights, until they are carried out again */
  sheltered: Sheltered[];
  /** frost, heat and wind ahead, with what to bring in */
  warnings: Warning[];
  /** containers wanted by the steps shown and not on the shelf */
  short: { container: string; wanted: number; have: number; arrives: string | null }[];
  /** kinds wanted in the next ninety days that nobody has counted */
  uncounted: { container: string; wanted: number }[];
  /** deliveries whose day has come: did they? */
  arrivals: { container: string; arriving: number; arrives: string; version: number }[];
  /** starts that goals still want soon, and the treatment of their seed */
  starts: StartDue[];
  /** what is on plants and is to be tended soon or by now, and how much is on in all */
  fittings: { soon: FittingLine[]; all: number };
  watch: { text: string; when: string; cohortId: string | null }[];
}

/** What the frame around every page tells of the day. */
export interface DueToday {
  /** steps that are open, all of them */
  open: number;
}

/** Somebody who may be given a share of the day. */
export interface HandRow {
  id: string;
  name: string;
}
