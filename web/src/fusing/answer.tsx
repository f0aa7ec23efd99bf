import { branchesMeet, heightsFor, SECTORS, type Group, type Member } from '@gonimos/core/fusing';
import { length } from '../common/units';
import { GroupView } from './group-view';

interface Props {
  members: readonly Member[];
  group: Group;
  tallest: number;
  /** a thin stem joined to a tree: heights are not settled by it */
  joined: boolean;
}

const goesWords = (group: Group, members: readonly Member[]): string[] =>
  group.goes.map((g) => {
    const m = members.find((x) => x.id === g.id)!;
    const limb = (g.what === 'root' ? m.roots : m.branches)[g.index];
    const where =
      g.what === 'root' ? `under stem ${g.into}` : `into stem ${g.into} at ${length(limb.height)}`;
    return `the ${g.what} of stem ${g.id} at ${Math.round(limb.azimuth)}° runs ${where}`;
  });

/** Branches that give way to those of a neighbour, in words. */
function meetWords(group: Group, members: readonly Member[]): string[] {
  const of = (id: string, index: number) => {
    const limb = members.find((x) => x.id === id)!.branches[index];
    return `stem ${id}’s at ${length(limb.height)}, ${Math.round(limb.azimuth)}°`;
  };
  return branchesMeet(members, group).map((m) => {
    const done = m.to === null ? 'goes' : `is shortened to ${length(m.to)}`;
    const why = m.why === 'crosses' ? 'it would cross' : 'it stands on one level with';
    return `${of(m.id, m.branch)} ${done}: ${why} ${of(m.other, m.otherBranch)}`;
  });
}

const Lines = ({ lines }: { lines: readonly string[] }) => (
  <ul className="list-disc pl-5">
    {lines.map((w) => (
      <li key={w}>{w}</li>
    ))}
  </ul>
);

/** How each stem stands, what goes, and how high each becomes. */
export function Answer({ members, group, tallest, joined }: Props) {
  const heights = heightsFor(members, tallest);
  const meets = meetWords(group, members);
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
                , {off}, turned {s.turn}° clockwise
                {!joined && `; to become ${length(heights.get(s.id)!)}`}
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
        {group.goes.length > 0 && <Lines lines={goesWords(group, members)} />}
        {meets.length > 0 && (
          <div>
            <p>Branches that give way to a neighbour’s, the smaller tree’s each time:</p>
            <Lines lines={meets} />
          </div>
        )}
        <p className="border-l-4 border-accent pl-3">
          It cannot be undone: settle turn, place and depth before roots are covered. Wire ends: mind the
          eyes.
        </p>
      </div>
    </section>
  );
}
