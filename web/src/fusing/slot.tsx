import { useEffect, useState } from 'react';
import type { CohortRow } from '@gonimos/contract/cohorts';
import type { Limb, Member } from '@gonimos/core/fusing';
import { lineOf, type RootRecord } from '@gonimos/core/roots';
import { isShoot, type StemRecord } from '@gonimos/core/stem';
import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { unit } from '../common/units';
import { useRootBench } from '../roots/queries';
import { useStemBench } from '../stem/queries';

/** A stem in hand, and the cohort it comes out of. */
export interface Slot {
  member: Member;
  cohortId: string;
  /** the stem as it was drawn, and how high it is to be; null: not drawn, or not thought of */
  stem: StemRecord | null;
  finished: number | null;
}

/** A branch nobody measured reaches so many times its thickness, a stem so many times its base. */
const LONG = 16;
const SLENDER = 40;

const rootsOf = (record: RootRecord): Limb[] =>
  record.roots.map((r) => ({
    azimuth: ((r.azimuth % 360) + 360) % 360,
    reach: Math.max(...lineOf(r, record.trunk).map((p) => Math.hypot(p.x, p.y))),
    diameter: r.diameter,
    height: 0,
  }));
const branchesOf = (record: StemRecord): Limb[] =>
  record.parts
    .filter((p) => isShoot(p))
    .map((p) => ({
      azimuth: p.azimuth,
      reach: p.long ?? p.diameter * LONG,
      diameter: p.diameter,
      height: p.height,
    }));

interface Props {
  name: string;
  cohorts: readonly CohortRow[];
  first: string;
  onChange: (slot: Slot | null) => void;
  onOut: (() => void) | null;
}

/** One stem of a group: out of which cohort, which drawing of it, and its figures. */
export function StemSlot({ name, cohorts, first, onChange, onOut }: Props) {
  const [cohortId, setCohortId] = useState(first);
  const [drawn, setDrawn] = useState('');
  const [base, setBase] = useState<number | undefined>();
  const [height, setHeight] = useState<number | undefined>();
  const [curve, setCurve] = useState(NaN);
  const roots = useRootBench(cohortId).data;
  const stem = useStemBench(cohortId).data;
  const rootRecord = roots?.records.find((r) => r.id === drawn);
  const stemRecord = stem?.records.findLast((r) => r.label === rootRecord?.label);
  const known = rootRecord?.record.trunk ?? stemRecord?.record.base ?? stem?.start.caliper;
  const mm = base ?? (known === undefined ? undefined : Math.round(known * 10) / 10);
  const grown = stemRecord?.record.height ?? stem?.start.height ?? (mm ? mm * SLENDER : undefined);
  const tall = height ?? (grown === undefined ? undefined : Math.round(grown));
  const sound = mm && mm >= 0.5 && mm <= 500 && tall && tall >= 10 && tall <= 20_000;
  const slot: Slot | null = sound
    ? {
        cohortId,
        stem: stemRecord?.record ?? null,
        finished: stemRecord?.decided.finished ?? null,
        member: {
          id: name,
          base: mm,
          height: tall,
          curve: curve >= 0 && curve <= 360 ? curve : null,
          roots: rootRecord ? rootsOf(rootRecord.record) : [],
          branches: stemRecord ? branchesOf(stemRecord.record) : [],
        },
      }
    : null;
  const told = JSON.stringify(slot);
  useEffect(() => {
    onChange(JSON.parse(told) as Slot | null);
  }, [told, onChange]);
  return (
    <fieldset className="grid grid-cols-2 gap-3 border-t border-base-300 pt-3 sm:grid-cols-[1.2fr_1.2fr_1fr_1fr_1fr_auto]">
      <legend className="pr-3 font-semibold">Stem {name}</legend>
      <Field label="Out of">
        <select
          className="select"
          value={cohortId}
          onChange={(e) => {
            setCohortId(e.target.value);
            setDrawn('');
          }}
        >
          {cohorts.map((c) => (
            <option key={c.id} value={c.id}>
              {c.code}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Drawn roots">
        <select className="select" value={drawn} onChange={(e) => setDrawn(e.target.value)}>
          <option value="">none</option>
          {roots?.records.toReversed().map((r) => (
            <option key={r.id} value={r.id}>
              {r.label || 'a plant'}, {r.on}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Base" hint={unit('length')}>
        <MeasureInput
          key={`${cohortId}${drawn}${mm === undefined}`}
          quantity="length"
          value={mm}
          onChange={setBase}
        />
      </Field>
      <Field label="Height" hint={unit('length')}>
        <MeasureInput
          key={`${cohortId}${drawn}${tall === undefined}`}
          quantity="length"
          value={tall}
          onChange={setHeight}
        />
      </Field>
      <Field label="Curves to" hint="° from its mark">
        <NumberInput value={curve} onChange={setCurve} />
      </Field>
      {onOut && (
        <button type="button" className="btn btn-ghost self-center border border-base-300" onClick={onOut}>
          Out<span className="sr-only">, stem {name}</span>
        </button>
      )}
    </fieldset>
  );
}
