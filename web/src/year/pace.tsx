import { useQuery } from '@tanstack/react-query';
import type { PaceTable } from '@gonimos/contract/pace';
import { operation } from '@gonimos/core/operations';
import { taxon } from '@gonimos/core/taxa';
import { plural } from '@gonimos/core/words';
import { get } from '../common/api';

const MOST = 8;
/** What differs by less is as in the library. */
const TELLING = 0.05;
/** Work at a plant that takes less than a minute is told in seconds. */
const minutes = (n: number): string =>
  n < 0.95 ? `${Number((60 * n).toPrecision(2))} s` : `${Number(n.toPrecision(2))} min`;

/** What the bench clock has taught: the plan counts on these minutes, and on the library's for all else. */
export function Pace() {
  const { data } = useQuery({ queryKey: ['pace'], queryFn: () => get<PaceTable>('/pace') });
  const learned = (data?.learned ?? []).filter((p) => Math.abs(p.minutes - p.usual) > TELLING * p.usual);
  if (learned.length === 0)
    return (
      <section>
        <h2 className="text-xl">Learned by the clock</h2>
        <p className="soft max-w-prose">
          Nothing that differs from the library yet. Start the clock at a step of the round; from three
          sittings of the same work on the plan counts on your minutes.
        </p>
      </section>
    );
  return (
    <section>
      <h2 className="text-xl">Learned by the clock</h2>
      <p className="soft">
        Minutes a plant the plan counts on, where you have been timed and it differs from the library.
      </p>
      <table className="mt-1 w-full max-w-3xl">
        <thead className="soft text-left text-sm">
          <tr>
            <th className="py-1 pr-4 font-normal">Work</th>
            <th className="pr-4 font-normal">Kind</th>
            <th className="pr-4 text-right font-normal">A plant</th>
            <th className="text-right font-normal">Library</th>
          </tr>
        </thead>
        <tbody>
          {learned.slice(0, MOST).map((p) => (
            <tr key={p.operation + p.taxonId} className="border-t border-base-300">
              <td className="py-1.5 pr-4">
                {operation(p.operation).name}
                <span className="soft block text-sm">{plural(p.sittings, 'sitting')}</span>
              </td>
              <td className="pr-4">{taxon(p.taxonId).name}</td>
              <td className="pr-4 text-right font-semibold whitespace-nowrap">{minutes(p.minutes)}</td>
              <td className="soft text-right whitespace-nowrap">{minutes(p.usual)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
