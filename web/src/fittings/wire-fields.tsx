import { useState } from 'react';
import { PARTS_HELD, type PartHeld } from '@gonimos/contract/fittings';
import {
  GAUGES,
  gaugeFor,
  gramsOf,
  METALS,
  SPARE,
  wireFor,
  type Around,
  type Metal,
} from '@gonimos/core/wire';
import { plural } from '@gonimos/core/words';
import { shortDate } from '../common/dates';
import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { inUnits, length, unit } from '../common/units';
import { useToday } from '../nursery/queries';
import { useBite } from './queries';

interface Props {
  what: Around;
  cohortId: string;
  plants: number;
  /** takes what was worked out: the note, and the day */
  onTake: (note: string, due: string) => void;
}

/** Weight as it is bought: grams, or kilograms. */
const weight = (g: number): string => (g < 950 ? `${Math.round(g)} g` : `${(g / 1000).toFixed(1)} kg`);

/** What is put around a stem bends and weighs so much, and bites by a day: worked out from the plant of today. */
export function WireFields({ what, cohortId, plants, onTake }: Props) {
  const today = useToday();
  const [part, setPart] = useState<PartHeld>(what === 'wire' ? 'stem' : 'base');
  const [metal, setMetal] = useState<Metal>('aluminium');
  const [gauge, setGauge] = useState<number | null>(null);
  const [turns, setTurns] = useState(2);
  const [long, setLong] = useState(what === 'cage wire' ? 80 : 300);
  const { data } = useBite(cohortId, part);
  if (!data || !today) return null;
  const wire = gauge ?? gaugeFor(data.thick, metal);
  const sound = turns >= 1 && turns <= 20 && long >= 10 && long <= 5000;
  const each = sound ? wireFor(what, data.thick, wire, { long, turns }) : null;
  const all = (each?.length ?? 0) * plants * SPARE;
  return (
    <div className="grid grid-cols-2 gap-3 border-y border-base-300 py-4">
      <Field label="Around">
        <select className="select" value={part} onChange={(e) => setPart(e.target.value as PartHeld)}>
          {PARTS_HELD.map((p) => (
            <option key={p} value={p}>
              the {p}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Metal">
        <select className="select" value={metal} onChange={(e) => setMetal(e.target.value as Metal)}>
          {Object.keys(METALS).map((m) => (
            <option key={m}>{m}</option>
          ))}
        </select>
      </Field>
      <Field label="Wire" hint={`fits ${length(data.thick, 1)}: ${length(gaugeFor(data.thick, metal), 1)}`}>
        <select className="select" value={wire} onChange={(e) => setGauge(Number(e.target.value))}>
          {GAUGES.map((g) => (
            <option key={g} value={g}>
              {length(g, 1)}
            </option>
          ))}
        </select>
      </Field>
      {what === 'tourniquet' && (
        <Field label="Turns">
          <NumberInput value={turns} onChange={setTurns} />
        </Field>
      )}
      {(what === 'wire' || what === 'cage wire') && (
        <Field label="Over" hint={`${unit('length')} of stem`}>
          <MeasureInput quantity="length" value={long} onChange={(mm) => setLong(mm ?? NaN)} />
        </Field>
      )}
      {each ? (
        <div className="col-span-2 grid gap-2">
          <p>
            <strong>
              {length(each.length)} a plant: {inUnits(each.words)}.
            </strong>{' '}
            For {plural(plants, 'plant')} with spare {(all / 1000).toFixed(1)} m,{' '}
            {weight(gramsOf(all, wire, metal))}.
          </p>
          <p>
            {data.bites
              ? `The ${part} has swollen by 15 % by ${shortDate(data.due, today)}: it bites then.`
              : `The ${part} does not swell by 15 % within a year; look at it by ${shortDate(data.due, today)} anyhow.`}
          </p>
          <button
            type="button"
            className="btn border border-base-300 bg-base-100 justify-self-start"
            onClick={() =>
              onTake(`${length(wire, 1)} ${metal}, ${inUnits(each.words)}`.slice(0, 80), data.due)
            }
          >
            Take this over
          </button>
        </div>
      ) : (
        <p role="alert" className="col-span-2 font-semibold text-error">
          Turns are 1 to 20, and the stretch 10 to 5,000 mm.
        </p>
      )}
    </div>
  );
}
