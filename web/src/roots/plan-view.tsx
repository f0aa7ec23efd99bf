import { useCallback, useId, type KeyboardEvent, type PointerEvent } from 'react';
import {
  across,
  along,
  lengthOf,
  lineOf,
  reachOf,
  spotAt,
  wedge,
  type Choice,
  type Measures,
  type Root,
  type RootRecord,
  type Room,
  type Spot,
} from '@gonimos/core/roots';
import { type Act, type Brush } from './drawing';
import { Ground, PotLine } from './ground';
import { RootShape } from './root-shape';
import { useStroke } from './use-stroke';
import type { Trace } from '../drawings/trace';
import { TraceImage } from '../drawings/trace-image';

interface Props {
  record: RootRecord;
  chosen: string | null;
  brush: Brush;
  /** what is to be done with each root, and the number of its line; null while that is not known */
  choices: readonly Choice[] | null;
  numbers: ReadonlyMap<string, number>;
  measures: Measures;
  room: Room | null;
  /** drawing is over: only roots can be chosen */
  fixed?: boolean;
  /** a picture to be traced */
  trace?: Trace | null;
  /** the next two taps place the picture, and draw nothing */
  onPlaced?: ((middle: Spot, edge: Spot) => void) | null;
  act: (a: Act) => void;
  onKey?: (e: KeyboardEvent) => void;
}

const BARE_FROM = 70;

interface HandlesProps {
  root: Root;
  trunk: number;
  reach: number;
  tip: Spot;
  middle: Spot;
  onTake: (e: PointerEvent, what: 'end' | 'bend' | 'thick') => void;
}

/** What the root in hand is drawn by: its end, its bend, and its side. */
function Handles({ root, trunk, reach, tip, middle, onTake }: HandlesProps) {
  const [side] = across(lineOf(root, trunk), Math.min(trunk * 0.4, 12), root.diameter / 2 + reach / 28);
  const size = reach / 26;
  const line = { stroke: 'var(--color-info)', strokeWidth: reach / 150, style: { cursor: 'grab' } };
  const at = (s: Spot) => ({ cx: s.x, cy: -s.y });
  return (
    <>
      <circle
        {...at(side)}
        {...line}
        r={size * 0.6}
        fill="var(--color-info)"
        onPointerDown={(e) => onTake(e, 'thick')}
      />
      <circle
        {...at(middle)}
        {...line}
        r={size * 0.8}
        fill="var(--color-base-100)"
        onPointerDown={(e) => onTake(e, 'bend')}
      />
      <circle
        {...at(tip)}
        {...line}
        r={size}
        fill="var(--color-info)"
        onPointerDown={(e) => onTake(e, 'end')}
      />
    </>
  );
}

/** What fills a root that goes: told by its lines as by its colour. */
function Hatch({ id, reach }: { id: string; reach: number }) {
  return (
    <defs>
      <pattern
        id={id}
        width={reach / 40}
        height={reach / 40}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width={reach / 40} height={reach / 40} fill="var(--due)" />
        <rect width={reach / 90} height={reach / 40} fill="var(--color-accent)" />
      </pattern>
    </defs>
  );
}

/** The roots from above, to scale: drawn by hand, and what is to be done with each. */
export function PlanView(p: Props) {
  const hatch = useId();
  const { record, room, measures, act, fixed } = p;
  const reach = reachOf(record);
  const { svg, stroke, begin, go, end, cancel } = useStroke(p, reach);
  const shown = stroke ? [...record.roots.filter((r) => r.id !== stroke.root.id), stroke.root] : record.roots;
  const inHand = shown.find((r) => r.id === (stroke?.root.id ?? p.chosen));
  const tip = inHand?.path[inHand.path.length - 1];
  const middle =
    inHand && along(lineOf(inHand, record.trunk), 0.5 * lengthOf(lineOf(inHand, record.trunk))).spot;
  const { widest } = measures;
  const placing = Boolean(p.onPlaced);
  const take = useCallback(
    (e: PointerEvent, id: string) => {
      if (placing) return;
      e.stopPropagation();
      act({ do: 'choose', id });
    },
    [placing, act],
  );
  return (
    <svg
      ref={svg}
      viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`}
      className="block aspect-square w-full touch-none select-none"
      role="group"
      tabIndex={0}
      aria-label={`Roots from above: ${record.roots.length}. Draw outward from the trunk; keys: plus adds, arrows turn and lengthen, square brackets thickness, comma and full stop choose`}
      onKeyDown={p.onKey}
      onPointerDown={(e) => begin(e, 'new', null)}
      onPointerMove={go}
      onPointerUp={end}
      onPointerCancel={cancel}
    >
      <Hatch id={hatch} reach={reach} />
      {p.trace && <TraceImage trace={p.trace} opacity={0.55} />}
      {widest && widest.gap >= BARE_FROM && !p.trace && (
        <path
          d={wedge(widest.middle - widest.gap / 2 + 4, widest.middle + widest.gap / 2 - 4, reach * 0.86)}
          fill="var(--cold)"
        />
      )}
      <Ground reach={reach} record={record} />
      {room && <PotLine room={room} reach={reach} />}
      {shown.map((root) => (
        <RootShape
          key={root.id}
          root={root}
          trunk={record.trunk}
          hatch={hatch}
          reach={reach}
          chosen={root.id === inHand?.id}
          choice={
            stroke?.root.id === root.id
              ? null
              : (p.choices?.find((c) => record.roots[c.root]?.id === root.id) ?? null)
          }
          number={stroke?.root.id === root.id ? undefined : p.numbers.get(root.id)}
          onTake={take}
        />
      ))}
      <circle
        r={record.trunk / 2}
        fill={p.trace ? 'none' : 'var(--wood-pale)'}
        stroke="var(--wood-line)"
        strokeWidth={reach / 150}
      />
      {[0.75, 0.5, 0.25].map((part) => (
        <circle
          key={part}
          r={(record.trunk / 2) * part}
          fill="none"
          stroke="var(--wood)"
          strokeWidth={reach / 300}
        />
      ))}
      {widest && widest.gap >= BARE_FROM && (
        <text
          x={spotAt({ azimuth: widest.middle, out: reach * 0.6 }).x}
          y={-spotAt({ azimuth: widest.middle, out: reach * 0.6 }).y}
          textAnchor="middle"
          fontSize={reach / 22}
          fontWeight={700}
          fill="var(--color-info)"
          pointerEvents="none"
        >
          bare side
        </text>
      )}
      {inHand && tip && middle && !fixed && (
        <Handles
          root={inHand}
          trunk={record.trunk}
          reach={reach}
          tip={spotAt(tip)}
          middle={middle}
          onTake={(e, what) => begin(e, what, inHand)}
        />
      )}
    </svg>
  );
}
