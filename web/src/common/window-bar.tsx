import { daysBetween } from '@gonimos/core/calendar';
import { plural } from '@gonimos/core/words';
import { shortDate } from './dates';

interface Props {
  opens: string;
  closes: string;
  today: string;
}

/** Days left below which a window is closing. */
export const CLOSING = 10;

function wordsOf(left: number): string {
  if (left < 0) return `${plural(-left, 'day')} late`;
  if (left === 0) return 'closes today';
  return left <= CLOSING ? `closes in ${plural(left, 'day')}` : `${left} days left`;
}

/** A window against today: where it stands and how much of it is left. */
export function WindowBar({ opens, closes, today }: Props) {
  const width = Math.max(1, daysBetween(opens, closes));
  const left = daysBetween(today, closes);
  const closing = left <= CLOSING;
  const at = Math.min(1, Math.max(0, daysBetween(opens, today) / width));
  const from = 12;
  const to = 88;
  const pin = from + at * (to - from);
  const words = wordsOf(left);
  return (
    <div className="min-w-0">
      <svg viewBox="0 0 100 16" className="block h-4 w-full" preserveAspectRatio="none" aria-hidden="true">
        <line x1={0} x2={100} y1={10} y2={10} stroke="var(--color-base-300)" strokeWidth={1.5} />
        <rect
          x={from}
          y={6}
          width={to - from}
          height={8}
          fill={closing ? 'var(--due)' : 'var(--celadon)'}
          stroke={closing ? 'var(--color-accent)' : 'var(--color-primary)'}
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
        <line
          x1={pin}
          x2={pin}
          y1={1}
          y2={16}
          stroke="var(--color-base-content)"
          strokeWidth={2.5}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <p className="mt-0.5 flex justify-between gap-2 text-sm">
        <span className="soft sr-only">opened {shortDate(opens, today)},</span>
        <span className={`font-semibold whitespace-nowrap ${closing ? 'text-accent' : 'text-primary'}`}>
          {words}
        </span>
      </p>
    </div>
  );
}
