import type { CourseFacts } from '@gonimos/core/course';
import type { Choices } from '@gonimos/core/schools';
import type { SeasonBook } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';
import { keepOwnHeld } from '../own/store.ts';
import { readShorts } from '../stock/store.ts';
import { learnedByGroup } from '../survival/store.ts';
import { readWeeks } from '../year/store.ts';
import type { CohortFacts } from './facts.ts';

/** What every course is planned from, read once for however many cohorts. */
export interface Planning {
  today: string;
  books: Map<string, SeasonBook>;
  schools: Choices;
  learned: Map<string, NonNullable<CourseFacts['learned']>>;
  /** steps whose containers fall short, by cohort */
  shorts: Awaited<ReturnType<typeof readShorts>>;
}

export async function readPlanning(sql: Sql): Promise<Planning> {
  await keepOwnHeld(sql);
  const nursery = await readNursery(sql);
  const today = todayAt(nursery);
  return {
    today,
    books: await seasonBooks(sql),
    schools: nursery.schools,
    learned: await learnedByGroup(sql),
    shorts: await readShorts(sql, today),
  };
}

/** Adds to each cohort what the nursery knows: schools, learned tolerances, levelled weeks, short containers. */
export async function completeFacts(sql: Sql, facts: CohortFacts[], p: Planning): Promise<CohortFacts[]> {
  const ids = facts.map((f) => f.id);
  const weeks = await readWeeks(sql, ids);
  return facts.map((f) => {
    const steps = { ...f.steps };
    const open = (key: string) => (steps[key]?.status ?? 'planned') === 'planned';
    for (const w of weeks.get(f.id) ?? [])
      if (open(w.key)) steps[w.key] = { ...(steps[w.key] ?? { status: 'planned' }), week: w.week };
    for (const s of p.shorts.get(f.id) ?? [])
      if (open(s.key)) steps[s.key] = { ...(steps[s.key] ?? { status: 'planned' }), short: s.short };
    return {
      ...f,
      steps,
      schools: { ...f.schools, nursery: p.schools },
      learned: p.learned.get(taxon(f.taxonId).group) ?? null,
    };
  });
}
