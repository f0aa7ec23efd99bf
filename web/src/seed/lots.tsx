import { percent, plural } from '@gonimos/core/words';
import { useState } from 'react';
import { Link } from 'react-router';
import type { SeedLot } from '@gonimos/contract/seed';
import { PROGRAMMES, suits } from '@gonimos/core/programmes';
import { taxon } from '@gonimos/core/taxa';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { saidDate, shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { startPath } from '../common/start-words';
import { EventSheet } from './event-sheet';
import { LotSheet } from './lot-sheet';
import { PhaseLine } from './phase-line';
import { useLots } from './queries';

const needsWords = (l: SeedLot): string => {
  if (l.needs === 'fresh') return `sown as it ripens, in ${l.ripens}: it does not keep`;
  return l.needs === 'ready' ? 'wants no treatment' : 'out of its treatment';
};
const seedProgramme = (l: SeedLot) =>
  PROGRAMMES.find((p) => p.method === 'seed' && suits(p.id, taxon(l.taxonId)))?.id ?? 'seed-broadleaf';

function eventWords(e: SeedLot['events'][number]): string {
  if (e.kind === 'test') return `tested: ${e.sound} of ${e.tested} sound`;
  return e.seeds === null ? e.kind : `${e.seeds} ${e.kind}`;
}

function Lot({ lot, today, onEvent }: { lot: SeedLot; today: string; onEvent: () => void }) {
  const may = useMay('grower');
  return (
    <li className="card-plain grid gap-x-8 gap-y-3 p-4 lg:grid-cols-[18rem_minmax(0,1fr)]">
      <div>
        <h3 className="text-lg">{lot.name}</h3>
        <p className="soft">
          {taxon(lot.taxonId).name}, from {lot.source}
          {lot.parentCode && (
            <>
              {' '}
              (
              <Link to={`/cohorts/${lot.parentId}`} className="underline">
                {lot.parentCode}
              </Link>
              )
            </>
          )}
          , {saidDate(lot.harvested, today)}
        </p>
        <p className="mt-1">
          <strong>{lot.left}</strong> of {lot.seeds} left
          {lot.over > 0 && <strong className="text-accent"> ({lot.over} more used than were counted)</strong>}
          , {lot.storage}
        </p>
        {lot.viability && (
          <p>
            <strong>{percent(lot.viability.value)}</strong> sound{' '}
            <span className="soft">
              ({percent(lot.viability.low)}–{percent(lot.viability.high)}),{' '}
              {shortDate(lot.viability.on, today)}
            </span>
          </p>
        )}
      </div>
      <div className="min-w-0">
        {lot.phases.length > 1 ? (
          <PhaseLine phases={lot.phases} today={today} />
        ) : (
          <p className="soft">
            {needsWords(lot)}
            {lot.phases[0] &&
              `; sow ${shortDate(lot.phases[0].from, today)} – ${shortDate(lot.phases[0].to, today)}`}
          </p>
        )}
        {lot.tooOld > 0 && (
          <p className="mt-1 font-semibold text-warning">
            {plural(lot.tooOld, 'year')} old;{' '}
            {lot.needs === 'fresh'
              ? 'seed of this kind does not keep.'
              : `seed of this kind keeps about ${lot.keeps}: test it before you count on it.`}
          </p>
        )}
        {lot.late > 0 && (
          <p className="mt-1 font-semibold text-accent">
            Begun today it would miss this season’s window by {lot.late} days: shown for the next.
          </p>
        )}
        {lot.events.length > 0 && (
          <p className="soft mt-2 text-sm">
            {lot.events.map((e) => `${shortDate(e.on, today)} ${eventWords(e)}`).join(' · ')}
          </p>
        )}
        {lot.sown.length > 0 && (
          <p className="mt-1 text-sm">
            Sown:{' '}
            {lot.sown.map((s, i) => (
              <span key={s.id}>
                {i > 0 && ', '}
                <Link to={`/cohorts/${s.id}`} className="underline">
                  {s.code}
                </Link>{' '}
                {s.count}
                {s.up && <span className="soft"> ({percent(s.up.value)} up)</span>}
              </span>
            ))}
          </p>
        )}
        {lot.handling && <p className="soft mt-1 text-sm">{lot.handling}</p>}
        <div className="no-print mt-3 flex flex-wrap gap-2">
          <button type="button" className="btn btn-outline" onClick={onEvent}>
            Note what was done<span className="sr-only"> with {lot.name}</span>
          </button>
          {may && lot.left > 0 && (
            <Link
              className="btn btn-ghost border border-base-300"
              to={startPath({ taxonId: lot.taxonId, programmeId: seedProgramme(lot) }, lot.left, {
                lotId: lot.id,
                ...(lot.parentId ? { parentId: lot.parentId } : {}),
              })}
            >
              Sow<span className="sr-only"> {lot.name}</span>
            </Link>
          )}
        </div>
      </div>
    </li>
  );
}

/** Seed lots: what they are, how sound, what they want before sowing, counted back to the day. */
export function Lots() {
  const { data, error } = useLots();
  const today = useToday();
  const may = useMay('grower');
  const [open, setOpen] = useState<SeedLot | 'new' | null>(null);
  if (!data || !today) return <Loading error={error} />;
  return (
    <section className="grid gap-4">
      <header className="flex flex-wrap items-center justify-between gap-3">
        <p className="soft max-w-prose">
          Soaking, warm and cold are counted back from the next sowing window, so that seed comes out when it
          opens.
        </p>
        {may && (
          <button type="button" className="btn btn-primary" onClick={() => setOpen('new')}>
            New seed lot
          </button>
        )}
      </header>
      {data.length === 0 && (
        <p className="card-plain soft p-6">No seed yet. Enter what you collected or bought.</p>
      )}
      <ul className="grid gap-3">
        {data.map((l) => (
          <Lot key={l.id} lot={l} today={today} onEvent={() => setOpen(l)} />
        ))}
      </ul>
      {open === 'new' && <LotSheet onClose={() => setOpen(null)} />}
      {open !== null && open !== 'new' && (
        <EventSheet lot={open} today={today} onClose={() => setOpen(null)} />
      )}
    </section>
  );
}
