import type { RootRecordRow } from '@gonimos/contract/root-records';
import { lengthOf, lineOf, ofHundred, standingScore, type Terms } from '@gonimos/core/roots';
import { shortDate } from '../common/dates';
import { length } from '../common/units';

const SIZE = { w: 220, h: 56 };

/** Scores of one plant over its dates. */
export function ScoreLine({ rows, terms }: { rows: readonly RootRecordRow[]; terms: Terms }) {
  if (rows.length < 2) return null;
  const scores = rows.map((r) => ofHundred(standingScore(r.record, terms)));
  const x = (i: number) => 12 + (i * (SIZE.w - 24)) / (rows.length - 1);
  const y = (s: number) => SIZE.h - 8 - (s / 100) * (SIZE.h - 22);
  return (
    <svg
      viewBox={`0 0 ${SIZE.w} ${SIZE.h}`}
      className="w-56"
      role="img"
      aria-label={`Score by date: ${scores.join(', ')}`}
    >
      <polyline
        points={scores.map((s, i) => `${x(i)},${y(s)}`).join(' ')}
        fill="none"
        stroke="var(--color-primary)"
        strokeWidth={2}
      />
      {scores.map((s, i) => (
        <g key={rows[i].id}>
          <circle cx={x(i)} cy={y(s)} r={3.5} fill="var(--color-primary)" />
          <text
            x={x(i)}
            y={y(s) - 7}
            fontSize={12}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--color-base-content)"
          >
            {s}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** What became of each root since the drawing before: grown, new, gone. */
export function Since({
  now,
  before,
  today,
}: {
  now: RootRecordRow['record'];
  before: RootRecordRow;
  today: string;
}) {
  const was = new Map(before.record.roots.map((r) => [r.id, r]));
  const is = new Set(now.roots.map((r) => r.id));
  const grown = now.roots.flatMap((r) => {
    const old = was.get(r.id);
    if (!old) return [];
    const thick = r.diameter - old.diameter;
    const long = lengthOf(lineOf(r, now.trunk)) - lengthOf(lineOf(old, before.record.trunk));
    return [{ id: r.id, thick, long, note: old.note }];
  });
  const fresh = now.roots.filter((r) => !was.has(r.id)).map((r) => r.id);
  const gone = before.record.roots.filter((r) => !is.has(r.id)).map((r) => r.id);
  return (
    <details className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        Since {shortDate(before.on, today)}
      </summary>
      <ul className="pb-3 text-sm">
        {grown.map((g) => (
          <li key={g.id}>
            {g.id}: {g.thick >= 0 ? '+' : '−'}
            {length(Math.abs(g.thick), 1)} thick, {g.long >= 0 ? '+' : '−'}
            {length(Math.abs(g.long))} long{g.note && <span className="soft">; noted then: {g.note}</span>}
          </li>
        ))}
        {fresh.length > 0 && <li>New: {fresh.join(', ')}</li>}
        {gone.length > 0 && <li>Gone: {gone.join(', ')}</li>}
      </ul>
    </details>
  );
}
