import { inUnits } from '../common/units';
import { scaleLinear } from 'd3-scale';
import { daysBetween, toIso } from '@gonimos/core/calendar';
import { OBSERVATIONS, type Marker, type MarkerName } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import { useWithdraw } from '../observations/queries';
import { dateSpan, shortDate } from '../common/dates';
import { useWidth } from '../common/use-width';

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
  if (marker.kind === 'no-marker')
    return (
      <tr className="align-top">
        <th scope="row" className="py-2.5 pr-4 text-left font-semibold">
          {name[0]}
          <span className="soft block text-sm font-normal">{inUnits(name[1])}</span>
        </th>
        <td colSpan={2} className="soft py-2.5">
          {marker.why}
        </td>
      </tr>
    );
  const known = marker.seen
    ? `${OBSERVATIONS[marker.seen.as].name} seen ${shortDate(toIso(marker.seen.on), season.today)}`
    : marker.passed
      ? 'passed, from the record'
      : marker.p10 === marker.p90
        ? 'almost certain'
        : dateSpan(toIso(marker.p10), toIso(marker.p90), season.today);
  const firm = marker.passed || marker.seen !== undefined;
  return (
    <tr className="align-top">
      <th scope="row" className="py-2.5 pr-4 text-left font-semibold">
        {name[0]}
        <span className="soft block text-sm font-normal">{inUnits(name[1])}</span>
      </th>
      <td className="py-2.5 pr-4 whitespace-nowrap">
        <strong>{shortDate(toIso(marker.p50), season.today)}</strong>
        <span
          className={`block text-sm whitespace-normal ${marker.seen ? 'font-semibold text-primary' : 'soft'}`}
        >
          {known}
        </span>
      </td>
      <td ref={ref} className="w-2/5 py-3 max-sm:hidden">
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
          {!firm && (
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
            r={firm ? 5.5 : 4.5}
            fill={firm ? 'var(--color-base-content)' : 'var(--color-primary)'}
          />
        </svg>
      </td>
    </tr>
  );
}

/** Markers of the place: expected with their spread, firm once passed or seen. */
export function Markers({ season }: { season: SeasonOfPlace }) {
  return (
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
  );
}

/** What was seen this season at this place, against what the model had said. */
export function Seen({ season }: { season: SeasonOfPlace }) {
  const back = useWithdraw();
  if (season.seen.length === 0) return null;
  return (
    <section>
      <h2 className="text-xl">Seen this season</h2>
      <ul className="divide-y divide-base-300">
        {season.seen.map((o) => (
          <li key={o.id} className="flex flex-wrap items-center justify-between gap-3 py-2.5">
            <p>
              <strong>{OBSERVATIONS[o.kind].name}</strong> on{' '}
              {o.taxonId ? taxon(o.taxonId).name : 'everything here'}, {shortDate(o.on, season.today)}
              <span className="soft block text-sm">
                {[
                  o.expected
                    ? `the model had said ${shortDate(o.expected, season.today)} for the marker itself`
                    : '',
                  o.note,
                  o.by,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </p>
            <button
              type="button"
              className="btn btn-ghost border border-base-300"
              disabled={back.isPending}
              onClick={() => back.mutate(o.id)}
            >
              Take back<span className="sr-only"> {OBSERVATIONS[o.kind].name}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
