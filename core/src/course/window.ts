import { toDay, toIso, type Day } from '../calendar/index.ts';
import { AGAIN_SHARE } from '../cuttings/index.ts';
import { windowFor, type Edge, type WindowSpec } from '../operations/index.ts';
import type { Marker, MarkerName } from '../season/markers.ts';
import { OBSERVATIONS } from '../season/observe.ts';
import { chosen } from '../schools/index.ts';
import { CHILL_NEED } from '../taxa/index.ts';
import { afterSeasons } from './growing.ts';
import { daysToHalf } from './rules/buds.ts';
import type { Context, Figure, StepInHand } from './types.ts';

export interface Window {
  opens: Day;
  closes: Day;
  early: Day;
  late: Day;
  text: string;
  figures: Figure[];
  /** days since the step it is counted from, where it is */
  sinceAnchor?: { key: string; days: number };
  /** a window of the same season kind that passed unused before this one */
  missed: { opens: Day; closes: Day } | null;
}
export interface NoWindow {
  none: string;
}

export const MARKER_WORDS: Record<MarkerName, string> = {
  midwinter: 'midwinter',
  'roots-active': 'roots at work',
  'bud-swell': 'bud swell',
  'bud-swell-late': 'bud swell',
  'bud-break': 'bud break',
  'bud-break-late': 'bud break',
  'candles-moving': 'candles moving',
  'last-frost': 'last frost',
  'warm-season': 'the warm season',
  'flush-hard': 'the first flush hardening',
  midsummer: 'midsummer',
  'first-frost': 'first frost',
  'roots-rest': 'roots at rest',
  'leaf-fall-done': 'leaf fall',
};

/** A window is no use with fewer days than this left in it. */
const USABLE = 4;
const HORIZON = 25;

const edgeText = ([marker, offset]: Edge) =>
  offset === 0
    ? `at ${MARKER_WORDS[marker]}`
    : `${Math.abs(offset)} days ${offset < 0 ? 'before' : 'after'} ${MARKER_WORDS[marker]}`;

const CANNELL = 'model in the form of Cannell & Smith 1983, constants fitted';

function markerFigures(ctx: Context, edge: Edge, m: Marker & { kind: 'days' }): Figure[] {
  const [marker, offset] = edge;
  const name = MARKER_WORDS[marker];
  const figures: Figure[] = [
    {
      label: `${name} expected`,
      value: toIso(m.p50),
      unit: '',
      basis: 'computed',
      ...(marker.startsWith('bud-swell') ? { source: CANNELL } : {}),
    },
    { label: 'one year in ten before', value: toIso(m.p10), unit: '', basis: 'computed' },
    { label: 'one year in ten after', value: toIso(m.p90), unit: '', basis: 'computed' },
  ];
  if (m.seen)
    figures.push({
      label: `${OBSERVATIONS[m.seen.as].name} seen`,
      value: toIso(m.seen.on),
      unit: '',
      basis: 'your data',
    });
  if (m.learned)
    figures.push({
      label: `this kind against the model, ${m.learned.from} year${m.learned.from === 1 ? '' : 's'} seen`,
      value: m.learned.days,
      unit: 'days',
      basis: 'your data',
    });
  if (offset !== 0)
    figures.push({
      label: `${offset < 0 ? 'before' : 'after'} ${name}`,
      value: Math.abs(offset),
      unit: 'days',
      basis: 'common practice',
    });
  const need = CHILL_NEED[ctx.taxon.phenology];
  if (m.chill && m.chill.p10 < need.value)
    figures.push({
      label: 'cold before bud swell, one year in ten has less',
      value: Math.round(m.chill.p10),
      unit: `of the ${need.value} ${need.unit} it wants`,
      basis: need.basis,
      ...(need.source ? { source: need.source } : {}),
    });
  return figures;
}

/** A tally with half the cohort ready opens work that waits for the buds, whatever the forecast said. */
function openedByBuds(ctx: Context, budsDecide: boolean | undefined, opens: Day, closes: Day): Day | null {
  const tally = ctx.facts.buds;
  if (!budsDecide || !tally || tally.looked === 0) return null;
  const ready = toDay(tally.on) + Math.min(0, daysToHalf(tally.looked, tally.ready));
  const half = tally.ready * 2 >= tally.looked;
  return half && ready < opens && opens - ready < 60 && closes > ready ? ready : null;
}

/** How the day that a window hangs on is known. */
function howKnown(m: Marker & { kind: 'days' }): string {
  if (m.seen) return `{${toIso(m.p50)}}, from ${OBSERVATIONS[m.seen.as].name} seen {${toIso(m.seen.on)}}`;
  if (m.near) return `{${toIso(m.p50)}}, near what was seen on other kinds here`;
  if (m.p10 === m.p90) return `{${toIso(m.p50)}}`;
  return `{${toIso(m.p50)}}, between {${toIso(m.p10)}} and {${toIso(m.p90)}} in eight years of ten`;
}

function seasonWindow(
  ctx: Context,
  spec: WindowSpec & { kind: 'season' },
  from: Day,
  least: number,
  budsDecide?: boolean,
): Window | NoWindow {
  const { taxon, today } = ctx;
  const book = spec.outdoors ? ctx.book.outside : ctx.book;
  let missed: Window['missed'] = null;
  let why = 'no such season here';
  const first = book.seasonOf(from) - 1;
  for (let y = first; y < first + HORIZON; y++) {
    const a = book.marker(spec.opens[0], y, taxon);
    let b = book.marker(spec.closes[0], y, taxon);
    // winter work opens in one season and closes in the next
    if (a.kind === 'days' && b.kind === 'days' && b.p50 + spec.closes[1] < a.p50 + spec.opens[1])
      b = book.marker(spec.closes[0], y + 1, taxon);
    if (a.kind === 'no-marker' || b.kind === 'no-marker') {
      const gone = a.kind === 'no-marker' ? a : (b as Marker & { kind: 'no-marker' });
      why = gone.why;
      continue;
    }
    const closes = b.p50 + spec.closes[1];
    const forecast = a.p50 + spec.opens[1];
    const ready = openedByBuds(ctx, budsDecide, forecast, closes);
    const opens = ready ?? forecast;
    const start = Math.max(opens, from);
    if (closes - start < least) continue;
    if (closes < today) {
      missed = { opens: start, closes };
      continue;
    }
    const short =
      a.chill && a.chill.p10 < CHILL_NEED[taxon.phenology].value
        ? `; the winter here is too mild for ${taxon.name} in more than one year in ten, so buds wait for more warmth`
        : '';
    return {
      opens: start,
      closes,
      early: Math.max(a.p10 + spec.opens[1], from),
      late: Math.max(a.p90 + spec.opens[1], from),
      text:
        (ready === null
          ? `Opens ${edgeText(spec.opens)} (${howKnown(a)})`
          : `Open since {${toIso(ready)}}: half the buds were ready at the tally`) +
        `, closes ${edgeText(spec.closes)} ({${toIso(b.p50)}})${short}`,
      figures: [
        ...markerFigures(ctx, spec.opens, a),
        ...(spec.closes[0] === spec.opens[0] ? [] : markerFigures(ctx, spec.closes, b)),
      ],
      missed,
    };
  }
  return { none: why };
}

function coldWindow(
  ctx: Context,
  spec: WindowSpec & { kind: 'cold' },
  from: Day,
  least: number,
): Window | NoWindow {
  const air = ctx.book.outside;
  const { value, unit, basis } = ctx.taxon.hardyTo;
  const first = air.seasonOf(from) - 1;
  for (let y = first; y < first + HORIZON; y++) {
    const night = air.coldBelow(value, y)[spec.side];
    if (!night) continue;
    const [opens, closes] = [night.p02 + spec.opens, night.p02 + spec.closes];
    const start = Math.max(opens, from);
    if (closes - start < least || closes < ctx.today) continue;
    const which = spec.side === 'first' ? 'First' : 'Last';
    return {
      ...{ opens: start, closes, early: start, late: start, missed: null },
      text: `${which} night of ${value} °C or colder outdoors: {${toIso(night.p50)}} in half the years, {${toIso(night.p02)}} in one of fifty`,
      figures: [
        { label: 'coldest borne', value, unit, basis },
        { label: 'one year in fifty', value: toIso(night.p02), unit: '', basis: 'computed' },
        { label: 'half the years', value: toIso(night.p50), unit: '', basis: 'computed' },
      ],
    };
  }
  return { none: `no night of ${value} °C comes to this site` };
}

/** The window an operation has for this cohort: by step, by school, by kind. */
function specOf(ctx: Context, hand: StepInHand): WindowSpec | null {
  if (hand.step.window) return hand.step.window;
  const usual = windowFor(hand.op, ctx.taxon.group);
  const byWarmth = ctx.taxon.phenology === 'warm-season' || ctx.taxon.group.startsWith('tropical');
  if (!hand.op.schoolWindows || byWarmth) return usual;
  const { question, options } = hand.op.schoolWindows;
  return options[chosen(question, ctx.levels).option] ?? usual;
}

/** The first window of a step with at least so many days left on or after `from`. */
export function findWindow(ctx: Context, hand: StepInHand, from: Day, least = USABLE): Window | NoWindow {
  const spec = specOf(ctx, hand);
  if (!spec) return { none: `not done on ${ctx.tolerance.name}` };
  if (spec.kind === 'season') return seasonWindow(ctx, spec, from, least, hand.op.budsDecide);
  if (spec.kind === 'cold') return coldWindow(ctx, spec, from, least);

  const before = hand.step.after[0];
  const anchor = before ? ctx.dates.get(before.step) : undefined;
  const start = anchor?.day ?? toDay(ctx.facts.startedOn);
  const what = anchor ? `‘${anchor.title}’` : 'the start';
  const open = (
    due: Day,
    days: number,
    spread: [number, number],
    text: string,
    figures: Figure[],
  ): Window => {
    const opens = Math.max(due, from);
    // aftercare keeps its days; a step put off keeps its length
    const closes = hand.step.chain ? Math.max(due + days, opens + USABLE) : opens + days;
    return {
      ...{ opens, closes, early: opens - spread[0], late: opens + spread[1], text, figures, missed: null },
      ...(before ? { sinceAnchor: { key: before.step, days: due - start } } : {}),
    };
  };
  const since = `${what} ({${toIso(start)}})`;
  const practice = 'common practice' as const;
  if (spec.kind === 'lag')
    return open(
      start + spec.opens,
      spec.closes - spec.opens,
      [0, 0],
      `${spec.opens} to ${spec.closes} days after ${since}`,
      [
        { label: 'opens after', value: spec.opens, unit: 'days', basis: practice },
        { label: 'closes after', value: spec.closes, unit: 'days', basis: practice },
      ],
    );
  if (spec.kind === 'growth')
    return open(
      afterSeasons(ctx, start, spec.opens),
      spec.days,
      [10, 14],
      `Once ${spec.opens} of a growing season has passed since ${since}: growth decides`,
      [{ label: 'growth wanted', value: spec.opens, unit: 'growing seasons', basis: practice }],
    );
  const warmth =
    spec.degreeDays === 'emergence' ? ctx.taxon.emergence : { value: spec.degreeDays, basis: practice };
  const [whole, base] = [warmth?.value ?? 150, spec.base ?? 5];
  const { again } = hand.fact;
  const ripe = ctx.book.warmthBy(start, whole, base);
  const half = Math.round(whole * AGAIN_SHARE.value);
  const later = again ? ctx.book.warmthBy(toDay(again.on), half, base) : null;
  if (ripe === null || (again && later === null)) return { none: 'the place never gets warm enough' };
  // a look long before it was due does not bring it forward
  const waits = again && later !== null && later > ripe;
  const [day, sum] = waits ? [later, half] : [ripe, whole];
  const counted = waits ? `the look of {${again.on}}: ${again.found}` : since;
  return open(
    day,
    spec.days,
    [5, 7],
    `Once ${sum} degree days above ${base} °C have passed since ${counted}`,
    [
      {
        label: waits ? 'warmth wanted again' : 'warmth wanted',
        ...{ value: sum, unit: `°C·d above ${base} °C` },
        basis: waits ? AGAIN_SHARE.basis : (warmth?.basis ?? practice),
      },
    ],
  );
}
