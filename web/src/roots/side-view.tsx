import { length } from '../common/units';
import { footOf, reachOf, sideOf, type Choice, type RootRecord } from '@gonimos/core/roots';

/** The roots from the front: how high each springs, and how steeply it goes down. */
export function SideView({
  record,
  choices,
  levels,
}: {
  record: RootRecord;
  choices: readonly Choice[] | null;
  /** how deep roots are uncovered, stage by stage, mm */
  levels: readonly number[];
}) {
  const reach = reachOf(record);
  const high = record.trunk * 1.2;
  const { roots, low } = sideOf(record, choices);
  const width = reach / 150;
  return (
    <svg
      viewBox={`${-reach} ${-high} ${2 * reach} ${high + low}`}
      className="block max-h-48 w-full"
      role="img"
      aria-label="Roots seen from the front, against the root plane"
    >
      <line
        x1={-reach}
        x2={reach}
        y1={0}
        y2={0}
        stroke="var(--ink-soft)"
        strokeWidth={width * 0.8}
        strokeDasharray={`${width * 2} ${width * 3}`}
      />
      {roots.map(({ root, d, goes }) => (
        <path
          key={root.id}
          d={d}
          fill="none"
          stroke={goes ? 'var(--color-accent)' : 'var(--bark)'}
          strokeDasharray={goes ? `${width * 3} ${width * 2}` : undefined}
          strokeWidth={Math.max(width * 1.5, root.diameter * 0.9)}
          strokeLinecap="round"
        />
      ))}
      {levels.map((mm, i) => (
        <g key={mm}>
          <line
            x1={-reach}
            x2={reach}
            y1={mm}
            y2={mm}
            stroke="var(--color-info)"
            strokeWidth={width * 0.7}
            strokeDasharray={`${width * 4} ${width * 2}`}
          />
          <text
            x={reach * 0.98}
            y={mm - width * 1.5}
            textAnchor="end"
            fontSize={reach / 24}
            fill="var(--ink-soft)"
          >
            {i + 1}: {length(mm)}
          </text>
        </g>
      ))}
      <path d={footOf(record.trunk)} fill="var(--wood)" stroke="var(--wood-line)" strokeWidth={width} />
      <text x={-reach * 0.98} y={-width * 4} fontSize={reach / 22} fill="var(--ink-soft)">
        root plane, seen from the front
      </text>
    </svg>
  );
}
