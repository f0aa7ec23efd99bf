import { plural } from '../../words/index.ts';
import { toDay, toIso, type Day } from '../../calendar/index.ts';
import type { Edge, WindowSpec } from '../../operations/index.ts';
import type { MarkerName } from '../../season/marker-rules.ts';
import type { Marker } from '../../season/markers.ts';
import { BUD_OFFSET, OBSERVATIONS } from '../../season/observe.ts';
import { unsuited } from '../../season/suited.ts';
import { CHILL_NEED } from '../../taxa/index.ts';
import { daysToHalf } from '../rules/buds.ts';
import type { Context, Figure } from '../types.ts';
import { HORIZON, MARKER_WORDS, type NoWindow, type Window } from './types.ts';

/** Days a window of the season lasts at least, where its two ends come close together. Common practice, no source. */
const SHORTEST = 12;
/** Ends of one and the same window lie no further apart than this the wrong way round. */
const CROSSED = 60;
/** Work that opens with these in one season closes in the next. */
const AUTUMN: ReadonlySet<MarkerName> = new Set(['leaf-fall-done', 'first-frost', 'roots-rest']);

const edgeText = ([marker, offset]: Edge) =>
  offset === 0
    ? `at ${MARKER_WORDS[marker]}`
    : `${Math.abs(offset)} days ${offset < 0 ? 'before' : 'after'} ${MARKER_WORDS[marker]}`;

const CANNELL = 'model in the form of Cannell & Smith 1983, constants fitted';
const DELPIERRE = 'model in the form of Delpierre et al. 2009, constants fitted';
const sourceOf = (marker: MarkerName): Pick<Figure, 'source'> => {
  if (marker.startsWith('bud-swell')) return { source: CANNELL };
  return marker === 'leaf-fall-done' ? { source: DELPIERRE } : {};
};

function markerFigures(ctx: Context, edge: Edge, m: Marker & { kind: 'days' }): Figure[] {
  const [marker, offset] = edge;
  const name = MARKER_WORDS[marker];
  const figures: Figure[] = [
    { label: `${name} expected`, value: toIso(m.p50), unit: '', basis: 'computed', ...sourceOf(marker) },
    { label: 'one year in ten before', value: toIso(m.p10), unit: '', basis: 'computed' },
    { label: 'one year in ten after', value: toIso(m.p90), unit: '', basis: 'computed' },
  ];
  const { buds } = ctx.taxon;
  if (buds !== 'middle' && marker.startsWith('bud'))
    figures.push({ label: `${buds} kind, against the middle`, ...BUD_OFFSET[buds] });
  if (m.seen)
    figures.push({
      label: `${OBSERVATIONS[m.seen.as].name} seen`,
      value: toIso(m.seen.on),
      unit: '',
      basis: 'your data',
    });
  if (m.learned)
    figures.push({
      label: `this kind against the model, ${plural(m.learned.from, 'year')} seen`,
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

/** Why there is no such season here, by what the kind lacks. */
function absent(ctx: Context, why: string): NoWindow {
  const told = unsuited(ctx.taxon, ctx.book);
  return { none: told?.text ?? why, code: told?.code ?? 'no-such-season' };
}

/** Whether a window would close before it opens. */
const closesBefore = (spec: WindowSpec & { kind: 'season' }, a: Marker, b: Marker): boolean =>
  a.kind === 'days' && b.kind === 'days' && b.p50 + spec.closes[1] < a.p50 + spec.opens[1];

/** A window that hangs on the season of the place. */
export function seasonWindow(
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
    if (closesBefore(spec, a, b) && AUTUMN.has(spec.opens[0])) b = book.marker(spec.closes[0], y + 1, taxon);
    if (a.kind === 'no-marker' || b.kind === 'no-marker') {
      const gone = a.kind === 'no-marker' ? a : (b as Marker & { kind: 'no-marker' });
      why = gone.why;
      continue;
    }
    const forecast = a.p50 + spec.opens[1];
    if (b.p50 + spec.closes[1] < forecast - CROSSED) {
      why = 'that season is too short here';
      continue;
    }
    const closes = Math.max(b.p50 + spec.closes[1], forecast + (spec.atLeast ?? SHORTEST));
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
  return absent(ctx, why);
}
