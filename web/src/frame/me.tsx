import { CalendarDays, LogOut, MoonStar, Ruler, Search, Sun } from 'lucide-react';
import { NavLink } from 'react-router';
import { dateOrder, keepDateOrder } from '../common/date-order';
import { Sheet } from '../common/sheet';
import { useNursery, useStepCalendar } from '../nursery/queries';
import { useChooseUnits, useSession, useSignOut } from '../people/session';
import { WAYS } from './ways';
import { unitSystem } from '../common/units';

const STEPS = [
  { days: 1, name: 'a day' },
  { days: 7, name: 'a week' },
  { days: 91, name: 'a season' },
];

/** The demo keeps its own calendar, moved on by hand. */
export function DemoCalendar({ className = '' }: { className?: string }) {
  const nursery = useNursery().data;
  const step = useStepCalendar();
  if (!nursery?.demo) return null;
  return (
    <div
      role="group"
      aria-label="Move the demo calendar on"
      className={`no-print flex flex-wrap items-center gap-1 text-sm whitespace-nowrap lg:flex-nowrap ${className}`}
    >
      <span className="soft mr-1">
        {step.isPending ? '…' : 'Demo'}
        <span className="lg:max-2xl:sr-only">{step.isPending ? ' days pass' : ': on by'}</span>
      </span>
      {STEPS.map((s) => (
        <button
          key={s.days}
          type="button"
          className="btn btn-sm btn-ghost min-h-11 border border-base-300 px-2 font-normal lg:min-h-7"
          disabled={step.isPending}
          onClick={() => step.mutate(s.days)}
        >
          {s.name}
        </button>
      ))}
    </div>
  );
}

interface Props {
  dark: boolean;
  flip: () => void;
  onKeys: () => void;
  onFind: () => void;
  onClose: () => void;
}

const LINE = 'btn btn-outline btn-tall justify-start gap-3';

/** Who is here, the light, the ways that have no place in a phone's bar, and the way out. */
export function Me({ dark, flip, onKeys, onFind, onClose }: Props) {
  const session = useSession().data;
  const nursery = useNursery().data;
  const out = useSignOut();
  const choose = useChooseUnits();
  const other = unitSystem() === 'metric' ? 'US' : 'metric';
  return (
    <Sheet
      title={nursery?.name ?? 'Gonimos'}
      sub={session?.person && `${session.person.name}, ${session.person.role}`}
      onClose={onClose}
    >
      <div className="grid gap-2">
        {WAYS.map((w) => (
          <NavLink key={w.to} to={w.to} className={`${LINE} lg:hidden`} onClick={onClose}>
            <w.icon size={20} /> {w.name}
          </NavLink>
        ))}
        <button type="button" className={`${LINE} lg:hidden`} onClick={onFind}>
          <Search size={20} /> Find
        </button>
        <DemoCalendar className="py-2 lg:hidden" />
        <button
          type="button"
          className={LINE}
          onClick={() => keepDateOrder(dateOrder() === 'day first' ? 'month first' : 'day first')}
        >
          <CalendarDays size={20} /> Dates as {dateOrder() === 'day first' ? 'Mar 9' : '9 Mar'}
        </button>
        <button type="button" className={LINE} onClick={() => choose.mutate(other)}>
          <Ruler size={20} /> Measures in {other === 'US' ? 'inches, gallons, °F' : 'mm, litres, °C'}
        </button>
        <button type="button" className={LINE} onClick={flip}>
          {dark ? <Sun size={20} /> : <MoonStar size={20} />} {dark ? 'Light' : 'Dark'}
        </button>
        <button type="button" className={`${LINE} max-lg:hidden`} onClick={onKeys}>
          <kbd className="w-5 font-bold">?</kbd> Keys
        </button>
        <button type="button" className={LINE} onClick={() => out.mutate()}>
          <LogOut size={20} /> Leave
        </button>
      </div>
    </Sheet>
  );
}
