import { EventEmitter } from 'node:events';
import type { SessionStore } from '@fastify/session';
import type { Db } from '../db/index.ts';

type Callback = (error?: unknown) => void;
type Data = Parameters<SessionStore['set']>[1];

/** Sessions live in the database, so that any server process can answer for them. */
export class DatabaseSessions extends EventEmitter implements SessionStore {
  constructor(private readonly db: Db) {
    super();
  }

  set(sid: string, data: Data, done: Callback): void {
    const expires = data.cookie.expires ?? new Date(Date.now() + 86_400_000);
    this.db('session')
      .insert({ sid, data: JSON.stringify(data), expires })
      .onConflict('sid')
      .merge()
      .then(() => done(), done);
  }

  get(sid: string, done: (error: unknown, data?: Data | null) => void): void {
    this.db('session')
      .where({ sid })
      .where('expires', '>', new Date())
      .first('data')
      .then((row: { data: Data } | undefined) => done(null, row?.data ?? null), done);
  }

  destroy(sid: string, done: Callback): void {
    this.db('session')
      .where({ sid })
      .delete()
      .then(() => done(), done);
  }

  sweep(): Promise<number> {
    return this.db('session').where('expires', '<', new Date()).delete();
  }
}
