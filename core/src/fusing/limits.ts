/** Members are turned by steps of so many degrees. */
export const STEP = 10;

/** Directions of the places around the thickest: in depth and off the middle, no two in line. Common practice, no source. */
export const AROUND: readonly number[] = [65, 200, 305, 130, 255, 20, 165, 340];

/** Most stems that are set together at once. */
export const MEMBERS_MOST = AROUND.length + 1;

/** What a thicker tree may lack that a thin stem can fill. */
export const LACKS = ['root', 'line', 'branch'] as const;
export type Lack = (typeof LACKS)[number];
