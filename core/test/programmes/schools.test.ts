import { expect } from 'chai';
import { compileCourse, type Course } from '@gonimos/core/course';
import { programme } from '@gonimos/core/programmes';
import { QUESTIONS, type Question, type QuestionId } from '@gonimos/core/schools';
import { facts, house, outside } from '../course/kit.ts';
import { worldOf } from '../matrix/world.ts';

/** Kinds and programmes that between them meet every question growers part on. */
const PAIRS: [
  taxonId: string,
  programmeId: string,
  under: 'outside' | 'house' | 'dry' | 'cool',
  caliper?: number,
][] = [
  ['acer-campestre', 'seed-broadleaf', 'outside'],
  ['carpinus-betulus', 'seed-ground', 'outside'],
  ['salix-babylonica', 'cutting-hardwood', 'outside'],
  ['quercus-robur', 'bought-liner', 'outside'],
  ['pinus-sylvestris', 'seed-pine', 'outside'],
  ['olea-europaea', 'bought-liner', 'outside'],
  ['olea-europaea', 'bought-liner', 'dry'],
  ['tilia-cordata', 'air-layer', 'outside'],
  // where summers are cool a kind that roots slowly has no time for a second filling
  ['quercus-robur', 'air-layer', 'cool'],
  ['acer-campestre', 'clump-fused', 'outside'],
  ['ficus-microcarpa', 'tropical-house', 'house'],
  ['ficus-microcarpa', 'cutting-water', 'house', 16],
  ['adenium-obesum', 'swollen-base', 'house'],
];
const dry = worldOf('mediterranean').outdoors;
const cool = worldOf('cool-maritime').outdoors;
const BOOKS = { outside, house, dry, cool };

/** Everything a course is but its labels: what, when, how much, into what and with what. */
const told = (c: Course): string =>
  JSON.stringify(
    c.steps.map((s) => [
      s.key,
      s.operation,
      s.opens,
      s.closes,
      s.rootCut,
      s.topCut,
      s.container,
      s.materials,
    ]),
  );

function under(question: QuestionId, option: string): string[] {
  return PAIRS.map(([taxonId, id, where, caliper]) => {
    const schools = { nursery: {}, cohort: { [question]: option } };
    const sizes = caliper ? [{ on: '2027-03-12', caliper, height: null }] : [];
    const f = facts(taxonId, programme(id), '2027-03-12', { schools, sizes });
    return told(compileCourse(f, BOOKS[where], '2027-03-12'));
  });
}

describe('schools', () => {
  for (const q of QUESTIONS as readonly Question[])
    it(`${q.question}: every answer changes what is done, when, how much, into what or with what`, () => {
      const options = Object.keys(q.options);
      const courses = options.map((o) => under(q.id as QuestionId, o));
      for (let i = 0; i < options.length; i++)
        for (let j = i + 1; j < options.length; j++) {
          const differs = courses[i].filter((c, k) => c !== courses[j][k]).length;
          expect(differs, `${options[i]} against ${options[j]}`).to.be.at.least(1);
        }
    });

  it('no answer leaves a cohort without a first wiring later than the autumn after its first root work', () => {
    for (const option of ['with-roots', 'settled', 'autumn']) {
      const schools = { nursery: {}, cohort: { 'first-wiring': option } };
      for (const [taxonId, id] of [
        ['acer-campestre', 'seed-broadleaf'],
        ['pinus-sylvestris', 'seed-pine'],
        ['pinus-sylvestris', 'seedling-cutting-pine'],
      ]) {
        const c = compileCourse(
          facts(taxonId, programme(id), '2027-03-12', { schools }),
          outside,
          '2027-03-12',
        );
        const at = (key: string) => c.steps.find((s) => s.key === key)!;
        // sown in spring 2027, roots first corrected in spring 2028: wired then, or by that year’s end
        expect(at('correct').target!.slice(0, 4), `${id} ${option}`).to.equal('2028');
        expect(at('wire-1').target! < '2029-01-01', `${id} ${option} ${at('wire-1').target}`).to.equal(true);
        if (option === 'with-roots') expect(at('wire-1').target).to.equal(at('correct').target);
        else expect(at('wire-1').target! > at('correct').target!).to.equal(true);
      }
    }
  });
});
