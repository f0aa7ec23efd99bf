import { percent } from '@gonimos/core/words';
import { Pencil, Search, Target, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Link, Outlet, useMatch, useParams, useSearchParams } from 'react-router';
import type { Cohort as Data } from '@gonimos/contract/cohorts';
import { daysBetween } from '@gonimos/core/calendar';
import { container } from '@gonimos/core/containers';
import { readyShare } from '@gonimos/core/course';
import type { Share } from '@gonimos/core/stats';
import { taxon } from '@gonimos/core/taxa';
import { ringsOf } from '@gonimos/core/trunk';
import { usePlaceName, useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { ClockButton } from '../clock/clock-button';
import { recordable } from '../course/recordable';
import { RecordSheet } from '../records/record-sheet';
import { dateSpan, monthYear, saidDate, seasonYear, shortDate, yearsOld } from '../common/dates';
import { OpeningWords } from '../pots/opening';
import { usePot } from '../pots/queries';
import { Held } from '../visits/held';
import { VisitSheet } from '../visits/visit-sheet';
import { RetargetSheet } from '../library/retarget-sheet';
import { useCourse } from '../course/queries';
import { Loading } from '../common/loading';
import { Parts } from '../common/parts';
import { Section } from '../common/section';
import { countWords, millimetres } from '../common/words';
import { EditCohort } from './edit-cohort';
import { SettleKind } from '../cohorts/settle-kind';
import { useCohort } from '../cohorts/queries';
import { length } from '../common/units';

const STARTED_AS = { seed: 'seeds', cutting: 'cuttings', layer: 'layer', bought: 'plants', lifted: 'plants' };
const withBand = (s: Share) => `${percent(s.value)} (${Math.round(s.low * 100)}–${Math.round(s.high * 100)})`;

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
      `${cohort.started > 0 ? `${cohort.started} ${STARTED_AS[cohort.method]}` : 'parted off'}, ${yearsOld(cohort.startedFrom, today)} years`,
    ],
  ];
  if (trunk)
    facts.push([
      'Trunk',
      length(trunk.caliper),
      [
        trunk.measured ? 'measured' : `expected, ${millimetres(trunk.slow, trunk.fast)}`,
        `at the end of ${trunk.season}`,
        ...(cohort.goalCaliper ? [`goal ${length(cohort.goalCaliper)}`] : []),
      ].join(', '),
    ]);
  const course = useCourse(cohort.id).data;
  if (course?.rootBoundOn)
    facts.push([
      'Root-bound',
      monthYear(course.rootBoundOn),
      course.rootBoundOn < today
        ? 'roots have filled this container, as it grows'
        : 'roots fill this container, as it grows',
    ]);
  if (cohort.buds && cohort.buds.on.slice(0, 4) === today.slice(0, 4)) {
    const { on, looked, ready } = cohort.buds;
    const share = readyShare(looked, ready, daysBetween(on, today));
    facts.push([
      'Buds ready today',
      percent(share),
      `${ready} of ${looked} at the tally of ${shortDate(on, today)}`,
    ]);
  }
  if (cohort.viability)
    facts.push([
      'Viability',
      withBand(cohort.viability),
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

/** Trays belong to what is sown or pricked out into cells. */
const partsOf = (c: Data): (readonly [string, string])[] => [
  ['', 'Course'],
  ['ledger', 'Ledger'],
  ...(c.trays > 0 || c.method === 'seed'
    ? [['trays', c.method === 'seed' ? 'Sowing' : 'Trays'] as const]
    : []),
  ['lineage', 'Lineage'],
  ['notes', 'Notes'],
];

/** Whose guests they are, and who is a guest in their pots. */
function Guests({ cohort, today }: { cohort: Data; today: string }) {
  const pot = usePot(cohort.id).data;
  if (!cohort.host && cohort.guests.length === 0) return null;
  const link = (c: { id: string; code: string }) => (
    <Link key={c.id} to={`/cohorts/${c.id}`} className="underline">
      {c.code}
    </Link>
  );
  return (
    <p className="mt-1">
      {cohort.host && <>Guests in the pots of {link(cohort.host)}. </>}
      {cohort.guests.length > 0 && (
        <>
          With them stand{' '}
          {cohort.guests.map((g, i) => (
            <span key={g.id}>
              {i > 0 && ', '}
              {g.live} of {link(g)}
            </span>
          ))}
          .{' '}
        </>
      )}
      {pot && <OpeningWords pot={pot} today={today} />}
    </p>
  );
}

const AGE_WORDS = { known: 'years old', told: 'years old by what was said', guessed: 'years old, guessed' };

/** Where plants came from that were not raised here. */
function Origin({ origin }: { origin: NonNullable<Data['origin']> }) {
  const said = [
    origin.permission && `by leave of ${origin.permission}`,
    origin.price !== null && `${(origin.price / 100).toFixed(2)} for all`,
    origin.age === null ? 'age not known' : `${origin.age} ${AGE_WORDS[origin.ageHow]}`,
  ].filter(Boolean);
  return (
    <p className="mt-1">
      From {origin.source}; {said.join('; ')}
    </p>
  );
}

/** What is known of the cohort beside its course: sizes, programme, where it came from, who stands with it. */
function About({ cohort, today }: { cohort: Data; today: string }) {
  return (
    <>
      <Facts cohort={cohort} today={today} />
      <p className="soft mt-3">
        Follows ‘{cohort.programmeName}’, version {cohort.programmeVersion}
        {cohort.newerVersion && (
          <span className="text-info">; version {cohort.newerVersion} is in the library</span>
        )}
      </p>
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
      {cohort.lot && <p className="mt-1">Seed of ‘{cohort.lot.name}’</p>}
      {cohort.origin && <Origin origin={cohort.origin} />}
      <Guests cohort={cohort} today={today} />
      {cohort.plants.length > 0 && (
        <p className="mt-1">
          Tagged plants:{' '}
          {cohort.plants.map((p, i) => (
            <span key={p.id}>
              {i > 0 && ', '}
              {p.cohortId ? (
                <Link to={`/cohorts/${p.cohortId}`} className="underline">
                  {p.tag}
                </Link>
              ) : (
                p.tag
              )}
            </span>
          ))}
        </p>
      )}
    </>
  );
}

const atDesk = () => window.matchMedia('(min-width: 64rem)').matches;

export function Cohort() {
  const { id = '' } = useParams();
  const { data: cohort, error } = useCohort(id);
  const today = useToday();
  const may = useMay('grower');
  const [looking, setLooking] = useState(false);
  const [editing, setEditing] = useState(false);
  const [found, setFound] = useState(false);
  const [asked] = useSearchParams();
  const [aiming, setAiming] = useState(asked.has('aim'));
  const steps = useCourse(id).data?.steps ?? [];
  const now = steps.find((s) => s.status === 'planned' && s.ready && s.opens! <= (today ?? ''));
  // drawings want the room
  const drawn = useMatch('/cohorts/:id/:part')?.params.part;
  const whole = drawn !== 'trays' && drawn !== 'lineage';
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
          size={whole && atDesk() ? 132 : 76}
        />
        <div className="min-w-0 grow basis-80">
          <div className="flex flex-wrap items-start justify-between gap-3">
            <div>
              <h1 className="text-3xl">
                {cohort.code}
                {cohort.tag && (
                  <span className="soft ml-3 font-sans text-base font-normal">tag {cohort.tag}</span>
                )}
              </h1>
              {cohort.formerly.length > 0 && <p className="soft">formerly {cohort.formerly.join(', ')}</p>}
              <p className="soft text-lg">
                {t.name}, <i>{t.botanical}</i> ·{' '}
                <strong className="text-base-content">{countWords(cohort)}</strong>
              </p>
            </div>
            <span className="no-print flex flex-wrap gap-2">
              {now && (
                <ClockButton
                  step={recordable(cohort, now)}
                  className="btn btn-ghost gap-2 border border-base-300"
                />
              )}
              <button
                type="button"
                className="btn btn-ghost gap-2 border border-base-300"
                onClick={() => setLooking(true)}
              >
                <Search size={18} /> A look
              </button>
              <button
                type="button"
                className="btn btn-ghost gap-2 border border-base-300"
                onClick={() => setFound(true)}
              >
                <TriangleAlert size={18} /> Found
              </button>
              {may && (
                <button
                  type="button"
                  className="btn btn-ghost gap-2 border border-base-300"
                  onClick={() => setAiming(true)}
                >
                  <Target size={18} /> Aim
                </button>
              )}
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
          <p className={`mt-2 ${whole ? 'mb-4' : ''}`}>
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
          <SettleKind cohort={cohort} />
          {cohort.quarantine && (
            <div className="mb-4 bg-[var(--slip)] px-4 py-3">
              <Held held={cohort.quarantine} cohortId={cohort.id} today={today} />
            </div>
          )}
          {whole && (
            // in one hand what is due comes first
            <details open={atDesk()}>
              <summary className="min-h-11 cursor-pointer py-2 font-semibold lg:hidden">
                About {cohort.code}
              </summary>
              <About cohort={cohort} today={today} />
            </details>
          )}
        </div>
      </header>
      <div className="mb-5">
        <Parts of="the cohort" parts={partsOf(cohort)} />
      </div>
      <Outlet context={cohort} />
      {looking && (
        <RecordSheet
          step={{
            cohortId: cohort.id,
            code: cohort.code,
            taxonId: cohort.taxonId,
            stepKey: null,
            operation: null,
            part: 0,
            about: null,
            title: 'A look',
            live: cohort.live,
            pending: cohort.emerged > 0 ? 0 : cohort.pending,
            container: null,
            minutes: 0,
            rootCut: null,
            topCut: null,
            nextTime: '',
            odds: null,
          }}
          today={today}
          onClose={() => setLooking(false)}
        />
      )}
      {found && (
        <VisitSheet
          cohort={{ cohortId: cohort.id, code: cohort.code, live: cohort.live, pending: cohort.pending }}
          step={null}
          steps={steps.filter((s) => s.status === 'planned' && s.chain === null)}
          today={today}
          onClose={() => setFound(false)}
        />
      )}
      {aiming && <RetargetSheet cohort={cohort} today={today} onClose={() => setAiming(false)} />}
      {editing && <EditCohort cohort={cohort} onClose={() => setEditing(false)} />}
    </div>
  );
}
