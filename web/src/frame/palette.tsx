import { useCombobox } from 'downshift';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { CohortRow } from '@gonimos/contract/cohorts';
import { taxon } from '@gonimos/core/taxa';
import { useRegister } from '../cohorts/queries';
import { countWords } from '../common/words';
import { narrowed, type Choice } from '../common/pick';
import { WAYS } from './ways';

/** Something that can be gone to or done by its name. */
interface Found extends Choice {
  go: string;
}

const MOST = 12;

const DEEDS: readonly Found[] = [
  ...WAYS.map((w) => ({ id: w.to, name: w.name, more: 'page', go: w.to })),
  { id: 'new', name: 'New cohort', more: 'start', go: '/cohorts/new' },
  { id: 'import', name: 'Import a notebook', more: 'start', go: '/cohorts/import' },
  { id: 'seed', name: 'Seed lots', more: 'start', go: '/propagation/seed' },
  { id: 'layers', name: 'Air layers', more: 'start', go: '/propagation/layers' },
  { id: 'compare', name: 'Compare years', more: 'page', go: '/propagation/compare' },
  { id: 'on', name: 'What is on the plants', more: 'page', go: '/fittings' },
  { id: 'meanwhile', name: 'What happened meanwhile', more: 'page', go: '/meanwhile' },
];

const ofCohort = (c: CohortRow): Found => ({
  id: c.id,
  name: `${c.code} ${taxon(c.taxonId).name}`,
  more: countWords(c),
  go: `/cohorts/${c.id}`,
});

/** Finds a cohort, a page or a deed by its name, and goes there. */
export function Palette({ onClose }: { onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  const cohorts = useRegister().data;
  const go = useNavigate();
  const [typed, setTyped] = useState('');
  const all = useMemo(() => [...DEEDS, ...(cohorts ?? []).map(ofCohort)], [cohorts]);
  const items = useMemo(() => narrowed(all, typed).slice(0, MOST), [all, typed]);
  useEffect(() => {
    dialog.current?.showModal();
  }, []);
  const choose = (found: Found) => {
    onClose();
    void go(found.go);
  };
  const box = useCombobox({
    items,
    isOpen: true,
    defaultHighlightedIndex: 0,
    itemToString: (f) => f?.name ?? '',
    onInputValueChange: ({ inputValue }) => setTyped(inputValue),
    onSelectedItemChange: ({ selectedItem }) => selectedItem && choose(selectedItem),
  });
  // entered before the list was there: the first of it is meant, as soon as it comes
  const [entered, setEntered] = useState(false);
  useEffect(() => {
    if (entered && items.length > 0) choose(items[0]);
  });
  return (
    <dialog
      ref={dialog}
      className="mx-auto mt-[12vh] w-[min(36rem,94vw)] rounded-box bg-base-100 p-0 text-base-content backdrop:bg-black/40"
      onCancel={onClose}
      onClick={(e) => e.target === dialog.current && onClose()}
    >
      <label className="block p-3" {...box.getLabelProps()}>
        <span className="sr-only">Find a cohort, a page or something to do</span>
        <input
          className="input w-full"
          placeholder="Code, kind, page or deed"
          {...box.getInputProps({
            autoFocus: true,
            onKeyDown: (e) =>
              e.key === 'Enter' && items[box.highlightedIndex] === undefined && setEntered(true),
            onChange: () => setEntered(false),
          })}
        />
      </label>
      <ul className="max-h-[60vh] overflow-y-auto pb-2" {...box.getMenuProps()}>
        {items.map((f, index) => (
          <li
            key={f.id}
            className={`flex cursor-pointer justify-between gap-4 px-5 py-2 ${box.highlightedIndex === index ? 'bg-[var(--celadon)]' : ''}`}
            {...box.getItemProps({ item: f, index })}
          >
            <span>{f.name}</span>
            <span className="soft">{f.more}</span>
          </li>
        ))}
        {items.length === 0 && <li className="soft px-5 py-2">Nothing of that name.</li>}
      </ul>
    </dialog>
  );
}
