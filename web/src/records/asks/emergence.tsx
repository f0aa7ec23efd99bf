import { Link } from 'react-router';
import { useTrays } from '../../trays/queries';
import { Field } from '../../common/field';
import { typed } from '../../common/numbers';
import { NUMBER, type Ask } from './ask';

/** How many are up, outside trays whose cells are marked. */
export const emergence: Ask = {
  subject: 'emergence',
  counts: true,
  asked: (op) => op?.asks.includes('emergence') ?? false,
  first: () => ({ emerged: '' }),
  Fields: ({ step, form, fault }) => {
    const trays = useTrays(step.cohortId, true).data;
    const inTrays = trays ? trays.ledger.pending - trays.outside.seed : 0;
    return (
      <>
        {inTrays > 0 && (
          <Link to={`/cohorts/${step.cohortId}/trays`} className="btn btn-outline btn-tall">
            Open the trays: {inTrays} seeds lie in their cells
          </Link>
        )}
        <Field
          label={inTrays > 0 ? 'Up outside the trays' : 'Up'}
          hint={inTrays > 0 ? 'what lies in no tray; 0 where all of it does' : `of ${step.pending} sown`}
          error={fault('emerged')}
        >
          <input
            {...NUMBER}
            {...form.register('details.emergence.emerged', { required: 'is missing: how many are up' })}
          />
        </Field>
      </>
    );
  },
  told: (v) => ({ emerged: typed(v.emerged) ?? null }),
};
