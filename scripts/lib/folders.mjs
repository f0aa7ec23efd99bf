/** Folders of a part that lean on each other in a circle, by values or by types; each with the imports that do it. */
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve, sep } from 'node:path';

const IMPORT = /(?:from|import\()\s*'(\.[^']+)'/g;

function* sources(folder) {
  for (const e of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, e.name);
    if (e.isDirectory()) yield* sources(path);
    else if (/\.tsx?$/.test(e.name)) yield path;
  }
}

/** What each folder right under `root` imports from which others. */
function arrowsOf(root) {
  const folderOf = (path) => {
    const parts = relative(root, path).split(sep);
    return parts.length > 1 ? parts[0] : '.';
  };
  const arrows = new Map();
  for (const path of sources(root))
    for (const [, name] of readFileSync(path, 'utf8').matchAll(IMPORT)) {
      const to = resolve(dirname(path), name);
      const a = folderOf(path);
      const b = folderOf(to);
      if (a === b || relative(root, to).startsWith('..')) continue;
      const line = `${relative(root, path)} → ${relative(root, to)}`;
      const from = arrows.get(a) ?? new Map();
      from.set(b, [...(from.get(b) ?? []), line]);
      arrows.set(a, from);
    }
  return arrows;
}

/** Everything that can be reached from a folder. */
function reached(arrows, from) {
  const seen = new Set();
  const open = [from];
  for (let at = open.pop(); at !== undefined; at = open.pop())
    for (const next of arrows.get(at)?.keys() ?? [])
      if (!seen.has(next)) {
        seen.add(next);
        open.push(next);
      }
  return seen;
}

/** Lines to tell, none when there is no circle. */
export function circlesIn(root) {
  const arrows = arrowsOf(root);
  const lines = [];
  for (const [a, to] of arrows)
    for (const [b, imports] of to) if (reached(arrows, b).has(a)) lines.push(...imports.map((i) => `  ${i}`));
  return lines.length > 0 ? [`folders of ${root} lean on each other:`, ...lines] : [];
}
