import { expect } from 'chai';
import { addDays, toDay, toIso } from '@gonimos/core/calendar';
import { compileCourse, type StepFact } from '@gonimos/core/course';
import { decideLayer } from '@gonimos/core/layers';
import { programme } from '@gonimos/core/programmes';
import { taxon } from '@gonimos/core/taxa';
import { factsOf, IN_MATRIX, placeFor, worldOf } from '../matrix/world.ts';

/** Kinds from those that root surest to those that seldom do. */
const KINDS = ['tilia-cordata', 'acer-campestre', 'ficus-microcarpa', 'quercus-robur', 'pinus-sylvestris'];

describe('layers: one verdict', () => {
  it('the course opens a layer exactly where its card says so, on the day the card says, in many climates', () => {
    let opened = 0;
    let left = 0;
    for (const id of IN_MATRIX.filter((_, i) => i % 2 === 0))
      for (const kind of KINDS) {
        const t = taxon(kind);
        const book = placeFor(worldOf(id), t);
        if (!book) continue;
        for (const rung of ['2027-04-20', '2027-06-15', '2027-08-20', '2027-11-25'])
          for (const [later, find] of [
            [3, null],
            [45, null],
            [45, 'few'],
            [60, 'full'],
            [120, 'few'],
          ] as const) {
            const today = addDays(rung, later);
            const steps: Record<string, StepFact> = { ring: { status: 'done', doneOn: rung } };
            if (find === 'few') steps.open = { status: 'planned', again: { on: today, found: find } };
            if (find === 'full') steps.open = { status: 'planned', ripe: { on: today, found: find } };
            const course = compileCourse(
              factsOf(t, programme('air-layer'), { startedOn: rung, live: 1, steps }),
              book,
              today,
            );
            const step = course.steps.find((s) => s.key === 'open');
            const card = decideLayer(book, {
              began: toDay(rung),
              today: toDay(today),
              full: find === 'full',
              seen: find === 'few' ? toDay(today) : null,
              ease: t.layering,
            });
            const where = `${id} ${kind} rung ${rung}, ${later} days later, ${find ?? 'nobody looked'}`;
            const says = card.verdict === 'double' || card.verdict === 'wait';
            expect(step?.status, where).to.equal(says ? 'planned' : undefined);
            if (step) {
              opened++;
              expect(step.target! >= toIso(card.opening), `${where}: ${step.target}`).to.equal(true);
              expect(step.opens! <= toIso(card.opening), `${where}: ${step.opens}`).to.equal(true);
            } else {
              left++;
              // what is not opened leaves nothing behind that waits for it
              expect(course.steps.filter((s) => s.chain === 'open')).to.deep.equal([]);
            }
            const sever = course.steps.find((s) => s.key === 'sever')!;
            if (card.verdict !== 'never') expect(sever.status, where).to.equal('planned');
          }
      }
    console.log(`      ${opened} opened, ${left} severed unopened`);
    expect(Math.min(opened, left)).to.be.above(40);
  });
});
