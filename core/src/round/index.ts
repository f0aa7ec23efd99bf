import { container } from '../containers/index.ts';
import { operation } from '../operations/index.ts';

/** Pots and mix to have spare. Common practice, no source. */
export const SPARE = 1.1;
/** Sets of hand tools: one for each person a day's work keeps busy, minutes. */
const DAY_MINUTES = 420;
const MOST_SETS = 2;

export interface KitLine {
  what: string;
  /** null: have it at hand, the amount does not matter */
  amount: number | null;
  unit: string;
  tool: boolean;
}

const AT_HAND = new Set([
  'aluminium wire',
  'tie-down wire',
  'labels',
  'seal',
  'tile',
  'tally card',
  'mesh cover',
]);

const capital = (text: string) => text[0].toUpperCase() + text.slice(1);

export interface KitStep {
  operation: string;
  container: string | null;
  plants: number;
  minutes: number;
}

/**
 * Everything to have ready for a day's steps: containers with a tenth spare, mix in litres to the
 * fill line, and tools by name. Steps that move nothing into a container add only tools.
 */
export function kitFor(steps: readonly KitStep[]): KitLine[] {
  const pots = new Map<string, number>();
  const tools = new Map<string, number>();
  let mix = 0;
  for (const s of steps) {
    for (const tool of operation(s.operation).tools) tools.set(tool, (tools.get(tool) ?? 0) + s.minutes);
    if (!s.container) continue;
    const kind = container(s.container);
    if (kind.wall === 'ground') continue;
    const wanted = kind.shared ? Math.ceil(s.plants / 60) : Math.ceil(s.plants * SPARE);
    pots.set(kind.id, (pots.get(kind.id) ?? 0) + wanted);
    mix += kind.litres * (kind.shared ? wanted : s.plants) * SPARE;
  }
  return [
    ...[...pots].map(([id, n]) => ({ what: capital(container(id).name), amount: n, unit: '', tool: false })),
    ...(mix > 0 ? [{ what: 'Mix, sieved', amount: Math.ceil(mix), unit: 'L', tool: false }] : []),
    ...[...tools].map(([what, min]) => ({
      what,
      amount: AT_HAND.has(what) ? null : Math.min(MOST_SETS, Math.ceil(min / DAY_MINUTES) || 1),
      unit: '',
      tool: true,
    })),
  ];
}
