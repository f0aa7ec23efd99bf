export * from './mist.ts';
export * from './pace.ts';
