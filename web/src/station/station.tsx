import { scaleLinear } from 'd3-scale';
import type { StationNow } from '@gonimos/contract/station';
import { Weather } from './weather';
import { useWidth } from '../common/use-width';
import { useStation } from './queries';
import { HeightAxis } from '../common/axis';
import { degrees, speed, temperature } from '../common/units';

const HEIGHT = 110;

/** Temperature of the last 24 hours; the time frost was on the ground is blue. */
function LastDay({ now }: { now: StationNow }) {
  const [ref, width] = useWidth<HTMLDivElement>(360);
  const all = now.readings.map((r) => r.temperature);
  const x = scaleLinear([0, Math.max(1, all.length - 1)], [34, width - 8]);
  const y = scaleLinear([Math.min(0, ...all) - 1, Math.max(5, ...all) + 1], [HEIGHT - 22, 8]);
  const path = all.map((t, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)} ${y(t).toFixed(1)}`).join('');
  return (
    <div ref={ref} className="min-w-0">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Temperature of the last day, from ${temperature(now.low!, 1)} to ${temperature(now.high!, 1)}`}
      >
        <HeightAxis y={y} count={3} from={34} to={width} words={degrees} nought="var(--color-info)" />
        <path d={path} fill="none" stroke="var(--color-base-content)" strokeWidth={2} />
        {now.readings.map((r, i) =>
          r.temperature <= 0 ? (
            <circle key={r.at} cx={x(i)} cy={y(r.temperature)} r={3.5} fill="var(--color-info)" />
          ) : null,
        )}
        {now.readings.map((r, i) =>
          i % 6 === 5 ? (
            <text
              key={r.at}
              x={x(i)}
              y={HEIGHT - 5}
              fontSize={13}
              textAnchor={i > 20 ? 'end' : 'middle'}
              fill="var(--ink-soft)"
            >
              {r.at.slice(11)}
            </text>
          ) : null,
        )}
      </svg>
    </div>
  );
}

/** The station now: last reading, last day, and what the days ahead ask for. */
export function Station() {
  const now = useStation().data;
  if (!now) return null;
  const { latest } = now;
  return (
    <section className="grid gap-3">
      <h2 className="text-xl">
        Weather station
        {now.station && <span className="soft ml-3 font-sans text-base font-normal">{now.station}</span>}
      </h2>
      {now.trouble && (
        <p role="status" className="rounded-box bg-[var(--slip)] px-4 py-3">
          <strong>The station:</strong> {now.trouble}.
        </p>
      )}
      <Weather warnings={now.warnings} />
      {!latest ? (
        <p className="soft">
          {now.station === null
            ? 'No station is set. Give its address under Nursery, Site: it answers with its last 24 hours.'
            : 'The station has not answered yet.'}
        </p>
      ) : (
        <div className="card-plain grid gap-4 p-4 md:grid-cols-[16rem_minmax(0,1fr)]">
          <dl className="grid grid-cols-2 content-start gap-x-5 gap-y-2">
            {[
              ['Air', temperature(latest.temperature, 1)],
              [
                'Last day',
                `${temperature(now.low!, 1).replace(/ °[CF]$/, '')} to ${temperature(now.high!, 1)}`,
              ],
              ['Humidity', `${latest.humidity} %`],
              ['Wind', speed(latest.wind)],
              ['Gusts', speed(latest.gust)],
              ['Read at', latest.at.slice(11)],
            ].map(([name, value]) => (
              <div key={name}>
                <dt className="soft text-sm">{name}</dt>
                <dd className="font-semibold">{value}</dd>
              </div>
            ))}
          </dl>
          <LastDay now={now} />
        </div>
      )}
    </section>
  );
}
