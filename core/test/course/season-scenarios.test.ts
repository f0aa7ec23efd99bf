import { expect } from 'chai';
import { addDays, daysBetween, toDay, toIso } from '@gonimos/core/calendar';
import { compileCourse } from '@gonimos/core/course';
import { programme, type Programme } from '@gonimos/core/programmes';
import { climateOf, seasonBook, simulate, type MarkerDays, type Observation } from '@gonimos/core/season';
import { maritime, mirrored, warmer } from '../sites.ts';
import { decides, facts, house, outside, step, two } from './kit.ts';

/** Stories of the trade: each asserts the date and the rule that put it there. Common practice, no source. */
describe('scenarios: the season of a place', () => {
  it('a warm late winter: white tips seen move the opening earlier, and the reason says what was seen', () => {
    const c = climateOf(maritime);
    const warm = simulate(c, 77, toDay('2030-11-01'), 111);
    for (let i = 60; i < warm.tmin.length; i++) {
      warm.tmin[i] += 3;
      warm.tmax[i] += 3;
    }
    const today = '2031-02-19';
    const f = facts('acer-campestre', two('root-work', 'chop'), '2028-03-01', { sizes: [] });
    const plain = step(compileCourse(f, seasonBook(c, warm), today), 'a');
    const seen: Observation[] = [
      {
        kind: 'white-tips',
        taxonId: 'acer-campestre',
        phenology: 'standard',
        season: 2031,
        on: toDay('2031-02-16'),
        expected: null,
        here: true,
      },
    ];
    const after = compileCourse(f, seasonBook(c, warm, { seen }), today);
    const moved = step(after, 'a');
    console.log(`      opening ${plain.opens} → ${moved.opens} after white tips on 16 February`);
    expect(moved.opens! < plain.opens!).to.equal(true);
    // white tips run 12 days ahead of bud swell, root work opens 21 days before it
    expect(moved.opens).to.equal(addDays('2031-02-16', 12 - 21));
    expect(decides(after, 'a').text).to.match(/white root tips seen \{2031-02-16\}/);
    expect(decides(after, 'a').figures.map((x) => x.basis)).to.include('your data');
  });

  it('what was seen in earlier years teaches the kind’s offset, shrunk towards the model', () => {
    const late = (season: number, by: number): Observation => {
      const m = outside.marker('bud-swell', season, { id: '', phenology: 'standard' }) as MarkerDays;
      return {
        kind: 'buds-swelling',
        taxonId: 'carpinus-betulus',
        phenology: 'standard',
        season,
        on: m.p50 + by,
        expected: m.p50,
        here: true,
      };
    };
    const seen = [late(2028, 9), late(2029, 11), late(2030, 10)];
    const book = seasonBook(climateOf(maritime), undefined, { seen });
    const at = (id: string) =>
      (book.marker('bud-swell', 2033, { id, phenology: 'standard' }) as MarkerDays).p50;
    // mean error 10 days over three years, shrunk by two years of prior: 30 ÷ 5 = 6
    expect(at('carpinus-betulus') - at('acer-campestre')).to.equal(6);
  });

  it('fig in the warm season: no bud marker, typed and explained', () => {
    const fig = { id: 'ficus-microcarpa', phenology: 'warm-season' } as const;
    const none = house.marker('bud-swell', 2030, fig);
    expect(none.kind).to.equal('no-marker');
    expect(none)
      .to.have.property('why')
      .match(/ruled by warmth and rain/);
    const c = compileCourse(
      facts('ficus-microcarpa', two('root-work', 'chop'), '2028-06-01'),
      house,
      '2030-01-10',
    );
    const warm = house.marker('warm-season', 2030, fig) as MarkerDays;
    expect(step(c, 'a').opens).to.equal(toIso(warm.p50));
    expect(decides(c, 'a')).to.include({ rule: 'window' });
    expect(decides(c, 'a').text).to.match(/at the warm season/);
  });

  it('southern hemisphere: the opening comes in September, half a year away', () => {
    const south = seasonBook(climateOf(mirrored(maritime)));
    const north = compileCourse(
      facts('tilia-cordata', two('root-work', 'chop'), '2027-03-01'),
      outside,
      '2029-01-02',
    );
    const there = compileCourse(
      facts('tilia-cordata', two('root-work', 'chop'), '2027-09-01'),
      south,
      '2029-07-03',
    );
    expect(daysBetween(step(north, 'a').opens!, step(there, 'a').opens!)).to.be.within(179, 189);
    expect(step(there, 'a').opens!.slice(5, 7)).to.be.oneOf(['08', '09']);
  });

  it('a tender cohort comes in before the night one year in fifty brings', () => {
    const f = facts('olea-europaea', two('root-work', 'chop'), '2028-06-01');
    const c = compileCourse(f, outside, '2030-05-01');
    const shelter = step(c, 'shelter-2030');
    // counted on weather years of the test’s own: one year in fifty has had its night of −5 °C by then
    const c5 = climateOf(maritime);
    const nights = Array.from({ length: 500 }, (_, i) => {
      const run = simulate(c5, 90_000 + i, toDay('2030-07-01'), 240);
      return run.tmin.findIndex((t) => t <= -5);
    });
    const by = toDay(shelter.closes!) - toDay('2030-07-01');
    expect(nights.filter((n) => n >= 0 && n <= by).length / 500).to.be.within(0.004, 0.05);
    expect(decides(c, 'shelter-2030')).to.include({ rule: 'exposure' });
    // oaks hardy to far below stay out
    expect(
      compileCourse(
        facts('tilia-cordata', two('root-work', 'chop'), '2028-06-01'),
        outside,
        '2030-05-01',
      ).steps.some((s) => s.key.startsWith('shelter')),
    ).to.equal(false);
  });

  it('a hardy kind in the heated house is sent out to rest in autumn, hardened off first; a fig is not', () => {
    const f = facts('acer-campestre', two('measure', 'chop'), '2028-06-01');
    const c = compileCourse(f, house, '2030-07-01');
    const harden = step(c, 'harden-2030');
    const rest = step(c, 'rest-2030');
    expect(harden.closes! <= rest.closes!).to.equal(true);
    expect(rest.opens!.slice(0, 7)).to.be.oneOf(['2030-09', '2030-10', '2030-11']);
    expect(rest.ready).to.equal(false);
    expect(decides(c, 'rest-2030').text).to.match(/does not come to rest in a place without cold/);
    const done = { 'harden-2030': { status: 'done' as const, doneOn: '2030-09-25' } };
    expect(
      step(compileCourse({ ...f, steps: { ...f.steps, ...done } }, house, '2030-09-28'), 'rest-2030').ready,
    ).to.equal(true);
    const keys = (taxonId: string, book: typeof house) =>
      compileCourse(facts(taxonId, two('measure', 'chop'), '2028-06-01'), book, '2030-07-01').steps.map(
        (s) => s.key,
      );
    expect(keys('ficus-microcarpa', house).join()).not.to.match(/rest-/);
    expect(keys('acer-campestre', outside).join()).not.to.match(/rest-/);
  });

  it('a tree in a heated house is not sent out into −5 °C without hardening off', () => {
    const p: Programme = {
      ...programme('tropical-house'),
      steps: [
        { key: 'start', operation: 'slip-pot', after: [], container: 'pot-17' },
        { key: 'out', operation: 'go-dormant', after: [{ step: 'start' }] },
      ],
    };
    const f = facts('acer-campestre', p, '2029-06-01');
    const cold = seasonBook(climateOf(warmer(maritime, -4)));
    const warm = seasonBook(climateOf(warmer(maritime, -4), { night: 8, day: 8, heatedTo: 15 }), undefined, {
      outside: cold,
    });
    const straight = compileCourse(f, warm, '2029-08-01');
    expect(step(straight, 'out').status).to.equal('none');
    expect(decides(straight, 'out')).to.include({ rule: 'exposure' });
    const hardened: Programme = {
      ...p,
      steps: [
        p.steps[0],
        {
          key: 'harden',
          operation: 'harden-off',
          after: [{ step: 'start' }],
          window: {
            kind: 'season',
            opens: ['leaf-fall-done', -75],
            closes: ['leaf-fall-done', -45],
            outdoors: true,
          },
        },
        { ...p.steps[1], after: [{ step: 'harden' }] },
      ],
    };
    const out = step(compileCourse({ ...f, programme: hardened }, warm, '2029-08-01'), 'out');
    const low = cold.outlook(toDay(out.target!)).low.p10;
    console.log(`      goes out ${out.target} once hardened, one night in ten ${low.toFixed(1)} °C`);
    expect(low).to.be.greaterThan(-5);
    expect(warm.outlook(toDay(out.target!)).low.p50 - low).to.be.within(10, 18);
    // held in its winter window by force, the rule that speaks is exposure, with the night named
    const late = {
      ...p,
      steps: [p.steps[0], { ...p.steps[1], window: { kind: 'lag' as const, opens: 200, closes: 260 } }],
    };
    const c = compileCourse(facts('acer-campestre', late, '2029-06-01'), warm, '2029-12-20');
    expect(decides(c, 'out').rule).to.equal('exposure');
    expect(decides(c, 'out').text).to.match(/without hardening off/);
    expect(step(c, 'out').opens! > '2030-02-01').to.equal(true);
  });

  it('a check waits for warmth, not for days: again for half of it since a look that found callus only', () => {
    // 20 °C day and night: 15 °C·d a day above 5 °C; the check of semi-ripe cuttings wants 450, thirty days of it
    const steady = seasonBook(
      climateOf({
        ...maritime,
        tmin: Array<number>(12).fill(20),
        tmax: Array<number>(12).fill(20),
        spreadWinter: 0.01,
        spreadSummer: 0.01,
      }),
    );
    const stuck = '2037-06-20';
    const checkAfter = (looked: number | null) => {
      const again = looked === null ? {} : { again: { on: addDays(stuck, looked), found: 'callus only' } };
      const f = facts('ligustrum-ovalifolium', programme('cutting-broadleaf'), stuck, {
        steps: { check: { status: 'planned' as const, ...again } },
      });
      return daysBetween(stuck, step(compileCourse(f, steady, stuck), 'check').opens!);
    };
    expect(checkAfter(null)).to.be.within(29, 31);
    expect(checkAfter(30)).to.be.within(44, 46);
    expect(checkAfter(5), 'a look long before it was due does not bring it forward').to.equal(
      checkAfter(null),
    );
  });
});
