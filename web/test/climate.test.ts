import { expect } from 'chai';
import { climateWords } from '../src/nursery/climate.ts';

describe('how a place is told', () => {
  const words = (more: object) => climateWords({ light: 'full', night: 0, day: 0, heatedTo: null, ...more });

  it('by its light, and by its nights and days against outdoors, or what it is heated to', () => {
    expect(words({})).to.equal('full light, as outdoors');
    expect(words({ light: 'shade' })).to.equal('in the shade, as outdoors');
    expect(words({ light: 'half', night: 3 })).to.equal('half light, +3 °C at night against outdoors');
    expect(words({ night: 2, day: -1 })).to.equal(
      'full light, +2 °C at night, −1 °C by day against outdoors',
    );
    expect(words({ heatedTo: 15, night: 8 })).to.equal('full light, heated to 15 °C');
  });
});
