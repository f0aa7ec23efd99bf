import type { FastifyInstance, FastifyRequest } from 'fastify';
import { object, string } from 'yup';
import { noneOf } from '@gonimos/contract/fields';
import { cohortIds, PRINTER_DOTS, PRINTER_PATH, printLabels } from '@gonimos/contract/label-printer';
import { LABEL_PAPERS, type LabelPaper } from '@gonimos/core/labels';
import { PAPER_OF } from '@gonimos/core/paper';
import { Refusal } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { pdfOf } from '../paper/pdf.ts';
import { pngOf } from '../paper/png.ts';
import { unitsOf } from '../people/store.ts';
import { pagesOf, readLabels } from './service.ts';

/** Address the nursery is asked at, as who asks sees it. */
const houseAt = (request: FastifyRequest): string => `${request.protocol}://${request.host}`;
/** The printer answers within so long, ms. */
const PATIENCE = 5000;

export function labelRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/labels',
    role: 'helper',
    summary: 'Labels of cohorts as PDF, on sheets to be cut or on the roll of a label printer',
    query: object({
      cohorts: cohortIds(),
      paper: string<LabelPaper>().oneOf(LABEL_PAPERS, noneOf(LABEL_PAPERS)),
    }),
    handle: async ({ query, person, request, reply }) => {
      const units = await unitsOf(app.db, person.id);
      const labels = await readLabels(app.db, query.cohorts.split(','), houseAt(request), units);
      const paper = query.paper ?? PAPER_OF[units];
      return reply
        .type('application/pdf')
        .header('cache-control', 'no-store')
        .header('content-disposition', 'inline; filename="labels.pdf"')
        .send(await pdfOf(pagesOf(labels, paper), 'Labels'));
    },
  });

  route(app, {
    method: 'POST',
    url: '/labels/print',
    role: 'helper',
    summary: 'Sends labels of cohorts to the label printer, one after another',
    body: printLabels,
    handle: async ({ body, person, request }): Promise<{ printed: number }> => {
      const units = await unitsOf(app.db, person.id);
      const labels = await readLabels(app.db, body.cohorts, houseAt(request), units);
      let printed = 0;
      for (const page of pagesOf(labels, 'roll')) {
        const picture = await pngOf(page, PRINTER_DOTS);
        for (let i = 0; i < body.copies; i++) {
          await send(app, picture);
          printed++;
        }
      }
      return { printed };
    },
  });
}

/** One label to the printer at its address, or to the simulated one of the demo. */
async function send(app: FastifyInstance, picture: Buffer): Promise<void> {
  const status = app.labelPrinter
    ? await fetch(app.labelPrinter, {
        method: 'POST',
        headers: { 'content-type': 'image/png' },
        body: new Uint8Array(picture),
        redirect: 'error',
        signal: AbortSignal.timeout(PATIENCE),
      }).then(
        (r) => r.status,
        () => 0,
      )
    : (
        await app.inject({
          method: 'POST',
          url: PRINTER_PATH,
          headers: { 'content-type': 'image/png' },
          payload: picture,
        })
      ).statusCode;
  if (status !== 201)
    throw new Refusal(
      'cannot-be-done',
      'The label printer does not answer: look whether it is on, and has paper.',
    );
}
