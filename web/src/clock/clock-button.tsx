import { Timer } from 'lucide-react';
import { operation } from '@gonimos/core/operations';
import { startClock, useClock } from '../common/bench-clock';
import type { Recordable } from '../records/asks';

/** Whether roots lie open while a step is worked. */
function baresRoots(step: Recordable): boolean {
  const op = step.operation === null ? null : operation(step.operation);
  return op !== null && (op.rootLoss.value > 0 || op.loosens === true);
}

/** Begins the bench clock on a step; while it runs on another, that one is stopped first. */
export function ClockButton({ step, className }: { step: Recordable; className: string }) {
  const busy = useClock() !== null;
  return (
    <button
      type="button"
      className={className}
      disabled={busy}
      onClick={() => startClock(step, baresRoots(step))}
    >
      <Timer size={18} aria-hidden="true" /> Clock
      <span className="sr-only">
        {' '}
        on {step.title}, {step.code}
      </span>
    </button>
  );
}
