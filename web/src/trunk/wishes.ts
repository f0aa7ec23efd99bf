import { container } from '@gonimos/core/containers';
import { METHODS, rowWish, type LabStart, type RowSchools, type Wish } from '@gonimos/core/lab';
import { length } from '../common/units';

/** Most courses side by side. */
export const MOST = 4;
export const LETTERS = ['A', 'B', 'C', 'D'] as const;
export const COLOURS = ['var(--lab-a)', 'var(--lab-b)', 'var(--lab-c)', 'var(--lab-d)'] as const;

const plain = (name: string): Wish => ({
  name,
  pots: [],
  prune: 'none',
  sacrifice: null,
  chop: null,
  methods: [],
});

/** Courses to begin with: as it stands, a larger basket with a low sacrifice, the ground. */
export function firstWishes(start: LabStart, row: RowSchools): Wish[] {
  const { year } = start;
  return [
    { ...plain('As it stands'), prune: 'lightly' },
    {
      ...plain('Baskets, low sacrifice'),
      pots: [
        { year, container: 'basket-25' },
        { year: year + 3, container: 'basket-32' },
      ],
      sacrifice: { from: year, to: year + 6, height: 60, foliage: 0.5 },
    },
    rowWish(start, row),
  ];
}

/** A course in a few words. */
export function wishWords(w: Wish): string {
  const told = w.pots.map((p) => `${container(p.container).name} ${p.year}`);
  if (w.sacrifice) told.push(`sacrifice ${w.sacrifice.from} to ${w.sacrifice.to}`);
  if (w.chop) told.push(`chop ${w.chop.year} at ${length(w.chop.height)}`);
  if (w.carve) told.push('scars carved');
  if (w.prune !== 'none') told.push(`cut back ${w.prune} each winter`);
  for (const m of w.methods) told.push(METHODS.find((k) => k.id === m)!.name.toLowerCase());
  return told.length > 0 ? told.join('; ') : 'left to grow where it stands';
}

const key = (cohortId: string) => `trunk lab ${cohortId}`;

/** What was last looked at here; it outlives a reload. */
export function keptWishes(cohortId: string): Wish[] | null {
  try {
    const kept = JSON.parse(sessionStorage.getItem(key(cohortId)) ?? 'null') as Wish[] | null;
    return Array.isArray(kept) && kept.length > 0 ? kept : null;
  } catch {
    return null;
  }
}
export const keepWishes = (cohortId: string, wishes: readonly Wish[]): void =>
  sessionStorage.setItem(key(cohortId), JSON.stringify(wishes));
