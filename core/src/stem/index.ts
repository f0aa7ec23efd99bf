export * from './branches.ts';
export * from './chop.ts';
export * from './closing.ts';
export * from './record.ts';
export * from './sacrifice.ts';
