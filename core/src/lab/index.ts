export { CALLUS_TO_RING, METHODS, type Method, type Works } from '../../data/thickening.ts';
export * from './plant.ts';
export * from './run.ts';
export * from './types.ts';
export * from './calibrate.ts';
export * from './outcome.ts';
export * from './start.ts';
export * from './wish.ts';
export * from './search.ts';
