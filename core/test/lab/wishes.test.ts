import { expect } from 'chai';
import {
  courseOf,
  difference,
  faultsOf,
  forecast,
  goalFault,
  METHODS,
  outcomeOf,
  type Wish,
} from '@gonimos/core/lab';
import { plantOf } from './plant.ts';

const start = plantOf('carpinus-betulus', { litres: 3 });
const wish = (more: Partial<Wish> = {}): Wish => ({
  name: 'x',
  pots: [],
  prune: 'none',
  sacrifice: null,
  chop: null,
  methods: [],
  ...more,
});
const fed = { from: 2038, to: 2042, height: 60, foliage: 0.5 };

describe('courses as growers ask for them', () => {
  it('refuses what cannot be, by field', () => {
    const bad: [Partial<Wish>, string][] = [
      [{ pots: [{ year: 2036, container: 'basket-25' }] }, 'pots[0].year'],
      [{ pots: [{ year: 2038, container: 'toString' }] }, 'pots[0].container'],
      [{ chop: { year: 2038.5, height: 150 } }, 'chop.year'],
      [{ chop: { year: 2038, height: 9000 } }, 'chop.height'],
      [{ sacrifice: { ...fed, to: 2038 } }, 'sacrifice.to'],
      [{ sacrifice: { ...fed, foliage: NaN } }, 'sacrifice.foliage'],
      [{ sacrifice: { ...fed, height: 0 } }, 'sacrifice.height'],
      [{ sacrifice: fed, chop: { year: 2040, height: 50 } }, 'sacrifice.height'],
      [{ methods: ['prayer'] }, 'methods'],
    ];
    for (const [more, field] of bad)
      expect(
        faultsOf(wish(more), start, 10).map((f) => f.field),
        JSON.stringify(more),
      ).to.include(field);
    expect(faultsOf(wish({ sacrifice: fed, chop: { year: 2042, height: 90 } }), start, 10)).to.deep.equal([]);
    expect([0, -3, NaN, 9000, 8].map((mm) => goalFault(mm, start) === null)).to.deep.equal(
      Array(5).fill(false),
    );
    expect(goalFault(30, start)).to.equal(null);
  });

  it('what only one group bears is refused to others: a maple is not shrivelled, nor has it whips', () => {
    const methods = (kind: string, method: string) =>
      faultsOf(wish({ methods: [method] }), plantOf(kind), 10).map((f) => f.text);
    expect(methods('acer-campestre', 'shrivelled')[0]).to.contain('only a swollen-base succulent bears');
    expect(methods('adenium-obesum', 'shrivelled')).to.deep.equal([]);
    expect(methods('acer-campestre', 'whips')).to.have.length(1);
    expect(methods('juniperus-communis', 'whips')).to.deep.equal([]);
    for (const m of METHODS) {
      expect(m.p10 <= m.p50 && m.p50 <= m.p90, m.id).to.equal(true);
      // what is hardly more than a claim may do nothing, or harm
      if (m.weak) expect(m.p10, m.id).to.be.below(1);
    }
  });

  it('a carved scar is none to be shut, counts half an hour, and is done the year after the cut', () => {
    const run = (w: Wish) => {
      const course = courseOf('x', w, start, 10);
      return { course, ...outcomeOf(forecast(start, course, 10, 20, 30)) };
    };
    const plain = run(wish({ chop: { year: 2040, height: 90 }, sacrifice: { ...fed, to: 2044 } }));
    const carved = run(
      wish({ chop: { year: 2040, height: 90 }, sacrifice: { ...fed, to: 2044 }, carve: true }),
    );
    expect(carved.course.acts.filter((a) => a.do === 'carve').map((a) => a.year)).to.deep.equal([2041, 2045]);
    expect([plain.carved, carved.carved]).to.deep.equal([0, 2]);
    expect(plain.scar).not.to.equal(null);
    expect(carved.scar).to.equal(null);
    expect(carved.minutes - plain.minutes).to.equal(60);
    expect(carved.end).to.deep.equal(plain.end);
    expect(difference('A', plain, 'B', carved)).to.contain('B carries 2 carved scars');
  });

  it('says where two courses differ, and counts moves, litres, scars and the least reserve', () => {
    const run = (w: Wish) => outcomeOf(forecast(start, courseOf('x', w, start, 10), 10, 50, 30));
    const still = run(wish());
    const basket = run(wish({ pots: [{ year: 2037, container: 'basket-32' }], sacrifice: fed }));
    expect([still.moves, still.litres, still.scar]).to.deep.equal([0, 0, null]);
    expect(basket.moves).to.equal(1);
    // pond basket 32 cm holds about 15 L
    expect(basket.litres).to.be.within(14, 16);
    expect(basket.scar!.share).to.be.within(0.1, 1);
    expect(basket.reserve).to.be.below(still.reserve);
    expect(basket.reached! < (still.reached ?? 9999)).to.equal(true);
    const said = difference('A', still, 'B', basket);
    expect(said).to.match(/^(A reaches it \d+ years after B|B reaches it, A does not)/);
    expect(said).to.include('B is left with the wider scar').and.include('B takes 15 L more mix');
    expect(difference('A', still, 'B', still)).to.match(/^(Both reach|Neither reaches) it/);
  });
});
