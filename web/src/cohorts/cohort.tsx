import { Pencil, Search } from 'lucide-react';
import { useState } from 'react';
import { Link, NavLink, Outlet, useParams } from 'react-router';
import type { Cohort as Data } from '@gonimos/contract/cohorts';
import { container } from '@gonimos/core/containers';
import type { Share } from '@gonimos/core/stats';
import { taxon } from '@gonimos/core/taxa';
import { ringsOf } from '@gonimos/core/trunk';
import { usePlaceName, useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { RecordSheet } from '../records/record-sheet';
import { dateSpan, saidDate, seasonYear, yearsOld } from '../shared/dates';
import { Loading } from '../shared/loading';
import { Section } from '../shared/section';
import { countWords } from '../shared/words';
import { EditCohort } from './edit-cohort';
import { useCohort } from './queries';

const percent = (s: Share) =>
  `${Math.round(s.value * 100)} % (${Math.round(s.low * 100)}–${Math.round(s.high * 100)})`;

function Facts({ cohort, today }: { cohort: Data; today: string }) {
  const placeName = usePlaceName();
  const season = seasonYear(today);
  const trunk = ringsOf(cohort.rings)
    .filter((r) => r.season < season)
    .at(-1);
  const facts: [string, string, string?][] = [
    ['Place', placeName(cohort.placeId), container(cohort.container).name],
    [
      'Started',
      saidDate(cohort.startedSaid, today),
      `${cohort.started} ${cohort.method === 'seed' ? 'seeds' : 'cuttings'}, ${yearsOld(cohort.startedFrom, today)} years`,
    ],
  ];
  if (trunk)
    facts.push([
      'Trunk',
      `${trunk.caliper.toFixed(0)} mm`,
      `${trunk.measured ? 'measured' : 'expected'} at the end of ${trunk.season}${cohort.goalCaliper ? `, goal ${cohort.goalCaliper} mm` : ''}`,
    ]);
  if (cohort.viability)
    facts.push([
      'Viability',
      percent(cohort.viability),
      `${cohort.viability.k} up of ${cohort.viability.n} not lost before`,
    ]);
  return (
    <dl className="grid grid-cols-2 gap-x-8 gap-y-3 sm:flex sm:flex-wrap">
      {facts.map(([name, value, more]) => (
        <div key={name}>
          <dt className="soft text-sm">{name}</dt>
          <dd className="text-lg font-semibold">{value}</dd>
          {more && <dd className="soft text-sm">{more}</dd>}
        </div>
      ))}
    </dl>
  );
}

export function Cohort() {
  const { id = '' } = useParams();
  const { data: cohort, error } = useCohort(id);
  const today = useToday();
  const may = useMay('grower');
  const [looking, setLooking] = useState(false);
  const [editing, setEditing] = useState(false);
  if (!cohort || !today) return <Loading error={error} />;
  const t = taxon(cohort.taxonId);
  const due = cohort.nextOpens !== null && cohort.nextOpens <= today;
  return (
    <div className="px-4 py-6 lg:px-6">
      <header className="mb-5 flex flex-wrap gap-x-6 gap-y-4">
        <Section
          rings={cohort.rings}
          season={seasonYear(today)}
          containerId={cohort.container}
          target={cohort.goalCaliper}
          size={132}
        />
        <div className="min-w-0 grow basis-80">
          <div className="flex flex-wrap items-start justify-between gap-3">
            <div>
              <h1 className="text-3xl">{cohort.code}</h1>
              <p className="soft text-lg">
                {t.name}, <i>{t.botanical}</i> ·{' '}
                <strong className="text-base-content">{countWords(cohort)}</strong>
              </p>
            </div>
            <span className="no-print flex gap-2">
              <button
                type="button"
                className="btn btn-ghost gap-2 border border-base-300"
                onClick={() => setLooking(true)}
              >
                <Search size={18} /> A look
              </button>
              {may && (
                <button
                  type="button"
                  className="btn btn-ghost gap-2 border border-base-300"
                  onClick={() => setEditing(true)}
                >
                  <Pencil size={18} /> Change
                </button>
              )}
            </span>
          </div>
          <p className="mt-2 mb-4">
            {cohort.nextTitle && cohort.nextOpens && cohort.nextCloses && cohort.growing ? (
              <>
                Next: <strong>{cohort.nextTitle}</strong>,{' '}
                <span className={due ? 'font-semibold text-accent' : ''}>
                  {due ? 'due ' : ''}
                  {dateSpan(cohort.nextOpens, cohort.nextCloses, today)}
                </span>
              </>
            ) : (
              <span className="soft">No step ahead.</span>
            )}
          </p>
          <Facts cohort={cohort} today={today} />
          {cohort.goal && <p className="mt-3 max-w-prose">Goal: {cohort.goal}</p>}
          {cohort.note && <p className="soft mt-3 max-w-prose">{cohort.note}</p>}
          {cohort.parentCode && (
            <p className="mt-1">
              From{' '}
              <Link to={`/cohorts/${cohort.parentId}`} className="underline">
                {cohort.parentCode}
              </Link>
            </p>
          )}
          {cohort.plants.length > 0 && (
            <p className="mt-1">Tagged plants: {cohort.plants.map((p) => p.tag).join(', ')}</p>
          )}
        </div>
      </header>
      <nav aria-label="Parts of the cohort" className="no-print mb-5 flex gap-1 border-b border-base-300">
        {[
          ['', 'Course'],
          ['ledger', 'Ledger'],
          ['notes', 'Notes'],
        ].map(([to, name]) => (
          <NavLink
            key={to}
            to={to}
            end
            className={({ isActive }) =>
              `min-h-12 px-4 py-3 font-semibold ${isActive ? 'border-b-[3px] border-base-content' : 'soft'}`
            }
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <Outlet context={cohort} />
      {looking && (
        <RecordSheet
          step={{
            ...{ cohortId: cohort.id, code: cohort.code, stepKey: null, operation: null, title: 'A look' },
            ...{
              live: cohort.live,
              pending: cohort.emerged > 0 ? 0 : cohort.pending,
              container: null,
              minutes: 0,
              rootCut: null,
              nextTime: '',
            },
          }}
          today={today}
          onClose={() => setLooking(false)}
        />
      )}
      {editing && <EditCohort cohort={cohort} onClose={() => setEditing(false)} />}
    </div>
  );
}
