import type { FastifyInstance } from 'fastify';
import type { CohortRow } from '@gonimos/contract/cohorts';
import { importCohorts, type ImportReport } from '@gonimos/contract/files';
import { putCohort } from '../cohorts/service.ts';
import { registerQuery } from '../cohorts/store.ts';
import type { Sql } from '../db/index.ts';
import { Refusal } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { touching, write } from '../write/write.ts';
import { listProgrammes } from '../library/store.ts';
import { listPlaces } from '../nursery/store.ts';
import { readLines, writeRegister, type ReadLine } from './register.ts';

export function fileRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/files/cohorts.csv',
    role: 'helper',
    summary: 'The register as CSV',
    handle: async ({ reply }) => {
      const rows: (CohortRow & { programmeName: string; note: string })[] = await registerQuery(
        app.db,
      ).select({
        programmeName: app.db.raw("c.programme ->> 'name'"),
        note: 'c.note',
      });
      return reply
        .type('text/csv; charset=utf-8')
        .header('content-disposition', 'attachment; filename="cohorts.csv"')
        .send(writeRegister(rows, await listPlaces(app.db)));
    },
  });

  const read = async (sql: Sql, csv: string, id: string) => {
    const codes = new Set<string>(await sql('cohort').pluck('code'));
    return readLines(csv, id, {
      places: await listPlaces(sql),
      codes,
      programmes: await listProgrammes(sql),
    });
  };
  const shown = ({ cohort: _c, ...line }: ReadLine) => line;

  route(app, {
    method: 'POST',
    url: '/files/cohorts',
    role: 'grower',
    summary: 'New cohorts from CSV: faults line by line first, written only when confirmed',
    body: importCohorts,
    handle: async ({ body, person }): Promise<ImportReport> => {
      if (!body.confirm) {
        const report = await read(app.db, body.csv, body.importId);
        return { ...report, lines: report.lines.map(shown) };
      }
      return write(app, { id: body.id, what: 'import', body, person }, async ({ trx }) => {
        const report = await read(trx, body.csv, body.importId);
        report.lines = report.lines.filter((l) => l.line >= body.from && l.line <= body.to);
        report.good = report.lines.filter((l) => l.ok).length;
        report.bad = report.lines.length - report.good;
        if (report.faults.length > 0)
          throw new Refusal('cannot-be-read', report.faults.join('; '), {
            errors: report.faults.map((reason) => ({ field: 'csv', reason })),
          });
        const entered: string[] = [];
        for (const line of report.lines) {
          if (!line.cohort) continue;
          // a line the database still refuses is a fault of that line alone
          try {
            await trx.transaction((inner) => putCohort(inner, line.cohort!, person));
            entered.push(line.cohort.id);
            report.written++;
          } catch (error) {
            if (!(error instanceof Refusal)) throw error;
            Object.assign(line, {
              ok: false,
              faults: error.more.errors ?? [{ field: 'line', reason: error.message }],
            });
            report.bad++;
            report.good--;
          }
        }
        const told = { ...report, lines: report.lines.map(shown) };
        return touching(entered, 'cohorts were entered from a file', told);
      });
    },
  });
}
