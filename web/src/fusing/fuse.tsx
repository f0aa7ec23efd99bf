import { useCallback, useMemo, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import { FUSE_METHODS, type FuseMethod, type GroupTold, type PlantGroups } from '@gonimos/contract/fusing';
import { joinedGroup, MEMBERS_MOST, type JoinSpot } from '@gonimos/core/fusing';
import { useRegister } from '../cohorts/queries';
import { newId } from '../common/api';
import { Field } from '../common/field';
import { Loading } from '../common/loading';
import { MeasureInput } from '../common/measure-input';
import { unit } from '../common/units';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { Answer } from './answer';
import { Groups } from './groups';
import { JoinChoice, reaches, treeAndThin } from './join-choice';
import { useGroups } from './queries';
import { Settle } from './settle';
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

function Fuse({ cohort, data, today }: { cohort: Cohort; data: PlantGroups; today: string }) {
  const may = useMay('grower');
  const register = useRegister().data;
  const cohorts = useMemo(
    () => (register ?? []).filter((c) => c.taxonId === cohort.taxonId && c.live > 0),
    [register, cohort.taxonId],
  );
  const [names, setNames] = useState(['a', 'b']);
  const [slots, setSlots] = useState<Record<string, Slot | null>>({});
  const [method, setMethod] = useState<FuseMethod>('bound');
  const [tallest, setTallest] = useState<number | undefined>(400);
  const [join, setJoin] = useState<JoinSpot | null>(null);
  const put = useCallback(
    (name: string) => (slot: Slot | null) => setSlots((all) => ({ ...all, [name]: slot })),
    [],
  );
  const puts = useMemo(() => Object.fromEntries('abcdefghi'.split('').map((n) => [n, put(n)])), [put]);
  const told = names.map((n) => slots[n] ?? null);
  const whole = told.every((s) => s !== null) ? told : null;
  const members = whole ? whole.map((s) => s.member) : null;
  const pair = whole && treeAndThin(whole);
  const at = pair && join && reaches(join, pair.tree.member, pair.thin.member) ? join : null;
  const solved = useSolve(at ? null : members, 1);
  const group = at && pair ? joinedGroup(pair.tree.member, pair.thin.member, at.azimuth) : solved.group;
  const next = 'abcdefghi'.split('').find((n) => !names.includes(n));
  const setting = (): GroupTold => ({
    id: newId(),
    method,
    stood: group!.stood,
    join: at ? { lacks: at.lacks, height: at.height, azimuth: at.azimuth } : null,
    members: whole!.map(({ member, cohortId }) => ({
      ...member,
      cohortId,
      roots: [...member.roots],
      branches: [...member.branches],
    })),
  });
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
      {next && names.length < MEMBERS_MOST && (
        <button
          type="button"
          className="btn btn-outline justify-self-start"
          onClick={() => setNames([...names, next])}
        >
          Another stem
        </button>
      )}
      <div className="flex flex-wrap items-start gap-3">
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
      {pair && <JoinChoice {...pair} chosen={at} onChoose={setJoin} />}
      {members && !group && (
        <progress
          className="progress w-full max-w-md"
          value={solved.part}
          max={1}
          aria-label="Turned and placed"
        />
      )}
      {members && group && (
        <Answer
          members={members}
          group={group}
          tallest={tallest && tallest > 0 ? tallest : 400}
          joined={at !== null}
        />
      )}
      {may && group && (
        <Settle cohort={cohort} stems={names.length} setting={setting} joins={at !== null} today={today} />
      )}
      <Groups data={data} today={today} />
    </div>
  );
}
