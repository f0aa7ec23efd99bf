export * from './room.ts';
