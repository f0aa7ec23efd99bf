import { randomUUID } from 'node:crypto';
import { workOn } from '@gonimos/contract/records';
import type { NewProtection, Protection, SeedLot, Sowing } from '@gonimos/contract/seed';
import { addDays, toDay, toIso } from '@gonimos/core/calendar';
import { groupBy } from '@gonimos/core/group';
import { standing } from '@gonimos/core/ledger';
import { PROGRAMMES, suits } from '@gonimos/core/programmes';
import type { SeasonBook } from '@gonimos/core/season';
import { degreeDays } from '@gonimos/core/season';
import { animalRisk, emergenceCurve, growsFrom, seedNeeds, SOWN_WITHIN, tooOld } from '@gonimos/core/seed';
import { wilson } from '@gonimos/core/stats';
import { operationsThat } from '@gonimos/core/operations';
import { taxon } from '@gonimos/core/taxa';
import { chilledOf } from './facts.ts';
import { readGround } from '../season/ground.ts';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { readEntries } from '../ledger/store.ts';
import { recordWork } from '../records/service.ts';
import type { Writing } from '../write/types.ts';
import { readStartGround, timesOf, type StartGround } from '../starts/answer.ts';
import { coldOn, readEaten, readLotRows, readProtections, readSeedEvents, readSownOf } from './store.ts';

/** Emergence is counted in warmth above this, °C. */
const WARMTH_BASE = 5;

/** When seed of a kind is next sown at a place, and what it wants before. */
function sowingOf(taxonId: string, placeId: string, ground: StartGround) {
  const p = PROGRAMMES.find((x) => x.method === 'seed' && suits(x.id, taxon(taxonId)));
  if (!p) return null;
  const want = { taxonId, placeId, stage: 'showing' as const, byYear: 2999, wanted: 1 };
  const times = timesOf(p, want, ground);
  const next = times.find((t) => t.late === 0) ?? times[0];
  return next ? { ...next, missed: times[0].late, windows: times } : null;
}

/** What is left to do for a lot that is in treatment already. */
function underTreatment(
  events: SeedLot['events'],
  taxonId: string,
  windows: readonly { opens: string; closes: string }[],
): SeedLot['phases'] {
  const needs = seedNeeds(taxon(taxonId));
  // a part taken out leaves the rest where it is
  const last = events.findLast(
    (e) => e.kind === 'to warm' || e.kind === 'to cold' || (e.kind === 'out' && e.seeds === null),
  );
  if (needs.kind !== 'stratified' || !last || last.kind === 'out') return [];
  const warm = last.kind === 'to warm' ? (needs.warm?.value ?? 0) : 0;
  const cold = addDays(last.on, warm);
  const out = addDays(cold, needs.cold.value);
  // seed out of its cold waits for the window it comes out in, or the next
  const sow = windows.find((w) => w.closes >= addDays(out, SOWN_WITHIN / 2));
  const from = sow && sow.opens > out ? sow.opens : out;
  return [
    ...(warm > 0 ? [{ what: 'warm', from: last.on, to: cold }] : []),
    { what: 'cold', from: cold, to: out },
    { what: 'sow', from, to: sow?.closes ?? addDays(out, SOWN_WITHIN) },
  ];
}

export async function readLots(sql: Sql): Promise<SeedLot[]> {
  const ground = await readStartGround(sql);
  const placeId = [...ground.books.keys()][0];
  const rows = await readLotRows(sql);
  const events = await readSeedEvents(sql);
  const sown = await readSownOf(sql);
  const eventsOf = groupBy(events, (e) => e.lotId);
  const sownOf = groupBy(sown, (s) => s.lotId);
  const sowing = new Map(
    [...new Set(rows.map((l) => l.taxonId))].map((t) => [t, sowingOf(t, placeId, ground)]),
  );
  return rows.map((l) => {
    const own = (eventsOf.get(l.id) ?? []).map(({ lotId: _, ...e }) => e);
    const used = (sownOf.get(l.id) ?? []).map((s) => ({
      id: s.id,
      code: s.code,
      count: s.count,
      // a sowing that is not all told says nothing of the lot yet
      up: s.pending > 0 ? null : wilson(s.emerged, Math.max(s.count, s.emerged)),
    }));
    const test = own.findLast((e) => e.kind === 'test');
    const gone = own.reduce((n, e) => n + (e.tested ?? (e.kind === 'thrown away' ? (e.seeds ?? 0) : 0)), 0);
    const rest = l.seeds - gone - used.reduce((n, s) => n + s.count, 0);
    const next = sowing.get(l.taxonId) ?? null;
    const treated = underTreatment(own, l.taxonId, next?.windows ?? []);
    return {
      ...l,
      left: Math.max(0, rest),
      over: Math.max(0, -rest),
      events: own,
      viability: test ? { ...wilson(test.sound!, test.tested!)!, on: test.on } : null,
      sown: used,
      needs: seedNeeds(taxon(l.taxonId)).kind,
      ripens: taxon(l.taxonId).sown ?? null,
      tooOld: tooOld(taxon(l.taxonId), toDay(l.harvestedFrom), toDay(ground.today)),
      keeps: taxon(l.taxonId).keeps.value,
      phases: treated.length > 0 ? treated : (next?.phases ?? []),
      late: treated.length > 0 ? 0 : (next?.missed ?? 0),
    };
  });
}

/** Degree days of the place's own record from a day on to another. */
function warmthBetween(book: SeasonBook, from: number, to: number): number {
  const run = book.years(book.seasonOf(from))[0];
  let sum = 0;
  for (let d = from + 1; d <= to; d++) {
    const i = d - run.from;
    if (i >= 0 && i < run.tmin.length) sum += degreeDays(run.tmin[i], run.tmax[i], WARMTH_BASE);
  }
  return sum;
}

interface Sown {
  id: string;
  taxonId: string;
  placeId: string;
  startedFrom: string;
}

/** The day half are expected to be up; null where it never gets warm enough. */
function expectedUp(book: SeasonBook, c: Sown, coldOn: string | null): string | null {
  const sown = toDay(c.startedFrom);
  const kind = taxon(c.taxonId);
  const from = growsFrom(kind, book, sown, chilledOf(coldOn, c.startedFrom));
  const day = book.warmthBy(from, kind.emergence.value, WARMTH_BASE);
  return day === null ? null : toIso(day);
}

const coverSteps = (cover: 'on' | 'off') => operationsThat((o) => o.cover === cover);

/** The step by which a cover goes on or comes off, where the course has one. */
const nextStep = (sql: Sql, cohortId: string, cover: 'on' | 'off') =>
  sql('course_step')
    .where({ cohortId: cohortId, status: 'planned', ready: true })
    .whereIn('operation', coverSteps(cover))
    .orderBy('seq')
    .first<{ key: string; closes: string } | undefined>('key', 'closes');

/** A cover that went on is the guard the course asks for, where it asks for one. */
export async function guardDone(w: Writing, cohortId: string, p: NewProtection): Promise<void> {
  const step = await nextStep(w.trx, cohortId, 'on');
  if (!step) return;
  const id = randomUUID();
  const note = `${p.kind}, ${p.clearance} mm clear`;
  await recordWork(w, workOn({ id, cohortId, stepKey: step.key, on: p.from, note }));
  await w.trx('protection').where({ id: p.id }).update({ recordId: id });
}

/** The last cover that comes off is the end of the guard in the course. */
export async function guardOff(w: Writing, cohortId: string, coverId: string, on: string): Promise<void> {
  const left = await w.trx('protection').where({ cohortId: cohortId }).whereNull('ended').first('id');
  const step = left ? undefined : await nextStep(w.trx, cohortId, 'off');
  if (!step) return;
  const id = randomUUID();
  await recordWork(w, workOn({ id, cohortId, stepKey: step.key, on }));
  await w.trx('protection').where({ id: coverId }).update({ endedBy: id });
}

/** Everything one sowing has shown so far. */
export async function readSowing(sql: Sql, cohortId: string): Promise<Sowing> {
  const c = await sql('cohort')
    .where({ id: cohortId })
    .first<Sown & { lotId: string | null }>('id', 'taxonId', 'placeId', 'startedFrom', 'lotId');
  if (!c) throw notFound('cohort');
  const { books, today } = await readGround(sql);
  const book = books.get(c.placeId)!;
  const entries = standing(await readEntries(sql, cohortId));
  const started = entries.filter((e) => e.type === 'started').reduce((n, e) => n + e.count, 0);
  const curve = emergenceCurve(
    c.startedFrom,
    started,
    entries.filter((e) => e.type === 'emerged').map((e) => ({ on: e.on, count: e.count })),
  );
  const cold = c.lotId === null ? null : await coldOn(sql, c.lotId);
  const off = await nextStep(sql, cohortId, 'off');
  const lost = groupBy(
    entries.filter((e) => e.type === 'lost_before_emergence'),
    (e) => e.cause ?? 'unknown',
  );
  return {
    sown: started,
    sownOn: c.startedFrom,
    curve,
    warmthToHalf:
      curve.t50 === null
        ? null
        : warmthBetween(book, toDay(c.startedFrom), Math.round(toDay(c.startedFrom) + curve.t50)),
    expected: expectedUp(book, c, cold),
    protections: (await readProtections(sql, cohortId)).map((p): Protection => ({
      ...p,
      until: p.ended ? null : (off?.closes ?? null),
    })),
    risk: animalRisk(await readEaten(sql), c.placeId, today),
    lost: [...lost].map(([cause, of]) => ({ cause, count: of.reduce((n, e) => n + e.count, 0) })),
  };
}

/** Seed lying in the open that animals are likely to find, and covers that have to come off. */
export async function seedWatch(sql: Sql, today: string) {
  const lying: (Sown & { code: string })[] = await sql('cohort as c')
    .join('course_step as s', 's.cohortId', 'c.id')
    .where({ 'c.method': 'seed', 's.status': 'planned' })
    .whereIn(
      's.operation',
      operationsThat((o) => o.asks.includes('emergence')),
    )
    .where('c.pending', '>', 0)
    .select('c.id', 'c.code', 'c.taxonId', 'c.placeId', 'c.startedFrom');
  const covered: { id: string; code: string; kind: string; until: string | null }[] = await sql(
    'protection as p',
  )
    .join('cohort as c', 'c.id', 'p.cohortId')
    .leftJoin('course_step as s', (on) =>
      on
        .on('s.cohortId', 'c.id')
        .andOn(sql.raw("s.status = 'planned' AND s.ready"))
        .andOnIn('s.operation', coverSteps('off')),
    )
    .whereNull('p.ended')
    .where('c.growing', true)
    .groupBy('p.id', 'c.id', 'c.code', 'p.kind')
    .select('c.id', 'c.code', 'p.kind', { until: sql.raw('min(s.closes)') });
  if (lying.length + covered.length === 0) return [];
  const eaten = await readEaten(sql);
  const under = new Set(covered.map((p) => p.id));
  return [
    ...lying
      .filter((c) => !under.has(c.id))
      .flatMap((c) => {
        const risk = animalRisk(eaten, c.placeId, today);
        if (risk.level === 'low') return [];
        const why =
          risk.learnedOn !== null
            ? `animals found this place {${risk.learnedOn}}`
            : `${Math.round(risk.share * 100)} % was eaten here at this time of year`;
        return [{ text: `${c.code}: seed without a cover, ${why}`, when: today, cohortId: c.id }];
      }),
    ...covered.flatMap((p) => {
      const soon = p.until !== null && p.until <= addDays(today, 14);
      return soon ? [{ text: `${p.code}: ${p.kind} off by`, when: p.until!, cohortId: p.id }] : [];
    }),
  ];
}
