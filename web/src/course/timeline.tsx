import { daysBetween } from '@gonimos/core/calendar';
import type { PlannedStep } from '@gonimos/core/course';
import { dateSpan, shortDate } from '../shared/dates';
import { useWidth } from '../shared/use-width';
import { LANES, standing } from './lanes';

const ROW = 19;
const GUTTER = 78;
const HEAD = 24;
const YEAR_LEAST = 92;

interface Placed {
  step: PlannedStep;
  from: number;
  to: number;
  row: number;
  label: string;
}

/** Packs a lane's steps into rows so that bars and their names never overlap. */
function pack(steps: PlannedStep[], x: (iso: string) => number): Placed[] {
  const ends: number[] = [];
  return steps
    .flatMap((step) => {
      const from = step.doneOn ?? step.opens;
      return from ? [{ step, from: x(from), to: step.doneOn ? x(from) : x(step.closes!) }] : [];
    })
    .sort((a, b) => a.from - b.from)
    .map((p) => {
      const label = p.step.title.replace(/,.*$/, '');
      const end = Math.max(p.to, p.from + 8) + label.length * 6.7 + 16;
      let row = ends.findIndex((e) => e <= p.from);
      if (row < 0) row = ends.length;
      ends[row] = end;
      return { ...p, row, label };
    });
}

interface Props {
  steps: PlannedStep[];
  from: string;
  to: string;
  today: string;
  onPick: (step: PlannedStep) => void;
}

/** The course over its years in four lanes: what is done as dots, windows to come as bars with soft openings. */
export function Timeline({ steps, from, to, today, onPick }: Props) {
  const [ref, room] = useWidth<HTMLDivElement>();
  const first = `${from.slice(0, 4)}-01-01`;
  const last = `${Number(to.slice(0, 4)) + 1}-01-01`;
  const years = Number(last.slice(0, 4)) - Number(first.slice(0, 4));
  const width = Math.max(room, GUTTER + years * YEAR_LEAST + 120);
  const days = daysBetween(first, last);
  const x = (iso: string) => GUTTER + (daysBetween(first, iso) / days) * (width - GUTTER - 110);
  let y = HEAD;
  const lanes = LANES.map((lane) => {
    const placed = pack(
      steps.filter((s) => s.lane === lane.id),
      x,
    );
    const top = y;
    const height = (Math.max(0, ...placed.map((p) => p.row)) + 1) * ROW + 12;
    y += height;
    return { ...lane, placed, top, height };
  });
  const colour = (s: PlannedStep) => {
    const now = standing(s, today);
    if (now === 'due' || now === 'late') return { fill: 'var(--due)', line: 'var(--color-accent)' };
    return { fill: 'var(--celadon)', line: 'var(--color-primary)' };
  };
  return (
    <div
      ref={ref}
      className="overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="Course timeline, scrolls sideways"
    >
      <svg width={width} height={y + 20} className="block">
        {Array.from({ length: years + 1 }, (_, i) => `${Number(first.slice(0, 4)) + i}-01-01`).map((iso) => (
          <g key={iso}>
            <line x1={x(iso)} x2={x(iso)} y1={HEAD - 6} y2={y} stroke="var(--color-base-300)" />
            {iso !== last && (
              <text x={x(iso) + 5} y={14} fontSize={13} fill="var(--ink-soft)">
                {iso.slice(0, 4)}
              </text>
            )}
          </g>
        ))}
        <line x1={x(today)} x2={x(today)} y1={HEAD - 4} y2={y} stroke="var(--color-accent)" strokeWidth={2} />
        {lanes.map((lane) => (
          <g key={lane.id}>
            <line x1={0} x2={width} y1={lane.top} y2={lane.top} stroke="var(--color-base-300)" />
            <text x={2} y={lane.top + 20} fontSize={14} fontWeight={600} fill="var(--color-base-content)">
              {lane.name}
            </text>
            {lane.placed.map(({ step, from: a, to: b, row, label }) => {
              const cy = lane.top + 6 + row * ROW + ROW / 2;
              const c = colour(step);
              const done = step.status === 'done';
              const words = done
                ? `${step.title}, done ${shortDate(step.doneOn!, today)}`
                : `${step.title}, ${dateSpan(step.opens!, step.closes!, today)}`;
              return (
                <g
                  key={step.key}
                  role="button"
                  tabIndex={0}
                  aria-label={words}
                  className="cursor-pointer"
                  onClick={() => onPick(step)}
                  onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && onPick(step)}
                >
                  <title>{words}</title>
                  {done ? (
                    <circle cx={a} cy={cy} r={5} fill="var(--color-base-content)" />
                  ) : (
                    <>
                      {step.opensEarly && step.opensLate && (
                        <line
                          x1={x(step.opensEarly)}
                          x2={x(step.opensLate)}
                          y1={cy}
                          y2={cy}
                          stroke={c.line}
                          strokeWidth={1.5}
                        />
                      )}
                      <rect
                        x={a}
                        y={cy - 6}
                        width={Math.max(8, b - a)}
                        height={12}
                        rx={3}
                        fill={c.fill}
                        stroke={c.line}
                        strokeWidth={1.2}
                      />
                    </>
                  )}
                  <text
                    x={Math.max(b, a + 8) + 6}
                    y={cy + 4.5}
                    fontSize={13}
                    fill={done ? 'var(--ink-soft)' : 'var(--color-base-content)'}
                    paintOrder="stroke"
                    stroke="var(--color-base-100)"
                    strokeWidth={3}
                  >
                    {label}
                  </text>
                </g>
              );
            })}
          </g>
        ))}
        <text
          x={x(today)}
          y={y + 14}
          fontSize={13}
          fontWeight={700}
          textAnchor="middle"
          fill="var(--color-accent)"
        >
          today
        </text>
      </svg>
    </div>
  );
}
