import type { EntryType } from '@gonimos/core/ledger';
import { inUnits } from './units';

/** The trade's words for what the ledger holds. */
export const ENTRY_WORDS: Record<EntryType, string> = {
  started: 'started',
  lost_before_emergence: 'lost before emergence',
  emerged: 'emerged',
  severed: 'severed from the parent',
  potted: 'potted',
  lost: 'lost',
  culled: 'culled',
  split_out: 'split off',
  split_in: 'came from a split',
  fused: 'fused',
  promoted: 'promoted to a tagged plant',
  sold: 'sold',
  given: 'given away',
  recount: 'recount',
  reversed: 'reversed',
};

/** "84 alive", before anything shows "120 sown", and a layer not severed yet "on its parent". */
export const countWords = (c: {
  live: number;
  pending: number;
  growing?: boolean;
  method?: string;
}): string => {
  if (c.live > 0) return `${c.live} alive`;
  if (c.pending === 0 || c.growing === false) return 'none left';
  return c.method === 'layer' ? 'on its parent' : `${c.pending} sown`;
};

/** Years in which a step that waits for a size may come. */
export function spanWords({ from, to, likely }: { from: number; to: number | null; likely: number }): string {
  if (to === null) return `${from} or later, most likely ${likely}: as it thickens`;
  return from === to ? `${likely}, by fast and slow plants alike` : `${from}–${to}, most likely ${likely}`;
}

/** A band of whole millimetres, such as “9–12 mm”; one figure where both ends round to the same. */
export function millimetres(slow: number, fast: number): string {
  const from = Math.round(slow);
  const to = Math.round(fast);
  return inUnits(from === to ? `${to} mm` : `${from}–${to} mm`);
}
