import {
  BookOpen,
  CalendarDays,
  ChartColumn,
  Ellipsis,
  Home,
  Leaf,
  MoonStar,
  Sprout,
  ListTree,
  LogOut,
  Sun,
} from 'lucide-react';
import { useEffect, useState, type ComponentType } from 'react';
import { NavLink, Outlet } from 'react-router';
import { BackupLine } from './everything/backup-line';
import { PlanningLine } from './course/planning-line';
import { PlaceOptions } from './nursery/place-options';
import { useNursery, usePlaces, useStepCalendar } from './nursery/queries';
import { useSession, useSignOut } from './people/session';
import { useRound } from './round/queries';
import { usePlaceChoice } from './season/place-choice';
import { useSeason } from './season/queries';
import { Sheet } from './common/sheet';
import { nextMarker, Ribbon } from './season/ribbon';

const PLACES: { to: string; name: string; group: string; icon: ComponentType<{ size?: number }> }[] = [
  { to: '/', name: 'Round', group: 'Work', icon: Leaf },
  { to: '/year', name: 'Year', group: 'Work', icon: ChartColumn },
  { to: '/cohorts', name: 'Cohorts', group: 'Plants', icon: ListTree },
  { to: '/propagation', name: 'Propagation', group: 'Plants', icon: Sprout },
  { to: '/season', name: 'Season', group: 'Know', icon: CalendarDays },
  { to: '/library', name: 'Library', group: 'Know', icon: BookOpen },
  { to: '/nursery', name: 'Nursery', group: 'Know', icon: Home },
];

/** Places in the bar of a phone; the others stand behind More. */
const AT_HAND = new Set(['/', '/year', '/cohorts', '/season']);

function useTheme(): [dark: boolean, flip: () => void] {
  const [dark, setDark] = useState(
    () =>
      (localStorage.getItem('theme') ??
        (matchMedia('(prefers-color-scheme: dark)').matches ? 'kuro' : 'ash')) === 'kuro',
  );
  useEffect(() => {
    document.documentElement.dataset.theme = dark ? 'kuro' : 'ash';
  }, [dark]);
  return [
    dark,
    () => {
      localStorage.setItem('theme', dark ? 'ash' : 'kuro');
      setDark(!dark);
    },
  ];
}

const STEPS = [
  { days: 1, name: 'a day' },
  { days: 7, name: 'a week' },
  { days: 91, name: 'a season' },
];

/** The demo keeps its own calendar, moved on by hand. */
function DemoCalendar() {
  const nursery = useNursery().data;
  const step = useStepCalendar();
  if (!nursery?.demo) return null;
  return (
    <div
      role="group"
      aria-label="Move the demo calendar on"
      className="no-print flex flex-wrap items-center gap-1 text-sm"
    >
      <span className="soft mr-1">{step.isPending ? 'Days pass …' : 'Demo: on by'}</span>
      {STEPS.map((s) => (
        <button
          key={s.days}
          type="button"
          className="btn btn-sm btn-ghost min-h-11 border border-base-300 px-2.5 lg:min-h-8"
          disabled={step.isPending}
          onClick={() => step.mutate(s.days)}
        >
          {s.name}
        </button>
      ))}
    </div>
  );
}

function PlaceChoice() {
  const places = usePlaces().data ?? [];
  const [here, choose] = usePlaceChoice();
  if (places.length < 2) return null;
  return (
    <select
      className="select select-sm min-h-11 w-auto max-w-40 lg:min-h-8"
      aria-label="Place whose year is shown"
      value={here ?? ''}
      onChange={(e) => choose(e.target.value)}
    >
      <PlaceOptions />
    </select>
  );
}

export function Shell() {
  const session = useSession().data;
  const nursery = useNursery().data;
  const [place] = usePlaceChoice();
  const season = useSeason(place).data;
  const [dark, flip] = useTheme();
  const out = useSignOut();
  const due = useRound().data?.open;
  const [more, setMore] = useState(false);
  const link =
    'flex items-center justify-between gap-3 rounded-box px-3 py-2.5 font-medium hover:bg-base-300/60';
  return (
    <div className="min-h-dvh lg:grid lg:grid-cols-[11.5rem_1fr]">
      <a href="#work" className="btn btn-primary sr-only z-20 focus:not-sr-only focus:absolute">
        Skip to the work
      </a>
      <aside className="no-print sticky top-0 hidden h-dvh flex-col border-r border-base-300 bg-base-100 px-3 py-5 lg:flex">
        <p className="flex items-center gap-2.5 px-2 font-head text-2xl font-bold">
          <img src="/mark.svg" alt="" width={26} height={26} /> Gonimos
        </p>
        <p className="soft mt-1 px-2 text-sm">{nursery?.name}</p>
        <nav aria-label="Places" className="mt-6 grid gap-1">
          {PLACES.map((p, i) => (
            <div key={p.to}>
              {PLACES[i - 1]?.group !== p.group && <p className="soft mt-3 px-3 pb-1 text-sm">{p.group}</p>}
              <NavLink
                to={p.to}
                end={p.to === '/'}
                className={({ isActive }) =>
                  `${link} ${isActive ? 'bg-neutral text-neutral-content hover:bg-neutral' : ''}`
                }
              >
                {p.name}
                {p.to === '/' && due ? <span className="font-bold">{due}</span> : null}
              </NavLink>
            </div>
          ))}
        </nav>
        <div className="mt-auto grid gap-1 px-1 text-sm">
          <button type="button" className="btn btn-ghost justify-start gap-2 px-2" onClick={flip}>
            {dark ? <Sun size={18} /> : <MoonStar size={18} />} {dark ? 'Light' : 'Dark'}
          </button>
          <button
            type="button"
            className="btn btn-ghost justify-start gap-2 px-2"
            onClick={() => out.mutate()}
          >
            <LogOut size={18} /> Leave
          </button>
          <p className="px-2">
            {session?.person?.name}
            <span className="soft block">{session?.person?.role}</span>
          </p>
        </div>
      </aside>
      <div className="flex min-w-0 flex-col">
        <header className="no-print border-b border-base-300 bg-base-100 px-4 pt-3 pb-1 lg:px-6">
          <div className="mb-1.5 flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
            <div className="flex items-center gap-3">
              <img src="/mark.svg" alt="Gonimos" width={26} height={26} className="lg:hidden" />
              <PlaceChoice />
              {season && (
                <span className="soft hidden text-sm whitespace-nowrap sm:inline">{nextMarker(season)}</span>
              )}
            </div>
            <DemoCalendar />
          </div>
          {season ? <Ribbon season={season} /> : <div className="h-[59px] min-[592px]:h-20" />}
        </header>
        <PlanningLine />
        <BackupLine />
        <main id="work" className="min-w-0 grow pb-24 lg:pb-10">
          <Outlet />
        </main>
        <nav
          aria-label="Places"
          className="no-print fixed inset-x-0 bottom-0 z-10 grid grid-cols-5 border-t border-base-300 bg-base-100 pb-[env(safe-area-inset-bottom)] lg:hidden"
        >
          {PLACES.filter((p) => AT_HAND.has(p.to)).map((p) => (
            <NavLink
              key={p.to}
              to={p.to}
              end={p.to === '/'}
              className={({ isActive }) =>
                `grid min-h-14 place-items-center content-center gap-0.5 text-sm ${isActive ? 'bg-neutral font-bold text-neutral-content' : ''}`
              }
            >
              <p.icon size={20} />
              {p.name}
            </NavLink>
          ))}
          <button
            type="button"
            className="grid min-h-14 place-items-center content-center gap-0.5 text-sm"
            onClick={() => setMore(true)}
          >
            <Ellipsis size={20} />
            More
          </button>
        </nav>
        {more && (
          <Sheet title={nursery?.name ?? 'More'} sub={session?.person?.name} onClose={() => setMore(false)}>
            <div className="grid gap-2">
              {PLACES.filter((p) => !AT_HAND.has(p.to)).map((p) => (
                <NavLink
                  key={p.to}
                  to={p.to}
                  className="btn btn-outline btn-tall justify-start gap-3"
                  onClick={() => setMore(false)}
                >
                  <p.icon size={20} /> {p.name}
                </NavLink>
              ))}
              <button type="button" className="btn btn-outline btn-tall justify-start gap-3" onClick={flip}>
                {dark ? <Sun size={20} /> : <MoonStar size={20} />} {dark ? 'Light' : 'Dark'}
              </button>
              <button
                type="button"
                className="btn btn-outline btn-tall justify-start gap-3"
                onClick={() => out.mutate()}
              >
                <LogOut size={20} /> Leave
              </button>
            </div>
          </Sheet>
        )}
      </div>
    </div>
  );
}
