import { memo, useMemo, useState, type PointerEvent } from 'react';
import {
  isAlive,
  placesOf,
  stemAt,
  type BandLaid,
  type ChopCut,
  type StemRecord,
  type WireLaid,
} from '@gonimos/core/stem';
import { length } from '../common/units';
import type { Spot, Trace } from '../drawings/trace';
import { TraceImage } from '../drawings/trace-image';
import { Bands, Part, Wires, type Layout } from './part-shapes';

interface Props {
  record: StemRecord;
  finished: number | null;
  band: { from: number; to: number } | null;
  /** where it may be cut, best first, and where it is decided to be */
  cuts: readonly ChopCut[];
  cutAt: number | null;
  /** wires that are on it or are to go on */
  laid: readonly WireLaid[];
  bands: readonly BandLaid[];
  chosen: string | null;
  /** a picture behind it, to be traced */
  trace: Trace | null;
  /** set while taps place that picture: what was tapped first, and second */
  onPlaced: ((first: Spot, second: Spot) => void) | null;
  onChoose: (id: string | null) => void;
  /** a place on the stem was tapped: how high, and on which side seen from the front */
  onPlace: (height: number, side: 1 | -1) => void;
}

/** How high the drawing reaches, mm: what is decided about lies low on a tall stem, and the rest only goes on. */
function topOf(record: StemRecord, finished: number | null): number {
  const parts = Math.max(0, ...record.parts.map((p) => p.height));
  const wanted = Math.max(parts * 1.15, (finished ?? 0) * 1.2);
  return wanted === 0 ? record.height * 1.04 : Math.max(wanted, Math.min(record.height * 1.04, wanted * 1.2));
}

function layoutOf(record: StemRecord, finished: number | null): Layout {
  const top = topOf(record, finished);
  const wide = Math.max(top * 0.9, record.base * 3);
  const size = top / 30;
  return { top, wide, left: -wide / 2 - size * 3, right: wide / 2 + size * 3, size };
}

/** Heights above the soil, the band of the first cut, the finished height, and where branches are wanted. */
const Heights = memo(function Heights({
  l,
  record,
  finished,
  band,
}: Pick<Props, 'record' | 'finished' | 'band'> & { l: Layout }) {
  const { top, left, right, size, wide } = l;
  const step = top > 1500 ? 500 : top > 600 ? 200 : top > 300 ? 100 : 50;
  const ticks = Array.from({ length: Math.floor(top / step) + 1 }, (_, i) => i * step);
  const across = (height: number) => ({ x1: left, x2: right, y1: -height, y2: -height });
  return (
    <>
      {band && (
        <rect x={left} y={-band.to} width={right - left} height={band.to - band.from} fill="var(--due)" />
      )}
      {ticks.map((t) => (
        <g key={t}>
          <line {...across(t)} stroke="var(--color-base-300)" strokeWidth={size / 12} />
          {(finished === null || Math.abs(t - finished) > size * 1.5) && (
            <text x={left} y={-t - size * 0.25} fontSize={size} fill="var(--ink-soft)">
              {length(t)}
            </text>
          )}
        </g>
      ))}
      {finished !== null && (
        <g>
          <line
            {...across(finished)}
            stroke="var(--color-base-content)"
            strokeWidth={size / 8}
            strokeDasharray={`${size / 2} ${size / 3}`}
          />
          <text
            x={right}
            y={-finished - size * 0.3}
            textAnchor="end"
            fontSize={size}
            fontWeight={700}
            fill="var(--color-base-content)"
          >
            finished
          </text>
        </g>
      )}
      {(finished === null ? [] : placesOf(record, finished)).map((place) => (
        <line
          key={place.height}
          x1={wide / 2 + size * 1.2}
          x2={wide / 2 + size * 2.8}
          y1={-place.height}
          y2={-place.height}
          stroke={place.part ? 'var(--celadon-deep)' : 'var(--color-accent)'}
          strokeWidth={size / 3}
          strokeDasharray={place.part ? undefined : `${size / 3} ${size / 4}`}
        />
      ))}
    </>
  );
});

/** The stem itself, between the calipers that were taken; where it is to be cut is a bar. */
const Trunk = memo(function Trunk({ l, record, cutAt }: Pick<Props, 'record' | 'cutAt'> & { l: Layout }) {
  const { top, size } = l;
  const end = Math.min(record.height, top);
  const sides = [
    { at: 0, mm: record.base },
    ...record.girths.filter((g) => g.at < top).toSorted((a, b) => a.at - b.at),
    { at: end, mm: stemAt(record, end) },
  ];
  const up = sides.map((s) => `${-s.mm / 2} ${-s.at}`);
  const down = sides.toReversed().map((s) => `${s.mm / 2} ${-s.at}`);
  const half = cutAt === null ? 0 : stemAt(record, cutAt) / 2 + size;
  return (
    <>
      <path
        d={`M${[...up, ...down].join('L')}Z`}
        fill="var(--wood)"
        stroke="var(--wood-line)"
        strokeWidth={size / 10}
      />
      {record.height > top && (
        <text x={0} y={-top - size * 0.4} textAnchor="middle" fontSize={size} fill="var(--ink-soft)">
          goes on to {length(record.height)}
        </text>
      )}
      {cutAt !== null && cutAt < record.height && (
        <path d={`M${-half} ${-cutAt}H${half}`} stroke="var(--color-accent)" strokeWidth={size / 3} />
      )}
    </>
  );
});

/** How many cuts are numbered in the drawing. */
const NUMBERED = 3;

/** The best cuts by number, each with a line to where it is made. */
const Cuts = memo(function Cuts({ l, record, cuts }: Pick<Props, 'record' | 'cuts'> & { l: Layout }) {
  const { wide, size } = l;
  return cuts.slice(0, NUMBERED).map((c, i) => {
    const x = -wide / 2 + size * (0.5 + i * 1.8);
    return (
      <g key={c.at} transform={`translate(${x} ${-c.at})`} pointerEvents="none">
        <line
          x1={0}
          x2={record.base / 2 - x}
          y1={0}
          y2={0}
          stroke="var(--color-accent)"
          strokeWidth={size / 10}
          strokeDasharray={`${size / 3} ${size / 3}`}
        />
        <circle r={size * 0.8} fill="var(--color-base-content)" />
        <text
          textAnchor="middle"
          y={size * 0.36}
          fontSize={size}
          fontWeight={700}
          fill="var(--color-base-100)"
        >
          {i + 1}
        </text>
      </g>
    );
  });
});

/** The stem from the front, to scale: what stands on it, where branches are wanted, and where it may be cut. */
export function StemView(p: Props) {
  const { record, finished } = p;
  // the same for as long as the stem is: what a tap leaves alone is then not drawn anew
  const l = useMemo(() => layoutOf(record, finished), [record, finished]);
  const [first, setFirst] = useState<Spot | null>(null);
  const tapped = (e: PointerEvent<SVGSVGElement>) => {
    const svg = e.currentTarget;
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
    const height = -at.y;
    if (p.onPlaced) {
      const spot = { x: at.x, y: height };
      if (first) p.onPlaced(first, spot);
      setFirst(first ? null : spot);
      return;
    }
    if (height < 0 || height > record.height) return p.onChoose(null);
    p.onPlace(height, at.x < 0 ? -1 : 1);
  };
  return (
    <svg
      viewBox={`${l.left} ${-l.top - l.size * 2} ${l.right - l.left} ${l.top + l.size * 4}`}
      className="block max-h-[30rem] w-full touch-none select-none"
      role="group"
      aria-label={`The stem from the front: ${length(record.height)} high, ${record.parts.length} parts. Tap a height to add one`}
      onPointerDown={tapped}
    >
      {p.trace && <TraceImage trace={p.trace} opacity={0.75} />}
      <Heights l={l} record={record} finished={finished} band={p.band} />
      <Trunk l={l} record={record} cutAt={p.cutAt} />
      {record.parts
        .toSorted((a, b) => Number(isAlive(a)) - Number(isAlive(b)))
        .map((part) => (
          <Part
            key={part.id}
            part={part}
            record={record}
            size={l.size}
            chosen={part.id === p.chosen}
            onChoose={p.onPlaced ? null : p.onChoose}
          />
        ))}
      <Wires l={l} record={record} laid={p.laid} />
      <Bands l={l} record={record} laid={p.bands} />
      <Cuts l={l} record={record} cuts={p.cuts} />
    </svg>
  );
}
