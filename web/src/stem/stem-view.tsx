import type { PointerEvent } from 'react';
import {
  isAlive,
  placesOf,
  stemAt,
  type ChopCut,
  type StemPart,
  type StemPartKind,
  type StemRecord,
} from '@gonimos/core/stem';
import { length } from '../common/units';

interface Props {
  record: StemRecord;
  finished: number | null;
  band: { from: number; to: number } | null;
  /** where it may be cut, best first, and where it is decided to be */
  cuts: readonly ChopCut[];
  cutAt: number | null;
  chosen: string | null;
  onChoose: (id: string | null) => void;
  /** a place on the stem was tapped: how high, and on which side seen from the front */
  onPlace: (height: number, side: 1 | -1) => void;
}

const RAD = Math.PI / 180;
/** A branch is drawn so many times as long as it is thick, within bounds of the stem. */
const LONG = 16;

const FILL: Record<StemPartKind, string> = {
  bud: 'var(--celadon-deep)',
  shoot: 'var(--celadon-deep)',
  branch: 'var(--bark)',
  sacrifice: 'var(--wood)',
  stub: 'var(--ink-soft)',
};

/** To the right seen from the front: 1; towards the viewer or away: 0. */
const asideOf = (p: StemPart, front: number) => Math.sin((p.azimuth - front - 180) * RAD);

/** A part from the side it is seen from: a bud is a dot, what has length leans outward and up. */
function Part({
  part,
  record,
  size,
  chosen,
  onChoose,
}: {
  part: StemPart;
  record: StemRecord;
  size: number;
  chosen: boolean;
  onChoose: () => void;
}) {
  const aside = asideOf(part, record.front);
  const x = (stemAt(record, part.height) / 2) * aside;
  const y = -part.height;
  const long = Math.min(size * 13, Math.max(size * 3, part.diameter * LONG));
  const reach = part.kind === 'stub' ? size * 1.6 : long;
  const tip = { x: x + reach * aside * 0.9, y: y - reach * (part.kind === 'sacrifice' ? 0.75 : 0.3) };
  const thick = Math.max(part.diameter, size * 0.3);
  const path = `M${x} ${y}Q${x + reach * 0.5 * aside} ${y - reach * 0.05} ${tip.x} ${tip.y}`;
  return (
    <g
      onPointerDown={(e) => {
        e.stopPropagation();
        onChoose();
      }}
      style={{ cursor: 'pointer' }}
    >
      {part.kind === 'bud' ? (
        <circle cx={x + size * 0.3 * aside} cy={y} r={size * 0.45} fill={FILL.bud} />
      ) : (
        <path
          d={path}
          fill="none"
          stroke={FILL[part.kind]}
          strokeWidth={thick}
          strokeLinecap={part.kind === 'stub' ? 'butt' : 'round'}
          strokeDasharray={part.kind === 'sacrifice' ? `${size * 1.4} ${size * 0.5}` : undefined}
        />
      )}
      {chosen && (
        <circle cx={x} cy={y} r={size * 1.1} fill="none" stroke="var(--color-info)" strokeWidth={size / 5} />
      )}
      {/* wide enough for a thumb */}
      <path
        d={part.kind === 'bud' ? `M${x} ${y}h0.1` : path}
        stroke="transparent"
        strokeWidth={size * 2.2}
        strokeLinecap="round"
        fill="none"
      />
      <text
        x={
          part.kind === 'bud'
            ? x + Math.sign(aside || 1) * size * 1.6
            : tip.x + Math.sign(aside || 1) * size * 0.8
        }
        y={(part.kind === 'bud' ? y : tip.y) + size * 0.3}
        textAnchor={aside < 0 ? 'end' : 'start'}
        fontSize={size}
        fill="var(--ink-soft)"
        pointerEvents="none"
      >
        {part.id}
      </text>
    </g>
  );
}

/** How high the drawing reaches, mm: what is decided about lies low on a tall stem, and the rest only goes on. */
function topOf(record: StemRecord, finished: number | null): number {
  const parts = Math.max(0, ...record.parts.map((p) => p.height));
  const wanted = Math.max(parts * 1.15, (finished ?? 0) * 1.2);
  return wanted === 0 ? record.height * 1.04 : Math.max(wanted, Math.min(record.height * 1.04, wanted * 1.2));
}

/** The stem from the front, to scale: what stands on it, where branches are wanted, and where it may be cut. */
export function StemView(p: Props) {
  const { record, finished } = p;
  const top = topOf(record, finished);
  const cutOff = record.height > top;
  const wide = Math.max(top * 0.9, record.base * 3);
  const size = top / 30;
  const left = -wide / 2 - size * 3;
  const half = record.base / 2;
  const sides = [
    { at: 0, mm: record.base },
    ...record.girths.filter((g) => g.at < top).toSorted((a, b) => a.at - b.at),
    { at: Math.min(record.height, top), mm: stemAt(record, Math.min(record.height, top)) },
  ];
  const outline = `M${sides.map((s) => `${-s.mm / 2} ${-s.at}`).join('L')}L${sides
    .toReversed()
    .map((s) => `${s.mm / 2} ${-s.at}`)
    .join('L')}Z`;
  const step = top > 1500 ? 500 : top > 600 ? 200 : top > 300 ? 100 : 50;
  const ticks = Array.from({ length: Math.floor(top / step) + 1 }, (_, i) => i * step);
  const places = finished === null ? [] : placesOf(record, finished);
  const tapped = (e: PointerEvent<SVGSVGElement>) => {
    const svg = e.currentTarget;
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
    const height = -at.y;
    if (height < 0 || height > record.height) return p.onChoose(null);
    p.onPlace(height, at.x < 0 ? -1 : 1);
  };
  const cut = p.cutAt;
  return (
    <svg
      viewBox={`${left} ${-top - size * 2} ${wide + size * 6} ${top + size * 4}`}
      className="block max-h-[30rem] w-full touch-none select-none"
      role="group"
      aria-label={`The stem from the front: ${length(record.height)} high, ${record.parts.length} parts. Tap a height to add one`}
      onPointerDown={tapped}
    >
      {p.band && (
        <rect
          x={left}
          y={-p.band.to}
          width={wide + size * 6}
          height={p.band.to - p.band.from}
          fill="var(--due)"
        />
      )}
      {ticks.map((t) => (
        <g key={t}>
          <line
            x1={left}
            x2={left + wide + size * 6}
            y1={-t}
            y2={-t}
            stroke="var(--color-base-300)"
            strokeWidth={size / 12}
          />
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
            x1={left}
            x2={left + wide + size * 6}
            y1={-finished}
            y2={-finished}
            stroke="var(--color-base-content)"
            strokeWidth={size / 8}
            strokeDasharray={`${size / 2} ${size / 3}`}
          />
          <text
            x={left + wide + size * 6}
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
      {places.map((place) => (
        <g key={place.height}>
          <line
            x1={wide / 2 + size * 1.2}
            x2={wide / 2 + size * 2.8}
            y1={-place.height}
            y2={-place.height}
            stroke={place.part ? 'var(--celadon-deep)' : 'var(--color-accent)'}
            strokeWidth={size / 3}
            strokeDasharray={place.part ? undefined : `${size / 3} ${size / 4}`}
          />
        </g>
      ))}
      <path d={outline} fill="var(--wood)" stroke="var(--wood-line)" strokeWidth={size / 10} />
      {cutOff && (
        <text x={0} y={-top - size * 0.4} textAnchor="middle" fontSize={size} fill="var(--ink-soft)">
          goes on to {length(record.height)}
        </text>
      )}
      {cut !== null && cut < record.height && (
        <path
          d={`M${-stemAt(record, cut) / 2 - size} ${-cut}H${stemAt(record, cut) / 2 + size}`}
          stroke="var(--color-accent)"
          strokeWidth={size / 3}
        />
      )}
      {record.parts
        .toSorted((a, b) => Number(isAlive(a)) - Number(isAlive(b)))
        .map((part) => (
          <Part
            key={part.id}
            part={part}
            record={record}
            size={size}
            chosen={part.id === p.chosen}
            onChoose={() => p.onChoose(part.id)}
          />
        ))}
      {p.cuts.slice(0, 3).map((c, i) => (
        <g
          key={c.at}
          transform={`translate(${-wide / 2 + size * (0.5 + i * 1.8)} ${-c.at})`}
          pointerEvents="none"
        >
          <line
            x1={0}
            x2={wide / 2 - size * (0.5 + i * 1.8) + half}
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
      ))}
    </svg>
  );
}
