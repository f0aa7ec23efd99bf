import { Children, startTransition, useEffect, useState, type ReactNode } from 'react';
import { whenAtRest } from './at-rest';

/**
 * What stands below the fold of a full page, put there once what is above it can be seen: all of it in one go would
 * hold the page up.
 */
export function AfterPaint({ children }: { children: ReactNode }) {
  const [now, setNow] = useState(false);
  useEffect(() => {
    const frame = requestAnimationFrame(() => startTransition(() => setNow(true)));
    return () => cancelAnimationFrame(frame);
  }, []);
  return now ? children : null;
}

/**
 * What has to be asked of the server and is not looked at first: asked once the page is at rest, so that the server
 * is not busy with it while the page is put there.
 */
export function WhenIdle({ children }: { children: ReactNode }) {
  const [now, setNow] = useState(false);
  useEffect(() => whenAtRest(() => setNow(true)), []);
  return now ? children : null;
}

/** How many of so many parts are there already: `each` at first, and as many more with every picture shown. */
export function useInTurn(of: number, each: number): number {
  const [shown, setShown] = useState(each);
  const more = shown < of;
  useEffect(() => {
    if (!more) return;
    const frame = requestAnimationFrame(() => startTransition(() => setShown(shown + each)));
    return () => cancelAnimationFrame(frame);
  }, [shown, more, each]);
  return shown;
}

/** The parts of a full page, `each` of them put there once those before them can be seen. */
export function InTurn({ each = 1, children }: { each?: number; children: ReactNode }) {
  const parts = Children.toArray(children);
  return parts.slice(0, useInTurn(parts.length, each));
}
