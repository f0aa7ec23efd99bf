import { expect } from 'chai';
import { bench } from './harness.ts';
import { Fuzzer, idsOf } from './fuzz.ts';

const INPUTS = Number(process.env.GONIMOS_FUZZ ?? 1000);
const SEED = Number(process.env.GONIMOS_FUZZ_SEED ?? 1);

describe('made-up requests', () => {
  it(`${INPUTS} over every route and role: none is a fault of ours`, async () => {
    const b = await bench();
    try {
      const visitors = await Promise.all([
        b.visitor(),
        ...(['helper', 'grower', 'owner', 'owner'] as const).map((r) => b.visitor(r)),
      ]);
      const fuzzer = new Fuzzer({ app: b.app, visitors, ids: await idsOf(b.db) }, SEED);
      const faults: string[] = [];
      for (let i = 0; i < INPUTS; i++) {
        const fault = await fuzzer.send();
        if (fault) faults.push(fault);
      }
      const told = [...fuzzer.answers].sort(([a], [b]) => a - b).map(([status, n]) => `${n} × ${status}`);
      console.log(
        `      ${told.join(', ')}; ${fuzzer.taken.size} of ${b.app.declared.length} routes took something`,
      );
      expect(faults, faults.slice(0, 8).join('\n')).to.deep.equal([]);
      // made-up is not meaningless: much of it is taken
      expect(fuzzer.taken.size).to.be.above(30);
    } finally {
      await b.close();
    }
  }).timeout(INPUTS * 200);
});
