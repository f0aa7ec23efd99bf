import { TURNS } from '../../data/root-values.ts';
import type { Fitting } from '../operations/index.ts';
import { compassWord, type RootPlan } from './plan.ts';
import type { RootRecord } from './record.ts';
import type { Remedy, RemedyKind } from './remedies.ts';

/** Something a plan of cuts leaves on the plant, with what is written of it. */
export interface Hold {
  what: Fitting;
  note: string;
}

const HELPS: Partial<Record<RemedyKind, Fitting>> = { moss: 'moss', tourniquet: 'tourniquet' };

/** What stays on the roots after the work: pins and guys one by one, a board for all it holds, moss, a tourniquet. */
export function holdsOf(record: RootRecord, plan: RootPlan, given: readonly Remedy[]): Hold[] {
  const held = plan.choices.flatMap((c) => {
    const holds = TURNS.find((t) => t.by === c.by)?.holds;
    return holds ? [{ what: holds, root: record.roots[c.root] }] : [];
  });
  const boarded = held.filter((h) => h.what === 'board').map((h) => h.root.id);
  return [
    ...held
      .filter((h) => h.what !== 'board')
      .map(({ what, root }) => ({ what, note: `root ${root.id}, ${compassWord(root.azimuth)}` })),
    ...(boarded.length > 0 ? [{ what: 'board' as const, note: `under ${boarded.join(', ')}` }] : []),
    ...given.flatMap((r) => {
      const what = HELPS[r.kind];
      if (!what) return [];
      return [{ what, note: r.azimuth === null ? 'all around' : compassWord(r.azimuth) }];
    }),
  ];
}
