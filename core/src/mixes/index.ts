export * from './batch.ts';
export * from './blend.ts';
export * from './column.ts';
export * from './feed.ts';
export * from './recipe.ts';
export * from './weight.ts';
