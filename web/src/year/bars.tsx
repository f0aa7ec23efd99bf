import type { WeekLoad } from '@gonimos/core/year';
import { monthName, shortDate } from '../common/dates';
import { useWidth } from '../common/use-width';
import { HeightAxis } from '../common/axis';
import { marksOf, type Marks } from './marks';
import type { YearHead } from './view';

const HEIGHT = 250;
/** Room the name of a month takes, px. */
const NAME = 30;
const LEFT = 40;
const TOP = 8;
const FOOT = HEIGHT - 26;
const hours = (minutes: number) => minutes / 60;

/** What is read out of a week. */
function weekWords(year: YearHead, l: WeekLoad, week: number): string {
  const can = hours(year.capacity.all[week]).toFixed(0);
  const over = l.over > 0 ? `, ${hours(l.over).toFixed(1)} too many` : '';
  return `Week of ${shortDate(year.weeks[week], year.today)}: ${hours(l.all).toFixed(0)} of ${can} hours${over}`;
}

interface ChoiceProps {
  label: string;
  chosen: boolean;
  x: number;
  room: number;
  choose: () => void;
}

/** A week to be chosen; its work is drawn over it. */
function Choice({ label, chosen, x, room, choose }: ChoiceProps) {
  return (
    <rect
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={chosen}
      className="cursor-pointer"
      x={x}
      width={room}
      y={TOP}
      height={FOOT - TOP}
      fill={chosen ? 'var(--rest)' : 'transparent'}
      onClick={choose}
      onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && choose()}
    >
      <title>{label}</title>
    </rect>
  );
}

/** A bar narrower than this cannot be written on, px. */
const WRITABLE = 16;

/** Hours of the weeks that go beyond the top: on their bars, or beside those too thin, one of neighbours. */
function Beyond({ marks, load }: { marks: Marks; load: WeekLoad[] }) {
  const { x, bar, beyond } = marks;
  const on = { anchor: 'middle', at: (w: number) => x(w) + bar / 2 } as const;
  const before = { anchor: 'end', at: (w: number) => x(w) - 3 } as const;
  const after = { anchor: 'start', at: (w: number) => x(w) + bar + 3 } as const;
  const told = beyond.filter((w) => bar >= WRITABLE || !beyond.includes(w - 1));
  return told.map((w) => {
    const { anchor, at } = bar >= WRITABLE ? on : w > 2 ? before : after;
    return (
      <text
        key={w}
        x={at(w)}
        y={20}
        fontSize={12}
        textAnchor={anchor}
        fill="var(--color-accent)"
        fontWeight={700}
      >
        {hours(load[w].all).toFixed(0)}
      </text>
    );
  });
}

/** The work of all weeks: what wants practice at the foot, all work over it, and what is too many on top. */
function Work({ marks, load, locked }: { marks: Marks; load: WeekLoad[]; locked: boolean[] }) {
  const { x, bar } = marks;
  return (
    <g pointerEvents="none">
      <path d={marks.anybody} fill="var(--celadon-deep)" />
      <path d={marks.practice} fill="var(--color-primary)" />
      <path d={marks.over} fill="var(--due)" stroke="var(--color-accent)" />
      <Beyond marks={marks} load={load} />
      {locked.map((is, w) =>
        is ? (
          <circle key={w} cx={x(w) + 1 + bar / 2} cy={FOOT + 6} r={3} fill="var(--color-base-content)" />
        ) : null,
      )}
      <path d={marks.hours} fill="none" stroke="var(--color-base-content)" strokeWidth={1.8} />
      <path
        d={marks.practised}
        fill="none"
        stroke="var(--color-base-content)"
        strokeWidth={1.4}
        strokeDasharray="4 3"
      />
    </g>
  );
}

/** Names of the months where they begin, as far as there is room for them. */
function Months({ weeks, x, width }: { weeks: string[]; x: Marks['x']; width: number }) {
  return weeks.map((iso, w) =>
    w > 0 &&
    iso.slice(5, 7) !== weeks[w - 1].slice(5, 7) &&
    (width > 620 || w % 8 < 4) &&
    // a name at the very edge would be cut
    x(w) < width - NAME ? (
      <text key={iso} x={x(w)} y={HEIGHT - 6} fontSize={13} fill="var(--ink-soft)">
        {monthName(iso)}
      </text>
    ) : null,
  );
}

interface Props {
  year: YearHead;
  load: WeekLoad[];
  chosen: number;
  onChoose: (week: number) => void;
}

/** Person-hours of every week against what the people can give; work that wants practice at the foot. */
export function Bars({ year, load: all, chosen, onChoose }: Props) {
  const load = all.slice(0, year.shown);
  const weeks = year.weeks.slice(0, year.shown);
  const [ref, width] = useWidth<HTMLDivElement>();
  const capacity = {
    all: year.capacity.all.slice(0, year.shown),
    skilled: year.capacity.skilled.slice(0, year.shown),
  };
  const marks = marksOf({ load, capacity, left: LEFT, right: width - 4, top: TOP, foot: FOOT });
  return (
    <figure ref={ref} className="min-w-0">
      <svg width={width} height={HEIGHT} role="group" aria-label="Person-hours by week">
        <HeightAxis y={marks.y} from={LEFT} to={width} words={(t) => `${t} h`} />
        {load.map((l, w) => (
          <Choice
            key={weeks[w]}
            label={weekWords(year, l, w)}
            chosen={w === chosen}
            x={marks.x(w)}
            room={marks.room}
            choose={() => onChoose(w)}
          />
        ))}
        <Work marks={marks} load={load} locked={weeks.map((w) => year.lockedWeeks.includes(w))} />
        <Months weeks={weeks} x={marks.x} width={width} />
      </svg>
      <figcaption className="soft flex flex-wrap gap-x-5 gap-y-1 text-sm">
        <Key colour="var(--color-primary)">wants practice</Key>
        <Key colour="var(--celadon-deep)">anybody</Key>
        <Key colour="var(--due)" edge="var(--color-accent)">
          more than there are hours
        </Key>
        <span>line: hours of all, routine taken off; dashed: of those with practice</span>
      </figcaption>
    </figure>
  );
}

const Key = ({ colour, edge, children }: { colour: string; edge?: string; children: string }) => (
  <span className="flex items-center gap-2">
    <span
      className="inline-block size-3 rounded-sm border"
      style={{ background: colour, borderColor: edge ?? colour }}
    />
    {children}
  </span>
);
