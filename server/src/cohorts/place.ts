import type { Cohort } from '@gonimos/contract/cohorts';
import { toDay, toIso } from '@gonimos/core/calendar';
import { operationsThat } from '@gonimos/core/operations';
import { exposureBetween, safeFrom } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';
import { Refusal } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';

/** Days before a move in which hardening off counts. */
const HARDENED_FOR = 45;

/** Cohorts stand at a place from a day on; guests in their pots go with them. */
export async function stand(sql: Sql, id: string, placeId: string, since: string): Promise<string[]> {
  const moved = { placeId: placeId, placeSince: since };
  await sql('cohort').where({ id }).update(moved);
  return (await sql('cohort').where({ hostId: id }).update(moved).returning('id')).map(
    (g: { id: string }) => g.id,
  );
}

/** The exposure rule for a move between places: refused with its reason, unless the grower gives one. */
export async function mayStandThere(sql: Sql, c: Cohort, to: string, anyway: string): Promise<void> {
  if (c.quarantine)
    throw new Refusal(
      'refused-by-a-rule',
      `Held in quarantine since ${c.quarantine.since} (${c.quarantine.found}): release it first.`,
      {
        errors: [{ field: 'placeId', reason: 'is refused by the rule ‘quarantine’' }],
      },
    );
  if (anyway.trim()) return;
  const today = todayAt(await readNursery(sql));
  const books = await seasonBooks(sql);
  const here = books.get(c.placeId)!;
  const there = books.get(to)!;
  const hardened: { id: string } | undefined = await sql('standing_record as r')
    .join('course_step as s', (on) => on.on('s.cohortId', 'r.cohortId').andOn('s.key', 'r.stepKey'))
    .where({ 'r.cohortId': c.id })
    .whereIn(
      's.operation',
      operationsThat((o) => o.hardens === true),
    )
    .whereRaw('r.on_date > ?::date - ?::int', [today, HARDENED_FOR])
    .first('r.id');
  const { hardyTo, name } = taxon(c.taxonId);
  const now = exposureBetween(here, there, toDay(today), hardyTo.value, Boolean(hardened));
  if (now.safe) return;
  const free = safeFrom(here, there, toDay(today) + 1, hardyTo.value, Boolean(hardened));
  const why =
    now.low < hardyTo.value
      ? `${name} bears ${hardyTo.value} °C`
      : `${Math.round(now.fall)} °C colder than where it stands`;
  throw new Refusal(
    'refused-by-a-rule',
    `The rule ‘exposure’ refuses: nights there may reach ${Math.round(now.low)} °C, ${why}${hardened ? '' : ', not hardened off'}; safe ${free === null ? 'on no day within ten months' : `from ${toIso(free)}`}.`,
    { errors: [{ field: 'placeId', reason: 'is refused by the rule ‘exposure’' }] },
  );
}
