import { useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { Loading } from '../common/loading';
import { Sowing } from '../seed/sowing';
import { NewTray } from './new-tray';
import { useTrays } from './queries';
import { Tray } from './tray';

/** Trays of a cohort, cell by cell, beside what the sowing has shown. */
export function TraysPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const may = useMay('grower');
  const { data, error } = useTrays(cohort.id);
  const [adding, setAdding] = useState(false);
  if (!data || !today) return <Loading error={error} />;
  const { outside, ledger, trays } = data;
  const seed = ledger.pending > 0;
  const off = outside.seed < 0 || outside.plants < 0;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8 xl:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-8">
        {trays.length === 0 && (
          <p className="soft max-w-prose">
            No tray is mapped yet. A map of its cells counts as you draw: what is up, eaten, twin or lost goes
            into the ledger by itself.
          </p>
        )}
        {trays.map((t) => (
          <Tray key={t.id} tray={t} cohortId={cohort.id} today={today} />
        ))}
        <div className="flex flex-wrap items-center gap-4">
          {may && (
            <button type="button" className="btn btn-outline" onClick={() => setAdding(true)}>
              Map a tray
            </button>
          )}
          <p className={off ? 'font-semibold text-accent' : 'soft'} role={off ? 'status' : undefined}>
            Ledger: {ledger.live} alive{seed && `, ${ledger.pending} still to show`}.{' '}
            {off
              ? `The cells show ${Math.max(-outside.seed, -outside.plants)} more than that: mark what was lost.`
              : trays.length > 0 && outsideWords(outside, seed)}
          </p>
        </div>
      </div>
      {cohort.method === 'seed' && <Sowing cohort={cohort} today={today} />}
      {adding && <NewTray cohortId={cohort.id} trays={data} onClose={() => setAdding(false)} />}
    </div>
  );
}

function outsideWords({ seed, plants }: { seed: number; plants: number }, some: boolean): string {
  if (seed === 0 && plants === 0) return 'All of it stands in these cells.';
  const parts = [...(some && seed > 0 ? [`${seed} seeds`] : []), ...(plants > 0 ? [`${plants} plants`] : [])];
  return `In no cell: ${parts.join(' and ')}.`;
}
