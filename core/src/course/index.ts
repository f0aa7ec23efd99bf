export * from './compile.ts';
export * from './diff.ts';
export { onlyDrifted, type Drifting } from './drift.ts';
export * from './types.ts';
export { readyShare } from './rules/buds.ts';
export { RULE_WORDS } from './rules/words.ts';
export { isYearly } from './yearly.ts';
export { MARKER_WORDS } from './windows/index.ts';
export { CLEARANCE } from './windows/since.ts';
