import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { freshDatabase } from '../server/test/harness.ts';

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

/** The built application with its demo nursery, in a process and on a database of its own. */
export async function startApp(demo = true): Promise<{ base: string; stop: () => Promise<void> }> {
  const made = await freshDatabase();
  const port = await freePort();
  const child: ChildProcess = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    env: {
      ...process.env,
      GONIMOS_DATABASE_URL: made.url,
      GONIMOS_PORT: String(port),
      GONIMOS_DEMO: demo ? '1' : '0',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((resolve, reject) => {
    child.stdout!.on('data', (d: Buffer) => d.toString().includes('Gonimos is at') && resolve());
    child.once('exit', (code) => reject(new Error(`server ended with ${code}`)));
  });
  return {
    base: `http://127.0.0.1:${port}`,
    stop: async () => {
      child.kill('SIGTERM');
      await new Promise((resolve) => child.once('exit', resolve));
      await made.drop();
    },
  };
}
