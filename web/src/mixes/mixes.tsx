import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Mix } from '@gonimos/contract/mixes';
import { container, containers } from '@gonimos/core/containers';
import { blendOf, component, drainsLike, porosity, type Part } from '@gonimos/core/mixes';
import { percent } from '@gonimos/core/words';
import { Loading } from '../common/loading';
import { length, weight } from '../common/units';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { Batch } from './batch';
import { Bins } from './bins';
import { Columns } from './columns';
import { Feed } from './feed';
import { Made } from './made';
import { MixSheet } from './mix-sheet';
import { useMixes } from './queries';

/** Pots the mix is looked at in: a display pot, a training pot, a basket; and one that is asked for. */
const SHOWN = ['show-14', 'training-22', 'basket-25'];
const FIRST = 'pot-17';

const wordsOf = (parts: readonly Part[]): string =>
  parts.map((p) => `${p.parts} ${component(p.component).name}`).join(', ');
const partsWords = ({ parts, under }: Mix): string =>
  under
    ? `${wordsOf(parts)}; below it, ${percent(under.share)} of the depth: ${wordsOf(under.parts)}`
    : wordsOf(parts);

/** What a mix is once it is mixed, by the model or by the grower's own test. */
function Facts({ mix }: { mix: Mix }) {
  const plain = blendOf(mix.parts);
  const own = mix.drain && drainsLike(plain, mix.drain) !== null;
  return (
    <p className="soft">
      {partsWords(mix)}. Ten litres loose give {(10 * plain.shrinks).toFixed(1)} mixed;{' '}
      {percent(porosity(plain))} pores, {weight(plain.dry)} a litre dry.{' '}
      {mix.drain && own
        ? `Your drain test: ${percent(mix.drain.air)} air at ${length(mix.drain.depth)}.`
        : mix.drain
          ? 'Your drain test is more air than this mix has room for: measure it again.'
          : 'Air and water by grain size and depth of the pot: estimates, until you drain a pot of it.'}
    </p>
  );
}

/** The mix in hand, as it stands in pots. */
function InPots({ mix }: { mix: Mix }) {
  const [own, setOwn] = useState(FIRST);
  const by = mix.drain ? drainsLike(blendOf(mix.parts), mix.drain) : null;
  const pots = [...SHOWN, own].map(container);
  const zone = mix.under && { share: mix.under.share, blend: blendOf(mix.under.parts) };
  return (
    <section aria-label="In pots" className="grid gap-3">
      <Columns blend={blendOf(mix.parts, by ?? 1)} pots={[...new Set(pots)]} zone={zone} />
      <label className="flex flex-wrap items-center gap-2">
        <span className="soft text-sm">and in</span>
        <select className="select w-64" value={own} onChange={(e) => setOwn(e.target.value)}>
          {containers()
            .filter((c) => c.wall !== 'ground')
            .map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
        </select>
      </label>
      <p className="soft text-sm">
        Watered through and drained. The bluer a layer, the wetter: the bottom of every pot stays wet, so a
        shallow one holds less air in the same mix; over much coarser grains a mix drains as over another
        bottom, so that a coarse zone takes depth from it. Method of Bilderback & Fonteno 1987, from memory;
        curve of van Genuchten 1980; grain data common practice.
      </p>
    </section>
  );
}

/** Mixes: what they are, what stands in them, what goes into a batch, what lies in the bins. */
export function MixesPart() {
  const { data, error } = useMixes();
  const today = useToday();
  const may = useMay('grower');
  const [query, setQuery] = useSearchParams();
  const [sheet, setSheet] = useState<'change' | 'copy' | null>(null);
  if (!data || !today) return <Loading error={error} />;
  const mix = data.mixes.find((m) => m.id === query.get('mix')) ?? data.mixes[0];
  return (
    <div className="grid gap-6 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <nav aria-label="Mixes" className="flex gap-1 overflow-x-auto lg:grid lg:content-start">
        {data.mixes.map((m) => (
          <button
            key={m.id}
            type="button"
            aria-pressed={m.id === mix.id}
            className={`min-h-11 shrink-0 rounded-field px-3 py-2 text-left ${m.id === mix.id ? 'bg-base-content font-semibold text-base-100' : 'hover:bg-base-200'}`}
            onClick={() => setQuery({ mix: m.id }, { replace: true })}
          >
            {m.name}
            {m.own && <span className="ml-1 text-sm opacity-80">· yours</span>}
          </button>
        ))}
      </nav>
      <div className="grid content-start gap-7">
        <header className="flex flex-wrap items-start justify-between gap-3">
          <div className="min-w-60 max-w-prose flex-1">
            <h2 className="text-xl first-letter:uppercase">{mix.name}</h2>
            <Facts mix={mix} />
          </div>
          {may && (
            <div className="flex gap-2">
              <button type="button" className="btn btn-outline" onClick={() => setSheet('change')}>
                {mix.own ? 'Change' : 'Drain test'}
              </button>
              <button type="button" className="btn btn-outline" onClick={() => setSheet('copy')}>
                Your own from it
              </button>
            </div>
          )}
        </header>
        <InPots key={mix.id} mix={mix} />
        <div className="grid gap-7 xl:grid-cols-2">
          <Batch key={mix.id} mix={mix} stock={data.stock} today={today} />
          <Feed />
        </div>
        <Made mixes={data} today={today} />
        <Bins stock={data.stock} today={today} />
      </div>
      {sheet && <MixSheet mix={mix} copy={sheet === 'copy'} onClose={() => setSheet(null)} />}
    </div>
  );
}
