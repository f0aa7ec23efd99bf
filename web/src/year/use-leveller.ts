import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { YearProblem } from '@gonimos/core/year';
import type { Answer, LevelWorker } from '../workers/level';

/** Runs the levelling in a worker of its own, made when it is first wanted and ended with the page. */
export function useLeveller() {
  const worker = useRef<{ it: Worker; remote: Remote<LevelWorker> } | null>(null);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [running, setRunning] = useState(false);
  useEffect(() => () => worker.current?.it.terminate(), []);

  const start = useCallback(async (problem: YearProblem) => {
    if (!worker.current) {
      const it = new Worker(new URL('../workers/level.ts', import.meta.url), { type: 'module' });
      worker.current = { it, remote: wrap<LevelWorker>(it) };
    }
    setAnswer(null);
    setRunning(true);
    await worker.current.remote.start(
      problem,
      proxy((a: Answer) => setAnswer(a)),
    );
    setRunning(false);
  }, []);
  /** Raises the proven bound under the plan that is shown, on demand. */
  const prove = useCallback(async (problem: YearProblem) => {
    setRunning(true);
    await worker.current?.remote.prove(
      problem,
      proxy((bound: number, progress: number) =>
        setAnswer((a) => a && { ...a, bound: Math.max(a.bound, Math.min(bound, a.plan.cost)), progress }),
      ),
    );
    setRunning(false);
  }, []);
  const stop = useCallback(() => {
    void worker.current?.remote.stop();
    setRunning(false);
  }, []);
  return { answer, running, start, prove, stop, forget: () => setAnswer(null) };
}
