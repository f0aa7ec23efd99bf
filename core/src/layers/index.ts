export * from './margin.ts';
export * from './filling.ts';
export * from './design.ts';
export * from './history.ts';
