import { Ellipsis, Search, UserRound } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { PlanningLine } from '../course/planning-line';
import { ClockBar } from '../clock/clock-bar';
import { UndoBar } from '../common/undo';
import { BackupLine } from '../everything/backup-line';
import { PlaceOptions } from '../nursery/place-options';
import { Today } from '../common/today';
import { useNursery, usePlaces, useToday } from '../nursery/queries';
import { useSession } from '../people/session';
import { useDueToday } from '../round/queries';
import { usePlaceChoice } from '../season/place-choice';
import { useSeason } from '../season/queries';
import { nextMarker, Ribbon, ThinRibbon } from '../season/ribbon';
import { Beds } from '../beds/beds';
import { useChord, useKeys } from '../common/keys';
import { KeysSheet } from './keys-sheet';
import { DemoCalendar, Me } from './me';
import { useTheme } from './theme';
import { WAYS } from './ways';

const loadPalette = () => import('./palette').then((m) => ({ default: m.Palette }));
const Palette = lazy(loadPalette);
/** Fetched once the page stands, ms: who types at once after opening it must not lose the first letters. */
const PALETTE_AFTER = 1500;

/** Ways in the bar of a phone; the others stand behind All. */
const AT_HAND = WAYS.filter((w) => ['/', '/year', '/cohorts'].includes(w.to));
/** Pages beside which the nursery stands as seen from above. */
const BESIDE_BEDS = /^\/($|cohorts$|cohorts\/[0-9a-f-]{36}|season|fittings|meanwhile)/;

/** The place whose year is shown, and the next thing that happens there. */
function PlaceChoice() {
  const places = usePlaces().data ?? [];
  const [here, choose] = usePlaceChoice();
  const season = useSeason(here).data;
  return (
    <span className="flex min-w-0 items-center gap-1 text-sm">
      {places.length > 1 && (
        <select
          className="select select-ghost select-sm min-h-8 w-auto max-w-36 font-semibold"
          aria-label="Place whose year is shown"
          value={here ?? ''}
          onChange={(e) => choose(e.target.value)}
        >
          <PlaceOptions />
        </select>
      )}
      {season && <span className="soft truncate max-2xl:hidden">{nextMarker(season)}</span>}
    </span>
  );
}

const QUIET = 'btn btn-ghost btn-sm min-h-8 gap-1.5 px-2';

/** Name, ways and the place at the top of every page of a desk; the strip of the year under them. */
function Head({ onFind, onMe }: { onFind: () => void; onMe: () => void }) {
  const nursery = useNursery().data;
  const due = useDueToday().data?.open;
  const name = useSession().data?.person?.name ?? '';
  return (
    <div className="hidden items-end gap-3 lg:flex">
      <p className="max-w-52 min-w-24 truncate pb-2 font-head text-xl font-bold">{nursery?.name}</p>
      <nav aria-label="Places" className="flex items-end">
        {WAYS.map((w) => (
          <NavLink key={w.to} to={w.to} end={w.to === '/'} className="way">
            {w.name}
            {w.to === '/' && due ? <strong className="ml-1.5">{due}</strong> : null}
          </NavLink>
        ))}
      </nav>
      <span className="ml-auto flex items-center gap-2 pb-1">
        <DemoCalendar className="max-xl:hidden" />
        <PlaceChoice />
        <button type="button" className={QUIET} onClick={onFind}>
          <Search size={17} /> Find <kbd className="soft max-2xl:hidden">/</kbd>
        </button>
        <button type="button" className={QUIET} onClick={onMe}>
          <span className="sr-only">You and this device: </span>
          <UserRound size={18} aria-hidden="true" />
          {name.split(' ')[0]}
        </button>
      </span>
    </div>
  );
}

/** The strip of the year: whole at a desk, one line on a phone that opens by a touch. */
function Year() {
  const [place] = usePlaceChoice();
  const season = useSeason(place).data;
  const [open, setOpen] = useState(false);
  if (!season) return <div className="h-4 lg:h-[45px]" />;
  return (
    <>
      <div className={open ? '' : 'max-lg:hidden'}>
        <Ribbon season={season} />
      </div>
      <button
        type="button"
        className="block w-full py-1.5 lg:hidden"
        aria-expanded={open}
        aria-label="The year at a glance"
        onClick={() => setOpen(!open)}
      >
        {open ? <span className="soft text-sm">fold the year</span> : <ThinRibbon season={season} />}
      </button>
    </>
  );
}

function Bar({ onAll }: { onAll: () => void }) {
  const due = useDueToday().data?.open;
  const cell = 'grid min-h-14 place-items-center content-center gap-0.5 text-sm';
  return (
    <nav
      aria-label="Places"
      className="no-print fixed inset-x-0 bottom-0 z-10 grid grid-cols-4 border-t border-base-300 bg-base-100 pb-[env(safe-area-inset-bottom)] lg:hidden"
    >
      {AT_HAND.map((w) => (
        <NavLink
          key={w.to}
          to={w.to}
          end={w.to === '/'}
          className={({ isActive }) =>
            `${cell} ${isActive ? 'border-t-4 border-base-content font-bold' : ''}`
          }
        >
          <w.icon size={20} aria-hidden="true" />
          {w.name}
          {w.to === '/' && due ? ` ${due}` : ''}
        </NavLink>
      ))}
      <button type="button" className={cell} onClick={onAll}>
        <Ellipsis size={20} aria-hidden="true" />
        All
      </button>
    </nav>
  );
}

type Open = 'find' | 'me' | 'keys' | null;

/** What stands around every page: the ways and the year above it, the nursery from above beside it. */
export function Frame() {
  const [dark, flip] = useTheme();
  const [open, setOpen] = useState<Open>(null);
  const { pathname } = useLocation();
  const go = useNavigate();
  const today = useToday();
  const close = () => setOpen(null);
  useEffect(() => {
    const later = setTimeout(() => void loadPalette(), PALETTE_AFTER);
    return () => clearTimeout(later);
  }, []);
  useKeys({ '/': () => setOpen('find'), '?': () => setOpen('keys') });
  useChord('g', Object.fromEntries(WAYS.map((w) => [w.key, () => void go(w.to)])));
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#work" className="btn btn-primary sr-only z-20 focus:not-sr-only focus:absolute">
        Skip to the work
      </a>
      <header className="no-print border-b border-base-300 bg-base-100 px-4 lg:px-5 lg:pt-1">
        <Head onFind={() => setOpen('find')} onMe={() => setOpen('me')} />
        <Year />
      </header>
      <PlanningLine />
      <BackupLine />
      <div className="flex grow">
        {BESIDE_BEDS.test(pathname) && <Beds />}
        <main id="work" className="min-w-0 grow pb-24 lg:pb-10">
          <Today value={today}>
            <Outlet />
          </Today>
        </main>
      </div>
      <Bar onAll={() => setOpen('me')} />
      <UndoBar />
      <ClockBar today={today} />
      {open === 'me' && (
        <Me
          dark={dark}
          flip={flip}
          onKeys={() => setOpen('keys')}
          onFind={() => setOpen('find')}
          onClose={close}
        />
      )}
      {open === 'keys' && <KeysSheet onClose={close} />}
      {open === 'find' && (
        <Suspense fallback={null}>
          <Palette onClose={close} />
        </Suspense>
      )}
    </div>
  );
}
