import type { Layer } from '@gonimos/contract/layers';
import { length } from '../common/units';

interface Drawn extends Pick<Layer, 'code' | 'stem' | 'height' | 'diameter'> {
  stage: Layer['state']['stage'] | 'drawn';
}
interface Point {
  x: number;
  y: number;
}

const W = 320;
const H = 380;
const GROUND = H - 30;
const TOP = 20;
const FORK = 0.16;

/** A stem that leaves the foot of the plant and stands upright further up. */
function stemLine(foot: Point, x: number, tip: number): (y: number) => Point {
  const fork = foot.y - (foot.y - tip) * FORK;
  return (y) => {
    const t = Math.min(1, (foot.y - y) / (foot.y - fork));
    const ease = t * t * (3 - 2 * t);
    return { x: foot.x + (x - foot.x) * ease, y };
  };
}

/** The outline of a stem between two heights, thick below and thin above. */
function outline(at: (y: number) => Point, from: number, to: number, thick: (y: number) => number): string {
  const ys = Array.from({ length: 13 }, (_, i) => from + ((to - from) * i) / 12);
  const side = (s: number) => ys.map((y) => `${at(y).x + (s * thick(y)) / 2} ${y}`);
  return `M${side(-1).join('L')}L${side(1).reverse().join('L')}Z`;
}

/** A short branch with leaves, to one side. */
function Branch({ at, side, size }: { at: Point; side: number; size: number }) {
  const x = at.x + side * size;
  const y = at.y - size * 0.7;
  return (
    <g>
      <path
        d={`M${at.x} ${at.y}Q${at.x + side * size * 0.7} ${at.y - 2} ${x} ${y}`}
        fill="none"
        stroke="var(--wood-line)"
        strokeWidth={2.2}
      />
      {[0.45, 0.75, 1].map((t) => (
        <ellipse
          key={t}
          cx={at.x + side * size * t}
          cy={at.y - size * 0.7 * t * t - 4}
          rx={size * 0.3}
          ry={size * 0.2}
          fill="var(--celadon)"
          stroke="var(--celadon-deep)"
        />
      ))}
    </g>
  );
}

/** The parent from the side: stems, the rings on them, what is taken above, the low branches that stay. */
export function ParentDrawing({
  base,
  layers,
  drawn = [],
}: {
  base: number;
  layers: readonly Layer[];
  drawn?: readonly Omit<Drawn, 'stage'>[];
}) {
  const all: Drawn[] = [
    ...layers.map((l) => ({ ...l, stage: l.state.stage })),
    ...drawn.map((d) => ({ ...d, stage: 'drawn' as const })),
  ];
  const stems = [...new Set(all.map((l) => l.stem))];
  if (stems.length === 0) stems.push('leader');
  const tallest = Math.max(1200, ...all.map((l) => l.height)) * 1.25;
  const yOf = (mm: number) => GROUND - (mm / tallest) * (GROUND - TOP);
  const scale = 30 / Math.max(base, 20);
  const gap = W / (stems.length + 1);
  const label = `Seen from the side: ${all.map((l) => `${l.code} at ${length(l.height)} on ${l.stem}`).join(', ') || 'no layer'}`;
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="card-plain w-full" role="img" aria-label={label}>
      <line x1={8} x2={W - 8} y1={GROUND} y2={GROUND} stroke="var(--bark)" strokeWidth={2} />
      {stems.map((stem, i) => {
        const x = gap * (i + 1);
        const foot = { x: W / 2 + (x - W / 2) * 0.22, y: GROUND };
        const at = stemLine(foot, x, TOP);
        const own = all.filter((l) => l.stem === stem).sort((a, b) => a.height - b.height);
        const taken = own.find((l) => l.stage === 'severed');
        const end = taken ? yOf(taken.height) : TOP;
        const wide = (base * scale) / (stems.length > 1 ? 1.4 : 1);
        const thick = (y: number) => 3 + ((wide - 3) * (y - TOP)) / (GROUND - TOP);
        const standing = own.filter((l) => yOf(l.height) >= end - 1);
        return (
          <g key={stem}>
            {taken && (
              <path
                d={`M${at(end).x} ${end}L${at(TOP).x} ${TOP}`}
                stroke="var(--bark)"
                strokeWidth={2}
                strokeDasharray="2 7"
              />
            )}
            {standing.map((l) => (
              <Branch
                key={l.code}
                at={at(Math.min(GROUND - 12, yOf(l.height) + 34))}
                side={i % 2 ? 1 : -1}
                size={26}
              />
            ))}
            {!taken &&
              [0.04, 0.12, 0.2, 0.28].map((t, k) => (
                <Branch key={t} at={at(TOP + t * (GROUND - TOP))} side={k % 2 ? 1 : -1} size={20 + k * 4} />
              ))}
            <path
              d={outline(at, GROUND, end, thick)}
              fill="var(--wood)"
              stroke="var(--wood-line)"
              strokeWidth={1.6}
            />
            {own.map((l, k) => {
              const p = at(yOf(l.height));
              const cut = l.stage === 'severed';
              const side = k % 2 === 0 ? 1 : -1;
              return (
                <g key={l.code}>
                  {cut ? (
                    <line
                      x1={p.x - 13}
                      x2={p.x + 13}
                      y1={p.y + 2}
                      y2={p.y - 4}
                      stroke="var(--color-accent)"
                      strokeWidth={3.5}
                    />
                  ) : (
                    <ellipse
                      cx={p.x}
                      cy={p.y}
                      rx={thick(p.y) / 2 + 10}
                      ry={15}
                      fill={l.stage === 'failed' ? 'var(--rest)' : 'var(--celadon)'}
                      stroke={l.stage === 'drawn' ? 'var(--color-info)' : 'var(--color-base-content)'}
                      strokeWidth={2}
                      strokeDasharray={l.stage === 'drawn' ? '5 3' : undefined}
                    />
                  )}
                  <text
                    x={p.x + side * (thick(p.y) / 2 + 17)}
                    y={p.y + 5}
                    textAnchor={side > 0 ? 'start' : 'end'}
                    fontSize={13}
                    fontWeight={700}
                    fill="var(--color-base-content)"
                  >
                    {l.code}
                  </text>
                </g>
              );
            })}
            {stems.length > 1 && (
              <text x={x} y={H - 9} textAnchor="middle" fontSize={13} fill="var(--ink-soft)">
                {stem}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
