import type { MissedStep, RoundStep } from '@gonimos/contract/round';
import { FRAME, ID } from './ids.ts';

/** A step of the round as the server tells it: root work on forty field maples, open for three weeks. */
export const roundStep = (more: Partial<RoundStep> = {}): RoundStep => ({
  cohortId: ID(1),
  code: 'AC-35',
  taxonId: 'acer-campestre',
  placeId: FRAME,
  method: 'seed',
  live: 40,
  pending: 0,
  cohortContainer: 'cell-60',
  host: null,
  guests: [],
  goalCaliper: null,
  held: null,
  rings: { from: 2035, mm: [3, 6], measured: [] },
  key: 'correct#1',
  operation: 'root-correct',
  title: 'First root correction',
  lane: 'roots',
  chain: null,
  odds: null,
  moved: null,
  opens: '2037-03-02',
  closes: '2037-03-23',
  container: 'air-pot-1',
  rootCut: null,
  topCut: null,
  materials: [],
  span: null,
  minutes: 120,
  reasons: [],
  putOff: null,
  part: 0,
  about: null,
  nextTime: '',
  ...more,
});

/** The same, after its window went by. */
export const missedStep = (more: Partial<MissedStep> = {}): MissedStep => ({
  ...roundStep(),
  missed: { opens: '2037-02-02', closes: '2037-02-20' },
  next: { opens: '2038-02-02', closes: '2038-02-20' },
  ...more,
});
