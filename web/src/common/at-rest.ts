/** Longest that is waited for a page at rest, ms; and the wait where a browser cannot tell when it is. */
const AT_LATEST = 1500;
const UNTOLD = 300;

/** Calls when the page has nothing to do; gives what calls it off. */
export function whenAtRest(then: () => void): () => void {
  // Safari has none
  if (!('requestIdleCallback' in globalThis)) {
    const timer = setTimeout(then, UNTOLD);
    return () => clearTimeout(timer);
  }
  const idle = requestIdleCallback(then, { timeout: AT_LATEST });
  return () => cancelIdleCallback(idle);
}
