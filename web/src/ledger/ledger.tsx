import { useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { EntryRow } from '@gonimos/contract/ledger';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { ENTRY_WORDS } from '../common/words';
import { GatherSheet } from '../lineage/gather-sheet';
import { Tallies } from '../lineage/tallies';
import { AddEntry } from './add-entry';
import { PartPlants } from './part-plants';
import { useLedger, useReverse } from './queries';

const LEAVES: ReadonlySet<string> = new Set([
  'lost',
  'culled',
  'split_out',
  'promoted',
  'sold',
  'given',
  'lost_before_emergence',
]);
const COMES: ReadonlySet<string> = new Set(['started', 'emerged', 'severed', 'split_in']);
const signed = (e: EntryRow) => {
  if (LEAVES.has(e.type)) return `−${e.count}`;
  if (COMES.has(e.type)) return `+${e.count}`;
  if (e.type === 'fused') return `${e.count} → ${e.into ?? 1}`;
  return String(e.count);
};

/** The damage a cull goes back to, in words. */
function damageWords(all: readonly EntryRow[], id: string, today: string): string {
  const d = all.find((e) => e.id === id);
  return d ? `${d.cause ?? 'damage'} of ${shortDate(d.on, today)}` : 'damage';
}

/** The ledger: every count event, nothing edited; a wrong one is reversed and both stay. */
export function LedgerPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const may = useMay('grower');
  const { data, error } = useLedger(cohort.id);
  const reverse = useReverse();
  const [form, setForm] = useState<'entry' | 'part' | 'gather' | null>(null);
  if (!data) return <Loading error={error} />;
  return (
    <div className="max-w-4xl">
      <Tallies cohort={cohort} today={today} />
      <div className="no-print mb-3 flex flex-wrap gap-2">
        <button type="button" className="btn btn-outline" onClick={() => setForm('entry')}>
          Add an entry
        </button>
        {may && cohort.live > 0 && (
          <button type="button" className="btn btn-outline" onClick={() => setForm('part')}>
            Split or promote
          </button>
        )}
        {may && cohort.live > 0 && (
          <button type="button" className="btn btn-outline" onClick={() => setForm('gather')}>
            Merge or fuse
          </button>
        )}
      </div>
      {reverse.error && <Trouble>{reverse.error.message}</Trouble>}
      <div
        className="card-plain relative overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label="Ledger entries"
      >
        <table className="w-full border-collapse">
          <thead>
            <tr className="soft border-b border-base-300 text-left">
              <th scope="col" className="px-4 py-3 font-semibold">
                Day
              </th>
              <th scope="col" className="px-3 font-semibold">
                What
              </th>
              <th scope="col" className="px-3 text-right font-semibold">
                Count
              </th>
              <th scope="col" className="px-3 text-right font-semibold">
                Alive after
              </th>
              <th scope="col" className="px-3 font-semibold max-sm:hidden">
                By
              </th>
              <th scope="col" className="px-3">
                <span className="sr-only">Reverse</span>
              </th>
            </tr>
          </thead>
          <tbody className="divide-y divide-base-300">
            {data
              .filter((e) => e.type !== 'reversed')
              .map((e) => (
                <tr key={e.id} className={e.reversedBy ? 'soft' : ''}>
                  <td className="px-4 py-2.5 whitespace-nowrap">{shortDate(e.on, today)}</td>
                  <td className="px-3">
                    <span className={e.reversedBy ? 'line-through' : ''}>
                      {ENTRY_WORDS[e.type]}
                      {e.unit === 'seed' && ' as seed'}
                      {e.unit === 'layer' && ' on its parent'}
                    </span>
                    {e.cause && <span className="soft">, {e.cause}</span>}
                    {e.damageId && (
                      <span className="soft">, goes back to {damageWords(data, e.damageId, today)}</span>
                    )}
                    {e.note && <span className="soft block text-sm">{e.note}</span>}
                    {e.reversedBy && (
                      <span className="block text-sm font-semibold">reversed; both entries are kept</span>
                    )}
                  </td>
                  <td
                    className={`px-3 text-right font-semibold whitespace-nowrap ${e.reversedBy ? 'line-through' : signed(e).startsWith('−') ? 'text-error' : ''}`}
                  >
                    {signed(e)}
                  </td>
                  <td className="px-3 text-right">{e.liveAfter ?? ''}</td>
                  <td className="soft px-3 max-sm:hidden">{e.by}</td>
                  <td className="px-3 py-1.5 text-right">
                    {may && !e.reversedBy && (
                      <button
                        type="button"
                        className="btn btn-ghost border border-base-300"
                        disabled={reverse.isPending}
                        onClick={() => reverse.mutate(e.id)}
                      >
                        Reverse
                        <span className="sr-only">
                          {' '}
                          {ENTRY_WORDS[e.type]} {e.count}
                        </span>
                      </button>
                    )}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
      {form === 'entry' && <AddEntry cohort={cohort} today={today} onClose={() => setForm(null)} />}
      {form === 'gather' && <GatherSheet cohort={cohort} onClose={() => setForm(null)} />}
      {form === 'part' && <PartPlants cohort={cohort} onClose={() => setForm(null)} />}
    </div>
  );
}
