/** The server as plain JavaScript: it starts in a third of the time that reading its sources anew would take. */
import { build } from 'esbuild';
import { ROOT } from './packages.mjs';

/** Packages are taken from where they are installed; what is ours is put into the bundle. */
const packagesApart = {
  name: 'packages apart',
  setup: (b) =>
    b.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@gonimos/') ? undefined : { external: true },
    ),
};

/**
 * Writes what starts it, main.js, and thread.js for the threads that plan, into a folder below the repository.
 * `start`: another file to start from.
 */
export const buildServer = (outdir, start = 'server/src/main.ts') =>
  build({
    absWorkingDir: ROOT,
    entryPoints: [start, 'server/src/thread.ts'],
    entryNames: '[name]',
    outdir,
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    sourcemap: 'linked',
    logLevel: 'warning',
    plugins: [packagesApart],
  });
