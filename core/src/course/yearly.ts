import { toDay, toIso, type Day } from '../calendar/index.ts';
import type { Wall } from '../containers/index.ts';
import { operation, workOf } from '../operations/index.ts';
import { coldestMonth } from '../season/climate.ts';
import { HARDENED_STEP, safeFrom } from '../season/exposure.ts';
import { MARKER_RULES } from '../season/marker-rules.ts';
import { minutesFor } from './context.ts';
import type { Context, PlannedStep } from './types.ts';

const IN_HAND_DAYS = 28;

const KEYS = /^(shelter|harden|rest)-\d+$/;
/** Whether a step is asked for by the season each year, and not by the programme: its days are the season's. */
export const isYearly = (key: string): boolean => KEYS.test(key);

/** What a place asks of a cohort every year, whatever its programme: shelter for the tender, rest for the hardy. */
export function yearlySteps(ctx: Context, wall: Wall, planned: readonly PlannedStep[]): PlannedStep[] {
  const asked = (op: string) => planned.filter((s) => workOf(s.operation) === op && s.status === 'planned');
  const shelter = shelterStep(ctx, wall);
  // a planned coming-in speaks for this warm season only when it comes no later than the shelter would
  const spoken = asked('bring-in').some((s) => shelter !== null && s.closes! <= shelter.closes!);
  const now = [
    ...(shelter && !spoken ? [shelter] : []),
    ...(asked('go-dormant').length > 0 ? [] : restSteps(ctx)),
  ].filter((s) => ctx.facts.steps[s.key]?.status !== 'dropped');
  return [...missedSteps(ctx, now), ...now];
}

/** What a season now past had asked for stays asked for until something is said of it. */
function missedSteps(ctx: Context, now: readonly PlannedStep[]): PlannedStep[] {
  return Object.entries(ctx.facts.steps).flatMap(([key, { status, missed }]) => {
    if (!isYearly(key) || status !== 'planned' || !missed || now.some((s) => s.key === key)) return [];
    const step = yearly(ctx, key, operationFor(ctx, key), toDay(missed.opens), toDay(missed.closes));
    const text = `Asked for from {${missed.opens}} to {${missed.closes}}, and nothing was said of it`;
    return [{ ...step, reasons: [{ rule: 'exposure', text, figures: [], binding: true }] }];
  });
}

/** The operation a season asks for under a key. */
function operationFor({ taxon }: Context, key: string): string {
  if (key.startsWith('harden')) return 'harden-off';
  if (key.startsWith('rest')) return 'go-dormant';
  return taxon.hardyTo.value <= HARDY ? 'winter-cover' : 'bring-in';
}

/** Kinds that bear this and colder stay out in winter; where it gets colder still their pots are covered. °C */
const HARDY = -8;

/** A tender kind is to come in before the night one year in fifty brings; a hardy one has its pot covered. */
function shelterStep(ctx: Context, wall: Wall): PlannedStep | null {
  const { book, taxon, today } = ctx;
  if (wall === 'ground') return null;
  let season = book.seasonOf(today);
  let first = book.coldBelow(taxon.hardyTo.value, season).first;
  // a night that has come this season leaves the next one to plan for
  if (first && first.p90 < today) first = book.coldBelow(taxon.hardyTo.value, ++season).first;
  if (!first) return null;
  const { value, unit, basis } = taxon.hardyTo;
  const nights = `{${toIso(first.p02)}} in one year of fifty, {${toIso(first.p50)}} in half`;
  const hardy = value <= HARDY;
  const what = hardy ? 'Heeled in or covered' : 'In';
  return {
    ...yearly(ctx, `shelter-${season}`, operationFor(ctx, 'shelter'), first.p02 - IN_HAND_DAYS, first.p02),
    reasons: [
      {
        rule: 'exposure',
        text: `${taxon.name} bears ${value} °C in a pot; a colder night comes to this place by ${nights}. ${what} before {${toIso(first.p02)}}`,
        figures: [
          {
            label: 'coldest borne',
            value,
            unit,
            basis,
            ...(taxon.hardyTo.source ? { source: taxon.hardyTo.source } : {}),
          },
          { label: 'one year in fifty', value: toIso(first.p02), unit: '', basis: 'computed' },
          { label: 'half the years', value: toIso(first.p50), unit: '', basis: 'computed' },
          {
            label: 'years with such a night',
            value: Math.round(first.share * 100),
            unit: '%',
            basis: 'computed',
          },
        ],
        binding: true,
      },
    ],
  };
}

/** Days before leaf fall in which hardy kinds leave a warm house, hardened off before it. */
const REST = { hardenFrom: -78, hardenTo: -50, outTo: -8 };

/** A hardy kind in a place that is never cold does not rest there: it goes out in autumn, hardened off first. */
function restSteps(ctx: Context): PlannedStep[] {
  const { book, taxon, today } = ctx;
  const air = book.outside;
  if (taxon.phenology === 'warm-season' || taxon.hardyTo.value >= 0 || air === book) return [];
  let season = book.seasonOf(today);
  if (coldestMonth(book.climate) <= MARKER_RULES.tooWarm) return [];
  let fall = air.marker('leaf-fall-done', season, taxon);
  if (fall.kind === 'days' && fall.p50 + REST.outTo < today)
    fall = air.marker('leaf-fall-done', ++season, taxon);
  if (fall.kind === 'no-marker') return [];
  const from = fall.p50 + REST.hardenFrom;
  const out = safeFrom(book, air, from + 21, taxon.hardyTo.value, true);
  if (out === null || out > fall.p50 + REST.outTo) return [];
  const figures = [
    { label: 'leaf fall outdoors', value: toIso(fall.p50), unit: '', basis: 'computed' as const },
    { label: 'bears after hardening off, a fall of', ...HARDENED_STEP },
  ];
  const because = (text: string): PlannedStep['reasons'] => [
    { rule: 'exposure', text, figures, binding: true },
  ];
  const harden = yearly(ctx, `harden-${season}`, 'harden-off', from, fall.p50 + REST.hardenTo);
  const rest = yearly(ctx, `rest-${season}`, 'go-dormant', Math.max(out, from + 21), fall.p50 + REST.outTo);
  return [
    { ...harden, reasons: because(`Hardened off before it goes out to rest, from {${harden.opens!}}`) },
    {
      ...rest,
      ready: harden.status === 'done',
      reasons: because(
        `${taxon.name} does not come to rest in a place without cold: out by {${rest.closes!}}, hardened off first`,
      ),
    },
  ];
}

/** A step that comes of the place, done when it is recorded. */
function yearly(ctx: Context, key: string, operationId: string, opens: Day, closes: Day): PlannedStep {
  const op = operation(operationId);
  const fact = ctx.facts.steps[key];
  const done = fact?.status === 'done';
  const day = Math.max(opens, Math.min(closes, opens + Math.round(0.75 * (closes - opens))));
  return {
    key,
    operation: op.id,
    title: op.name,
    lane: op.lane,
    chain: null,
    container: null,
    status: done ? 'done' : 'planned',
    opens: toIso(opens),
    closes: toIso(closes),
    opensEarly: toIso(opens),
    opensLate: toIso(opens),
    target: toIso(day),
    wantsOn: null,
    doneOn: done ? fact.doneOn! : null,
    rootCut: null,
    topCut: null,
    odds: null,
    ready: true,
    waits: [],
    offers: null,
    refusal: null,
    span: null,
    materials: [],
    moved: null,
    minutes: minutesFor(ctx, op, ctx.facts.live),
    missed: done ? null : (fact?.missed ?? null),
    reasons: [],
  };
}
