import { percent } from '@gonimos/core/words';
import type { Cause } from '@gonimos/core/visits';
import { figure } from '../common/units';
import { isIsoDate } from '@gonimos/core/calendar';

/** Likely causes of failed roots, the likeliest first, with the one change that is proposed. */
export function Causes({ causes, open }: { causes: Cause[]; open?: boolean }) {
  const [first, ...rest] = causes;
  if (!first) return null;
  const line = (c: Cause) => (
    <li key={c.id} className="py-2">
      <p className="flex items-center gap-3">
        <span aria-hidden="true" className="h-2 w-24 shrink-0 rounded-full bg-base-300">
          <span
            className="block h-2 rounded-full bg-accent"
            style={{ width: `${Math.round(c.weight * 100)}%` }}
          />
        </span>
        <strong>{c.name}</strong>
        <span className="soft">{percent(c.weight)}</span>
      </p>
      <p className="soft text-sm">{c.because}</p>
      <p className="soft text-sm">
        {c.figures
          .map((f) => `${f.label} ${isIsoDate(f.value) ? f.value : figure(f.value, f.unit)} (${f.basis})`)
          .join('; ')}
      </p>
    </li>
  );
  return (
    <div className="grid gap-3">
      <p className="rounded-box bg-[var(--slip)] px-4 py-3">
        <strong>Change one thing:</strong> {first.change}. Then look again before changing another.
      </p>
      <details open={open}>
        <summary className="cursor-pointer font-semibold">Likely causes, from the record</summary>
        <ul className="divide-y divide-base-300">{[first, ...rest].map(line)}</ul>
      </details>
    </div>
  );
}
