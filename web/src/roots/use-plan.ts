import { wrap, type Remote } from 'comlink';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import type { PoseAnswer, RootPlan, RootRecord, Terms, Trade } from '@gonimos/core/roots';
import type { RootWorker } from '../workers/roots';

/** A worker of the root bench, made when it is first wanted and ended with the page, or when its work is overtaken. */
export function useRootWorker() {
  const worker = useRef<{ it: Worker; remote: Remote<RootWorker> } | null>(null);
  const end = useCallback(() => {
    worker.current?.it.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const remote = useCallback(() => {
    if (!worker.current) {
      const it = new Worker(new URL('../workers/roots.ts', import.meta.url), { type: 'module' });
      worker.current = { it, remote: wrap<RootWorker>(it) };
    }
    return worker.current.remote;
  }, []);
  return { remote, end };
}

/** The plan of cuts for what was last drawn, worked out off the page; `stale` while a newer one is on its way. */
export function usePlan(record: RootRecord, terms: Terms, limit: number, most: number) {
  const { remote } = useRootWorker();
  // what each limit allows is asked beside it, so that the next stroke does not wait for it
  const { remote: beside, end: endBeside } = useRootWorker();
  const [trade, setTrade] = useState<Trade[]>([]);
  const [answer, setAnswer] = useState<{ of: string; plan: RootPlan | null } | null>(null);
  const asked = JSON.stringify({ record, terms, limit });
  useEffect(() => {
    let wanted = true;
    let asking = false;
    const q = JSON.parse(asked) as { record: RootRecord; terms: Terms; limit: number };
    // what is overtaken by the next stroke is not begun
    const soon = setTimeout(() => {
      void remote()
        .plan(q.record, q.terms, q.limit)
        .then(async (plan) => {
          if (!wanted) return;
          // a plan that comes while a root is under the finger must not hold up the finger
          startTransition(() => setAnswer({ of: asked, plan }));
          asking = true;
          const all = await beside().trade(q.record, q.terms, most);
          asking = false;
          if (wanted) startTransition(() => setTrade(all));
        });
    }, 120);
    return () => {
      wanted = false;
      clearTimeout(soon);
      if (asking) endBeside();
    };
  }, [asked, remote, beside, endBeside, most]);
  const poses = useCallback(
    (): Promise<PoseAnswer[]> => remote().poses(record, terms, limit),
    [remote, record, terms, limit],
  );
  return {
    plan: answer?.plan ?? null,
    none: answer !== null && answer.plan === null,
    stale: answer?.of !== asked,
    trade,
    poses,
  };
}
