import { plural } from '@gonimos/core/words';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Nursery } from '@gonimos/contract/nursery';
import { useMay } from '../people/session';
import { Change } from '../common/change';
import { Trouble } from '../common/field';
import { useNurserySchools, useSchoolsPreview } from './queries';
import { SchoolFields } from './school-fields';

const MOST = 8;

/** Schools of the nursery: what would move is shown before anything is changed. */
export function NurserySchools({ nursery }: { nursery: Nursery }) {
  const [schools, setSchools] = useState(nursery.schools);
  const look = useSchoolsPreview();
  const save = useNurserySchools();
  const owner = useMay('owner');
  const changed = JSON.stringify(schools) !== JSON.stringify(nursery.schools);
  const found = look.data;
  return (
    <section className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <header>
        <h2 className="text-xl">Schools</h2>
        <p className="soft max-w-prose">
          Growers part on these questions and none is wrong. A programme may answer for itself, a cohort for
          both.
        </p>
      </header>
      <SchoolFields
        value={schools}
        above={{}}
        onChange={(next) => {
          setSchools(next);
          look.reset();
        }}
      />
      {changed && owner && (
        <div className="card-plain grid gap-4 p-4">
          <div className="flex flex-wrap gap-3">
            <button
              type="button"
              className="btn btn-outline"
              disabled={look.isPending}
              onClick={() => look.mutate({ cohortId: null, schools })}
            >
              {look.isPending ? 'Planning both ways …' : 'What would move'}
            </button>
            <button
              type="button"
              className="btn btn-primary"
              disabled={save.isPending || !found}
              onClick={() =>
                save.mutate({ version: nursery.version, schools }, { onSuccess: () => look.reset() })
              }
            >
              {save.isPending ? 'Planning every course again …' : 'Follow this school'}
            </button>
            <button type="button" className="btn btn-ghost" onClick={() => setSchools(nursery.schools)}>
              Leave as it was
            </button>
          </div>
          {(look.error ?? save.error) && <Trouble>{(look.error ?? save.error)!.message}</Trouble>}
          {found && (
            <div>
              <p className="mb-2 text-lg font-semibold">
                {found.length === 0 ? 'No course moves.' : `${plural(found.length, 'course')} would move`}
              </p>
              <ul className="divide-y divide-base-300">
                {found.slice(0, MOST).map((c) => (
                  <li key={c.cohortId} className="py-3">
                    <Link to={`/cohorts/${c.cohortId}`} className="font-bold underline">
                      {c.code}
                    </Link>
                    <Change change={c.change} today={nursery.today} most={3} />
                  </li>
                ))}
                {found.length > MOST && <li className="soft py-3">and {found.length - MOST} more</li>}
              </ul>
            </div>
          )}
        </div>
      )}
      {save.isSuccess && !changed && <p role="status">Saved; every course was planned again.</p>}
    </section>
  );
}
