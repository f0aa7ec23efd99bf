import type { Operation } from '../../src/operations/index.ts';
import { cp } from '../../src/params/index.ts';
import { growth, lag, swelling } from './windows.ts';

/** What a row has besides its name, lane, windows, minutes and tools. */
export interface More extends Partial<
  Pick<
    Operation,
    | 'schoolWindows'
    | 'seedWindows'
    | 'wantsLight'
    | 'moves'
    | 'exposes'
    | 'budsDecide'
    | 'asks'
    | 'caution'
    | 'aftercare'
    | 'oldWood'
    | 'whole'
    | 'sameSitting'
    | 'wounds'
    | 'fills'
    | 'binds'
    | 'joins'
    | 'uncovers'
    | 'gives'
    | 'tends'
    | 'risk'
    | 'lapses'
    | 'loosens'
    | 'firms'
    | 'hardens'
    | 'shelters'
    | 'cover'
    | 'layer'
  >
> {
  /** share of root and of top taken */
  loss?: [root: number, top: number];
  /** growing seasons before the next work of the lane */
  rest?: number;
  established?: number;
  /** coldest night borne in the three nights after, °C */
  guard?: number;
  apart?: { from: readonly string[]; days: number };
  crew?: number;
  skilled?: boolean;
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
    id,
    name,
    lane,
    windows,
    crew,
    skilled,
    asks,
    tools,
    aftercare,
    ...more,
    rootLoss: cp(loss?.[0] ?? 0, 'share of root'),
    topLoss: cp(loss?.[1] ?? 0, 'share of top'),
    recovery: cp(rest ?? 0, 'growing seasons'),
    minutes: cp(minutes, 'person-minutes a plant'),
    ...(established === undefined ? {} : { established: cp(established, 'growing seasons') }),
    ...(guard === undefined ? {} : { guard: cp(guard, '°C') }),
    ...(apart ? { apart: { from: apart.from, days: cp(apart.days, 'days') } } : {}),
  };
}

/** Kinds whose leaves stand through root work. */
const IN_LEAF = ['evergreen-broadleaf', 'tropical-broadleaf', 'sensitive-shrub'] as const;

/** What holds the plant in its pot, by school: wedges go after weeks, ties stay until the next opening. */
export const HOLDING = [
  { operation: 'wedges-out', when: { question: 'holding', options: ['wedges'] } },
  { operation: 'tie-check', when: { question: 'holding', options: ['wired'] } },
] as const;

/** What follows work on roots. */
export const AFTER_ROOTS = [
  {
    operation: 'frost-shelter',
    when: { question: 'opening', options: ['dormant'] },
    groups: ['deciduous-broadleaf', 'oak-like', 'deciduous-conifer', 'pine', 'juniper-cypress'],
  },
  {
    operation: 'leaf-thin',
    window: lag(0, 3),
    groups: IN_LEAF,
    when: { question: 'leaves', options: ['reduce', 'dry-air'] },
  },
  { operation: 'mist', window: lag(0, 10), groups: ['juniper-cypress', ...IN_LEAF] },
  { operation: 'shade', window: lag(0, 2), groups: [...IN_LEAF, 'juniper-cypress'] },
  { operation: 'survival-look' },
  ...HOLDING,
  { operation: 'first-feed' },
] as const;

/** Moss comes off once new growth shows, whenever that is. */
export const MOSS_OFF = { operation: 'moss-off', window: growth(0.12, 35) } as const;
/** Wire is looked at before the stem has swollen into it. */
export const BITES = { operation: 'wire-check', window: swelling('stem', 0.35, 21) } as const;
