import type { UnitSystem } from '../units/index.ts';

/** Lengths on paper are points, 1/72 inch; y runs down from the top of the page. */
export const PAPERS = ['A4', 'Letter'] as const;
export type Paper = (typeof PAPERS)[number];

/** What people who read these units print on. */
export const PAPER_OF: Readonly<Record<UnitSystem, Paper>> = { metric: 'A4', US: 'Letter' };

export interface PageSize {
  width: number;
  height: number;
}

export const PAPER_SIZE: Readonly<Record<Paper, PageSize>> = {
  A4: { width: 595.28, height: 841.89 },
  Letter: { width: 612, height: 792 },
};

/** Millimetres as points. */
export const points = (mm: number): number => (mm * 72) / 25.4;

export const FACES = ['plain', 'bold'] as const;
export type Face = (typeof FACES)[number];

/** What things are drawn with. Shapes tell them apart too, so that a copy without colour can be read. */
export const INKS = {
  black: '#1d1b16',
  soft: '#5b564b',
  line: '#b9b2a3',
  wood: '#c9a56b',
  goes: '#b3261e',
  moves: '#2f6b3c',
  white: '#ffffff',
} as const;
export type Ink = keyof typeof INKS;

export interface Text {
  kind: 'text';
  x: number;
  /** of the line the letters stand on */
  y: number;
  text: string;
  size: number;
  face: Face;
  ink: Ink;
}

/** A path as SVG writes it, drawn from `x`, `y` at a scale; widths and dashes are points. */
export interface Path {
  kind: 'path';
  d: string;
  x: number;
  y: number;
  scale: number;
  fill?: Ink;
  stroke?: Ink;
  width?: number;
  dash?: number;
  /** only what lies in this part of the page is drawn */
  clip?: Frame;
}

/** A part of a page. */
export interface Frame {
  x: number;
  y: number;
  width: number;
  height: number;
}

export type Mark = Text | Path;

export interface Page extends PageSize {
  marks: Mark[];
}

/** Widths of letters, as the edge that draws them knows them. */
export interface Ruler {
  /** points a text takes at a size */
  width: (text: string, size: number, face: Face) => number;
}

export const rule = (x: number, y: number, width: number, ink: Ink = 'line', thick = 0.7): Path => ({
  kind: 'path',
  d: `M0 0H${width.toFixed(2)}`,
  x,
  y,
  scale: 1,
  stroke: ink,
  width: thick,
});

export const box = (x: number, y: number, width: number, height: number, look: Partial<Path>): Path => ({
  kind: 'path',
  d: `M0 0H${width.toFixed(2)}V${height.toFixed(2)}H0Z`,
  x,
  y,
  scale: 1,
  ...look,
});
