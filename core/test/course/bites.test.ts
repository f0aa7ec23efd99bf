import { expect } from 'chai';
import { toDay } from '@gonimos/core/calendar';
import { plantOn } from '@gonimos/core/course';
import type { Stretch } from '@gonimos/core/operations';
import { climateOf, seasonBook, type Site } from '@gonimos/core/season';
import { taxa, taxon } from '@gonimos/core/taxa';
import { BITES_AT } from '@gonimos/core/wire';
import { maritime, mirrored, warmer } from '../sites.ts';
import { facts, outside, two } from './kit.ts';

const PUT_ON = '2032-03-10';
const BRANCH: Stretch = { of: 0.25, share: 0.12 };

/** Two years in a pot or in the ground, on the day wire is put on. */
function wired(kind: string, container: string, book = outside, on = PUT_ON) {
  const p = two('root-work', 'measure', { container });
  const f = facts(kind, p, '2030-03-12', {
    firstContainer: container,
    steps: { start: { status: 'done', doneOn: '2030-03-12', container } },
  });
  return plantOn(f, book, on);
}

/** Days until wire on a part bites; three years where it does not sooner. */
function bitesIn(plant: ReturnType<typeof wired>, part: Stretch | 'stem' | 'base'): number {
  const on = plant.day;
  const limit = BITES_AT * plant.thickness(part, on);
  return (plant.swollenOn(part, limit, on, on + 1, on + 1095) ?? on + 1095) - on;
}

const KINDS = taxa().filter((t) => t.group !== 'swollen-base');
const book = (site: Site) => seasonBook(climateOf(site));

// all of it common practice, no source
describe('scenarios: when wire bites', () => {
  it('in the ground sooner than in a pot, for every kind', () => {
    for (const t of KINDS)
      expect(bitesIn(wired(t.id, 'ground'), 'stem'), t.name).to.be.below(
        bitesIn(wired(t.id, 'pot-9'), 'stem'),
      );
  });

  it('a stretch below the crown sooner the thinner it is; a branch sooner the more of the crown it carries', () => {
    for (const t of KINDS) {
      const plant = wired(t.id, 'basket-25');
      const below = [1, 0.8, 0.6].map((of) => bitesIn(plant, { of, share: 1 }));
      expect(below, t.name).to.deep.equal(below.toSorted((a, b) => b - a));
      const branch = [0.02, 0.1, 0.3].map((share) => bitesIn(plant, { ...BRANCH, share }));
      expect(branch, t.name).to.deep.equal(branch.toSorted((a, b) => b - a));
      expect(branch[0], t.name).to.be.above(branch[2]);
    }
  });

  it('names and stretches say the same: the base is all of it, the stem six tenths as thick', () => {
    const plant = wired('acer-campestre', 'basket-25');
    expect(bitesIn(plant, 'base')).to.equal(bitesIn(plant, { of: 1, share: 1 }));
    expect(bitesIn(plant, 'stem')).to.equal(bitesIn(plant, { of: 0.6, share: 1 }));
    const [from, to] = [toDay('2032-03-10'), toDay('2033-03-10')];
    // area: what the base gains in cross-section a stretch below the crown gains too
    const area = (part: 'base' | 'stem') => {
      const before = plant.thickness(part, from);
      return (before + plant.swelling(part, from, to)) ** 2 - before ** 2;
    };
    expect(area('stem')).to.be.closeTo(area('base'), 1e-6);
    const thick = 0.25 * plant.thickness('base', from);
    const grown = (thick + plant.swelling(BRANCH, from, to)) ** 2 - thick ** 2;
    expect(grown).to.be.closeTo(0.12 * area('base'), 1e-6);
  });

  it('where the growing season is long wire bites no later than where it is short, north and south', () => {
    const vigorous = ['acer-campestre', 'tilia-cordata', 'pinus-sylvestris'].map((id) => taxon(id));
    for (const t of vigorous)
      for (const site of [maritime, mirrored(maritime)]) {
        const [short, long] = [warmer(site, -3), warmer(site, 3)].map((s) =>
          // put on at the end of its winter
          bitesIn(wired(t.id, 'ground', book(s), site.latitude < 0 ? '2031-09-10' : PUT_ON), BRANCH),
        );
        expect(long, `${t.name} at ${site.latitude}`).to.be.at.most(short);
      }
  });

  it('a plant cut hard in the year before bites later: a small crown lays down little wood', () => {
    const whole = wired('acer-campestre', 'basket-25');
    const cut = whole.clone();
    cut.suffer(0, 0.8, 'chop', null);
    expect(bitesIn(cut, 'stem')).to.be.above(bitesIn(whole, 'stem'));
  });
});
