import { wrongField } from './problem.ts';

/** Asks back about a figure that is hard to believe; sent again with `meant`, it is taken. */
export function askBack(doubt: string | null, meant: boolean): void {
  if (doubt !== null && !meant) throw wrongField('meant', doubt);
}
