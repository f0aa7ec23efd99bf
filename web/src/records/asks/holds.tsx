import type { Fitting, Stretch } from '@gonimos/core/operations';
import { newId } from '../../common/api';
import { FormDay } from '../../common/form-day';
import type { Ask, Typed } from './ask';

/** Lines of the sheet are numbered: what, note, day and id of each stand under its number. */
const lines = (v: Typed): number[] => {
  const all: number[] = [];
  while (v[`what${all.length}`]) all.push(all.length);
  return all;
};

/** What a bench puts on the plant: it goes into the register of what is on the plants, each with its day. */
export const holds: Ask = {
  subject: 'fittings',
  asked: (_op, step) => (step.puts?.lines.length ?? 0) > 0,
  first: ({ puts }) =>
    Object.fromEntries(
      (puts?.lines ?? []).flatMap((h, i) => [
        [`what${i}`, h.what],
        [`note${i}`, h.note],
        [`due${i}`, h.due],
        [`stretch${i}`, JSON.stringify(h.stretch)],
        [`id${i}`, newId()],
        [`put${i}`, 'yes'],
      ]),
    ),
  Fields: ({ step, form, fault }) => {
    const v = form.watch('details.fittings');
    return (
      <fieldset className="grid gap-2">
        <legend className="mb-1 font-semibold">{step.puts?.title}</legend>
        {lines(v).map((i) => (
          <div key={i} className="grid grid-cols-[minmax(0,1fr)_11rem] items-center gap-3">
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="checkbox"
                checked={v[`put${i}`] === 'yes'}
                onChange={(e) => form.setValue(`details.fittings.put${i}`, e.target.checked ? 'yes' : '')}
              />
              <span>
                {v[`what${i}`]} <span className="soft">{v[`note${i}`]}</span>
              </span>
            </label>
            <label>
              <span className="sr-only">
                {v[`what${i}`]} {v[`note${i}`]}, looked at by
              </span>
              <FormDay form={form} name={`details.fittings.due${i}`} />
            </label>
          </div>
        ))}
        <p className={fault('on[0].due') ? 'text-sm font-semibold text-error' : 'soft text-sm'}>
          {fault('on[0].due') ?? 'Looked at by that day, before the plant has swollen into it.'}
        </p>
      </fieldset>
    );
  },
  told: (v) => {
    const on = lines(v)
      .filter((i) => v[`put${i}`] === 'yes')
      .map((i) => ({
        id: v[`id${i}`],
        what: v[`what${i}`] as Fitting,
        note: v[`note${i}`],
        due: v[`due${i}`],
        stretch: JSON.parse(v[`stretch${i}`]) as Stretch | null,
      }));
    return on.length > 0 ? { on, off: [], kept: [], tend: null } : null;
  },
};
