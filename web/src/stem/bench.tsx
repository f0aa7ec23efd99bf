import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import { Loading } from '../common/loading';
import { useToday } from '../nursery/queries';
import { DecidedSide } from './decided-side';
import { DrawnSide } from './drawn-side';
import { useStemBench } from './queries';
import { useBench, type OnBench } from './use-bench';

/** The stem of a cohort's plant: what stands on it, what it is to become, and where it is cut. */
export function StemPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useStemBench(cohort.id);
  if (!data || !today) return <Loading error={error} />;
  return <Bench key={cohort.id} cohort={cohort} bench={data} today={today} />;
}

function Bench(p: Omit<OnBench, 'b'>) {
  const b = useBench(p.cohort, p.bench);
  return (
    <div className="grid grid-cols-1 gap-6 xl:grid-cols-[minmax(0,1fr)_26rem]">
      <DrawnSide {...p} b={b} />
      <DecidedSide {...p} b={b} />
    </div>
  );
}
