import { X } from 'lucide-react';
import { useRef, useState, type KeyboardEvent } from 'react';
import { simulatedCaliper } from '@gonimos/contract/caliper';
import { readColumn, standsApart } from '@gonimos/core/measuring';
import { mean, sampleFor, spreadOf } from '@gonimos/core/stats';
import { plural } from '@gonimos/core/words';
import { length, measureText, typedLength, typedLengths, unit, unitSystem } from '../common/units';
import { useSession } from '../people/session';
import { hasSerial, useCaliper } from './use-caliper';

/** Calipers are wanted to about so much of their mean. */
const WITHIN = 0.05;
/** Sizes of more digits than a hand feels. */
const tenth = (mm: number) => Math.round(mm * 10) / 10;

interface Props {
  cohortId: string;
  /** alive in the cohort */
  plants: number;
  /** calipers as they stand in the form */
  typed: string;
  onChange: (typed: string) => void;
}

/** What the sample says so far, and how many more would say it well. */
function sampleSoFar(values: readonly number[], plants: number): string {
  if (values.length === 0) return `None measured yet, of ${plural(plants, 'plant')}.`;
  const middle = mean(values)!;
  const sd = spreadOf(values);
  if (sd === null) return `One measured: ${length(middle, 1)}. One plant says nothing of how they differ.`;
  const off = (1.96 * sd) / Math.sqrt(values.length);
  const need = sampleFor({ plants, sd, within: middle * WITHIN });
  const told = `${values.length} measured: ${length(middle, 1)} ± ${length(off, 1)}.`;
  return need <= values.length
    ? `${told} Enough to know it to one part in twenty.`
    : `${told} To know it to one part in twenty, measure ${need} of ${plants}.`;
}

/** Calipers one plant after another: by keys or a tool that types, a tool that is listened to, or a file. */
export function Column({ cohortId, plants, typed, onChange }: Props) {
  const [next, setNext] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const demo = useSession().data?.demo ?? false;
  const values = typedLengths(typed).filter((mm) => mm > 0);
  const put = (all: readonly number[]) => onChange(all.map((mm) => measureText(mm)).join(' '));
  const add = (mm: number) => put([...values, mm]);
  const caliper = useCaliper(add);
  const enter = () => {
    const mm = typedLength(next);
    if (mm === undefined) return;
    if (Number.isNaN(mm) || mm <= 0) {
      setFault(`‘${next}’ is no size.`);
      return;
    }
    setFault(null);
    setNext('');
    add(mm);
  };
  const onKey = (e: KeyboardEvent) => {
    if (e.key !== 'Enter') return;
    // the sheet is sent by its own button
    e.preventDefault();
    enter();
  };
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    const column = readColumn(await chosen.text(), unitSystem());
    setFault(
      column.faults.length > 0
        ? `${column.faults.slice(0, 3).join('; ')}${column.faults.length > 3 ? ` and ${column.faults.length - 3} more` : ''}`
        : column.values.length === 0
          ? 'No size in that file.'
          : null,
    );
    put([...values, ...column.values]);
  };
  const apart = standsApart(values);
  return (
    <details className="border-y border-base-300 sm:col-span-2">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        One after another, from a caliper or a file
      </summary>
      <div className="grid gap-3 pb-4">
        <div className="flex flex-wrap items-center gap-2">
          <input
            className="input w-32 text-lg"
            aria-label={`Next caliper, ${unit('length')}`}
            placeholder={unit('length')}
            inputMode="decimal"
            autoComplete="off"
            enterKeyHint="next"
            value={next}
            onChange={(e) => setNext(e.target.value)}
            onKeyDown={onKey}
          />
          <button type="button" className="btn border border-base-300 bg-base-100" onClick={enter}>
            Add
          </button>
          <span className="soft text-sm">Enter takes each; a caliper that types does so itself.</span>
        </div>
        <p role="status" className="tabular-nums">
          {sampleSoFar(values, plants)}
        </p>
        {values.length > 0 && (
          <ol className="flex flex-wrap gap-1.5" aria-label="Calipers so far">
            {values.map((mm, i) => (
              <li key={i}>
                <button
                  type="button"
                  className={`btn btn-sm gap-1 font-mono ${tenth(mm) === apart ? 'btn-warning' : 'border border-base-300 bg-base-100'}`}
                  aria-label={`Take out ${measureText(mm)}`}
                  onClick={() => put(values.filter((_, k) => k !== i))}
                >
                  {measureText(mm)} <X size={14} aria-hidden />
                </button>
              </li>
            ))}
          </ol>
        )}
        {apart !== null && (
          <p role="alert" className="font-semibold">
            {length(apart, 1)} stands apart from the others. Take it out if it was misread; kept, it counts.
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          {caliper.listening ? (
            <button type="button" className="btn btn-neutral" onClick={caliper.stop}>
              Listening; stop
            </button>
          ) : (
            <>
              {hasSerial() && (
                <button
                  type="button"
                  className="btn border border-base-300 bg-base-100"
                  onClick={() => void caliper.toPort()}
                >
                  Caliper on a cable
                </button>
              )}
              {demo && (
                <button
                  type="button"
                  className="btn border border-base-300 bg-base-100"
                  onClick={() => caliper.toAddress(simulatedCaliper(cohortId))}
                >
                  Simulated caliper
                </button>
              )}
              <button
                type="button"
                className="btn border border-base-300 bg-base-100"
                onClick={() => file.current?.click()}
              >
                From a file
              </button>
            </>
          )}
          <input
            ref={file}
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            className="hidden"
            aria-label="A file of sizes"
            onChange={(e) => {
              void read(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </div>
        {(fault ?? caliper.trouble) && (
          <p role="alert" className="font-semibold text-error">
            {fault ?? caliper.trouble}
          </p>
        )}
      </div>
    </details>
  );
}
