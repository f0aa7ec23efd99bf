import {
  clipped,
  PAPER_SIZE,
  points,
  type Mark,
  type Page,
  type Paper,
  type Path,
  type Ruler,
} from '../paper/index.ts';

/** What a label says of a cohort. */
export interface Label {
  code: string;
  /** the kind by both of its names */
  name: string;
  botanical: string;
  /** how and when it began: "seed, spring 2036" */
  began: string;
  /** address its code of squares opens */
  opens: string;
}

/** Squares of a code that is read by a camera, row by row: true is dark. */
export interface Squares {
  size: number;
  dark: (row: number, column: number) => boolean;
}

/** Paper of a printer of sheets, or the roll of a printer of labels. */
export const LABEL_PAPERS = ['A4', 'Letter', 'roll'] as const;
export type LabelPaper = (typeof LABEL_PAPERS)[number];

/** One label of the roll: a strip that is stuck in the pot, mm. */
export const ROLL = { width: 100, height: 25 } as const;
/** Labels of a sheet stand in a grid, to be cut apart. */
const GRID = { columns: 2, rows: 10 } as const;
const MARGIN = 28;
/** White round the squares, in squares, as the standard of the code asks. */
const QUIET = 4;
const PAD = 5;

/** The squares as one path, joined along each row. */
export function squaresPath({ size, dark }: Squares): string {
  let d = '';
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) {
      if (!dark(row, column) || (column > 0 && dark(row, column - 1))) continue;
      let end = column;
      while (end < size && dark(row, end)) end++;
      d += `M${column} ${row}H${end}V${row + 1}H${column}Z`;
    }
  return d;
}

interface Room {
  x: number;
  y: number;
  width: number;
  height: number;
}

function labelMarks(label: Label, squares: Squares, room: Room, ruler: Ruler): Mark[] {
  const side = room.height - 2 * PAD;
  const scale = side / (squares.size + 2 * QUIET);
  const code: Path = {
    kind: 'path',
    d: squaresPath(squares),
    x: room.x + room.width - side - PAD + QUIET * scale,
    y: room.y + PAD + QUIET * scale,
    scale,
    fill: 'black',
  };
  const wide = room.width - side - 3 * PAD;
  const big = room.height * 0.3;
  const small = room.height * 0.145;
  const line = (text: string, y: number, size: number, face: 'plain' | 'bold'): Mark => ({
    kind: 'text',
    x: room.x + PAD,
    y: room.y + y,
    text: clipped(text, wide, size, face, ruler),
    size,
    face,
    ink: 'black',
  });
  return [
    code,
    line(label.code, PAD + big * 0.85, big, 'bold'),
    line(label.name, PAD + big + small * 1.2, small, 'bold'),
    line(label.botanical, PAD + big + small * 2.45, small, 'plain'),
    line(label.began, PAD + big + small * 3.7, small, 'plain'),
  ];
}

/** A page for each label of a roll. */
const onRoll = (labels: readonly Label[], squaresOf: (label: Label) => Squares, ruler: Ruler): Page[] => {
  const size = { width: points(ROLL.width), height: points(ROLL.height) };
  return labels.map((l) => ({
    ...size,
    marks: labelMarks(l, squaresOf(l), { x: 0, y: 0, ...size }, ruler),
  }));
};

/** Labels on sheets, with thin lines to cut along. */
function onSheets(
  labels: readonly Label[],
  paper: Paper,
  squaresOf: (label: Label) => Squares,
  ruler: Ruler,
): Page[] {
  const { width, height } = PAPER_SIZE[paper];
  const cell = {
    width: (width - 2 * MARGIN) / GRID.columns,
    height: (height - 2 * MARGIN) / GRID.rows,
  };
  const each = GRID.columns * GRID.rows;
  return Array.from({ length: Math.ceil(labels.length / each) }, (_, page) => {
    const marks: Mark[] = [];
    labels.slice(page * each, (page + 1) * each).forEach((l, i) => {
      const x = MARGIN + (i % GRID.columns) * cell.width;
      const y = MARGIN + Math.floor(i / GRID.columns) * cell.height;
      const cut = `M0 0H${cell.width.toFixed(2)}V${cell.height.toFixed(2)}H0Z`;
      marks.push({ kind: 'path', d: cut, x, y, scale: 1, stroke: 'line', width: 0.4, dash: 3 });
      marks.push(...labelMarks(l, squaresOf(l), { x, y, ...cell }, ruler));
    });
    return { width, height, marks };
  });
}

/** Labels as pages of a sheet or of a roll. `squaresOf`: the code that opens a label's cohort, made by the edge. */
export const labelPages = (
  labels: readonly Label[],
  paper: LabelPaper,
  squaresOf: (label: Label) => Squares,
  ruler: Ruler,
): Page[] =>
  paper === 'roll' ? onRoll(labels, squaresOf, ruler) : onSheets(labels, paper, squaresOf, ruler);
