import type { UseFormReturn } from 'react-hook-form';
import { Link } from 'react-router';
import { Field } from '../../common/field';
import { typed } from '../../common/numbers';
import { linesOf, NUMBER, type Ask, type Inputs } from './ask';

const CLASSES = ['A', 'B', 'C'] as const;

function Classes({ form, fault }: { form: UseFormReturn<Inputs>; fault: string | undefined }) {
  return (
    <fieldset className="grid grid-cols-3 gap-3">
      <legend className="mb-1 font-semibold">Roots by class, of those looked at</legend>
      {CLASSES.map((c) => (
        <Field key={c} label={c} error={c === 'A' ? fault : undefined}>
          <input {...NUMBER} {...form.register(`details.roots.${c}`)} />
        </Field>
      ))}
    </fieldset>
  );
}

/** What went of the roots, what was left, and how a series looked: filled by the root bench, or told by hand. */
export const roots: Ask = {
  subject: 'roots',
  asked: (op) => op !== null && op.lane === 'roots' && op.rootLoss.value > 0,
  first: ({ roots: drawn }) => ({
    took: typeof drawn?.took === 'number' ? String(Math.round(drawn.took * 100)) : '',
    left: drawn?.left.join('\n') ?? '',
    drawnId: drawn?.drawnId ?? '',
    A: '',
    B: '',
    C: '',
  }),
  Fields: ({ step, form, fault }) => (
    <>
      <p>
        <Link className="link font-semibold" to={`/cohorts/${step.cohortId}/roots`}>
          Draw the roots, plan the cuts
        </Link>
        {step.live > 1 && <span className="soft">; the card for the whole series stands there too</span>}
      </p>
      <Field label="Root taken" hint="% of the fine root; leave empty for as planned" error={fault('took')}>
        <input {...NUMBER} {...form.register('details.roots.took')} />
      </Field>
      <Field
        label="Left for next time"
        hint="one a line; comes back at the next opening"
        error={fault('left')}
      >
        <textarea className="textarea" rows={2} {...form.register('details.roots.left')} />
      </Field>
      {step.live > 1 && <Classes form={form} fault={fault('classes')} />}
    </>
  ),
  told: (v) => {
    const took = typed(v.took);
    const left = linesOf(v.left);
    const classes = CLASSES.some((c) => typed(v[c]) !== undefined)
      ? { A: typed(v.A) ?? 0, B: typed(v.B) ?? 0, C: typed(v.C) ?? 0 }
      : null;
    if (took === undefined && left.length === 0 && !classes) return null;
    return { drawnId: v.drawnId || null, took: took === undefined ? null : took / 100, left, classes };
  },
};
