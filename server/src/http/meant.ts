import { Refusal } from './problem.ts';

/** Asks back about a figure that is hard to believe; sent again with `meant`, it is taken. */
export function askBack(doubt: string | null, meant: boolean): void {
  if (doubt === null || meant) return;
  throw new Refusal('is-it-meant', `${doubt}: is it meant so?`, {
    errors: [{ field: 'meant', reason: doubt }],
  });
}
