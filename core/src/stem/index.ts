export * from './branches.ts';
export * from './chop.ts';
export * from './closing.ts';
export { ENOUGH_LIGHT, lightAt, USUAL_FOLIAGE, type Keeper } from './light.ts';
export * from './record.ts';
export * from './sacrifice.ts';
export * from './sprouts.ts';
