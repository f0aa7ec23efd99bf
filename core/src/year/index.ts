export * from './problem.ts';
export * from './leveller.ts';
export * from './load.ts';
export * from './shortfall.ts';
