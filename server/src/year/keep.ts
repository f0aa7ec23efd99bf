import type { KeepWeeks, PersonHours } from '@gonimos/contract/year';
import { conflict, notFound, wrongField } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering, touching } from '../write/write.ts';
import { mondayOf } from './service.ts';
import { writeWeeks } from './store.ts';

/** Keeps the weeks of a levelled year; locked steps stay. */
export async function keepLevelled({ trx }: Writing, plan: KeepWeeks): Promise<Written<{ kept: number }>> {
  const first = mondayOf(todayAt(await readNursery(trx)));
  const keys = plan.weeks.map((w) => `${w.cohortId} ${w.key}`);
  const twice = keys.findIndex((k, i) => keys.indexOf(k) < i);
  if (twice >= 0) throw wrongField(`weeks[${twice}].key`, 'is there twice');
  const early = plan.weeks.findIndex((w) => w.week < first);
  if (early >= 0) throw wrongField(`weeks[${early}].week`, 'has passed');
  const open = new Set(
    (
      await trx('course_step')
        .where('status', 'planned')
        .whereIn('cohortId', [...new Set(plan.weeks.map((w) => w.cohortId))])
        .select('cohortId', 'key')
    ).map((s: { cohortId: string; key: string }) => `${s.cohortId} ${s.key}`),
  );
  const locked = new Set(
    (await trx('year_week').where('locked', true).select('cohortId', 'key')).map(
      (s: { cohortId: string; key: string }) => `${s.cohortId} ${s.key}`,
    ),
  );
  // a step done or dropped since the plan was made is no longer asked for
  const rows = plan.weeks
    .filter((w) => open.has(`${w.cohortId} ${w.key}`) && !locked.has(`${w.cohortId} ${w.key}`))
    .map((w) => ({ cohortId: w.cohortId, key: w.key, week: w.week, later: w.later, locked: false }));
  await writeWeeks(trx, rows);
  const touched = [...new Set(rows.map((r) => r.cohortId))];
  return touching(touched, 'the year was levelled', { kept: rows.length });
}

/** Hours a week that a person gives, and whether they have practice. */
export async function giveHours(
  { trx }: Writing,
  personId: string,
  given: PersonHours,
): Promise<Written<{ ok: true }>> {
  const changed = await trx('person')
    .where({ id: personId, version: given.version })
    .update({ hours: given.hours, skilled: given.skilled, version: given.version + 1 });
  if (changed === 0) {
    const now = await trx('person').where({ id: personId }).first('version', 'hours', 'skilled');
    if (!now) throw notFound('person');
    throw conflict('This person was changed meanwhile.', now);
  }
  return answering({ ok: true as const });
}
