import { toDay, toIso, type Day } from '../../calendar/index.ts';
import { AGAIN_SHARE } from '../../cuttings/index.ts';
import { layerWarmth } from '../../layers/index.ts';
import type { WindowSpec } from '../../operations/index.ts';
import type { Param } from '../../params/index.ts';
import { afterSeasons, type Plant } from '../../plant/index.ts';
import { growsFrom, meshOffBy, SEEDLING_GROWTH } from '../../seed/index.ts';
import type { Context, Figure, StepInHand } from '../types.ts';
import { USABLE, type NoWindow, type Window } from './types.ts';

type Spec = Exclude<WindowSpec, { kind: 'season' | 'cold' }>;
/** Clearance of a cover of which nothing is said, mm. */
export const CLEARANCE = 60;
/** A check is never asked for sooner after the work than this, days. */
const NOT_BEFORE = 14;

/** A window counted from the step before, and how it is told. */
interface Since {
  ctx: Context;
  hand: StepInHand;
  start: Day;
  /** the step before in words, with its day */
  since: string;
  open(due: Day, days: number, spread: [number, number], text: string, figures: Figure[]): Window;
}

function sinceStep(ctx: Context, hand: StepInHand, from: Day): Since {
  const before = hand.step.after[0];
  const anchor = before ? ctx.dates.get(before.step) : undefined;
  const start = anchor?.day ?? toDay(ctx.facts.startedOn);
  const what = anchor ? `‘${anchor.title}’` : 'the start';
  return {
    ctx,
    hand,
    start,
    since: `${what} ({${toIso(start)}})`,
    open(due, days, spread, text, figures) {
      const opens = Math.max(due, from);
      // aftercare keeps its days; a step put off keeps its length
      const closes = hand.step.chain ? Math.max(due + days, opens + USABLE) : opens + days;
      return {
        opens,
        closes,
        early: opens - spread[0],
        late: opens + spread[1],
        text,
        figures,
        missed: null,
        ...(before ? { sinceAnchor: { key: before.step, days: due - start } } : {}),
      };
    },
  };
}

const basisOf = (ctx: Context) => ctx.practice;

const countedFrom = (ctx: Context, start: Day): Day =>
  growsFrom(ctx.taxon, ctx.book, start, ctx.facts.chilled ?? null);

function warmthOf(ctx: Context, spec: Spec & { kind: 'warmth' }): Param {
  const whole = () => {
    if (spec.degreeDays === 'emergence') return ctx.taxon.emergence;
    if (spec.degreeDays === 'layer') return layerWarmth(ctx.taxon.layering).first;
    if (spec.degreeDays === 'layer again') return layerWarmth(ctx.taxon.layering).second;
    return { value: spec.degreeDays, unit: '', basis: basisOf(ctx) };
  };
  const sum = whole();
  return { ...sum, value: Math.round(sum.value * (spec.share ?? 1)) };
}

function byWarmth(at: Since, spec: Spec & { kind: 'warmth' }): Window | NoWindow {
  const { ctx, hand } = at;
  const wanted = warmthOf(ctx, spec);
  const whole = wanted.value;
  const base = spec.base ?? 5;
  const { again, ripe: seen } = hand.fact;
  if (seen) return at.open(toDay(seen.on), spec.days, [0, 0], `Seen {${seen.on}}: ${seen.found}`, []);
  const from = spec.degreeDays === 'emergence' ? countedFrom(ctx, at.start) : at.start;
  const ripe = ctx.book.warmthBy(from, whole, base);
  const half = Math.round(whole * AGAIN_SHARE.value);
  const later = again ? ctx.book.warmthBy(toDay(again.on), half, base) : null;
  if (ripe === null || (again && later === null))
    return { none: 'the place never gets warm enough', code: 'never-warm-enough' };
  // a look long before it was due does not bring it forward
  const waits = again && later !== null && later > ripe;
  const [day, sum] = waits ? [later, half] : [ripe, whole];
  const counted = waits
    ? `the look of {${again.on}}: ${again.found}`
    : from === at.start
      ? at.since
      : `midwinter {${toIso(from)}}, for seed that has to lie through a winter first`;
  return at.open(
    day,
    spec.days,
    [5, 7],
    `Once ${sum} degree days above ${base} °C have passed since ${counted}`,
    [
      {
        label: waits ? 'warmth wanted again' : 'warmth wanted',
        value: sum,
        unit: `°C·d above ${base} °C`,
        basis: waits ? AGAIN_SHARE.basis : wanted.basis,
      },
    ],
  );
}

/** The first day on which a part has swollen by a share of its thickness, or a season later when it never does. */
function swollenBy(at: Since, plant: Plant, spec: Spec & { kind: 'swelling' }): { day: Day; mm: number } {
  const { ctx } = at;
  const { again } = at.hand.fact;
  // what was looked at and left on has half of its room left, counted from that day
  const start = again ? toDay(again.on) : at.start;
  const probe = plant.clone();
  if (probe.day < start) probe.advance(start);
  const limit = spec.share * (again ? AGAIN_SHARE.value : 1) * probe.thickness(spec.part, start);
  const from = start + NOT_BEFORE;
  const latest = Math.max(afterSeasons(ctx.seasons, start, 1), from + 1);
  return { day: probe.swollenOn(spec.part, limit, start, from, latest) ?? latest, mm: limit };
}

function bySwelling(at: Since, plant: Plant, spec: Spec & { kind: 'swelling' }): Window {
  const { day, mm } = swollenBy(at, plant, spec);
  const { again } = at.hand.fact;
  const since = again ? `the look of {${again.on}}, when ${again.found}` : at.since;
  const opens = Math.max((again ? toDay(again.on) : at.start) + NOT_BEFORE, day - spec.days);
  const part = spec.part === 'stem' ? 'the stem' : 'the base';
  const limit = Math.round(mm * 10) / 10;
  return at.open(
    opens,
    Math.max(day, opens + USABLE) - opens,
    [7, 14],
    `Before ${part} has swollen by ${limit} mm since ${since}, expected {${toIso(day)}}`,
    [
      { label: `${part} may swell by`, value: limit, unit: 'mm', basis: 'computed' },
      {
        label: 'share of its thickness',
        value: Math.round(spec.share * 100),
        unit: '%',
        basis: 'common practice',
      },
    ],
  );
}

/** A cover over seed: from half up until tips reach it. */
function byTips(at: Since): Window | NoWindow {
  const { ctx } = at;
  const up = ctx.emergedOn ?? ctx.book.warmthBy(countedFrom(ctx, at.start), ctx.taxon.emergence.value, 5);
  if (up === null) return { none: 'the place never gets warm enough', code: 'never-warm-enough' };
  const cover = ctx.facts.cover;
  const clearance = cover?.clearance ?? CLEARANCE;
  const off = Math.max(up + USABLE, meshOffBy(up, clearance));
  return at.open(
    up,
    off - up,
    [5, 7],
    `Off before tips reach the cover: ${clearance} mm clear, half up by {${toIso(up)}}`,
    [
      {
        label: 'clearance',
        value: clearance,
        unit: 'mm',
        basis: cover ? 'your data' : 'common practice',
      },
      { label: 'seedlings grow', ...SEEDLING_GROWTH },
    ],
  );
}

/** A window counted from the step before it: in days, growth, warmth, swelling, or until tips reach a cover. */
export function sinceWindow(
  ctx: Context,
  hand: StepInHand,
  spec: Spec,
  from: Day,
  plant: Plant,
): Window | NoWindow {
  const at = sinceStep(ctx, hand, from);
  const practice = basisOf(ctx);
  switch (spec.kind) {
    case 'lag':
      return at.open(
        at.start + spec.opens,
        spec.closes - spec.opens,
        [0, 0],
        spec.closes <= 1
          ? `In one sitting with ${at.since}`
          : `${spec.opens} to ${spec.closes} days after ${at.since}`,
        [
          { label: 'opens after', value: spec.opens, unit: 'days', basis: practice },
          { label: 'closes after', value: spec.closes, unit: 'days', basis: practice },
        ],
      );
    case 'growth':
      return at.open(
        afterSeasons(ctx.seasons, at.start, spec.opens),
        spec.days,
        [10, 14],
        `Once ${spec.opens} of a growing season has passed since ${at.since}: growth decides`,
        [{ label: 'growth wanted', value: spec.opens, unit: 'growing seasons', basis: practice }],
      );
    case 'warmth':
      return byWarmth(at, spec);
    case 'swelling':
      return bySwelling(at, plant, spec);
    case 'tips':
      return byTips(at);
  }
}
