import { daysBetween, type IsoDate } from '../calendar/index.ts';
import { operation, type Operation } from '../operations/index.ts';
import type { PlannedStep } from './types.ts';

/** Whether a piece of work opens the container that plants stand in. */
export const opensPot = (op: Operation): boolean =>
  op.layer === undefined &&
  (op.lane === 'roots' || op.lane === 'container') &&
  (op.asks.includes('container') || op.rootLoss.value > 0);

/** A step as far as it may open a pot; `status` is one of a planned step's. */
interface Planned extends Pick<PlannedStep, 'operation' | 'opens' | 'closes'> {
  status: string;
}

/** A cohort with its course, one of those that share a pot. */
export interface Sharing {
  code: string;
  steps: readonly Planned[];
}

export interface Opening {
  from: IsoDate;
  to: IsoDate;
}

/** Steps further apart than this are not waited for with each other, days. */
const SAME_OPENING = 400;

/** When each of those that share a pot would next have it opened; null: never, by its plan. */
export const nextOpening = ({ steps }: Sharing, today: IsoDate): Opening | null => {
  const open = steps
    .filter((s) => s.status === 'planned' && s.opens !== null && s.closes! >= today)
    .filter((s) => opensPot(operation(s.operation)))
    .sort((a, b) => (a.opens! < b.opens! ? -1 : 1))[0];
  return open ? { from: open.opens! > today ? open.opens! : today, to: open.closes! } : null;
};

export type CommonOpening =
  | { kind: 'together'; from: IsoDate; to: IsoDate }
  /** their windows have no day in common: of whom the first closes before the other's opens */
  | { kind: 'apart'; first: string; closes: IsoDate; second: string; opens: IsoDate }
  /** fewer than two of them want it opened within reach of each other */
  | { kind: 'none' };

/**
 * When a pot that several share may be opened for all of them at once. Those whose next opening lies more than a year
 * after the first are left out, as they do not want it yet.
 */
export function commonOpening(all: readonly Sharing[], today: IsoDate): CommonOpening {
  const wanted = all
    .flatMap((s) => {
      const opening = nextOpening(s, today);
      return opening ? [{ code: s.code, ...opening }] : [];
    })
    .sort((a, b) => (a.from < b.from ? -1 : 1));
  const near = wanted.filter((w) => daysBetween(wanted[0].from, w.from) <= SAME_OPENING);
  if (near.length < 2) return { kind: 'none' };
  const last = near.at(-1)!;
  const first = near.reduce((a, b) => (b.to < a.to ? b : a));
  if (last.from <= first.to) return { kind: 'together', from: last.from, to: first.to };
  return { kind: 'apart', first: first.code, closes: first.to, second: last.code, opens: last.from };
}

/** Words for a pot that no day suits all of; dates stand as {YYYY-MM-DD}. Null where one does. */
export const apartWords = (o: CommonOpening): string | null =>
  o.kind === 'apart'
    ? `No day suits all in one pot: ${o.first} is opened by {${o.closes}}, ${o.second} not before {${o.opens}}. Part them, or choose whose season counts`
    : null;
