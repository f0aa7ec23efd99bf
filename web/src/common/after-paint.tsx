import { startTransition, useEffect, useState, type ReactNode } from 'react';

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
