import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { needServer } from '../../scripts/lib/packages.mjs';

export const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

/** The real server in a process of its own, on a database and a port; resolves once it listens. */
export async function serve(
  url: string,
  port: number,
  demo = true,
  more: Record<string, string> = {},
): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--enable-source-maps', await needServer()], {
    env: {
      ...process.env,
      GONIMOS_DATABASE_URL: url,
      GONIMOS_PORT: String(port),
      GONIMOS_DEMO: demo ? '1' : '0',
      ...more,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (d: Buffer) => d.toString().includes('Gonimos is at') && resolve());
    let said = '';
    child.stderr.on('data', (d: Buffer) => (said += d.toString()));
    child.once('exit', (code) => reject(new Error(`server ended with ${code}: ${said}`)));
  });
  return child;
}

/** Ends a server as a process manager would, and waits for it. */
export async function endServer(child: ChildProcess): Promise<void> {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}
