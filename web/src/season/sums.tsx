import { plural } from '@gonimos/core/words';
import { scaleLinear } from 'd3-scale';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import { Months, useDays } from './bands';
import { addDays } from '@gonimos/core/calendar';
import { useWidth } from '../common/use-width';
import { HeightAxis } from '../common/axis';

const HEIGHT = 190;
const LEFT = 46;

interface Props {
  season: SeasonOfPlace;
  of: 'degreeDays' | 'chill';
  title: string;
  /** a sum in words */
  measured: (sum: number) => string;
}

/** A running sum of this season against the four before it. */
export function Sums({ season, of, title, measured }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>(480);
  const px = useDays(season, width, LEFT);
  const now = season.sums.find((s) => s.year === season.year);
  const before = season.sums.filter((s) => s.year !== season.year);
  const most = Math.max(10, ...season.sums.flatMap((s) => s[of]));
  const y = scaleLinear([0, most], [HEIGHT - 24, 8]);
  const path = (values: number[]) =>
    values
      .map((v, i) => {
        const day = addDays(season.from, Math.min(7 * i, 365));
        return `${i === 0 ? 'M' : 'L'}${px(day < season.to ? day : season.to).toFixed(1)} ${y(v).toFixed(1)}`;
      })
      .join('');
  const today = now?.[of].at(-1);
  const sameDay = before
    .map((s) => s[of][Math.min(s[of].length, now?.[of].length ?? 1) - 1])
    .filter((v) => v !== undefined);
  const mean = sameDay.length > 0 ? sameDay.reduce((a, b) => a + b, 0) / sameDay.length : null;
  return (
    <figure ref={ref} className="card-plain min-w-0 p-4">
      <figcaption className="mb-2">
        <h3 className="text-lg">{title}</h3>
        <p className="soft text-sm">
          {today === undefined
            ? 'no record of this season'
            : `${measured(today)} so far${mean === null ? '' : `; ${measured(mean)} by this day in the ${plural(sameDay.length, 'year')} before`}`}
        </p>
      </figcaption>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`${title}: this season against the years before`}
      >
        <HeightAxis y={y} count={4} from={LEFT} to={width} words={String} />
        {before.map((s) => (
          <g key={s.year}>
            <path d={path(s[of])} fill="none" stroke="var(--ink-soft)" strokeWidth={1} opacity={0.55} />
          </g>
        ))}
        {now && <path d={path(now[of])} fill="none" stroke="var(--color-primary)" strokeWidth={3} />}
        <Months season={season} width={width} height={HEIGHT} left={LEFT} />
      </svg>
      <p className="soft text-sm">
        <span className="mr-2 inline-block h-1 w-6 bg-primary align-middle" />
        {season.year}
        {before.length > 0 && (
          <>
            <span className="mr-2 ml-4 inline-block h-px w-6 bg-[var(--ink-soft)] align-middle" />
            {before.map((s) => s.year).join(', ')}
          </>
        )}
      </p>
    </figure>
  );
}
