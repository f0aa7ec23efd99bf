import { expect } from 'chai';
import fc from 'fast-check';
import { faultsOf, PROGRAMMES, programme, retarget, type Programme } from '@gonimos/core/programmes';

const base = (): Programme => structuredClone(programme('seed-broadleaf'));
/** The library's programme with one thing changed. */
const changed = (change: (p: Programme) => void): string[] => {
  const p = base();
  change(p);
  return faultsOf(p).map((f) => `${f.step ?? 'programme'}: ${f.text}`);
};

describe('faults of a programme someone wrote', () => {
  it('finds none in the library’s own', () => {
    for (const p of PROGRAMMES) expect(faultsOf(p), p.id).to.deep.equal([]);
  });

  it('names step and reason of each fault', () => {
    const cases: [change: (p: Programme) => void, says: RegExp][] = [
      [(p) => (p.name = '  '), /^programme: the name is empty$/],
      [(p) => (p.steps = []), /^programme: it has no steps$/],
      [(p) => (p.vigour = 9), /^programme: vigour is between 1 and 5$/],
      [(p) => (p.vigour = Number.NaN), /^programme: vigour is between 1 and 5$/],
      [(p) => (p.steps[1].key = 'Bad Key'), /^Bad Key: the key is small letters, digits and hyphens$/],
      [(p) => (p.steps[2].key = p.steps[1].key), /^emergence: the key ‘emergence’ is there twice$/],
      [(p) => (p.steps[1].operation = 'polish'), /^emergence: ‘polish’ is not an operation of the library$/],
      [
        (p) => (p.steps[1].after = [{ step: 'training' }]),
        /waits for ‘training’, which does not come before it$/,
      ],
      [(p) => (p.steps[1].after = []), /^emergence: waits for nothing: name the step it follows$/],
      [(p) => (p.steps[0].after = [{ step: 'training' }]), /^sow: the first step waits for nothing$/],
      [(p) => (p.steps[1].after = [{ step: 'sow', days: -1 }]), /the lag after ‘sow’ is below 0$/],
      [(p) => (p.steps[1].after = [{ step: 'sow', seasons: 40 }]), /the lag after ‘sow’ is too long$/],
      [(p) => (p.steps[2].container = 'bucket'), /^cells: ‘bucket’ is not a container of the library$/],
      [(p) => (p.steps[4].rootLoss = 1.2), /a share of root or top is between 0 and 1$/],
      [
        (p) => (p.steps[4].conditions = [{ measure: 'fill', atLeast: 3, unit: 'share' }]),
        /the fill asked for makes no sense$/,
      ],
      [
        (p) => (p.steps[4].conditions = [{ measure: 'caliper', atLeast: Number.NaN, unit: 'mm' }]),
        /the caliper asked for makes no sense$/,
      ],
      [
        (p) => (p.steps[4].only = { question: 'insults', options: ['three'] }),
        /asks for a school the library does not hold$/,
      ],
      [
        (p) => ((p.schools as Record<string, string>).insults = 'three'),
        /^programme: no such school: insults three$/,
      ],
      [
        (p) => (p.cycles = [{ steps: ['nowhere'], times: 2, every: 1 }]),
        /^programme: a cycle names a step that is not there$/,
      ],
      [
        (p) => (p.cycles = [{ steps: ['sow'], times: 99, every: 1 }]),
        /^programme: a cycle turns 1 to 10 times$/,
      ],
      [
        (p) => (p.steps = Array.from({ length: 61 }, (_, i) => ({ ...p.steps[1], key: `s${i}` }))),
        /^programme: it has more than 60 steps$/,
      ],
    ];
    for (const [change, says] of cases) {
      const faults = changed(change);
      expect(
        faults.some((f) => says.test(f)),
        `${says} in ${faults.join('; ')}`,
      ).to.equal(true);
    }
  });

  it('property: a step taken out is missed by those that waited for it, and by nobody else', () => {
    const some = fc
      .constantFrom(...PROGRAMMES)
      .chain((p) => fc.record({ p: fc.constant(p), at: fc.integer({ min: 1, max: p.steps.length - 1 }) }));
    fc.assert(
      fc.property(some, ({ p, at }) => {
        const gone = p.steps[at].key;
        const rest = { ...p, steps: p.steps.filter((s) => s.key !== gone), cycles: [] };
        const told = faultsOf(rest)
          .map((f) => f.step)
          .sort();
        const waiting = rest.steps.filter((s) => s.after.some((a) => a.step === gone)).map((s) => s.key);
        expect(told).to.deep.equal(waiting.sort());
      }),
      { numRuns: 300 },
    );
  });
});

describe('from one programme to another midway', () => {
  const some = fc
    .record({
      from: fc.constantFrom(...PROGRAMMES),
      to: fc.constantFrom(...PROGRAMMES),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
    })
    .map(({ from, to, share }) => ({
      from,
      to,
      // work is done in order: a beginning of the programme
      done: from.steps.slice(0, Math.floor(share * from.steps.length)).map((s) => s.key),
    }));

  it('property: only done steps are matched, each with its like, none twice, and what they wait for is matched too', () => {
    fc.assert(
      fc.property(some, ({ from, to, done }) => {
        const r = retarget(from, done, to);
        const targets = Object.values(r.keys);
        expect(new Set(targets).size).to.equal(targets.length);
        for (const [was, now] of Object.entries(r.keys)) {
          expect(done).to.include(was);
          const a = from.steps.find((s) => s.key === was)!;
          const b = to.steps.find((s) => s.key === now)!;
          expect(b.operation).to.equal(a.operation);
          for (const w of b.after.filter((x) => !x.optional)) expect(targets).to.include(w.step);
        }
        // it stands after the last one matched; what lies before and is not matched is told
        const last = to.steps.findLastIndex((s) => targets.includes(s.key));
        const at = to.steps.findIndex((s) => s.key === r.standsAt);
        expect(at).to.equal(Math.min(last + 1, to.steps.length - 1));
        expect(r.leftOut).to.deep.equal(
          to.steps
            .slice(0, last + 1)
            .map((s) => s.key)
            .filter((k) => !targets.includes(k)),
        );
      }),
      { numRuns: 1000 },
    );
  });

  it('property: onto itself it changes nothing', () => {
    fc.assert(
      fc.property(some, ({ from, done }) => {
        const r = retarget(from, done, from);
        expect(r.keys).to.deep.equal(Object.fromEntries(done.map((k) => [k, k])));
        expect(r.leftOut).to.deep.equal([]);
      }),
      { numRuns: 300 },
    );
  });
});
