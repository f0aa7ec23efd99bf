import type { Pliant, Recipe } from './recipe.ts';

const WAYS = ['back', 'back right', 'right', 'front right', 'front', 'front left', 'left', 'back left'];

/** Direction of a bend as it is said: "front left". */
export const wayWords = (side: number): string => WAYS[Math.round((((side % 360) + 360) % 360) / 45) % 8];

/** A bend as it is done at the bench. @example '1: at 42 mm, 35° to the front left, over 30 mm' */
export const bendWords = ({ bends }: Pick<Recipe, 'bends'>, { length }: Pick<Pliant, 'length'>): string[] =>
  bends.map(
    (b, i) =>
      `${i + 1}: at ${Math.round(b.at * length)} mm, ${Math.round(b.turn)}° to the ${wayWords(b.side)}, over ${Math.round(b.over * length)} mm`,
  );
