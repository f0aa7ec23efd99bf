import { demoDatabase, freshDatabase } from '../server/test/harness.ts';
import { endServer, freePort, serve } from '../server/test/serve.ts';

/** The built application with its demo nursery or empty, in a process and on a database of its own. */
export async function startApp(demo = true): Promise<{ base: string; stop: () => Promise<void> }> {
  // the demo nursery is lived through once and copied for each journey
  const made = await (demo ? demoDatabase() : freshDatabase());
  const port = await freePort();
  const child = await serve(made.url, port, demo);
  return {
    base: `http://127.0.0.1:${port}`,
    stop: async () => {
      await endServer(child);
      await made.drop();
    },
  };
}
