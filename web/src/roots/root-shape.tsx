import { memo, type PointerEvent } from 'react';
import {
  across,
  along,
  lengthOf,
  lineOf,
  outline,
  pathOf,
  upTo,
  type Choice,
  type Root,
} from '@gonimos/core/roots';

interface Props {
  root: Root;
  trunk: number;
  /** id of the pattern for what goes */
  hatch: string;
  reach: number;
  chosen: boolean;
  choice: Choice | null;
  number: number | undefined;
  /** takes it in hand; the same from stroke to stroke, so that the others are not drawn again with each move */
  onTake: (e: PointerEvent, id: string) => void;
}

/** One root with what is to be done with it: what goes is hatched, a cut is a bar, where it moves is dashed. */
export const RootShape = memo(function RootShape({
  root,
  trunk,
  hatch,
  reach,
  chosen,
  choice,
  number,
  onTake,
}: Props) {
  const line = lineOf(root, trunk);
  const whole = lengthOf(line);
  const kept = choice === null ? whole : choice.length;
  const goes = choice !== null && kept <= 0;
  const cut = choice?.action === 'shorten' && kept < whole;
  const moved = choice?.action === 'move' && choice.turn !== 0;
  const badge = along(line, Math.min(whole, (goes || moved ? 0.62 : 0.4) * whole)).spot;
  const size = reach / 22;
  const end = line[line.length - 1];
  const far = Math.hypot(end.x, end.y) || 1;
  const name = { x: end.x * (1 + size / far), y: end.y * (1 + size / far) };
  return (
    <g onPointerDown={(e) => onTake(e, root.id)} style={{ cursor: 'pointer' }}>
      <path
        d={outline(line, root.diameter)}
        fill={goes || cut ? `url(#${hatch})` : 'var(--bark)'}
        stroke={goes || cut ? 'var(--color-accent)' : 'var(--wood-line)'}
        strokeWidth={reach / 260}
      />
      {cut && (
        <path
          d={outline(upTo(line, kept), root.diameter, whole)}
          fill="var(--bark)"
          stroke="var(--wood-line)"
          strokeWidth={reach / 260}
        />
      )}
      {root.forks.map((f, i) => {
        const { spot, azimuth } = along(line, f.at);
        const out = ((azimuth + f.turn) * Math.PI) / 180;
        const tip = { x: spot.x + f.length * Math.sin(out), y: spot.y + f.length * Math.cos(out) };
        return (
          <path
            key={i}
            d={outline([spot, tip], f.diameter)}
            fill={goes ? `url(#${hatch})` : 'var(--bark)'}
            stroke="var(--wood-line)"
            strokeWidth={reach / 300}
          />
        );
      })}
      {cut && (
        <path
          d={pathOf(across(line, kept, root.diameter * 0.7 + reach / 60))}
          stroke="var(--color-accent)"
          strokeWidth={reach / 90}
        />
      )}
      {moved && (
        <path
          d={outline(lineOf(root, trunk, choice.turn), root.diameter)}
          fill="none"
          stroke="var(--color-primary)"
          strokeWidth={reach / 160}
          strokeDasharray={`${reach / 60} ${reach / 90}`}
        />
      )}
      {chosen && (
        <path
          d={outline(line, root.diameter + reach / 40)}
          fill="none"
          stroke="var(--color-info)"
          strokeWidth={reach / 150}
        />
      )}
      <text
        x={name.x}
        y={-name.y + size * 0.25}
        textAnchor="middle"
        fontSize={size * 0.8}
        fill="var(--ink-soft)"
        pointerEvents="none"
      >
        {root.id}
      </text>
      {/* wide enough for a thumb */}
      <path
        d={pathOf(line)}
        fill="none"
        stroke="transparent"
        strokeWidth={Math.max(root.diameter, reach / 14)}
        strokeLinecap="round"
      />
      {number !== undefined && (
        <g transform={`translate(${badge.x} ${-badge.y})`} pointerEvents="none">
          <circle r={size * 0.62} fill="var(--color-base-content)" />
          <text
            textAnchor="middle"
            y={size * 0.3}
            fontSize={size * 0.82}
            fontWeight={700}
            fill="var(--color-base-100)"
          >
            {number}
          </text>
        </g>
      )}
    </g>
  );
});
