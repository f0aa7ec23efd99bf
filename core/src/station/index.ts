export * from './readings.ts';
export * from './warnings.ts';
