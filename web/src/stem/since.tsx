import type { StemRecordRow } from '@gonimos/contract/stem-records';
import { stemSince, type StemRecord } from '@gonimos/core/stem';
import { shortDate } from '../common/dates';
import { inUnits, length } from '../common/units';

interface Props {
  now: StemRecord;
  before: StemRecordRow;
  today: string;
}

const gained = (mm: number, decimals = 0): string =>
  `${mm >= 0 ? '+' : '−'}${length(Math.abs(mm), decimals)}`;

/** What became of each part since the drawing before. */
export function Since({ now, before, today }: Props) {
  const { base, height, grown, fresh, gone } = stemSince(before.record, now);
  return (
    <details className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        Since {shortDate(before.on, today)}: {gained(base, 1)} at the base, {gained(height)} high
      </summary>
      <ul className="pb-3 text-sm">
        {grown.map((g) => (
          <li key={g.id}>
            {g.id}: {gained(g.thick, 1)} thick
            {g.note && <span className="soft">; noted then: {inUnits(g.note)}</span>}
          </li>
        ))}
        {fresh.length > 0 && <li>New: {fresh.join(', ')}</li>}
        {gone.length > 0 && <li>Gone: {gone.join(', ')}</li>}
      </ul>
    </details>
  );
}
