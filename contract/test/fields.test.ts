import { expect } from 'chai';
import fc from 'fast-check';
import type { AnySchema } from 'yup';
import { newCohort } from '@gonimos/contract/cohorts';
import {
  body,
  code,
  containerId,
  count,
  date,
  id,
  measure,
  name,
  taxonId,
  text,
} from '@gonimos/contract/fields';
import { newEntry } from '@gonimos/contract/ledger';
import { newRecord, workOn } from '@gonimos/contract/records';
import { askStart } from '@gonimos/contract/starts';
import { markCells } from '@gonimos/contract/trays';
import { isIsoDate } from '@gonimos/core/calendar';

const UUID = '00000000-0000-4000-8000-000000000001';
const fault = (schema: AnySchema, value: unknown): string | null => {
  try {
    schema.validateSync(value, { strict: true });
    return null;
  } catch (e) {
    return (e as Error).message;
  }
};
const takes = (schema: AnySchema, ...values: unknown[]) => {
  for (const v of values) expect(fault(schema, v), JSON.stringify(v)).to.equal(null);
};
const refuses = (schema: AnySchema, why: RegExp, ...values: unknown[]) => {
  for (const v of values) expect(fault(schema, v) ?? 'taken', JSON.stringify(v)).to.match(why);
};

describe('fields of every request', () => {
  it('counts and measures: whole, within bounds, real numbers, with the unit in the words', () => {
    takes(count(), 0, 1, 100_000);
    refuses(count(), /is below 0/, -1);
    refuses(count(), /is not a whole number/, 1.5);
    refuses(count(), /is above 100,000/, 100_001);
    refuses(count(), /number/, Number.NaN, 'ten', {}, true);
    refuses(count(), /is above|is below|number/, Infinity, -Infinity);
    takes(measure(0.1, 1000, 'mm'), 0.1, 12.5, 1000);
    refuses(measure(0.1, 1000, 'mm'), /is below 0.1 mm/, 0, -4);
    refuses(measure(0.1, 1000, 'mm'), /is above 1000 mm/, 1000.5);
  });

  it('texts: no longer than they may be, and nothing a database cannot keep', () => {
    takes(text(10), '', 'ten letter', 'µ°ø 樹', 'a\nb\tc');
    refuses(text(10), /at most 10 letters/, 'eleven letters');
    refuses(text(100), /cannot be stored/, 'a\u0000b', 'a\u0007b', 'lone \ud800 surrogate');
    refuses(name(20), /is missing|is empty/, undefined, '', '   ', '\n');
    takes(name(20), 'North bench');
  });

  it('codes, ids, dates and names of the library', () => {
    takes(code(), 'FM-35', 'OP-36·07', 'A1', 'X.Y-9');
    refuses(code(), /2 to 16 capitals/, 'fm-35', 'A', '-A', 'A B', 'ABCDEFGHIJKLMNOPQ', 'Ä1');
    takes(id(), UUID);
    refuses(id(), /is not a UUID|is missing/, '', 'x', UUID.slice(1), UUID.toUpperCase().replace('4', 'Z'));
    takes(date(), '2037-03-09', '2036-02-29');
    refuses(date(), /is not a date|is missing/, '2037-02-29', '09.03.2037', '2037-3-9', '');
    takes(taxonId(), 'acer-campestre');
    refuses(taxonId(), /is not in the library|is missing/, 'acer', '', '__proto__', 'constructor');
    takes(containerId(), 'pot-9', undefined);
    refuses(containerId(), /is not in the library/, 'bucket', '__proto__');
  });

  it('property: a date is taken exactly when there is such a day', () => {
    const like = fc
      .tuple(
        fc.integer({ min: 1800, max: 2300 }),
        fc.integer({ min: 0, max: 14 }),
        fc.integer({ min: 0, max: 33 }),
      )
      .map(([y, m, d]) => `${y}-${String(m).padStart(2, '0')}-${String(d).padStart(2, '0')}`);
    fc.assert(
      fc.property(fc.oneof(like, fc.string()), (said) => {
        expect(fault(date(), said) === null).to.equal(isIsoDate(said));
      }),
      { numRuns: 1500 },
    );
  });

  it('an object refuses what it does not know, by name', () => {
    const schema = body({ id: id(), note: text(10) });
    takes(schema, { id: UUID, note: 'ok' });
    expect(() => schema.validateSync({ id: UUID, note: '', role: 'owner' }, { strict: true })).to.throw(
      /role/,
    );
  });
});

describe('requests', () => {
  const whole = (schema: AnySchema, good: Record<string, unknown>) => {
    expect(fault(schema, schema.cast(good))).to.equal(null);
    return {
      without: (field: string, why: RegExp) => {
        const { [field]: _, ...rest } = good;
        refuses(schema, why, rest);
      },
      with: (more: Record<string, unknown>, why: RegExp) =>
        expect(fault(schema, { ...(schema.cast(good) as object), ...more }) ?? 'taken').to.match(why),
    };
  };

  it('a cohort: what has to be said, and what makes no sense', () => {
    const c = whole(newCohort, {
      id: UUID,
      code: 'FM-37',
      taxonId: 'acer-campestre',
      programmeId: 'seed-broadleaf',
      placeId: UUID,
      container: 'seed-flat',
      started: '2037-03-01',
      count: 120,
      goal: '',
      note: '',
      schools: {},
    });
    for (const field of ['id', 'code', 'taxonId', 'programmeId', 'placeId', 'count', 'started'])
      c.without(field, /^is missing$/);
    c.with({ count: 0 }, /is below 1/);
    c.with({ count: 1_000_000 }, /is above/);
    c.with({ started: 'soon' }, /^is not a date such as/);
    c.with({ goalCaliper: -3 }, /is below/);
    c.with({ container: 'bucket' }, /is not in the library/);
    c.with({ owner: 'me' }, /owner/);
  });

  it('a record says nothing it was not told', () => {
    const r = workOn({ id: UUID, cohortId: UUID, stepKey: 'sow', on: '2037-03-09' });
    takes(newRecord, r);
    const said = Object.entries(r).filter(
      ([, v]) => v !== null && v !== '' && !(Array.isArray(v) && v.length === 0),
    );
    expect(Object.fromEntries(said)).to.deep.equal({
      id: UUID,
      cohortId: UUID,
      stepKey: 'sow',
      on: '2037-03-09',
      finished: true,
      meant: false,
      details: {},
    });
    refuses(newRecord, /is above 1000 mm/, { ...r, details: { sizes: { calipers: [4, 2000] } } });
    refuses(newRecord, /is below 1/, {
      ...r,
      losses: [{ id: UUID, kind: 'lost', count: 0, cause: 'frost' }],
    });
    refuses(newRecord, /more ready than were looked at/, {
      ...r,
      details: { looks: { buds: { looked: 3, ready: 4 } } },
    });
    refuses(newRecord, /is missing/, { ...r, details: { potting: {} } });
    refuses(newRecord, /at most 20 lines/, {
      ...r,
      losses: Array.from({ length: 21 }, () => ({ id: UUID, kind: 'lost', count: 1, cause: 'frost' })),
    });
  });

  it('a start number is asked for with everything it is counted from', () => {
    const ask = whole(askStart, {
      taxonId: 'carpinus-betulus',
      programmeId: 'seed-broadleaf',
      placeId: UUID,
      stage: 'corrected',
      wanted: 40,
      byYear: 2039,
      most: 600,
      confidence: 0.9,
      cost: { centsEach: 5, wage: 1500 },
    });
    for (const field of ['taxonId', 'stage', 'wanted', 'byYear']) ask.without(field, /^is missing$/);
    ask.with({ confidence: 1 }, /is above 0.99/);
    ask.with({ wanted: 0 }, /is below 1/);
    ask.with({ stage: 'finished' }, /is none of showing, rooted/);
  });

  it('marks and entries: cells there can be, kinds there are', () => {
    const m = { id: UUID, on: '2037-03-08', cause: null, marks: [{ cell: 3, was: 'sown', now: 'up' }] };
    takes(markCells, m);
    const marked = (cell: number, now: string) => ({ ...m, marks: [{ cell, was: 'sown', now }] });
    refuses(markCells, /is below 0/, marked(-1, 'up'));
    refuses(markCells, /is none of empty, sown/, marked(3, 'flowering'));
    refuses(markCells, /is empty/, { ...m, marks: [] });
    // what follows from other records is entered by nobody's hand
    for (const type of ['reversed', 'split_in', 'severed', 'potted'])
      refuses(newEntry, /is none of/, { id: UUID, type, on: '2037-03-08', count: 3, cause: null, note: '' });
  });
});
