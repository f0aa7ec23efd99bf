import * as ground from './001-ground.ts';
import * as ledger from './002-ledger.ts';

/** Every migration in order. Forward only: mend with a new one. */
export const MIGRATIONS = [
  { name: '001-ground', ...ground },
  { name: '002-ledger', ...ledger },
];
