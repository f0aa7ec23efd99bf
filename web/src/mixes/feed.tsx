import { useState } from 'react';
import { gramsPerLitre, SEASON_NITROGEN, slowRelease, type FeedStrength } from '@gonimos/core/mixes';
import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { unit } from '../common/units';

const within = (n: number | undefined, most: number): n is number => n !== undefined && n > 0 && n <= most;

/** Grams of feed for a can and for a pot. */
export function Feed() {
  const [nitrogen, setNitrogen] = useState(20);
  const [ppm, setPpm] = useState(100);
  const [can, setCan] = useState<number | undefined>(10);
  const [pot, setPot] = useState<number | undefined>(6);
  const [strength, setStrength] = useState<FeedStrength>('usual');
  const bag = within(nitrogen, 100) ? undefined : 'is not from 0 to 100 %';
  return (
    <section aria-label="Feed" className="grid content-start gap-3">
      <h3 className="text-lg">Feed</h3>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <Field label="Nitrogen in it" hint="% N on the bag" error={bag}>
          <NumberInput value={nitrogen} onChange={setNitrogen} />
        </Field>
        <Field label="Wanted" hint="ppm N" error={within(ppm, 2000) ? undefined : 'is not from 0 to 2000'}>
          <NumberInput value={ppm} onChange={setPpm} />
        </Field>
        <Field label="Can" hint={unit('volume')} error={within(can, 2000) ? undefined : 'is no volume'}>
          <MeasureInput quantity="volume" value={can} onChange={setCan} />
        </Field>
      </div>
      {!bag && within(ppm, 2000) && within(can, 2000) && (
        <p role="status">
          <strong>{(gramsPerLitre(ppm, nitrogen) * can).toFixed(1)} g</strong> in a can,{' '}
          {gramsPerLitre(ppm, nitrogen).toFixed(2)} g a litre.
        </p>
      )}
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <Field
          label="Slow release, pot of"
          hint={unit('volume')}
          error={within(pot, 2000) ? undefined : 'is no volume'}
        >
          <MeasureInput quantity="volume" value={pot} onChange={setPot} />
        </Field>
        <Field label="Season">
          <select
            className="select"
            value={strength}
            onChange={(e) => setStrength(e.target.value as FeedStrength)}
          >
            {Object.keys(SEASON_NITROGEN).map((s) => (
              <option key={s}>{s}</option>
            ))}
          </select>
        </Field>
      </div>
      {!bag && within(pot, 2000) && (
        <p role="status">
          <strong>{slowRelease(pot, nitrogen, strength).toFixed(1)} g</strong> on a pot for a season; common
          practice, no source.
        </p>
      )}
    </section>
  );
}
