import type { AskStart, StartAnswer } from '@gonimos/contract/starts';

export const UNIT_VERB: Record<StartAnswer['unit'], string> = {
  seeds: 'Sow',
  cuttings: 'Stick',
  layers: 'Ring',
  plants: 'Bring in',
};

type Start = Pick<AskStart, 'taxonId' | 'programmeId'> & { placeId?: string };

/** What entering such a start is called. */
export const START_WORDS: Record<StartAnswer['unit'], string> = {
  seeds: 'a sowing',
  cuttings: 'a batch of cuttings',
  layers: 'layers',
  plants: 'plants',
};

/** The form for a new cohort, filled in as far as a start is known. */
export const startPath = (
  a: Start,
  count: number,
  more: { goalId?: string; parentId?: string; lotId?: string } = {},
): string => {
  const { taxonId, programmeId, placeId } = a;
  // layers are rung on a parent, each a cohort of its own
  if (programmeId === 'air-layer') return `/propagation/layers${more.goalId ? `?goal=${more.goalId}` : ''}`;
  const known = { taxonId, programmeId, count: String(count), ...(placeId ? { placeId } : {}), ...more };
  return `/cohorts/new?${new URLSearchParams(known)}`;
};
