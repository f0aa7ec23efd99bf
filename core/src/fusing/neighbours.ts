import type { Member, Spot } from './member.ts';
import type { Group } from './solve.ts';
import { between } from './value.ts';

/** Branches of neighbours this near in height rub where they cross, mm. Common practice, no source. */
const RUBS = 30;
/** A branch that would keep less than this part of its length goes. Common practice, no source. */
const WORTH_KEEPING = 0.4;
/** It ends so far before the other, mm. */
const CLEAR = 8;
/** Two on one level look like the rungs of a ladder: so near in height, mm, and going one way within so many degrees. */
const LEVEL = 12;
const ONE_WAY = 30;
const RAD = Math.PI / 180;

/** What one branch has to give way for to one of a neighbour. */
export interface Meeting {
  /** whose branch gives way, by its index there: the smaller tree’s, of two as thick the thinner branch */
  id: string;
  branch: number;
  /** whose branch it meets */
  other: string;
  otherBranch: number;
  /** shortened to so many mm; null: it goes */
  to: number | null;
  /** crosses: they would rub; level: rungs of one ladder */
  why: 'crosses' | 'level';
}

interface Placed {
  member: Member;
  index: number;
  from: Spot;
  tip: Spot;
  way: number;
}

/** Where two stretches cross, as the part of the first, 0..1; null where they do not. */
function crossesAt(a: Placed, b: Placed): number | null {
  const [ax, ay] = [a.tip.x - a.from.x, a.tip.y - a.from.y];
  const [bx, by] = [b.tip.x - b.from.x, b.tip.y - b.from.y];
  const det = ax * by - ay * bx;
  if (Math.abs(det) < 1e-9) return null;
  const [dx, dy] = [b.from.x - a.from.x, b.from.y - a.from.y];
  const t = (dx * by - dy * bx) / det;
  const u = (dx * ay - dy * ax) / det;
  return t >= 0 && t <= 1 && u >= 0 && u <= 1 ? t : null;
}

/** Which of two gives way. */
const gives = (a: Placed, b: Placed): boolean =>
  a.member.base !== b.member.base
    ? a.member.base < b.member.base
    : a.member.branches[a.index].diameter < b.member.branches[b.index].diameter;

function meetingOf(one: Placed, another: Placed): Meeting | null {
  const [a, b] = gives(one, another) ? [one, another] : [another, one];
  const own = a.member.branches[a.index];
  const its = b.member.branches[b.index];
  const apart = Math.abs(own.height - its.height);
  const line = { id: a.member.id, branch: a.index, other: b.member.id, otherBranch: b.index };
  const at = apart <= RUBS ? crossesAt(a, b) : null;
  if (at !== null) {
    const left = Math.floor(at * own.reach - CLEAR);
    return { ...line, to: left < WORTH_KEEPING * own.reach ? null : left, why: 'crosses' };
  }
  if (apart <= LEVEL && between(a.way, b.way) <= ONE_WAY) return { ...line, to: null, why: 'level' };
  return null;
}

/**
 * Branches of neighbours that would rub, or stand like rungs of one ladder, as the group stands; those that go already
 * because they run into a trunk are left out. The branch of the smaller tree gives way. Common practice, no source.
 */
export function branchesMeet(members: readonly Member[], group: Group): Meeting[] {
  const going = new Set(group.goes.filter((g) => g.what === 'branch').map((g) => `${g.id} ${g.index}`));
  const placed = members.flatMap((member): Placed[] => {
    const stood = group.stood.find((s) => s.id === member.id)!;
    const from = group.spots[stood.place];
    return member.branches.flatMap((b, index): Placed[] => {
      if (going.has(`${member.id} ${index}`)) return [];
      const way = (((b.azimuth + stood.turn) % 360) + 360) % 360;
      const tip = {
        x: from.x + b.reach * Math.sin(way * RAD),
        y: from.y + b.reach * Math.cos(way * RAD),
      };
      return [{ member, index, from, tip, way }];
    });
  });
  const all = placed.flatMap((a, i) =>
    placed.slice(i + 1).flatMap((b) => {
      const meeting = a.member === b.member ? null : meetingOf(a, b);
      return meeting ? [meeting] : [];
    }),
  );
  // a branch that meets several gives way to the one that leaves least of it
  const least = new Map<string, Meeting>();
  for (const m of all) {
    const key = `${m.id} ${m.branch}`;
    const known = least.get(key);
    if (!known || (m.to ?? 0) < (known.to ?? 0)) least.set(key, m);
  }
  return [...least.values()];
}
