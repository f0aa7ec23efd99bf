import { useState } from 'react';
import { TYPICAL_CLIMATES, type TypicalClimate } from '@gonimos/core/climates';
import { Field } from '../common/field';

const HALVES = [
  ['north', 'North of the equator'],
  ['south', 'South of the equator'],
] as const;
const isIn = (half: string) => (c: TypicalClimate) => c.latitude < 0 === (half === 'south');

/** A climate to begin from, by what such places are like; it fills the form, and everything stays to be changed. */
export function TypicalClimates({ onChoose }: { onChoose: (c: TypicalClimate) => void }) {
  const [id, setId] = useState('');
  const chosen = TYPICAL_CLIMATES.find((c) => c.id === id);
  return (
    <div>
      <Field
        label="Begin from a typical climate"
        hint="nights, days, spread and rains are filled in; put your own in their place"
      >
        <select
          className="select"
          value={id}
          onChange={(e) => {
            setId(e.target.value);
            const c = TYPICAL_CLIMATES.find((x) => x.id === e.target.value);
            if (c) onChoose(c);
          }}
        >
          <option value="">none: type the months below</option>
          {HALVES.map(([half, name]) => (
            <optgroup key={half} label={name}>
              {TYPICAL_CLIMATES.filter(isIn(half)).map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}: {c.found}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      </Field>
      {chosen && (
        <p className="soft mt-1 text-sm">
          Rounded, of what such places are like; common practice, no station’s record. Latitude{' '}
          {Math.abs(chosen.latitude)}° {chosen.latitude < 0 ? 'south' : 'north'}.
        </p>
      )}
    </div>
  );
}
