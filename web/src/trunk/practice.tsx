import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import {
  choiceFault,
  gamePots,
  GAME_CHOPS,
  GAME_SEASONS,
  LEFT_ALONE,
  played,
  trunkCase,
  type Forecast,
  type LabYear,
  type TrunkCase,
  type TrunkScore,
  type TrunkVerdict,
  type YearChoice,
} from '@gonimos/core/lab';
import { container } from '@gonimos/core/containers';
import { taxon } from '@gonimos/core/taxa';
import { percent } from '@gonimos/core/words';
import { Field } from '../common/field';
import { length } from '../common/units';
import { useWidth } from '../common/use-width';
import type { LabWorker } from '../workers/lab';
import { scaleFor, Silhouettes, Years } from './silhouettes';

/** The search behind the verdict takes a second or two, off the page. */
function judge(of: TrunkCase, choices: readonly YearChoice[]): Promise<TrunkVerdict> {
  const worker = new Worker(new URL('../workers/lab.ts', import.meta.url), { type: 'module' });
  return wrap<LabWorker>(worker)
    .verdict(of, choices)
    .finally(() => worker.terminate());
}

/** Years as the drawings of courses take them. */
const drawn = (middle: LabYear[]): Forecast => ({
  course: { id: 'own', name: '', acts: [] },
  middle,
  band: [],
  goal: null,
});

/** What was done in a spring, in words. */
function didWords(c: YearChoice): string {
  const told = [
    c.into && `into ${container(c.into).name}`,
    c.chop !== null && `chop at ${length(c.chop)}`,
    c.sacrifice === 'let go' && 'sacrifice let go',
    c.sacrifice === 'off' && 'sacrifice off',
    c.prune !== 'none' && `cut back ${c.prune}`,
  ].filter((x) => typeof x === 'string');
  return told.length > 0 ? told.join(', ') : 'left alone';
}

const PRUNES: Record<YearChoice['prune'], string> = {
  none: 'left to grow',
  lightly: 'cut back lightly',
  hard: 'cut back hard',
};

/** What is done this spring. */
function Spring({
  of,
  year,
  before,
  onGrow,
}: {
  of: TrunkCase;
  year: number;
  before: readonly YearChoice[];
  onGrow: (c: YearChoice) => void;
}) {
  const [c, set] = useState<YearChoice>(LEFT_ALONE);
  const fault = choiceFault(of, before, c);
  const on = (played(of, before).at(-1)?.sacrifices.length ?? 0) > 0;
  return (
    <section className="grid gap-4" aria-label="This spring">
      <h3 className="text-lg">Spring {year}</h3>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="It stands">
          <select
            className="select"
            value={c.into ?? ''}
            onChange={(e) => set({ ...c, into: e.target.value || null })}
          >
            <option value="">where it is</option>
            {gamePots(of).map((id) => (
              <option key={id} value={id}>
                into {container(id).name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Its top is">
          <select
            className="select"
            value={c.prune}
            onChange={(e) => set({ ...c, prune: e.target.value as YearChoice['prune'] })}
          >
            {Object.entries(PRUNES).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        </Field>
        <Field label="The trunk is">
          <select
            className="select"
            value={c.chop ?? ''}
            onChange={(e) => set({ ...c, chop: e.target.value ? Number(e.target.value) : null })}
          >
            <option value="">not chopped</option>
            {GAME_CHOPS.map((mm) => (
              <option key={mm} value={mm}>
                chopped at {length(mm)}
              </option>
            ))}
          </select>
        </Field>
        <Field label="A low shoot is">
          <select
            className="select"
            value={c.sacrifice ?? ''}
            onChange={(e) => set({ ...c, sacrifice: (e.target.value || null) as YearChoice['sacrifice'] })}
          >
            <option value="">{on ? 'left on' : 'not let go'}</option>
            {on ? (
              <option value="off">taken off</option>
            ) : (
              <option value="let go">let go as a sacrifice</option>
            )}
          </select>
        </Field>
      </div>
      {fault && (
        <p role="alert" className="font-semibold text-error">
          That cannot be: {fault}.
        </p>
      )}
      <button
        type="button"
        className="btn btn-primary btn-tall"
        disabled={fault !== null}
        onClick={() => onGrow(c)}
      >
        Grow the year
      </button>
    </section>
  );
}

const scoreWords = (s: TrunkScore): string =>
  `${Math.round(s.all)} of a hundred: ${Math.round(s.thickness)} of 50 for thickness, ${Math.round(s.taper)} of 20 for taper, ${Math.round(s.scars)} of 15 for scars, ${Math.round(s.done)} of 15 for nothing left to do`;

function Verdict({
  of,
  verdict,
  choices,
  width,
}: {
  of: TrunkCase;
  verdict: TrunkVerdict;
  choices: readonly YearChoice[];
  width: number;
}) {
  const { yours, best, because } = verdict;
  const mine = drawn(played(of, choices));
  const theirs = drawn(best.years);
  const scale = scaleFor([mine, theirs], width / GAME_SEASONS);
  return (
    <section aria-label="Beside the best" className="grid gap-4">
      <h3 className="text-lg">Beside the best</h3>
      <p>
        Yours: <strong>{length(yours.end.caliper)}</strong>, {yours.minutes} minutes of work.{' '}
        {scoreWords(yours.score)}.
      </p>
      <p>
        The best of some thousand courses, knowing no more of the weather than you:{' '}
        <strong>{length(best.years.at(-1)!.caliper)}</strong>, {best.minutes} minutes.{' '}
        {scoreWords(best.score)}.
      </p>
      <Silhouettes name="The best" forecast={theirs} width={width} scale={scale} year={null} />
      <ol className="soft text-sm">
        {best.choices.map((c, i) =>
          didWords(c) === 'left alone' ? null : (
            <li key={i}>
              {of.start.year + i}: {didWords(c)}
            </li>
          ),
        )}
      </ol>
      <ul className="list-disc pl-5">
        {because.map((b) => (
          <li key={b}>{b}</li>
        ))}
      </ul>
      <p className="soft text-sm">
        The hundred is our own scale; growth, scars and minutes are those of the trunk lab.
      </p>
    </section>
  );
}

/** An invented seedling and ten years: decided spring by spring, on weather nobody knows. No record is touched. */
export function TrunkPractice() {
  const [seed, setSeed] = useState(1);
  const [choices, setChoices] = useState<YearChoice[]>([]);
  const [verdict, setVerdict] = useState<TrunkVerdict | null>(null);
  const [box, wide] = useWidth<HTMLDivElement>(700);
  const of = trunkCase(seed);
  const over = choices.length === GAME_SEASONS;
  const years = played(of, choices);
  const now = years.at(-1);
  const asked = JSON.stringify({ seed, choices });
  useEffect(() => {
    if (!over) return;
    let wanted = true;
    const game = JSON.parse(asked) as { seed: number; choices: YearChoice[] };
    void judge(trunkCase(game.seed), game.choices).then((v) => wanted && setVerdict(v));
    return () => {
      wanted = false;
    };
  }, [over, asked]);
  const again = (next: number) => {
    setSeed(next);
    setChoices([]);
    setVerdict(null);
  };
  const width = Math.min(wide, 760);
  const shown = drawn(years);
  return (
    <div ref={box} className="grid max-w-4xl gap-6">
      <p>
        A {taxon(of.taxonId).name} seedling of {length(of.start.caliper)}, in a pot of 1 L, and {GAME_SEASONS}{' '}
        years. Wanted: <strong>{length(of.goal)}</strong> at the base with taper, no scar wider than{' '}
        {percent(of.scar)} of the stem
        {of.ground ? ', and lifted in the end: there is a row of open ground' : '; there is no open ground'}.
        Nothing of it touches your records.
      </p>
      {now && (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Years so far">
          <Years years={years.map((y) => y.year)} width={(width * years.length) / GAME_SEASONS} />
          <Silhouettes
            name="Yours"
            forecast={shown}
            width={(width * years.length) / GAME_SEASONS}
            scale={scaleFor([shown], width / GAME_SEASONS)}
            year={null}
          />
          <p className="mt-2">
            {now.year}: <strong>{length(now.caliper)}</strong>, {length(now.height)} high,{' '}
            {now.fill >= 1
              ? 'roots circle: it asks for a move'
              : now.room < 0.7
                ? 'held back by the room of its roots'
                : 'free to grow'}
            . That spring: {didWords(choices.at(-1)!)}.
          </p>
        </div>
      )}
      {!over && (
        <Spring
          key={choices.length}
          of={of}
          year={of.start.year + choices.length}
          before={choices}
          onGrow={(c) => setChoices([...choices, c])}
        />
      )}
      {over && !verdict && <p role="status">The search tries some thousand courses …</p>}
      {verdict && <Verdict of={of} verdict={verdict} choices={choices} width={width} />}
      <div className="flex flex-wrap gap-2">
        {choices.length > 0 && (
          <button
            type="button"
            className="btn border border-base-300 bg-base-100"
            onClick={() => again(seed)}
          >
            The same again
          </button>
        )}
        <button
          type="button"
          className={over ? 'btn btn-primary' : 'btn btn-ghost'}
          onClick={() => again(seed + 1)}
        >
          Another seedling
        </button>
      </div>
    </div>
  );
}
