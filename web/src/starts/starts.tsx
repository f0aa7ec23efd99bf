import { AfterPaint } from '../common/after-paint';
import { typed } from '../common/numbers';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { askStart, newGoal, type AskStart, type StartAnswer } from '@gonimos/contract/starts';
import { suits, type Programme } from '@gonimos/core/programmes';
import { stagesOf, stageWords, type Stage } from '@gonimos/core/starts';
import { taxaByName, taxon } from '@gonimos/core/taxa';
import { useAllProgrammes } from '../library/queries';
import { PlaceOptions } from '../nursery/place-options';
import { usePlaces, useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { faultsOf, withoutId } from '../common/check';
import { dateSpan, shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Confidences } from './confidences';
import { Goals } from './goals';
import { useAddGoal, useStartAnswer } from './queries';
import { START_WORDS, startPath, UNIT_VERB } from '../common/start-words';
import { StageChain } from './stage-chain';

interface Inputs {
  taxonId: string;
  programmeId: string;
  placeId: string;
  stage: Stage;
  wanted: string;
  byYear: string;
  confidence: string;
  most: string;
  cents: string;
  wage: string;
}

const toAsk = (v: Inputs) => ({
  taxonId: v.taxonId,
  programmeId: v.programmeId,
  placeId: v.placeId,
  stage: v.stage,
  wanted: typed(v.wanted),
  byYear: typed(v.byYear),
  most: typed(v.most),
  confidence: Number(v.confidence),
  cost: {
    centsEach: Math.round(100 * (typed(v.cents) ?? Number.NaN)),
    wage: Math.round(100 * (typed(v.wage) ?? Number.NaN)),
  },
});

/** "I want 40 hornbeams with corrected roots by 2039": how many to start, at what price, and when. */
export function Starts() {
  const today = useToday();
  const places = usePlaces().data;
  return today && places ? <Want today={today} firstPlace={places[0]?.id ?? ''} /> : null;
}

function Want({ today, firstPlace }: { today: string; firstPlace: string }) {
  const all = useAllProgrammes();
  const may = useMay('grower');
  const keep = useAddGoal();
  const [v, set] = useState<Inputs>({
    taxonId: 'carpinus-betulus',
    programmeId: 'seed-broadleaf',
    placeId: firstPlace,
    stage: 'corrected',
    wanted: '40',
    byYear: String(Number(today.slice(0, 4)) + 2),
    confidence: '0.9',
    most: '600',
    cents: '0.05',
    wage: '15',
  });
  const fitting = all.filter((p) => suits(p.id, taxon(v.taxonId), p.own));
  const chosen = fitting.find((p) => p.id === v.programmeId) ?? fitting[0];
  const stages = stagesOf(chosen).map((s) => s.stage);
  const stage = stages.includes(v.stage) ? v.stage : stages[Math.min(1, stages.length - 1)];
  const now = { ...v, programmeId: chosen.id, stage };
  const ask = toAsk(now);
  const faults = faultsOf(askStart, ask);
  const deferred = useDeferredValue(JSON.stringify(ask));
  const askable = askStart.isValidSync(JSON.parse(deferred));
  const { data, error, isPlaceholderData } = useStartAnswer(
    askable ? (JSON.parse(deferred) as AskStart) : null,
  );
  const field = (name: keyof Inputs) => ({
    value: now[name],
    onChange: (e: { target: { value: string } }) => set({ ...v, [name]: e.target.value }),
  });
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 xl:grid-cols-[22rem_minmax(0,1fr)]">
        {data && <Strip a={data} today={today} />}
        <WantForm chosen={chosen} stages={stages} fitting={fitting} faults={faults} field={field} />
        <section
          aria-label="How many to start"
          aria-live="polite"
          className={`grid grid-cols-[minmax(0,1fr)] content-start gap-6 ${isPlaceholderData ? 'opacity-60' : ''}`}
        >
          {error && <Trouble>{error.message}</Trouble>}
          {data && <Answer a={data} ask={ask as AskStart} today={today} />}
          {data && may && (
            <div className="flex flex-wrap items-center gap-3">
              <button
                type="button"
                className="btn btn-primary btn-tall"
                disabled={keep.isPending || Object.keys(faults).length > 0}
                onClick={() => keep.mutate(withoutId(newGoal, { note: '', ...ask }))}
              >
                Keep as a goal
              </button>
              {data.number.kind === 'start' && (
                <Link className="btn btn-outline btn-tall" to={startPath(ask, data.number.count)}>
                  Enter {START_WORDS[data.unit]} of {data.number.count}
                </Link>
              )}
              {keep.error && <Trouble>{keep.error.message}</Trouble>}
              {keep.isSuccess && <p className="font-semibold text-primary">Kept below.</p>}
            </div>
          )}
        </section>
      </div>
      <AfterPaint>
        <Goals today={today} />
      </AfterPaint>
    </>
  );
}

/** What is wanted, of which kind, by when, and what it may cost. */
function WantForm({
  chosen,
  stages,
  fitting,
  faults,
  field,
}: {
  chosen: Programme;
  stages: Stage[];
  fitting: Programme[];
  faults: Record<string, string>;
  field: (name: keyof Inputs) => { value: string; onChange: (e: { target: { value: string } }) => void };
}) {
  const plain = { className: 'input', inputMode: 'decimal' as const, autoComplete: 'off' };
  return (
    <form className="grid content-start gap-4" onSubmit={(e) => e.preventDefault()}>
      <div className="grid grid-cols-2 gap-4">
        <Field label="I want" error={faults.wanted}>
          <input {...plain} {...field('wanted')} />
        </Field>
        <Field label="by the end of" error={faults.byYear}>
          <input {...plain} {...field('byYear')} />
        </Field>
      </div>
      <Field label="of">
        <select className="select" {...field('taxonId')}>
          {taxaByName().map((t) => (
            <option key={t.id} value={t.id}>
              {t.name}
            </option>
          ))}
        </select>
      </Field>
      <Field label="that are">
        <select className="select" {...field('stage')}>
          {stages.map((s) => (
            <option key={s} value={s}>
              {stageWords(s, chosen.method)}
            </option>
          ))}
        </select>
      </Field>
      <Field label="raised as" hint={chosen.summary}>
        <select className="select" {...field('programmeId')}>
          {fitting.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <Field label="Sure in">
          <select className="select" {...field('confidence')}>
            {[50, 60, 70, 80, 90, 95, 99].map((c) => (
              <option key={c} value={c / 100}>
                {c} years of 100
              </option>
            ))}
          </select>
        </Field>
        <Field label="At most" hint="started at once" error={faults.most}>
          <input {...plain} {...field('most')} />
        </Field>
        <Field label="Price each" hint="seed or cutting" error={faults['cost.centsEach']}>
          <input {...plain} {...field('cents')} />
        </Field>
        <Field label="An hour costs" error={faults['cost.wage']}>
          <input {...plain} {...field('wage')} />
        </Field>
      </div>
      <Field label="Place">
        <select className="select" {...field('placeId')}>
          <PlaceOptions />
        </select>
      </Field>
    </form>
  );
}

/** The answer in one line, kept in sight on a narrow screen while what is wanted is still being said. */
function Strip({ a, today }: { a: StartAnswer; today: string }) {
  const next = a.times.find((t) => t.inTime);
  return (
    <p
      aria-hidden="true"
      className="sticky top-0 z-10 -mb-2 flex flex-wrap items-baseline gap-x-3 border-b border-base-300 bg-base-100 py-2 xl:hidden"
    >
      <span className="font-head text-2xl font-bold">
        {a.number.kind === 'start' ? `${UNIT_VERB[a.unit]} ${a.number.count}` : 'Not attainable'}
      </span>
      {next && dateSpan(next.phases.at(-1)?.from ?? next.opens, next.closes, today)}
    </p>
  );
}

function Answer({ a, ask, today }: { a: StartAnswer; ask: AskStart; today: string }) {
  const n = a.number;
  const next = a.times.find((t) => t.inTime);
  return (
    <>
      <div>
        {n.kind === 'start' ? (
          <p className="font-head text-4xl font-bold">
            {UNIT_VERB[a.unit]} {n.count}
          </p>
        ) : (
          <p className="font-head text-3xl font-bold text-accent">Not attainable at this confidence</p>
        )}
        <p className="mt-2 max-w-prose text-lg">
          {n.kind === 'start' ? (
            <>
              Then in {Math.round(ask.confidence * 100)} years of 100 at least {ask.wanted} come through.
              {n.alone !== null && n.alone < n.count && (
                <span className="soft">
                  {' '}
                  If every plant had its own luck {n.alone} would do; plants of one batch share theirs.
                </span>
              )}
            </>
          ) : (
            <>
              Even {n.most} give {ask.wanted} in only {Math.round(n.reached * 100)} years of 100. Several
              batches at different times share less of their luck; or ask for fewer, or a lower confidence.
            </>
          )}
        </p>
        {next ? (
          <p className="mt-2 max-w-prose">
            {next.phases.length > 1 && (
              <>
                {next.phases.slice(0, -1).map((p) => (
                  <span key={p.what}>
                    {p.what === 'soak' ? 'Soak' : `to ${p.what}`} <strong>{shortDate(p.from, today)}</strong>
                    ,{' '}
                  </span>
                ))}
              </>
            )}
            {next.phases.length > 1 ? 'sow' : `${UNIT_VERB[a.unit]}`}{' '}
            <strong>{dateSpan(next.phases.at(-1)?.from ?? next.opens, next.closes, today)}</strong>
            {next.reaches && (
              <>
                ; <em>{a.stages.at(-1)!.words}</em> around <strong>{shortDate(next.reaches, today)}</strong>.
              </>
            )}
          </p>
        ) : (
          <p className="mt-2 font-semibold text-accent">
            {a.times.some((t) => t.late > 0)
              ? `This season’s seed would come out of its treatment ${a.times[0].late} days too late, and a later sowing is not ready by the end of ${ask.byYear}.`
              : `No start from now on is ready by the end of ${ask.byYear}.`}
          </p>
        )}
        {a.fresh && <p className="soft mt-1">Sown as it falls: this seed does not keep.</p>}
      </div>
      <StageChain answer={a} />
      <Confidences answer={a} ask={ask} />
    </>
  );
}
