import { Link } from 'react-router';
import type { Goal } from '@gonimos/contract/starts';
import { taxon } from '@gonimos/core/taxa';
import { useMay } from '../people/session';
import { dateSpan } from '../common/dates';
import { Trouble } from '../common/field';
import { useCloseGoal, useGoals } from './queries';
import { startPath, UNIT_VERB } from '../common/start-words';

/** What is under way against what is wanted: the likely span, the middle, the mark to reach. */
function Reach({ g }: { g: Goal }) {
  const { low, high, expected } = g.state;
  const full = Math.max(g.wanted, high) * 1.1;
  const at = (n: number) => `${(n / full) * 100}%`;
  return (
    <div
      className="relative h-7"
      role="img"
      aria-label={`${expected} expected, ${low} to ${high}, ${g.wanted} wanted`}
    >
      <span className="absolute inset-x-0 top-3 border-t-2 border-base-300" />
      <span
        className="absolute top-1 h-5 border border-[var(--celadon-deep)] bg-[var(--celadon)]"
        style={{ left: at(low), width: `calc(${at(high)} - ${at(low)} + 3px)` }}
      />
      <span className="absolute top-0 h-7 border-l-[3px] border-primary" style={{ left: at(expected) }} />
      <span
        className="absolute top-0 h-7 border-l-2 border-dashed border-base-content"
        style={{ left: at(g.wanted) }}
      />
    </div>
  );
}

/** Goals that are kept: their starts are offered until they are met. */
export function Goals({ today }: { today: string }) {
  const { data = [], error } = useGoals();
  const may = useMay('grower');
  const close = useCloseGoal();
  if (error) return <Trouble>{error.message}</Trouble>;
  if (data.length === 0) return null;
  return (
    <section>
      <h2 className="mb-2 text-xl">Goals</h2>
      {close.error && <Trouble>{close.error.message}</Trouble>}
      <ul className="card-plain divide-y divide-base-300">
        {data.map((g) => (
          <li
            key={g.id}
            className="grid gap-x-6 gap-y-2 px-4 py-4 lg:grid-cols-[17rem_minmax(0,1fr)_15rem] lg:items-center"
          >
            <div>
              <h3 className="text-lg">
                {g.wanted} {taxon(g.taxonId).name}
              </h3>
              <p className="soft">
                {g.stageWords} by the end of {g.byYear}, {Math.round(g.confidence * 100)} years of 100 ·{' '}
                {g.programmeName}
              </p>
            </div>
            <div>
              <Reach g={g} />
              <p className="text-sm">
                {g.underWay.length === 0 ? (
                  <span className="soft">Nothing under way yet.</span>
                ) : (
                  <>
                    <strong>{g.state.expected}</strong> expected ({g.state.low}–{g.state.high}), dashed:{' '}
                    {g.wanted} wanted. Under way:{' '}
                    {g.underWay.map((u, i) => (
                      <span key={u.id + u.stage}>
                        {i > 0 && ', '}
                        <Link to={`/cohorts/${u.id}`} className="underline">
                          {u.code}
                        </Link>{' '}
                        {u.count} {u.stage}
                      </span>
                    ))}
                  </>
                )}
              </p>
            </div>
            <div className="flex flex-wrap items-center gap-2 lg:justify-end">
              {g.state.met ? (
                <strong className="text-primary">Met: nothing more to start</strong>
              ) : g.state.more === null ? (
                <p className="font-semibold text-accent">Not attainable with {g.most} more</p>
              ) : may ? (
                <Link className="btn btn-primary" to={startPath(g, g.state.more, { goalId: g.id })}>
                  {UNIT_VERB[g.unit]} {g.state.more}
                </Link>
              ) : null}
              {may && (
                <button
                  type="button"
                  className="btn btn-ghost border border-base-300"
                  disabled={close.isPending}
                  onClick={() => close.mutate({ id: g.id, version: g.version })}
                >
                  Close
                  <span className="sr-only">
                    {' '}
                    the goal of {g.wanted} {taxon(g.taxonId).name}
                  </span>
                </button>
              )}
              {!g.state.met && (
                <p className="soft basis-full text-sm lg:text-right">
                  {g.next
                    ? `${UNIT_VERB[g.unit].toLowerCase()} ${dateSpan(g.next.opens, g.next.closes, today)}`
                    : `too late for ${g.byYear}`}
                </p>
              )}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
