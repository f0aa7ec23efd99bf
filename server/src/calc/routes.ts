import type { FastifyInstance } from 'fastify';
import { array, object, string } from 'yup';
import { previewCourse, type CoursePreview } from '@gonimos/contract/cohorts';
import { body, count, date, measure } from '@gonimos/contract/fields';
import { siteFields } from '@gonimos/contract/nursery';
import { toDay } from '@gonimos/core/calendar';
import { apartWords, commonOpening, compileCourse, type Course } from '@gonimos/core/course';
import { ENTRY_TYPES, fold, viability, type LedgerEntry } from '@gonimos/core/ledger';
import { climateOf, dayLength, degreeDays, seasonMarkers } from '@gonimos/core/season';
import { startRemarks, type Remark } from '@gonimos/core/starts';
import { wilson } from '@gonimos/core/stats';
import { taxon } from '@gonimos/core/taxa';
import { grow } from '@gonimos/core/trunk';
import { readStart } from '../cohorts/service.ts';
import { programmeFor } from '../library/store.ts';
import { factsToBe } from '../facts/facts.ts';
import { potRemarks } from '../fit/service.ts';
import type { Sql } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { membersOf, openingsOf } from '../pots/store.ts';
import { seasonBooks } from '../season/books.ts';
import { chilledOf } from '../seed/facts.ts';
import { lotKnown } from '../seed/store.ts';

/** What speaks against a course sharing a pot with those that stand in it. */
async function apartFrom(sql: Sql, hostId: string, course: Course, today: string): Promise<Remark[]> {
  const members = await membersOf(sql, hostId);
  const steps = await openingsOf(
    sql,
    members.map((m) => m.id),
  );
  const sharing = members.map((m) => ({ code: m.code, steps: steps.get(m.id) ?? [] }));
  const said = apartWords(commonOpening([...sharing, { code: 'this one', steps: course.steps }], today));
  return said === null ? [] : [{ code: 'no-common-opening', grave: true, text: said }];
}

/** The course a start would have, as JSON in and out; other calculators of the interface stand with their subjects. */
export function calcRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/calc/course',
    role: 'helper',
    summary: 'The course a cohort would have, before it is entered',
    body: previewCourse,
    handle: async ({ body: b }): Promise<CoursePreview> => {
      const started = await readStart(app.db, b.started);
      const book = (await seasonBooks(app.db)).get(b.placeId);
      if (!book) throw wrongField('placeId', 'is not a place of this nursery');
      const { programme: p, own } = await programmeFor(app.db, b.programmeId);
      const lot = b.lotId ? await lotKnown(app.db, b.lotId) : null;
      const facts = {
        ...b,
        own,
        live: b.count,
        startedOn: started.from,
        chilled: chilledOf(lot?.toColdOn ?? null, started.from),
      };
      const nursery = await readNursery(app.db);
      const today = todayAt(nursery);
      const toBe = factsToBe(p, facts, nursery.schools);
      const course = compileCourse(toBe, book, today);
      const levels = { ...toBe.schools, programme: p.schools };
      // stock with years behind it is past its start: what it is to stand in next is asked instead
      const remarks = b.standsAt
        ? potRemarks({ facts: toBe, book, today, levels })
        : startRemarks(p, taxon(b.taxonId), book, started.from, lot);
      const apart = b.hostId ? await apartFrom(app.db, b.hostId, course, today) : [];
      return { ...course, remarks: [...remarks, ...apart] };
    },
  });
}

/** Calculators of the season, of shares and counts, and of growth. */
export function figureRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/calc/markers',
    role: 'helper',
    summary: 'Seasonal markers of a climate as P10, P50 and P90 of seeded weather years',
    body: body({
      ...siteFields(),
      year: measure(1950, 2150, '').integer('is not a year').required('is missing'),
    }),
    handle: ({ body: b }) => seasonMarkers(climateOf(b), b.year),
  });

  route(app, {
    method: 'POST',
    url: '/calc/degree-days',
    role: 'helper',
    summary: 'Degree days by the single sine, a value a day',
    body: body({
      base: measure(-20, 40, '°C').required('is missing'),
      days: array(body({ tmin: measure(-80, 60, '°C').required(), tmax: measure(-80, 60, '°C').required() }))
        .max(4000, 'at most 4000 days')
        .required('is missing'),
    }),
    handle: ({ body: b }) =>
      b.days.map((d, i) => {
        if (d.tmax < d.tmin) throw wrongField(`days[${i}].tmax`, 'is below the minimum');
        return degreeDays(d.tmin, d.tmax, b.base);
      }),
  });

  route(app, {
    method: 'POST',
    url: '/calc/day-length',
    role: 'helper',
    summary: 'Hours from sunrise to sunset',
    body: body({ latitude: measure(-90, 90, '°').required('is missing'), on: date() }),
    handle: ({ body: b }) => ({ hours: dayLength(b.latitude, toDay(b.on)) }),
  });

  route(app, {
    method: 'POST',
    url: '/calc/wilson',
    role: 'helper',
    summary: 'A share with its Wilson 95 % interval',
    body: body({ k: count().required('is missing'), n: count().required('is missing') }),
    handle: ({ body: b }) => {
      if (b.k > b.n) throw wrongField('k', 'is above n');
      return { share: wilson(b.k, b.n) };
    },
  });

  route(app, {
    method: 'POST',
    url: '/calc/ledger',
    role: 'helper',
    summary: 'Folds entries into counts',
    body: body({
      entries: array(
        object({
          id: string().required('is missing'),
          type: string().oneOf(ENTRY_TYPES).required('is missing'),
          on: date(),
          count: count().required('is missing'),
          unit: string().nullable().oneOf(['seed', 'plant', null]),
          reverses: string().nullable(),
        }),
      )
        .max(5000, 'at most 5000 entries')
        .required('is missing'),
    }),
    handle: ({ body: b }) => {
      const state = fold(b.entries.map((e, seq) => ({ ...e, cohortId: '', seq }) as LedgerEntry));
      return { ...state, viability: viability(state) };
    },
  });

  route(app, {
    method: 'POST',
    url: '/calc/growth',
    role: 'helper',
    summary: 'Caliper after some growing seasons in a container, mm; no volume: open ground',
    body: body({
      from: measure(0.1, 1000, 'mm').required('is missing'),
      ring: measure(0.1, 30, 'mm').required('is missing'),
      factor: measure(0, 3, '').required('is missing'),
      litres: measure(0.01, 10_000, 'L').nullable().default(null),
      seasons: measure(0, 50, '').required('is missing'),
    }),
    handle: ({ body: b }) => ({
      caliper: grow(b.from, b.ring, b.factor, b.litres ?? Infinity, b.seasons),
    }),
  });
}
