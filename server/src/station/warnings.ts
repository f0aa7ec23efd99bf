import { toDay } from '@gonimos/core/calendar';
import { container } from '@gonimos/core/containers';
import { operations } from '@gonimos/core/operations';
import { warningsFor, type Exposed, type Warning } from '@gonimos/core/station';
import { taxon } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';
import { readSheltered } from '../shelter/store.ts';
import { seasonBooks } from '../season/books.ts';
import { readReadings } from './store.ts';

const FRESH_DAYS = 35;
const PER_TRAY: Record<string, number> = { 'cell-105': 105, 'cell-60': 60 };

/** "3 trays", "24 pots": what there is to carry. */
function piecesOf(id: string, plants: number): string {
  const kind = container(id);
  const trays = kind.shared ? Math.ceil(plants / 60) : PER_TRAY[id] ? Math.ceil(plants / PER_TRAY[id]) : 0;
  const [n, word] = trays > 0 ? [trays, 'tray'] : [plants, kind.wall === 'ground' ? 'plant' : 'pot'];
  return `${n} ${word}${n === 1 ? '' : 's'}`;
}

interface Row {
  id: string;
  code: string;
  taxonId: string;
  container: string;
  plants: number;
  placeId: string;
  placeName: string;
  guarded: string | null;
}

/** Frost by place with what to bring in, heat and wind, from the forecast of every place and the station's last reading. */
export async function readWarnings(sql: Sql, today: string): Promise<Warning[]> {
  const guards = operations().filter((o) => o.guard);
  const lately = sql('course_step as s')
    .where('s.status', 'done')
    .whereIn(
      's.operation',
      guards.map((o) => o.id),
    )
    .whereRaw('s.done_on > ?::date - ?::int', [today, FRESH_DAYS])
    .distinctOn('s.cohortId')
    .orderBy([{ column: 's.cohortId' }, { column: 's.doneOn', order: 'desc' }])
    .select('s.cohortId', 's.operation');
  const rows: Row[] = await sql('cohort as c')
    .join('place as p', 'p.id', 'c.placeId')
    .leftJoin(lately.as('g'), 'g.cohortId', 'c.id')
    .where('c.growing', true)
    .orderBy('c.code')
    .select({
      id: 'c.id',
      code: 'c.code',
      taxonId: 'c.taxonId',
      container: 'c.container',
      placeId: 'p.id',
      placeName: 'p.name',
      plants: sql.raw('CASE WHEN c.live > 0 THEN c.live ELSE c.pending END'),
      guarded: 'g.operation',
    });
  const books = await seasonBooks(sql);
  // what was carried in is out of the cold already
  const inside = new Set((await readSheltered(sql)).map((s) => s.cohortId));
  const out = rows.filter((r) => !inside.has(r.id));
  const exposed = out.map((r): Exposed => {
    const guard = guards.find((o) => o.id === r.guarded)?.guard?.value;
    const hardy = taxon(r.taxonId).hardyTo.value;
    const cut = guard !== undefined && guard > hardy;
    const fixed = container(r.container).wall === 'ground';
    return {
      id: r.id,
      code: r.code,
      placeName: r.placeName,
      fixed,
      book: books.get(r.placeId)!,
      // roots in the ground are far better off than in a pot
      bears: (cut ? guard : hardy) - (fixed ? 8 : 0),
      because: cut ? 'roots cut lately' : 'tender kind',
      plants: r.plants,
      pieces: piecesOf(r.container, r.plants),
    };
  });
  const first = books.values().next().value;
  const latest = (await readReadings(sql, today)).at(-1) ?? null;
  return first ? warningsFor(exposed, first.outside, toDay(today), latest) : [];
}
