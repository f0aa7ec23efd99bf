import { Link } from 'react-router';
import type { Layer } from '@gonimos/contract/layers';
import { dateSpan, readable, shortDate } from '../common/dates';
import { EVENT_WORDS, FIND_WORDS, STAGE_WORDS, VERDICT_WORDS } from './words';
import { length, volume } from '../common/units';

const TONE = {
  double: 'bg-[var(--celadon)]',
  single: 'bg-[var(--due)]',
  wait: 'bg-[var(--rest)]',
  never: 'bg-[var(--due)]',
};

/** The double-layer decision of one layer: verdict, margin in days, in plain words. */
export function Decision({ layer, today }: { layer: Layer; today: string }) {
  const d = layer.decision;
  if (!d) return null;
  const past = layer.decidedOn !== null && layer.decidedOn < today;
  return (
    <div className={`rounded-box px-4 py-3 ${TONE[d.verdict]}`}>
      <p className="flex flex-wrap items-baseline gap-x-4">
        <strong className="font-head text-xl">{VERDICT_WORDS[d.verdict]}</strong>
        {d.margin && (
          <span>
            margin{' '}
            <strong>
              {d.margin.p10 > 0 ? '+' : ''}
              {d.margin.p10} days
            </strong>
            , passes in {Math.round(d.margin.share * 100)} of 100 years
          </span>
        )}
      </p>
      <p className="mt-0.5">
        {past && <span className="soft">As it stood {shortDate(layer.decidedOn!, today)}: </span>}
        {readable(d.text, today)}
      </p>
    </div>
  );
}

export function LayerCard({ layer: l, today, onSee }: { layer: Layer; today: string; onSee: () => void }) {
  const hangs = l.state.stage === 'rooting' || l.state.stage === 'full' || l.state.stage === 'second';
  const open =
    hangs || ((l.state.stage === 'severed' || l.state.stage === 'failed') && !l.state.woundSealedOn);
  return (
    <li className="card-plain grid gap-3 p-4">
      <header className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <h3 className="text-lg">
            <Link to={`/cohorts/${l.cohortId}`} className="underline decoration-base-300 underline-offset-4">
              {l.code}
            </Link>
            <span className="soft ml-3 font-sans text-base font-normal">{STAGE_WORDS[l.state.stage]}</span>
          </h3>
          <p className="soft">
            {l.stem}, {length(l.height)} up, {length(l.diameter)} thick · {l.how}
          </p>
        </div>
        {open && (
          <button type="button" className="btn btn-primary" onClick={onSee}>
            {hangs ? 'See to it' : 'Seal the wound'}
            <span className="sr-only">, {l.code}</span>
          </button>
        )}
      </header>
      <Decision layer={l} today={today} />
      <dl className="grid gap-x-6 gap-y-1 text-sm sm:grid-cols-2">
        {l.becomes && (
          <div>
            <dt className="soft inline">Becomes: </dt>
            <dd className="inline">{l.becomes}</dd>
          </div>
        )}
        {l.leaves && (
          <div>
            <dt className="soft inline">Leaves: </dt>
            <dd className="inline">{l.leaves}</dd>
          </div>
        )}
        <div>
          <dt className="soft inline">Cut: </dt>
          <dd className="inline">
            {l.how === 'ring'
              ? `ring ${length(l.cut.ring)} wide, ${length(l.cut.girth)} around`
              : `${length(l.cut.wire)} of wire around ${length(l.cut.girth)}`}
            , {volume(l.cut.moss)} of moss, film {length(l.cut.film[0])} × {length(l.cut.film[1])}
          </dd>
        </div>
        {l.pot && hangs && (
          <div>
            <dt className="soft inline">Wants: </dt>
            <dd className="inline">{l.pot.name}, anchored</dd>
          </div>
        )}
        {hangs && l.decision?.fill && l.state.stage !== 'full' && (
          <div>
            <dt className="soft inline">
              {l.decision.overdue ? 'Should be full; else: ' : 'Expected full: '}
            </dt>
            <dd className={`inline ${l.decision.overdue ? 'font-semibold text-accent' : ''}`}>
              {dateSpan(l.decision.fill.p10, l.decision.fill.p90, today)}
            </dd>
          </div>
        )}
      </dl>
      <ol className="soft flex flex-wrap gap-x-4 text-sm">
        {l.events.map((e) => (
          <li key={e.id}>
            {shortDate(e.on, today)} {EVENT_WORDS[e.kind]}
            {e.found && `: ${FIND_WORDS[e.found]}`}
            {e.note && ` (${e.note})`}
          </li>
        ))}
      </ol>
    </li>
  );
}
