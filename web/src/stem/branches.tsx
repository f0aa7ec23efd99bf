import { memo, useMemo } from 'react';
import {
  BRANCH_FAULT_WORDS,
  cleanUp,
  partWords,
  selectAfter,
  type BranchCut,
  type Selected,
  type StemRecord,
} from '@gonimos/core/stem';
import { percent } from '@gonimos/core/words';
import { inUnits, length } from '../common/units';
import type { Act } from './sheet';

interface Props {
  record: StemRecord;
  finished: number;
  vigour: number;
  /** where it is cut, or was; null: not decided */
  cutAt: number | null;
  act: (a: Act) => void;
}

function CutLine({ cut, onDrop }: { cut: BranchCut; onDrop: () => void }) {
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-t border-base-300 py-1.5">
      <span className="min-w-48 flex-1">
        <strong>{cut.part.id}</strong> {inUnits(partWords(cut.part))}:{' '}
        <span className="soft">{cut.faults.map((f) => BRANCH_FAULT_WORDS[f]).join('; ')}</span>
      </span>
      {cut.share >= 0.005 && <span className="soft">{percent(cut.share)} of the crown</span>}
      <button type="button" className="btn btn-ghost btn-sm min-h-11 border border-base-300" onClick={onDrop}>
        Taken off<span className="sr-only">, {cut.part.id}</span>
      </button>
    </li>
  );
}

const BECOMES: Record<Selected['becomes'], string> = {
  leader: 'leads',
  reserve: 'in reserve',
  side: 'a branch to be',
  off: 'goes',
};

/** Which of the shoots that answered a cut leads, which stays in reserve, and by when the rest goes. */
function AfterCut({ record, cutAt, act }: { record: StemRecord; cutAt: number } & Pick<Props, 'act'>) {
  const said = useMemo(() => selectAfter(record, cutAt), [record, cutAt]);
  if (!said) return null;
  const settled = said.shoots.every(
    (s) => (s.becomes !== 'leader' && s.becomes !== 'reserve') || s.part.role === s.becomes,
  );
  const settle = () => {
    for (const s of said.shoots)
      if (s.becomes === 'leader' || s.becomes === 'reserve')
        act({ do: 'part', part: { ...s.part, role: s.becomes } });
  };
  return (
    <div aria-label="After the cut" role="group">
      <h4 className="font-semibold">Of the shoots at the cut of {length(cutAt)}</h4>
      <ul>
        {said.shoots.map((s) => (
          <li key={s.part.id} className="border-t border-base-300 py-1.5">
            <strong>
              {s.part.id} {BECOMES[s.becomes]}
            </strong>
            <span className="soft">: {s.because}</span>
          </li>
        ))}
      </ul>
      {said.shoots.length > 2 && (
        <p className="soft">
          The rest goes when the leader is {length(said.until)} thick: till then it closes the wound.
        </p>
      )}
      {said.thicker.length > 0 && (
        <p className="border-l-4 border-accent pl-3">
          Thicker than the new leader:{' '}
          {said.thicker.map((p) => `${p.id}, ${inUnits(partWords(p))}`).join('; ')}. Shorten it, or it leads.
        </p>
      )}
      {!settled && (
        <button type="button" className="btn btn-outline mt-1" onClick={settle}>
          So it is
        </button>
      )}
    </div>
  );
}

/** What comes off the stem and what waits; and who leads after a cut. */
export const Branches = memo(function Branches({ record, finished, vigour, cutAt, act }: Props) {
  const { now, later, takes, limit } = useMemo(
    () => cleanUp(record, finished, vigour),
    [record, finished, vigour],
  );
  const none = now.length + later.length === 0;
  if (none && cutAt === null) return null;
  return (
    <section aria-label="Branches" className="when-near grid gap-3">
      <h3 className="text-lg">Branches</h3>
      {!none && (
        <p className="soft">
          {takes < 0.005 ? 'Nothing living comes off now' : `${percent(takes)} of the crown comes off now`};
          at vigour {vigour} it bears {percent(limit)}. What was decided about stays. Which fault is graver is
          common practice, no source.
        </p>
      )}
      {now.length > 0 && (
        <ul aria-label="Comes off">
          {now.map((c) => (
            <CutLine key={c.part.id} cut={c} onDrop={() => act({ do: 'drop', id: c.part.id })} />
          ))}
        </ul>
      )}
      {later.length > 0 && (
        <div>
          <h4 className="font-semibold">Next year</h4>
          <ul aria-label="Waits">
            {later.map((c) => (
              <CutLine key={c.part.id} cut={c} onDrop={() => act({ do: 'drop', id: c.part.id })} />
            ))}
          </ul>
        </div>
      )}
      {cutAt !== null && <AfterCut record={record} cutAt={cutAt} act={act} />}
    </section>
  );
});
