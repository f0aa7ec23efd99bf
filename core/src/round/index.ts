export * from './kit.ts';
export * from './sheet.ts';
export * from './share.ts';
