export * from './kit.ts';
export * from './sheet.ts';
