import { percent, plural } from '@gonimos/core/words';
import type { StartAnswer } from '@gonimos/contract/starts';

type Stage = StartAnswer['stages'][number];

/** From what is started to the stage wanted: the share that comes through at each, and what it rests on. */
export function StageChain({ answer }: { answer: StartAnswer }) {
  const stages: { stage: Stage; before: number; left: number }[] = [];
  for (const stage of answer.stages) {
    const before = stages.at(-1)?.left ?? 1;
    stages.push({ stage, before, left: before * stage.mean });
  }
  return (
    <section aria-label="Survival by stage">
      <h2 className="mb-2 text-xl">Of a hundred started</h2>
      <ol className="grid gap-2.5">
        {stages.map(({ stage: s, before, left }) => (
          <li
            key={s.stage}
            className="grid grid-cols-[8rem_1fr] items-center gap-x-4 sm:grid-cols-[8.5rem_minmax(0,1fr)_15rem]"
          >
            <strong>{s.words}</strong>
            <span className="relative block h-8">
              <span
                className="absolute inset-y-0 left-0 border border-base-300 bg-[var(--rest)]"
                style={{ width: `${before * 100}%` }}
              />
              <span
                className="absolute inset-y-0 left-0 border border-[var(--celadon-deep)] bg-[var(--celadon)]"
                style={{ width: `${left * 100}%` }}
              />
              <strong className="absolute inset-y-0 left-2 flex items-center">
                {Math.round(left * 100)}
              </strong>
            </span>
            <span className="soft text-sm max-sm:col-span-2">
              {percent(s.mean)} come through:{' '}
              {s.own
                ? `${plural(s.batches, 'batch', 'batches')} of yours (${s.own.k} of ${s.own.n}), library ${percent(s.library.value)}`
                : `library, ${s.library.basis}`}
            </span>
          </li>
        ))}
      </ol>
      <p className="soft mt-2 text-sm">
        Plants of one batch share its luck: correlation {answer.rho.toFixed(2)} over all stages
        {answer.stages.some((s) => s.ownRho)
          ? ', as your own batches tell it.'
          : ', until five batches of yours tell it.'}
      </p>
    </section>
  );
}
