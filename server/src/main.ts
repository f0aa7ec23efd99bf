import { randomBytes } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import { keepPlanned } from './worker.ts';
import { sure } from './db/sure.ts';
import { migrate, openDatabase, type Db } from './db/index.ts';
import { houseOf } from './house.ts';
import { loadDemo } from './demo/nursery.ts';
import { buildApp } from './app.ts';
import { findNursery } from './nursery/store.ts';

/** The secret that signs session cookies, made once and shared through the database. */
async function sessionSecret(db: Db): Promise<string> {
  await db('setting')
    .insert({ key: 'session-secret', value: randomBytes(48).toString('base64url') })
    .onConflict('key')
    .ignore();
  return (await sure(db('setting').where({ key: 'session-secret' }).first('value'))).value;
}

const env = process.env;
const host = env.GONIMOS_HOST ?? '127.0.0.1';
const port = Number(env.GONIMOS_PORT ?? 4870);
const url = env.GONIMOS_DATABASE_URL;
const demo = env.GONIMOS_DEMO === '1';

function giveUp(text: string): never {
  console.error(text);
  process.exit(1);
}

if (!url) giveUp('GONIMOS_DATABASE_URL is not set: the address of a PostgreSQL database.');
const db = openDatabase(url);
await migrate(url);
if (demo) await loadDemo(houseOf(db), (text) => console.log(text));
const loopback = ['127.0.0.1', '::1', 'localhost'].includes(host);
const nursery = await findNursery(db);
if (!loopback && (demo || !nursery))
  giveUp('Listening beyond this machine needs an owner: make one on 127.0.0.1 first, and no demo.');
if (!demo && nursery?.demoToday)
  giveUp(
    'This database holds the demo nursery, which anyone may enter without a password; it is opened by ‘npm start’ alone.\nSet GONIMOS_DATABASE_URL to a database of your own.',
  );
const secure = env.GONIMOS_SECURE === '1';
const trustProxy = (env.GONIMOS_TRUST_PROXY ?? '')
  .split(',')
  .map((a) => a.trim())
  .filter(Boolean);
if (secure && trustProxy.length === 0)
  giveUp(
    'GONIMOS_SECURE=1 stands behind a proxy that ends HTTPS: name its address, so that it is believed.\n\n  GONIMOS_TRUST_PROXY=127.0.0.1',
  );

const app = await buildApp({
  db,
  secret: await sessionSecret(db),
  demo: demo && loopback,
  secure,
  trustProxy,
  labelPrinter: env.GONIMOS_LABEL_PRINTER,
  web: fileURLToPath(new URL('../../web/dist', import.meta.url)),
  log: true,
});

let endPlanning: () => Promise<void> = () => Promise.resolve();
async function stop(): Promise<void> {
  await endPlanning();
  await app.close();
  await db.destroy();
  process.exit(0);
}
process.once('SIGTERM', () => void stop());
process.once('SIGINT', () => void stop());

try {
  await app.listen({ host, port });
} catch (error) {
  if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
  giveUp(`Port ${port} is taken by another program. Choose one: GONIMOS_PORT=4871 npm start`);
}
endPlanning = keepPlanned(houseOf(db), url, app.log);
console.log(`Gonimos is at http://${host}:${port}`);
process.send?.({ listening: port });
