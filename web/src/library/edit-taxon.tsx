import { saveTaxon, SOW_TIMES } from '@gonimos/contract/own';
import { editOfTaxon, libraryTaxon, type TaxonEdit } from '@gonimos/core/library';
import {
  CHILL_NEED,
  EASE,
  FREE_RING,
  GROWTH_GROUPS,
  hasTaxon,
  taxa,
  taxon,
  type Taxon,
} from '@gonimos/core/taxa';
import { useState, type ReactNode } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { newId } from '../common/api';
import { Field, Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { typed } from '../common/numbers';
import { useSheetForm } from '../common/use-sheet-form';
import { useBasedOn, Versions } from './own';
import { useSaveTaxon } from './queries';
import { figure, measureText, temperature, typedMeasure, unit } from '../common/units';

interface Props {
  from: Taxon;
  copy: boolean;
  basedOn: number;
}
type Choice = [value: string, words: string];

const choices = <T extends string>(of: Record<T, { words?: string; name?: string }>): Choice[] =>
  (Object.entries(of) as [T, { words?: string; name?: string }][]).map(([id, x]) => [
    id,
    x.words ?? x.name ?? id,
  ]);

const PHENOLOGIES: Record<keyof typeof CHILL_NEED, { words: string }> = {
  standard: { words: 'wakes with warmth after a short winter' },
  'high-chill': { words: 'wants a long winter first' },
  'warm-season': { words: 'grows by warmth and rain, without winter' },
};
const paces = (): Choice[] =>
  Object.entries(FREE_RING).map(([id, p]) => [
    id,
    `${id.replace('-', ' ')}, ${figure(p.value, 'mm')} a season`,
  ]);
const WOODS = [
  ['softwood', 'Softwood cuttings'],
  ['semi-ripe', 'Semi-ripe cuttings'],
  ['hardwood', 'Hardwood cuttings'],
  ['root', 'Root cuttings'],
  ['water', 'Cuttings in water'],
] as const;

const NUMBERS = ['stratification', 'warmStratification', 'keeps'] as const;

/** A taxon as it stands in the form: numbers as they are typed. */
const first = (e: TaxonEdit, name: string, code: string) => ({
  ...e,
  name,
  code,
  hardyTo: measureText(e.hardyTo, 'temperature'),
  emergence: measureText(e.emergence, 'warmth'),
  stratification: String(e.stratification),
  warmStratification: String(e.warmStratification),
  keeps: String(e.keeps),
  sown: e.sown ?? '',
});
type Typed = ReturnType<typeof first>;

const editOf = (v: Typed) => ({
  ...v,
  ...Object.fromEntries(NUMBERS.map((n) => [n, typed(v[n])])),
  hardyTo: typedMeasure(v.hardyTo, 'temperature'),
  emergence: typedMeasure(v.emergence, 'warmth'),
  code: v.code.trim().toUpperCase(),
  sown: v.sown || null,
});

const GRID = 'grid gap-3 sm:grid-cols-2 md:grid-cols-3';

/** How readily each sort of cutting roots; what stands beside them comes as children. */
function Rooting({
  roots,
  onChange,
  children,
}: {
  roots: Typed['roots'];
  onChange: (roots: Typed['roots']) => void;
  children: ReactNode;
}) {
  return (
    <section className="grid gap-3">
      <h3 className="text-lg">How readily it roots</h3>
      <div className={GRID}>
        {WOODS.map(([wood, label]) => (
          <Field key={wood} label={label}>
            <select
              className="select"
              value={roots[wood]}
              onChange={(e) => onChange({ ...roots, [wood]: e.target.value })}
            >
              {choices(EASE).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          </Field>
        ))}
        {children}
      </div>
    </section>
  );
}

function Editor({ from, copy, basedOn: newest }: Props) {
  // what is kept meanwhile by others is a conflict, not what this was made from
  const [basedOn] = useState(newest);
  const navigate = useNavigate();
  const save = useSaveTaxon();
  const like = from.like ?? from.id;
  const [ownId] = useState(() => (copy ? `${like.slice(0, 40)}-${newId().slice(0, 4)}` : from.id));
  const back = () => void navigate('/library/taxa');
  const edit = editOfTaxon(from);
  const { v, set, field, faults, submit } = useSheetForm({
    first: copy ? first(edit, '', '') : first(edit, from.name, from.code),
    schema: saveTaxon,
    payload: (x) => ({ ownId, like, basedOn: copy ? 0 : basedOn, edit: editOf(x) }),
    write: save,
    done: back,
  });
  const { caution } = libraryTaxon(like);
  const input = (name: keyof Typed, label: string, hint?: string) => (
    <Field label={label} hint={hint} error={faults[`edit.${name}`]}>
      <input className="input" autoComplete="off" {...field(name)} />
    </Field>
  );
  const select = (name: keyof Typed, label: string, options: Choice[]) => (
    <Field label={label} error={faults[`edit.${name}`]}>
      <select className="select" {...field(name)}>
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </Field>
  );
  const tick = (name: 'sproutsOld' | 'scarify', words: string) => (
    <label className="flex min-h-11 items-center gap-3 font-semibold">
      <input
        type="checkbox"
        className="checkbox"
        checked={v[name]}
        onChange={(e) => set({ [name]: e.target.checked })}
      />
      {words}
    </label>
  );
  return (
    <form className="grid max-w-4xl gap-6" noValidate onSubmit={submit}>
      <header>
        <h2 className="text-2xl">{copy ? `A kind like ${from.name}` : `Change ${from.name}`}</h2>
        <p className="soft">
          {copy
            ? 'A cultivar, a race or a kind the library has not; it stands beside the others wherever a taxon is chosen.'
            : `Becomes version ${basedOn + 1} of yours. Every course of the kind is planned again.`}{' '}
          Figures you change count as your data.
        </p>
      </header>
      {save.error && <Trouble>{save.error.message}</Trouble>}
      <div className={GRID}>
        {input('name', 'Name')}
        {input('botanical', 'Botanical name')}
        {input('code', 'Code', 'two letters, used in cohort codes')}
      </div>
      <section className="grid gap-3">
        <h3 className="text-lg">How it grows</h3>
        <div className={GRID}>
          {select('group', 'Growth group', choices(GROWTH_GROUPS))}
          {select('pace', 'Trunk ring in free growth', paces())}
          {select('phenology', 'Spring', choices(PHENOLOGIES))}
          {select('buds', 'Buds among such kinds', [
            ['early', 'early'],
            ['middle', 'in the middle'],
            ['late', 'late'],
          ])}
          {input('hardyTo', 'Bears in a pot', `${unit('temperature')}, coldest night`)}
          {select('bark', 'Bark', [
            ['smooth', 'smooth'],
            ['coarse', 'coarse'],
          ])}
        </div>
        {tick('sproutsOld', 'Sprouts from old bare wood')}
      </section>
      <section className="grid gap-3">
        <h3 className="text-lg">Seed</h3>
        <div className={GRID}>
          {select('sown', 'Sown', [
            ['', 'when its cold is over: it keeps'],
            ...SOW_TIMES.map((t): Choice => [t, `as it ripens, in ${t}: it does not keep`]),
          ])}
          {v.sown === '' && input('keeps', 'Keeps dry', 'years at most')}
          {input('warmStratification', 'Warm and moist first', 'days, 0: none')}
          {input('stratification', 'Cold', 'days, 0: none')}
          {input('emergence', 'Up after', `${unit('warmth')} above ${temperature(5)}`)}
        </div>
        {tick('scarify', 'Hard seed: nicked or steeped first')}
      </section>
      <Rooting roots={v.roots} onChange={(roots) => set({ roots })}>
        {select('layering', 'Layers', choices(EASE))}
      </Rooting>
      <div>
        {caution && <p className="mb-2 font-semibold text-warning">{caution}</p>}
        {input('caution', 'To mind besides', 'said wherever the kind is worked')}
      </div>
      <button className="btn btn-primary btn-tall max-w-md" disabled={save.isPending}>
        {copy ? 'Keep the kind' : 'Keep this version'}
      </button>
      {!copy && <Versions kind="taxon" id={from.id} onGone={back} />}
    </form>
  );
}

/** Changes a taxon, or makes a kind of one's own like it. */
export function EditTaxon() {
  const { id = '' } = useParams();
  const [query] = useSearchParams();
  const { basedOn, error } = useBasedOn('taxon', id);
  if (!hasTaxon(id)) return <p>There is no such taxon among {taxa().length}.</p>;
  if (basedOn === null) return <Loading error={error} />;
  const copy = query.has('copy');
  return <Editor key={`${id} ${copy}`} from={taxon(id)} copy={copy} basedOn={basedOn} />;
}
