import { useState } from 'react';
import { saveContainer, type SaveContainer } from '@gonimos/contract/own';
import {
  container,
  CONTAINERS,
  containerFaults,
  containers,
  FINISHES,
  kindOf,
  type ContainerKind,
  type PotLook,
} from '@gonimos/core/containers';
import { newId } from '../common/api';
import { faultsOf } from '../common/check';
import { Field, Trouble } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { Sheet } from '../common/sheet';
import { length, unit, volume } from '../common/units';
import { useMay } from '../people/session';
import { useOwnLibrary } from '../library/queries';
import { useSavePot } from './queries';

type Measures = SaveContainer['edit'];

const WALL_WORDS: Record<Measures['wall'], string> = {
  smooth: 'smooth: roots circle',
  'air-pruning': 'air-pruning: tips dry off, and branch',
  grooved: 'grooved: roots are led down',
  porous: 'porous clay: dries fast',
};
const FIRST: Measures = {
  name: '',
  wall: 'smooth',
  shape: 'round',
  rim: [200, 200],
  base: [160, 160],
  depth: 150,
  shared: false,
  look: null,
};

type Size = 'rim' | 'base';

interface SidesProps {
  edit: Measures;
  fault: (field: string) => string | undefined;
  onSize: (which: Size, side: 0 | 1, mm: number) => void;
}

/** Inside measures at rim and base: one across for a round pot, length and width for a box. */
function Sides({ edit, fault, onSize }: SidesProps) {
  const round = edit.shape === 'round';
  const input = (which: Size, side: 0 | 1, label: string) => (
    <Field label={label} hint={unit('length')} error={fault(`${which}[${side}]`)}>
      <MeasureInput
        quantity="length"
        value={edit[which][side]}
        onChange={(mm) => onSize(which, side, mm ?? NaN)}
      />
    </Field>
  );
  return (
    <div className="grid grid-cols-2 gap-4">
      {input('rim', 0, round ? 'Across the rim, inside' : 'Length at the rim, inside')}
      {!round && input('rim', 1, 'Width at the rim')}
      {input('base', 0, round ? 'Across the base' : 'Length at the base')}
      {!round && input('base', 1, 'Width at the base')}
    </div>
  );
}

interface LookProps {
  look: PotLook | null;
  onChange: (look: PotLook | null) => void;
  error: string | undefined;
}

/** Colour and finish of a pot that is chosen by eye. */
function Look({ look, onChange, error }: LookProps) {
  return (
    <div className="grid gap-3">
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="checkbox"
          checked={look !== null}
          onChange={(e) => onChange(e.target.checked ? { colour: '', finish: 'unglazed' } : null)}
        />
        To be looked at with its tree
      </label>
      {look && (
        <div className="grid grid-cols-2 gap-4">
          <Field label="Colour" error={look.colour ? error : undefined}>
            <input
              className="input"
              maxLength={40}
              value={look.colour}
              onChange={(e) => onChange({ ...look, colour: e.target.value })}
            />
          </Field>
          <Field label="Finish">
            <select
              className="select"
              value={look.finish}
              onChange={(e) => onChange({ ...look, finish: e.target.value as PotLook['finish'] })}
            >
              {FINISHES.map((f) => (
                <option key={f}>{f}</option>
              ))}
            </select>
          </Field>
        </div>
      )}
    </div>
  );
}

interface SheetProps {
  /** the version it goes on from; null: a new one */
  own: { id: string; version: number; kind: ContainerKind } | null;
  onClose: () => void;
}

function PotSheet({ own, onClose }: SheetProps) {
  const save = useSavePot();
  const [key] = useState(() => own?.id ?? `own-pot-${newId().slice(0, 8)}`);
  const [edit, setEdit] = useState<Measures>(() => {
    if (!own) return FIRST;
    const { id: _id, litres: _litres, ...measures } = own.kind;
    return measures as Measures;
  });
  const set = (more: Partial<Measures>) => setEdit({ ...edit, ...more });
  const payload = { ownId: key, like: CONTAINERS[0].id, basedOn: own?.version ?? 0, edit };
  const typed = faultsOf(saveContainer, payload);
  const whole = Object.keys(typed).length === 0 ? containerFaults(edit) : [];
  const fault = (field: string) =>
    typed[`edit.${field}`] ?? whole.find((f) => f.field === field)?.text ?? save.faults[`edit.${field}`];
  const sound = Object.keys(typed).length === 0 && whole.length === 0;
  const onSize = (which: Size, side: 0 | 1, mm: number) => {
    const now: [number, number] = [...edit[which]];
    now[side] = mm;
    // a round pot is as wide as it is long
    if (edit.shape === 'round') now[1] = mm;
    set({ [which]: now });
  };
  const shape = (to: Measures['shape']) =>
    set(
      to === 'round'
        ? { shape: to, rim: [edit.rim[0], edit.rim[0]], base: [edit.base[0], edit.base[0]] }
        : { shape: to },
    );
  return (
    <Sheet
      title={own ? own.kind.name : 'A pot of your own'}
      onClose={onClose}
      foot={
        <button
          type="button"
          className="btn btn-primary btn-tall w-full"
          disabled={!sound || save.isPending}
          onClick={() => save.mutate(payload, { onSuccess: onClose })}
        >
          Keep this pot
        </button>
      }
    >
      <div className="grid gap-5">
        {save.error && <Trouble>{save.error.message}</Trouble>}
        <Field label="Name" error={edit.name ? fault('name') : undefined}>
          <input
            className="input"
            maxLength={60}
            value={edit.name}
            onChange={(e) => set({ name: e.target.value })}
          />
        </Field>
        <div className="grid grid-cols-2 gap-4">
          <Field label="Wall">
            <select
              className="select"
              value={edit.wall}
              onChange={(e) => set({ wall: e.target.value as Measures['wall'] })}
            >
              {Object.entries(WALL_WORDS).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          </Field>
          <Field label="Shape">
            <select
              className="select"
              value={edit.shape}
              onChange={(e) => shape(e.target.value as Measures['shape'])}
            >
              <option value="round">round</option>
              <option value="box">four-sided</option>
            </select>
          </Field>
        </div>
        <Sides key={edit.shape} edit={edit} fault={fault} onSize={onSize} />
        <Field label="Depth, inside" hint={unit('length')} error={fault('depth')}>
          <MeasureInput quantity="length" value={edit.depth} onChange={(mm) => set({ depth: mm ?? NaN })} />
        </Field>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="checkbox"
            checked={edit.shared}
            onChange={(e) => set({ shared: e.target.checked })}
          />
          A flat or tray that many plants stand in together
        </label>
        <Look look={edit.look ?? null} onChange={(look) => set({ look })} error={fault('look.colour')} />
        {sound && (
          <p role="status">
            Holds <strong>{volume(kindOf(key, edit).litres)}</strong> to a finger below the rim.
          </p>
        )}
      </div>
    </Sheet>
  );
}

/** Containers of the nursery's own beside the library's. */
export function OwnPots() {
  const own = (useOwnLibrary().data?.own ?? []).filter((o) => o.kind === 'container');
  const may = useMay('grower');
  const [open, setOpen] = useState<SheetProps['own'] | 'new'>(null);
  // of what was kept, that which is in force on this page
  const shown = own.flatMap((o) => {
    const kind = containers().find((c) => c.id === o.id);
    return kind ? [{ ...o, kind }] : [];
  });
  return (
    <section className="mt-8">
      <header className="mb-2 flex items-baseline justify-between gap-3">
        <h2 className="text-xl">Pots of your own</h2>
        {may && (
          <button type="button" className="btn btn-outline" onClick={() => setOpen('new')}>
            A pot of your own
          </button>
        )}
      </header>
      {shown.length === 0 && (
        <p className="soft">
          None yet: measure one, and it can be used wherever the library’s {CONTAINERS.length} can.
        </p>
      )}
      <ul className="card-plain divide-y divide-base-300 empty:hidden">
        {shown.map(({ id, version, kind }) => (
          <li key={id} className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 px-4 py-3">
            <strong className="min-w-48">{kind.name}</strong>
            <span className="soft">
              {kind.wall}, {length(kind.rim[0])}
              {kind.shape === 'box' && ` × ${length(kind.rim[1])}`} at the rim, {length(kind.depth)} deep,{' '}
              {volume(container(id).litres)}
              {kind.look && `, ${kind.look.colour}, ${kind.look.finish}`}
            </span>
            {may && (
              <button
                type="button"
                className="btn btn-ghost border border-base-300"
                onClick={() => setOpen({ id, version, kind })}
              >
                Change<span className="sr-only"> {kind.name}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      {open && <PotSheet own={open === 'new' ? null : open} onClose={() => setOpen(null)} />}
    </section>
  );
}
