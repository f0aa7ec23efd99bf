import type { Place } from '@gonimos/contract/nursery';
import { difference, temperature } from '../common/units';

/** Light and climate of a place against outdoors, in words. */
export function climateWords(p: Pick<Place, 'light' | 'night' | 'day' | 'heatedTo'>): string {
  const lit = p.light === 'shade' ? 'in the shade' : `${p.light} light`;
  if (p.heatedTo !== null) return `${lit}, heated to ${temperature(p.heatedTo)}`;
  if (p.night === 0 && p.day === 0) return `${lit}, as outdoors`;
  const against = [
    p.night === 0 ? '' : `${difference(p.night)} at night`,
    p.day === 0 ? '' : `${difference(p.day)} by day`,
  ];
  return `${lit}, ${against.filter(Boolean).join(', ')} against outdoors`;
}
