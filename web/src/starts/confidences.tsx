import type { AskStart, StartAnswer } from '@gonimos/contract/starts';
import type { Choice } from '@gonimos/core/starts';
import { area } from '../common/units';

const CELL = 'px-3 py-2.5 text-right whitespace-nowrap';
const HEAD = 'px-3 py-2 text-right font-semibold';

/** What being surer costs: numbers, money, trays, bench, and the surplus of a good year. */
export function Confidences({ answer, ask }: { answer: StartAnswer; ask: AskStart }) {
  const most = Math.max(...answer.choices.map((c) => (c.number.kind === 'start' ? c.number.count : 0)), 1);
  return (
    <section>
      <h2 className="mb-2 text-xl">What being surer costs</h2>
      <div
        className="card-plain overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label="Confidence against cost"
      >
        <table className="w-full border-collapse">
          <thead>
            <tr className="soft border-b border-base-300">
              <th scope="col" className="px-4 py-2 text-left font-semibold whitespace-nowrap">
                Years of 100
              </th>
              <th scope="col" className={HEAD}>
                Start
              </th>
              <th scope="col" className="w-1/4 max-sm:hidden">
                <span className="sr-only">Drawn</span>
              </th>
              <th scope="col" className={HEAD}>
                Cost
              </th>
              <th scope="col" className={HEAD}>
                Trays
              </th>
              <th scope="col" className={HEAD}>
                Come through
              </th>
              <th scope="col" className={HEAD}>
                Bench
              </th>
            </tr>
          </thead>
          <tbody className="divide-y divide-base-300">
            {answer.choices.map((c) => (
              <Line
                key={c.confidence}
                c={c}
                most={most}
                asked={c.confidence === ask.confidence}
                wanted={ask.wanted}
              />
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft mt-2 text-sm">
        Cost is what is started and the work of starting and first counting it. ‘Come through’: one year in
        ten fewer, the middle, one year in ten more. Bench is for the many of a good year, in their last
        container.
      </p>
    </section>
  );
}

function Line({ c, most, asked, wanted }: { c: Choice; most: number; asked: boolean; wanted: number }) {
  const tone = asked ? 'bg-[var(--celadon)] font-semibold' : '';
  const row = (
    <th scope="row" className="px-4 py-2.5 text-left font-semibold">
      {Math.round(c.confidence * 100)}
      {asked && <span className="sr-only"> (asked for)</span>}
    </th>
  );
  if (c.number.kind === 'not-attainable')
    return (
      <tr className={tone}>
        {row}
        <td colSpan={6} className="px-3 py-2.5">
          not attainable: {c.number.most} give {wanted} in {Math.round(c.number.reached * 100)} of 100
        </td>
      </tr>
    );
  const [low, mid, high] = c.plants!;
  return (
    <tr className={tone}>
      {row}
      <td className={`${CELL} font-bold`}>{c.number.count}</td>
      <td className="max-sm:hidden" aria-hidden="true">
        <span
          className="block h-3 border border-[var(--celadon-deep)] bg-[var(--celadon-deep)]"
          style={{ width: `${(c.number.count / most) * 100}%` }}
        />
      </td>
      <td className={CELL}>{(c.cents! / 100).toFixed(0)}</td>
      <td className={CELL}>{c.trays}</td>
      <td className={CELL}>
        {low} · {mid} · {high}
      </td>
      <td className={CELL}>{area(c.area!)}</td>
    </tr>
  );
}
