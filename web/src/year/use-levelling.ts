import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { Levelled } from './worker';
import { yearWorker } from './queries';

/** Levels the year that is held off the page, shows how far it has come, and can be stopped. */
export function useLevelling(weeks: number, stamp: number | undefined) {
  const [last, setAnswer] = useState<Levelled | null>(null);
  // a plan of the year as it was before somebody changed it is none of the year as it is
  const answer = last?.stamp === stamp ? last : null;
  const [running, setRunning] = useState(false);
  useEffect(() => () => void yearWorker().stop(), []);
  const tell = proxy((a: Levelled) => setAnswer(a));
  const begin = (work: Promise<void>) => {
    setRunning(true);
    void work.finally(() => setRunning(false));
  };
  return {
    answer,
    running,
    start: () => {
      setAnswer(null);
      begin(yearWorker().level(weeks, tell));
    },
    /** raises the proven bound under the plan that is shown */
    prove: () => begin(yearWorker().prove(weeks, tell)),
    stop: () => {
      void yearWorker().stop();
      setRunning(false);
    },
    forget: () => setAnswer(null),
  };
}
