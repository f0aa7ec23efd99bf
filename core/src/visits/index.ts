export * from './causes.ts';

/** What may be found on opening a container, or on any unplanned look. */
export const FOUND = {
  pests: 'pests',
  rot: 'rot',
  'mat-below': 'matted below, bare above',
  'few-roots': 'few roots, ball falls apart',
  'roots-out': 'roots through the holes',
  clump: 'clump that cannot be parted',
  mishap: 'a mishap',
  'wrong-identity': 'not what the label says',
  'wire-bite': 'wire or tie biting',
  'white-tips': 'white tips, all well',
} as const;
export type Found = keyof typeof FOUND;
export const FOUND_KINDS = Object.keys(FOUND) as Found[];

/** What is decided then. */
export const DECISIONS = {
  'carry-on': 'Carry on',
  lighten: 'Lighten the work',
  'put-back': 'Put back and wait',
  quarantine: 'Quarantine',
  'step-back': 'Step back a size',
} as const;
export type Decision = keyof typeof DECISIONS;
export const DECISION_KINDS = Object.keys(DECISIONS) as Decision[];

/** Share of the planned loss that is still taken when work is lightened. Common practice, no source. */
export const LIGHTENED = 0.5;
/** Growing seasons that plants put back are left alone. Common practice, no source. */
export const PUT_BACK_SEASONS = 0.8;

/** The decision that is usual for what was found; the gravest finding speaks. */
export function usualDecision(found: readonly Found[]): Decision {
  if (found.includes('pests') || found.includes('rot')) return 'quarantine';
  if (found.includes('few-roots')) return 'put-back';
  if (found.includes('mat-below') || found.includes('mishap')) return 'lighten';
  return 'carry-on';
}
