export * from './problem.ts';
export * from './leveller.ts';
export * from './shortfall.ts';
