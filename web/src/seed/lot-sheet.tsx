import { typed } from '../common/numbers';
import { newSeedLot, STORAGE } from '@gonimos/contract/seed';
import { taxaByName } from '@gonimos/core/taxa';
import { useRegister } from '../cohorts/queries';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { useAddLot } from './queries';

/** A new seed lot: what, where from, when harvested, how many, how it is kept. */
export function LotSheet({ onClose }: { onClose: () => void }) {
  const add = useAddLot();
  const rows = useRegister().data ?? [];
  const { v, field, faults, submit } = useSheetForm({
    first: {
      name: '',
      taxonId: 'carpinus-betulus',
      source: '',
      parentId: '',
      harvested: '',
      seeds: '',
      price: '',
      handling: '',
      storage: STORAGE[0],
      note: '',
    },
    schema: newSeedLot,
    payload: (x) => ({
      ...x,
      parentId: x.parentId || null,
      seeds: typed(x.seeds),
      price: x.price.trim() === '' ? null : Math.round(100 * typed(x.price)!),
    }),
    write: add,
    done: onClose,
  });
  const text = { className: 'input', autoComplete: 'off' };
  const parents = rows.filter((r) => r.taxonId === v.taxonId);
  return (
    <Sheet title="New seed lot" onClose={onClose}>
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {add.error && <Trouble>{add.error.message}</Trouble>}
        <Field label="Name" hint="as it stands on the bag" error={faults.name}>
          <input {...text} {...field('name')} />
        </Field>
        <Field label="Kind">
          <select className="select" {...field('taxonId')}>
            {taxaByName().map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Source" hint="hedge, tree, seed house" error={faults.source}>
          <input {...text} {...field('source')} />
        </Field>
        {parents.length > 0 && (
          <Field label="Parent" hint="if it stands here" error={faults.parentId}>
            <select className="select" {...field('parentId')}>
              <option value="">none</option>
              {parents.map((r) => (
                <option key={r.id} value={r.id}>
                  {r.code}
                </option>
              ))}
            </select>
          </Field>
        )}
        <div className="grid grid-cols-2 gap-4">
          <Field label="Harvested" hint="2036-10-12, autumn 2036" error={faults.harvested}>
            <input {...text} {...field('harvested')} />
          </Field>
          <Field label="Seeds" hint="as well as you know" error={faults.seeds}>
            <input {...text} inputMode="numeric" {...field('seeds')} />
          </Field>
          <Field label="Kept">
            <select className="select" {...field('storage')}>
              {STORAGE.map((s) => (
                <option key={s}>{s}</option>
              ))}
            </select>
          </Field>
          <Field label="Price" hint="for the lot" error={faults.price}>
            <input {...text} inputMode="decimal" {...field('price')} />
          </Field>
        </div>
        <Field label="Handling" hint="cleaned, dried, floated, scratched" error={faults.handling}>
          <input {...text} {...field('handling')} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={add.isPending}>
          Enter the lot
        </button>
      </form>
    </Sheet>
  );
}
