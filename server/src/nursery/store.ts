import type { EditNursery, EditPlace, NewPlace, Nursery, Place } from '@gonimos/contract/nursery';
import type { Site } from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

export interface NurseryRow extends Omit<Nursery, 'today' | 'demo'> {
  demoToday: string | null;
  weatherSeed: number | null;
  plannedOn: string | null;
}

const COLUMNS = {
  id: 'id',
  name: 'name',
  latitude: 'latitude',
  longitude: 'longitude',
  elevation: 'elevation',
  timeZone: 'timeZone',
  tmin: 'tmin',
  tmax: 'tmax',
  spreadWinter: 'spreadWinter',
  spreadSummer: 'spreadSummer',
  wetFrom: 'wetFrom',
  demoToday: 'demoToday',
  weatherSeed: 'weatherSeed',
  plannedOn: 'plannedOn',
  schools: 'schools',
  stationUrl: 'stationUrl',
  version: 'version',
};

export const findNursery = (sql: Sql): Promise<NurseryRow | undefined> =>
  sql('nursery').first<NurseryRow>(COLUMNS);

export async function readNursery(sql: Sql): Promise<NurseryRow> {
  const row = await findNursery(sql);
  if (!row) throw notFound('nursery yet');
  return row;
}

/** The day it is at the nursery: the demo's own, or the one in its time zone. */
export const todayAt = (n: NurseryRow): string =>
  n.demoToday ?? new Intl.DateTimeFormat('sv-SE', { timeZone: n.timeZone }).format(new Date());

export const siteOf = (n: NurseryRow): Site => n;

const siteRow = (s: EditNursery | (Site & { name: string })) => ({
  name: s.name,
  latitude: s.latitude,
  longitude: s.longitude,
  elevation: s.elevation,
  timeZone: s.timeZone,
  tmin: s.tmin,
  tmax: s.tmax,
  spreadWinter: s.spreadWinter,
  spreadSummer: s.spreadSummer,
  wetFrom: s.wetFrom ?? null,
});

export async function insertNursery(
  sql: Sql,
  n: Site & { id: string; name: string; demoToday?: string; weatherSeed?: number },
): Promise<void> {
  await sql('nursery').insert({
    ...siteRow(n),
    id: n.id,
    demoToday: n.demoToday ?? null,
    weatherSeed: n.weatherSeed ?? null,
  });
}

export async function updateNursery(sql: Sql, edit: EditNursery): Promise<void> {
  const changed = await sql('nursery')
    .where({ version: edit.version })
    .update({
      ...siteRow(edit),
      stationUrl: edit.stationUrl || null,
      version: edit.version + 1,
      plannedOn: null,
    });
  if (changed === 0) throw conflict('The nursery was changed meanwhile.', await readNursery(sql));
}

export const setDemoToday = (sql: Sql, today: string): Promise<number> =>
  sql('nursery').update({ demoToday: today });
export const setPlannedOn = (sql: Sql, day: string): Promise<number> =>
  sql('nursery').update({ plannedOn: day });

const placeQuery = (sql: Sql) =>
  sql('place as p')
    .select('p.id', 'p.name', 'p.kind', 'p.night', 'p.day', 'p.light', 'p.length', 'p.width', 'p.version', {
      heatedTo: 'p.heatedTo',
    })
    .orderBy('p.sort');
const withCohorts = (sql: Sql) =>
  placeQuery(sql).select(
    sql.raw('(SELECT count(*) FROM cohort c WHERE c.place_id = p.id AND c.growing)::int AS cohorts'),
  );

export const listPlaces = (sql: Sql): Promise<Place[]> => withCohorts(sql);

/** What the season engine needs of every place, without counting what stands there. */
export const listClimates = (sql: Sql): Promise<Omit<Place, 'cohorts'>[]> => placeQuery(sql);

export async function readPlace(sql: Sql, id: string): Promise<Place> {
  const place = await withCohorts(sql).where('p.id', id).first<Place | undefined>();
  if (!place) throw notFound('place');
  return place;
}

const placeRow = (p: Omit<NewPlace, 'id'>) => ({
  name: p.name,
  kind: p.kind,
  night: p.night,
  day: p.day,
  heatedTo: p.heatedTo ?? null,
  light: p.light,
  length: p.length ?? null,
  width: p.width ?? null,
});

export const insertPlace = (sql: Sql, p: NewPlace): Promise<unknown> =>
  sql('place').insert({ id: p.id, ...placeRow(p) });

export async function updatePlace(sql: Sql, id: string, edit: EditPlace): Promise<void> {
  const changed = await sql('place')
    .where({ id, version: edit.version })
    .update({ ...placeRow(edit), version: edit.version + 1 });
  if (changed > 0) return;
  throw conflict('The place was changed meanwhile.', await readPlace(sql, id));
}
