import { CalendarDays } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { isIsoDate } from '@gonimos/core/calendar';
import { dateOrder } from './date-order';
import { fullDate } from './dates';
import { readDay } from './read-day';
import { useToday } from './today';

const Calendar = lazy(() => import('./calendar').then((m) => ({ default: m.Calendar })));

interface Props {
  id?: string;
  className?: string;
  name?: string;
  /** a day as YYYY-MM-DD, or what was typed and cannot be read yet */
  value: string;
  onChange: (day: string) => void;
  onBlur?: () => void;
  min?: string;
  max?: string;
  'aria-invalid'?: boolean;
  'aria-describedby'?: string;
}

const shown = (value: string) => (isIsoDate(value) ? fullDate(value) : value);

/** A day, typed as people do ("tue", "+10d", "15 6") or picked; written in the person's own order. */
export function DayInput({ value, onChange, onBlur, min, max, className = '', ...input }: Props) {
  const today = useToday();
  const [text, setText] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  // a day that may only lie ahead is looked for ahead
  const lean = min !== undefined && min >= today ? 1 : -1;
  const type = (typed: string) => {
    setText(typed);
    onChange(readDay(typed, today, { lean, order: dateOrder() }) ?? typed);
  };
  return (
    <span className="relative block">
      <input
        {...input}
        type="text"
        autoComplete="off"
        className={`input pr-12 ${className}`}
        value={text ?? shown(value)}
        onChange={(e) => type(e.target.value)}
        onFocus={(e) => e.currentTarget.select()}
        onBlur={() => {
          setText(null);
          onBlur?.();
        }}
      />
      <button
        type="button"
        className="btn btn-ghost btn-square absolute inset-y-0 right-0 z-1 h-auto"
        aria-label="Open the calendar"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <CalendarDays size={19} aria-hidden="true" />
      </button>
      {open && (
        <Suspense fallback={null}>
          <Calendar
            value={isIsoDate(value) ? value : today}
            {...(min === undefined ? {} : { min })}
            {...(max === undefined ? {} : { max })}
            onPick={(day) => {
              setText(null);
              onChange(day);
              setOpen(false);
            }}
          />
        </Suspense>
      )}
    </span>
  );
}
