import { plural } from '@gonimos/core/words';
import { useSearchParams } from 'react-router';
import { askComparison, type Comparison } from '@gonimos/contract/comparison';
import { COMPARED_BY, points, type ComparedBy } from '@gonimos/core/comparison';
import { STAGES, stageWords } from '@gonimos/core/starts';
import { taxon } from '@gonimos/core/taxa';
import { Field } from '../common/field';
import { Loading } from '../common/loading';
import { useComparison } from './queries';
import { RateChart } from './rate-chart';

const BY_WORDS: Record<ComparedBy, string> = {
  year: 'year by year',
  method: 'method by method',
  lot: 'seed lot by lot',
};

/** Years, methods or seed lots of one kind against each other: what differed, by how much, and never why. */
export function Compare() {
  const [search, setSearch] = useSearchParams();
  const asked = {
    taxonId: search.get('taxon') ?? 'acer-campestre',
    by: search.get('by') ?? 'year',
    stage: search.get('stage') ?? 'showing',
    method: search.get('method') ?? (search.get('by') === 'method' ? '' : 'seed'),
  };
  const ask = askComparison.isValidSync(asked)
    ? askComparison.cast(asked)
    : askComparison.cast({ taxonId: 'acer-campestre', by: 'year' });
  const { data, error } = useComparison(ask);
  const choose = (k: string, value: string) => {
    const next = new URLSearchParams(search);
    next.set(k, value);
    setSearch(next, { replace: true });
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 xl:grid-cols-[20rem_minmax(0,1fr)]">
      <form
        className="grid content-start gap-4 sm:grid-cols-2 xl:grid-cols-1"
        onSubmit={(e) => e.preventDefault()}
      >
        <Field label="Kind">
          <select className="select" value={ask.taxonId} onChange={(e) => choose('taxon', e.target.value)}>
            {(data?.taxa ?? [{ id: ask.taxonId, batches: 0 }]).map((t) => (
              <option key={t.id} value={t.id}>
                {taxon(t.id).name}, {plural(t.batches, 'batch', 'batches')}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Compared">
          <select className="select" value={ask.by} onChange={(e) => choose('by', e.target.value)}>
            {COMPARED_BY.map((b) => (
              <option key={b} value={b}>
                {BY_WORDS[b]}
              </option>
            ))}
          </select>
        </Field>
        {ask.by !== 'method' && (
          <Field label="Raised from">
            <select className="select" value={ask.method} onChange={(e) => choose('method', e.target.value)}>
              <option value="seed">seed</option>
              <option value="cutting">cuttings</option>
              <option value="layer">layers</option>
              <option value="">anything</option>
            </select>
          </Field>
        )}
        <Field label="At the stage">
          <select className="select" value={ask.stage} onChange={(e) => choose('stage', e.target.value)}>
            {STAGES.map((s) => (
              <option key={s} value={s}>
                {stageWords(s, ask.method === 'cutting' || ask.method === 'layer' ? ask.method : 'seed')}
              </option>
            ))}
          </select>
        </Field>
      </form>
      {data ? <Found data={data} /> : <Loading error={error} />}
    </div>
  );
}

function Found({ data }: { data: Comparison }) {
  const { rates, differences, units, came } = data;
  if (rates.groups.length === 0)
    return <p className="card-plain soft p-6">Nothing of this kind has gone through that stage yet.</p>;
  return (
    <section className="grid grid-cols-[minmax(0,1fr)] content-start gap-5" aria-label="What differed">
      <RateChart rates={rates} units={units} came={came} />
      <ul className="grid gap-3">
        {differences.map((d) => (
          <li key={d.a.group + d.b.group} className="max-w-prose">
            <p className="text-lg">{d.sentence}</p>
            <p className="soft text-sm">
              {points(d.by)} points, from {points(d.low)} to {points(d.high)} (Newcombe 1998); Fisher’s exact
              test p = {d.p < 0.001 ? '< 0.001' : d.p.toFixed(3)}
            </p>
          </li>
        ))}
      </ul>
      {rates.groups.length === 1 && (
        <p className="soft">There is one group only: nothing to compare it with yet.</p>
      )}
      <p className="soft max-w-prose text-sm">
        A dot is a tray, or a batch where no tray is mapped. Plants of one tray share its luck, so intervals
        count a tray of many for less: correlation {rates.rho.toFixed(2)},{' '}
        {rates.estimated ? 'as these trays tell it.' : 'until five trays tell it.'}
      </p>
    </section>
  );
}
