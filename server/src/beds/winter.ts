import type { HardenLine, WinterPlan } from '@gonimos/contract/beds';
import {
  areaOf,
  footprintOf,
  lying,
  winterMoves,
  type Sown,
  type Tender,
  type WinterPlace,
} from '@gonimos/core/beds';
import { addDays } from '@gonimos/core/calendar';
import { operationsThat, workOf } from '@gonimos/core/operations';
import { frostClass } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';
import { seasonBooks } from '../season/books.ts';
import { readRoom } from './room.ts';

const YEAR = 365;
/** Kinds of work that take plants in, and out again by degrees. */
const IN = new Set(['bring-in']);
const OUT = new Set(['harden-off', 'go-dormant', 'take-out']);
const isIn = (operation: string) => IN.has(workOf(operation));
const isOut = (operation: string) => OUT.has(workOf(operation));

interface Row extends Sown {
  cohortId: string;
  code: string;
  taxonId: string;
  placeId: string;
  operation: string;
  title: string;
  opens: string;
  closes: string;
}

const readSteps = (sql: Sql, today: string): Promise<Row[]> =>
  sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where({ 's.status': 'planned', 'c.growing': true })
    .whereNull('c.hostId')
    .whereIn(
      's.operation',
      operationsThat(({ id }) => isIn(id) || isOut(id)),
    )
    .whereBetween('s.closes', [today, addDays(today, YEAR)])
    .orderBy(['s.closes', 'c.code'])
    .select({
      cohortId: 'c.id',
      code: 'c.code',
      taxonId: 'c.taxonId',
      placeId: 'c.placeId',
      container: 'c.container',
      firstContainer: 'c.firstContainer',
      live: 'c.live',
      pending: 'c.pending',
      operation: 's.operation',
      title: 's.title',
      opens: 's.opens',
      closes: 's.closes',
    });

/** Places with their coldest night, and the room that is free in the month of the first move. */
async function placesIn(sql: Sql, today: string, month: string): Promise<WinterPlace[]> {
  const rooms = await readRoom(sql, today);
  const books = await seasonBooks(sql);
  return rooms.map((r) => {
    const then = r.months.find((m) => m.month === month) ?? r.months[0];
    const area = r.length === null || r.width === null ? null : (r.length * r.width) / 1e6;
    const book = books.get(r.id)!;
    return {
      id: r.id,
      name: r.name,
      coldest: frostClass(book, Number(today.slice(0, 4))).coldest,
      free: area === null ? null : Math.max(0, area - then.taken),
    };
  });
}

/** Where what is tender goes before the cold, by which day; and what is hardened off or set out, and when. */
export async function readWinter(sql: Sql, today: string): Promise<WinterPlan> {
  const steps = await readSteps(sql, today);
  const into = steps.filter((s) => isIn(s.operation));
  const tender = into.map((s): Tender => {
    const { plants, seeds } = lying(s);
    return {
      cohortId: s.cohortId,
      code: s.code,
      placeId: s.placeId,
      bears: taxon(s.taxonId).hardyTo.value,
      by: s.closes,
      area: areaOf(footprintOf(s.container, plants + seeds, 0)),
    };
  });
  const places = into.length > 0 ? await placesIn(sql, today, into[0].closes.slice(0, 7)) : [];
  const out = steps
    .filter((s) => isOut(s.operation))
    .map(({ cohortId, code, title, opens, closes }): HardenLine => ({
      cohortId,
      code,
      title,
      opens,
      closes,
    }));
  return { moves: winterMoves(tender, places), out };
}
