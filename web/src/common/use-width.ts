import { useLayoutEffect, useRef, useState } from 'react';

/** Width in pixels of an element, kept as it changes; drawings are made to it, so that text keeps its size. */
export function useWidth<T extends HTMLElement>(first = 800) {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(first);
  useLayoutEffect(() => {
    if (!ref.current) return;
    // measured before the first picture is shown: one drawn to a guess would push a narrow page wide
    const { paddingLeft, paddingRight } = getComputedStyle(ref.current);
    setWidth(Math.round(ref.current.clientWidth - parseFloat(paddingLeft) - parseFloat(paddingRight)));
    const watch = new ResizeObserver(([entry]) => setWidth(Math.round(entry.contentRect.width)));
    watch.observe(ref.current);
    return () => watch.disconnect();
  }, []);
  return [ref, width] as const;
}
