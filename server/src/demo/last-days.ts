import type { CountStock } from '@gonimos/contract/stock';
import type { NewVisit } from '@gonimos/contract/visits';
import { addDays } from '@gonimos/core/calendar';
import { Leveller } from '@gonimos/core/year';
import { promote } from '../cohorts/service.ts';
import type { Trx } from '../db/index.ts';
import { countShelf } from '../stock/service.ts';
import { recordVisit } from '../visits/service.ts';
import { keepLevelled } from '../year/keep.ts';
import { readYear } from '../year/service.ts';
import type { Writing } from '../write/types.ts';
import { cohortId, named, OPENING_DAY, type Chapter, type DemoRequest } from './hand.ts';

const by = 'Ines Tessary';

/** The next open root work of a cohort, for a visit to be about. */
const nextRootWork = async (trx: Trx, code: string): Promise<string | null> => {
  const step = await trx('course_step')
    .where({ cohortId: cohortId(code), status: 'planned', lane: 'roots' })
    .whereNull('chain')
    .orderBy('seq')
    .first('key');
  return step?.key ?? null;
};

type Told = Pick<NewVisit, 'found' | 'decision' | 'note'>;
const visit = (code: string, v: Told): DemoRequest => ({
  on: addDays(OPENING_DAY, -3),
  by,
  act: async (w) =>
    recordVisit(w, {
      ...v,
      id: named(`visit to ${code}`),
      cohortId: cohortId(code),
      stepKey: v.decision === 'lighten' ? await nextRootWork(w.trx, code) : null,
      on: addDays(OPENING_DAY, -3),
      container: null,
      taxonId: null,
    }),
});

const counted = (container: string, count: number, more: Partial<CountStock> = {}): DemoRequest => ({
  on: OPENING_DAY,
  by,
  act: (w) =>
    countShelf(w, {
      id: named(`count of ${container}`),
      container,
      version: 0,
      counted: count,
      arriving: 0,
      arrives: null,
      worn: 0,
      ...more,
    }),
});

/** The weeks ahead, levelled as somebody would have done on the evening before. */
async function level(w: Writing) {
  const { problem, lines, weeks } = await readYear(w.trx, 52);
  const leveller = new Leveller(problem);
  leveller.first();
  const placed = new Map(leveller.improve(60_000).placed.map((p) => [p.id, p]));
  return keepLevelled(w, {
    id: named('the year levelled'),
    weeks: lines.map((l) => {
      const { week, later } = placed.get(l.id)!;
      return { cohortId: l.cohortId, key: l.key, week: weeks[week], later };
    }),
  });
}

/** What happened in the days before the demo opens: surprises on opening, a plant tagged, a count, a levelled year. */
export const lastDays: Chapter = () => [
  visit('FM-30', {
    found: ['mat-below', 'few-roots'],
    decision: 'lighten',
    note: 'Solid under the rim, loose above: dried out last August.',
  }),
  visit('BT-36', { found: ['pests'], decision: 'quarantine', note: 'Root aphid on two of the first five.' }),
  {
    on: addDays(OPENING_DAY, -2),
    by,
    act: (w) =>
      promote(w, cohortId('OP-36'), {
        id: named('OP-36-07 tagged'),
        newId: cohortId('OP-36-07'),
        newCode: 'OP-36-07',
        tag: 'OP-36·07',
        note: 'Low bend by nature; kept for itself.',
      }),
  },
  counted('basket-18', 120, { arriving: 150, arrives: addDays(OPENING_DAY, 12) }),
  counted('basket-25', 60),
  { on: OPENING_DAY, by, act: level },
];
