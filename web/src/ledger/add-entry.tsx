import { FormDay } from '../common/form-day';
import type { Cohort } from '@gonimos/contract/cohorts';
import { BY_HAND, CAUSES, CULL_REASONS, newEntry } from '@gonimos/contract/ledger';
import { useContractForm } from '../common/contract-form';
import { shortDate } from '../common/dates';
import { typed } from '../common/numbers';
import { Field, Trouble } from '../common/field';
import { Meant } from '../common/meant';
import { Sheet } from '../common/sheet';
import { ENTRY_WORDS } from '../common/words';
import { useAddEntry, useLedger } from './queries';

type ByHand = (typeof BY_HAND)[number];
interface Typed {
  type: ByHand;
  on: string;
  count: string;
  cause: string;
  damageId: string;
  note: string;
  meant: boolean;
}

const isCaused = (type: ByHand): boolean =>
  type === 'lost' || type === 'lost_before_emergence' || type === 'culled';

export function AddEntry({ cohort, today, onClose }: { cohort: Cohort; today: string; onClose: () => void }) {
  const add = useAddEntry(cohort.id);
  const { form, errors, send } = useContractForm({
    first: {
      type: 'lost',
      on: today,
      count: '',
      cause: 'unknown',
      damageId: '',
      note: '',
      meant: false,
    },
    schema: newEntry,
    payload: (v: Typed) => ({
      ...v,
      count: typed(v.count),
      cause: isCaused(v.type) ? v.cause : null,
      damageId: (v.type === 'culled' && v.damageId) || null,
    }),
  });
  const type = form.watch('type');
  const caused = isCaused(type);
  const damages = (useLedger(cohort.id).data ?? []).filter(
    (e) => e.cause && e.reversedBy === null && (e.type === 'lost' || e.type === 'lost_before_emergence'),
  );
  return (
    <Sheet title="Add an entry" sub={`${cohort.code} · ${cohort.live} alive`} onClose={onClose}>
      <form className="grid gap-5" onSubmit={send(add, onClose)} noValidate>
        {(errors.root ?? add.error) && !errors.meant && (
          <Trouble>{(errors.root ?? add.error)?.message}</Trouble>
        )}
        <Field label="What">
          <select className="select" {...form.register('type')}>
            {BY_HAND.map((t) => (
              <option key={t} value={t}>
                {ENTRY_WORDS[t]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Day" error={errors.on?.message}>
          <FormDay form={form} name="on" max={today} />
        </Field>
        <Field label={type === 'recount' ? 'Plants found' : 'How many'} error={errors.count?.message}>
          <input className="input" inputMode="numeric" autoComplete="off" {...form.register('count')} />
        </Field>
        {caused && (
          <Field label={type === 'culled' ? 'Reason' : 'Cause'}>
            <select className="select" {...form.register('cause')}>
              {(type === 'culled' ? CULL_REASONS : CAUSES).map((c) => (
                <option key={c}>{c}</option>
              ))}
            </select>
          </Field>
        )}
        {type === 'culled' && damages.length > 0 && (
          <Field label="Goes back to" hint="the damage they are thrown out for">
            <select className="select" {...form.register('damageId')}>
              <option value="">no damage on record</option>
              {damages.map((d) => (
                <option key={d.id} value={d.id}>
                  {shortDate(d.on, today)}: {d.count} {ENTRY_WORDS[d.type]}, {d.cause}
                </option>
              ))}
            </select>
          </Field>
        )}
        <Field label="Note">
          <input className="input" autoComplete="off" {...form.register('note')} />
        </Field>
        <Meant reason={errors.meant?.message} register={form.register('meant')} />
        <button className="btn btn-primary btn-tall" disabled={add.isPending}>
          Add
        </button>
      </form>
    </Sheet>
  );
}
