import { opensPot } from '@gonimos/core/course';
import type { PotOutcome } from '@gonimos/contract/pots';
import { Field } from '../../common/field';
import { shortDate } from '../../common/dates';
import { usePot } from '../../pots/queries';
import type { Ask } from './ask';

const OUTCOME_WORDS: Record<PotOutcome, string> = {
  stays: 'stay together in one pot',
  parted: 'are parted, each into its own',
  clump: 'have grown together: a clump',
};

/** What becomes of a pot that several share; nothing is asked where plants stand alone. */
export const pot: Ask = {
  subject: 'pot',
  asked: (op) => op !== null && opensPot(op),
  first: () => ({ outcome: '' }),
  Fields: ({ step, form, fault }) => {
    const shared = usePot(step.cohortId).data;
    if (!shared || shared.members.length < 2) return null;
    const others = shared.members.filter((m) => m.id !== step.cohortId);
    return (
      <Field
        label="One pot"
        hint={
          shared.clump
            ? `grown together, seen ${shortDate(shared.clump)}: they cannot be parted`
            : 'what was wanted of it for the others is recorded with it'
        }
        error={fault('outcome')}
      >
        <select className="select" {...form.register('details.pot.outcome')}>
          <option value="">with {others.map((m) => m.code).join(', ')}: stay together</option>
          {(Object.keys(OUTCOME_WORDS) as PotOutcome[])
            .filter((o) => o !== 'stays' && (o !== 'parted' || !shared.clump))
            .map((o) => (
              <option key={o} value={o}>
                they {OUTCOME_WORDS[o]}
              </option>
            ))}
        </select>
      </Field>
    );
  },
  told: (v) => (v.outcome ? { outcome: v.outcome as PotOutcome } : null),
};
