import PDFDocument from 'pdfkit';
import { FACES, INKS, type Mark, type Page, type Path, type Text } from '@gonimos/core/paper';
import { cuts, ruler, runsOf } from './fonts.ts';

type Doc = PDFKit.PDFDocument;

function drawText(doc: Doc, { text, x, y, size, face, ink }: Text): void {
  let at = x;
  for (const run of runsOf(text, face)) {
    doc
      .font(run.cut.name)
      .fontSize(size)
      .fillColor(INKS[ink])
      .text(run.text, at, y, { lineBreak: false, baseline: 'alphabetic' });
    at += ruler.width(run.text, size, face);
  }
}

function drawPath(doc: Doc, { d, x, y, scale, fill, stroke, width = 0.7, dash, clip }: Path): void {
  doc.save();
  if (clip) doc.rect(clip.x, clip.y, clip.width, clip.height).clip();
  doc.translate(x, y).scale(scale).path(d);
  // widths and dashes are of the paper, whatever the scale of the drawing
  doc
    .lineWidth(width / scale)
    .lineCap('round')
    .lineJoin('round');
  if (dash) doc.dash(dash / scale, { space: dash / scale });
  if (fill && stroke) doc.fillAndStroke(INKS[fill], INKS[stroke]);
  else if (fill) doc.fill(INKS[fill]);
  else doc.stroke(INKS[stroke ?? 'black']);
  doc.restore();
}

function draw(doc: Doc, mark: Mark): void {
  if (mark.kind === 'text') drawText(doc, mark);
  else drawPath(doc, mark);
}

/** A PDF of pages as the core laid them out; fonts are in it. */
export function pdfOf(pages: readonly Page[], title: string): Promise<Buffer> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    info: { Title: title, Creator: 'Gonimos' },
  });
  const parts: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (part: Buffer) => parts.push(part));
    doc.on('end', () => resolve(Buffer.concat(parts)));
    doc.on('error', reject);
  });
  for (const { name, file } of FACES.flatMap(cuts)) doc.registerFont(name, file);
  for (const page of pages) {
    doc.addPage({ size: [page.width, page.height], margin: 0 });
    for (const mark of page.marks) draw(doc, mark);
  }
  doc.end();
  return done;
}
