import { Snowflake } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { BedRoom, RoomCohort } from '@gonimos/contract/beds';
import { areaOf, footprintOf } from '@gonimos/core/beds';
import { container } from '@gonimos/core/containers';
import { taxon } from '@gonimos/core/taxa';
import { percent, plural } from '@gonimos/core/words';
import { AfterPaint, InTurn, WhenIdle } from '../common/after-paint';
import { Failure } from '../common/api';
import { Field, Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { area, far } from '../common/units';
import { climateWords } from '../nursery/climate';
import { usePlaces, useToday } from '../nursery/queries';
import { useWarnings } from '../station/queries';
import { useMoveCohort, useRoom } from '../beds/queries';
import { BenchView } from '../beds/bench-view';
import { FULL, monthName, Months } from '../beds/months';
import { Winter } from '../beds/winter';
import { useDrag } from '../beds/use-drag';

/** In words what a bench comes to. */
function Climate({ bedId }: { bedId: string }) {
  const place = usePlaces().data?.find((p) => p.id === bedId);
  return place ? <p className="soft text-sm">{climateWords(place)}</p> : null;
}

function Verdict({ bed }: { bed: BedRoom }) {
  const [now] = bed.months;
  if (bed.length === null || bed.width === null || now.share === null)
    return (
      <p>
        {area(now.taken)} taken; nobody has measured its room:{' '}
        <Link className="underline" to="/nursery">
          say how long and wide it is
        </Link>
        .
      </p>
    );
  const worst = bed.months.reduce((a, b) => ((b.share ?? 0) > (a.share ?? 0) ? b : a));
  return (
    <p>
      {far(bed.length)} × {far(bed.width)}, {area(now.taken)} taken: <strong>{percent(now.share)}</strong>.{' '}
      {(worst.share ?? 0) > FULL && (
        <strong className="text-accent">
          {percent(worst.share!)} in {monthName(worst.month)}: more than fits.
        </strong>
      )}
    </p>
  );
}

interface MoveProps {
  cohort: RoomCohort;
  from: BedRoom;
  beds: readonly BedRoom[];
  to: string;
  onTo: (bed: string) => void;
  onDone: () => void;
  today: string;
}

/** The cohort in hand: what room it takes, where it could go, and what comes of that. */
function Move({ cohort, from, beds, to, onTo, onDone, today }: MoveProps) {
  const move = useMoveCohort();
  const go = (meant: boolean) =>
    move.mutate({ cohortId: cohort.id, placeId: to, on: today, meant }, { onSuccess: onDone });
  const takes = areaOf(footprintOf(cohort.container, cohort.plants, cohort.caliper));
  const target = beds.find((b) => b.id === to);
  const room = target?.length && target.width ? (target.length * target.width) / 1e6 : null;
  const then = target && room ? (target.months[0].taken + takes) / room : null;
  return (
    <section aria-label={`Move ${cohort.code}`} className="card-plain grid gap-3 p-4">
      <p>
        <Link className="font-semibold underline" to={`/cohorts/${cohort.id}`}>
          {cohort.code}
        </Link>
        , {plural(cohort.plants, taxon(cohort.taxonId).name, `× ${taxon(cohort.taxonId).name}`)} in{' '}
        {container(cohort.container).name}: {area(takes)} on {from.name}.
      </p>
      {cohort.held ? (
        <p>Held apart: it stays until it is released.</p>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <Field label="Move it to" className="w-56">
            <select className="select" value={to} onChange={(e) => onTo(e.target.value)}>
              <option value="">choose a place</option>
              {beds
                .filter((b) => b.id !== from.id)
                .map((b) => (
                  <option key={b.id} value={b.id}>
                    {b.name}
                  </option>
                ))}
            </select>
          </Field>
          <button
            type="button"
            className="btn btn-primary btn-tall"
            disabled={!target || move.isPending}
            onClick={() => go(false)}
          >
            {move.isPending ? 'Planning again …' : 'Move all of them'}
          </button>
          <button type="button" className="btn btn-ghost btn-tall" onClick={onDone}>
            Leave it
          </button>
          {then !== null && (
            <p className={then > FULL ? 'font-semibold text-accent' : ''}>
              {target!.name} would be {percent(then)} full.
            </p>
          )}
        </div>
      )}
      {move.error && (
        <div className="grid gap-2">
          <Trouble>{move.error.message}</Trouble>
          {move.error instanceof Failure &&
            move.error.problem?.code === 'refused-by-a-rule' &&
            !cohort.held && (
              <button
                type="button"
                className="btn btn-outline btn-tall justify-self-start"
                onClick={() => go(true)}
              >
                Move them all the same
              </button>
            )}
        </div>
      )}
    </section>
  );
}

/** Cohorts that a frost warning asks to be carried in. */
function useFrosted(): ReadonlySet<string> {
  const { data } = useWarnings();
  return useMemo(() => {
    const warnings = data ?? [];
    return new Set(warnings.filter((w) => w.kind === 'frost' && w.carried).flatMap((w) => w.cohortIds));
  }, [data]);
}

/** Cohorts of a bench that are listed at first. */
const LISTED = 40;

interface StandingProps {
  bed: BedRoom;
  chosen: string | null;
  frosted: ReadonlySet<string>;
  onChoose: (id: string | null) => void;
}

/** Cohorts of a bench by name, each to be taken in hand. */
function Standing({ bed, chosen, frosted, onChoose }: StandingProps) {
  const [all, setAll] = useState(false);
  const listed = all ? bed.cohorts : bed.cohorts.slice(0, LISTED);
  const hidden = bed.cohorts.length - listed.length;
  return (
    <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label={`Cohorts at ${bed.name}`}>
      {listed.map((c) => (
        <button
          key={c.id}
          type="button"
          aria-pressed={c.id === chosen}
          className={`btn btn-sm min-h-11 lg:min-h-8 ${c.id === chosen ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
          onClick={() => onChoose(c.id === chosen ? null : c.id)}
        >
          {c.code} <span className="font-normal">{c.plants}</span>
          {frosted.has(c.id) && (
            <span className="flex items-center gap-1 text-info">
              <Snowflake size={15} aria-hidden /> carry in
            </span>
          )}
        </button>
      ))}
      {hidden > 0 && (
        <button type="button" className="btn btn-sm btn-ghost min-h-11" onClick={() => setAll(true)}>
          {hidden} more
        </button>
      )}
      {bed.more > 0 && (
        <Link className="underline" to={`/cohorts?place=${bed.id}`}>
          {bed.more} besides, not drawn: see the register
        </Link>
      )}
    </div>
  );
}

/** Places with what stands on them to scale, how full they will be, and moves between them. */
export function Benches() {
  const { data, error } = useRoom();
  const today = useToday();
  const [query, setQuery] = useSearchParams();
  const [to, setTo] = useState('');
  const frosted = useFrosted();
  const chosen = query.get('cohort');
  const choose = (id: string | null) => {
    setTo('');
    setQuery(id ? { cohort: id } : {}, { replace: true });
  };
  const { mark, held, over, take } = useDrag(
    (c) => choose(c.id === chosen ? null : c.id),
    (c, bed) => {
      choose(c.id);
      setTo(bed);
    },
  );
  if (!data || !today) return <Loading error={error} />;
  // rows in the ground are far longer than benches: they have a scale of their own
  const longest = Math.max(1000, ...data.map((b) => (b.kind === 'ground' ? 0 : (b.length ?? 0))));
  const from = data.find((b) => b.cohorts.some((c) => c.id === chosen));
  const cohort = from?.cohorts.find((c) => c.id === chosen);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 px-4 py-6 lg:px-6">
      <header>
        <h1 className="text-3xl">Benches</h1>
        <p className="soft max-w-prose">
          What stands where, to scale, and in per cent how full it will be month by month with all that is
          planned. Take a cohort to another bench by hand, or choose it in the list. Gaps and crowns are
          common practice, no source.
        </p>
      </header>
      {cohort && from && (
        <Move
          key={cohort.id}
          cohort={cohort}
          from={from}
          beds={data}
          to={to}
          onTo={setTo}
          onDone={() => choose(null)}
          today={today}
        />
      )}
      <InTurn>
        {data.map((bed) => (
          <section key={bed.id} aria-label={bed.name} className="grid gap-2 border-t border-base-300 pt-3">
            <div className="grid items-end gap-x-8 gap-y-2 lg:grid-cols-[minmax(0,1fr)_24rem]">
              <div>
                <h2 className="text-xl">{bed.name}</h2>
                <Verdict bed={bed} />
                <Climate bedId={bed.id} />
              </div>
              {bed.months[0].share !== null && <Months bed={bed} />}
            </div>
            <BenchView
              bed={bed}
              longest={bed.kind === 'ground' ? (bed.length ?? longest) : longest}
              chosen={chosen}
              under={held !== null && over === bed.id}
              onTake={take}
            />
            <AfterPaint>
              <Standing bed={bed} chosen={chosen} frosted={frosted} onChoose={choose} />
            </AfterPaint>
          </section>
        ))}
        <WhenIdle>
          <Winter today={today} nameOf={(id) => data.find((b) => b.id === id)?.name ?? 'elsewhere'} />
        </WhenIdle>
      </InTurn>
      {held && (
        <div
          ref={mark}
          className="pointer-events-none fixed top-0 left-0 z-20 rounded-field bg-neutral px-2 py-1 text-sm font-bold text-neutral-content"
        >
          {held.code}
        </div>
      )}
    </div>
  );
}
