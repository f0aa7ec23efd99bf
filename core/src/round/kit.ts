import { container } from '../containers/index.ts';
import type { Material } from '../course/types.ts';
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
  /** what the step uses besides its container and tools */
  materials: readonly Material[];
}

/**
 * Everything to have ready for a day's steps: containers with a tenth spare, mix in litres to the
 * fill line and the rest by school, and tools by name. Steps that move nothing into a container add only tools.
 */
export function kitFor(steps: readonly KitStep[]): KitLine[] {
  const pots = new Map<string, number>();
  const tools = new Map<string, number>();
  const used = new Map<string, Material>();
  for (const s of steps) {
    for (const m of s.materials) {
      const have = used.get(m.what);
      if (have && have.amount !== null) have.amount += m.amount ?? 0;
      else used.set(m.what, { ...m });
    }
    for (const tool of operation(s.operation).tools) tools.set(tool, (tools.get(tool) ?? 0) + s.minutes);
    if (!s.container) continue;
    const kind = container(s.container);
    if (kind.wall === 'ground') continue;
    const wanted = kind.shared ? Math.ceil(s.plants / 60) : Math.ceil(s.plants * SPARE);
    pots.set(kind.id, (pots.get(kind.id) ?? 0) + wanted);
  }
  return [
    ...[...pots].map(([id, n]) => ({ what: capital(container(id).name), amount: n, unit: '', tool: false })),
    ...[...used.values()].map((m) => ({ ...m, what: capital(m.what), tool: false })),
    ...[...tools].map(([what, min]) => ({
      what,
      amount: AT_HAND.has(what) ? null : Math.min(MOST_SETS, Math.ceil(min / DAY_MINUTES) || 1),
      unit: '',
      tool: true,
    })),
  ];
}
