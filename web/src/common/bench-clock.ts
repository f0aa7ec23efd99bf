import { useSyncExternalStore } from 'react';

/** A step as far as the clock has to know it; whatever else it carries is kept with it. */
export interface Clocked {
  cohortId: string;
  stepKey: string | null;
  code: string;
  title: string;
  taxonId: string;
}

/**
 * The bench clock of this device. It is kept as moments, not counted: with the screen off, or the page closed, it
 * runs on. Time of a step that was stopped and begun again adds up until it is recorded.
 */
export interface Running {
  step: Clocked;
  /** when it was begun, ms */
  since: number;
  /** ms of sittings before, of the same step */
  before: number;
  /** when roots were last wetted, ms; null where none are bare */
  wetted: number | null;
  /** longest that they were without, ms */
  driest: number;
}

/** What a stopped clock has to tell of a step. */
export interface Told {
  ms: number;
  driest: number;
}

const RUNNING = 'bench clock';
const TOLD = 'bench clock told';
const MINUTE = 60_000;

function read<T>(key: string, none: T): T {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as T | null) ?? none;
  } catch {
    return none;
  }
}

let running = read<Running | null>(RUNNING, null);
const listeners = new Set<() => void>();

function keep(next: Running | null): void {
  running = next;
  if (next) localStorage.setItem(RUNNING, JSON.stringify(next));
  else localStorage.removeItem(RUNNING);
  for (const listen of listeners) listen();
}

const keyOf = (s: Pick<Clocked, 'cohortId' | 'stepKey'>) => `${s.cohortId} ${s.stepKey}`;

export const useClock = (): Running | null =>
  useSyncExternalStore(
    (listen) => {
      listeners.add(listen);
      return () => listeners.delete(listen);
    },
    () => running,
  );

/** Begins a step; `bare`: its roots lie open from now on. */
export function startClock(step: Clocked, bare: boolean, now = Date.now()): void {
  const told = read<Record<string, Told>>(TOLD, {})[keyOf(step)];
  keep({ step, since: now, before: told?.ms ?? 0, wetted: bare ? now : null, driest: told?.driest ?? 0 });
}

const driestOf = (r: Running, now: number): number =>
  r.wetted === null ? r.driest : Math.max(r.driest, now - r.wetted);

/** Roots were wetted. */
export function mist(now = Date.now()): void {
  if (running?.wetted) keep({ ...running, driest: driestOf(running, now), wetted: now });
}

/** Stops the clock; what it tells waits for the record of the step. */
export function stopClock(now = Date.now()): Clocked | null {
  if (!running) return null;
  const { step, since, before } = running;
  const told = { ms: before + now - since, driest: driestOf(running, now) };
  localStorage.setItem(
    TOLD,
    JSON.stringify({ ...read<Record<string, Told>>(TOLD, {}), [keyOf(step)]: told }),
  );
  keep(null);
  return step;
}

/** Minutes the clock has to tell of a step, rounded up; null where it did not run. */
export function toldByClock(
  s: Pick<Clocked, 'cohortId' | 'stepKey'>,
): { minutes: number; bare: number | null } | null {
  const told = read<Record<string, Told>>(TOLD, {})[keyOf(s)];
  if (!told) return null;
  return {
    minutes: Math.max(1, Math.ceil(told.ms / MINUTE)),
    bare: told.driest > 0 ? Math.ceil(told.driest / MINUTE) : null,
  };
}

/** Once a step is recorded its time is told. */
export function forgetClock(s: Pick<Clocked, 'cohortId' | 'stepKey'>): void {
  const told = read<Record<string, Told>>(TOLD, {});
  delete told[keyOf(s)];
  localStorage.setItem(TOLD, JSON.stringify(told));
}

/** "4:05", "1:02:30". */
export function clockWords(ms: number): string {
  const s = Math.max(0, Math.floor(ms / 1000));
  const two = (n: number) => String(n).padStart(2, '0');
  const hours = Math.floor(s / 3600);
  return `${hours > 0 ? `${hours}:` : ''}${hours > 0 ? two(Math.floor(s / 60) % 60) : Math.floor(s / 60)}:${two(s % 60)}`;
}
