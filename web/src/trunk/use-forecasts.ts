import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Forecast, LabStart, OwnGrowth, Wish } from '@gonimos/core/lab';
import type { LabWorker } from '../workers/lab';

/** Courses grown off the page; null until the first answer, `stale` while a newer one is on its way. */
export function useForecasts(
  start: LabStart,
  wishes: readonly Wish[],
  seasons: number,
  goal: number | null,
  growth: OwnGrowth,
) {
  const worker = useRef<{ it: Worker; remote: Remote<LabWorker> } | null>(null);
  const [answer, setAnswer] = useState<{ of: string; forecasts: Forecast[] } | null>(null);
  const asked = JSON.stringify({ start, wishes, seasons, goal, growth });
  useEffect(
    () => () => {
      worker.current?.it.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    if (goal === null) return;
    let wanted = true;
    if (!worker.current) {
      const it = new Worker(new URL('../workers/lab.ts', import.meta.url), { type: 'module' });
      worker.current = { it, remote: wrap<LabWorker>(it) };
    }
    const { remote } = worker.current;
    // what is overtaken by the next key is not begun
    const soon = setTimeout(() => {
      const q = JSON.parse(asked) as {
        start: LabStart;
        wishes: Wish[];
        seasons: number;
        goal: number;
        growth: OwnGrowth;
      };
      void remote.forecast(q.start, q.wishes, q).then((forecasts) => {
        if (wanted) setAnswer({ of: asked, forecasts });
      });
    }, 150);
    return () => {
      wanted = false;
      clearTimeout(soon);
    };
  }, [asked, goal]);
  return { forecasts: answer?.forecasts ?? null, stale: answer?.of !== asked };
}
