import { proxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Aim, Found, LabStart, OwnGrowth } from '@gonimos/core/lab';
import type { LabWorker } from '../workers/lab';

/** A search off the page: begun, watched, stopped at once by ending its worker. */
export function useSearch(start: LabStart, growth: OwnGrowth) {
  const worker = useRef<Worker | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [found, setFound] = useState<Found[] | null>(null);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setProgress(null);
  };
  useEffect(() => stop, []);
  const begin = (aim: Aim) => {
    stop();
    setProgress(0);
    const it = new Worker(new URL('../workers/lab.ts', import.meta.url), { type: 'module' });
    worker.current = it;
    const told = proxy((part: number) => Promise.resolve(setProgress(part)));
    void wrap<LabWorker>(it)
      .search(start, aim, growth, told)
      .then((all) => {
        setFound(all);
        stop();
      });
  };
  return { progress, found, begin, stop };
}
