import type { Fitting } from '@gonimos/core/operations';
import { newId } from '../../common/api';
import { Field } from '../../common/field';
import { FormDay } from '../../common/form-day';
import type { Ask, Typed } from './ask';

/** Lines of the sheet are numbered: what, note and id of each stand under its number. */
const lines = (v: Typed): number[] => {
  const all: number[] = [];
  while (v[`what${all.length}`]) all.push(all.length);
  return all;
};

/** What a plan of cuts leaves on the roots: it goes into the register of what is on the plants, with its day. */
export const holds: Ask = {
  subject: 'fittings',
  asked: (_op, step) => (step.roots?.holds.length ?? 0) > 0,
  first: ({ roots }) => ({
    due: roots?.heldUntil ?? '',
    ...Object.fromEntries(
      (roots?.holds ?? []).flatMap((h, i) => [
        [`what${i}`, h.what],
        [`note${i}`, h.note],
        [`id${i}`, newId()],
        [`put${i}`, 'yes'],
      ]),
    ),
  }),
  Fields: ({ form, fault }) => {
    const v = form.watch('details.fittings');
    return (
      <fieldset className="grid gap-1">
        <legend className="mb-1 font-semibold">Stays on the roots</legend>
        {lines(v).map((i) => (
          <label key={i} className="flex min-h-11 items-center gap-3">
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
        ))}
        <Field label="Looked at by" hint="before the base has swollen into it" error={fault('on[0].due')}>
          <FormDay form={form} name="details.fittings.due" />
        </Field>
      </fieldset>
    );
  },
  told: (v) => {
    const on = lines(v)
      .filter((i) => v[`put${i}`] === 'yes')
      .map((i) => ({ id: v[`id${i}`], what: v[`what${i}`] as Fitting, note: v[`note${i}`], due: v.due }));
    return on.length > 0 ? { on, off: [], tend: null } : null;
  },
};
