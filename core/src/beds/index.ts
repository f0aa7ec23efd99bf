export * from './room.ts';
export * from './winter.ts';
