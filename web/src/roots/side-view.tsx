import { footOf, reachOf, sideOf, type Choice, type RootRecord } from '@gonimos/core/roots';

/** The roots from the front: how high each springs, and how steeply it goes down. */
export function SideView({ record, choices }: { record: RootRecord; choices: readonly Choice[] | null }) {
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
      <path d={footOf(record.trunk)} fill="var(--wood)" stroke="var(--wood-line)" strokeWidth={width} />
      <text x={-reach * 0.98} y={-width * 4} fontSize={reach / 22} fill="var(--ink-soft)">
        root plane, seen from the front
      </text>
    </svg>
  );
}
