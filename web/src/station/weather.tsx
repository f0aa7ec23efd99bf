import { Snowflake, Thermometer, Wind } from 'lucide-react';
import { Link } from 'react-router';
import type { Warning } from '@gonimos/core/station';
import { inUnits } from '../common/units';

const ICONS = { frost: Snowflake, heat: Thermometer, wind: Wind };
const LOOK = {
  frost: 'bg-[var(--cold)] border-info',
  heat: 'bg-[var(--due)] border-accent',
  wind: 'bg-[var(--slip)] border-warning',
};

/** What the weather ahead asks for, before any work: bring in, water, lay down. */
export function Weather({ warnings }: { warnings: Warning[] }) {
  if (warnings.length === 0) return null;
  return (
    <ul className="mb-5 grid gap-2" aria-label="Weather warnings">
      {warnings.slice(0, 5).map((w) => {
        const Icon = ICONS[w.kind];
        return (
          <li
            key={w.text}
            className={`flex items-start gap-3 rounded-box border-l-4 px-4 py-3 ${LOOK[w.kind]}`}
          >
            <Icon size={20} className="mt-0.5 shrink-0" aria-label={w.kind} />
            <span className={w.sure === 'expected' ? 'font-semibold' : ''}>{inUnits(w.text)}</span>
          </li>
        );
      })}
      {warnings.length > 5 && (
        <li className="soft px-4">
          and {warnings.length - 5} more, on the{' '}
          <Link to="/season" className="underline">
            season page
          </Link>
        </li>
      )}
    </ul>
  );
}
