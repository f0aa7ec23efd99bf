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

/** What a layer wants of the grower; null once it is over. */
function wants({ state }: Layer): string | null {
  if (state.stage === 'rooting' || state.stage === 'full' || state.stage === 'second') return 'See to it';
  const cut = state.stage === 'severed' || state.stage === 'failed';
  return cut && !state.woundSealedOn ? 'Seal the wound' : null;
}

/** Layers that want something come first, and what is over last; else as they hang, top down. */
export const inOrder = (layers: readonly Layer[]): Layer[] =>
  layers.toSorted((a, b) => Number(wants(a) === null) - Number(wants(b) === null));

interface Props {
  layer: Layer;
  today: string;
  onSee: () => void;
}

export function LayerCard({ layer: l, today, onSee }: Props) {
  const next = wants(l);
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
        {next && (
          <button type="button" className="btn btn-primary" onClick={onSee}>
            {next}
            <span className="sr-only">, {l.code}</span>
          </button>
        )}
      </header>
      {next ? (
        <Told layer={l} today={today} />
      ) : (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            How it went
            <span className="sr-only">, {l.code}</span>
          </summary>
          <div className="grid gap-3">
            <Told layer={l} today={today} />
          </div>
        </details>
      )}
    </li>
  );
}

/** The verdict on a layer, its measures and what was done. */
function Told({ layer: l, today }: { layer: Layer; today: string }) {
  const hangs = wants(l) === 'See to it';
  return (
    <>
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
        <div className="sm:col-span-2">
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
    </>
  );
}
