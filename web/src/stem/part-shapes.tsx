import { memo } from 'react';
import {
  stemAt,
  type BandLaid,
  type StemPart,
  type StemPartKind,
  type StemRecord,
  type WireLaid,
} from '@gonimos/core/stem';
import { coilStrokes, type At } from './coils';

/** What the drawing is laid out by, mm: how high and wide it is, and the size of its letters. */
export interface Layout {
  top: number;
  wide: number;
  left: number;
  right: number;
  size: number;
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

/** How a part is drawn: from its foot over a bow to its tip. */
function shapeOf(part: StemPart, record: StemRecord, size: number) {
  const aside = asideOf(part, record.front);
  const foot = { x: (stemAt(record, part.height) / 2) * aside, y: -part.height };
  const long = Math.min(size * 13, Math.max(size * 3, part.long ?? part.diameter * LONG));
  const reach = part.kind === 'stub' ? size * 1.6 : long;
  const bow = { x: foot.x + reach * 0.5 * aside, y: foot.y - reach * 0.05 };
  const tip = {
    x: foot.x + reach * aside * 0.9,
    y: foot.y - reach * (part.kind === 'sacrifice' ? 0.75 : 0.3),
  };
  return { foot, bow, tip, aside, thick: Math.max(part.diameter, size * 0.3) };
}

/** A point of a part's middle, at 0 its foot, at 1 its tip. */
const bowed = ({ foot, bow, tip }: Pick<ReturnType<typeof shapeOf>, 'foot' | 'bow' | 'tip'>) =>
  function at(t: number): At {
    const mix = (a: number, b: number, c: number) => (1 - t) ** 2 * a + 2 * t * (1 - t) * b + t ** 2 * c;
    return { x: mix(foot.x, bow.x, tip.x), y: mix(foot.y, bow.y, tip.y) };
  };

/** Wires as they are laid, each turn that is seen. */
export const Wires = memo(function Wires({
  l,
  record,
  laid,
}: {
  l: Layout;
  record: StemRecord;
  laid: readonly WireLaid[];
}) {
  const onPart = (id: string | null, turns: number, coil: WireLaid['coil']): string => {
    const part = record.parts.find((p) => p.id === id);
    if (!part) return '';
    const shape = shapeOf(part, record, l.size);
    return coilStrokes(bowed(shape), () => shape.thick * 1.15, turns, coil);
  };
  const onStem = (w: WireLaid): string => {
    const top = Math.min(w.long, l.top);
    return coilStrokes(
      (t) => ({ x: 0, y: -t * top }),
      (t) => stemAt(record, t * top) * 1.1,
      (w.turns * top) / w.long,
      w.coil,
    );
  };
  const other = (coil: WireLaid['coil']) => (coil === 'clockwise' ? 'anticlockwise' : 'clockwise');
  const strokesOf = (w: WireLaid): string =>
    w.wire.part === null
      ? onStem(w)
      : onPart(w.wire.part, w.turns, w.coil) + onPart(w.wire.with, w.turnsOn, other(w.coil));
  return laid.map((w) => (
    <path
      key={w.wire.part ?? 'stem'}
      d={strokesOf(w)}
      fill="none"
      stroke="var(--color-info)"
      strokeWidth={Math.max(l.size * 0.14, w.gauge * 0.7)}
      strokeLinecap="round"
      pointerEvents="none"
    />
  ));
});

/** What goes around the base: a tourniquet as turns that are seen, a cage as uprights bound by loops. */
export const Bands = memo(function Bands({
  l,
  record,
  laid,
}: {
  l: Layout;
  record: StemRecord;
  laid: readonly BandLaid[];
}) {
  const across = (at: number) => {
    const half = (stemAt(record, at) / 2) * 1.12;
    return `M${-half} ${-at}H${half}`;
  };
  const shape = ({ band, gauge }: BandLaid): string => {
    if (band.what === 'tourniquet') return across(band.at) + across(band.at + gauge * 1.6);
    const top = Math.min(band.at, l.top);
    const uprights = [-0.36, 0, 0.36].map(
      (x) => `M${x * stemAt(record, 0)} 0L${x * stemAt(record, top)} ${-top}`,
    );
    return uprights.join('') + [0.15, 0.5, 0.85].map((t) => across(t * top)).join('');
  };
  return laid.map((b) => (
    <path
      key={b.band.what}
      d={shape(b)}
      fill="none"
      stroke="var(--color-info)"
      strokeWidth={Math.max(l.size * 0.14, b.gauge * 0.7)}
      strokeLinecap="round"
      pointerEvents="none"
    />
  ));
});

interface PartProps {
  part: StemPart;
  record: StemRecord;
  size: number;
  chosen: boolean;
  /** null while taps are meant for the picture behind */
  onChoose: ((id: string) => void) | null;
}

/**
 * A part from the side it is seen from: a bud is a dot, what has length leans outward and up. Of sixty, a tap draws
 * the two anew that it bears on.
 */
export const Part = memo(function Part({ part, record, size, chosen, onChoose }: PartProps) {
  const { foot, bow, tip, aside, thick } = shapeOf(part, record, size);
  const { x, y } = foot;
  const path = `M${x} ${y}Q${bow.x} ${bow.y} ${tip.x} ${tip.y}`;
  return (
    <g
      onPointerDown={(e) => {
        if (!onChoose) return;
        e.stopPropagation();
        onChoose(part.id);
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
});
