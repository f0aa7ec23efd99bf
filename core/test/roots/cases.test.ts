import { expect } from 'chai';
import {
  comparePoses,
  crossesItself,
  decksOf,
  evenDirections,
  boardPlan,
  judge,
  lineOf,
  measure,
  obviousPlan,
  planCuts,
  practiceCase,
  protocolFor,
  remediesFor,
  roomIn,
  roomTowards,
  outFor,
  rootCuttings,
  topToMatch,
  tradeOff,
  type Action,
  type Root,
  type RootRecord,
  type Terms,
} from '../../src/roots/index.ts';
import { sampleFor } from '../../src/stats/index.ts';
import { container } from '../../src/containers/index.ts';
import { taxon } from '../../src/taxa/index.ts';

const TERMS: Terms = { school: 'flat', ring: 5, room: null };

/** A root at so many degrees, mm thick; a good one unless told otherwise. */
const root = (azimuth: number, diameter: number, more: Partial<Root> & { long?: number } = {}): Root => {
  const { long = 60, ...rest } = more;
  return {
    id: `at ${azimuth}`,
    azimuth,
    diameter,
    height: 0,
    angle: 5,
    fibre: null,
    path: [{ azimuth, out: 15 + long }],
    forks: [],
    faults: [],
    note: '',
    ...rest,
  };
};
const plant = (...roots: Root[]): RootRecord => ({
  trunk: 30,
  front: 180,
  under: null,
  profile: null,
  escaped: false,
  pests: '',
  roots,
});
const around = (diameter: number, ...azimuths: number[]) => azimuths.map((a) => root(a, diameter));
const done = (record: RootRecord, terms: Terms, limit: number): Record<string, Action> =>
  Object.fromEntries(planCuts(record, terms, limit)!.choices.map((c) => [record.roots[c.root].id, c.action]));

/** What growers agree on: common practice, no source. */
describe('plan of cuts: what a grower would do', () => {
  it('the tap root of a first-year conifer goes; which of two directions of root stays is the school’s', () => {
    const tap = root(0, 4, { id: 'tap', angle: 85, long: 90 });
    const slope = root(40, 2.5, { id: 'slope', angle: 38 });
    const flat = root(46, 2.5, { id: 'flat', angle: 3 });
    const record = plant(tap, slope, flat, ...around(2.5, 120, 190, 260, 330));
    const sloped = done(record, { ...TERMS, school: 'sloped', only: ['keep', 'shorten', 'remove'] }, 0.6);
    expect(sloped).to.include({ tap: 'trim', slope: 'keep', flat: 'remove' });
    const even = done(record, { ...TERMS, only: ['keep', 'shorten', 'remove'] }, 0.6);
    expect(even).to.include({ tap: 'trim', flat: 'keep', slope: 'remove' });
  });

  it('strangling comes first, then crossing, whatever else the limit would buy', () => {
    const strangler = root(90, 4, { id: 'strangler', faults: ['strangling'], fibre: 10 });
    const crosser = root(200, 3, {
      id: 'crosser',
      fibre: 12,
      path: [
        { azimuth: 205, out: 30 },
        { azimuth: 250, out: 45 },
      ],
    });
    const crossed = root(225, 5, { id: 'crossed', fibre: 20 });
    const down = root(10, 8, { id: 'down', angle: 80, fibre: 30 });
    const record = plant(strangler, crosser, crossed, down, ...around(4, 40, 140, 300));
    const only: Action[] = ['keep', 'remove'];
    expect(done(record, { ...TERMS, only }, 0.12)).to.include({ strangler: 'remove', down: 'keep' });
    const both = planCuts(record, { ...TERMS, only }, 0.3)!;
    expect(both.cuts.slice(0, 2).map((c) => c.id)).to.deep.equal(['strangler', 'crosser']);
  });

  it('a thick root without fine root goes before a thinner one that feeds', () => {
    const lazy = root(100, 9, { id: 'lazy', fibre: 1, height: 6 });
    const feeds = root(108, 4, { id: 'feeds', fibre: 25 });
    const record = plant(lazy, feeds, ...around(5, 30, 170, 240, 310).map((r) => ({ ...r, fibre: 18 })));
    expect(done(record, { ...TERMS, only: ['keep', 'remove'] }, 0.5)).to.include({
      lazy: 'remove',
      feeds: 'keep',
    });
  });

  it('a one-sided lifted hedge plant is worked over more than one date, with help on its bare side', () => {
    const record = plant(
      ...[150, 168, 185, 199, 215, 232].map((a, i) => root(a, 5 + i, { long: 230, fibre: 16 })),
    );
    const plan = planCuts(record, { ...TERMS, room: roomIn(container('basket-32')) }, 0.25)!;
    expect(plan.deferred.length).to.be.greaterThan(0);
    expect(plan.stages.length).to.be.greaterThan(1);
    expect(plan.stages.every((s) => s.share <= 0.25)).to.equal(true);
    const help = remediesFor(plan.measures.after, 'deciduous-broadleaf', record.trunk);
    expect(help.map((h) => h.kind)).to.include.members(['sun', 'moss', 'graft']);
    // the bare side is the north
    expect(Math.cos((help[0].azimuth! * Math.PI) / 180)).to.be.greaterThan(0.8);
  });

  it('a weak plant is trimmed lightly and a sensitive shrub stays under its cap', () => {
    const record = plant(
      ...around(6, 0, 20, 40, 150, 190, 250).map((r, i) => ({ ...r, height: i % 2 ? 9 : 0 })),
    );
    const strong = planCuts(record, TERMS, 0.6)!;
    const weak = planCuts(record, TERMS, 0.1)!;
    expect(weak.share).to.be.at.most(0.1);
    expect(weak.cuts.length).to.be.below(strong.cuts.length);
    expect(planCuts(record, TERMS, 0.2)!.share).to.be.at.most(0.2);
  });

  it('of a crowded pair the one on the plane stays; of two in one direction the upper goes', () => {
    const low = root(80, 5, { id: 'on the plane' });
    const high = root(88, 5, { id: 'high', height: 12 });
    const lower = root(210, 4, { id: 'lower' });
    const upper = root(210, 5, { id: 'upper', height: 9 });
    const record = plant(low, high, lower, upper, ...around(5, 20, 145, 275, 330));
    expect(done(record, { ...TERMS, only: ['keep', 'remove'] }, 0.5)).to.include({
      'on the plane': 'keep',
      high: 'remove',
      lower: 'keep',
      upper: 'remove',
    });
  });

  it('a thick root in a good place is shortened, not removed; an ugly one whose wound costs more stays', () => {
    const thick = root(300, 11, { id: 'thick', long: 110 });
    const record = plant(thick, ...around(4, 0, 60, 120, 180, 240));
    expect(done(record, TERMS, 0.6)).to.include({ thick: 'shorten' });
    const ugly = root(120, 13, { id: 'ugly', faults: ['ugly'] });
    const slow: Terms = { ...TERMS, ring: 2.5 };
    expect(done(plant(ugly, ...around(8, 0, 60, 180, 240, 300)), slow, 0.8).ugly).not.to.equal('remove');
  });

  it('a hornbeam already flat on its tile is only trimmed underneath', () => {
    const record = plant(
      ...around(5, 0, 45, 90, 135, 180, 225, 270, 315),
      root(20, 3, { id: 'under', angle: 85 }),
    );
    const plan = planCuts(record, TERMS, 0.5)!;
    expect(plan.cuts.map((c) => [c.id, c.action])).to.deep.equal([['under', 'trim']]);
    expect(plan.score.after).to.be.greaterThan(plan.score.now);
  });

  it('a root in the way of the wanted place in the pot goes or is cut short; a tilt can save one', () => {
    // a show pot 14 × 10 cm; the trunk stands to the right, and a stiff root runs into the near wall
    const room = roomIn(container('show-14'), 180, 35, 0);
    const stiff = root(90, 9, { id: 'stiff', long: 60 });
    const record = plant(
      stiff,
      ...around(5, 0, 180, 230, 280, 320).map((r) => ({ ...r, path: [{ azimuth: r.azimuth, out: 35 }] })),
    );
    expect(done(record, { ...TERMS, room }, 0.6).stiff).to.be.oneOf(['remove', 'shorten']);
    expect(done(record, TERMS, 0).stiff).to.equal('keep');
    const leaning = plant(
      ...[60, 90, 120].map((a) => root(a, 6, { height: 3, angle: -14 })),
      ...[240, 270, 300].map((a) => root(a, 6, { height: -3, angle: 24 })),
    );
    const best = comparePoses(leaning, TERMS, 0.3)[0];
    expect(best.pose.tilt).to.be.greaterThan(0);
    expect(best.pose.towards).to.equal(90);
  });

  it('a double-decked base is cut to the better deck', () => {
    const record = plant(
      ...around(6, 10, 80, 150, 220, 290),
      ...around(3, 45, 190).map((r) => ({ ...r, height: 22 })),
    );
    expect(decksOf(record)).to.have.length(2);
    expect(comparePoses(record, TERMS, 0.6)[0].pose.height).to.equal(0);
    expect(done(record, { ...TERMS, only: ['keep', 'remove'] }, 0.6)).to.include({
      'at 45': 'remove',
      'at 190': 'remove',
    });
  });
});

describe('roots: measures, boards, series and practice', () => {
  it('sectors, widest gap, dominance and scatter of a hand-worked base', () => {
    const m = measure(
      plant(root(5, 3), root(35, 3), root(100, 6, { height: 6 }), root(200, 3, { height: -3 })),
      'flat',
    );
    expect(m.sectors).to.equal(4);
    // from 200 round to 5: 165, its middle at 282.5
    expect(m.widest).to.deep.equal({ gap: 165, middle: 282.5 });
    // 36 of 9 + 9 + 36 + 9
    expect(m.dominance).to.be.closeTo(36 / 63, 1e-9);
    // heights 0, 0, 6, −3: mean 0.75, squares 0.5625·2 + 27.5625 + 14.0625 over 4
    expect(m.scatter).to.be.closeTo(Math.sqrt(42.75 / 4), 1e-9);
  });

  it('what fits is measured in the true inside of the container, from where the trunk stands', () => {
    const pot = container('show-14');
    const room = roomIn(pot, 180, 20, 0);
    const half = (pot.rim[0] + pot.base[0]) / 4;
    // seen from the south the right is the east
    expect(roomTowards(room, 90)).to.be.closeTo(half - 20, 1e-9);
    expect(roomTowards(room, 270)).to.be.closeTo(half + 20, 1e-9);
    const round = roomIn(container('pot-17'), 0, 0, 30);
    const radius = (168 + 130) / 4;
    expect(roomTowards(round, 180)).to.be.closeTo(radius - 30, 1e-9);
    expect(roomTowards(round, 90)).to.be.closeTo(Math.sqrt(radius ** 2 - 900), 1e-9);
  });

  it('on a board the turning is the least there is, and no paths cross', () => {
    const azimuths = [10, 20, 95, 200, 300];
    const plan = evenDirections(azimuths);
    // every start a degree apart, every shift of the order
    let least = Infinity;
    for (let start = 0; start < 360; start += 0.5)
      least = Math.min(
        least,
        plan.order.reduce((sum, r, i) => {
          const to = (start + i * 72) % 360;
          const d = Math.abs(azimuths[r] - to) % 360;
          return sum + Math.min(d, 360 - d);
        }, 0),
      );
    expect(plan.turning).to.be.at.most(least + 1e-6);
    const flat = plant(...azimuths.map((a) => root(a, 3)));
    const board = boardPlan(flat, roomIn(container('basket-18')), 5);
    expect(board.laid.map((l) => l.to)).to.have.length(5);
    expect(board.materials.filter((m) => m.fits).map((m) => m.name)).not.to.include('untreated plywood');
    // four trunks wide: 120 mm and a finger on each side; the basket is 155 mm inside at half its depth, the pot 112
    expect(board.size).to.equal(120);
    expect(board.fits).to.equal(true);
    expect(boardPlan(flat, roomIn(container('pot-13')), 5).fits).to.equal(false);
  });

  it('how many to look at: a hand-worked finite cohort, and more where trays are alike', () => {
    // (1.96·12/5)² = 22.13; over 1 + 21.13/120 = 1.176: 18.8
    expect(sampleFor({ plants: 120, sd: 12, within: 5 })).to.equal(19);
    // design effect 1 + 9·0.1 = 1.9: 42.04 over 1 + 41.04/120 = 1.342: 31.3
    expect(sampleFor({ plants: 120, sd: 12, within: 5, perTray: 10, alike: 0.1 })).to.equal(32);
    expect(sampleFor({ plants: 8, sd: 20, within: 1 })).to.equal(8);
  });

  it('a plug is left as it is; a series is quicker than one plant, and conifers are coiled', () => {
    const base = { group: 'pine', school: 'sloped', limit: 0.6, plants: 53 } as const;
    expect(protocolFor({ ...base, plug: true })).to.include({ intact: true, cut: 0, bottom: 0, coil: false });
    const series = protocolFor({ ...base, plug: false });
    expect(series).to.include({ intact: false, shape: 'cone', coil: true });
    expect(series.minutes).to.be.within(4, 6);
    expect(protocolFor({ ...base, plug: false, plants: 1 }).minutes).to.be.within(20, 30);
  });

  it('practice: the same seed gives the same case, and what is obvious is not the best', () => {
    for (const level of [0, 1, 2]) {
      const made = practiceCase(5, level);
      expect(practiceCase(5, level)).to.deep.equal(made);
      const obvious = judge(made, obviousPlan(made));
      expect(obvious.behind).to.be.greaterThan(0.3);
      expect(obvious.differences.length).to.be.greaterThan(0);
      const own = Object.fromEntries(
        obvious.solved.choices.map((c) => [
          made.record.roots[c.root].id,
          { action: c.action, length: c.length, turn: c.turn },
        ]),
      );
      expect(judge(made, own).differences, 'the solver’s own plan').to.have.length(0);
    }
    expect(() => practiceCase(1, 9)).to.throw(RangeError);
  });

  it('the top goes with the root: more in leaf and dry air, less dormant; roots lie open shorter in dry air', () => {
    const maple = { group: 'deciduous-broadleaf', inLeaf: true } as const;
    expect(topToMatch(0.5, { ...maple, humidity: 40 })).to.equal(0.4);
    expect(topToMatch(0.5, { ...maple, humidity: 85 })).to.equal(0.25);
    expect(topToMatch(0.5, { ...maple, inLeaf: false, humidity: 40 })).to.equal(0.2);
    // an evergreen has its leaves in winter
    expect(topToMatch(0.5, { group: 'pine', inLeaf: false, humidity: 40 })).to.equal(0.4);
    expect(topToMatch(0.9, { ...maple, humidity: 40 })).to.equal(0.6);
    const dry = outFor({ group: 'pine' }, { temperature: 25, humidity: 30 })!;
    const damp = outFor({ group: 'pine' }, { temperature: 12, humidity: 80 })!;
    expect(dry.minutes).to.be.below(damp.minutes);
    expect(outFor({ group: 'swollen-base' }, { temperature: 25, humidity: 30 })).to.equal(null);
  });

  it('what is cut off gives root cuttings of kinds that come from root, and none of others', () => {
    const off = [
      { diameter: 8, length: 130 },
      { diameter: 2, length: 300 },
      { diameter: 5, length: 50 },
    ];
    const roots = (root: 'easy' | 'hardly') => ({ roots: { ...taxon('acer-campestre').roots, root } });
    // two pieces of 60 mm out of the one that is thick enough
    expect(rootCuttings(roots('easy'), off)).to.equal(2);
    expect(rootCuttings(roots('hardly'), off)).to.equal(0);
  });

  it('more cutting never buys a worse base', () => {
    const record = plant(
      root(0, 9),
      root(8, 4, { height: 9 }),
      ...around(3, 90, 200),
      root(150, 4, { angle: 84 }),
    );
    const scores = tradeOff(record, TERMS, 0.8).map((t) => t.score);
    expect(scores).to.have.length(5);
    expect(scores).to.deep.equal(scores.toSorted((a, b) => a - b));
    expect(scores[4]).to.be.greaterThan(scores[0]);
  });

  it('a root that runs over itself is seen', () => {
    const loop = root(0, 3, {
      path: [
        { azimuth: 0, out: 60 },
        { azimuth: 60, out: 60 },
        { azimuth: 350, out: 30 },
        { azimuth: 340, out: 50 },
      ],
    });
    expect(crossesItself(lineOf(loop, 30))).to.equal(true);
    expect(crossesItself(lineOf(root(0, 3), 30))).to.equal(false);
  });
});
