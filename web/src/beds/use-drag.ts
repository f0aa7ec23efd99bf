import { useCallback, useEffect, useRef, useState, type PointerEvent } from 'react';
import type { RoomCohort } from '@gonimos/contract/beds';

/** Moved by less than this it was a tap, px. */
const TAP = 6;

const bedAt = (x: number, y: number): string | null =>
  document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-bed]')?.dataset.bed ?? null;

/**
 * A cohort carried from bench to bench by hand. Its mark follows the pointer by a style of its own, so that nothing is
 * drawn anew while it moves; only the bench under it is.
 */
export function useDrag(onTap: (c: RoomCohort) => void, onDrop: (c: RoomCohort, bed: string) => void) {
  const mark = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<RoomCohort | null>(null);
  const [over, setOver] = useState<string | null>(null);
  const from = useRef({ x: 0, y: 0 });
  const latest = useRef({ onTap, onDrop });
  useEffect(() => {
    latest.current = { onTap, onDrop };
  });
  useEffect(() => {
    if (!held) return;
    const move = (e: globalThis.PointerEvent) => {
      if (mark.current) mark.current.style.transform = `translate(${e.clientX + 12}px, ${e.clientY + 12}px)`;
      setOver(bedAt(e.clientX, e.clientY));
    };
    const end = (e: globalThis.PointerEvent) => {
      const far = Math.hypot(e.clientX - from.current.x, e.clientY - from.current.y);
      const bed = bedAt(e.clientX, e.clientY);
      if (far < TAP) latest.current.onTap(held);
      else if (bed && e.type === 'pointerup') latest.current.onDrop(held, bed);
      setHeld(null);
      setOver(null);
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', end);
    window.addEventListener('pointercancel', end);
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', end);
      window.removeEventListener('pointercancel', end);
    };
  }, [held]);
  const take = useCallback((c: RoomCohort, e: PointerEvent) => {
    from.current = { x: e.clientX, y: e.clientY };
    setHeld(c);
  }, []);
  return { mark, held, over, take };
}
