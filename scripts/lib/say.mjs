/** What the scripts print: short lines, one a step, with the time it took. */
import { spawnSync } from 'node:child_process';

export const say = (text) => console.log(`· ${text}`);

export async function step(text, work) {
  const from = Date.now();
  say(`${text} …`);
  const value = await work();
  const s = (Date.now() - from) / 1000;
  if (s > 1) say(`${text}: ${s.toFixed(1)} s`);
  return value;
}

export function giveUp(text) {
  console.error(`\n${text}\n`);
  process.exit(1);
}

/** Runs a command to its end; throws with what it printed when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'], ...options });
  if (done.error) throw done.error;
  if (done.status !== 0)
    throw new Error(
      `${command} ${args.join(' ')} ended with ${done.status}\n${done.stdout ?? ''}${done.stderr ?? ''}`,
    );
  return done.stdout ?? '';
}

export const works = (command, args, options = {}) =>
  spawnSync(command, args, { ...options, stdio: 'ignore' }).status === 0;
