export * from './compile.ts';
export * from './diff.ts';
export { afterSeasons } from './growing.ts';
export * from './types.ts';
export { readyShare } from './rules/buds.ts';
export { MARKER_WORDS } from './window.ts';
export { reserveDrop, RESERVE_CAP, RESERVE_GAIN, WEAKNESS } from './tree.ts';
