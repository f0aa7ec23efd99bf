export * from './chain.ts';
export * from './judge.ts';
export * from './plant.ts';
export * from './propose.ts';
