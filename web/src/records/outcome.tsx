import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Outcome as Result } from '@gonimos/contract/outcome';
import { dateSpan, readable } from '../common/dates';
import { Trouble } from '../common/field';
import { countWords } from '../common/words';
import { startPath } from '../common/start-words';
import { useUndo } from '../common/undo';

const UNDO_SECONDS = 60;

function useCountdown(from: number): number {
  const [left, setLeft] = useState(from);
  useEffect(() => {
    const tick = setInterval(() => setLeft((n) => Math.max(0, n - 1)), 1000);
    return () => clearInterval(tick);
  }, []);
  return left;
}

interface Props {
  result: Result;
  today: string;
  /** how to go back on what is no record and cannot be undone as one */
  wayBack?: string;
  onClose: () => void;
}

/** After a record: what is alive, what moved and why, and a minute to take it back. */
export function Outcome({ result, today, wayBack, onClose }: Props) {
  const undo = useUndo();
  const left = useCountdown(UNDO_SECONDS);
  const moved = result.moved.filter((m) => m.days !== 0);
  return (
    <div className="grid gap-4" aria-live="polite">
      <p className="text-lg">
        Recorded. <strong>{countWords(result)}</strong>
      </p>
      {moved.length === 0 ? (
        <p className="soft">Nothing else in the course moved.</p>
      ) : (
        <section>
          <h3 className="mb-2 text-lg">What moved, and why</h3>
          <ul className="divide-y divide-base-300">
            {moved.map((m) => (
              <li key={m.key} className="py-3">
                <p className="flex flex-wrap justify-between gap-x-3 font-semibold">
                  {m.title}
                  <span className={m.days !== null && m.days > 0 ? 'text-accent' : 'text-primary'}>
                    {m.days === null
                      ? 'changed'
                      : `${Math.abs(m.days)} days ${m.days > 0 ? 'later' : 'earlier'}`}
                  </span>
                </p>
                <p className="text-sm">
                  {m.was.opens && m.was.closes ? (
                    <s className="soft">{dateSpan(m.was.opens, m.was.closes, today)}</s>
                  ) : (
                    <s className="soft">no date</s>
                  )}{' '}
                  → {m.now.opens && m.now.closes ? dateSpan(m.now.opens, m.now.closes, today) : 'no date'}
                </p>
                {m.because && <p className="soft text-sm">because: {readable(m.because.text, today)}</p>}
              </li>
            ))}
          </ul>
        </section>
      )}
      {result.offers?.map((o) => (
        <p key={o.goalId} className="rounded-box bg-[var(--celadon)] px-4 py-3">
          <strong>The prunings are wanted:</strong> a goal still asks for {o.count} as ‘{o.programmeName}’.{' '}
          <Link
            className="font-semibold underline"
            to={startPath(o, o.count, { goalId: o.goalId, parentId: o.parentId })}
          >
            Stick them
          </Link>
        </p>
      ))}
      {wayBack && <p className="soft">{wayBack}</p>}
      {undo.error && <Trouble>{undo.error.message}</Trouble>}
      <div className="flex flex-wrap gap-3">
        <button type="button" className="btn btn-primary btn-tall grow" onClick={onClose}>
          Back to work
        </button>
        {!wayBack && left > 0 && (
          <button
            type="button"
            className="btn btn-outline btn-tall"
            disabled={undo.isPending}
            onClick={() => undo.mutate(result.recordId, { onSuccess: onClose })}
          >
            Undo ({left} s)
          </button>
        )}
      </div>
    </div>
  );
}
