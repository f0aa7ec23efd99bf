import type { AnswerMissed } from '@gonimos/contract/missed';
import type { Outcome } from '@gonimos/contract/outcome';
import { plural } from '@gonimos/core/words';
import { call } from '../common/api';
import { offerUndo } from '../common/undo';
import { useWrite, type Unsent } from '../common/write';

const SAID = { done: 'recorded as done', 'next time': 'left for the next window', 'let go': 'let go' };

/** Says what became of steps that were missed, and offers to take it back. */
export const useAnswerMissed = () =>
  useWrite(async (a: Unsent<AnswerMissed>, id) => {
    const outcome = await call<Outcome>('POST', '/missed', { ...a, id });
    offerUndo(
      outcome.recordId,
      `${plural(a.steps.length, 'missed step')} ${SAID[a.answer]}.`,
      outcome.moved.length,
    );
    return outcome;
  });
