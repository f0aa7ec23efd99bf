import { useState } from 'react';
import type { JointOutcome, PlantGroup, PlantGroups } from '@gonimos/contract/fusing';
import { addDays } from '@gonimos/core/calendar';
import { besideOf, spotsFor, type Spot } from '@gonimos/core/fusing';
import { sideWords } from '@gonimos/core/stem';
import { plural } from '@gonimos/core/words';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { length } from '../common/units';
import { useLookAtJoint } from './queries';
import { GroupView } from './group-view';

const WORDS: Record<JointOutcome, string> = {
  joined: 'Joined',
  growing: 'Growing, not yet',
  failed: 'Did not join',
};
/** A joint that still grows is looked at again after so many days. */
const AGAIN = 28;

/** Places as they were when it was made: around the thickest, or on the side of the tree it was joined to. */
function spotsOf({ members, join }: PlantGroup): Spot[] {
  const bases = members.map((m) => m.base).toSorted((a, b) => b - a);
  return join ? [{ x: 0, y: 0 }, besideOf(bases[0], bases[1], join.azimuth)] : spotsFor(bases);
}

const madeWords = ({ members, join, method }: PlantGroup): string =>
  join
    ? `A thin stem joined at ${join.height === 0 ? 'the base' : length(join.height)}, ${sideWords(join.azimuth)}, ${method}`
    : `${plural(members.length, 'stem')}, ${method}`;

function Row({ group, today }: { group: PlantGroup; today: string }) {
  const look = useLookAtJoint();
  const { p10, p50, p90 } = group.joint.seasons;
  const open = group.outcome === null || group.outcome === 'growing';
  const say = (outcome: JointOutcome) =>
    look.mutate({
      groupId: group.id,
      version: group.version,
      outcome,
      again: outcome === 'growing' ? addDays(today, AGAIN) : null,
      note: '',
    });
  return (
    <li className="grid gap-3 border-t border-base-300 py-3 sm:grid-cols-[12rem_minmax(0,1fr)]">
      <GroupView
        members={group.members}
        group={{ stood: group.stood, spots: spotsOf(group), worth: 0, occupied: 0, goes: [] }}
      />
      <div className="grid content-start gap-2">
        <strong>
          {madeWords(group)}, {shortDate(group.madeOn, today)}
        </strong>
        <span className="soft">
          {group.outcome && `${WORDS[group.outcome]}, seen ${shortDate(group.lookedOn!, today)}. `}
          {open &&
            `One after ${p50.toFixed(1)} seasons of growth (${p10.toFixed(1)} to ${p90.toFixed(1)}), by the ring they lay down; looked at from ${shortDate(group.lookOn, today)}.`}
        </span>
        {open && (
          <span className="flex flex-wrap gap-2">
            {(Object.keys(WORDS) as JointOutcome[]).map((o) => (
              <button
                key={o}
                type="button"
                className="btn btn-outline"
                disabled={look.isPending}
                onClick={() => say(o)}
              >
                {WORDS[o]}
              </button>
            ))}
          </span>
        )}
        {look.error && <Trouble>{look.error.message}</Trouble>}
        {group.note && <span className="soft">{group.note}</span>}
      </div>
    </li>
  );
}

/** Groups that were made, what is known of their joints, and which way of holding them paid. */
export function Groups({ data, today }: { data: PlantGroups; today: string }) {
  const [all, setAll] = useState(false);
  if (data.groups.length === 0) return null;
  const shown = all ? data.groups : data.groups.slice(-4);
  return (
    <section aria-label="Set together">
      <h3 className="text-lg">Set together</h3>
      <p className="soft">
        {data.results
          .filter((r) => r.made > 0)
          .map((r) => `${r.method}: ${r.made} in the nursery, ${r.joined} joined, ${r.failed} did not`)
          .join('; ')}
        .
      </p>
      <ul>
        {shown.map((g) => (
          <Row key={g.id} group={g} today={today} />
        ))}
      </ul>
      {shown.length < data.groups.length && (
        <button type="button" className="btn btn-ghost" onClick={() => setAll(true)}>
          All {data.groups.length}
        </button>
      )}
    </section>
  );
}
