import { expect } from 'chai';
import fc from 'fast-check';
import { facesOf, planCuts, termsOf, type Root, type RootRecord } from '@gonimos/core/roots';
import { taxon } from '@gonimos/core/taxa';

const root = (id: string, azimuth: number, diameter: number): Root => ({
  id,
  azimuth,
  diameter,
  height: 0,
  angle: 60,
  fibre: null,
  path: [{ azimuth, out: 120 }],
  forks: [],
  faults: [],
  note: '',
});
const onRock = (roots: Root[], front = 180): RootRecord => ({
  trunk: 17,
  front,
  under: { kind: 'rock', size: 150, depth: 4 },
  profile: null,
  escaped: false,
  pests: '',
  roots,
});
const held = (r: RootRecord) => Object.fromEntries(facesOf(r)!.map((f) => [f.name, f.held]));

describe('sides of a rock', () => {
  it('a quarter each, seen from the front: to the right of who looks north is east', () => {
    // the front looks south: who stands there looks north
    const r = onRock([root('s', 180, 3), root('e', 90, 3), root('n', 0, 3), root('w', 270, 3)]);
    expect(facesOf(r)!.map((f) => [f.name, f.roots[0], f.share])).to.deep.equal([
      ['front', 's', 0.25],
      ['right', 'e', 0.25],
      ['back', 'n', 0.25],
      ['left', 'w', 0.25],
    ]);
  });

  it('a side without a root is bare, one that carries little is thin', () => {
    const r = onRock([root('a', 180, 5), root('b', 90, 5), root('c', 0, 1.5)]);
    expect(held(r)).to.deep.equal({ front: 'well', right: 'well', back: 'thin', left: 'bare' });
    expect(held(onRock([]))).to.deep.equal({ front: 'bare', right: 'bare', back: 'bare', left: 'bare' });
  });

  it('where a root ends counts, not where it leaves the trunk; on a tile there are no sides', () => {
    const bent = {
      ...root('a', 180, 4),
      path: [
        { azimuth: 150, out: 40 },
        { azimuth: 95, out: 120 },
      ],
    };
    expect(held(onRock([bent])).right).to.equal('well');
    expect(facesOf({ ...onRock([]), under: { kind: 'tile', size: 90, depth: 2 } })).to.equal(null);
    expect(facesOf({ ...onRock([]), under: null })).to.equal(null);
  });

  it('property: each root is on one side, shares add up, and turning plant and front together changes nothing', () => {
    const some = fc.array(
      fc.record({ azimuth: fc.integer({ min: 0, max: 359 }), diameter: fc.integer({ min: 1, max: 9 }) }),
      {
        minLength: 1,
        maxLength: 12,
      },
    );
    fc.assert(
      fc.property(
        some,
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 0, max: 359 }),
        (all, front, by) => {
          const turned = (turn: number) =>
            onRock(
              all.map((r, i) => root(`r${i}`, (r.azimuth + turn) % 360, r.diameter)),
              (front + turn) % 360,
            );
          const faces = facesOf(turned(0))!;
          expect(faces.flatMap((f) => f.roots).toSorted()).to.deep.equal(
            all.map((_, i) => `r${i}`).toSorted(),
          );
          expect(faces.reduce((n, f) => n + f.share, 0)).to.be.closeTo(1, 1e-9);
          expect(facesOf(turned(by))).to.deep.equal(faces);
        },
      ),
    );
  });

  it('over a rock roots that run down are kept where they are; on the level the flat school takes to them', () => {
    const maple = taxon('acer-campestre');
    const none = { overruled: [], container: null, aside: 0, behind: 0 };
    const roots = [20, 95, 170, 245, 320].map((azimuth, i) => root('abcde'[i], azimuth, 4));
    const acts = (record: RootRecord) =>
      planCuts(record, termsOf(maple, 'flat', null, record, none), 0.6)!.choices.map((c) => c.action);
    expect(new Set(acts(onRock(roots)))).to.deep.equal(new Set(['keep']));
    // one far stronger than the others is no reason to cut it short: it feeds from its end, and is what will be seen
    const uneven = onRock(roots.map((r, i) => (i === 2 ? { ...r, diameter: 9 } : r)));
    expect(acts(uneven)).not.to.include('shorten');
    const flat = uneven.roots.map((r) => ({ ...r, angle: 5 }));
    expect(acts({ ...uneven, under: null, roots: flat }), 'on the level it is').to.include('shorten');
    expect(termsOf(maple, 'flat', null, onRock(roots), none).school).to.equal('descending');
    const level = { ...onRock(roots), under: null };
    expect(termsOf(maple, 'flat', null, level, none).school).to.equal('flat');
    const points = (record: RootRecord) =>
      planCuts(record, termsOf(maple, 'flat', null, record, none), 0)!.score.now;
    expect(points(level), 'steep roots on the level').to.be.below(points(onRock(roots)));
  });
});
