import { useLayoutEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import type { PlannedStep } from '@gonimos/core/course';
import { dateSpan, shortDate } from '../common/dates';
import { useWidth } from '../common/use-width';
import { LANES, standing } from './lanes';

const ROW = 20;
const GUTTER = 78;
const HEAD = 24;
const YEAR_LEAST = 104;
const TAIL = 120;

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
      const label = p.step.title.replace(/[,:].*$/, '');
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
  /** aftercare of other steps is drawn too */
  care: boolean;
  onPick: (step: PlannedStep) => void;
  /** a step was dragged, or moved with the arrow keys, to a day; not given: nothing can be moved */
  onMove?: (step: PlannedStep, to: string) => void;
}

/** A step under the hand: where its day would be. */
interface Drag {
  key: string;
  startX: number;
  days: number;
}

const KEYS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageUp: -28, PageDown: 28 };

interface HandProps extends Pick<Props, 'onMove' | 'onPick'> {
  /** pixels a day */
  perDay: number;
}

/** Steps moved by dragging or by the arrow keys, and picked. */
function useHand({ perDay, onMove, onPick }: HandProps) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const dragged = useRef(false);
  const movable = (s: PlannedStep) => onMove !== undefined && s.status === 'planned' && s.target !== null;
  const begin = (e: PointerEvent<SVGGElement>, s: PlannedStep) => {
    if (!movable(s) || e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    dragged.current = false;
    setDrag({ key: s.key, startX: e.clientX, days: 0 });
  };
  const move = (e: PointerEvent<SVGGElement>) => {
    if (!drag) return;
    const by = Math.round((e.clientX - drag.startX) / perDay);
    if (Math.abs(e.clientX - drag.startX) > 4) dragged.current = true;
    setDrag({ ...drag, days: by });
  };
  const end = (s: PlannedStep) => {
    if (!drag) return;
    setDrag(null);
    if (dragged.current && drag.days !== 0) onMove?.(s, addDays(s.target!, drag.days));
  };
  const key = (e: KeyboardEvent, s: PlannedStep) => {
    if (e.key === 'Enter' || e.key === ' ') {
      e.preventDefault();
      onPick(s);
    } else if (e.key in KEYS && movable(s)) {
      e.preventDefault();
      const by = KEYS[e.key];
      onMove?.(s, addDays(s.target!, e.shiftKey ? by * 7 : by));
    }
  };
  const letGo = () => setDrag(null);
  return { drag, dragged, movable, begin, move, end, letGo, key };
}

function colourOf(step: PlannedStep, today: string): { fill: string; line: string } {
  const now = standing(step, today);
  return now === 'due' || now === 'late'
    ? { fill: 'var(--due)', line: 'var(--color-accent)' }
    : { fill: 'var(--celadon)', line: 'var(--color-primary)' };
}

interface BarProps {
  step: PlannedStep;
  /** left and right end, and the height of the line it lies on, px */
  from: number;
  to: number;
  cy: number;
  label: string;
  x: (iso: string) => number;
  perDay: number;
  today: string;
  hand: ReturnType<typeof useHand>;
  onPick: (s: PlannedStep) => void;
}

/** The window of a step to come: soft opening, bar, and the day the plan counts on, under the hand while dragged. */
function WindowOf({
  step,
  from,
  to,
  cy,
  x,
  today,
  by,
}: Omit<BarProps, 'hand' | 'label' | 'perDay' | 'onPick'> & { by: number | null }) {
  const c = colourOf(step, today);
  const held = by !== null;
  const at = step.target ? x(step.target) + (by ?? 0) : 0;
  return (
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
        x={from}
        y={cy - 6}
        width={Math.max(8, to - from)}
        height={12}
        rx={3}
        fill={c.fill}
        stroke={c.line}
        strokeWidth={step.moved ? 2.4 : 1.2}
        strokeDasharray={step.moved?.overrides ? '4 2' : undefined}
      />
      {step.target && (
        <line
          x1={at}
          x2={at}
          y1={cy - (held ? 11 : 6)}
          y2={cy + (held ? 11 : 6)}
          stroke={held ? 'var(--color-info)' : c.line}
          strokeWidth={held ? 4 : 2.5}
        />
      )}
    </>
  );
}

/** One step in its lane: a dot when it is done, a bar while it is to come. */
function Bar({ step, from, to, cy, label, x, perDay, today, hand, onPick }: BarProps) {
  const { drag, dragged, movable, begin, move, end, letGo, key } = hand;
  const done = step.status === 'done';
  const held = drag?.key === step.key ? drag : null;
  const words = done
    ? `${step.title}, done ${shortDate(step.doneOn!, today)}`
    : `${step.title}, ${dateSpan(step.opens!, step.closes!, today)}${movable(step) ? `, planned for ${shortDate(step.target!, today)}; arrow keys move it by a day, with shift by a week` : ''}`;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={words}
      className={movable(step) ? 'cursor-grab active:cursor-grabbing' : 'cursor-pointer'}
      style={{ touchAction: movable(step) ? 'pan-y' : undefined }}
      onClick={() => !dragged.current && onPick(step)}
      onKeyDown={(e) => key(e, step)}
      onPointerDown={(e) => begin(e, step)}
      onPointerMove={move}
      onPointerUp={() => end(step)}
      onPointerCancel={letGo}
    >
      <title>{words}</title>
      <rect
        x={from - 6}
        y={cy - ROW / 2}
        width={Math.max(20, to - from + 12)}
        height={ROW}
        fill="transparent"
      />
      {done ? (
        <circle cx={from} cy={cy} r={5} fill="var(--color-base-content)" />
      ) : (
        <WindowOf
          step={step}
          from={from}
          to={to}
          cy={cy}
          x={x}
          today={today}
          by={held && held.days * perDay}
        />
      )}
      <text
        x={Math.max(to, from + 8) + 6}
        y={cy + 4.5}
        fontSize={13}
        fill={done ? 'var(--ink-soft)' : 'var(--color-base-content)'}
        paintOrder="stroke"
        stroke="var(--color-base-100)"
        strokeWidth={3}
      >
        {held && held.days !== 0 ? shortDate(addDays(step.target!, held.days), today) : label}
      </text>
    </g>
  );
}

/** The course over its years in four lanes: what is done as dots, windows to come as bars with soft openings. */
export function Timeline({ steps, from, to, today, care, onPick, onMove }: Props) {
  const [ref, room] = useWidth<HTMLDivElement>();
  // the page opens on today, with what was done last to its left
  const todayAt = useRef(0);
  const first = `${from.slice(0, 4)}-01-01`;
  const last = `${Number(to.slice(0, 4)) + 1}-01-01`;
  const years = Number(last.slice(0, 4)) - Number(first.slice(0, 4));
  const width = Math.max(room, GUTTER + years * YEAR_LEAST + TAIL);
  const days = daysBetween(first, last);
  const perDay = (width - GUTTER - TAIL) / days;
  const x = (iso: string) => GUTTER + daysBetween(first, iso) * perDay;
  useLayoutEffect(() => {
    todayAt.current = x(today);
  });
  useLayoutEffect(() => {
    if (ref.current) ref.current.scrollLeft = Math.max(0, todayAt.current - 280);
  }, [ref, room]);
  let y = HEAD;
  const lanes = [];
  for (const lane of LANES) {
    const placed = pack(
      steps.filter((s) => s.lane === lane.id && (care || s.chain === null)),
      x,
    );
    const top = y;
    const height = (Math.max(0, ...placed.map((p) => p.row)) + 1) * ROW + 12;
    y += height;
    lanes.push({ ...lane, placed, top, height });
  }
  const hand = useHand({ perDay, onMove, onPick });
  return (
    <div className="relative">
      <div
        aria-hidden="true"
        className="pointer-events-none absolute inset-y-0 left-0 z-1 w-19 bg-base-100 after:absolute after:inset-y-0 after:left-full after:w-10 after:bg-linear-to-r after:from-base-100 after:to-transparent"
      >
        {lanes.map((lane) => (
          <span key={lane.id} className="absolute text-sm font-semibold" style={{ top: lane.top + 6 }}>
            {lane.name}
          </span>
        ))}
      </div>
      <div
        ref={ref}
        className="overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label="Course over the years, scrolls sideways"
      >
        <svg width={width} height={y + 22} role="group" aria-label="Steps in lanes">
          {Array.from({ length: years + 1 }, (_, i) => `${Number(first.slice(0, 4)) + i}-01-01`).map(
            (iso) => (
              <g key={iso}>
                <line x1={x(iso)} x2={x(iso)} y1={HEAD - 6} y2={y} stroke="var(--color-base-300)" />
                {iso !== last && (
                  <text x={x(iso) + 5} y={14} fontSize={13} fill="var(--ink-soft)">
                    {iso.slice(0, 4)}
                  </text>
                )}
              </g>
            ),
          )}
          <line
            x1={x(today)}
            x2={x(today)}
            y1={HEAD - 4}
            y2={y}
            stroke="var(--color-accent)"
            strokeWidth={2}
          />
          {lanes.map((lane) => (
            <g key={lane.id}>
              <line x1={0} x2={width} y1={lane.top} y2={lane.top} stroke="var(--color-base-300)" />
              {lane.placed.map(({ step, from: a, to: b, row, label }) => {
                return (
                  <Bar
                    key={step.key}
                    step={step}
                    from={a}
                    to={b}
                    cy={lane.top + 6 + row * ROW + ROW / 2}
                    label={label}
                    x={x}
                    perDay={perDay}
                    today={today}
                    hand={hand}
                    onPick={onPick}
                  />
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
    </div>
  );
}
