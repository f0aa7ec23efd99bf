import { typed } from '../common/numbers';
import { newTray, type Trays } from '@gonimos/contract/trays';
import { TRAY_SIZES } from '@gonimos/core/trays';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { useAddTray } from './queries';

interface Props {
  cohortId: string;
  trays: Trays;
  onClose: () => void;
}

/** A tray of any size, its first cells filled with what lies in no tray yet. */
export function NewTray({ cohortId, trays, onClose }: Props) {
  const add = useAddTray(cohortId);
  const free = trays.ledger.pending > 0 ? trays.outside.seed : trays.outside.plants;
  const { set, field, faults, submit } = useSheetForm({
    first: {
      name: String.fromCharCode(65 + Math.min(25, trays.trays.length)),
      rows: '7',
      columns: '15',
      fill: String(Math.max(0, Math.min(105, free))),
    },
    schema: newTray,
    payload: (x) => ({
      name: x.name.trim(),
      rows: typed(x.rows),
      columns: typed(x.columns),
      fill: typed(x.fill),
    }),
    write: add,
    done: onClose,
  });
  return (
    <Sheet
      title="A tray"
      sub={`${free} ${trays.ledger.pending > 0 ? 'seeds' : 'plants'} in no tray yet`}
      onClose={onClose}
    >
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {add.error && <Trouble>{add.error.message}</Trouble>}
        <Field label="Name" error={faults.name}>
          <input className="input" autoComplete="off" {...field('name')} />
        </Field>
        <div className="flex flex-wrap gap-2" role="group" aria-label="Usual sizes">
          {TRAY_SIZES.map(([rows, columns]) => (
            <button
              key={`${rows} ${columns}`}
              type="button"
              className="btn btn-outline"
              onClick={() =>
                set({
                  rows: String(rows),
                  columns: String(columns),
                  fill: String(Math.min(rows * columns, free)),
                })
              }
            >
              {rows} × {columns}
            </button>
          ))}
        </div>
        <div className="grid grid-cols-3 gap-4">
          <Field label="Rows" error={faults.rows}>
            <input className="input" inputMode="numeric" {...field('rows')} />
          </Field>
          <Field label="Columns" error={faults.columns}>
            <input className="input" inputMode="numeric" {...field('columns')} />
          </Field>
          <Field label="Filled" error={faults.fill ?? faults.size}>
            <input className="input" inputMode="numeric" {...field('fill')} />
          </Field>
        </div>
        {faults[''] && <Trouble>{faults['']}</Trouble>}
        <button className="btn btn-primary btn-tall" disabled={add.isPending}>
          Add the tray
        </button>
      </form>
    </Sheet>
  );
}
