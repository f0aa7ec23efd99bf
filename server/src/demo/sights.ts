import { addDays, toIso } from '@gonimos/core/calendar';
import { taxon } from '@gonimos/core/taxa';
import { observe } from '../observations/service.ts';
import { named, OPENING_DAY, placeId, type Chapter, type DemoRequest } from './hand.ts';
import type { DemoPlace } from './stage.ts';

/** Hornbeam runs late here and field maple early: what four springs of looking have taught. */
const HABITS = [
  { taxonId: 'carpinus-betulus', place: 'North bench', runs: 6 },
  { taxonId: 'acer-campestre', place: 'South bench', runs: -5 },
] as const;
const WOBBLE = [2, -3, 1, 0];
const FIRST_SPRING = 2033;
const by = 'Bruno Tessary';

const seen = (
  taxonId: string,
  place: DemoPlace,
  kind: 'buds-swelling' | 'white-tips',
  on: string,
  note: string,
): DemoRequest => ({
  on,
  by,
  act: (w) =>
    observe(w, { id: named(`${kind} ${taxonId} ${on}`), placeId: placeId(place), taxonId, kind, on, note }),
});

/** What was seen of the springs: buds of two kinds over four years, and root tips this week. */
export const sights: Chapter = (h) => [
  ...HABITS.flatMap(({ taxonId, place, runs }) =>
    WOBBLE.flatMap((wobble, i): DemoRequest[] => {
      const m = h.bookOf(place).marker('bud-swell', FIRST_SPRING + i, taxon(taxonId));
      if (m.kind === 'no-marker') return [];
      return [seen(taxonId, place, 'buds-swelling', toIso(m.p50 + runs + wobble), '')];
    }),
  ),
  seen(
    'pinus-sylvestris',
    'South bench',
    'white-tips',
    addDays(OPENING_DAY, -4),
    'Tips at the holes of three pots.',
  ),
];
