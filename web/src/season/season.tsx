import { scaleLinear } from 'd3-scale';
import { daysBetween, toIso } from '@gonimos/core/calendar';
import type { Marker, MarkerName } from '@gonimos/core/season';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import { usePlaceName } from '../nursery/queries';
import { dateSpan, monthName, shortDate } from '../shared/dates';
import { Loading } from '../shared/loading';
import { useWidth } from '../shared/use-width';
import { usePlaceChoice } from './place-choice';
import { useSeason } from './queries';

const NAMES: Partial<Record<MarkerName, [string, string]>> = {
  'roots-active': ['Roots at work', 'lagged air temperature at or above 6 °C'],
  'bud-swell': [
    'Bud swell',
    'warmth above 5 °C weighed against the cold of the winter (form of Cannell & Smith 1983)',
  ],
  'bud-swell-late': ['Bud swell, kinds wanting much cold', 'the same, for beech and its like'],
  'candles-moving': ['Candles moving on pines', '170 degree days above 5 °C since midwinter'],
  'bud-break': ['Bud break', '70 degree days above 5 °C after bud swell'],
  'last-frost': ['Last frost', 'last night at or below 0 °C'],
  'flush-hard': ['First flush hardened', '420 degree days after bud break'],
  'warm-season': ['Warm season', 'fortnight mean of 18 °C and days of 12 hours, or the rains'],
  'first-frost': ['First frost', 'first night at or below 0 °C'],
  'roots-rest': ['Roots at rest', 'lagged air temperature below 6 °C'],
  'leaf-fall-done': ['Leaf fall done', 'enough cold below 15 °C since late summer'],
};

function Line({ name, marker, season }: { name: [string, string]; marker: Marker; season: SeasonOfPlace }) {
  const [ref, width] = useWidth<HTMLTableCellElement>(300);
  const days = daysBetween(season.from, season.to);
  const x = scaleLinear([0, days], [4, Math.max(60, width - 24)]);
  const at = (day: number) => x(daysBetween(season.from, toIso(day)));
  return (
    <tr className="align-top">
      <th scope="row" className="py-2.5 pr-4 text-left font-semibold">
        {name[0]}
        <span className="soft block text-sm font-normal">{name[1]}</span>
      </th>
      {marker.kind === 'no-marker' ? (
        <td colSpan={2} className="soft py-2.5">
          {marker.why}
        </td>
      ) : (
        <>
          <td className="py-2.5 pr-4 whitespace-nowrap">
            <strong>{shortDate(toIso(marker.p50), season.today)}</strong>
            <span className="soft block text-sm">
              {marker.passed
                ? 'passed, from the record'
                : marker.p10 === marker.p90
                  ? 'almost certain'
                  : dateSpan(toIso(marker.p10), toIso(marker.p90), season.today)}
            </span>
          </td>
          <td ref={ref} className="w-1/2 py-3 max-sm:hidden">
            <svg width={Math.max(60, width - 20)} height={26} aria-hidden="true">
              <line x1={4} x2={x(days)} y1={13} y2={13} stroke="var(--color-base-300)" />
              <line
                x1={x(daysBetween(season.from, season.today))}
                x2={x(daysBetween(season.from, season.today))}
                y1={0}
                y2={26}
                stroke="var(--color-accent)"
                strokeWidth={2}
              />
              {!marker.passed && (
                <rect
                  x={at(marker.p10)}
                  y={7}
                  width={Math.max(3, at(marker.p90) - at(marker.p10))}
                  height={12}
                  rx={3}
                  fill="var(--celadon)"
                  stroke="var(--color-primary)"
                />
              )}
              <circle
                cx={at(marker.p50)}
                cy={13}
                r={4.5}
                fill={marker.passed ? 'var(--color-base-content)' : 'var(--color-primary)'}
              />
            </svg>
          </td>
        </>
      )}
    </tr>
  );
}

/** Ordinary days and nights of the place over its year, with the last weeks as they were outdoors. */
function Temperatures({ season }: { season: SeasonOfPlace }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const height = 210;
  const days = daysBetween(season.from, season.to);
  const all = season.weekly
    .flatMap((w) => [w.tmin, w.tmax])
    .concat(season.recent.flatMap((r) => [r.tmin, r.tmax]));
  const x = scaleLinear([0, days], [34, width - 6]);
  const y = scaleLinear([Math.min(-5, ...all), Math.max(25, ...all)], [height - 24, 8]);
  const px = (iso: string) => x(daysBetween(season.from, iso));
  const path = (value: (w: SeasonOfPlace['weekly'][number]) => number) =>
    season.weekly
      .map((w, i) => `${i === 0 ? 'M' : 'L'}${px(w.day).toFixed(1)} ${y(value(w)).toFixed(1)}`)
      .join('');
  const back = [...season.weekly]
    .reverse()
    .map((w) => `L${px(w.day).toFixed(1)} ${y(w.tmin).toFixed(1)}`)
    .join('');
  return (
    <figure ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label="Ordinary minimum and maximum temperature through the year, and the last three weeks as measured outdoors"
      >
        {y.ticks(5).map((t) => (
          <g key={t}>
            <line
              x1={34}
              x2={width}
              y1={y(t)}
              y2={y(t)}
              stroke="var(--color-base-300)"
              strokeWidth={t === 0 ? 1.6 : 0.8}
            />
            <text x={28} y={y(t) + 4} fontSize={13} textAnchor="end" fill="var(--ink-soft)">
              {t}°
            </text>
          </g>
        ))}
        <path d={`${path((w) => w.tmax)}${back}Z`} fill="var(--celadon)" opacity={0.8} />
        {season.recent.map((r) => (
          <line
            key={r.day}
            x1={px(r.day)}
            x2={px(r.day)}
            y1={y(r.tmin)}
            y2={y(r.tmax)}
            stroke={r.tmin <= 0 ? 'var(--color-info)' : 'var(--color-base-content)'}
            strokeWidth={2}
          />
        ))}
        {season.weekly
          .filter((w, i) => i === 0 || w.day.slice(5, 7) !== season.weekly[i - 1].day.slice(5, 7))
          .map(
            (w, i) =>
              (width > 560 || i % 2 === 0) && (
                <text key={w.day} x={px(w.day)} y={height - 5} fontSize={13} fill="var(--ink-soft)">
                  {monthName(w.day)}
                </text>
              ),
          )}
      </svg>
      <figcaption className="soft text-sm">
        Band: an ordinary night to an ordinary day here. Strokes: the last three weeks outdoors, blue when it
        froze.
      </figcaption>
    </figure>
  );
}

export function Season() {
  const [place] = usePlaceChoice();
  const { data: season, error } = useSeason(place);
  const placeName = usePlaceName();
  if (!season) return <Loading error={error} />;
  return (
    <div className="grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-7 px-4 py-6 lg:px-6">
      <header>
        <h1 className="text-3xl">
          Season {season.year}
          <span className="soft ml-3 font-sans text-base font-normal tracking-normal">
            {placeName(season.placeId)}
          </span>
        </h1>
        <p className="soft mt-1 max-w-prose">
          From two hundred weather years of this climate
          {season.recordTo ? `, joined to the record up to ${shortDate(season.recordTo, season.today)}` : ''}.
          A span holds eight years of ten.
        </p>
      </header>
      <section className="card-plain p-4">
        <Temperatures season={season} />
      </section>
      <section>
        <h2 className="mb-1 text-xl">Markers</h2>
        <table className="w-full">
          <tbody className="divide-y divide-base-300">
            {(Object.entries(NAMES) as [MarkerName, [string, string]][]).map(([name, words]) => (
              <Line key={name} name={words} marker={season.markers[name]} season={season} />
            ))}
          </tbody>
        </table>
        <p className="soft mt-2 text-sm">Thresholds are common practice, no source, unless one is named.</p>
      </section>
    </div>
  );
}
