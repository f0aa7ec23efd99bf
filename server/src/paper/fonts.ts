import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { create, type Font } from 'fontkit';
import type { Face, Ruler } from '@gonimos/core/paper';
import { unpackWoff } from './unpack.ts';

/** A font file with what it can draw. */
export interface Cut {
  name: string;
  file: Buffer;
  font: Font;
}

const WEIGHT: Record<Face, number> = { plain: 400, bold: 700 };
const require = createRequire(import.meta.url);
const FONT = dirname(require.resolve('@fontsource/atkinson-hyperlegible-next/package.json'));

/** A face comes in two files: the usual letters, and those of more languages. */
function cutsOf(face: Face): Cut[] {
  return ['latin', 'latin-ext'].map((letters) => {
    const name = `atkinson-hyperlegible-next-${letters}-${WEIGHT[face]}-normal`;
    const file = unpackWoff(readFileSync(join(FONT, 'files', `${name}.woff`)));
    return { name, file, font: create(file) as Font };
  });
}

let faces: Record<Face, Cut[]> | null = null;
/** Read when the first sheet is drawn. */
export function cuts(face: Face): Cut[] {
  faces ??= { plain: cutsOf('plain'), bold: cutsOf('bold') };
  return faces[face];
}

/** A stretch of text that one file can draw. */
export interface Run {
  cut: Cut;
  text: string;
}

/** Letters that no file has are drawn as a question mark, so that it is seen that something stood there. */
export function runsOf(text: string, face: Face): Run[] {
  const runs: Run[] = [];
  const all = cuts(face);
  for (const letter of text.normalize('NFC')) {
    const code = letter.codePointAt(0)!;
    const cut = all.find((c) => c.font.hasGlyphForCodePoint(code));
    const drawn = cut ? letter : '?';
    const from = cut ?? all[0];
    const last = runs.at(-1);
    if (last?.cut === from) last.text += drawn;
    else runs.push({ cut: from, text: drawn });
  }
  return runs;
}

const ems = new Map<string, number>();
/** Width of a text, in parts of its size. */
function em(text: string, face: Face): number {
  const key = `${face}:${text}`;
  const known = ems.get(key);
  if (known !== undefined) return known;
  const wide = runsOf(text, face).reduce(
    (sum, { cut, text: t }) => sum + cut.font.layout(t).advanceWidth / cut.font.unitsPerEm,
    0,
  );
  // names come and go; what is measured again and again is few words
  if (ems.size > 20_000) ems.clear();
  ems.set(key, wide);
  return wide;
}

export const ruler: Ruler = { width: (text, size, face) => em(text, face) * size };
