import { expect } from 'chai';
import fc from 'fast-check';
import {
  branchFaults,
  chopPlan,
  cleanUp,
  levelsOf,
  ROLES,
  selectAfter,
  stemFaults,
} from '@gonimos/core/stem';
import { ask, part, stem } from './drawn.ts';

const faultsOf = (parts: ReturnType<typeof part>[]) =>
  Object.fromEntries([...branchFaults(stem(parts), 300)].map(([id, f]) => [id, f]));

// all of it common practice, no source
describe('what is wrong with branches', () => {
  it('a stub, one that grows back, one beside the leader, one at the viewer, one that takes over', () => {
    expect(
      faultsOf([
        part('a', 60, { kind: 'stub', diameter: 6 }),
        part('b', 120, { rise: 100 }),
        part('c', 180, { rise: 80, azimuth: 270 }),
        // the front looks to 180°
        part('d', 90, { azimuth: 175 }),
        part('e', 240, { diameter: 14 }),
        part('f', 280, { azimuth: 0 }),
      ]),
    ).to.deep.equal({ a: ['stub'], b: ['inward'], c: ['upward'], d: ['viewer'], e: ['thick'] });
  });

  it('of a whorl two stay, far apart; of a double the one that was decided about', () => {
    const whorl = [0, 60, 180, 240].map((azimuth, i) => part('abcd'[i], 150 + i, { azimuth }));
    const marked = faultsOf(whorl);
    // at the viewer stands c; the two farthest apart without it stay
    expect(Object.keys(marked).filter((id) => marked[id].includes('whorl'))).to.have.length(2);
    expect(marked.c).to.include('whorl');
    const double = [part('a', 100, { azimuth: 90 }), part('b', 104, { azimuth: 110, role: 'first' })];
    expect(faultsOf(double)).to.deep.equal({ a: ['double'] });
    expect(faultsOf([part('a', 100, { azimuth: 90 }), part('b', 104, { azimuth: 270 })])).to.deep.equal({});
    expect(levelsOf(stem(whorl)).map((l) => l.length)).to.deep.equal([4]);
  });

  it('spacing shortens upward: a gap longer than the one below is told', () => {
    const at = (heights: number[]) =>
      faultsOf(heights.map((h, i) => part('abcd'[i], h, { role: 'back', azimuth: i % 2 ? 90 : 270 })));
    expect(at([100, 160, 205, 240])).to.deep.equal({});
    expect(at([100, 140, 200, 240])).to.deep.equal({ c: ['crowded'] });
  });

  it('the weak lose little, the strong more, the gravest first; what is decided about stays', () => {
    const parts = [
      part('a', 60, { kind: 'stub', diameter: 6 }),
      part('b', 120, { rise: 100, diameter: 5 }),
      part('c', 180, { rise: 80, azimuth: 270, diameter: 5 }),
      part('d', 90, { azimuth: 175, diameter: 5, role: 'first' }),
    ];
    const at = (vigour: number) => cleanUp(stem(parts), 300, vigour);
    // dead wood costs a plant nothing
    expect(at(1).now.map((c) => c.part.id)).to.deep.equal(['a']);
    expect(at(1).later.map((c) => c.part.id)).to.deep.equal(['b', 'c']);
    expect(at(5).now.map((c) => c.part.id)).to.deep.equal(['a', 'b', 'c']);
    // 25 of 3 · 25 and the leader’s 20.5² at 300 mm
    expect(at(5).now[1].share).to.be.closeTo(25 / (75 + 20.5 ** 2), 0.01);
  });

  it('property: never more than is borne, nothing twice, nothing that was decided about', () => {
    const someone = fc.record({
      height: fc.integer({ min: 5, max: 290 }),
      azimuth: fc.integer({ min: 0, max: 359 }),
      diameter: fc.integer({ min: 1, max: 20 }),
      rise: fc.integer({ min: -30, max: 110 }),
      role: fc.constantFrom(...ROLES.filter((r) => r !== 'leader'), null),
      kind: fc.constantFrom('branch' as const, 'shoot' as const, 'stub' as const),
    });
    fc.assert(
      fc.property(fc.array(someone, { maxLength: 14 }), fc.integer({ min: 1, max: 5 }), (all, vigour) => {
        const parts = all.map((p, i) =>
          part(`p${i}`, p.height, { ...p, role: p.kind === 'stub' ? null : p.role }),
        );
        expect(stemFaults(stem(parts))).to.deep.equal([]);
        const { now, later, takes, limit } = cleanUp(stem(parts), 300, vigour);
        expect(takes).to.be.at.most(limit + 1e-9);
        const ids = [...now, ...later].map((c) => c.part.id);
        expect(new Set(ids).size).to.equal(ids.length);
        for (const c of [...now, ...later]) expect(['first', 'back', 'leader']).to.not.include(c.part.role);
        // dead wood never waits
        expect(later.every((c) => c.part.kind !== 'stub')).to.equal(true);
      }),
    );
  });
});

describe('after a chop', () => {
  const shoots = [
    part('a', 196, { kind: 'shoot', diameter: 5, azimuth: 10 }),
    part('b', 190, { kind: 'shoot', diameter: 4, azimuth: 180 }),
    part('c', 186, { kind: 'shoot', diameter: 3, azimuth: 20 }),
  ];

  it('three shoots: one leads, one stays in reserve on another side, the third goes when the leader stands', () => {
    const { shoots: said, until } = selectAfter(stem(shoots), 200)!;
    expect(said.map((s) => [s.part.id, s.becomes])).to.deep.equal([
      ['a', 'leader'],
      ['b', 'reserve'],
      ['c', 'off'],
    ]);
    // a third of the wound: 30 mm at the base, 0.5 at the tip
    expect(until).to.be.closeTo((30 - (29.5 * 200) / 900) / 3, 0.4);
    expect(selectAfter(stem([part('x', 40)]), 400)).to.equal(null);
  });

  it('what the grower says leads, leads; a low branch thicker than the leader is named', () => {
    const own = shoots.map((p) => (p.id === 'c' ? { ...p, role: 'leader' as const } : p));
    const low = part('low', 40, { diameter: 12 });
    const { shoots: said, thicker } = selectAfter(stem([...own, low]), 200)!;
    expect(said[0].part.id).to.equal('c');
    expect(thicker.map((p) => p.id)).to.deep.equal(['low']);
    expect(
      stemFaults(stem(own.map((p) => ({ ...p, role: 'leader' as const })))).map((f) => f.text),
    ).to.deep.equal(['have more than one that leads']);
  });

  it('weighs in where to cut', () => {
    const at = (role: 'leader' | null) =>
      chopPlan(
        ask(stem([part('a', 130, { diameter: 8, role }), part('b', 170, { diameter: 8, azimuth: 270 })])),
      ).cuts.find((c) => c.leader?.id === 'a')!.points;
    expect(at('leader') - at(null)).to.be.closeTo(2, 1e-9);
  });
});
