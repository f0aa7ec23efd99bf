import { plural } from '@gonimos/core/words';
import { container, type Wall } from '@gonimos/core/containers';
import { millimetres } from './words';
import { ringsOf, type RingRun } from '@gonimos/core/trunk';
import { length } from './units';

interface Props {
  rings: RingRun;
  /** season that is going on: rings after it are expected */
  season: number;
  containerId: string;
  target: number | null;
  size: number;
  /** caliper that fills the picture, to compare several; else the largest shown */
  fullScale?: number;
}

const outline: Record<Wall, { dash?: string; width: number }> = {
  smooth: { width: 2.2 },
  'air-pruning': { dash: '1.5 2.6', width: 2.6 },
  grooved: { dash: '5 1.6', width: 2.2 },
  porous: { dash: '0.8 1.6', width: 3.2 },
  ground: { dash: '5 3', width: 1.6 },
};

/**
 * The section: a trunk cut across, to scale within the picture. One ring a growing year, solid wood for
 * what has grown, hairlines for the next three years expected, with the band eight plants of ten end in; the target dashed; the container outermost,
 * drawn by its wall.
 */
export function Section({ rings, season, containerId, target, size, fullScale }: Props) {
  const kind = container(containerId);
  const all = ringsOf(rings);
  const grown = all.filter((r) => r.season < season);
  // what is still to grow is told in whole millimetres
  const coming = all
    .filter((r) => r.season >= season)
    .slice(0, 3)
    .map((r) => ({ ...r, caliper: Math.round(r.caliper) }));
  const last = coming.at(-1);
  const now = grown.at(-1)?.caliper ?? 0;
  const widest = fullScale ?? Math.max(target ?? 0, last?.fast ?? 0, now, 6) * 1.12;
  const r = (mm: number) => Math.max((mm / widest) * 42, 0.8);
  // too small for rings: how thick it is, and what holds its roots
  const tiny = size < 24;
  const line = tiny ? { ...outline[kind.wall], width: outline[kind.wall].width * 2.4 } : outline[kind.wall];
  const common = {
    fill: 'none',
    stroke: 'var(--color-base-content)',
    strokeWidth: line.width,
    strokeDasharray: line.dash,
  };
  const label = `Trunk ${now > 0 ? `${length(now)} after ${plural(grown.length, 'season')}` : 'not grown yet'}${last ? `, expected ${millimetres(last.slow, last.fast)} after ${last.season}` : ''}${target ? `, target ${target} mm` : ''}, in ${kind.name}`;
  return (
    <svg
      viewBox="-50 -50 100 100"
      width={size}
      height={size}
      role="img"
      aria-label={label}
      className="shrink-0"
    >
      {kind.wall === 'ground' || kind.shape === 'box' ? (
        <rect x={-47} y={-47} width={94} height={94} rx={kind.wall === 'ground' ? 2 : 10} {...common} />
      ) : (
        <circle r={47} {...common} />
      )}
      {!tiny && last && last.fast > last.slow && (
        <circle
          r={(r(last.slow) + r(last.fast)) / 2}
          fill="none"
          stroke="var(--bark)"
          strokeOpacity={0.16}
          strokeWidth={Math.max(0.8, r(last.fast) - r(last.slow))}
        />
      )}
      {(tiny ? [] : coming).map((ring) => (
        <circle key={ring.season} r={r(ring.caliper)} fill="none" stroke="var(--bark)" strokeWidth={0.9} />
      ))}
      {now > 0 && <circle r={r(now)} fill="var(--wood)" stroke="var(--wood-line)" strokeWidth={1.8} />}
      {(tiny ? [] : grown.slice(0, -1)).map((ring) => (
        <circle
          key={ring.season}
          r={r(ring.caliper)}
          fill="none"
          stroke="var(--wood-line)"
          strokeWidth={ring.measured ? 1.6 : 1}
        />
      ))}
      {now === 0 && <circle r={tiny ? 6 : 1.6} fill="var(--wood-line)" />}
      {target !== null && (
        <circle
          r={r(target)}
          fill="none"
          stroke="var(--color-primary)"
          strokeWidth={1.5}
          strokeDasharray="3 2.4"
        />
      )}
    </svg>
  );
}
