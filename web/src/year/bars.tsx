import { scaleLinear } from 'd3-scale';
import type { WeekLoad } from '@gonimos/core/year';
import { monthName, shortDate } from '../common/dates';
import { useWidth } from '../common/use-width';
import { HeightAxis } from '../common/axis';
import type { YearHead } from './view';

const HEIGHT = 250;
/** Room the name of a month takes, px. */
const NAME = 30;
const LEFT = 40;
const FOOT = 26;
const hours = (minutes: number) => minutes / 60;

interface WeekProps {
  load: WeekLoad;
  /** minutes all can give */
  can: number;
  label: string;
  locked: boolean;
  chosen: boolean;
  /** left edge and room of the week, width of its bar, px */
  x: number;
  room: number;
  bar: number;
  /** height of so many hours, px; `most`: hours at the top */
  y: (hours: number) => number;
  most: number;
  choose: () => void;
}

/** One week: work that wants practice at the foot, all work over it, and what is too many on top. */
function WeekBar({ load: l, can, label, locked, chosen, x, room, bar, y, most, choose }: WeekProps) {
  const part = (minutes: number, fill: string) => (
    <rect x={x + 1} width={bar} y={y(hours(minutes))} height={y(0) - y(hours(minutes))} fill={fill} rx={2} />
  );
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={chosen}
      className="cursor-pointer"
      onClick={choose}
      onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && choose()}
    >
      <title>{label}</title>
      <rect
        x={x}
        width={room}
        y={8}
        height={HEIGHT - FOOT - 8}
        fill={chosen ? 'var(--rest)' : 'transparent'}
      />
      {part(Math.min(l.all, can), 'var(--celadon-deep)')}
      {part(Math.min(l.skilled, l.all), 'var(--color-primary)')}
      {l.all > can && (
        <rect
          x={x + 1}
          width={bar}
          y={y(hours(l.all))}
          height={Math.max(2, y(hours(can)) - y(hours(l.all)))}
          fill="var(--due)"
          stroke="var(--color-accent)"
          rx={2}
        />
      )}
      {l.all > most * 60 && (
        <text
          x={x + bar / 2}
          y={20}
          fontSize={12}
          textAnchor="middle"
          fill="var(--color-accent)"
          fontWeight={700}
        >
          {hours(l.all).toFixed(0)}
        </text>
      )}
      {locked && (
        <circle cx={x + 1 + bar / 2} cy={HEIGHT - FOOT + 6} r={3} fill="var(--color-base-content)" />
      )}
    </g>
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
  const [ref, width] = useWidth<HTMLDivElement>();
  const capacity = {
    all: year.capacity.all.slice(0, year.shown),
    skilled: year.capacity.skilled.slice(0, year.shown),
  };
  const n = load.length;
  // a single huge week must not flatten the rest
  const sorted = load.map((l) => hours(l.all)).toSorted((a, b) => a - b);
  const most = Math.max(10, hours(Math.max(...capacity.all)) * 1.3, sorted[Math.floor(n * 0.97)] * 1.05);
  const x = scaleLinear([0, n], [LEFT, width - 4]);
  const y = scaleLinear([0, most], [HEIGHT - FOOT, 8]).clamp(true);
  const bar = Math.max(3, x(1) - x(0) - (width > 700 ? 4 : 1.5));
  const line = (minutes: number[]) =>
    minutes.map((m, w) => `${w === 0 ? 'M' : 'L'}${x(w)} ${y(hours(m))}L${x(w + 1)} ${y(hours(m))}`).join('');
  return (
    <figure ref={ref} className="min-w-0">
      <svg width={width} height={HEIGHT} role="group" aria-label="Person-hours by week">
        <HeightAxis y={y} from={LEFT} to={width} words={(t) => `${t} h`} />
        {load.map((l, w) => {
          const label = `Week of ${shortDate(year.weeks[w], year.today)}: ${hours(l.all).toFixed(0)} of ${hours(capacity.all[w]).toFixed(0)} hours${l.over > 0 ? `, ${hours(l.over).toFixed(1)} too many` : ''}`;
          return (
            <WeekBar
              key={year.weeks[w]}
              load={l}
              can={capacity.all[w]}
              label={label}
              locked={year.lockedWeeks.includes(year.weeks[w])}
              chosen={w === chosen}
              x={x(w)}
              room={x(1) - x(0)}
              bar={bar}
              y={y}
              most={most}
              choose={() => onChoose(w)}
            />
          );
        })}
        <path d={line(capacity.all)} fill="none" stroke="var(--color-base-content)" strokeWidth={1.8} />
        <path
          d={line(capacity.skilled)}
          fill="none"
          stroke="var(--color-base-content)"
          strokeWidth={1.4}
          strokeDasharray="4 3"
        />
        {year.weeks.slice(0, year.shown).map((iso, w) =>
          w > 0 &&
          iso.slice(5, 7) !== year.weeks[w - 1].slice(5, 7) &&
          (width > 620 || w % 8 < 4) &&
          // a name at the very edge would be cut
          x(w) < width - NAME ? (
            <text key={iso} x={x(w)} y={HEIGHT - 6} fontSize={13} fill="var(--ink-soft)">
              {monthName(iso)}
            </text>
          ) : null,
        )}
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
