import { DayInput } from '../common/day-input';
import { typed } from '../common/numbers';
import { newSeedEvent, SEED_EVENTS, type SeedLot } from '@gonimos/contract/seed';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { useSeedEvent } from './queries';

const EVENT_WORDS: Record<(typeof SEED_EVENTS)[number], string> = {
  test: 'Tested for soundness',
  soaked: 'Soaked',
  'to warm': 'Put to warm',
  'to cold': 'Put to cold',
  out: 'Taken out',
  'thrown away': 'Thrown away',
};

/** What was done with a seed lot; kept as it was told. */
export function EventSheet({ lot, today, onClose }: { lot: SeedLot; today: string; onClose: () => void }) {
  const tell = useSeedEvent(lot.id);
  const { v, field, day, faults, submit } = useSheetForm({
    first: { kind: 'to cold', on: today, tested: '', sound: '', seeds: '', note: '' },
    schema: newSeedEvent,
    payload: (x) => {
      const tests = x.kind === 'test';
      return {
        kind: x.kind,
        on: x.on,
        note: x.note,
        seeds: tests ? null : (typed(x.seeds) ?? null),
        tested: tests ? (typed(x.tested) ?? null) : null,
        sound: tests ? (typed(x.sound) ?? null) : null,
      };
    },
    write: tell,
    done: onClose,
  });
  const test = v.kind === 'test';
  return (
    <Sheet title={lot.name} sub={`${lot.left} of ${lot.seeds} left`} onClose={onClose}>
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {tell.error && <Trouble>{tell.error.message}</Trouble>}
        {faults[''] && <Trouble>{faults['']}</Trouble>}
        <Field label="What">
          <select className="select" {...field('kind')}>
            {SEED_EVENTS.map((k) => (
              <option key={k} value={k}>
                {EVENT_WORDS[k]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Day" error={faults.on}>
          <DayInput max={today} {...day('on')} />
        </Field>
        {test ? (
          <div className="grid grid-cols-2 gap-4">
            <Field label="Seeds tried" hint="cut, floated or sprouted" error={faults.tested}>
              <input className="input" inputMode="numeric" {...field('tested')} />
            </Field>
            <Field label="Sound" error={faults.sound}>
              <input className="input" inputMode="numeric" {...field('sound')} />
            </Field>
          </div>
        ) : (
          <Field label="Seeds" hint="empty: all of them" error={faults.seeds}>
            <input className="input" inputMode="numeric" {...field('seeds')} />
          </Field>
        )}
        <Field label="Note">
          <input className="input" autoComplete="off" {...field('note')} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={tell.isPending}>
          Note it
        </button>
      </form>
    </Sheet>
  );
}
