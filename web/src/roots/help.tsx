import { useState } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import {
  boardPlan,
  compassWord,
  posed,
  remediesFor,
  type Measures,
  type PoseAnswer,
  type RootRecord,
  type Room,
} from '@gonimos/core/roots';
import { leanOn, UPRIGHT } from '@gonimos/core/stance';
import { taxon } from '@gonimos/core/taxa';
import { percent, plural } from '@gonimos/core/words';
import { Field } from '../common/field';
import { NumberInput } from '../common/number-input';
import { inUnits, length } from '../common/units';
import type { Act, Decided } from './drawing';
import { keptLean, rounded } from './stand';

interface Props {
  cohort: Cohort;
  record: RootRecord;
  after: Measures;
  room: Room | null;
  decided: Decided;
  poses: () => Promise<PoseAnswer[]>;
  act: (a: Act) => void;
}

/** Help for bare sides, by what is left after the cuts; what is done comes back as a look at the next opening. */
function Remedies({
  cohort,
  record,
  after,
  decided,
  act,
}: Pick<Props, 'cohort' | 'record' | 'after' | 'decided' | 'act'>) {
  const help = remediesFor(after, taxon(cohort.taxonId).group, record.trunk);
  if (help.length === 0) return <p className="soft">After the cuts no side is barer than 70°.</p>;
  const given = decided.remedies;
  const set = (words: string, on: boolean) =>
    act({ do: 'decide', decided: { remedies: on ? [...given, words] : given.filter((w) => w !== words) } });
  return (
    <fieldset>
      <legend className="soft mb-1 text-sm">
        What is done now comes back as a look at the next opening.
      </legend>
      {help.map((h) => (
        <label key={h.words} className="flex min-h-11 items-start gap-3 py-1.5">
          <input
            type="checkbox"
            className="checkbox mt-0.5"
            checked={given.includes(h.words)}
            onChange={(e) => set(h.words, e.target.checked)}
          />
          <span>{inUnits(h.words)}</span>
        </label>
      ))}
    </fieldset>
  );
}

const poseWords = ({ pose }: PoseAnswer): string =>
  [
    pose.height === 0
      ? 'the plane as drawn'
      : `the plane ${length(Math.abs(pose.height))} ${pose.height > 0 ? 'higher' : 'lower'}`,
    pose.tilt > 0 && `leaning ${pose.tilt}° to the ${compassWord(pose.towards)}`,
  ]
    .filter(Boolean)
    .join(', ');

const isAsDrawn = ({ pose }: PoseAnswer): boolean => pose.height === 0 && pose.tilt === 0;

/** Planes and tilts side by side, with what each costs and keeps. */
function Poses({ record, decided, poses, act }: Pick<Props, 'record' | 'decided' | 'poses' | 'act'>) {
  const [found, setFound] = useState<{ of: RootRecord; all: PoseAnswer[] } | null>(null);
  const [busy, setBusy] = useState(false);
  const compare = async () => {
    setBusy(true);
    setFound({ of: record, all: await poses() });
    setBusy(false);
  };
  const take = ({ pose }: PoseAnswer) => {
    const leant = pose.tilt === 0 ? {} : { lean: keptLean(leanOn(decided.lean ?? UPRIGHT, pose)) };
    act({ do: 'stand', record: rounded(posed(record, pose)), decided: leant });
  };
  return (
    <div className="grid gap-3">
      <button type="button" className="btn btn-sm w-fit" disabled={busy} onClick={() => void compare()}>
        {busy ? 'Comparing …' : 'Compare planes and tilts'}
      </button>
      {found && found.of !== record && <p className="soft text-sm">Drawn on since: compare again.</p>}
      {found && (
        <ol className="divide-y divide-base-300">
          {found.all.slice(0, 5).map((a) => (
            <li key={poseWords(a)} className="flex flex-wrap items-center justify-between gap-2 py-1.5">
              <span>
                <strong>{poseWords(a)}</strong>
                <span className="soft block text-sm">
                  score {a.score} after cutting {percent(a.share)}; {plural(a.kept, 'root')} kept, {a.gone}{' '}
                  lost
                </span>
              </span>
              {found.of === record && !isAsDrawn(a) && (
                <button type="button" className="btn btn-sm" onClick={() => take(a)}>
                  Take it<span className="sr-only"> {poseWords(a)}</span>
                </button>
              )}
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

const YEARS = 4;

/** How the roots are laid out evenly on a board or tile. */
function Board({ record, room }: Pick<Props, 'record' | 'room'>) {
  const [years, setYears] = useState(YEARS);
  const b = boardPlan(record, room, years > 0 ? years : YEARS);
  if (b.laid.length === 0) return <p className="soft">Draw the roots first.</p>;
  return (
    <div className="grid gap-3">
      <p>
        A board of {length(b.size)}, {plural(b.drains, 'drain hole')}, tie-downs at {b.ties.join('°, ')}°, one
        screw {length(b.screw)} long up into the base.{' '}
        {b.fits === false && (
          <strong className="text-error">It does not go into the pot as the front stands.</strong>
        )}
      </p>
      <ul>
        {b.laid.map((l) => (
          <li key={l.id}>
            {l.id}: {Math.round(l.from)}° → <strong>{Math.round(l.to)}°</strong>
            <span className="soft">
              {Math.abs(l.turn) < 1
                ? ', as it lies'
                : `, ${Math.abs(Math.round(l.turn))}° to the ${compassWord(l.to)}, ${l.guy ? 'drawn by a guy over some weeks' : plural(l.pins.length, 'pin')}`}
            </span>
          </li>
        ))}
      </ul>
      <Field label="Lies in the mix for" hint="years" className="max-w-40">
        <NumberInput value={years} onChange={setYears} />
      </Field>
      <p>
        Lasts so long:{' '}
        <strong>
          {b.materials
            .filter((m) => m.fits)
            .map((m) => m.name)
            .join(', ')}
        </strong>
        <span className="soft">
          ; rots before:{' '}
          {b.materials
            .filter((m) => !m.fits)
            .map((m) => m.name)
            .join(', ') || 'none'}
          . Common practice, no source.
        </span>
      </p>
      <p className="bg-[var(--slip)] px-3 py-2 text-sm">
        <strong>Mind:</strong> clamp the board before drilling, eyes covered, fingers away from the bit and
        the screw’s point. Local rules come first.
      </p>
    </div>
  );
}

/** What helps beyond cutting: bare sides, another plane or tilt, a board. */
export function Help(p: Props) {
  const fold = (title: string, inside: React.ReactNode) => (
    <details className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">{title}</summary>
      <div className="pb-3">{inside}</div>
    </details>
  );
  return (
    <section aria-label="Beyond the cuts">
      {fold('Bare sides', <Remedies {...p} />)}
      {fold('Another plane or tilt', <Poses {...p} />)}
      {fold('On a board or tile', <Board {...p} />)}
    </section>
  );
}
