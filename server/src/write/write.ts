import 'fastify';
import { createHash } from 'node:crypto';
import type { Person } from '@gonimos/contract/people';
import type { Moved } from '@gonimos/core/course';
import type { Trx } from '../db/index.ts';
import { conflict } from '../http/problem.ts';
import { inTransaction } from './transaction.ts';
import type { House, Planner, Touched, Writing, Written } from './types.ts';

declare module 'fastify' {
  interface FastifyInstance {
    followers: House['followers'];
    planning: House['planning'];
    plan: House['plan'];
  }
}

/** Who sends what, under which id. */
export interface Sent {
  /** made by the client: the same id is the same write */
  id: string;
  /** what kind of write it is, and of what: an id used for another is refused */
  what: string;
  /** what was sent; `id` and secrets may be left out */
  body: unknown;
  person: Person | null;
}

interface Receipt {
  route: string;
  bodyHash: string;
  reply: { value: unknown };
}

/** The answer given before under this id; a second sender waits here until the first has ended. */
async function before(trx: Trx, sent: Sent, hash: string): Promise<Receipt | null> {
  const mine = await trx('write_receipt')
    .insert({ id: sent.id, route: sent.what, bodyHash: hash })
    .onConflict('id')
    .ignore()
    .returning('id');
  if (mine.length > 0) return null;
  const first = (await trx('write_receipt').where({ id: sent.id }).first()) as Receipt;
  if (first.route !== sent.what || first.bodyHash !== hash)
    throw conflict('This id was used before for something else.');
  return first;
}

/** What moved when a course was planned twice in one write: each step once, as it moved last. */
const together = (before: readonly Moved[], now: readonly Moved[]): Moved[] => [
  ...before.filter((m) => !now.some((n) => n.key === m.key)),
  ...now,
];

/**
 * The one way in which anything is written: in one transaction, once for each client-made id. The courses it
 * bears on are planned again inside it, or noted as due with it; then comes the answer, which is kept: the same
 * request sent again gets it and changes nothing.
 */
export function write<T>(house: House, sent: Sent, act: (w: Writing) => Promise<Written<T>>): Promise<T> {
  const hash = createHash('sha256').update(JSON.stringify(sent.body)).digest('hex');
  return inTransaction(house.db, async (trx) => {
    const first = await before(trx, sent, hash);
    if (first) return first.reply.value as T;
    const value = await writeWithin(house, trx, sent.person, act);
    await trx('write_receipt')
      .where({ id: sent.id })
      .update({ reply: JSON.stringify({ value }) });
    return value;
  });
}

/** A write of its own within a transaction that is open: what it touches is planned again, then it answers. */
export async function writeWithin<T>(
  house: House,
  trx: Trx,
  person: Person | null,
  act: (w: Writing) => Promise<Written<T>>,
): Promise<T> {
  const moved = new Map<string, Moved[]>();
  const plan: Planner = async (...what) => {
    const planned = await house.plan(...what);
    for (const [id, steps] of planned) moved.set(id, together(moved.get(id) ?? [], steps));
    return planned;
  };
  const written = await act({
    trx,
    person,
    personId: person?.id ?? null,
    followers: house.followers,
    planning: () => house.planning(trx),
    plan,
  });
  await plan(trx, written.touched, written.cause);
  return written.answer(moved);
}

/** A write no course hangs on. */
export const answering = <T>(value: T): Written<T> => ({ touched: [], cause: '', answer: () => value });

/** A write that bears on courses, whose answer does not tell what moved. */
export const touching = <T>(touched: Touched, cause: string, value: T): Written<T> => ({
  touched,
  cause,
  answer: () => value,
});
