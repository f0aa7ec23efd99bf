import { proxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Asked } from '@gonimos/core/bends';
import type { BendsWorker, Bent } from '../workers/bends';

/** Lines worked out off the page; what is overtaken by a later question is ended. */
export function useBends(seed: number, asked: readonly Asked[] | null) {
  const worker = useRef<Worker | null>(null);
  const [done, setDone] = useState(0);
  const [bent, setBent] = useState<{ of: string; bent: Bent } | null>(null);
  const key = JSON.stringify({ seed, asked });
  useEffect(() => {
    const q = JSON.parse(key) as { seed: number; asked: Asked[] | null };
    if (!q.asked) return;
    const soon = setTimeout(() => {
      const it = new Worker(new URL('../workers/bends.ts', import.meta.url), { type: 'module' });
      worker.current = it;
      setDone(0);
      const told = proxy((n: number) => Promise.resolve(setDone(n)));
      void wrap<BendsWorker>(it)
        .recipes(q.seed, q.asked!, told)
        .then((all) => setBent({ of: key, bent: all }));
    }, 200);
    return () => {
      clearTimeout(soon);
      worker.current?.terminate();
      worker.current = null;
    };
  }, [key]);
  return { bent: bent?.bent ?? null, stale: bent?.of !== key, done };
}
