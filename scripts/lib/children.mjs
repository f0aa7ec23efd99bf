/** Programs that a script starts: each with all it starts itself, so that they end together when the script is ended. */
import { spawn } from 'node:child_process';
import { ROOT } from './packages.mjs';

const running = new Set();

/** Starts a program in the house; `options` as for spawn. */
function started(command, args, options) {
  const child = spawn(command, args, { cwd: ROOT, detached: true, ...options });
  running.add(child);
  child.on('close', () => running.delete(child));
  return child;
}

/** Runs a program to its end, talking to whoever is there; true when it went well. */
export const runs = (command, args, env = process.env) =>
  new Promise((resolve) => {
    started(command, args, { env, stdio: 'inherit' }).on('close', (code) => resolve(code === 0));
  });

/** Runs a program to its end while others run; what it printed is told when it has ended. */
export const runsQuietly = (command, args, env = process.env) =>
  new Promise((resolve) => {
    const child = started(command, args, { env, stdio: ['ignore', 'pipe', 'pipe'] });
    let printed = '';
    for (const out of [child.stdout, child.stderr]) out.on('data', (d) => (printed += d));
    child.on('close', (code) => resolve({ ok: code === 0, printed }));
  });

/** Ends all that still runs. */
export function endChildren() {
  for (const { pid } of running) {
    try {
      process.kill(-pid, 'SIGTERM');
    } catch {
      // it has just ended by itself
    }
  }
}
