import { useState } from 'react';
import type { Round } from '@gonimos/contract/round';
import { arrival } from '@gonimos/contract/stock';
import { container } from '@gonimos/core/containers';
import { shortDate } from '../common/dates';
import { DayInput } from '../common/day-input';
import { Field, Trouble } from '../common/field';
import { typed } from '../common/numbers';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { useArrival } from './queries';

type Expected = Round['arrivals'][number];
const ACT = 'btn btn-sm min-h-11 border-base-content/40 bg-transparent lg:min-h-9';

/** Fewer came, or none: how many, and when the rest comes. */
function ArrivalSheet({
  expected: e,
  today,
  onClose,
}: {
  expected: Expected;
  today: string;
  onClose: () => void;
}) {
  const say = useArrival();
  const { field, day, faults, submit } = useSheetForm({
    first: { came: '0', rest: '' },
    schema: arrival,
    payload: (v) => ({
      container: e.container,
      version: e.version,
      came: typed(v.came),
      rest: v.rest || null,
    }),
    write: say,
    done: onClose,
  });
  return (
    <Sheet
      title={container(e.container).name}
      sub={`${e.arriving} were to arrive ${shortDate(e.arrives, today)}`}
      onClose={onClose}
    >
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {say.error && <Trouble>{say.error.message}</Trouble>}
        <Field label="Came" error={faults.came}>
          <input className="input" inputMode="numeric" {...field('came')} />
        </Field>
        <Field label="The rest comes" hint="empty: it does not come" error={faults.rest}>
          <DayInput min={today} {...day('rest')} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={say.isPending}>
          Put them on the shelf
        </button>
      </form>
    </Sheet>
  );
}

/** Deliveries whose day has come wait for a word: they are not on the shelf before it. */
export function Arrivals({ arrivals, today }: { arrivals: readonly Expected[]; today: string }) {
  const say = useArrival();
  const [open, setOpen] = useState<Expected | null>(null);
  if (arrivals.length === 0) return null;
  return (
    <section aria-label="Deliveries">
      <h2 className="mb-1 text-lg">Did they come?</h2>
      {say.error && <Trouble>{say.error.message}</Trouble>}
      <ul className="divide-y divide-base-300">
        {arrivals.map((e) => (
          <li key={e.container} className="py-2">
            <strong>{e.arriving}</strong> {container(e.container).name}
            <span className="soft"> for {shortDate(e.arrives, today)}</span>
            <span className="no-print mt-1 flex gap-2">
              <button
                type="button"
                className={ACT}
                disabled={say.isPending}
                onClick={() =>
                  say.mutate({ container: e.container, version: e.version, came: e.arriving, rest: null })
                }
              >
                All came<span className="sr-only">: {container(e.container).name}</span>
              </button>
              <button type="button" className={ACT} onClick={() => setOpen(e)}>
                Not all<span className="sr-only">: {container(e.container).name}</span>
              </button>
            </span>
          </li>
        ))}
      </ul>
      {open && <ArrivalSheet expected={open} today={today} onClose={() => setOpen(null)} />}
    </section>
  );
}
