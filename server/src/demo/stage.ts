import type { Origin } from '@gonimos/contract/cohorts';
import type { Site } from '@gonimos/core/season';

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
  missed?: { key: string; until: string; reason: string };
  /** days on which the growers are known to have done a step */
  on?: Record<string, string>;
  /** how often work is left for next time */
  careful?: boolean;
  vigour?: { on: string; value: number };
  origin?: Origin;
  /** the cohort or the lot it came from */
  parent?: string;
  lot?: string;
  /** sown into so many trays whose cells were marked */
  trays?: number;
}

export const PEOPLE = [
  { name: 'Ines Tessary', role: 'owner', hours: 6, skilled: true },
  { name: 'Bruno Tessary', role: 'grower', hours: 14, skilled: true },
  { name: 'Alma Reed', role: 'helper', hours: 12, skilled: false },
] as const;
export type DemoPerson = (typeof PEOPLE)[number]['name'];

export type DemoPlace = 'Cold frame' | 'North bench' | 'South bench' | 'Ground row A' | 'Heated house';

export const PLACES = [
  { name: 'Cold frame', kind: 'frame', night: 1.5, day: 2.5, heatedTo: null, length: 24_000, width: 1500 },
  { name: 'North bench', kind: 'outdoors', night: 0, day: -0.5, heatedTo: null, length: 14_000, width: 1400 },
  {
    name: 'South bench',
    kind: 'outdoors',
    night: 0.3,
    day: 1.2,
    heatedTo: null,
    length: 18_600,
    width: 1400,
  },
  { name: 'Ground row A', kind: 'ground', night: 0, day: 0, heatedTo: null, length: 60_000, width: 3000 },
  { name: 'Heated house', kind: 'house', night: 8, day: 8, heatedTo: 15, length: 8000, width: 1200 },
] as const;

/** What goes to watering and weeding each week, as the Tessarys reckon it. */
export const ROUTINES = [
  { what: 'watering', place: null, hours: 5, fromMonth: 4, toMonth: 10 },
  { what: 'watering', place: 'Heated house', hours: 1.5, fromMonth: 11, toMonth: 3 },
  { what: 'weeding', place: 'Ground row A', hours: 2, fromMonth: 5, toMonth: 9 },
] as const;

/** Schools the Tessarys follow where no cohort or programme says otherwise. */
export const NURSERY_SCHOOLS = { opening: 'to-tips', 'ground-lift': 'left', chop: 'staged' } as const;

/** Tessary Bank: an invented growing ground on an invented hill. */
export const SITE: Site = {
  latitude: 43.2,
  longitude: -1.4,
  elevation: 310,
  timeZone: 'Europe/Paris',
  tmin: [1.1, 1.2, 2.9, 5.0, 8.3, 11.4, 13.5, 13.3, 10.9, 7.9, 4.1, 1.9],
  tmax: [8.6, 9.6, 12.8, 15.2, 18.9, 22.4, 25.0, 24.8, 21.5, 17.0, 12.0, 9.0],
  spreadWinter: 3.0,
  spreadSummer: 2.3,
};
/** chosen for a mild winter with a cold snap on the opening day: buds about to move, frost on fresh roots */
export const WEATHER_SEED = 111;
