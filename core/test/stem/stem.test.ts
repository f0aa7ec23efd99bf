import { expect } from 'chai';
import fc from 'fast-check';
import {
  chopPlan,
  placesOf,
  seasonsToClose,
  stemAt,
  stemFaults,
  wantedHeights,
  type ChopAsk,
} from '@gonimos/core/stem';
import { taxon } from '@gonimos/core/taxa';
import { ask, MAPLE, part, stem } from './drawn.ts';

describe('a stem', () => {
  it('is as thick as was measured, and a cone between and above', () => {
    const cone = stem([]);
    // hand-worked: from 30 mm at the soil to 1.5 mm at 900 mm
    expect(stemAt(cone, 450)).to.be.closeTo(15.75, 1e-9);
    const told = stem([], { girths: [{ at: 300, mm: 24 }] });
    expect([stemAt(told, 0), stemAt(told, 150), stemAt(told, 300)]).to.deep.equal([30, 27, 24]);
    expect(stemAt(told, 600)).to.be.closeTo(12.75, 1e-9);
    expect(stemAt(told, 5000)).to.equal(1.5);
  });

  it('property: however it was measured, it is never thinner than its tip, nor jumps', () => {
    const girth = fc.record({ at: fc.integer({ min: 1, max: 899 }), mm: fc.integer({ min: 2, max: 40 }) });
    fc.assert(
      fc.property(fc.uniqueArray(girth, { selector: (g) => g.at, maxLength: 6 }), (girths) => {
        const r = stem([], { girths });
        let before = stemAt(r, 0);
        for (let h = 0; h <= 900; h += 0.5) {
          const now = stemAt(r, h);
          expect(now).to.be.at.least(1.5 - 1e-9);
          expect(Math.abs(now - before)).to.be.below(21);
          before = now;
        }
      }),
      { numRuns: 30 },
    );
  });

  it('what cannot be of it is told by field', () => {
    const faults = stemFaults(
      stem(
        [
          part('a', 1200),
          part('b', 100, { kind: 'bud', diameter: 2 }),
          part('c', 100, { diameter: 0 }),
          part('d', 100, { since: '2036-04-01' }),
          part('d', 120),
        ],
        {
          girths: [
            { at: 900, mm: 10 },
            { at: 100, mm: 60 },
          ],
        },
      ),
    );
    expect(faults.map((f) => f.field)).to.deep.equal([
      'parts[0].height',
      'parts[1].diameter',
      'parts[2].diameter',
      'parts[3].since',
      'girths[0].at',
      'girths[1].mm',
      'parts',
    ]);
    expect(stemFaults(stem([part('a', 100)]))).to.deep.equal([]);
  });
});

describe('where branches are wanted (common practice, no source)', () => {
  it('the first at a third of the finished height, then nearer to each other upward', () => {
    const heights = wantedHeights(300);
    expect(heights[0]).to.equal(100);
    const gaps = heights.slice(1).map((h, i) => h - heights[i]);
    expect(gaps.every((g, i) => i === 0 || g < gaps[i - 1])).to.equal(true);
    expect(heights.at(-1)).to.be.below(300);
  });

  it('takes what stands near, on the other side than the one below, and none that points at the viewer', () => {
    const r = stem([
      part('viewer', 100, { azimuth: 180 }),
      part('right', 108, { azimuth: 90 }),
      part('right-too', 150, { azimuth: 95 }),
      part('left', 160, { azimuth: 270 }),
      part('stub', 190, { kind: 'stub', azimuth: 0 }),
    ]);
    const ids = placesOf(r, 300).map((p) => p.part?.id ?? null);
    expect(ids.slice(0, 3)).to.deep.equal(['right', 'left', null]);
    expect(ids).not.to.include('viewer');
  });
});

describe('chop planner (common practice, no source)', () => {
  it('cuts to a live low branch in the third to two thirds, not to a thin one beside it', () => {
    const r = stem([
      part('thin', 140, { diameter: 2 }),
      part('good', 150, { diameter: 11 }),
      part('high', 480),
    ]);
    const plan = chopPlan(ask(r));
    expect(plan.band.from).to.be.closeTo(100, 1e-9);
    expect(plan.band.to).to.be.closeTo(200, 1e-9);
    expect(plan.cuts[0].leader?.id).to.equal('good');
    expect(plan.cuts[0].at).to.be.within(150, 165);
    // out of reach of a tree of 300 mm
    expect(plan.cuts.some((c) => c.leader?.id === 'high')).to.equal(false);
    expect(plan.cuts[0].steps.join(' ')).to.contain('sloped');
  });

  it('a side branch thicker than what would lead is named, and counts against it', () => {
    const r = stem([part('fat', 60, { diameter: 14 }), part('leads', 150, { diameter: 9 })]);
    const without = chopPlan(ask(stem([part('leads', 150, { diameter: 9 })]))).cuts.find((c) => c.leader)!;
    const cut = chopPlan(ask(r)).cuts.find((c) => c.leader?.id === 'leads')!;
    expect(cut.thicker.map((p) => p.id)).to.deep.equal(['fat']);
    expect(without.thicker).to.deep.equal([]);
    expect(cut.points).to.be.below(without.points);
  });

  it('never to bare wood where nothing sprouts; to bare wood where it does', () => {
    const bare = stem([]);
    const pine = chopPlan(ask(bare, { kind: taxon('pinus-thunbergii') }));
    expect(pine.cuts).to.deep.equal([]);
    expect(pine.refused[0].why).to.contain('does not sprout from bare wood');
    const maple = chopPlan(ask(bare));
    expect(maple.cuts).to.have.length(1);
    expect(maple.cuts[0].leader).to.equal(null);
    expect(maple.cuts[0].steps.at(-1)).to.contain('one shoot leads');
    // a pine with a living whorl is cut to it, and left dry
    const whorl = chopPlan(
      ask(stem([part('w', 150, { kind: 'shoot', diameter: 8 })]), { kind: taxon('pinus-thunbergii') }),
    );
    expect(whorl.cuts.map((c) => c.leader?.id)).to.deep.equal(['w']);
    expect(whorl.cuts[0].steps.join(' ')).to.contain('resin');
    expect(whorl.cuts[0].stub).to.equal(0);
  });

  it('the school decides the way: halves, one cut, or a shoot wired into the line while it bends', () => {
    const r = stem([part('young', 150, { kind: 'shoot', diameter: 6 }), part('old', 170, { diameter: 14 })]);
    const first = (way: ChopAsk['way']) => chopPlan(ask(r, { way })).cuts[0];
    expect(first('staged').steps[0]).to.match(/First spring: shorten the top to \d+ mm/);
    expect(first('hard').steps[0]).to.match(/^Cut at/);
    expect(first('bend').leader?.id).to.equal('young');
    expect(first('bend').steps[0]).to.contain('Wire the shoot at 150 mm');
    expect(first('hard').leader?.id).to.equal('old');
    expect(chopPlan(ask(r, { wounds: 'sealed' })).cuts[0].steps.join(' ')).to.contain('seal it');
    expect(chopPlan(ask(r, { wounds: 'dry' })).cuts[0].steps.join(' ')).to.contain('leave it dry');
  });

  it('what is cut off is cuttings, or a layer where the stem is thick enough for one', () => {
    const r = stem([part('a', 150, { diameter: 10 })]);
    expect(chopPlan(ask(r)).cuts[0].gives.map((g) => g.split(/[ :]/)[0])).to.deep.equal(['cuttings', 'a']);
    const thin = stem([part('a', 150)], { base: 7 });
    expect(chopPlan(ask(thin)).cuts[0].gives.some((g) => g.startsWith('a layer'))).to.equal(false);
  });

  it('a style is a base: a stout tree wants a thicker one; too low a plant is not cut at all', () => {
    const r = stem([part('a', 150)]);
    const base = (style: ChopAsk['style']) => chopPlan(ask(r, { style })).base.wanted;
    expect([base('stout'), base('slender')]).to.deep.equal([60, 25]);
    const low = chopPlan(ask(stem([part('a', 60)], { height: 80 })));
    expect(low.cuts).to.deep.equal([]);
    expect(low.refused.at(-1)!.why).to.contain('no higher yet');
  });

  it('a wound of twice the width stays open longer, and one on a starved plant longest', () => {
    const chop = (height: number) => [{ year: 2037, do: 'chop' as const, height }];
    const small = seasonsToClose(MAPLE, chop(150), 150, 8)!;
    const wide = seasonsToClose(MAPLE, chop(150), 150, 16)!;
    expect(small).to.be.below(wide);
    const starved = seasonsToClose({ ...MAPLE, litres: 0.5, wall: 'smooth' }, chop(150), 150, 16);
    expect(starved === null || starved > wide).to.equal(true);
  });
});

describe('a wound that would stay open for long', () => {
  it('may be carved: said among the steps, and costs no more than that', () => {
    const slow = { ...MAPLE, ring: 2.5, litres: 0.6, wall: 'smooth' as const };
    const record = stem([part('a', 150, { diameter: 14 })]);
    const cut = chopPlan(ask(record, { start: slow })).cuts.find((c) => c.leader)!;
    expect(cut.carve).to.equal(true);
    expect(cut.steps.join(' ')).to.contain('carve what is still open');
    expect(cut.terms.find((t) => t.label.startsWith('wound'))!.points).to.equal(-2.5);
    const quick = chopPlan(ask(record)).cuts.find((c) => c.leader)!;
    expect(quick.carve).to.equal(false);
    expect(quick.steps.join(' ')).not.to.contain('carve');
  });
});
