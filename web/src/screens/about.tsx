import { Link } from 'react-router';
import type { Cohort as Data } from '@gonimos/contract/cohorts';
import { daysBetween } from '@gonimos/core/calendar';
import { container } from '@gonimos/core/containers';
import { readyShare } from '@gonimos/core/course';
import type { Share } from '@gonimos/core/stats';
import { ringsOf } from '@gonimos/core/trunk';
import { percent } from '@gonimos/core/words';
import { monthYear, saidDate, seasonYear, shortDate, yearsOld } from '../common/dates';
import { length } from '../common/units';
import { millimetres } from '../common/words';
import { usePlaceName } from '../nursery/queries';
import { useCourse } from '../course/queries';
import { OpeningWords } from '../pots/opening';
import { usePot } from '../pots/queries';
import { Stands } from '../pots/stands';

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
export function About({ cohort, today }: { cohort: Data; today: string }) {
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
      {cohort.growing && <Stands cohortId={cohort.id} />}
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
