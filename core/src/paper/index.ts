export * from './flow.ts';
export * from './sheet.ts';
