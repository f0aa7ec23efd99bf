import type {
  AskLayers,
  DatedDecision,
  Layer,
  LayerInput,
  LayerPlan,
  ParentLayers,
} from '@gonimos/contract/layers';
import { toDay, toIso } from '@gonimos/core/calendar';
import { groupBy } from '@gonimos/core/group';
import {
  ballOf,
  crownTaken,
  cutFor,
  decideLayer,
  designFaults,
  doubleCutOff,
  expectedFull,
  layerState,
  marginCalendar,
  potFor,
  severingOrder,
  verdictText,
  type LayerHow,
  type LayerMargin,
  type LayerQuestion,
  type LayerSchool,
  type LayerState,
  type NeverFills,
  type PlannedLayer,
} from '@gonimos/core/layers';
import { chosen, type Choices } from '@gonimos/core/schools';
import type { SeasonBook } from '@gonimos/core/season';
import { taxon, type Ease } from '@gonimos/core/taxa';
import { caliperBefore } from '@gonimos/core/trunk';
import { readFacts } from '../facts/facts.ts';
import { readGround } from '../season/ground.ts';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { eventsOf, layersOf, type LayerRow } from './store.ts';

const marginOf = (m: LayerMargin | NeverFills) =>
  m.kind === 'margin' ? { p10: m.p10, p50: m.p50, share: m.share } : null;

/** Weeks of the season shown in the calendar of safe dates. */
const CALENDAR_DAYS = 150;
const CALENDAR_FROM = 110;
const WEEK = 7;

function decided(book: SeasonBook, asked: LayerQuestion): DatedDecision {
  const d = decideLayer(book, asked);
  return {
    verdict: d.verdict,
    fill: spread(d.fill),
    overdue: d.overdue,
    opening: toIso(d.opening),
    margin: marginOf(d.margin),
    cutOff: d.cutOff === null ? null : toIso(d.cutOff),
    text: verdictText(d),
  };
}

const spread = (f: ReturnType<typeof decideLayer>['fill']): DatedDecision['fill'] =>
  f.kind === 'days' ? { p10: toIso(f.p10), p50: toIso(f.p50), p90: toIso(f.p90) } : null;

/** What is decided of a layer that has been ringed, on the day it is or was to be decided; null where nothing is. */
function decisionOn(
  l: LayerRow,
  s: LayerState,
  at: { book: SeasonBook; ease: Ease; today: string; schools: Choices },
) {
  const on = decidingDay(s, at.today);
  if (on === null || s.ringedOn === null) return null;
  const { option } = chosen('layer', { cohort: l.schools, nursery: at.schools });
  const d = decided(at.book, {
    began: toDay(s.ringedOn),
    today: toDay(on),
    full: s.stage === 'full' || s.openedOn !== null || s.severedOn !== null,
    seen: s.lastLookOn === null ? null : toDay(s.lastLookOn),
    ease: at.ease,
    // what was opened was decided by its dates
    school: s.openedOn ? 'by-date' : (option as LayerSchool),
  });
  if (s.stage !== 'second') return d;
  const second = expectedFull(at.book, {
    from: toDay(s.openedOn!),
    seen: s.lastLookOn !== null && s.lastLookOn > s.openedOn! ? toDay(s.lastLookOn) : null,
    today: toDay(at.today),
    which: 'second',
    ease: at.ease,
  });
  return { ...d, fill: spread(second.fill), overdue: second.overdue };
}

/** The day a decision is about: today while it is still to be made, else the day it was made. */
function decidingDay(s: LayerState, today: string): string | null {
  if (s.stage === 'failed' || s.ringedOn === null) return null;
  if (s.openedOn) return s.openedOn;
  if (s.severedOn) return s.lastFind === 'full' ? (s.lastLookOn ?? s.severedOn) : s.severedOn;
  return today;
}

/** What a parent is: one plant, its base diameter, its place. */
export async function readParent(sql: Sql, id: string) {
  const c = await sql('cohort').where({ id }).first('code', 'taxonId', 'placeId', 'rings');
  if (!c) throw notFound('cohort');
  const [facts] = await readFacts(sql, [id]);
  const season = Number(todayAt(await readNursery(sql)).slice(0, 4));
  const base = facts.sizes.findLast((s) => s.caliper !== null)?.caliper ?? caliperBefore(c.rings, season);
  return { id, code: c.code, taxonId: c.taxonId, placeId: c.placeId, base };
}

const plannedOf = (l: LayerRow | (LayerInput & { code: string })): PlannedLayer => ({
  name: l.code,
  stem: l.stem,
  height: l.height,
  diameter: l.diameter,
  branches: l.branches,
  keeps: l.keeps,
});

/** Stages in which a layer still draws on its parent. */
const HANGING: ReadonlySet<LayerState['stage']> = new Set(['rooting', 'full', 'second']);

const eventsByLayer = async (sql: Sql, rows: readonly LayerRow[]) =>
  groupBy(
    await eventsOf(
      sql,
      rows.map((l) => l.cohortId),
    ),
    (e) => e.cohortId,
  );
async function statesOf(sql: Sql, rows: readonly LayerRow[]): Promise<(l: LayerRow) => LayerState> {
  const events = await eventsByLayer(sql, rows);
  return (l) => layerState(events.get(l.cohortId) ?? []);
}

export async function readParentLayers(sql: Sql, parentId: string): Promise<ParentLayers> {
  const { placeId, ...parent } = await readParent(sql, parentId);
  const { books, today, schools } = await readGround(sql);
  const book = books.get(placeId)!;
  const ease = taxon(parent.taxonId).layering;
  const rows = await layersOf(sql, parentId);
  const events = await eventsByLayer(sql, rows);
  const layers = rows.map((row): Layer => {
    const { parentId: _, schools: __, ...l } = row;
    const own = events.get(l.cohortId) ?? [];
    const state = layerState(own);
    const decidedOn = decidingDay(state, today);
    const pot = potFor(ballOf(l.diameter, l.how));
    return {
      ...l,
      state,
      events: own.map(({ cohortId: ___, ...e }) => e),
      cut: cutFor(l.diameter, l.how),
      decision: decisionOn(row, state, { book, ease, today, schools }),
      decidedOn,
      pot: pot && { id: pot.id, name: pot.name },
    };
  });
  const hanging = rows.filter((_, i) => HANGING.has(layers[i].state.stage));
  const span = book.span(book.seasonOf(toDay(today)));
  const cutOff = doubleCutOff(book, span.from + 60, span.to, ease);
  return {
    parent,
    layers,
    placeId,
    faults: designFaults(parent.base, hanging.map(plannedOf)),
    crownTaken: crownTaken(parent.base, hanging.map(plannedOf)),
    calendar: marginCalendar(
      book,
      span.from + CALENDAR_FROM,
      span.from + CALENDAR_FROM + CALENDAR_DAYS,
      WEEK,
      ease,
    ).map((x) => ({ on: toIso(x.day), margin: marginOf(x.margin) })),
    cutOff: cutOff === null ? null : toIso(cutOff),
  };
}

/** What to cut for layers not made yet, what is wrong with them, and what to expect. */
export async function planLayers(sql: Sql, parentId: string, ask: AskLayers): Promise<LayerPlan> {
  const parent = await readParent(sql, parentId);
  const { books } = await readGround(sql);
  const book = books.get(parent.placeId)!;
  const there = await layersOf(sql, parentId);
  const state = await statesOf(sql, there);
  const hanging = there.filter((l) => HANGING.has(state(l).stage));
  const cut = there.filter((l) => state(l).stage === 'severed');
  const all = [...hanging.map(plannedOf), ...ask.layers.map(plannedOf)];
  return {
    cuts: severingOrder(ask.layers).map((l) => ({
      code: l.code,
      ...cutFor(l.diameter, l.how as LayerHow),
      pot: potFor(ballOf(l.diameter, l.how as LayerHow))?.name ?? null,
      decision: decided(book, {
        began: toDay(ask.on),
        today: toDay(ask.on),
        full: false,
        ease: taxon(parent.taxonId).layering,
      }),
    })),
    faults: [
      ...ask.layers.flatMap((l) => {
        const below = cut.find((c) => c.stem === l.stem && c.height <= l.height);
        return below
          ? [{ layer: l.code, text: `${l.stem} was cut at ${below.height} mm: nothing stands there` }]
          : [];
      }),
      ...(ask.layers.length === 0 ? [] : designFaults(parent.base, all)),
    ],
    crownTaken: crownTaken(parent.base, all),
  };
}
