import { expect } from 'chai';
import { toDay } from '@gonimos/core/calendar';
import { checkFollows, CUTTING_KINDS, totalsOf } from '@gonimos/core/cuttings';
import { beginningOf } from '@gonimos/core/starts';
import { hasProgramme, programme } from '@gonimos/core/programmes';
import { compileCourse } from '@gonimos/core/course';
import { climateOf, seasonBook } from '@gonimos/core/season';
import { maritime } from '../sites.ts';

const batch = (rooted: number, callus: number, dead: number) => ({ name: '', rooted, callus, dead });

describe('cuttings', () => {
  it('every kind has a programme that begins as the kind does', () => {
    expect(CUTTING_KINDS.map((k) => k.id)).to.include.members([
      'softwood',
      'semi-ripe',
      'hardwood',
      'thick-hardwood',
      'root',
      'offshoot',
      'water',
      'seedling',
    ]);
    for (const k of CUTTING_KINDS) {
      expect(hasProgramme(k.programmeId), k.id).to.equal(true);
      expect(beginningOf(programme(k.programmeId)), k.id).to.equal(k.beginning);
    }
  });

  it('a check: rooted go on, callus goes back, and only roots count', () => {
    expect(totalsOf([batch(30, 12, 3), batch(8, 0, 7)])).to.deep.equal({
      rooted: 38,
      callus: 12,
      dead: 10,
      looked: 60,
    });
    const follows = (...b: ReturnType<typeof batch>[]) => checkFollows(totalsOf(b)).kind;
    expect(follows(batch(30, 0, 10))).to.equal('over');
    expect(follows(batch(0, 30, 10))).to.equal('back');
    expect(follows(batch(10, 20, 10))).to.equal('both');
    expect(follows(batch(0, 0, 40))).to.equal('none-left');
  });

  it('callus is looked at again once half the warmth of the first look has passed since, not on a fixed day', () => {
    const book = seasonBook(climateOf(maritime));
    const course = (again: string | null, today: string) =>
      compileCourse(
        {
          taxonId: 'carpinus-betulus',
          programme: programme('cutting-broadleaf'),
          startedOn: '2037-07-01',
          live: 60,
          steps: {
            stick: { status: 'done', doneOn: '2037-07-01' },
            ...(again
              ? { check: { status: 'planned' as const, again: { on: again, found: 'callus only' } } }
              : {}),
          },
          sizes: [],
          vigour: [],
          schools: { nursery: {}, cohort: {} },
        },
        book,
        today,
      ).steps.find((s) => s.key === 'check')!;
    const first = course(null, '2037-07-02');
    const again = course('2037-08-10', '2037-08-10');
    const late = course('2037-09-20', '2037-09-20');
    const days = (s: typeof first, from: string) => toDay(s.opens!) - toDay(from);
    expect(days(first, '2037-07-01')).to.be.within(25, 45);
    expect(days(again, '2037-08-10')).to.be.within(11, 24);
    // autumn gives less warmth a day: the same half takes longer
    expect(days(late, '2037-09-20')).to.be.above(days(again, '2037-08-10') + 4);
    expect(again.reasons.find((r) => r.rule === 'window')!.text).to.match(
      /225 degree days .* since the look of \{2037-08-10\}: callus only/,
    );
  });
});
