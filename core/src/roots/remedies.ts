import type { GrowthGroup } from '../taxa/index.ts';
import { compassWord } from './plan.ts';
import type { Measures } from './measures.ts';

/** A bare side is helped from this width on, degrees. Common practice, no source. */
export const BARE_FROM = 70;
/** Roots in a well-filled base. */
const WANTED = 8;
/** Kinds whose base sprouts roots from a wound, or takes root grafts. Common practice, no source. */
const SPROUTS: readonly GrowthGroup[] = [
  'deciduous-broadleaf',
  'tropical-broadleaf',
  'swollen-base',
  'deciduous-conifer',
];

export const REMEDIES = ['sun', 'moss', 'wound', 'graft', 'deeper', 'tourniquet'] as const;
export type RemedyKind = (typeof REMEDIES)[number];

export interface Remedy {
  kind: RemedyKind;
  /** degrees; null: all around */
  azimuth: number | null;
  words: string;
}

/** What may help a bare side, the mildest first; several positions of a graft each stand alone. */
export function remediesFor(m: Measures, group: GrowthGroup, trunk: number): Remedy[] {
  const { widest } = m;
  if (!widest || widest.gap < BARE_FROM) return [];
  const at = Math.round(widest.middle);
  const side = compassWord(at);
  const arc = Math.round((Math.PI * trunk * (widest.gap / 2)) / 360);
  const out: Remedy[] = [
    {
      kind: 'sun',
      azimuth: at,
      words: `Turn the bare side, ${side}, to the sun; turn back when it has filled`,
    },
    {
      kind: 'moss',
      azimuth: at,
      words: `Pocket of long-fibred moss against the base at ${at}°, ${arc} mm wide, kept wet`,
    },
  ];
  if (SPROUTS.includes(group)) {
    out.push({
      kind: 'wound',
      azimuth: at,
      words: `Nick the bark through to the wood at ${at}°, below the mix, under the moss`,
    });
    const grafts = Math.max(1, Math.round(widest.gap / (360 / WANTED)) - 1);
    for (let i = 1; i <= grafts; i++) {
      const azimuth =
        Math.round(widest.middle - widest.gap / 2 + (i * widest.gap) / (grafts + 1) + 360) % 360;
      out.push({
        kind: 'graft',
        azimuth,
        words: `Root graft at ${azimuth}°: a seedling of the same kind against the base`,
      });
    }
  }
  out.push({
    kind: 'deeper',
    azimuth: null,
    words: `Plant ${Math.round(trunk * 0.3)} mm deeper for two seasons, so that the bare side lies in mix`,
  });
  if (m.sectors <= 4)
    out.push({
      kind: 'tourniquet',
      azimuth: null,
      words: `Tourniquet ${Math.round(trunk * 0.25)} mm above the plane, mix heaped over it: a new ring of roots above`,
    });
  return out;
}
