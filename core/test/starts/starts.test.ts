import { expect } from 'chai';
import fc from 'fast-check';
import { programme, PROGRAMMES } from '@gonimos/core/programmes';
import { random } from '@gonimos/core/random';
import {
  beginningOf,
  chanceOf,
  choices,
  goalState,
  libraryShare,
  stageEstimate,
  stagesOf,
  startNumber,
  throughAll,
} from '@gonimos/core/starts';
import { betaOf, sharedMasses } from '@gonimos/core/stats';
import { cp } from '@gonimos/core/params';
import { taxon } from '@gonimos/core/taxa';

const library = cp(0.6, 'share');

describe('how many to start', () => {
  it('forty at nine in ten from a mean of a half: 92 alone, 140 and 330 when trays share their fate', () => {
    // the binomial by tables, the others by simulation of the model: the worked figures of the design
    const n = (rho: number) => startNumber(40, 0.9, { mean: 0.5, rho });
    expect(n(0)).to.deep.equal({ kind: 'start', count: 92, alone: 92 });
    expect(n(0.1)).to.include({ kind: 'start', alone: 92 });
    expect((n(0.1) as { count: number }).count).to.be.within(136, 144);
    expect((n(0.3) as { count: number }).count).to.be.within(315, 345);
  });

  it('says it plainly when a confidence cannot be had within what may be started', () => {
    const share = { mean: 0.3, rho: 0.2 };
    const capped = startNumber(40, 0.95, share, 200);
    expect(capped).to.deep.include({ kind: 'not-attainable', most: 200 });
    expect((capped as { reached: number }).reached).to.be.within(0.5, 0.9);
    expect(startNumber(40, 0.9, share, 30)).to.include({ kind: 'not-attainable', reached: 0 });
    const dear = choices(
      40,
      share,
      { centsEach: 10, minutesEach: 1, wage: 1200, perTray: 60, trayArea: 0.15, areaAtStage: 0.06 },
      200,
    );
    const kinds = dear.map((c) => c.number.kind);
    expect([kinds[0], kinds.at(-1)]).to.deep.equal(['start', 'not-attainable']);
    expect(kinds.lastIndexOf('start')).to.be.below(kinds.indexOf('not-attainable'));
    // 10 cents of seed and a minute at 12 an hour: 30 cents each
    const [half] = dear;
    if (half.number.kind !== 'start') throw new Error('no number');
    expect(half.cents).to.equal(half.number.count * 30);
    expect(half.trays).to.equal(Math.ceil(half.number.count / 60));
    expect(half.area).to.be.closeTo(half.plants![2] * 0.06, 0.005);
  });

  it('property: more confidence, more plants or more doubt never ask for fewer; the number is the smallest', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.double({ min: 0.15, max: 0.95, noNaN: true }),
        fc.double({ min: 0.01, max: 0.25, noNaN: true }),
        fc.double({ min: 0.5, max: 0.9, noNaN: true }),
        (want, mean, rho, c) => {
          const count = (w: number, conf: number) => {
            const s = startNumber(w, conf, { mean, rho });
            return s.kind === 'start' ? s.count : Infinity;
          };
          const here = count(want, c);
          expect(count(want + 1, c)).to.be.at.least(here);
          expect(count(want, Math.min(0.99, c + 0.05))).to.be.at.least(here);
          if (here === Infinity) return;
          expect(chanceOf(want, here, { mean, rho })).to.be.at.least(c);
          if (here > want) expect(chanceOf(want, here - 1, { mean, rho })).to.be.below(c);
        },
      ),
      { numRuns: 250 },
    );
  });

  it('the stages of a programme are those its steps lead through, in order', () => {
    const stages = (id: string) => stagesOf(programme(id)).map((s) => s.stage);
    expect(stages('seed-broadleaf')).to.deep.equal([
      'showing',
      'single',
      'corrected',
      'graded',
      'chopped',
      'training',
    ]);
    expect(stages('seedling-cutting-pine').slice(0, 3)).to.deep.equal(['showing', 'rooted', 'single']);
    expect(stages('air-layer')[0]).to.equal('showing');
    expect(
      [
        'cutting-softwood',
        'cutting-broadleaf',
        'cutting-hardwood',
        'cutting-root',
        'cutting-water',
        'offshoots',
        'air-layer',
        'bought-liner',
      ].map((id) => beginningOf(programme(id))),
    ).to.deep.equal(['softwood', 'semi-ripe', 'hardwood', 'root', 'water', 'offshoot', 'layer', 'grown']);
    for (const p of PROGRAMMES)
      for (const { stage } of stagesOf(p)) {
        const { value } = libraryShare(stage, beginningOf(p), taxon('acer-campestre'));
        expect(value, `${p.id} ${stage}`).to.be.within(0.02, 1);
      }
  });

  it('one’s own batches move the share, by batches and not by plants', () => {
    const none = stageEstimate('showing', library, []);
    expect([none.mean, none.batches, none.own]).to.deep.equal([0.6, 0, null]);
    // ρ 0.1 and the doubt of a mean worth twelve plants: 0.1 + 0.9/13
    expect(none.rho).to.be.closeTo(0.1 + 0.9 / 13, 1e-9);
    // one batch of a thousand is worth no more than 1000/(1 + 999·0.1) = 9.91 plants
    const one = stageEstimate('showing', library, [{ k: 300, n: 1000 }]);
    const w = 1000 / (1 + 999 * 0.1);
    expect(one.mean).to.be.closeTo((w * 0.3 + 12 * 0.6) / (w + 12), 1e-9);
    const ten = stageEstimate(
      'showing',
      library,
      Array.from({ length: 10 }, () => ({ k: 30, n: 100 })),
    );
    expect(ten.mean).to.be.below(one.mean);
    expect(ten.ownRho).to.equal(true);
    expect(ten.rho).to.be.below(one.rho);
    const wild = stageEstimate(
      'showing',
      library,
      [5, 90, 20, 80, 10, 95].map((k) => ({ k, n: 100 })),
    );
    expect(wild.rho).to.be.above(0.4);
  });

  it('stages together: mean and spread of the product, and the tail as simulated', () => {
    const stages = [
      { mean: 0.6, rho: 0.15 },
      { mean: 0.9, rho: 0.12 },
      { mean: 0.85, rho: 0.12 },
    ];
    const all = throughAll(stages);
    expect(all.mean).to.be.closeTo(0.6 * 0.9 * 0.85, 1e-12);
    // simulate: each stage thins what the one before left
    const rng = random(11);
    const runs = 4000;
    const n = 120;
    const draw = (k: number, s: { mean: number; rho: number }) => {
      const masses = sharedMasses(k, s);
      let x = 0;
      let u = rng.next();
      while (x < k && (u -= masses[x]) > 0) x++;
      return x;
    };
    let reached = 0;
    for (let i = 0; i < runs; i++) if (stages.reduce(draw, n) >= 40) reached++;
    expect(chanceOf(40, n, all)).to.be.closeTo(reached / runs, 0.03);
    expect(betaOf(all).every((x) => x > 0)).to.equal(true);
  });

  it('a goal is met by what is under way, and then asks for nothing', () => {
    const share = { mean: 0.5, rho: 0.1 };
    const none = goalState(40, 0.9, [], share);
    expect([none.met, none.more, none.chance]).to.deep.equal([false, 140, 0]);
    const some = goalState(40, 0.9, [{ count: 60, share }], share);
    expect(some.more).to.be.within(45, 65);
    // two batches have two lots of luck: 130 in two are as good as 140 in one
    const two = goalState(
      40,
      0.9,
      [
        { count: 60, share },
        { count: 60, share },
      ],
      share,
    );
    expect(two.chance).to.be.above(chanceOf(40, 120, share));
    const enough = goalState(
      40,
      0.9,
      [
        { count: 80, share },
        { count: 80, share },
      ],
      share,
    );
    expect([enough.met, enough.more]).to.deep.equal([true, null]);
    expect(enough.low).to.be.below(enough.expected);
    const capped = goalState(40, 0.99, [], { mean: 0.1, rho: 0.3 }, 50);
    expect([capped.met, capped.more]).to.deep.equal([false, null]);
  });
});
