import type { Reason } from '@gonimos/core/course';
import type { KitLine } from '@gonimos/core/round';
import type { RingRun } from '@gonimos/core/trunk';

/** One piece of work on the round. */
export interface RoundStep {
  cohortId: string;
  code: string;
  taxonId: string;
  placeId: string;
  method: 'seed' | 'cutting';
  live: number;
  pending: number;
  cohortContainer: string;
  goalCaliper: number | null;
  rings: RingRun;
  key: string;
  operation: string;
  title: string;
  lane: 'roots' | 'top' | 'container' | 'care';
  opens: string;
  closes: string;
  container: string | null;
  rootCut: { wanted: number; limit: number; take: number } | null;
  minutes: number;
  reasons: Reason[];
  putOff: { until: string; reason: string } | null;
  /** words left at the last opening of the same lane */
  nextTime: string;
}

export interface Round {
  today: string;
  /** open today, soonest closing first, as many as were asked for */
  due: RoundStep[];
  /** how many are open in all, and how many of those close within ten days */
  open: number;
  closing: number;
  soon: RoundStep[];
  /** kit for the steps shown */
  ready: KitLine[];
  watch: { text: string; when: string; cohortId: string | null }[];
}
