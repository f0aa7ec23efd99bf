export * from './stratify.ts';
export * from './emergence.ts';
export * from './animals.ts';
export * from './wakes.ts';
