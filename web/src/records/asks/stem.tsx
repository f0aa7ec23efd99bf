import { Link } from 'react-router';
import { Field } from '../../common/field';
import { FormDay } from '../../common/form-day';
import { typed } from '../../common/numbers';
import { linesOf, NUMBER, type Ask } from './ask';

/** What went of stem and crown, and what was left: filled by the stem bench, or told by hand. */
export const stem: Ask = {
  subject: 'stem',
  asked: (op) => op !== null && op.lane === 'top' && op.topLoss.value > 0,
  first: ({ stem: drawn }) => ({
    took: typeof drawn?.took === 'number' ? String(Math.round(drawn.took * 100)) : '',
    left: drawn?.left.join('\n') ?? '',
    drawnId: drawn?.drawnId ?? '',
    until: drawn?.until ?? '',
  }),
  Fields: ({ step, form, fault }) => (
    <>
      <p>
        <Link className="link font-semibold" to={`/cohorts/${step.cohortId}/stem`}>
          Draw the stem, see where to cut
        </Link>
      </p>
      <Field label="Crown taken" hint="% of it; leave empty for as planned" error={fault('took')}>
        <input {...NUMBER} {...form.register('details.stem.took')} />
      </Field>
      <Field
        label="Left on the stem"
        hint="one a line; comes back at the next work on it"
        error={fault('left')}
      >
        <textarea className="textarea" rows={2} {...form.register('details.stem.left')} />
      </Field>
      {step.stem?.until && (
        <Field label="The rest from" hint="the step comes back then" error={fault('until')}>
          <FormDay form={form} name="details.stem.until" />
        </Field>
      )}
    </>
  ),
  told: (v) => {
    const took = typed(v.took);
    const left = linesOf(v.left);
    if (took === undefined && left.length === 0 && !v.drawnId) return null;
    const share = took === undefined ? null : took / 100;
    return { drawnId: v.drawnId || null, took: share, left, until: v.until || null };
  },
};
