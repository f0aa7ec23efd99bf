import { Link } from 'react-router';
import type { WinterPlan } from '@gonimos/contract/beds';
import { groupBy } from '@gonimos/core/group';
import { shortDate } from '../common/dates';
import { inUnits } from '../common/units';
import { useWinter } from './queries';

const To = ({ id, code }: { id: string; code: string }) => (
  <Link className="link font-semibold" to={`/cohorts/${id}`}>
    {code}
  </Link>
);

interface Props {
  today: string;
  nameOf: (placeId: string) => string;
}

function Moves({ moves, today, nameOf }: Props & { moves: WinterPlan['moves'] }) {
  const byPlace = [...groupBy(moves, (m) => m.to)];
  return (
    <ul className="grid gap-x-10 md:grid-cols-2">
      {byPlace.map(([to, here]) => (
        <li key={to ?? 'nowhere'} className="border-t border-base-300 py-2">
          <strong className={to ? '' : 'text-accent'}>{to ? `Into ${nameOf(to)}` : 'Nowhere to go'}</strong>
          {to && <span className="soft block text-sm">{inUnits(here[0].why)}</span>}
          <ul className="mt-1 grid gap-1">
            {here.map((m) => (
              <li key={`${m.cohortId} ${m.by}`}>
                <To id={m.cohortId} code={m.code} /> by {shortDate(m.by, today)}{' '}
                <span className="soft">{to ? `from ${nameOf(m.placeId)}` : inUnits(m.why)}</span>
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}

/** The moves of the winter ahead, and what is led out of the warm by degrees. */
export function Winter({ today, nameOf }: Props) {
  const { data } = useWinter();
  if (!data || (data.moves.length === 0 && data.out.length === 0)) return null;
  return (
    <section aria-label="Into winter and out of it" className="mt-8 grid gap-4">
      <h2 className="text-xl">Into winter and out of it</h2>
      {data.moves.length > 0 && <Moves moves={data.moves} today={today} nameOf={nameOf} />}
      {data.out.length > 0 && (
        <ul className="border-t border-base-300 pt-2">
          {data.out.map((o) => (
            <li key={`${o.cohortId} ${o.title}`} className="py-0.5">
              <To id={o.cohortId} code={o.code} /> {o.title},{' '}
              <span className="soft">
                {shortDate(o.opens, today)} to {shortDate(o.closes, today)}
              </span>
            </li>
          ))}
        </ul>
      )}
      <p className="soft max-w-prose text-sm">
        The tenderest choose first, and each takes the coldest place it bears that has room, so that the warm
        house is left to who needs it. Days are those of the course: before the night that one year in fifty
        brings.
      </p>
    </section>
  );
}
