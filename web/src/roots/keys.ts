import { measure } from '@gonimos/core/roots';
import {
  FIBRES,
  fibreOf,
  fibreWord,
  lengthened,
  newRoot,
  swung,
  type Act,
  type Brush,
  type Drawing,
} from './drawing';

const TURN = 5;
const FINE_TURN = 1;
const LONGER = 5;

/** The root in hand, or the one before or after it. */
function beside(d: Drawing, by: number): Act {
  const { roots } = d.record;
  const at = roots.findIndex((r) => r.id === d.chosen);
  const next = at < 0 ? 0 : (at + by + roots.length) % roots.length;
  return { do: 'choose', id: roots[next]?.id ?? null };
}

/** Where a new root is put by key: in the middle of the widest bare side. */
function addBy(d: Drawing, brush: Brush): Act {
  const middle = measure(d.record, 'flat').widest?.middle ?? 0;
  const tip = { azimuth: Math.round(middle), out: d.record.trunk * 2 };
  return { do: 'add', root: newRoot(d.record, tip, brush) };
}

/** What a key does to a drawing; null where it is none of its keys. Shift: by less. */
export function keyed(d: Drawing, key: string, shift: boolean, brush: Brush): Act | null {
  const root = d.record.roots.find((r) => r.id === d.chosen);
  if (key === '+' || key === 'a') return addBy(d, brush);
  if (key === '.') return beside(d, 1);
  if (key === ',') return beside(d, -1);
  if (key === 'Escape') return { do: 'choose', id: null };
  if (!root) return null;
  const turn = shift ? FINE_TURN : TURN;
  switch (key) {
    case 'ArrowLeft':
      return { do: 'change', root: swung(root, -turn) };
    case 'ArrowRight':
      return { do: 'change', root: swung(root, turn) };
    case 'ArrowUp':
      return { do: 'change', root: lengthened(root, LONGER, d.record.trunk) };
    case 'ArrowDown':
      return { do: 'change', root: lengthened(root, -LONGER, d.record.trunk) };
    case ']':
      return { do: 'change', root: { ...root, diameter: Math.round((root.diameter + 0.5) * 10) / 10 } };
    case '[':
      return {
        do: 'change',
        root: { ...root, diameter: Math.max(0.5, Math.round((root.diameter - 0.5) * 10) / 10) },
      };
    case 'f': {
      const fibre = (fibreWord(root) + 1) % FIBRES.length;
      return { do: 'change', root: { ...root, fibre: fibreOf(root.diameter, fibre) } };
    }
    case 'Delete':
    case 'Backspace':
      return { do: 'drop', id: root.id };
    default:
      return null;
  }
}

/** The brush a key takes up: 1 to 3 thin to thick; null: no such key. */
export const brushOf = (key: string, brush: Brush): Brush | null =>
  ['1', '2', '3'].includes(key) ? { ...brush, thick: Number(key) - 1 } : null;
