import { useEffect, useRef } from 'react';

/** What is done when a key is pressed; names as the browser gives them. */
export type Keys = Record<string, () => void>;

const TYPING = 'input, textarea, select, [contenteditable], [role=combobox]';

/** Whether a key is meant for a field, for a sheet on top, or for the browser. */
const isElsewhere = (e: KeyboardEvent): boolean =>
  e.defaultPrevented ||
  e.ctrlKey ||
  e.metaKey ||
  e.altKey ||
  (e.target instanceof Element && e.target.closest(TYPING) !== null) ||
  document.querySelector('dialog[open]') !== null;

/** Keys of the page, as long as nobody types and no sheet is open. */
export function useKeys(keys: Keys): void {
  const now = useRef(keys);
  useEffect(() => {
    now.current = keys;
  });
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const act = Object.hasOwn(now.current, e.key) ? now.current[e.key] : undefined;
      if (!act || isElsewhere(e)) return;
      e.preventDefault();
      act();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
}

const SECOND_MS = 1200;

/** A key that follows another within a second, as "g" and then "y". */
export function useChord(first: string, keys: Keys): void {
  const since = useRef(0);
  const waiting: Keys = Object.fromEntries(
    Object.entries(keys).map(([key, act]) => [
      key,
      () => {
        if (Date.now() - since.current < SECOND_MS) act();
        since.current = 0;
      },
    ]),
  );
  useKeys({ [first]: () => (since.current = Date.now()), ...waiting });
}
