import { MARKER_WORDS } from '@gonimos/core/course';
import type { Edge, WindowSpec, Windows } from '@gonimos/core/operations';
import { GROWTH_GROUPS, type GrowthGroup } from '@gonimos/core/taxa';
import { useState } from 'react';
import { Field } from '../common/field';
import { NumberInput } from '../common/number-input';

/** What a window of an operation is for, in words. */
export function groupName(g: string): string {
  if (g === 'any') return 'any other kind';
  return g === 'warm' ? 'kinds ruled by warmth' : GROWTH_GROUPS[g as GrowthGroup].name;
}

function EdgeFields({ name, edge, onChange }: { name: string; edge: Edge; onChange: (e: Edge) => void }) {
  const [marker, days] = edge;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_6.5rem] gap-3">
      <Field label={`${name} at`}>
        <select
          className="select"
          value={marker}
          onChange={(e) => onChange([e.target.value as Edge[0], days])}
        >
          {Object.entries(MARKER_WORDS).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Days, ±">
        <NumberInput value={days} onChange={(n) => onChange([marker, n])} />
      </Field>
    </div>
  );
}

/** The numbers of a window that hangs on no marker, with what each is called and its unit. */
const NUMBERS: Record<Exclude<WindowSpec['kind'], 'season'>, [key: string, label: string, unit: string][]> = {
  lag: [
    ['opens', 'From', 'days after the step before'],
    ['closes', 'To', 'days after the step before'],
  ],
  growth: [
    ['opens', 'Once has passed', 'of a growing season'],
    ['days', 'Open for', 'days'],
  ],
  warmth: [
    ['degreeDays', 'Warmth', '°C·d since the step before'],
    ['days', 'Open for', 'days'],
  ],
  cold: [
    ['opens', 'From', 'days after that night, − is before'],
    ['closes', 'To', 'days after that night'],
  ],
  swelling: [
    ['share', 'Swollen by', 'of its thickness, 0 to 1'],
    ['days', 'Opens before', 'days'],
  ],
  tips: [],
};

function OneWindow({ w, onChange }: { w: WindowSpec; onChange: (w: WindowSpec) => void }) {
  if (w.kind === 'season')
    return (
      <div className="grid gap-3 md:grid-cols-2">
        <EdgeFields name="Opens" edge={w.opens} onChange={(opens) => onChange({ ...w, opens })} />
        <EdgeFields name="Closes" edge={w.closes} onChange={(closes) => onChange({ ...w, closes })} />
      </div>
    );
  const numbers = NUMBERS[w.kind].filter(([key]) => typeof w[key as keyof WindowSpec] === 'number');
  if (numbers.length === 0) return <p className="soft">Ruled by the plants alone; nothing to set.</p>;
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      {numbers.map(([key, label, unit]) => (
        <Field key={key} label={label} hint={unit}>
          <NumberInput
            value={w[key as keyof WindowSpec] as unknown as number}
            onChange={(n) => onChange({ ...w, [key]: n })}
          />
        </Field>
      ))}
    </div>
  );
}

interface Props {
  value: Windows;
  onChange: (next: Windows) => void;
  faults: Record<string, string>;
}

/** Windows of an operation by growth group: the group's own, or that of any other kind. */
export function WindowFields({ value, onChange, faults }: Props) {
  const [more, setMore] = useState('');
  const groups = Object.keys(value) as (keyof Windows)[];
  const left = [...Object.keys(GROWTH_GROUPS), 'warm', 'any'].filter(
    (g) => !groups.includes(g as keyof Windows),
  );
  const without = (group: keyof Windows) => {
    const { [group]: _gone, ...rest } = value;
    onChange(rest);
  };
  return (
    <div className="grid gap-3">
      <p className="soft text-sm">Days are counted from the marker, with a minus before it.</p>
      {groups.map((g) => (
        <fieldset key={g} className="card-plain grid gap-2 p-4">
          <legend className="sr-only">Window for {groupName(g)}</legend>
          <div className="flex items-center justify-between gap-3">
            <p className="font-semibold first-letter:uppercase">{groupName(g)}</p>
            {groups.length > 1 && (
              <button type="button" className="btn btn-ghost btn-sm" onClick={() => without(g)}>
                Take out
              </button>
            )}
          </div>
          <OneWindow w={value[g]!} onChange={(w) => onChange({ ...value, [g]: w })} />
          {Object.entries(faults)
            .filter(([path]) => path.startsWith(`edit.windows.${g}`))
            .map(([path, reason]) => (
              <p key={path} className="text-sm font-semibold text-error">
                This window {reason}
              </p>
            ))}
        </fieldset>
      ))}
      {left.length > 0 && (
        <Field label="A window of their own for" className="max-w-sm">
          <select
            className="select"
            value={more}
            onChange={(e) => {
              const g = e.target.value as keyof Windows;
              setMore('');
              onChange({ ...value, [g]: structuredClone(value.any ?? value[groups[0]]!) });
            }}
          >
            <option value="">choose kinds</option>
            {left.map((g) => (
              <option key={g} value={g}>
                {groupName(g)}
              </option>
            ))}
          </select>
        </Field>
      )}
    </div>
  );
}
