import sharp from 'sharp';
import { INKS, type Mark, type Page, type Path, type Text } from '@gonimos/core/paper';
import { runsOf } from './fonts.ts';

/** Letters as their outlines, so that no font has to be where the picture is made. */
function textSvg({ text, x, y, size, face, ink }: Text): string {
  let at = x;
  let out = '';
  for (const { cut, text: run } of runsOf(text, face)) {
    const per = size / cut.font.unitsPerEm;
    const { glyphs, positions } = cut.font.layout(run);
    glyphs.forEach((glyph, i) => {
      out += `<path transform="translate(${at} ${y}) scale(${per} ${-per})" fill="${INKS[ink]}" d="${glyph.path.toSVG()}"/>`;
      at += positions[i].xAdvance * per;
    });
  }
  return out;
}

function pathSvg({ d, x, y, scale, fill, stroke, width = 0.7 }: Path): string {
  const line = stroke ? `stroke="${INKS[stroke]}" stroke-width="${width / scale}"` : '';
  return `<path transform="translate(${x} ${y}) scale(${scale})" fill="${fill ? INKS[fill] : 'none'}" ${line} d="${d}"/>`;
}

const markSvg = (mark: Mark): string => (mark.kind === 'text' ? textSvg(mark) : pathSvg(mark));

/** A page as a picture of so many dots. */
export function pngOf(page: Page, dots: { width: number; height: number }): Promise<Buffer> {
  const marks = page.marks.map(markSvg).join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${dots.width}" height="${dots.height}" viewBox="0 0 ${page.width} ${page.height}"><rect width="100%" height="100%" fill="#ffffff"/>${marks}</svg>`;
  return sharp(Buffer.from(svg)).flatten({ background: '#ffffff' }).greyscale().png().toBuffer();
}
