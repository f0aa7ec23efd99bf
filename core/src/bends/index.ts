export { bendIn, type BentIn } from './bend-in.ts';
export * from './line.ts';
export * from './measure.ts';
export * from './quota.ts';
export * from './recipe.ts';
export * from './words.ts';
