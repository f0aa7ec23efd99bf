import { chosen, type Levels } from '../schools/index.ts';
import type { CourseFacts } from './types.ts';

/** The schools of a course, and whether a layer is opened only where its dates allow. */
export interface Way {
  levels: Levels;
  /** the opening is part of the course unless the rule ‘layer cut-off’ refuses it */
  byDate: boolean;
}

/** What was done to a layer settles how it is layered, whatever was chosen. */
export function wayOf(facts: CourseFacts): Way {
  const { cohort, nursery } = facts.schools;
  const levels = { cohort, programme: facts.programme.schools, nursery };
  if (facts.programme.method !== 'layer') return { levels, byDate: false };
  const as = (layer: 'single' | 'double') => ({ ...levels, cohort: { ...cohort, layer } });
  if (facts.layer?.openedOn) return { levels: as('double'), byDate: false };
  if (facts.layer?.severedOn) return { levels: as('single'), byDate: false };
  const byDate = chosen('layer', levels).option === 'by-date';
  return { levels: byDate ? as('double') : levels, byDate };
}
