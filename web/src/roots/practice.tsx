import { useEffect, useState } from 'react';
import {
  choicesOf,
  isDownward,
  LEVELS,
  measure,
  rootWords,
  type Case,
  type Choice,
  type Judged,
  type Overrule,
} from '@gonimos/core/roots';
import { percent, plural } from '@gonimos/core/words';
import { Loading } from '../common/loading';
import { inUnits } from '../common/units';
import { PlanView } from './plan-view';
import { points } from '../common/points';
import { useRootWorker } from './use-plan';

type Own = Record<string, Overrule>;

/** What the grower has said of each root; the rest stays. */
const ownChoices = ({ record, terms }: Case, own: Own): Choice[] => {
  const overruled = Object.fromEntries(
    record.roots.map((r) => [r.id, own[r.id] ?? { action: 'keep' as const }]),
  );
  return choicesOf(record, { ...terms, overruled }).map((cs) => cs[0]);
};

/** Root by root where the plans differ, and by which terms. */
function Verdict({ of, judged }: { of: Case; judged: Judged }) {
  return (
    <section aria-label="Beside the best" className="grid gap-3">
      <h3 className="text-lg">Beside the best</h3>
      <p>
        Found at {judged.found}. Yours: <strong>{judged.yours}</strong>. The best within {percent(of.limit)}:{' '}
        <strong>{judged.best}</strong>.{' '}
        {judged.over
          ? `Yours takes ${percent(judged.share)}: more than the plant bears.`
          : judged.differences.length === 0
            ? 'They are the same.'
            : `You are ${judged.behind.toFixed(1)} points behind.`}
      </p>
      <ul className="divide-y divide-base-300">
        {judged.differences.map((d) => {
          const root = of.record.roots.find((r) => r.id === d.id)!;
          const side = (name: string, s: typeof d.yours) => (
            <div className="text-sm">
              <p className="font-semibold">
                {name}: {s.action}, {points(s.points)}
              </p>
              {s.terms.map((t) => (
                <p key={t.label} className="soft flex justify-between gap-2">
                  <span>{t.label}</span>
                  <span>{points(t.points)}</span>
                </p>
              ))}
            </div>
          );
          return (
            <li key={d.id} className="py-2">
              <p className="font-semibold">
                {root.id}: {inUnits(rootWords(root))}
              </p>
              <div className="grid gap-3 sm:grid-cols-2">
                {side('Yours', d.yours)}
                {side('Better', d.best)}
              </div>
            </li>
          );
        })}
      </ul>
      <p className="soft text-sm">
        Points of each root by itself; what neighbours gain or lose is weighed beside it.
      </p>
    </section>
  );
}

/** What is said of the root in hand. */
function Say({ of, id, own, set }: { of: Case; id: string; own: Own; set: (o: Own) => void }) {
  const root = of.record.roots.find((r) => r.id === id)!;
  const long = root.path[0].out - of.record.trunk / 2;
  const short = (name: string, part: number): [string, Overrule] => [
    `Shorten to ${name}`,
    { action: 'shorten', length: Math.round(long * part) },
  ];
  const ways: [string, Overrule | null][] = isDownward(root)
    ? [
        ['Leave it', null],
        ['Cut underneath', { action: 'trim' }],
      ]
    : [
        ['Leave it', null],
        short('two thirds', 0.7),
        short('half', 0.5),
        short('a third', 0.3),
        ['Remove it', { action: 'remove' }],
      ];
  return (
    <div className="grid gap-2">
      <p>
        <strong>Root {id}</strong>: {inUnits(rootWords(root))}, {root.height} mm off the plane, {root.angle}°
        down
        {root.faults.length > 0 && `, ${root.faults.join(', ')}`}
        {root.fibre !== null && root.fibre < 3 && ', hardly any fine root'}
      </p>
      <div className="flex flex-wrap gap-2">
        {ways.map(([name, to]) => {
          const on = (own[id]?.action ?? 'keep') === (to?.action ?? 'keep') && own[id]?.length === to?.length;
          return (
            <button
              key={name}
              type="button"
              aria-pressed={on}
              className={`btn ${on ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
              onClick={() => {
                const { [id]: _, ...rest } = own;
                set(to ? { ...rest, [id]: to } : rest);
              }}
            >
              {name}
            </button>
          );
        })}
      </div>
    </div>
  );
}

/** Invented plants to decide on; nothing of it touches the nursery's records. */
export function RootPractice() {
  const [level, setLevel] = useState(0);
  const [seed, setSeed] = useState(1);
  const [of, setOf] = useState<Case | null>(null);
  const [own, setOwn] = useState<Own>({});
  const [chosen, setChosen] = useState<string | null>(null);
  const [judged, setJudged] = useState<Judged | null>(null);
  const { remote } = useRootWorker();
  useEffect(() => {
    let wanted = true;
    void remote()
      .practice(seed, level)
      .then((made) => {
        if (!wanted) return;
        setOf(made);
        setOwn({});
        setChosen(null);
        setJudged(null);
      });
    return () => {
      wanted = false;
    };
  }, [remote, seed, level]);
  if (!of) return <Loading error={null} />;
  const choices = ownChoices(of, own);
  const share = choices.reduce((sum, c) => sum + c.cost, 0) / 1000;
  const order = Object.keys(own);
  return (
    <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_25rem]">
      <div className="grid content-start gap-4">
        <div className="flex flex-wrap items-center gap-2">
          {LEVELS.map((l, i) => (
            <button
              key={l.name}
              type="button"
              aria-pressed={level === i}
              className={`btn ${level === i ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
              onClick={() => setLevel(i)}
            >
              {l.name}, {plural(l.roots, 'root')}
            </button>
          ))}
          <button type="button" className="btn btn-ghost" onClick={() => setSeed(seed + 1)}>
            Another plant
          </button>
        </div>
        <div className="mx-auto w-full max-w-[40rem] bg-base-100">
          <PlanView
            record={of.record}
            chosen={chosen}
            brush={{ thick: 1, fibre: 1 }}
            choices={judged ? judged.solved.choices : choices}
            numbers={new Map(order.map((id, i) => [id, i + 1]))}
            measures={measure(of.record, of.terms.school)}
            room={null}
            fixed
            act={(a) => a.do === 'choose' && setChosen(a.id)}
          />
        </div>
        {judged && <p className="soft">Drawn as the best plan has it.</p>}
      </div>
      <div className="grid content-start gap-5">
        <p>
          An invented plant. Say of each root what becomes of it, so that at most{' '}
          <strong>{percent(of.limit)}</strong> of the fine root goes. Nothing of it touches your records.
        </p>
        <p className={share > of.limit ? 'font-semibold text-error' : ''}>
          So far {percent(share)} goes{share > of.limit ? ': too much' : ''}.
        </p>
        <ul className="flex flex-wrap gap-2" aria-label="Roots">
          {of.record.roots.map((r) => (
            <li key={r.id}>
              <button
                type="button"
                aria-pressed={chosen === r.id}
                className={`btn btn-square ${chosen === r.id ? 'btn-neutral' : own[r.id] ? 'bg-[var(--due)]' : 'border border-base-300 bg-base-100'}`}
                aria-label={`Root ${r.id}`}
                onClick={() => setChosen(r.id)}
              >
                {r.id}
              </button>
            </li>
          ))}
        </ul>
        {chosen && !judged && <Say of={of} id={chosen} own={own} set={setOwn} />}
        {judged ? (
          <>
            <Verdict of={of} judged={judged} />
            <button type="button" className="btn btn-primary btn-tall" onClick={() => setSeed(seed + 1)}>
              Another plant
            </button>
          </>
        ) : (
          <button
            type="button"
            className="btn btn-primary btn-tall"
            onClick={() => void remote().judge(of, own).then(setJudged)}
          >
            That is my plan
          </button>
        )}
      </div>
    </div>
  );
}
