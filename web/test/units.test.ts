import { expect } from 'chai';
import { readable } from '../src/common/dates.ts';
import {
  area,
  degrees,
  difference,
  figure,
  inUnits,
  keepUnits,
  length,
  measureText,
  speed,
  temperature,
  typedLength,
  typedLengths,
  typedMeasure,
  unit,
  volume,
  warmth,
} from '../src/common/units.ts';
import { millimetres } from '../src/common/words.ts';

const TODAY = '2037-03-09';

describe('measures on the page', () => {
  afterEach(() => keepUnits('metric'));

  it('metric: as they are kept', () => {
    expect([length(18.4), length(18.44, 1), volume(3.2), area(4.25)]).to.deep.equal([
      '18 mm',
      '18.4 mm',
      '3.2 L',
      '4.3 m²',
    ]);
    expect([
      temperature(-3.64, 1),
      temperature(-3.6),
      degrees(10),
      difference(2),
      difference(-0.5),
    ]).to.deep.equal(['−3.6 °C', '−4 °C', '10°', '+2 °C', '−0.5 °C']);
    expect([warmth(234.6), speed(3), figure(5.5, 'mm/season'), unit('length')]).to.deep.equal([
      '235 °C·d',
      '3.0 m/s',
      '5.5 mm/season',
      'mm',
    ]);
    expect([typedLength('1 in'), typedLength(''), measureText(30), measureText(null)]).to.deep.equal([
      25.4,
      undefined,
      '30',
      '',
    ]);
  });

  it('US: shown, hinted, typed and put into every sentence the core has written', () => {
    keepUnits('US');
    expect([length(25.4), volume(3.785411784), temperature(0), degrees(20), difference(5)]).to.deep.equal([
      '1.00 in',
      '1.0 gal',
      '32 °F',
      '68°',
      '+9 °F',
    ]);
    expect([unit('length'), unit('temperature'), unit('warmth')]).to.deep.equal(['in', '°F', '°F·d']);
    expect([typedLength('3/8'), typedLengths('1/4; 1/2'), typedMeasure('50', 'temperature')]).to.deep.equal([
      9.53,
      [6.35, 12.7],
      10,
    ]);
    expect(millimetres(9.4, 12.2)).to.equal('0.35–0.47 in');
    expect(readable('Before the stem has swollen by 2.5 mm, expected {2037-06-01}', TODAY)).to.equal(
      'Before the stem has swollen by 0.10 in, expected 1 Jun',
    );
    expect(inUnits('−3.6 °C may come tonight at Cold frame: bring in 132 pots')).to.equal(
      '26 °F may come tonight at Cold frame: bring in 132 pots',
    );
  });

  it('what an input begins with reads back as what is kept', () => {
    for (const system of ['metric', 'US'] as const) {
      keepUnits(system);
      for (const mm of [0.1, 3, 12.5, 38.1, 999.99])
        expect(typedLength(measureText(mm)), `${mm} ${system}`).to.equal(mm);
      for (const celsius of [-28, -2.5, 0, 15.5])
        expect(typedMeasure(measureText(celsius, 'temperature'), 'temperature')).to.equal(celsius);
    }
  });
});
