import { X } from 'lucide-react';
import { useRef, useState, type KeyboardEvent } from 'react';
import { simulatedCaliper } from '@gonimos/contract/caliper';
import { readColumn, standsApart } from '@gonimos/core/measuring';
import { mean, sampleFor, spreadOf } from '@gonimos/core/stats';
import { plural } from '@gonimos/core/words';
import { length, measureText, typedLength, typedLengths, unit, unitSystem } from '../common/units';
import { useSession } from '../people/session';
import { hasSerial, useCaliper, type Caliper } from './use-caliper';

/** Calipers are wanted to about so much of their mean. */
const WITHIN = 0.05;
const PLAIN = 'btn border border-base-300 bg-base-100';
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

/** The next plant’s caliper, typed by hand or by a tool that types. */
function Next({ onAdd, onFault }: { onAdd: (mm: number) => void; onFault: (fault: string | null) => void }) {
  const [next, setNext] = useState('');
  const enter = () => {
    const mm = typedLength(next);
    if (mm === undefined) return;
    if (Number.isNaN(mm) || mm <= 0) return onFault(`‘${next}’ is no size.`);
    onFault(null);
    setNext('');
    onAdd(mm);
  };
  const onKey = (e: KeyboardEvent) => {
    if (e.key !== 'Enter') return;
    // the sheet is sent by its own button
    e.preventDefault();
    enter();
  };
  return (
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
      <button type="button" className={PLAIN} onClick={enter}>
        Add
      </button>
      <span className="soft text-sm">Enter takes each; a caliper that types does so itself.</span>
    </div>
  );
}

/** What was measured so far, each to be taken out again; what stands apart is told. */
function SoFar({ values, onOut }: { values: readonly number[]; onOut: (place: number) => void }) {
  const apart = standsApart(values);
  return (
    <>
      {values.length > 0 && (
        <ol className="flex flex-wrap gap-1.5" aria-label="Calipers so far">
          {values.map((mm, i) => (
            <li key={i}>
              <button
                type="button"
                className={`btn btn-sm gap-1 font-mono ${tenth(mm) === apart ? 'btn-warning' : 'border border-base-300 bg-base-100'}`}
                aria-label={`Take out ${measureText(mm)}`}
                onClick={() => onOut(i)}
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
    </>
  );
}

interface SourcesProps {
  caliper: Caliper;
  cohortId: string;
  onFile: (text: string) => void;
}

/** Where sizes come from besides the keys. */
function Sources({ caliper, cohortId, onFile }: SourcesProps) {
  const file = useRef<HTMLInputElement>(null);
  const demo = useSession().data?.demo ?? false;
  if (caliper.listening)
    return (
      <button type="button" className="btn btn-neutral justify-self-start" onClick={caliper.stop}>
        Listening; stop
      </button>
    );
  return (
    <div className="flex flex-wrap gap-2">
      {hasSerial() && (
        <button type="button" className={PLAIN} onClick={() => void caliper.toPort()}>
          Caliper on a cable
        </button>
      )}
      {demo && (
        <button type="button" className={PLAIN} onClick={() => caliper.toAddress(simulatedCaliper(cohortId))}>
          Simulated caliper
        </button>
      )}
      <button type="button" className={PLAIN} onClick={() => file.current?.click()}>
        From a file
      </button>
      <input
        ref={file}
        type="file"
        accept=".csv,.txt,text/csv,text/plain"
        className="hidden"
        aria-label="A file of sizes"
        onChange={(e) => {
          void e.target.files?.[0]?.text().then(onFile);
          e.target.value = '';
        }}
      />
    </div>
  );
}

/** Faults of a file in a line: the first few, and how many more. */
function faultsWords({ values, faults }: ReturnType<typeof readColumn>): string | null {
  if (faults.length === 0) return values.length === 0 ? 'No size in that file.' : null;
  const more = faults.length > 3 ? ` and ${faults.length - 3} more` : '';
  return `${faults.slice(0, 3).join('; ')}${more}`;
}

/** Calipers one plant after another: by keys or a tool that types, a tool that is listened to, or a file. */
export function Column({ cohortId, plants, typed, onChange }: Props) {
  const [fault, setFault] = useState<string | null>(null);
  const values = typedLengths(typed).filter((mm) => mm > 0);
  const put = (all: readonly number[]) => onChange(all.map((mm) => measureText(mm)).join(' '));
  const add = (mm: number) => put([...values, mm]);
  const caliper = useCaliper(add);
  const told = fault ?? caliper.trouble;
  return (
    <details className="border-y border-base-300 sm:col-span-2">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        One after another, from a caliper or a file
      </summary>
      <div className="grid gap-3 pb-4">
        <Next onAdd={add} onFault={setFault} />
        <p role="status" className="tabular-nums">
          {sampleSoFar(values, plants)}
        </p>
        <SoFar values={values} onOut={(place) => put(values.filter((_, k) => k !== place))} />
        <Sources
          caliper={caliper}
          cohortId={cohortId}
          onFile={(text) => {
            const column = readColumn(text, unitSystem());
            setFault(faultsWords(column));
            put([...values, ...column.values]);
          }}
        />
        {told && (
          <p role="alert" className="font-semibold text-error">
            {told}
          </p>
        )}
      </div>
    </details>
  );
}
