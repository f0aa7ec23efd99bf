import { useId, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  along,
  lengthOf,
  lineOf,
  spotAt,
  type Choice,
  type Measures,
  type Root,
  type RootPoint,
  type RootRecord,
  type Room,
  type Spot,
} from '@gonimos/core/roots';
import { bent, newRoot, type Act, type Brush } from './drawing';
import { Ground, PotLine, reachOf } from './ground';
import { RootShape } from './root-shape';
import { wedge } from './shapes';

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
  act: (a: Act) => void;
  onKey?: (e: KeyboardEvent) => void;
}

/** A root under the finger: a new one, or the end or bend of one that is there. */
interface Stroke {
  what: 'new' | 'end' | 'bend';
  root: Root;
  from: Spot;
  moved: boolean;
}

const BARE_FROM = 70;
const TAP_MM = 2;

const polar = ({ x, y }: Spot): RootPoint => ({
  azimuth: ((Math.atan2(x, y) * 180) / Math.PI + 360) % 360,
  out: Math.hypot(x, y),
});

/** The roots from above, to scale: drawn by hand, and what is to be done with each. */
export function PlanView(p: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const hatch = useId();
  const [stroke, setStroke] = useState<Stroke | null>(null);
  const { record, room, measures, act, fixed } = p;
  const reach = reachOf(record);
  const spotOf = (e: PointerEvent): Spot => {
    const box = svg.current!.getBoundingClientRect();
    const scale = (2 * reach) / Math.min(box.width, box.height);
    return {
      x: (e.clientX - box.left - box.width / 2) * scale,
      y: -(e.clientY - box.top - box.height / 2) * scale,
    };
  };
  const begin = (e: PointerEvent, what: Stroke['what'], root: Root | null) => {
    if (fixed) return;
    e.stopPropagation();
    svg.current!.setPointerCapture(e.pointerId);
    const from = spotOf(e);
    setStroke({ what, root: root ?? newRoot(record, polar(from), p.brush), from, moved: false });
  };
  const go = (e: PointerEvent) => {
    if (!stroke) return;
    const now = spotOf(e);
    const moved = stroke.moved || Math.hypot(now.x - stroke.from.x, now.y - stroke.from.y) > TAP_MM;
    const root =
      stroke.what === 'new'
        ? { ...stroke.root, path: newRoot(record, polar(now), p.brush).path }
        : bent(stroke.root, stroke.what, polar(now), record.trunk);
    setStroke({ ...stroke, root, moved });
  };
  const end = () => {
    if (!stroke) return;
    if (stroke.what === 'new') act({ do: 'add', root: stroke.root });
    else if (stroke.moved) act({ do: 'change', root: stroke.root });
    setStroke(null);
  };
  const shown = stroke ? [...record.roots.filter((r) => r.id !== stroke.root.id), stroke.root] : record.roots;
  const inHand = shown.find((r) => r.id === (stroke?.root.id ?? p.chosen));
  const tip = inHand?.path[inHand.path.length - 1];
  const middle =
    inHand && along(lineOf(inHand, record.trunk), 0.5 * lengthOf(lineOf(inHand, record.trunk))).spot;
  const { widest } = measures;
  const handle = reach / 26;
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
      onPointerCancel={() => setStroke(null)}
    >
      <defs>
        <pattern
          id={hatch}
          width={reach / 40}
          height={reach / 40}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={reach / 40} height={reach / 40} fill="var(--due)" />
          <rect width={reach / 90} height={reach / 40} fill="var(--color-accent)" />
        </pattern>
      </defs>
      {widest && widest.gap >= BARE_FROM && (
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
          onPointerDown={(e) => {
            e.stopPropagation();
            act({ do: 'choose', id: root.id });
          }}
        />
      ))}
      <circle
        r={record.trunk / 2}
        fill="var(--wood-pale)"
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
        <>
          <circle
            cx={middle.x}
            cy={-middle.y}
            r={handle * 0.8}
            fill="var(--color-base-100)"
            stroke="var(--color-info)"
            strokeWidth={reach / 150}
            style={{ cursor: 'grab' }}
            onPointerDown={(e) => begin(e, 'bend', inHand)}
          />
          <circle
            cx={spotAt(tip).x}
            cy={-spotAt(tip).y}
            r={handle}
            fill="var(--color-info)"
            style={{ cursor: 'grab' }}
            onPointerDown={(e) => begin(e, 'end', inHand)}
          />
        </>
      )}
    </svg>
  );
}
