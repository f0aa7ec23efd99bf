/** Fails on folders that lean on each other: a subject can be read, changed and taken out by itself. */
import { circlesIn } from './lib/folders.mjs';

const lines = ['core/src', 'contract/src', 'server/src', 'web/src'].flatMap(circlesIn);
if (lines.length > 0) {
  console.error(lines.join('\n'));
  process.exit(1);
}
