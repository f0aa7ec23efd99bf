/** Makes the demo nursery that the suites copy, and prints the name of its database. */
import { makeDemo } from './harness.ts';

console.log(await makeDemo());
process.exit(0);
