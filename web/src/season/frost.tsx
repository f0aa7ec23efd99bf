import type { SeasonOfPlace } from '@gonimos/contract/season';
import { shortDate } from '../common/dates';
import { temperature } from '../common/units';

type Nights = SeasonOfPlace['frost']['first'];

/** First and last frost with the chance of worse, and how cold the place gets. */
export function Frost({ season }: { season: SeasonOfPlace }) {
  const { first, last, coldest } = season.frost;
  const day = (iso: string) => shortDate(iso, season.today);
  const row = (name: string, n: Nights, worse: string) =>
    n === null ? (
      <tr className="border-t border-base-300">
        <th scope="row" className="py-2 pr-4 text-left font-semibold">
          {name}
        </th>
        <td colSpan={4} className="soft py-2">
          no frost here in forty-nine years of fifty
        </td>
      </tr>
    ) : (
      <tr className="border-t border-base-300">
        <th scope="row" className="py-2 pr-4 text-left font-semibold">
          {name}
          <span className="soft block text-sm font-normal">{worse}</span>
        </th>
        {[n.p02, n.p10, n.p50, n.p90].map((iso, i) => (
          <td key={i} className="py-2 pr-4 whitespace-nowrap">
            {day(iso)}
          </td>
        ))}
      </tr>
    );
  return (
    <section>
      <h2 className="text-xl">Frost</h2>
      <p className="soft mb-2">
        This place has <strong className="text-base-content">{season.frost.class}</strong>: one winter in ten
        falls to {temperature(coldest)}. Tender stock comes in before the one-in-fifty night.
      </p>
      {first === null && last === null ? (
        <p className="soft">No frost here in forty-nine years of fifty.</p>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Frost by chance">
          <table className="w-full min-w-136">
            <thead>
              <tr className="soft text-left text-sm">
                <th scope="col" className="py-1 pr-4 font-normal">
                  at or below {temperature(0)}
                </th>
                <th scope="col" className="py-1 pr-4 font-normal">
                  1 year in 50
                </th>
                <th scope="col" className="py-1 pr-4 font-normal">
                  1 in 10
                </th>
                <th scope="col" className="py-1 pr-4 font-normal">
                  half
                </th>
                <th scope="col" className="py-1 pr-4 font-normal">
                  9 in 10
                </th>
              </tr>
            </thead>
            <tbody>
              {row('Last of spring', last, 'this late or later')}
              {row('First of autumn', first, 'this early or earlier')}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
