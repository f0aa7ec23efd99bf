import { useState } from 'react';
import type { RootRecord } from '@gonimos/core/roots';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { pastedRoots, type Act } from './drawing';

/** Roots out of a list that was written elsewhere. */
export function PasteSheet({
  record,
  act,
  onClose,
}: {
  record: RootRecord;
  act: (a: Act) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState('');
  const { roots, faults } = pastedRoots(text, record);
  return (
    <Sheet title="Roots from a list" sub="one root a line" onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          if (roots.length === 0 || faults.length > 0) return;
          act({ do: 'record', record: { ...record, roots: [...record.roots, ...roots] } });
          onClose();
        }}
      >
        <Field
          label="Lines"
          hint="direction °, thickness mm, length mm; then height mm and slope ° if wanted"
        >
          <textarea
            className="textarea font-mono"
            rows={10}
            value={text}
            onChange={(e) => setText(e.target.value)}
            placeholder={'12, 4, 55\n80, 3.5, 40, -2, 15'}
          />
        </Field>
        {faults.length > 0 && <Trouble>{faults.slice(0, 4).join('; ')}</Trouble>}
        <button className="btn btn-primary btn-tall" disabled={roots.length === 0 || faults.length > 0}>
          Add {roots.length === 1 ? '1 root' : `${roots.length} roots`}
        </button>
      </form>
    </Sheet>
  );
}
