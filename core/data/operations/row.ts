import type { Operation } from '../../src/operations/index.ts';
import { cp } from '../../src/params/index.ts';
import { lag } from './windows.ts';

interface More {
  /** share of root and of top taken */
  loss?: [root: number, top: number];
  /** growing seasons before the next work of the lane */
  rest?: number;
  established?: number;
  /** coldest night borne in the three nights after, °C */
  guard?: number;
  apart?: { from: readonly string[]; days: number };
  schoolWindows?: Operation['schoolWindows'];
  crew?: number;
  skilled?: boolean;
  wantsLight?: boolean;
  moves?: boolean;
  exposes?: boolean;
  budsDecide?: boolean;
  asks?: Operation['asks'];
  caution?: string;
  aftercare?: Operation['aftercare'];
}

/** One row of the catalogue. Losses, minutes and recovery are common practice, no source. */
export function row(
  id: string,
  name: string,
  lane: Operation['lane'],
  windows: Operation['windows'],
  minutes: number,
  tools: string[],
  {
    loss,
    rest,
    established,
    guard,
    apart,
    crew = 1,
    skilled = false,
    asks = [],
    aftercare = [],
    ...more
  }: More = {},
): Operation {
  return {
    ...{ id, name, lane, windows, crew, skilled, asks, tools, aftercare, ...more },
    rootLoss: cp(loss?.[0] ?? 0, 'share of root'),
    topLoss: cp(loss?.[1] ?? 0, 'share of top'),
    recovery: cp(rest ?? 0, 'growing seasons'),
    minutes: cp(minutes, 'person-minutes a plant'),
    ...(established === undefined ? {} : { established: cp(established, 'growing seasons') }),
    ...(guard === undefined ? {} : { guard: cp(guard, '°C') }),
    ...(apart ? { apart: { from: apart.from, days: cp(apart.days, 'days') } } : {}),
  };
}

/** What follows work on roots. */
export const AFTER_ROOTS = [
  {
    operation: 'mist',
    window: lag(0, 10),
    groups: ['juniper-cypress', 'evergreen-broadleaf', 'tropical-broadleaf', 'sensitive-shrub'],
  },
  {
    operation: 'shade',
    window: lag(0, 2),
    groups: ['evergreen-broadleaf', 'tropical-broadleaf', 'sensitive-shrub', 'juniper-cypress'],
  },
  { operation: 'survival-look' },
  { operation: 'wedges-out' },
  { operation: 'first-feed' },
] as const;
