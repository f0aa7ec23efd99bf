import { X } from 'lucide-react';
import { BANDS, type Band, type StemBand, type StemRecord } from '@gonimos/core/stem';
import { METALS, type Metal } from '@gonimos/core/wire';
import { shortDate } from '../common/dates';
import { MeasureInput } from '../common/measure-input';
import { inUnits, length, unit } from '../common/units';
import type { useBands } from './use-wires';

/** How high above the soil each begins, of the thickness of the base. Common practice, no source. */
const BEGINS: Readonly<Record<Band, number>> = { tourniquet: 0.4, 'cage wire': 2.5 };
const METAL_NAMES = Object.keys(METALS) as Metal[];

interface Props {
  record: StemRecord;
  laid: ReturnType<typeof useBands>;
  today: string;
  onBands: (bands: StemBand[]) => void;
}

/** What goes around the base to swell it: a tourniquet, a cage of wire; each with its day to bite. */
export function BandLines({ record, laid, today, onBands }: Props) {
  const bands = laid.map((l) => l.band);
  const free = BANDS.filter((w) => !bands.some((b) => b.what === w));
  const change = (of: StemBand, more: Partial<StemBand>) =>
    onBands(bands.map((b) => (b === of ? { ...b, ...more } : b)));
  return (
    <div className="grid gap-2" role="group" aria-label="Around the base">
      <div className="no-print flex flex-wrap gap-2">
        {free.map((what) => (
          <button
            key={what}
            type="button"
            className="btn border border-base-300 bg-base-100 first-letter:uppercase"
            onClick={() =>
              onBands([
                ...bands,
                { what, at: Math.max(20, Math.round(BEGINS[what] * record.base)), metal: 'copper' },
              ])
            }
          >
            {what === 'tourniquet' ? 'Tourniquet at the base' : 'Cage wire round the base'}
          </button>
        ))}
      </div>
      <ul>
        {laid.map(({ band, words, gauge, length: long, bite }) => (
          <li key={band.what} className="grid gap-1.5 border-t border-base-300 py-2" aria-label={band.what}>
            <p className="flex items-start gap-2">
              <span className="grow">
                <strong className="inline-block first-letter:uppercase">{band.what}</strong> {inUnits(words)}{' '}
                <span className="soft">
                  {length(gauge, 1)} {band.metal}, {length(long)}.
                </span>{' '}
                {bite &&
                  (bite.bites ? (
                    <span className="whitespace-nowrap">Bites by {shortDate(bite.due, today)}.</span>
                  ) : (
                    <span>Does not bite within a year.</span>
                  ))}
              </span>
              <button
                type="button"
                className="btn btn-ghost btn-square"
                onClick={() => onBands(bands.filter((b) => b !== band))}
              >
                <X size={18} aria-hidden="true" />
                <span className="sr-only">Without {band.what}</span>
              </button>
            </p>
            <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
              <MeasureInput
                quantity="length"
                aria-label={`${band.what === 'tourniquet' ? 'Height' : 'Top'} of ${band.what}, ${unit('length')}`}
                value={band.at}
                onChange={(at) => at !== undefined && at >= 1 && at < record.height && change(band, { at })}
              />
              <select
                className="select w-full"
                aria-label={`Metal of ${band.what}`}
                value={band.metal}
                onChange={(e) => change(band, { metal: e.target.value as Metal })}
              >
                {METAL_NAMES.map((m) => (
                  <option key={m}>{m}</option>
                ))}
              </select>
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}
