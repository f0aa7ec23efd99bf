import { expect } from 'chai';
import fc from 'fast-check';
import { fieldText, inWords, readMeasure, readMeasures, showFigure, showMeasure } from '@gonimos/core/units';

/**
 * Conversions: NIST Special Publication 811 (2008), appendix B.8 and B.9 (inch 2.54 E-02 m exactly, gallon US
 * 3.785 412 E-03 m³, square foot 9.290 304 E-02 m², mile per hour 4.4704 E-01 m/s exactly), from memory.
 */
describe('measures as each person reads and types them', () => {
  it('reads lengths in fractions, decimals, feet and inches, and metric, whichever are the person’s own', () => {
    const read = (text: string, system: 'metric' | 'US' = 'metric') => readMeasure(text, 'length', system);
    expect(read('1 in')).to.equal(25.4);
    expect(read('3/8 in')).to.equal(9.53);
    expect(read('1 1/2"')).to.equal(38.1);
    expect(read('1-1/2 inches')).to.equal(38.1);
    expect(read('½ in')).to.equal(12.7);
    expect(read('2½″')).to.equal(63.5);
    expect(read('1 ft')).to.equal(304.8);
    expect(read('5\' 6"')).to.equal(1676.4);
    expect(read('2 ft 6 in')).to.equal(762);
    expect(read('1.2 m')).to.equal(1200);
    expect(read('4,5 cm')).to.equal(45);
    expect(read('12 mm', 'US')).to.equal(12);
    expect(read('12')).to.equal(12);
    expect(read('1', 'US')).to.equal(25.4);
    expect(read('3/8', 'US')).to.equal(9.53);
  });

  it('reads volumes, temperatures, differences and areas', () => {
    expect(readMeasure('2 gal', 'volume', 'metric')).to.equal(7.57);
    expect(readMeasure('1 qt', 'volume', 'metric')).to.equal(0.95);
    expect(readMeasure('500 ml', 'volume', 'US')).to.equal(0.5);
    expect(readMeasure('32 °F', 'temperature', 'metric')).to.equal(0);
    expect(readMeasure('−40', 'temperature', 'US')).to.equal(-40);
    expect(readMeasure('212 F', 'temperature', 'metric')).to.equal(100);
    expect(readMeasure('9', 'difference', 'US')).to.equal(5);
    expect(readMeasure('100 sq ft', 'area', 'metric')).to.equal(9.29);
  });

  it('knows nothing typed from what is no measure, and one quantity from another', () => {
    expect(readMeasure('  ', 'length', 'US')).to.equal(undefined);
    for (const text of ['2 gal', 'ten', '1/0/2', '3 furlongs', '--4', 'in'])
      expect(readMeasure(text, 'length', 'metric'), text).to.be.NaN;
  });

  it('reads a sample, with a unit at each or at the end', () => {
    expect(readMeasures('6.2 5,8; 7', 'length', 'metric')).to.deep.equal([6.2, 5.8, 7]);
    expect(readMeasures('1/4 3/8', 'length', 'US')).to.deep.equal([6.35, 9.53]);
    expect(readMeasures('1/4 3/8 in', 'length', 'metric')).to.deep.equal([6.35, 9.53]);
    expect(readMeasures('', 'length', 'US')).to.deep.equal([]);
    expect(readMeasures('6.2 x', 'length', 'metric').some(Number.isNaN)).to.equal(true);
  });

  it('shows no more than was measured', () => {
    expect(showMeasure(25.4, 'length', 'US')).to.equal('1.00 in');
    expect(showMeasure(300, 'length', 'US')).to.equal('11.8 in');
    expect(showMeasure(2438.4, 'length', 'US')).to.equal('8.0 ft');
    expect(showMeasure(18.4, 'length', 'metric')).to.equal('18 mm');
    expect(showMeasure(18.44, 'length', 'metric', 1)).to.equal('18.4 mm');
    expect(showMeasure(7.57, 'volume', 'US')).to.equal('2.0 gal');
    expect(showMeasure(0.5, 'volume', 'US')).to.equal('17 fl oz');
    expect(showMeasure(0.25, 'volume', 'metric')).to.equal('0.25 L');
    expect(showMeasure(-5, 'temperature', 'US')).to.equal('23 °F');
    expect(showMeasure(-5, 'temperature', 'metric')).to.equal('−5 °C');
    expect(showMeasure(10, 'area', 'US')).to.equal('108 ft²');
    expect(showMeasure(100, 'warmth', 'US')).to.equal('180 °F·d');
    expect(showMeasure(8.9408, 'speed', 'US')).to.equal('20 mph');
    expect(showFigure(10, 'mm/season', 'US')).to.equal('0.39 in/season');
    expect(showFigure(10, '°C colder', 'US')).to.equal('18 °F colder');
    expect(showFigure(4, 'growing seasons', 'US')).to.equal('4 growing seasons');
  });

  it('puts the measures in words into the person’s units, and leaves all other words', () => {
    expect(inWords('at least 25.4 mm by {2036-05-01}', 'US')).to.equal('at least 1.00 in by {2036-05-01}');
    expect(inWords('9–12 mm', 'US')).to.equal('0.35–0.47 in');
    expect(inWords('nights of -5 °C, 10 °C colder than where it stands', 'US')).to.equal(
      'nights of 23 °F, 18 °F colder than where it stands',
    );
    expect(inWords('235 °C·d above 5 °C', 'US')).to.equal('423 °F·d above 41 °F');
    expect(inWords('3 m and 4 months, 2 Large pots', 'US')).to.equal('9.8 ft and 4 months, 2 Large pots');
    expect(inWords('25 mm', 'metric')).to.equal('25 mm');
  });

  it('what stands in an input reads back as what is kept, whatever the units', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3_000_000 }), fc.constantFrom('metric', 'US'), (n, system) => {
        const mm = n / 100;
        expect(readMeasure(fieldText(mm, 'length', system), 'length', system)).to.equal(mm);
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: -500, max: 500 }), (n) => {
        const celsius = n / 10;
        expect(readMeasure(fieldText(celsius, 'temperature', 'US'), 'temperature', 'US')).to.equal(celsius);
      }),
    );
  });
});
