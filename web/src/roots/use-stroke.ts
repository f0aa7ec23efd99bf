import { useRef, useState, type PointerEvent } from 'react';
import type { Root, RootPoint, RootRecord, Spot } from '@gonimos/core/roots';
import { bent, newRoot, thickened, type Act, type Brush } from './drawing';

/** A root under the finger: a new one, or the end or bend of one that is there. */
interface Stroke {
  what: 'new' | 'end' | 'bend' | 'thick';
  root: Root;
  from: Spot;
  moved: boolean;
}

/** What moves by less was a tap, mm. */
const TAP_MM = 2;

const polar = ({ x, y }: Spot): RootPoint => ({
  azimuth: ((Math.atan2(x, y) * 180) / Math.PI + 360) % 360,
  out: Math.hypot(x, y),
});

interface Props {
  record: RootRecord;
  brush: Brush;
  fixed?: boolean;
  onPlaced?: ((middle: Spot, edge: Spot) => void) | null;
  act: (a: Act) => void;
}

/** A stroke on the drawing, from where it is put down until it is lifted; only then it is drawn. */
export function useStroke({ record, brush, fixed, onPlaced, act }: Props, reach: number) {
  const svg = useRef<SVGSVGElement>(null);
  const [stroke, setStroke] = useState<Stroke | null>(null);
  const [tapped, setTapped] = useState<Spot | null>(null);
  const spotOf = (e: PointerEvent): Spot => {
    const box = svg.current!.getBoundingClientRect();
    const scale = (2 * reach) / Math.min(box.width, box.height);
    return {
      x: (e.clientX - box.left - box.width / 2) * scale,
      y: -(e.clientY - box.top - box.height / 2) * scale,
    };
  };
  const place = (e: PointerEvent) => {
    const at = spotOf(e);
    if (tapped) onPlaced!(tapped, at);
    setTapped(tapped ? null : at);
  };
  const begin = (e: PointerEvent, what: Stroke['what'], root: Root | null) => {
    if (fixed) return;
    if (onPlaced) return place(e);
    e.stopPropagation();
    svg.current!.setPointerCapture(e.pointerId);
    const from = spotOf(e);
    setStroke({ what, root: root ?? newRoot(record, polar(from), brush), from, moved: false });
  };
  const go = (e: PointerEvent) => {
    if (!stroke) return;
    const now = spotOf(e);
    const moved = stroke.moved || Math.hypot(now.x - stroke.from.x, now.y - stroke.from.y) > TAP_MM;
    const root =
      stroke.what === 'new'
        ? { ...stroke.root, path: newRoot(record, polar(now), brush).path }
        : stroke.what === 'thick'
          ? thickened(stroke.root, polar(now))
          : bent(stroke.root, stroke.what, polar(now), record.trunk);
    setStroke({ ...stroke, root, moved });
  };
  const end = () => {
    if (!stroke) return;
    if (stroke.what === 'new') act({ do: 'add', root: stroke.root });
    else if (stroke.moved) act({ do: 'change', root: stroke.root });
    setStroke(null);
  };
  return { svg, stroke, begin, go, end, cancel: () => setStroke(null) };
}
