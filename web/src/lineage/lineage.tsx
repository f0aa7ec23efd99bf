import { plural } from '@gonimos/core/words';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { FamilyDrawing } from './family-drawing';
import { IdentifySheet } from './identify-sheet';
import { useLineage } from './queries';

const named = (x: { code: string; tag: string | null }) => (x.tag ? `${x.code} (${x.tag})` : x.code);

/** Where these plants came from and what came of them, over all generations; the names they had before. */
export function LineagePart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const may = useMay('grower');
  const { data, error } = useLineage(cohort.id);
  const [naming, setNaming] = useState(false);
  if (!data || !today) return <Loading error={error} />;
  const alone = data.family.placed.length === 1;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6">
      {alone ? (
        <p className="card-plain soft p-6">
          No parent and no offspring on record. Name a parent when you enter plants, take seed, cuttings or
          layers from these, or split them.
        </p>
      ) : (
        <>
          <FamilyDrawing of={cohort.id} family={data.family} />
          <p className="soft text-sm">
            {plural(data.family.generations, 'generation')}. At each line: of those that came that way, how
            many are alive or went on as plants; seed and layers not decided yet are left out.
          </p>
        </>
      )}
      <section>
        <header className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-xl">Names</h2>
          {may && (
            <button type="button" className="no-print btn btn-outline" onClick={() => setNaming(true)}>
              Name it anew
            </button>
          )}
        </header>
        {data.identities.length === 0 && <p className="soft">It has had no other code or tag.</p>}
        <ul className="divide-y divide-base-300">
          {data.identities.map((i) => (
            <li key={i.id} className="py-2">
              <s className="soft">{named(i.was)}</s> → <strong>{named(i.now)}</strong>{' '}
              <span className="soft">
                {shortDate(i.on, today)}, {i.by}: {i.reason}
              </span>
            </li>
          ))}
        </ul>
      </section>
      {naming && <IdentifySheet cohort={cohort} onClose={() => setNaming(false)} />}
    </div>
  );
}
