import type { BedRoom, FullBed, RoomCohort } from '@gonimos/contract/beds';
import { lying, monthsFrom, roomByMonth, type Lying, type Sown, type Standing } from '@gonimos/core/beds';
import { addDays } from '@gonimos/core/calendar';
import { groupBy } from '@gonimos/core/group';
import { caliperBefore, type RingRun } from '@gonimos/core/trunk';
import type { Sql } from '../db/index.ts';
import { listPlaces } from '../nursery/store.ts';
import { heldColumn, joinHeld } from '../visits/held.ts';

/** Months that are looked ahead. */
const AHEAD = 12;
const YEAR = 365;
/** Cohorts of one place that are drawn; the others are counted. */
const DRAWN = 200;
/** A bench that will be fuller than this is told on the round, within so many months. */
const FULL = 1.05;
const TOLD = 4;

interface Row extends Omit<RoomCohort, 'caliper'> {
  lies: Lying;
  placeId: string;
  rings: RingRun;
}

async function readCohorts(sql: Sql): Promise<Row[]> {
  const rows: (Omit<Row, 'held' | 'plants' | 'lies'> & Sown & { held: object | null })[] = await joinHeld(
    sql('cohort as c'),
  )
    .where('c.growing', true)
    // guests stand in the pots of others
    .whereNull('c.hostId')
    .orderBy('c.code')
    .select({
      id: 'c.id',
      code: 'c.code',
      taxonId: 'c.taxonId',
      container: 'c.container',
      placeId: 'c.placeId',
      rings: 'c.rings',
      live: 'c.live',
      pending: 'c.pending',
      firstContainer: 'c.firstContainer',
    })
    .select(heldColumn(sql));
  return rows.map(({ live, pending, firstContainer, held, ...r }) => {
    const lies = lying({ live, pending, firstContainer, container: r.container });
    return { ...r, lies, plants: lies.plants + lies.seeds, held: held !== null };
  });
}

/** Moves into other pots that are planned within the year. */
async function readMoves(sql: Sql, today: string): Promise<Map<string, { on: string; container: string }[]>> {
  const rows: { cohortId: string; on: string; container: string }[] = await sql('course_step as s')
    .where('s.status', 'planned')
    .whereNotNull('s.container')
    .whereBetween('s.target', [today, addDays(today, YEAR)])
    .orderBy('s.target')
    .select({ cohortId: 's.cohortId', on: 's.target', container: 's.container' });
  return groupBy(rows, (r) => r.cohortId);
}

/** Every place with what stands there to scale, and how full it is and will be. */
export async function readRoom(sql: Sql, today: string): Promise<BedRoom[]> {
  const places = await listPlaces(sql);
  const cohorts = await readCohorts(sql);
  const moves = await readMoves(sql, today);
  const year = Number(today.slice(0, 4));
  const caliper = (r: Row, at: number) => caliperBefore(r.rings, at);
  const standing = cohorts.map((c): Standing => ({
    placeId: c.placeId,
    container: c.container,
    plants: c.lies.plants,
    seeds: c.lies.seeds,
    caliper: { now: caliper(c, year), later: caliper(c, year + 1) },
    moves: moves.get(c.id) ?? [],
  }));
  const rooms = places.map(({ id, length, width }) => ({
    id,
    area: length === null || width === null ? null : (length * width) / 1e6,
  }));
  const full = roomByMonth(rooms, standing, monthsFrom(today, AHEAD));
  const byPlace = groupBy(cohorts, (c) => c.placeId);
  return places.map(({ id, name, kind, length, width }) => {
    const here = byPlace.get(id) ?? [];
    return {
      id,
      name,
      kind,
      length,
      width,
      months: full.get(id)!,
      cohorts: here.slice(0, DRAWN).map(({ placeId: _place, lies: _lies, rings, ...c }) => ({
        ...c,
        caliper: caliperBefore(rings, year),
      })),
      more: Math.max(0, here.length - DRAWN),
    };
  });
}

/** Benches that will hold more than they have room for, in the first month they do. */
export async function readFull(sql: Sql, today: string): Promise<FullBed[]> {
  return (await readRoom(sql, today)).flatMap(({ id, name, months }) => {
    const full = months.slice(0, TOLD).find((m) => (m.share ?? 0) > FULL);
    return full ? [{ id, name, month: full.month, share: full.share! }] : [];
  });
}
