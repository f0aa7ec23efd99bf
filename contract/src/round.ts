import type { Reason } from '@gonimos/core/course';
import type { KitLine } from '@gonimos/core/round';
import type { Ring } from '@gonimos/core/trunk';

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
  rings: Ring[];
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
  due: RoundStep[];
  soon: RoundStep[];
  /** kit for all that is due */
  ready: KitLine[];
  watch: { text: string; when: string; cohortId: string | null }[];
}
