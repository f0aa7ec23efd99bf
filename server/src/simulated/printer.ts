import type { FastifyInstance } from 'fastify';
import { PRINTER_PATH, type Printed } from '@gonimos/contract/label-printer';
import { notFound } from '../http/problem.ts';

/** Labels that are kept. */
const KEPT = 100;
/** Largest picture of a label, bytes. */
const MOST = 500_000;
const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47]);

/** A simulated label printer for the demo, in the shape of contract/src/label-printer.ts: it keeps what it printed. */
export function simulatedPrinter(app: FastifyInstance): void {
  const kept = new Map<number, Buffer>();
  let printed = 0;
  const only = () => {
    if (!app.demo) throw notFound('printer');
  };

  app.register((printer, _options, done) => {
    printer.addContentTypeParser(
      'image/png',
      { parseAs: 'buffer', bodyLimit: MOST },
      (_request, body, parsed) => parsed(null, body),
    );
    printer.post<{ Body: Buffer }>(PRINTER_PATH, { config: { device: true } }, async ({ body }, reply) => {
      only();
      if (!Buffer.isBuffer(body) || !body.subarray(0, 4).equals(PNG)) return reply.code(415).send();
      kept.set(++printed, body);
      kept.delete(printed - KEPT);
      return reply.code(201).send({ printed });
    });
    done();
  });

  app.get(PRINTER_PATH, async (): Promise<Printed> => {
    only();
    return { printed, kept: [...kept.keys()] };
  });

  app.get<{ Params: { number: string } }>(`${PRINTER_PATH}/:number`, async ({ params }, reply) => {
    only();
    const label = kept.get(Number(params.number));
    if (!label) throw notFound('label');
    return reply.type('image/png').send(label);
  });
}
