import { DayInput } from '../common/day-input';
import { percent } from '@gonimos/core/words';
import { newLayerEvent, type Layer } from '@gonimos/contract/layers';
import { containers } from '@gonimos/core/containers';
import { BASE_SPLIT, LAYER_EVENTS, mayFollow } from '@gonimos/core/layers';
import { PlaceOptions } from '../nursery/place-options';
import { readable } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { Decision } from './layer-card';
import { useLayerEvent } from './queries';
import { findSpeaks, FindOptions } from './find-options';
import { EVENT_WORDS } from './words';
import { length } from '../common/units';

interface Props {
  layer: Layer;
  today: string;
  onClose: () => void;
}

/** Events in which something is seen of the roots. */
const LOOKS: ReadonlySet<string> = new Set(['looked', 'rewrapped', 'failed', 'opened', 'severed']);

/** What is seen and done on a layer today. */
export function EventSheet({ layer, today, onClose }: Props) {
  const tell = useLayerEvent(layer.cohortId);
  const kinds = LAYER_EVENTS.filter((k) => mayFollow(layer.state, k));
  const { v, set, field, day, faults, submit } = useSheetForm({
    first: {
      kind: kinds[0],
      on: today,
      found: '',
      note: '',
      split: false,
      container: layer.pot?.id ?? 'basket-25',
      placeId: '',
    },
    schema: newLayerEvent,
    payload: (x) => {
      const cut = x.kind === 'severed';
      return {
        kind: x.kind,
        on: x.on,
        note: x.note,
        split: cut && x.split,
        found: LOOKS.has(x.kind) && x.found ? x.found : null,
        container: cut ? x.container : null,
        placeId: cut && x.placeId ? x.placeId : null,
      };
    },
    write: tell,
    done: onClose,
  });
  const looks = LOOKS.has(v.kind);
  const severs = v.kind === 'severed';
  const late = v.kind === 'opened' && layer.decision?.verdict === 'single';
  return (
    <Sheet title={layer.code} sub={`${layer.stem}, ${length(layer.height)} up`} onClose={onClose}>
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {layer.state.stage !== 'severed' && <Decision layer={layer} today={today} />}
        {tell.error && Object.keys(tell.faults).length === 0 && <Trouble>{tell.error.message}</Trouble>}
        <Field label="What" error={faults.kind}>
          <select className="select" {...field('kind')}>
            {kinds.map((k) => (
              <option key={k} value={k}>
                {EVENT_WORDS[k]}
              </option>
            ))}
          </select>
        </Field>
        {late && (
          <p className="rounded-box bg-[var(--due)] px-4 py-3 font-semibold">
            {readable(layer.decision!.text, today)}
          </p>
        )}
        <Field label="Day" error={faults.on}>
          <DayInput max={today} {...day('on')} />
        </Field>
        {looks && (
          <Field
            label="Under the film"
            hint={v.kind === 'opened' || severs ? (findSpeaks(v.found) ?? undefined) : undefined}
            error={faults.found}
          >
            <select className="select" {...field('found')}>
              <FindOptions />
            </select>
          </Field>
        )}
        {severs && (
          <>
            <p className="rounded-box bg-[var(--slip)] px-4 py-3">
              <strong>Mind:</strong> saw away from the hand that holds the layer; anchor it in the pot before
              it is let go. Then shade and mist, as its course says. Local rules come first.
            </p>
            <div className="grid grid-cols-2 gap-4">
              <Field
                label="Into"
                hint={layer.pot ? `room around the ball: ${layer.pot.name}` : undefined}
                error={faults.container}
              >
                <select className="select" {...field('container')}>
                  {containers()
                    .filter((c) => !c.shared)
                    .map((c) => (
                      <option key={c.id} value={c.id}>
                        {c.name}
                      </option>
                    ))}
                </select>
              </Field>
              <Field label="Stands at" hint="in shade for the first weeks" error={faults.placeId}>
                <select className="select" {...field('placeId')}>
                  <option value="">choose where its pot stands …</option>
                  <PlaceOptions />
                </select>
              </Field>
            </div>
            <label className="flex min-h-12 items-start gap-3">
              <input
                type="checkbox"
                className="checkbox checkbox-primary mt-1"
                checked={v.split}
                onChange={(e) => set({ split: e.target.checked })}
              />
              <span>
                Split the base now: {percent(BASE_SPLIT.severing.lives.value)} live and it gains a season of
                spread. Split when established, {percent(BASE_SPLIT.established.lives.value)} live.
                <span className="soft"> Common practice.</span>
              </span>
            </label>
          </>
        )}
        <Field label="Note" error={faults.note}>
          <input className="input" autoComplete="off" {...field('note')} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={tell.isPending}>
          Record
        </button>
      </form>
    </Sheet>
  );
}
