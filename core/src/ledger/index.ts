import type { IsoDate } from '../calendar/index.ts';
import { wilson, type Share } from '../stats/index.ts';

/** Every kind of count event. `reversed` undoes one other entry; nothing is ever edited. */
export const ENTRY_TYPES = [
  'started',
  'lost_before_emergence',
  'emerged',
  'severed',
  'potted',
  'lost',
  'culled',
  'split_out',
  'split_in',
  'fused',
  'promoted',
  'sold',
  'given',
  'recount',
  'reversed',
] as const;
export type EntryType = (typeof ENTRY_TYPES)[number];

/** Seed is counted in units until it shows, a layer until it is severed; all else is a plant from the start. */
export type StartUnit = 'seed' | 'layer' | 'plant';

export interface LedgerEntry {
  id: string;
  cohortId: string;
  type: EntryType;
  /** first day the event can have happened; entries are folded in order of (on, seq) */
  on: IsoDate;
  /** order of arrival; a later seq on the same day comes after */
  seq: number;
  /** plants or units concerned; for `recount` the number found, for `fused` the stems taken in */
  count: number;
  /** `started` only */
  unit?: StartUnit | null;
  /** `fused` only: how many plants the stems became */
  into?: number | null;
  cause?: string | null;
  /** `reversed` only: the entry it undoes */
  reverses?: string | null;
  /** ties together what leaves one cohort and comes into another */
  transferId?: string | null;
}

/** An entry to be written; its turn on its day is that of its coming, unless it takes the place of another. */
export interface NewEntry extends Omit<LedgerEntry, 'seq'> {
  /** last day it can have happened, where that is not known to the day */
  to?: IsoDate;
  note?: string;
  recordId?: string | null;
  /** the entry a cull goes back to */
  damageId?: string | null;
  personId?: string | null;
  seq?: number;
}

/** Seed is lost before it shows, shows before plants of it are lost, and what is lost is not potted. */
const TURN: readonly EntryType[] = [
  'lost_before_emergence',
  'emerged',
  'severed',
  'lost',
  'culled',
  'potted',
];

/** Entries of one piece of work, in the order in which they can have happened. */
export const inTurn = <E extends Pick<NewEntry, 'type'>>(entries: readonly E[]): E[] =>
  entries.toSorted((a, b) => TURN.indexOf(a.type) - TURN.indexOf(b.type));

export interface LedgerState {
  /** living plants */
  live: number;
  /** seed that has neither emerged nor been lost; layers still on their parent */
  pending: number;
  started: number;
  lostBeforeEmergence: number;
  /** seed that showed, layers that were severed */
  emerged: number;
  /** live plants gone, by type: lost, culled, sold, given, promoted, split_out */
  gone: Partial<Record<EntryType, number>>;
}

export class LedgerError extends Error {
  constructor(
    readonly code: 'negative-live' | 'negative-pending' | 'bad-count' | 'bad-reversal',
    readonly entry: LedgerEntry,
    message: string,
  ) {
    super(message);
  }
}

const LEAVING: ReadonlySet<EntryType> = new Set(['lost', 'culled', 'split_out', 'promoted', 'sold', 'given']);

function apply(s: LedgerState, e: LedgerEntry): void {
  if (!Number.isInteger(e.count) || e.count < 0)
    throw new LedgerError('bad-count', e, `a count must be a whole number, 0 or more: ${e.count}`);
  switch (e.type) {
    case 'started':
      s.started += e.count;
      if (e.unit === 'seed' || e.unit === 'layer') s.pending += e.count;
      else s.live += e.count;
      break;
    case 'lost_before_emergence':
      s.pending -= e.count;
      s.lostBeforeEmergence += e.count;
      break;
    case 'emerged':
    case 'severed':
      s.pending -= e.count;
      s.live += e.count;
      s.emerged += e.count;
      break;
    case 'split_in':
      s.live += e.count;
      break;
    case 'fused':
      if (e.count > s.live) s.live = -1;
      else s.live += (e.into ?? 1) - e.count;
      break;
    case 'recount':
      s.live = e.count;
      break;
    default:
      if (LEAVING.has(e.type)) {
        s.live -= e.count;
        s.gone[e.type] = (s.gone[e.type] ?? 0) + e.count;
      }
  }
}

/** The entries that count, oldest first: reversed ones and their reversals left out. */
export function standing(entries: readonly LedgerEntry[]): LedgerEntry[] {
  const byId = new Map(entries.map((e) => [e.id, e]));
  const undone = new Set<string>();
  for (const e of entries) {
    if (e.type !== 'reversed') continue;
    const target = byId.get(e.reverses ?? '');
    if (!target || target.type === 'reversed' || undone.has(target.id))
      throw new LedgerError('bad-reversal', e, 'a reversal must name one entry not reversed already');
    undone.add(target.id);
  }
  return entries
    .filter((e) => e.type !== 'reversed' && !undone.has(e.id))
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.seq - b.seq));
}

/**
 * Folds one cohort's entries into its counts. Throws LedgerError when any date would see
 * fewer than no plants or no units. `until` (ISO date, inclusive) gives the state on a past day.
 */
export function fold(entries: readonly LedgerEntry[], until?: IsoDate): LedgerState {
  const s: LedgerState = {
    live: 0,
    pending: 0,
    started: 0,
    lostBeforeEmergence: 0,
    emerged: 0,
    gone: {},
  };
  for (const e of standing(entries)) {
    if (until !== undefined && e.on > until) break;
    apply(s, e);
    if (s.live < 0) throw new LedgerError('negative-live', e, `${e.on}: more plants leave than are alive`);
    if (s.pending < 0) throw new LedgerError('negative-pending', e, `${e.on}: more units than were started`);
  }
  return s;
}

/** Emerged ÷ (sown − lost before emergence), with Wilson 95 %; null for anything but seed. */
export const viability = (s: LedgerState): Share | null =>
  s.emerged > 0 || s.pending > 0
    ? wilson(s.emerged, Math.max(s.emerged, s.started - s.lostBeforeEmergence))
    : null;

/** Emerged ÷ sown, with Wilson 95 %. */
export const fieldEmergence = (s: LedgerState): Share | null =>
  s.started > 0 ? wilson(s.emerged, Math.max(s.emerged, s.started)) : null;

const SIGN: Partial<Record<EntryType, number>> = { split_in: 1, split_out: -1, promoted: -1 };

/** True when whatever leaves one cohort for another comes in there, over all cohorts given. */
export function conserved(entries: readonly LedgerEntry[]): boolean {
  const balance = new Map<string, number>();
  const undone = new Set(entries.flatMap((e) => (e.type === 'reversed' ? [e.reverses] : [])));
  for (const e of entries) {
    if (!e.transferId || e.type === 'reversed' || undone.has(e.id)) continue;
    balance.set(e.transferId, (balance.get(e.transferId) ?? 0) + (SIGN[e.type] ?? 0) * e.count);
  }
  return [...balance.values()].every((b) => b === 0);
}
