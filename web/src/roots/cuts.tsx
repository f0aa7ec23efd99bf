import { plural, percent } from '@gonimos/core/words';
import {
  rootWords,
  type Action,
  type Cut,
  type RootPlan,
  type RootRecord,
  type Term,
  type Trade,
} from '@gonimos/core/roots';
import { inUnits } from '../common/units';
import { points } from '../common/points';
import type { Act, Decided } from './drawing';

const ACTION_WORDS: Record<Action, string> = {
  keep: 'keep it',
  shorten: 'shorten it',
  move: 'move and hold it',
  split: 'split its fork',
  trim: 'cut underneath',
  remove: 'remove it',
};

/** A measure stays in one line. */
const words = (text: string) => inUnits(text).replace(/(\d) (mm|in)\b/g, '$1\u00a0$2');

const sumOf = (terms: readonly Term[]) => terms.reduce((sum, t) => sum + t.points, 0);

/** Where the points of a choice come from, beside leaving the root as it is. */
function Terms({ cut }: { cut: Cut }) {
  const side = (title: string, terms: readonly Term[]) => (
    <div>
      <p className="font-semibold">
        {title}: {points(sumOf(terms))}
      </p>
      <ul className="soft text-sm">
        {terms.map((t) => (
          <li key={t.label} className="flex justify-between gap-2">
            <span>{t.label}</span>
            <span>{points(t.points)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
  return (
    <div className="grid gap-3 py-2 sm:grid-cols-2">
      {side('Done so', cut.terms)}
      {side('Left as it is', cut.instead)}
      <p className="soft text-sm sm:col-span-2">
        Points of the root by itself; what its neighbours gain or lose by it is weighed beside it. Weights are
        common practice, no source.
      </p>
    </div>
  );
}

interface Props {
  record: RootRecord;
  plan: RootPlan | null;
  none: boolean;
  stale: boolean;
  decided: Decided;
  /** most that may go by what the plant bears, and in words */
  bears: { share: number; words: string };
  /** what less or more would buy */
  trade: readonly Trade[];
  act: (a: Act) => void;
  onChoose: (id: string) => void;
}

function Limit({
  plan,
  decided,
  bears,
  trade,
  act,
}: Pick<Props, 'plan' | 'decided' | 'bears' | 'trade' | 'act'>) {
  const limit = decided.limit ?? bears.share;
  const over = limit > bears.share + 0.005;
  return (
    <div>
      <div className="relative h-4 bg-[var(--rest)]" aria-hidden="true">
        <div
          className="absolute inset-y-0 left-0 bg-accent"
          style={{ width: `${100 * (plan?.share ?? 0)}%` }}
        />
        <div className="absolute -inset-y-1 w-[3px] bg-base-content" style={{ left: `${100 * limit}%` }} />
      </div>
      <p className="mt-1 text-sm">
        <strong>{percent(plan?.share ?? 0)}</strong> of the fine root goes, up to {percent(limit)} may.{' '}
        <span className="soft">{bears.words}.</span>
        {over && <strong className="text-error"> That is more than it bears.</strong>}
      </p>
      <label className="mt-1 flex items-center gap-3">
        <span className="shrink-0 text-sm font-semibold">May go</span>
        <input
          type="range"
          className="range range-xs w-full [--range-fill:0]"
          min={0}
          max={90}
          step={5}
          value={Math.round(limit * 100)}
          onChange={(e) => act({ do: 'decide', decided: { limit: Number(e.target.value) / 100 } })}
        />
        {decided.limit !== null && (
          <button
            type="button"
            className="btn btn-sm btn-ghost"
            onClick={() => act({ do: 'decide', decided: { limit: null } })}
          >
            As it bears
          </button>
        )}
      </label>
      {trade.length > 1 && (
        <p className="soft text-sm">
          Worth of 100 by what may go, wounds counted:{' '}
          {trade.map((t) => `${percent(t.limit)}: ${t.score}`).join(' · ')}
        </p>
      )}
    </div>
  );
}

/** The plan of cuts in the order of work: each can be overruled, and the rest is solved again. */
export function Cuts({ record, plan, none, stale, decided, bears, trade, act, onChoose }: Props) {
  const rule = (id: string) => decided.overruled.find((o) => o.root === id);
  const chooser = (id: string, now: Action) => (
    <select
      aria-label={`Root ${id}: what is done`}
      className="select select-sm"
      value={rule(id)?.action ?? ''}
      onChange={(e) =>
        act({ do: 'overrule', id, to: e.target.value === '' ? null : { action: e.target.value as Action } })
      }
    >
      <option value="">as planned: {ACTION_WORDS[now]}</option>
      {(Object.keys(ACTION_WORDS) as Action[]).map((a) => (
        <option key={a} value={a}>
          my word: {ACTION_WORDS[a]}
        </option>
      ))}
    </select>
  );
  const kept = plan?.choices.filter((c) => c.action === 'keep') ?? [];
  return (
    <section aria-label="Cuts" aria-busy={stale} className={`grid gap-2 ${stale ? 'opacity-60' : ''}`}>
      <h3 className="text-lg">Cuts at this sitting</h3>
      <Limit plan={plan} decided={decided} bears={bears} trade={trade} act={act} />
      {none && (
        <p role="alert" className="font-semibold text-error">
          What you have decided costs more than may go: give one root back, or raise what may go.
        </p>
      )}
      {plan && !plan.proved && (
        <p className="text-warning">So many roots cross that this is not proved to be the best.</p>
      )}
      {plan && plan.cuts.length === 0 && record.roots.length > 0 && (
        <p className="soft">Nothing is to be cut.</p>
      )}
      <ol className="divide-y divide-base-300">
        {plan?.cuts.map((cut, i) => (
          <li key={cut.id} className="py-2">
            <div className="grid grid-cols-[1.75rem_minmax(0,1fr)_auto] items-baseline gap-x-2">
              <strong className="grid size-6 place-items-center rounded-full bg-base-content text-sm text-base-100">
                {i + 1}
              </strong>
              <button type="button" className="text-left font-semibold" onClick={() => onChoose(cut.id)}>
                {words(cut.title)}
              </button>
              <strong className="text-accent">{cut.share > 0 ? `−${percent(cut.share)}` : ''}</strong>
              <p className="soft col-span-2 col-start-2 text-sm">{inUnits(cut.because)}</p>
            </div>
            <details className="pl-9">
              <summary className="min-h-8 cursor-pointer text-sm font-semibold text-info">
                Why, or otherwise
              </summary>
              <Terms cut={cut} />
              {chooser(cut.id, cut.action)}
            </details>
          </li>
        ))}
      </ol>
      {kept.length > 0 && (
        <details>
          <summary className="min-h-9 cursor-pointer font-semibold">
            {plural(kept.length, 'root')} left as they are
          </summary>
          <ul className="grid gap-2 py-1">
            {kept.map((c) => {
              const root = record.roots[c.root];
              return (
                root && (
                  <li key={root.id} className="grid grid-cols-[minmax(0,1fr)_11rem] items-center gap-2">
                    {inUnits(rootWords(root))}
                    {chooser(root.id, 'keep')}
                  </li>
                )
              );
            })}
          </ul>
        </details>
      )}
      {plan && plan.deferred.length > 0 && (
        <div className="bg-[var(--cold)] px-3 py-2">
          <h4 className="font-semibold">Next time</h4>
          <ul className="text-sm">
            {plan.deferred.map((d) => (
              <li key={d.id}>{inUnits(d.note)}</li>
            ))}
          </ul>
        </div>
      )}
      {plan && plan.stages.length > 1 && (
        <p className="soft text-sm">
          Over the sittings to come:{' '}
          {plan.stages
            .map(
              (s) =>
                `${s.after === 0 ? 'now' : `in ${s.after} seasons`} ${percent(s.share)} goes, score ${s.score}`,
            )
            .join('; ')}
          .
        </p>
      )}
    </section>
  );
}
