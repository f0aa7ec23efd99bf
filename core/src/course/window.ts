import { toDay, toIso, type Day } from '../calendar/index.ts';
import { windowFor, type Edge, type WindowSpec } from '../operations/index.ts';
import type { Marker, MarkerName } from '../season/markers.ts';
import { CHILL_NEED } from '../taxa/index.ts';
import type { Context, Figure, StepInHand } from './types.ts';

export interface Window {
  opens: Day;
  closes: Day;
  early: Day;
  late: Day;
  text: string;
  figures: Figure[];
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

function seasonWindow(ctx: Context, spec: WindowSpec & { kind: 'season' }, from: Day): Window | NoWindow {
  const { book, taxon, today } = ctx;
  let missed: Window['missed'] = null;
  let why = 'no such season here';
  const first = book.seasonOf(from) - 1;
  for (let y = first; y < first + HORIZON; y++) {
    const a = book.marker(spec.opens[0], y, taxon.phenology);
    const b = book.marker(spec.closes[0], y, taxon.phenology);
    if (a.kind === 'no-marker' || b.kind === 'no-marker') {
      const gone = a.kind === 'no-marker' ? a : (b as Marker & { kind: 'no-marker' });
      why = gone.why;
      continue;
    }
    const opens = a.p50 + spec.opens[1];
    const closes = b.p50 + spec.closes[1];
    const start = Math.max(opens, from);
    if (closes - start < USABLE) continue;
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
        `Opens ${edgeText(spec.opens)} ({${toIso(a.p50)}}, between {${toIso(a.p10)}} and {${toIso(a.p90)}} ` +
        `in eight years of ten), closes ${edgeText(spec.closes)} ({${toIso(b.p50)}})${short}`,
      figures: [
        ...markerFigures(ctx, spec.opens, a),
        ...(spec.closes[0] === spec.opens[0] ? [] : markerFigures(ctx, spec.closes, b)),
      ],
      missed,
    };
  }
  return { none: why };
}

/** The first window of a step with usable days on or after `from`. */
export function findWindow(ctx: Context, hand: StepInHand, from: Day): Window | NoWindow {
  const spec = hand.step.window ?? windowFor(hand.op, ctx.taxon.group);
  if (!spec) return { none: `not done on ${ctx.tolerance.name}` };
  if (spec.kind === 'season') return seasonWindow(ctx, spec, from);

  const before = hand.step.after[0];
  const anchor = before ? ctx.dates.get(before.step) : undefined;
  const start = anchor?.day ?? toDay(ctx.facts.startedOn);
  const what = anchor ? `‘${anchor.title}’` : 'the start';
  if (spec.kind === 'lag') {
    const opens = Math.max(start + spec.opens, from);
    const figures: Figure[] = [
      { label: 'opens after', value: spec.opens, unit: 'days', basis: 'common practice' },
      { label: 'closes after', value: spec.closes, unit: 'days', basis: 'common practice' },
    ];
    return {
      ...{ opens, closes: opens + spec.closes - spec.opens, early: opens, late: opens },
      text: `${spec.opens} to ${spec.closes} days after ${what} ({${toIso(start)}})`,
      figures,
      missed: null,
    };
  }
  const warmth =
    spec.degreeDays === 'emergence'
      ? ctx.taxon.emergence
      : { value: spec.degreeDays, basis: 'common practice' as const };
  const sum = warmth?.value ?? 150;
  const day = ctx.book.warmthBy(start, sum);
  if (day === null) return { none: 'the place never gets warm enough' };
  const opens = Math.max(day, from);
  return {
    ...{ opens, closes: opens + spec.days, early: opens - 5, late: opens + 7 },
    text: `Once ${sum} degree days above 5 °C have passed since ${what} ({${toIso(start)}})`,
    figures: [
      {
        label: 'warmth wanted',
        value: sum,
        unit: '°C·d above 5 °C',
        basis: warmth?.basis ?? 'common practice',
      },
    ],
    missed: null,
  };
}
