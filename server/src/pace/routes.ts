import type { FastifyInstance } from 'fastify';
import type { LearnedPace, PaceTable } from '@gonimos/contract/pace';
import { operation } from '@gonimos/core/operations';
import type { Sql } from '../db/index.ts';
import { route } from '../http/route.ts';
import { readPaces } from './store.ts';

async function paceTable(sql: Sql): Promise<PaceTable> {
  const { sittings, paces } = await readPaces(sql);
  const pairs = new Map(sittings.map((s) => [`${s.operation} ${s.taxonId}`, s]));
  const learned = [...pairs.values()]
    .map(({ operation: work, taxonId }): LearnedPace => ({
      operation: work,
      taxonId,
      usual: operation(work).minutes.value,
      ...paces.of(work, taxonId),
    }))
    .filter((p) => p.sittings > 0)
    .sort((a, b) => b.sittings - a.sittings);
  const names: { id: string; name: string }[] = await sql('person').orderBy('name').select('id', 'name');
  const people = names.map((p) => ({ ...p, ...paces.person(p.id) })).filter((p) => p.sittings > 0);
  return { learned, people };
}

export function paceRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/pace',
    role: 'helper',
    summary: 'What the bench clock has taught: minutes a plant by work and kind, and who is quick or slow',
    handle: () => paceTable(app.db),
  });
}
