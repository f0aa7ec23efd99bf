export * from './plant.ts';
export * from './reserve.ts';
export * from './seasons.ts';
