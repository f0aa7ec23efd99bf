export * from './layer.ts';
