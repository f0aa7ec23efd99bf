import { useDeferredValue, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { CohortRow } from '@gonimos/contract/cohorts';
import type { StockRow } from '@gonimos/contract/stock';
import { container, containers } from '@gonimos/core/containers';
import {
  ballDepth,
  chainTo,
  rankPots,
  reachOfRoots,
  roundReach,
  type Potted,
  type Setting,
} from '@gonimos/core/fit';
import type { LabStart } from '@gonimos/core/lab';
import { blendOf, recipeFor } from '@gonimos/core/mixes';
import type { RootRecord } from '@gonimos/core/roots';
import type { Stance } from '@gonimos/core/stance';
import { taxon } from '@gonimos/core/taxa';
import { percent } from '@gonimos/core/words';
import { useRegister } from '../cohorts/queries';
import { Field } from '../common/field';
import { Loading } from '../common/loading';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { length, unit, volume } from '../common/units';
import { useRootBench } from '../roots/queries';
import { useStock } from '../stock/queries';
import { useTrunkLab } from '../trunk/queries';
import { Drawing } from './drawing';
import { Pots, Reasons } from './pots';

/** Pots for one plant each, with those of one’s own. */
const potsNow = (): string[] =>
  containers()
    .filter((c) => c.wall !== 'ground' && !c.shared)
    .map((c) => c.id);
/** A ball nobody measured is as wide as what it stands in, at half its depth. */
const ballOf = (id: string) => {
  const c = container(id);
  return c.wall === 'ground' || c.shared
    ? 80
    : Math.round(Math.min(c.rim[0], c.rim[1], c.base[0] + c.rim[0] / 2));
};

interface Typed {
  across: number | undefined;
  depth: number | undefined;
  height: number | undefined;
  crown: number;
  front: number;
  aside: number | undefined;
  behind: number | undefined;
  roomy: boolean;
}

const real = (n: number | undefined, least: number, most: number): n is number =>
  n !== undefined && n >= least && n <= most;

/** What is wrong with what was typed, by field. */
function faultsOf(t: Typed, drawn: boolean): Partial<Record<keyof Typed, string>> {
  const faults: Partial<Record<keyof Typed, string>> = {};
  if (!drawn && !real(t.across, 5, 2000)) faults.across = `is not from ${length(5)} to ${length(2000)}`;
  if (!real(t.depth, 5, 1000)) faults.depth = `is not from ${length(5)} to ${length(1000)}`;
  if (!real(t.height, 20, 10_000)) faults.height = `is not from ${length(20)} to ${length(10_000)}`;
  if (!real(t.crown, 10, 100)) faults.crown = 'is not from 10 to 100 %';
  if (!real(t.front, 0, 360)) faults.front = 'is not from 0 to 360°';
  for (const side of ['aside', 'behind'] as const)
    if (!real(t[side], -500, 500)) faults[side] = `is not within ${length(500)}`;
  return faults;
}

interface HeldProps {
  cohort: CohortRow;
  start: LabStart;
  record: RootRecord | null;
  /** how it was last decided to stand; null: not yet */
  stance: Stance | null;
  goal: number | null;
  stock: readonly StockRow[];
}

/** Pots on the way to the goal, when each is full of root. */
function Chain({ start, from, goal }: { start: LabStart; from: string; goal: number }) {
  const chain = useMemo(() => chainTo(start, from, goal), [start, from, goal]);
  return (
    <section aria-label="On the way">
      <h3 className="text-lg">On the way to {length(goal)}</h3>
      {chain.moves.length === 0 && <p>It stays in what it stands in.</p>}
      <ol className="list-decimal pl-5">
        {chain.moves.map((m) => (
          <li key={m.year}>
            {container(m.container).name}, spring {m.year}, at {length(m.caliper)}
          </li>
        ))}
      </ol>
      <p className="soft">
        {chain.reached === null ? 'Not reached in fifteen years' : `Reached in ${chain.reached}`},{' '}
        {volume(chain.litres)} of mix a plant. Air-pruning pots, each left when it is full of root; middling
        weather.
      </p>
    </section>
  );
}

function Held({ cohort, start, record, stance, goal, stock }: HeldProps) {
  const kind = taxon(cohort.taxonId);
  const [t, setT] = useState<Typed>(() => {
    const across = ballOf(cohort.container);
    const depth = record ? ballDepth(reachOfRoots(record)) : Math.min(120, across * 0.6);
    const height = Math.round(start.height ?? start.caliper * 40);
    const { front, aside, behind } = stance ?? { front: record?.front ?? 180, aside: 0, behind: 0 };
    const set = { crown: 100, front, aside, behind, roomy: false };
    return { across, depth: Math.round(depth), height, ...set };
  });
  const set = (more: Partial<Typed>) => setT((was) => ({ ...was, ...more }));
  const faults = faultsOf(t, record !== null);
  const asked = useDeferredValue(t);
  const ranked = useMemo(() => {
    if (Object.keys(faultsOf(asked, record !== null)).length > 0) return null;
    const plant: Potted = {
      group: kind.group,
      caliper: start.caliper,
      height: asked.height!,
      crown: asked.crown / 100,
      reach: record ? reachOfRoots(record) : roundReach(asked.across!),
      depth: asked.depth!,
    };
    const setting: Setting = {
      front: asked.front,
      aside: asked.aside!,
      behind: asked.behind!,
      roomy: asked.roomy,
    };
    const blend = blendOf(recipeFor(kind.group, 'by-kind').parts);
    return { plant, setting, fits: rankPots(plant, potsNow(), setting, blend) };
  }, [asked, record, kind, start]);
  const [chosen, setChosen] = useState<string | null>(null);
  const shown = ranked?.fits.find((f) => f.pot.id === chosen) ?? ranked?.fits[0];
  const mm = (
    name: 'across' | 'depth' | 'height' | 'aside' | 'behind',
    label: string,
    hint = unit('length'),
  ) => (
    <Field label={label} hint={hint} error={faults[name]}>
      <MeasureInput quantity="length" value={t[name]} onChange={(n) => set({ [name]: n })} />
    </Field>
  );
  return (
    <div className="grid gap-7 xl:grid-cols-[minmax(0,1fr)_28rem]">
      <div className="grid content-start gap-5">
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {record ? (
            <p className="soft col-span-2 self-center">The ball is that of the last drawing of its roots.</p>
          ) : (
            mm('across', 'Ball across')
          )}
          {mm('depth', 'Ball deep')}
          {mm('height', 'Height')}
          <Field label="Crown left" hint="% after the top is cut" error={faults.crown}>
            <NumberInput value={t.crown} onChange={(crown) => set({ crown })} />
          </Field>
          <Field label="Front" hint="° from the mark" error={faults.front}>
            <NumberInput value={t.front} onChange={(front) => set({ front })} />
          </Field>
          {mm('aside', 'To the right', 'of the middle')}
          {mm('behind', 'To the back', 'of the middle')}
        </div>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="checkbox"
            checked={t.roomy}
            onChange={(e) => set({ roomy: e.target.checked })}
          />
          Roomy on purpose: it is to grow into it
        </label>
        {ranked && (
          <Pots fits={ranked.fits} shown={shown} onChoose={setChosen} stock={stock} plants={cohort.live} />
        )}
      </div>
      {ranked && shown && (
        <aside className="grid content-start gap-4">
          <h3 className="text-lg first-letter:uppercase">{shown.pot.name}</h3>
          <Drawing fit={shown} plant={ranked.plant} setting={ranked.setting} />
          <Reasons fit={shown} />
          <p className="soft">
            {length(Math.max(0, shown.clear))} to the wall at the narrowest,{' '}
            {length(Math.max(0, shown.below))} of mix below. In a wind of 12 m/s it bears{' '}
            {percent(shown.stands.dry)} of what it must when dry, {percent(shown.stands.wet)} wet.
          </p>
          {goal !== null && goal > start.caliper && (
            <Chain start={start} from={cohort.container} goal={goal} />
          )}
          <p className="soft text-sm">
            Common practice, no source, but for the pipe model behind the leaf area. Left: from above, the
            front below. Right: from the front.
          </p>
        </aside>
      )}
    </div>
  );
}

function Fitted({ cohort }: { cohort: CohortRow }) {
  const lab = useTrunkLab(cohort.id);
  const roots = useRootBench(cohort.id);
  const stock = useStock();
  if (!lab.data || !roots.data || !stock.data)
    return <Loading error={lab.error ?? roots.error ?? stock.error} />;
  const last = roots.data.records.at(-1);
  return (
    <Held
      cohort={cohort}
      start={lab.data.start}
      record={last?.record ?? null}
      stance={roots.data.stances.find((s) => s.label === (last?.label ?? s.label)) ?? null}
      goal={lab.data.goal}
      stock={stock.data}
    />
  );
}

/** A cohort’s plant held over every pot there is. */
export function FitPart() {
  const { data, error } = useRegister();
  const [query, setQuery] = useSearchParams();
  if (!data) return <Loading error={error} />;
  const growing = data.filter((c) => c.growing && c.live > 0);
  const cohort = growing.find((c) => c.id === query.get('cohort'));
  return (
    <div className="grid gap-5">
      <Field label="Plant of" className="max-w-sm">
        <select
          className="select"
          value={cohort?.id ?? ''}
          onChange={(e) => setQuery(e.target.value ? { cohort: e.target.value } : {}, { replace: true })}
        >
          <option value="">choose a cohort</option>
          {growing.map((c) => (
            <option key={c.id} value={c.id}>
              {c.code}, {taxon(c.taxonId).name}
            </option>
          ))}
        </select>
      </Field>
      {cohort ? (
        <Fitted key={cohort.id} cohort={cohort} />
      ) : (
        <p className="soft max-w-prose">
          Choose what is to be potted: its ball is held over every pot on the shelf, and each says what speaks
          for it and what against.
        </p>
      )}
    </div>
  );
}
