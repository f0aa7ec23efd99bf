import type { Origin } from '@gonimos/contract/cohorts';

/** The cohorts of Tessary Bank, an invented nursery. Starts, places and mistakes are made up. */
export interface DemoCohort {
  code: string;
  taxonId: string;
  programmeId: string;
  place: DemoPlace;
  started: string;
  count: number;
  goalCaliper: number;
  note: string;
  /** how well it goes: share up or rooted, and share lost at a step */
  luck: { up: number; eaten?: number; loss: number };
  /** a step the growers missed by a season, and why */
  missed?: { key: string; on: string; until: string; reason: string };
  /** days on which the growers are known to have done a step */
  on?: Record<string, string>;
  /** how often work is left for next time */
  careful?: boolean;
  vigour?: { on: string; value: number };
  origin?: Origin;
}

export type DemoPlace = 'Cold frame' | 'North bench' | 'South bench' | 'Ground row A' | 'Heated house';

export const PLACES = [
  { name: 'Cold frame', kind: 'frame', night: 1.5, day: 2.5, heatedTo: null },
  { name: 'North bench', kind: 'outdoors', night: 0, day: -0.5, heatedTo: null },
  { name: 'South bench', kind: 'outdoors', night: 0.3, day: 1.2, heatedTo: null },
  { name: 'Ground row A', kind: 'ground', night: 0, day: 0, heatedTo: null },
  { name: 'Heated house', kind: 'house', night: 8, day: 8, heatedTo: 15 },
] as const;

/** Schools the Tessarys follow where no cohort or programme says otherwise. */
export const NURSERY_SCHOOLS = { opening: 'to-tips', 'ground-lift': 'left', chop: 'staged' } as const;
