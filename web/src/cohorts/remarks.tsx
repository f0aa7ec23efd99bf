import type { Remark } from '@gonimos/core/starts';
import { readable } from '../common/dates';

/** What speaks against a start, or should be known of it; grave ones stand out. */
export function Remarks({ remarks, today }: { remarks: readonly Remark[]; today: string }) {
  if (remarks.length === 0) return null;
  return (
    <ul className="mb-5 grid gap-2" aria-label="To know before it is entered">
      {remarks.map((r) => (
        <li
          key={r.code}
          className={`rounded-box px-4 py-3 ${r.grave ? 'bg-[var(--due)]' : 'bg-[var(--slip)]'}`}
        >
          <strong>{r.grave ? 'Think again:' : 'Mind:'}</strong> {readable(r.text, today)}.
        </li>
      ))}
    </ul>
  );
}
