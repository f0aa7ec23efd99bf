import { expect } from 'chai';
import fc from 'fast-check';
import { exposure, type Root, type RootRecord } from '../../src/roots/index.ts';

/** A root that runs down at so many degrees, so long beyond the trunk. */
const root = (id: string, diameter: number, long: number, more: Partial<Root> = {}): Root => ({
  id,
  azimuth: 0,
  diameter,
  height: 0,
  angle: 60,
  fibre: null,
  path: [{ azimuth: 0, out: 10 + long }],
  forks: [],
  faults: [],
  note: '',
  ...more,
});
const record = (...roots: Root[]): RootRecord => ({
  trunk: 20,
  front: 180,
  under: { kind: 'rock', size: 120, depth: 0 },
  profile: null,
  escaped: false,
  pests: '',
  roots,
});
const DOWN = Math.sin(Math.PI / 3);

/** What growers do: common practice, no source. */
describe('roots uncovered by stages', () => {
  it('by hand: two thirds of the middle root’s depth, in even parts', () => {
    const stages = exposure(record(root('a', 9, 100), root('b', 9, 120), root('c', 9, 200)), 2);
    // the middle one ends 120 · sin 60° down
    expect(stages.map((s) => s.to)).to.deep.equal([
      Math.round((120 * DOWN) / 3),
      Math.round((2 * 120 * DOWN) / 3),
    ]);
    expect(stages[1].bare).to.deep.equal(['a', 'b', 'c']);
  });

  it('one too thin where it would lie bare is wrapped, one that ends above it is led down anew', () => {
    const stages = exposure(
      record(root('a', 9, 120), root('b', 9, 120), root('fine', 3.4, 130), root('stub', 8, 40)),
      3,
    );
    expect(stages[0].thin).to.deep.equal(['fine']);
    expect(stages[0].short).to.deep.equal([]);
    expect(stages[2].short).to.deep.equal(['stub']);
    expect(stages[2].bare).to.deep.equal(['a', 'b']);
  });

  it('one that begins above the level ends so much higher; dead and level ones are none of it', () => {
    const [high] = exposure(record(root('a', 9, 120, { height: 30 })), 1);
    expect(high.to).to.equal(Math.round((2 / 3) * (120 * DOWN - 30)));
    expect(exposure(record(root('a', 9, 120, { angle: 5 })), 2)).to.deep.equal([]);
    expect(exposure(record(root('a', 9, 120, { faults: ['dead'] })), 2)).to.deep.equal([]);
    expect(exposure(record(), 2)).to.deep.equal([]);
    expect(exposure(record(root('a', 9, 120)), 0)).to.deep.equal([]);
  });

  it('property: each goes deeper, each root is in one list, and what was short once stays so', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            diameter: fc.double({ min: 1, max: 14, noNaN: true }),
            long: fc.integer({ min: 20, max: 300 }),
            angle: fc.integer({ min: 30, max: 88 }),
          }),
          { minLength: 1, maxLength: 9 },
        ),
        fc.integer({ min: 1, max: 5 }),
        (told, n) => {
          const roots = told.map((t, i) => root(`r${i}`, t.diameter, t.long, { angle: t.angle }));
          const stages = exposure(record(...roots), n);
          expect(stages).to.have.length(n);
          stages.forEach((s, i) => {
            const all = [...s.bare, ...s.thin, ...s.short];
            expect(new Set(all).size).to.equal(all.length);
            expect(all).to.have.length(roots.length);
            if (i > 0) {
              expect(s.to).to.be.at.least(stages[i - 1].to);
              expect(s.short).to.include.members(stages[i - 1].short);
            }
          });
        },
      ),
    );
  });
});
