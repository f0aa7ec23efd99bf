import type { EntryType } from '@gonimos/core/ledger';

/** The trade's words for what the ledger holds. */
export const ENTRY_WORDS: Record<EntryType, string> = {
  started: 'started',
  lost_before_emergence: 'lost before emergence',
  emerged: 'emerged',
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

/** "84 alive", or before anything shows "120 sown". */
export const countWords = (c: { live: number; pending: number; growing?: boolean }): string =>
  c.live > 0 ? `${c.live} alive` : c.pending > 0 && c.growing !== false ? `${c.pending} sown` : 'none left';
