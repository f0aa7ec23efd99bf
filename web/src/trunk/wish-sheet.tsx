import { useState, type ReactNode } from 'react';
import { containers } from '@gonimos/core/containers';
import { bornBy, faultsOf, METHODS, type LabStart, type Wish } from '@gonimos/core/lab';
import { percent } from '@gonimos/core/words';
import { Field, Trouble } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { Sheet } from '../common/sheet';
import { unit } from '../common/units';

interface Props {
  wish: Wish;
  letter: string;
  start: LabStart;
  seasons: number;
  onKeep: (w: Wish) => void;
  /** null: it is the last one */
  onDrop: (() => void) | null;
  onClose: () => void;
}

const PRUNE_WORDS = { none: 'let grow', lightly: 'lightly', hard: 'hard' };

function Pots({ wish, set, start }: { wish: Wish; set: (w: Partial<Wish>) => void; start: LabStart }) {
  const change = (i: number, p: Partial<Wish['pots'][number]>) =>
    set({ pots: wish.pots.map((x, k) => (k === i ? { ...x, ...p } : x)) });
  return (
    <fieldset className="grid gap-2">
      <legend className="mb-1 font-semibold">Moves, each in spring</legend>
      {wish.pots.map((p, i) => (
        <div key={i} className="grid grid-cols-[6rem_minmax(0,1fr)_auto] gap-2">
          <NumberInput
            aria-label={`Year of move ${i + 1}`}
            value={p.year}
            onChange={(year) => change(i, { year })}
          />
          <select
            className="select"
            aria-label={`Into, move ${i + 1}`}
            value={p.container}
            onChange={(e) => change(i, { container: e.target.value })}
          >
            {containers()
              .filter((c) => !c.shared)
              .map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
          </select>
          <button
            type="button"
            className="btn btn-ghost border border-base-300"
            onClick={() => set({ pots: wish.pots.filter((_, k) => k !== i) })}
          >
            Take out<span className="sr-only"> move {i + 1}</span>
          </button>
        </div>
      ))}
      <button
        type="button"
        className="btn btn-ghost justify-self-start border border-base-300"
        onClick={() =>
          set({
            pots: [
              ...wish.pots,
              { year: (wish.pots.at(-1)?.year ?? start.year - 1) + 1, container: 'basket-32' },
            ],
          })
        }
      >
        Another move
      </button>
    </fieldset>
  );
}

interface PartProps {
  w: Wish;
  set: (w: Partial<Wish>) => void;
  /** the first spring */
  year: number;
  fault: (field: string) => string | undefined;
}

interface MayProps {
  words: string;
  done: boolean;
  onChange: (done: boolean) => void;
  children: ReactNode;
}

/** Something that may be part of a course; its figures are asked for once it is. */
function May({ words, done, onChange, children }: MayProps) {
  return (
    <fieldset className="grid gap-3">
      <label className="flex min-h-11 items-center gap-3 font-semibold">
        <input
          type="checkbox"
          className="checkbox"
          checked={done}
          onChange={(e) => onChange(e.target.checked)}
        />
        {words}
      </label>
      {done && <div className="grid grid-cols-2 gap-3">{children}</div>}
    </fieldset>
  );
}

interface HeightProps {
  label: string;
  value: number;
  error: string | undefined;
  onChange: (mm: number) => void;
}

const Height = ({ label, value, error, onChange }: HeightProps) => (
  <Field label={label} hint={`${unit('length')} above the base`} error={error}>
    <MeasureInput quantity="length" value={value} onChange={(mm) => onChange(mm ?? NaN)} />
  </Field>
);

function Sacrifice({ w, set, year, fault }: PartProps) {
  const s = w.sacrifice;
  return (
    <May
      words="A sacrifice is left to grow"
      done={s !== null}
      onChange={(done) =>
        set({ sacrifice: done ? { from: year, to: year + 4, height: 60, foliage: 0.5 } : null })
      }
    >
      {s && (
        <>
          <Field label="From" error={fault('sacrifice.from')}>
            <NumberInput value={s.from} onChange={(from) => set({ sacrifice: { ...s, from } })} />
          </Field>
          <Field label="Off in" error={fault('sacrifice.to')}>
            <NumberInput value={s.to} onChange={(to) => set({ sacrifice: { ...s, to } })} />
          </Field>
          <Height
            label="Height"
            value={s.height}
            error={fault('sacrifice.height')}
            onChange={(height) => set({ sacrifice: { ...s, height } })}
          />
          <Field label="Foliage" hint="% of a natural crown" error={fault('sacrifice.foliage')}>
            <NumberInput
              value={Math.round(s.foliage * 100)}
              onChange={(n) => set({ sacrifice: { ...s, foliage: n / 100 } })}
            />
          </Field>
        </>
      )}
    </May>
  );
}

function Chop({ w, set, year, fault }: PartProps) {
  const c = w.chop;
  return (
    <May
      words="The trunk is chopped"
      done={c !== null}
      onChange={(done) => set({ chop: done ? { year: year + 3, height: 150 } : null })}
    >
      {c && (
        <>
          <Field label="In" error={fault('chop.year')}>
            <NumberInput value={c.year} onChange={(year) => set({ chop: { ...c, year } })} />
          </Field>
          <Height
            label="At"
            value={c.height}
            error={fault('chop.height')}
            onChange={(height) => set({ chop: { ...c, height } })}
          />
        </>
      )}
    </May>
  );
}

function Ways({ w, set, start }: Pick<PartProps, 'w' | 'set'> & { start: LabStart }) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Ways of thickening besides</legend>
      {METHODS.filter((m) => bornBy(m.id, start)).map((m) => (
        <label key={m.id} className="flex min-h-11 items-start gap-3 py-1.5">
          <input
            type="checkbox"
            className="checkbox mt-0.5"
            checked={w.methods.includes(m.id)}
            onChange={(e) =>
              set({
                methods: e.target.checked ? [...w.methods, m.id] : w.methods.filter((x) => x !== m.id),
              })
            }
          />
          <span>
            {m.name}
            <span className="soft block text-sm">
              {m.words}; {m.works === 'base' ? 'swelling of the base' : 'wood of the year'}{' '}
              {percent(m.p10 - 1)} to {percent(m.p90 - 1)} more, {m.basis}
              {m.weak && ', weak'}
            </span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}

/** One course: where it stands, what is cut, what feeds it, and what is tried besides. */
export function WishSheet({ wish, letter, start, seasons, onKeep, onDrop, onClose }: Props) {
  const [w, setW] = useState(wish);
  const set = (p: Partial<Wish>) => setW({ ...w, ...p });
  const faults = faultsOf(w, start, seasons);
  const fault = (field: string) => faults.find((f) => f.field === field)?.text;
  const others = faults.filter((f) => f.field.startsWith('pots'));
  return (
    <Sheet
      title={`Course ${letter}`}
      onClose={onClose}
      foot={
        <button
          type="button"
          className="btn btn-primary btn-tall w-full"
          disabled={faults.length > 0}
          onClick={() => onKeep(w)}
        >
          Grow it
        </button>
      }
    >
      <div className="grid gap-5">
        <Field label="Name">
          <input
            className="input"
            value={w.name}
            maxLength={60}
            onChange={(e) => set({ name: e.target.value })}
          />
        </Field>
        <Pots wish={w} set={set} start={start} />
        {others.map((f) => (
          <Trouble key={f.field}>A move {f.text}.</Trouble>
        ))}
        <Field label="Cut back each winter">
          <select
            className="select"
            value={w.prune}
            onChange={(e) => set({ prune: e.target.value as Wish['prune'] })}
          >
            {Object.entries(PRUNE_WORDS).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        </Field>
        <Sacrifice w={w} set={set} year={start.year} fault={fault} />
        <Chop w={w} set={set} year={start.year} fault={fault} />
        {(w.chop ?? w.sacrifice) && (
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="checkbox"
              checked={w.carve ?? false}
              onChange={(e) => set({ carve: e.target.checked })}
            />
            Scars are carved into features a year later, half an hour each
          </label>
        )}
        <Ways w={w} set={set} start={start} />
        <div className="bg-[var(--slip)] px-4 py-3">
          <strong>Mind:</strong> Saws and shears: cut away from the hand, gloves and eye protection on. Big
          pots: two people or a lift. Local rules come first.
        </div>
        {onDrop && (
          <button type="button" className="btn btn-ghost border border-base-300" onClick={onDrop}>
            Take this course out
          </button>
        )}
      </div>
    </Sheet>
  );
}
