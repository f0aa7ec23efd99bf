import { useCombobox } from 'downshift';
import { useId, useMemo, useState } from 'react';

/** One of a long list. */
export interface Choice {
  id: string;
  name: string;
  /** beside the name, as a count or a code; searched too */
  more?: string;
}

interface Props {
  label: string;
  choices: readonly Choice[];
  /** id of what is chosen; '' for none */
  value: string;
  onChoose: (id: string) => void;
  error?: string | undefined;
  hint?: string | undefined;
  placeholder?: string;
}

const MOST = 60;

/** Choices that hold every word typed, in any order; those that begin with it first. */
export function narrowed<C extends Choice>(choices: readonly C[], typed: string): C[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const text = (c: C) => `${c.name} ${c.more ?? ''}`.toLowerCase();
  const hit = choices.filter((c) => words.every((w) => text(c).includes(w)));
  const rank = (c: C) => (words.length > 0 && text(c).startsWith(words[0]) ? 0 : 1);
  return hit.sort((a, b) => rank(a) - rank(b)).slice(0, MOST);
}

/** A field in which one of a long list is found by typing some of its name. */
export function Pick({ label, choices, value, onChoose, error, hint, placeholder }: Props) {
  const chosen = choices.find((c) => c.id === value) ?? null;
  const [typed, setTyped] = useState('');
  const more = useId();
  const items = useMemo(() => narrowed(choices, typed), [choices, typed]);
  const box = useCombobox({
    items,
    selectedItem: chosen,
    itemToString: (c) => c?.name ?? '',
    onInputValueChange: ({ inputValue, type }) =>
      // a list that is opened again begins whole
      setTyped(type === useCombobox.stateChangeTypes.InputChange ? inputValue : ''),
    onSelectedItemChange: ({ selectedItem }) => onChoose(selectedItem?.id ?? ''),
    stateReducer: (state, { type, changes }) =>
      // left without a choice, the field says what is chosen
      type === useCombobox.stateChangeTypes.InputBlur
        ? { ...changes, inputValue: state.selectedItem?.name ?? '' }
        : changes,
  });
  return (
    <div className="relative min-w-0">
      <label className="mb-1 block font-semibold" {...box.getLabelProps()}>
        {label}
      </label>
      <input
        className="input w-full"
        placeholder={placeholder}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? more : undefined}
        {...box.getInputProps({ onFocus: (e) => e.currentTarget.select() })}
      />
      <ul
        className={`absolute inset-x-0 z-20 mt-1 max-h-72 overflow-y-auto rounded-box border border-base-300 bg-base-100 py-1 shadow-lg ${box.isOpen ? '' : 'hidden'}`}
        {...box.getMenuProps()}
      >
        {box.isOpen &&
          items.map((c, index) => (
            <li
              key={c.id}
              className={`flex min-h-11 cursor-pointer items-center justify-between gap-3 px-3 ${box.highlightedIndex === index ? 'bg-[var(--celadon)]' : ''} ${c.id === value ? 'font-semibold' : ''}`}
              {...box.getItemProps({ item: c, index })}
            >
              <span>{c.name}</span>
              {c.more && <span className="soft text-sm">{c.more}</span>}
            </li>
          ))}
        {box.isOpen && items.length === 0 && <li className="soft px-3 py-2">Nothing of that name.</li>}
      </ul>
      {(error || hint) && (
        <p id={more} className={`mt-1 text-sm ${error ? 'font-semibold text-error' : 'soft'}`}>
          {error ? `${label} ${error}` : hint}
        </p>
      )}
    </div>
  );
}
