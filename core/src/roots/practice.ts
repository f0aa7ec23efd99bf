import { random } from '../random/index.ts';
import { standingScore, applied, ofHundred } from './apply.ts';
import { choicesOf, crossingsOf, type Overrule, type Term, type Terms } from './choices.ts';
import { compareScores, scoreOf } from './objective.ts';
import type { Fault, Root, RootRecord } from './record.ts';
import { solve, type Solved } from './solve.ts';

export const LEVELS = [
  { name: 'first year', roots: 5, limit: 0.6 },
  { name: 'training', roots: 8, limit: 0.5 },
  { name: 'old pot', roots: 12, limit: 0.35 },
] as const;

/** An invented plant, lying open on the bench. */
export interface Case {
  record: RootRecord;
  terms: Terms;
  limit: number;
}

const TRUNK = [12, 28, 46];

function invented(seed: number, level: number): Case {
  const rnd = random(seed * 3 + level);
  const { roots: n, limit } = LEVELS[level];
  const trunk = TRUNK[level] * (0.8 + 0.4 * rnd.next());
  const turn = 360 * rnd.next();
  const roots = Array.from({ length: n }, (_, i): Root => {
    // bunched to one side, as they are found
    const azimuth = (turn + 300 * (i / n) ** 1.3 + 25 * (rnd.next() - 0.5) + 360) % 360;
    const long = trunk * (1 + 1.8 * rnd.next());
    const faults: Fault[] = [];
    const luck = rnd.next();
    if (luck < 0.08) faults.push('strangling');
    else if (luck < 0.18) faults.push('circling');
    else if (luck < 0.26) faults.push('ugly');
    const diameter = trunk * (0.06 + 0.26 * rnd.next() ** 2);
    return {
      id: String.fromCharCode(97 + i),
      azimuth,
      diameter: Math.max(1, Math.round(diameter * 10) / 10),
      height: Math.round((rnd.next() - 0.4) * trunk * 0.5),
      angle: i === 0 && level === 0 ? 82 : Math.round(-5 + 45 * rnd.next()),
      // thick ones carry little as often as not
      fibre: rnd.next() < 0.5 ? null : Math.round(10 * rnd.next()),
      path: [{ azimuth: (azimuth + 24 * (rnd.next() - 0.5) + 360) % 360, out: trunk / 2 + long }],
      forks: [],
      faults,
      note: '',
    };
  });
  const record = { trunk, front: 180, under: null, profile: null, escaped: false, pests: '', roots };
  return {
    record,
    terms: { school: 'flat', ring: 4, room: null, only: ['keep', 'shorten', 'remove'] },
    limit,
  };
}

/** What many would do: everything with a fault goes, the worst first, as far as the limit allows. */
export function obviousPlan({ record, terms, limit }: Case): Record<string, Overrule> {
  const choices = choicesOf(record, terms);
  let left = Math.floor(limit * 1000);
  const plan: Record<string, Overrule> = {};
  const keep = choices.map((cs) => cs[0]);
  for (const c of keep.toSorted((a, b) => a.value - b.value)) {
    const gone = choices[c.root][choices[c.root].length - 1];
    const bad = c.strangles || c.value < 0;
    if (!bad || gone.cost > left) continue;
    left -= gone.cost;
    plan[record.roots[c.root].id] = { action: gone.action };
  }
  return plan;
}

/** A case for a seed and a level 0..2, in which the obvious plan is not the best. Throws RangeError for no such level. */
export function practiceCase(seed: number, level: number): Case {
  if (!(level in LEVELS)) throw new RangeError(`no such level: ${level}`);
  for (let k = 0; ; k++) {
    const made = invented(seed + 1000 * k, level);
    const obvious = judge(made, obviousPlan(made));
    if (k > 40 || obvious.behind > 0.3) return made;
  }
}

/** A root on which the grower and the solver differ, with what the choice is worth by itself. */
export interface Difference {
  id: string;
  yours: { action: string; points: number; terms: readonly Term[] };
  best: { action: string; points: number; terms: readonly Term[] };
}

export interface Judged {
  /** feeders the grower's plan takes, 0..1, and whether that is more than may go */
  share: number;
  over: boolean;
  /** of a hundred: as found, after the grower's plan, after the best */
  found: number;
  yours: number;
  best: number;
  /** points by which the best is ahead; what strangles or crosses counts ten */
  behind: number;
  differences: Difference[];
  solved: Solved;
}

const HEAVY = 10;

/** A grower's plan beside the solver's, explained root by root; what nothing is said of stays. */
export function judge({ record, terms, limit }: Case, plan: Readonly<Record<string, Overrule>>): Judged {
  const solved = solve(record, terms, limit)!;
  const overruled = Object.fromEntries(
    record.roots.map((r) => [r.id, plan[r.id] ?? { action: 'keep' as const }]),
  );
  const own = choicesOf(record, { ...terms, overruled }).map((cs) => cs[0]);
  const crossings = crossingsOf(record);
  const score = scoreOf(own, record, crossings);
  const share = own.reduce((sum, c) => sum + c.cost, 0) / 1000;
  const behind =
    solved.score.points -
    score.points +
    HEAVY * (score.strangling - solved.score.strangling + score.crossing - solved.score.crossing);
  return {
    share,
    over: share > limit + 1e-9,
    found: ofHundred(standingScore(record, terms)),
    yours: ofHundred(standingScore(applied(record, own), terms)),
    best: ofHundred(standingScore(applied(record, solved.choices), terms)),
    behind: compareScores(solved.score, score) <= 0 ? 0 : behind,
    differences: record.roots.flatMap((r, i) => {
      const a = own[i];
      const b = solved.choices[i];
      if (a.action === b.action && Math.abs(a.length - b.length) < 2) return [];
      return [
        {
          id: r.id,
          yours: { action: a.action, points: a.value, terms: a.terms },
          best: { action: b.action, points: b.value, terms: b.terms },
        },
      ];
    }),
    solved,
  };
}
