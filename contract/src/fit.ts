import type { DownMove, Proposed, Standing } from '@gonimos/core/fit';

/** Containers for the next move of a cohort, and the way down to one on show. */
export interface PotsProposed {
  /** how it stands where it is; null: in the ground, or with many in one tray */
  now: Standing | null;
  /** the best first */
  pots: Proposed[];
  /** to the training or show pot of the course, in moves the kind bears; null: none is planned, or there is no way */
  down: { target: string; moves: DownMove[] } | null;
}
