import type { Stretch } from '../operations/index.ts';
import { cage, gaugeFor, gramsOf, tourniquet, type Metal } from '../wire/index.ts';
import { stemAt, type StemRecord } from './record.ts';
import { crownShare } from './wiring.ts';

/** What goes around the base of a stem to swell it. */
export const BANDS = ['tourniquet', 'cage wire'] as const;
export type Band = (typeof BANDS)[number];

export interface StemBand {
  what: Band;
  /** mm above the soil: where a tourniquet sits, how high a cage goes */
  at: number;
  metal: Metal;
}

/** A band as it is laid. */
export interface BandLaid {
  band: StemBand;
  words: string;
  /** mm */
  gauge: number;
  /** of the whole piece, mm */
  length: number;
  grams: number;
  /** what it sits on, for the day it bites */
  stretch: Stretch;
}

/** A tourniquet is wound so often, of wire no thicker than this, mm; a cage of thinner. Common practice, no source. */
const TURNS = 2;
const GAUGE: Readonly<Record<Band, number>> = { tourniquet: 3, 'cage wire': 2 };
/** A cage lower than this holds nothing, mm. Common practice, no source. */
export const CAGE_LEAST = 20;

/** A band as it is laid on a stem: it sits on the thickest of what it goes around. */
export function layBand(record: StemRecord, band: StemBand): BandLaid {
  const { what, metal } = band;
  const at = Math.min(band.at, record.height);
  const stem = stemAt(record, what === 'cage wire' ? 0 : at);
  const gauge = Math.min(GAUGE[what], gaugeFor(stem, metal));
  const made = what === 'cage wire' ? cage(stem, gauge, at) : null;
  const length = made ? made.length : tourniquet(stem, gauge, TURNS);
  const words = made
    ? `from the soil to ${Math.round(at)} mm, ${made.uprights} uprights and ${made.loops} loops`
    : `at ${Math.round(at)} mm, ${TURNS} turns`;
  const stretch = { of: stem / record.base, share: crownShare(record, { above: at }) };
  return { band, words, gauge, length, grams: gramsOf(length, gauge, metal), stretch };
}

/** What cannot be of bands on a stem, by field; none where they can be laid. */
export function bandFaults(
  record: Pick<StemRecord, 'height'>,
  bands: readonly StemBand[],
): { field: string; text: string }[] {
  const faults: { field: string; text: string }[] = [];
  bands.forEach((b, i) => {
    const say = (name: string, text: string) => faults.push({ field: `bands[${i}].${name}`, text });
    if (b.at >= record.height) say('at', `is above the tip, ${record.height} mm`);
    if (b.what === 'cage wire' && b.at < CAGE_LEAST)
      say('at', `is below ${CAGE_LEAST} mm: it would hold nothing`);
    if (bands.some((o, k) => k < i && o.what === b.what)) say('what', 'is there already');
  });
  return faults;
}
