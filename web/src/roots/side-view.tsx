import { lengthOf, lineOf, type Choice, type RootRecord } from '@gonimos/core/roots';
import { reachOf } from './ground';

const RAD = Math.PI / 180;

/** The roots from the front: how high each springs, and how steeply it goes down. */
export function SideView({ record, choices }: { record: RootRecord; choices: readonly Choice[] | null }) {
  const reach = reachOf(record);
  const half = record.trunk / 2;
  const drawn = record.roots
    .map((root, i) => {
      const way = (root.azimuth - record.front - 180) * RAD;
      const aside = Math.sin(way);
      const long = lengthOf(lineOf(root, record.trunk));
      const down = Math.tan(Math.min(85, root.angle) * RAD);
      const run = root.angle >= 70 ? long * 0.15 : long * Math.cos(root.angle * RAD);
      const fall = root.angle >= 70 ? long * 0.9 : run * down;
      const goes = (choices?.find((c) => c.root === i)?.length ?? 1) <= 0;
      // what comes towards the viewer lies in front
      return { root, aside, run, fall, goes, near: -Math.cos(way) };
    })
    .sort((a, b) => a.near - b.near);
  const low = Math.max(half, ...drawn.map((d) => d.fall - d.root.height)) + half * 0.4;
  const width = reach / 150;
  return (
    <svg
      viewBox={`${-reach} ${-half * 2.4} ${2 * reach} ${half * 2.4 + low}`}
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
      {drawn.map(({ root, aside, run, fall, goes }) => {
        const x = half * aside;
        const y = -root.height;
        return (
          <path
            key={root.id}
            d={`M${x} ${y}Q${x + run * 0.5 * aside} ${y + fall * 0.3} ${x + run * aside} ${y + fall}`}
            fill="none"
            stroke={goes ? 'var(--color-accent)' : 'var(--bark)'}
            strokeDasharray={goes ? `${width * 3} ${width * 2}` : undefined}
            strokeWidth={Math.max(width * 1.5, root.diameter * 0.9)}
            strokeLinecap="round"
          />
        );
      })}
      <path
        d={`M${-half * 0.62} ${-half * 2.4}L${-half} ${half * 0.3}Q0 ${half * 0.6} ${half} ${half * 0.3}L${half * 0.62} ${-half * 2.4}Z`}
        fill="var(--wood)"
        stroke="var(--wood-line)"
        strokeWidth={width}
      />
      <text x={-reach * 0.98} y={-width * 4} fontSize={reach / 22} fill="var(--ink-soft)">
        root plane, seen from the front
      </text>
    </svg>
  );
}
