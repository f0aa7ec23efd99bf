import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';

/** Typing and dragging go on for so long before it is begun, ms. */
const SOON = 200;

/**
 * Something worked out off the page: the answer to what is asked now, or the last one while that is being worked out, and
 * how far it is. What is overtaken by a later question is ended. `asked`: null while there is nothing to ask.
 */
export function useWorkedOut<W, Asked, Answer>(
  asked: Asked | null,
  open: () => Worker,
  work: (it: Remote<W>, asked: Asked, told: (n: number) => Promise<void>) => Promise<Answer>,
) {
  const worker = useRef<Worker | null>(null);
  const [done, setDone] = useState(0);
  const [answer, setAnswer] = useState<{ of: string; it: Answer } | null>(null);
  const how = useRef({ open, work });
  const key = JSON.stringify(asked);
  useEffect(() => {
    const question = JSON.parse(key) as Asked | null;
    if (question === null) return;
    const soon = setTimeout(() => {
      const it = how.current.open();
      worker.current = it;
      setDone(0);
      const told = proxy((n: number) => Promise.resolve(setDone(n)));
      void how.current.work(wrap<W>(it), question, told).then((worked) => setAnswer({ of: key, it: worked }));
    }, SOON);
    return () => {
      clearTimeout(soon);
      worker.current?.terminate();
      worker.current = null;
    };
  }, [key]);
  return { answer: answer?.it ?? null, stale: answer?.of !== key, done };
}
