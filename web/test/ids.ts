/** Today, and ids of what stands in the tests of screens. */
export const TODAY = '2037-03-09';
export const ID = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
export const FRAME = ID(101);
export const BENCH = ID(102);
