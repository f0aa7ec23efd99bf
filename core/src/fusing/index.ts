export * from './join.ts';
export * from './joint.ts';
export { LACKS, MEMBERS_MOST, STEP, type Lack } from './limits.ts';
export * from './member.ts';
export { branchesMeet, type Meeting } from './neighbours.ts';
export * from './solve.ts';
export { agreeWorth, aloneWorth, GAPS, intoWorth, sectorsOf, SECTORS, TURNS, wayTo } from './value.ts';
