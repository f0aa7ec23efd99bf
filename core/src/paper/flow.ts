import {
  PAPER_SIZE,
  rule,
  type Face,
  type Ink,
  type Mark,
  type Page,
  type PageSize,
  type Paper,
  type Ruler,
} from './sheet.ts';

/** White around what is printed, points: 13 mm. */
const MARGIN = 37;
const LEADING = 1.32;

interface Look {
  size?: number;
  face?: Face;
  ink?: Ink;
}

/** Lines of a text that fit a width; a word that is wider is broken where it must be. */
export function wrapped(text: string, width: number, size: number, face: Face, ruler: Ruler): string[] {
  const fits = (line: string) => ruler.width(line, size, face) <= width;
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const longer = line ? `${line} ${word}` : word;
    if (fits(longer)) {
      line = longer;
      continue;
    }
    if (line) lines.push(line);
    line = word;
    while (!fits(line) && line.length > 1) {
      let keep = line.length - 1;
      while (keep > 1 && !fits(line.slice(0, keep))) keep--;
      lines.push(line.slice(0, keep));
      line = line.slice(keep);
    }
  }
  if (line) lines.push(line);
  return lines;
}

/** Text that ends in “…” where it is wider than its room. */
export function clipped(text: string, width: number, size: number, face: Face, ruler: Ruler): string {
  if (ruler.width(text, size, face) <= width) return text;
  let keep = text.length;
  while (keep > 0 && ruler.width(`${text.slice(0, keep).trimEnd()}…`, size, face) > width) keep--;
  return `${text.slice(0, keep).trimEnd()}…`;
}

/** A sheet that is written from the top down and goes on on a next page; each page says what it belongs to. */
export class Flow {
  readonly pages: Page[] = [];
  readonly left = MARGIN;
  readonly width: number;
  y = 0;
  private readonly size: PageSize;

  constructor(
    paper: Paper,
    private readonly ruler: Ruler,
    /** stands at the foot of every page */
    private readonly foot: string,
  ) {
    this.size = PAPER_SIZE[paper];
    this.width = this.size.width - 2 * MARGIN;
    this.turn();
  }

  /** Begins a page. */
  turn(): void {
    this.pages.push({ width: this.size.width, height: this.size.height, marks: [] });
    this.y = MARGIN;
  }

  get bottom(): number {
    return this.size.height - MARGIN - 16;
  }

  /** Makes sure that so much stays together. */
  need(height: number): void {
    if (this.y + height > this.bottom && this.y > MARGIN) this.turn();
  }

  gap(height: number): void {
    this.y += height;
  }

  put(...marks: Mark[]): void {
    this.pages[this.pages.length - 1].marks.push(...marks);
  }

  rule(ink: Ink = 'line'): void {
    this.put(rule(this.left, this.y, this.width, ink));
  }

  lines(text: string, width: number, look: Look = {}): string[] {
    return wrapped(text, width, look.size ?? 10, look.face ?? 'plain', this.ruler);
  }

  /** Lines of a text below one another, from `x`; gives where they end. */
  write(text: string, x = this.left, width = this.width, look: Look = {}): number {
    const { size = 10, face = 'plain', ink = 'black' } = look;
    for (const line of this.lines(text, width, look)) {
      this.need(size * LEADING);
      this.put({ kind: 'text', x, y: this.y + size, text: line, size, face, ink });
      this.y += size * LEADING;
    }
    return this.y;
  }

  heading(text: string, size = 13): void {
    this.gap(size * 0.5);
    // never the last line of a page
    this.need(size * LEADING + 28);
    this.write(text, this.left, this.width, { size, face: 'bold' });
    this.gap(2);
  }

  /** A line of a list with its mark before it. */
  item(mark: string, text: string, look: Look & { indent?: number } = {}): void {
    const { size = 10, indent = 14 } = look;
    const height = this.lines(text, this.width - indent, look).length * size * LEADING;
    this.need(Math.min(height, this.bottom - MARGIN));
    this.put({ kind: 'text', x: this.left, y: this.y + size, text: mark, size, face: 'bold', ink: 'black' });
    this.write(text, this.left + indent, this.width - indent, look);
    this.gap(2);
  }

  /** Writes the foot of every page; the sheet is done. */
  end(): Page[] {
    this.pages.forEach((page, i) => {
      const y = this.size.height - MARGIN;
      const of = this.pages.length > 1 ? `${i + 1} of ${this.pages.length}` : '';
      const text = clipped(this.foot, this.width - 60, 8, 'plain', this.ruler);
      page.marks.push(rule(MARGIN, y - 11, this.width));
      page.marks.push({ kind: 'text', x: MARGIN, y, text, size: 8, face: 'plain', ink: 'soft' });
      const x = this.size.width - MARGIN - this.ruler.width(of, 8, 'plain');
      if (of) page.marks.push({ kind: 'text', x, y, text: of, size: 8, face: 'plain', ink: 'soft' });
    });
    return this.pages;
  }
}
