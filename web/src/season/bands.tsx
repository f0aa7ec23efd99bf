import { scaleLinear } from 'd3-scale';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import { daysBetween } from '@gonimos/core/calendar';
import { monthName } from '../common/dates';
import { useWidth } from '../common/use-width';
import { HeightAxis } from '../common/axis';
import { degrees } from '../common/units';

const HEIGHT = 240;
const LEFT = 36;
const FOOT = 24;

/** Scale of a season's days across a drawing. */
export function useDays(season: SeasonOfPlace, width: number, left = LEFT) {
  const days = daysBetween(season.from, season.to);
  const x = scaleLinear([0, days], [left, width - 8]);
  return (iso: string) => x(daysBetween(season.from, iso));
}

/** Names of the months along the foot of a drawing. */
export function Months({
  season,
  width,
  height,
  left,
}: {
  season: SeasonOfPlace;
  width: number;
  height: number;
  left?: number;
}) {
  const px = useDays(season, width, left);
  return season.weekly
    .filter((w, i) => i === 0 || w.day.slice(5, 7) !== season.weekly[i - 1].day.slice(5, 7))
    .map((w, i) =>
      width > 560 || i % 2 === 0 ? (
        <text key={w.day} x={px(w.day)} y={height - 5} fontSize={13} fill="var(--ink-soft)">
          {monthName(w.day)}
        </text>
      ) : null,
    );
}

interface Stroke {
  day: string;
  /** °C */
  low: number;
  high: number;
}

/** The band in which eight days of ten lie, ordinary nights and days in it, the record as strokes, the days ahead. */
export function Bands({ season }: { season: SeasonOfPlace }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const px = useDays(season, width);
  const all = [
    ...season.band.flatMap((b) => [b.low, b.high]),
    ...season.record.flatMap((r) => [r.tmin, r.tmax]),
  ];
  const y = scaleLinear([Math.min(-5, ...all) - 1, Math.max(25, ...all) + 1], [HEIGHT - FOOT, 6]);
  const area = (points: { day: string }[], low: (i: number) => number, high: (i: number) => number) => {
    const at = (i: number, v: number) => `${px(points[i].day).toFixed(1)} ${y(v).toFixed(1)}`;
    const up = points.map((_, i) => at(i, high(i)));
    const down = points.map((_, i) => at(i, low(i))).reverse();
    return `M${[...up, ...down].join('L')}Z`;
  };
  const record = season.record.map((r) => ({ day: r.day, low: r.tmin, high: r.tmax }));
  const frozen = record.filter((r) => r.low <= 0);
  const mild = record.filter((r) => r.low > 0);
  const inside = season.ahead
    .filter((a) => !a.known && a.day >= season.from && a.day <= season.to)
    .map((a) => ({ day: a.day, low: a.low.p10, high: a.high.p90 }));
  // one path for all days: a line of its own for each takes a page long to put there
  const strokes = (days: Stroke[], colour: string, opacity = 1) => (
    <path
      d={days.map((d) => `M${px(d.day).toFixed(1)} ${y(d.low).toFixed(1)}V${y(d.high).toFixed(1)}`).join('')}
      stroke={colour}
      strokeWidth={Math.max(1, Math.min(2.5, width / 420))}
      opacity={opacity}
    />
  );
  return (
    <figure ref={ref} className="min-w-0">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label="Temperature through the year: the ordinary band, the record of this season and the days ahead"
      >
        <HeightAxis y={y} from={LEFT} to={width} words={degrees} nought="var(--color-info)" />
        <path
          d={area(
            season.band,
            (i) => season.band[i].low,
            (i) => season.band[i].high,
          )}
          fill="var(--celadon)"
          opacity={0.5}
        />
        <path
          d={area(
            season.weekly,
            (i) => season.weekly[i].tmin,
            (i) => season.weekly[i].tmax,
          )}
          fill="var(--celadon-deep)"
          opacity={0.45}
        />
        {strokes(mild, 'var(--color-base-content)')}
        {strokes(frozen, 'var(--color-info)')}
        {strokes(inside, 'var(--color-accent)', 0.75)}
        <line
          x1={px(season.today)}
          x2={px(season.today)}
          y1={4}
          y2={HEIGHT - FOOT}
          stroke="var(--color-accent)"
          strokeWidth={1.5}
        />
        <Months season={season} width={width} height={HEIGHT} />
      </svg>
      <figcaption className="soft text-sm">
        Dark band: an ordinary night to an ordinary day here; pale: eight of ten lie inside. Strokes: this
        year’s record here, blue when it froze; rust: the ten days ahead, one in ten colder, one in ten
        warmer.
      </figcaption>
    </figure>
  );
}
