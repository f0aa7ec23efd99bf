import { useRef } from 'react';
import type { FittingLine } from '@gonimos/contract/fittings';
import { newId } from '../common/api';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useBites } from './queries';

/** What becomes of wire that was put on by hand. */
export type OffAnswer =
  | { held: boolean }
  /** what it held sprang back: it goes on anew, until its stretch has swollen into it */
  | { again: { id: string; due: string } };

interface Props {
  fitting: FittingLine;
  today: string;
  busy: boolean;
  fault: string | undefined;
  onSay: (answer: OffAnswer) => void;
  onClose: () => void;
}

const BIG = 'btn btn-outline min-h-16 text-lg';
/** Where nobody told what it sits on, it sits on the stem. */
const STEM = { of: 0.6, share: 1 };

/** Wire comes off: did what it held stay? If not, it goes on again with a day of its own. */
export function OffSheet({ fitting: f, today, busy, fault, onSay, onClose }: Props) {
  const again = useRef(newId());
  const bite = useBites(f.cohortId, [{ id: 'again', ...(f.stretch ?? STEM) }]).data?.[0];
  return (
    <Sheet title="Wire off" sub={`${f.code} · ${f.note}`} onClose={onClose}>
      <div className="grid gap-4">
        {fault && <Trouble>{fault}</Trouble>}
        <p>Cut it off in pieces; unwinding breaks buds. Did what it held stay as it was bent?</p>
        <button type="button" className={BIG} disabled={busy} onClick={() => onSay({ held: true })}>
          It stayed
        </button>
        <button type="button" className={BIG} disabled={busy} onClick={() => onSay({ held: false })}>
          It sprang back, bare for now
        </button>
        <button
          type="button"
          className={BIG}
          disabled={busy || !bite}
          onClick={() => bite && onSay({ again: { id: again.current, due: bite.due } })}
        >
          It sprang back: on again
          {bite && <span className="font-normal"> until {shortDate(bite.due, today)}</span>}
        </button>
      </div>
    </Sheet>
  );
}
