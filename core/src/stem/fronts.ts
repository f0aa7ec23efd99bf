import { AT_VIEWER } from '../../data/root-values.ts';
import { atViewer } from './branches.ts';
import { isShoot, sideBetween, type StemPart, type StemRecord } from './record.ts';
import type { RootSeen } from './sacrifice.ts';

/** Directions that are compared, degrees apart. */
const STEP = 10;
/** Candidates stand so far apart at least, degrees. Common practice, no source. */
const APART = 40;
/** What is seen from the front lies within so many degrees of it. */
const SEEN = 60;
/** What stands at the side lies between these, what stands behind from there on. */
const SIDE = [50, 130] as const;
/** The lowest part of the crown, of the finished height: there the first and the back branch are looked for. */
const LOW = 0.6;
/** No root within so many degrees of the front: bare towards the viewer. */
const BARE = 60;

/** What speaks for a front or against it, points. Common practice, no source. */
const WORTH = {
  viewer: 2,
  side: 1.5,
  back: 1,
  balance: 1.5,
  roots: 2,
  rootAtViewer: 1.5,
  bare: 0.6,
  stub: 1,
} as const;

export interface Front {
  /** degrees from the compass mark */
  front: number;
  points: number;
  terms: { label: string; points: number }[];
}

/** A part of the crown by its cross-section. */
const weight = (p: StemPart): number => (isShoot(p) ? p.diameter ** 2 : 0);
/** To the right of the front (above 0) or the left of it, 1 straight aside. */
const aside = (azimuth: number, front: number): number => Math.sin(((azimuth - front - 180) * Math.PI) / 180);

function termsOf(record: StemRecord, finished: number, roots: readonly RootSeen[]): Front['terms'] {
  const { front, parts } = record;
  const shoots = parts.filter((p) => isShoot(p) && p.kind !== 'sacrifice' && p.height < finished);
  const low = shoots.filter((p) => p.height < LOW * finished);
  const off = (p: StemPart) => sideBetween(p.azimuth, front);
  const all = shoots.reduce((n, p) => n + weight(p), 0);
  const lean = all === 0 ? 0 : shoots.reduce((n, p) => n + weight(p) * aside(p.azimuth, front), 0) / all;
  const [from, to] = SIDE;
  const strength = roots.reduce((n, r) => n + r.diameter ** 2, 0);
  const share = (pick: (r: RootSeen) => boolean) =>
    strength === 0 ? 0 : roots.filter(pick).reduce((n, r) => n + r.diameter ** 2, 0) / strength;
  const stubs = parts.filter((p) => p.kind === 'stub' && off(p) < SEEN);
  return [
    {
      label: 'branches at the viewer low down',
      points: -WORTH.viewer * shoots.filter((p) => atViewer(p, record, finished)).length,
    },
    {
      label: 'a low branch to the side',
      points: low.some((p) => off(p) >= from && off(p) <= to) ? WORTH.side : 0,
    },
    { label: 'a branch behind', points: low.some((p) => off(p) > to) ? WORTH.back : 0 },
    { label: 'weight to one side', points: -WORTH.balance * Math.abs(lean) },
    {
      label: 'strong roots to both sides',
      points:
        2 *
        WORTH.roots *
        Math.min(
          share((r) => aside(r.azimuth, front) > 0.6),
          share((r) => aside(r.azimuth, front) < -0.6),
        ),
    },
    {
      label: 'a root straight at the viewer',
      points: -WORTH.rootAtViewer * share((r) => sideBetween(r.azimuth, front) <= AT_VIEWER.value),
    },
    {
      label: 'bare of roots towards the viewer',
      points: strength > 0 && share((r) => sideBetween(r.azimuth, front) <= BARE) === 0 ? -WORTH.bare : 0,
    },
    {
      label: 'stubs that are seen',
      points: -WORTH.stub * stubs.reduce((n, p) => n + Math.min(1, (2 * p.diameter) / record.base), 0),
    },
  ];
}

/** One front looked at. */
export function frontAt(
  record: StemRecord,
  front: number,
  finished: number,
  roots: readonly RootSeen[],
): Front {
  const terms = termsOf({ ...record, front }, finished, roots);
  return {
    front,
    points: terms.reduce((n, t) => n + t.points, 0),
    terms: terms.filter((t) => Math.abs(t.points) > 0.05),
  };
}

/** Fronts compared all round, by branches and roots together: the best few, apart from each other. */
export function compareFronts(
  record: StemRecord,
  finished: number,
  roots: readonly RootSeen[],
  most = 3,
): Front[] {
  const all = Array.from({ length: 360 / STEP }, (_, i) =>
    frontAt(record, i * STEP, finished, roots),
  ).toSorted((a, b) => b.points - a.points || a.front - b.front);
  const best: Front[] = [];
  for (const f of all)
    if (best.length < most && best.every((b) => sideBetween(b.front, f.front) >= APART)) best.push(f);
  return best;
}
