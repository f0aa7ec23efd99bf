import { useCallback, useMemo, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import { FUSE_METHODS, type FuseMethod, type PlantGroups } from '@gonimos/contract/fusing';
import {
  heightsFor,
  joinSpots,
  MEMBERS_MOST,
  SECTORS,
  type Goes,
  type Group,
  type Member,
} from '@gonimos/core/fusing';
import { plural } from '@gonimos/core/words';
import { useRegister } from '../cohorts/queries';
import { Field, Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { MeasureInput } from '../common/measure-input';
import { length, unit } from '../common/units';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { GroupView } from './group-view';
import { Groups } from './groups';
import { useGroups, useSetStems } from './queries';
import { StemSlot, type Slot } from './slot';
import { useSolve } from './use-solve';

export function FusePart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useGroups(cohort.id);
  if (!data || !today) return <Loading error={error} />;
  return <Fuse key={cohort.id} cohort={cohort} data={data} today={today} />;
}

const METHOD_WORDS: Record<FuseMethod, string> = {
  bound: 'bound with wire',
  overlapped: 'only overlapped',
};

const goesWords = (goes: readonly Goes[], members: readonly Member[]): string[] =>
  goes.map((g) => {
    const m = members.find((x) => x.id === g.id)!;
    const limb = (g.what === 'root' ? m.roots : m.branches)[g.index];
    const where =
      g.what === 'root' ? `under stem ${g.into}` : `into stem ${g.into} at ${length(limb.height)}`;
    return `the ${g.what} of stem ${g.id} at ${Math.round(limb.azimuth)}° runs ${where}`;
  });

interface AnswerProps {
  members: readonly Member[];
  group: Group;
  tallest: number;
}

/** How each stem stands, what goes, and how high each becomes. */
function Answer({ members, group, tallest }: AnswerProps) {
  const heights = heightsFor(members, tallest);
  const thickest = members.reduce((a, b) => (b.base > a.base ? b : a));
  const [gap] = joinSpots(thickest.roots.map((r) => r.azimuth));
  return (
    <section aria-label="How they stand" className="grid gap-4 md:grid-cols-2">
      <GroupView members={members} group={group} />
      <div className="grid content-start gap-3">
        <ol>
          {group.stood.map((s, i) => {
            const spot = group.spots[s.place];
            const off =
              s.place === 0
                ? 'in the middle'
                : `${length(Math.round(Math.abs(spot.x)))} to the ${spot.x < 0 ? 'left' : 'right'}, ${length(Math.round(Math.abs(spot.y)))} to the ${spot.y < 0 ? 'front' : 'back'}`;
            return (
              <li key={s.id} className="border-t border-base-300 py-1.5">
                <strong>
                  {i + 1}: stem {s.id}
                </strong>
                , {off}, turned {s.turn}° clockwise; to become {length(heights.get(s.id)!)}
              </li>
            );
          })}
        </ol>
        <p>
          Roots in {group.occupied} of {SECTORS} directions.{' '}
          {group.goes.length === 0
            ? 'Nothing runs into a neighbour.'
            : 'Goes before they are bound, so that nothing lies under the binding:'}
        </p>
        {group.goes.length > 0 && (
          <ul className="list-disc pl-5">
            {goesWords(group.goes, members).map((w) => (
              <li key={w}>{w}</li>
            ))}
          </ul>
        )}
        {thickest.roots.length > 0 && gap.gap > 60 && (
          <p className="soft">
            The thickest has no root for {Math.round(gap.gap)}° around {Math.round(gap.azimuth)}° of its mark:
            a thin stem joined there fills its line.
          </p>
        )}
        <p className="border-l-4 border-accent pl-3">
          It cannot be undone: settle turn, place and depth before roots are covered. Wire ends: mind the
          eyes.
        </p>
      </div>
    </section>
  );
}

function Fuse({ cohort, data, today }: { cohort: Cohort; data: PlantGroups; today: string }) {
  const may = useMay('grower');
  const register = useRegister().data;
  const cohorts = useMemo(
    () => (register ?? []).filter((c) => c.taxonId === cohort.taxonId && c.live > 0),
    [register, cohort.taxonId],
  );
  const set = useSetStems(cohort.id);
  const [names, setNames] = useState(['a', 'b']);
  const [slots, setSlots] = useState<Record<string, Slot | null>>({});
  const [method, setMethod] = useState<FuseMethod>('bound');
  const [tallest, setTallest] = useState<number | undefined>(400);
  const [note, setNote] = useState('');
  const put = useCallback(
    (name: string) => (slot: Slot | null) => setSlots((all) => ({ ...all, [name]: slot })),
    [],
  );
  const puts = useMemo(() => Object.fromEntries('abcdefghi'.split('').map((n) => [n, put(n)])), [put]);
  const told = names.map((n) => slots[n] ?? null);
  const members = told.every((s) => s !== null) ? told.map((s) => s.member) : null;
  const { group, part } = useSolve(members, 1);
  const next = 'abcdefghi'.split('').find((n) => !names.includes(n));
  const settle = () => {
    if (!group) return;
    set.mutate({
      on: today,
      method,
      note,
      stood: group.stood,
      members: told.flatMap((s) =>
        s
          ? [
              {
                ...s.member,
                cohortId: s.cohortId,
                roots: [...s.member.roots],
                branches: [...s.member.branches],
              },
            ]
          : [],
      ),
    });
  };
  return (
    <div className="grid gap-5">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <p className="soft max-w-prose">
          Stems of one kind that are to become one base: turned so that roots fill the gaps, curves agree and
          least runs into a neighbour, on places in depth. Ages may differ. What counts for how much is common
          practice, no source.
        </p>
        <Link className="btn btn-ghost" to="../stem">
          The stem
        </Link>
      </div>
      {names.map((name) => (
        <StemSlot
          key={name}
          name={name}
          cohorts={cohorts}
          first={cohort.id}
          onChange={puts[name]}
          onOut={names.length > 2 ? () => setNames(names.filter((n) => n !== name)) : null}
        />
      ))}
      <div className="flex flex-wrap items-end gap-3">
        {next && names.length < MEMBERS_MOST && (
          <button type="button" className="btn btn-outline" onClick={() => setNames([...names, next])}>
            Another stem
          </button>
        )}
        <Field label="The tallest becomes" hint={unit('length')} className="w-44">
          <MeasureInput quantity="length" value={tallest} onChange={setTallest} />
        </Field>
        <Field label="Held" className="w-48">
          <select className="select" value={method} onChange={(e) => setMethod(e.target.value as FuseMethod)}>
            {FUSE_METHODS.map((m) => (
              <option key={m} value={m}>
                {METHOD_WORDS[m]}
              </option>
            ))}
          </select>
        </Field>
      </div>
      {members && !group && (
        <progress className="progress w-full max-w-md" value={part} max={1} aria-label="Turned and placed" />
      )}
      {members && group && (
        <Answer members={members} group={group} tallest={tallest && tallest > 0 ? tallest : 400} />
      )}
      {set.error && <Trouble>{set.error.message}</Trouble>}
      {may && group && (
        <div className="flex flex-wrap items-end gap-3">
          <Field label="Note" className="min-w-48 flex-1">
            <input className="input" maxLength={400} value={note} onChange={(e) => setNote(e.target.value)} />
          </Field>
          <button
            type="button"
            className="btn btn-primary btn-tall"
            disabled={set.isPending}
            onClick={settle}
          >
            Set together: {plural(names.length, 'stem')} become one plant
          </button>
        </div>
      )}
      <Groups data={data} today={today} />
    </div>
  );
}
