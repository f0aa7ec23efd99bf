export * from './stages.ts';
export * from './survival.ts';
export * from './numbers.ts';
export * from './space.ts';
export * from './remarks.ts';
