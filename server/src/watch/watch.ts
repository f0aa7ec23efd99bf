import type { Round } from '@gonimos/contract/round';
import type { Sql } from '../db/index.ts';

export type WatchLine = Round['watch'][number];

/** What a subject wants an eye kept on, as of today. */
export type Watch = (sql: Sql, today: string) => Promise<WatchLine[]>;

const MOST_WATCHED = 30;

/** What is no work but wants an eye, over all subjects, soonest first. */
export async function watchList(watches: readonly Watch[], sql: Sql, today: string): Promise<WatchLine[]> {
  const lines: WatchLine[] = [];
  for (const watch of watches) lines.push(...(await watch(sql, today)));
  return lines.sort((a, b) => (a.when < b.when ? -1 : 1)).slice(0, MOST_WATCHED);
}
