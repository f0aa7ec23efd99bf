import type { Day } from '../../calendar/index.ts';
import type { MarkerName } from '../../season/marker-rules.ts';
import type { Figure, RefusalCode } from '../types.ts';

export interface Window {
  opens: Day;
  closes: Day;
  early: Day;
  late: Day;
  text: string;
  figures: Figure[];
  /** days since the step it is counted from, where it is */
  sinceAnchor?: { key: string; days: number };
  /** a window of the same season kind that passed unused before this one */
  missed: { opens: Day; closes: Day } | null;
}
export interface NoWindow {
  none: string;
  code: RefusalCode;
}

export const MARKER_WORDS: Record<MarkerName, string> = {
  midwinter: 'midwinter',
  'roots-active': 'roots at work',
  'bud-swell': 'bud swell',
  'bud-swell-late': 'bud swell',
  'bud-break': 'bud break',
  'bud-break-late': 'bud break',
  'candles-moving': 'candles moving',
  'last-frost': 'last frost',
  'warm-season': 'the warm season',
  'warm-ends': 'the end of the warm season',
  'flush-hard': 'the first flush hardening',
  midsummer: 'midsummer',
  'first-frost': 'first frost',
  'roots-rest': 'roots at rest',
  'leaf-fall-done': 'leaf fall',
};

/** A window is no use with fewer days than this left in it. */
export const USABLE = 4;
/** Seasons looked ahead for a window. */
export const HORIZON = 25;
