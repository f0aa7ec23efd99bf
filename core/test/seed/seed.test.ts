import { expect } from 'chai';
import { toDay, toIso } from '@gonimos/core/calendar';
import { animalRisk, backCount, emergenceCurve, meshOffBy, seedNeeds } from '@gonimos/core/seed';
import { taxon } from '@gonimos/core/taxa';

describe('seed', () => {
  it('stratification is counted back from the window: warm, then cold, soaked before', () => {
    const sow = { from: toDay('2038-03-10'), to: toDay('2038-04-15') };
    const count = (id: string, today: string) => {
      const { phases, late } = backCount(seedNeeds(taxon(id)), sow, toDay(today));
      return [phases.map((p) => `${p.what} ${toIso(p.from)}`), late];
    };
    // keaki: 60 days of cold, by the calendar: 10 March less 60 is 9 January
    expect(count('zelkova-serrata', '2037-09-01')).to.deep.equal([
      ['soak 2038-01-08', 'cold 2038-01-09', 'sow 2038-03-10'],
      0,
    ]);
    // field maple wants 45 warm days before its 120 cold ones: 26 September, 10 November
    expect(count('acer-campestre', '2037-09-01')).to.deep.equal([
      ['soak 2037-09-25', 'warm 2037-09-26', 'cold 2037-11-10', 'sow 2038-03-10'],
      0,
    ]);
    // cornelian cherry: 120 warm before 120 cold: 13 July
    expect(count('cornus-mas', '2037-05-01')).to.deep.equal([
      ['soak 2037-07-12', 'warm 2037-07-13', 'cold 2037-11-10', 'sow 2038-03-10'],
      0,
    ]);
    // a week late still ends within the window; begun on 30 January, 166 days end on 15 July, 91 days after it
    expect(count('acer-campestre', '2037-10-10')[1]).to.equal(0);
    expect(count('acer-campestre', '2037-10-10')[0]).to.include('sow 2038-03-25');
    expect(count('acer-campestre', '2038-01-30')[1]).to.equal(91);
    expect(seedNeeds(taxon('quercus-robur')).kind).to.equal('fresh');
    expect(count('quercus-robur', '2037-09-01')).to.deep.equal([['sow 2038-03-10'], 0]);
    expect(seedNeeds(taxon('acer-palmatum')).kind).to.equal('stratified');
  });

  it('t50: the worked example of the R package germinationmetrics (from memory), 5.97 days', () => {
    // 4 up on day 5, 17 on day 6, 10, 7, 1 and one more on day 11, of 50 sown
    const came = [
      [5, 4],
      [6, 17],
      [7, 10],
      [8, 7],
      [9, 1],
      [11, 1],
    ].map(([d, count]) => ({
      on: toIso(toDay('2037-04-01') + d),
      count,
    }));
    const c = emergenceCurve('2037-04-01', 50, came);
    expect(c.t50).to.be.closeTo(5.970588, 1e-6);
    expect(c.mean).to.be.closeTo(6.7, 1e-9);
    expect(c.points.at(-1)).to.include({ up: 40, share: 0.8, day: 11 });
    expect(emergenceCurve('2037-04-01', 50, []).t50).to.equal(null);
    expect(() => emergenceCurve('2037-04-01', 50, [{ on: '2037-03-30', count: 1 }])).to.throw(RangeError);
  });

  it('animals: quiet where nothing was taken, high once they have learned the place', () => {
    const history = [
      { placeId: 'frame', on: '2035-03-28', count: 9, of: 150 },
      { placeId: 'frame', on: '2036-04-02', count: 44, of: 200 },
      { placeId: 'bench', on: '2036-10-02', count: 2, of: 100 },
    ];
    const risk = (place: string, on: string) => animalRisk(history, place, on);
    expect(risk('house', '2037-03-20')).to.include({ level: 'low', times: 0 });
    expect(risk('bench', '2037-03-20').level).to.equal('low');
    expect(risk('frame', '2037-03-20')).to.include({ level: 'high', times: 2, learnedOn: null });
    expect(risk('frame', '2037-03-20').share).to.be.closeTo(53 / 350, 1e-9);
    expect(risk('frame', '2036-04-20')).to.include({ level: 'high', learnedOn: '2036-04-02' });
    expect(risk('frame', '2035-04-20').level).to.equal('high');
    expect(risk('frame', '2035-07-20').level).to.equal('low');
    expect(risk('frame', '2036-03-20').level).to.equal('raised');
  });

  it('mesh comes off before tips touch it', () => {
    // 60 mm at 2.5 mm a day is 24 days, less four
    expect(meshOffBy(100, 60)).to.equal(120);
    expect(meshOffBy(100, 5)).to.equal(100);
  });
});
