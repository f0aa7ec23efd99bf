import { EventEmitter } from 'node:events';
import { createHash } from 'node:crypto';
import type { SessionStore } from '@fastify/session';
import type { Db } from '../db/index.ts';

type Callback = (error?: unknown) => void;
type Data = Parameters<SessionStore['set']>[1];

/** A session nobody uses for so long is over. */
export const IDLE = '3 days';
/** How often it is noted that a session was used: a note is a write, after which answers are worked out anew. */
const NOTED = '10 minutes';

/** What is kept of a session's id: with it alone nobody can sign in. */
export const hashOf = (sid: string): string => createHash('sha256').update(sid).digest('hex');

/** Sessions live in the database, so that any server process can answer for them. */
export class DatabaseSessions extends EventEmitter implements SessionStore {
  constructor(private readonly db: Db) {
    super();
  }

  set(sid: string, data: Data, done: Callback): void {
    const expires = data.cookie.expires ?? new Date(Date.now() + 86_400_000);
    const personId = data.person?.id ?? null;
    this.db('session')
      .insert({
        hash: hashOf(sid),
        data: JSON.stringify(data),
        personId: personId,
        agent: data.agent ?? '',
        expires,
      })
      .onConflict('hash')
      .merge(['data', 'personId', 'agent', 'expires'])
      .then(() => done(), done);
  }

  get(sid: string, done: (error: unknown, data?: Data | null) => void): void {
    this.read(hashOf(sid)).then((data) => done(null, data), done);
  }

  private async read(hash: string): Promise<Data | null> {
    const row: { data: Data; old: boolean } | undefined = await this.db('session')
      .where({ hash })
      .whereRaw('expires > now() AND seen_at > now() - ?::interval', [IDLE])
      .first('data', this.db.raw('seen_at < now() - ?::interval AS old', [NOTED]));
    if (row?.old) await this.db('session').where({ hash }).update({ seenAt: this.db.fn.now() });
    return row?.data ?? null;
  }

  destroy(sid: string, done: Callback): void {
    this.db('session')
      .where({ hash: hashOf(sid) })
      .delete()
      .then(() => done(), done);
  }
}

/** Takes away sessions that are over, and failed tries that no longer count. */
export async function sweep(db: Db): Promise<void> {
  await db('session').whereRaw('expires < now() OR seen_at < now() - ?::interval', [IDLE]).delete();
  await db('failed_sign_in').whereRaw("at < now() - interval '1 day'").delete();
}
