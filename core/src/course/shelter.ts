import { toIso } from '../calendar/index.ts';
import { operation } from '../operations/index.ts';
import type { Tree } from './tree.ts';
import type { Context, PlannedStep } from './types.ts';

const IN_HAND_DAYS = 28;

/** A tender kind that stands where it may freeze is to come in before the night one year in fifty brings. */
export function shelterStep(ctx: Context, wall: Tree['wall']): PlannedStep | null {
  const { book, taxon, today, facts } = ctx;
  if (wall === 'ground' || taxon.hardyTo.value < -20) return null;
  let season = book.seasonOf(today);
  let first = book.coldBelow(taxon.hardyTo.value, season).first;
  // a night that has come this season leaves the next one to plan for
  if (first && first.p90 < today) first = book.coldBelow(taxon.hardyTo.value, ++season).first;
  if (!first) return null;
  const key = `shelter-${season}`;
  const fact = facts.steps[key];
  const done = fact?.status === 'done';
  const op = operation('bring-in');
  const { value, unit, basis } = taxon.hardyTo;
  const nights = `{${toIso(first.p02)}} in one year of fifty, {${toIso(first.p50)}} in half`;
  return {
    ...{ key, operation: op.id, title: op.name, lane: op.lane, chain: null, container: null },
    status: done ? 'done' : 'planned',
    ...{ opens: toIso(first.p02 - IN_HAND_DAYS), closes: toIso(first.p02) },
    ...{ opensEarly: toIso(first.p02 - IN_HAND_DAYS), opensLate: toIso(first.p02 - IN_HAND_DAYS) },
    target: toIso(first.p02 - 7),
    doneOn: done ? fact.doneOn! : null,
    ...{ rootCut: null, odds: null, ready: true, waits: [], offers: null, moved: null },
    minutes: Math.ceil(op.minutes.value * facts.live),
    reasons: [
      {
        rule: 'exposure',
        text: `${taxon.name} bears ${value} °C in a pot; a colder night comes to this place by ${nights}. In before {${toIso(first.p02)}}`,
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
