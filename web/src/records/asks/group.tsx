import { Link } from 'react-router';
import { plural } from '@gonimos/core/words';
import type { Ask } from './ask';

/** Stems that are set together: settled where they are turned and placed, and told with the work. */
export const group: Ask = {
  subject: 'group',
  asked: (op, step) => Boolean(op?.joins) || step.group !== undefined,
  first: () => ({}),
  Fields: ({ step, fault }) =>
    step.group ? (
      <p>
        <strong>{plural(step.group.members.length, 'stem')}</strong>{' '}
        {step.group.join ? 'are joined to one tree' : 'become one plant'}, {step.group.method}: the ledger
        counts them as one from then on.
        {fault('join') && <span className="text-error"> {fault('join')}</span>}
      </p>
    ) : (
      <p>
        <Link className="link font-semibold" to={`/cohorts/${step.cohortId}/fuse`}>
          Turn and place the stems
        </Link>
        <span className="soft block">Recorded from there, they are counted as one.</span>
      </p>
    ),
  // what was settled is no text: the sheet tells it as it is
  told: () => null,
};
