import { expect } from 'chai';
import fc from 'fast-check';
import { GROWTH_GROUPS, taxon } from '@gonimos/core/taxa';
import type { LabStart } from '@gonimos/core/lab';
import {
  chopPlan,
  placesOf,
  sacrificesOf,
  seasonsToClose,
  stemAt,
  stemFaults,
  wantedHeights,
  type ChopAsk,
  type StemPart,
  type StemRecord,
} from '@gonimos/core/stem';

const part = (id: string, height: number, more: Partial<StemPart> = {}): StemPart => ({
  id,
  kind: 'branch',
  height,
  azimuth: 90,
  diameter: 4,
  since: null,
  foliage: null,
  note: '',
  ...more,
});
const stem = (parts: StemPart[], more: Partial<StemRecord> = {}): StemRecord => ({
  base: 30,
  height: 900,
  front: 180,
  girths: [],
  parts,
  ...more,
});
const MAPLE: LabStart = {
  year: 2037,
  ring: 7.7,
  tolerance: GROWTH_GROUPS['deciduous-broadleaf'],
  vigour: 3,
  caliper: 30,
  height: 900,
  litres: 12,
  wall: 'air-pruning',
};
const ask = (record: StemRecord, more: Partial<ChopAsk> = {}): ChopAsk => ({
  record,
  kind: taxon('acer-campestre'),
  finished: 300,
  style: 'usual',
  way: 'hard',
  wounds: 'by-kind',
  start: MAPLE,
  ...more,
});

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

describe('sacrifices', () => {
  const sac = (id: string, height: number, more: Partial<StemPart> = {}) =>
    part(id, height, { kind: 'sacrifice', since: '2036-04-01', foliage: 0.6, diameter: 5, ...more });

  it('raise the base and not the stem above them, thicken, and have to come off before bark cannot hide it', () => {
    const [look] = sacrificesOf(stem([sac('s', 80)]), MAPLE, taxon('acer-campestre'));
    expect(look.base.with).to.be.above(look.base.without);
    const thick = look.years.map((y) => y.diameter);
    expect(thick.every((d, i) => i === 0 || d > thick[i - 1])).to.equal(true);
    expect(look.offBy).to.be.within(2037, 2046);
    const then = look.years.find((y) => y.year === look.offBy)!;
    expect(then.share).to.be.at.most(0.45);
    expect(then.shut).to.be.at.most(6);
  });

  it('coarse bark hides a wider scar: it may stay at least as long', () => {
    const smooth = taxon('acer-campestre');
    const by = (bark: 'smooth' | 'coarse') =>
      sacrificesOf(stem([sac('s', 80)]), MAPLE, { ...smooth, bark })[0].offBy ?? 0;
    expect(by('coarse')).to.be.at.least(by('smooth'));
  });

  it('are taken in turns, the one that is thickest first; one that is too thick already is late', () => {
    const looks = sacrificesOf(
      stem([sac('young', 80, { diameter: 3, foliage: 0.3 }), sac('fat', 60, { diameter: 22 })]),
      MAPLE,
      taxon('acer-campestre'),
    );
    expect(looks.map((l) => l.part.id)).to.deep.equal(['fat', 'young']);
    expect(looks[0].offBy).to.equal(null);
  });

  it('take the light from what stands below them on their side, not from the other side or above', () => {
    const [look] = sacrificesOf(
      stem([
        sac('s', 200, { azimuth: 90 }),
        part('under', 120, { azimuth: 110 }),
        part('bud', 60, { kind: 'bud', diameter: 0, azimuth: 70 }),
        part('behind', 120, { azimuth: 270 }),
        part('above', 300, { azimuth: 90 }),
      ]),
      MAPLE,
      taxon('acer-campestre'),
    );
    expect(look.shades.map((p) => p.id)).to.deep.equal(['under', 'bud']);
  });
});
