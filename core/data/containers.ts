import type { Wall } from '../src/containers/index.ts';

/** Name, wall, inside length (or diameter), width at the rim, the same at the base, depth: mm; shared by many plants, or of cloth. Invented ware. */
type Row = [
  id: string,
  name: string,
  wall: Wall,
  rim: [number, number] | number,
  base: [number, number] | number,
  depth: number,
  more?: 'shared' | 'flexible',
];

export const CONTAINER_ROWS: Row[] = [
  ['seed-flat', 'seed flat 40 × 30 cm', 'smooth', [400, 300], [385, 285], 60, 'shared'],
  ['cutting-tray', 'cutting tray, 60 places', 'smooth', [500, 300], [480, 280], 80, 'shared'],
  ['cell-105', 'air-pruning cell 4 cm, deep (105)', 'air-pruning', 40, 28, 120],
  ['cell-60', 'air-pruning cell 5 cm (60)', 'air-pruning', 50, 38, 120],
  ['pot-9', 'square pot 9 cm', 'smooth', [85, 85], [65, 65], 90],
  ['air-pot-1', 'air-pruning pot 1 L', 'air-pruning', 125, 105, 120],
  ['pot-13', 'pot 13 cm', 'smooth', 128, 96, 115],
  ['pot-17', 'pot 17 cm', 'smooth', 168, 130, 150],
  ['grooved-3', 'grooved root pot 3 L', 'grooved', 180, 140, 150],
  ['clay-15', 'porous clay pot 15 cm', 'porous', 148, 100, 120],
  ['basket-18', 'pond basket 18 cm', 'air-pruning', [180, 180], [130, 130], 130],
  ['basket-25', 'pond basket 25 cm', 'air-pruning', [250, 250], [190, 190], 170],
  ['basket-32', 'pond basket 32 cm', 'air-pruning', [320, 320], [250, 250], 200],
  ['tray-wide', 'wide training box 45 × 30 cm', 'air-pruning', [450, 300], [440, 290], 110],
  ['band-10', 'bottomless band 10 cm', 'air-pruning', [95, 95], [95, 95], 140],
  ['bag-15', 'cloth bag 15 L', 'air-pruning', 280, 280, 260, 'flexible'],
  ['training-22', 'training pot 22 cm, shallow', 'smooth', 220, 190, 80],
  ['show-14', 'show pot 14 cm', 'smooth', [140, 100], [130, 90], 40],
  ['ground', 'open ground', 'ground', [600, 600], [600, 600], 400],
];

/** Pots of one make from small to large: a snug school takes the next smaller, a small one two. */
export const SIZES: readonly (readonly string[])[] = [
  ['pot-9', 'pot-13', 'pot-17'],
  ['basket-18', 'basket-25', 'basket-32'],
  ['show-14', 'training-22'],
];
