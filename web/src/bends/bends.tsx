import { useMemo, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { StemBench } from '@gonimos/contract/stem-records';
import {
  heightFrom,
  linesFor,
  LINES,
  USUAL_SHARES,
  type Asked,
  type Pliant,
  type Shares,
} from '@gonimos/core/bends';
import { daysBetween } from '@gonimos/core/calendar';
import { seedFrom } from '@gonimos/core/random';
import { isAlive } from '@gonimos/core/stem';
import { taxon } from '@gonimos/core/taxa';
import { gaugeFor, gramsOf, SPARE, spiral } from '@gonimos/core/wire';
import { plural } from '@gonimos/core/words';
import { Field } from '../common/field';
import { Loading } from '../common/loading';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { far, length, unit, weight } from '../common/units';
import { useToday } from '../nursery/queries';
import { useStemBench } from '../stem/queries';
import { BendCard } from './card';
import { useBends } from './use-bends';

/** Cards that are worked out and shown at once. */
const MOST = 200;
const SHOWN = 12;
/** The end of what is wired is so thick against the base. */
const TAPERS = 0.4;
const YEAR = 365;

export function BendsPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useStemBench(cohort.id);
  if (!data || !today) return <Loading error={error} />;
  return <Recipes key={cohort.id} cohort={cohort} bench={data} today={today} />;
}

interface Typed {
  plants: number;
  base: number | undefined;
  long: number | undefined;
  age: number;
  set: number;
  shares: Shares;
}

/** What is wrong with what was typed; null where nothing is. */
function faultOf(t: Typed): string | null {
  if (!(t.plants >= 1 && t.plants <= MOST && Number.isInteger(t.plants))) return `Plants are 1 to ${MOST}.`;
  if (!(t.base && t.base >= 1 && t.base <= 40)) return `A base is ${length(1)} to ${length(40)} to be bent.`;
  if (!(t.long && t.long >= 40 && t.long <= 2000))
    return `What is bent is ${length(40)} to ${length(2000)} long.`;
  if (!(t.age >= 1 && t.age <= 30)) return 'The wood is 1 to 30 years old.';
  return LINES.some((l) => t.shares[l.id] > 0) ? null : 'At least one line has a share.';
}

/** The lowest living buds of stems that were drawn: they decide how high a tree can be finished. */
function lowestOf(bench: StemBench): number[] {
  return bench.records.flatMap(({ record }) => {
    const heights = record.parts.filter(isAlive).map((p) => p.height);
    return heights.length > 0 ? [Math.min(...heights)] : [];
  });
}

interface FieldsProps {
  t: Typed;
  set: (more: Partial<Typed>) => void;
}

function Fields({ t, set }: FieldsProps) {
  return (
    <div className="no-print grid grid-cols-2 gap-3 sm:grid-cols-4">
      <Field label="Plants">
        <NumberInput value={t.plants} onChange={(plants) => set({ plants })} />
      </Field>
      <Field label="At the base" hint={unit('length')}>
        <MeasureInput quantity="length" value={t.base} onChange={(base) => set({ base })} />
      </Field>
      <Field label="Length bent" hint={unit('length')}>
        <MeasureInput quantity="length" value={t.long} onChange={(long) => set({ long })} />
      </Field>
      <Field label="Wood" hint="years old">
        <NumberInput value={t.age} onChange={(age) => set({ age })} />
      </Field>
      {LINES.map((l) => (
        <Field key={l.id} label={l.name} hint="of a hundred">
          <NumberInput
            value={t.shares[l.id]}
            onChange={(n) => set({ shares: { ...t.shares, [l.id]: n >= 0 ? n : 0 } })}
          />
        </Field>
      ))}
      <button type="button" className="btn btn-outline self-center" onClick={() => set({ set: t.set + 1 })}>
        Other lines
      </button>
    </div>
  );
}

function Recipes({ cohort, bench, today }: { cohort: Cohort; bench: StemBench; today: string }) {
  const { group } = taxon(cohort.taxonId);
  const [t, setT] = useState<Typed>(() => ({
    plants: Math.min(MOST, Math.max(1, cohort.live)),
    base: Math.round(bench.start.caliper * 10) / 10,
    long: Math.round(Math.min(600, (bench.start.height ?? bench.start.caliper * 40) * 0.8)),
    age: Math.max(1, Math.floor(daysBetween(cohort.startedFrom, today) / YEAR)),
    set: 1,
    shares: USUAL_SHARES,
  }));
  const [shown, setShown] = useState(SHOWN);
  const fault = faultOf(t);
  const stem = useMemo<Pliant | null>(
    () =>
      fault === null ? { group, age: t.age, base: t.base!, tip: t.base! * TAPERS, length: t.long! } : null,
    [fault, group, t.age, t.base, t.long],
  );
  const asked = useMemo<Asked[] | null>(
    () => stem && linesFor(t.plants, t.shares).map((style, i) => ({ number: i + 1, style, stem })),
    [stem, t.plants, t.shares],
  );
  const { bent, stale, done } = useBends(seedFrom(cohort.id) + t.set, asked);
  const lowest = lowestOf(bench);
  const gauge = stem ? gaugeFor(stem.base, 'aluminium') : 0;
  const each = stem
    ? spiral({ from: stem.base, to: stem.tip, long: stem.length, wire: gauge, angle: 45 }).length * SPARE
    : 0;
  return (
    <div className="grid gap-5">
      <div className="no-print flex flex-wrap items-baseline justify-between gap-3">
        <p className="soft max-w-prose">
          A line for each plant, none like another, none flat, none an even spiral, none tighter than wood of
          its age bears, the tightest bend low. What wood bears is common practice, no source.
        </p>
        <span className="flex gap-2">
          <Link className="btn btn-ghost" to="../stem">
            The stem
          </Link>
          <button type="button" className="btn btn-primary" onClick={() => window.print()}>
            Print the cards
          </button>
        </span>
      </div>
      <Fields t={t} set={(more) => setT({ ...t, ...more })} />
      {fault && <p role="alert">{fault}</p>}
      {lowest.length > 0 && (
        <p className="soft no-print">
          The lowest living buds that were drawn stand at {lowest.map((h) => length(h)).join(', ')}: finished
          heights of {lowest.map((h) => length(Math.round(heightFrom(h)))).join(', ')} and above.
        </p>
      )}
      {asked && stale && (
        <progress
          className="progress w-full max-w-md"
          value={done}
          max={asked.length}
          aria-label="Thought through"
        />
      )}
      {bent && stem && !stale && (
        <>
          <p role="status">
            <strong>{plural(bent.recipes.length, 'line')}</strong>, {far(each * bent.recipes.length)} of{' '}
            {length(gauge, 1)} aluminium wire with spare,{' '}
            {weight(gramsOf(each * bent.recipes.length, gauge, 'aluminium') / 1000)}.
            {bent.without.length > 0 &&
              ` ${plural(bent.without.length, 'plant')} without one: ${bent.without[0].why}.`}
          </p>
          <p className="border-l-4 border-accent pl-3">
            Wire ends whip: mind the eyes, and cut them away from the face. Bend slowly, thumbs together, and
            stop when the bark speaks.
          </p>
          <div className="grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
            {bent.recipes.slice(0, shown).map((r) => (
              <BendCard key={r.number} recipe={r} stem={stem} wire={{ gauge, long: each }} />
            ))}
          </div>
          {shown < bent.recipes.length && (
            <button
              type="button"
              className="btn btn-outline no-print justify-self-start"
              onClick={() => setShown(bent.recipes.length)}
            >
              Show all {bent.recipes.length}
            </button>
          )}
        </>
      )}
    </div>
  );
}
