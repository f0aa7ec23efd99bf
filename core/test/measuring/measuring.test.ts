import { expect } from 'chai';
import fc from 'fast-check';
import { isOfBase, lineCutter, readColumn, readingOf, standsApart } from '@gonimos/core/measuring';

describe('measuring', () => {
  it('a line of a tool is a size in its unit, or in the reader’s; what is none is none', () => {
    const metric = ['12.34', '+0012.3 mm', ' 12,34 mm ', '1.2 cm', '0.5 in', '1/2"'].map((l) =>
      readingOf(l, 'metric'),
    );
    expect(metric).to.deep.equal([12.34, 12.3, 12.34, 12, 12.7, 12.7]);
    expect(readingOf('0.5', 'US')).to.equal(12.7);
    for (const none of ['', 'Err', '-3', '0', '12 L', '12..3', 'NaN', '1e9'])
      expect(readingOf(none, 'metric'), none).to.equal(null);
  });

  it('property: however a stream is cut into pieces, its lines are the same', () => {
    const lines = ['12.34 mm', '7', 'Err', '0.5 in'];
    const text = lines.map((l) => `${l}\r\n`).join('');
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: text.length - 1 })), (cuts) => {
        const at = [0, ...new Set(cuts)].toSorted((a, b) => a - b);
        const pieces = at.map((from, i) => text.slice(from, at[i + 1]));
        const cut = lineCutter();
        expect(pieces.flatMap(cut)).to.deep.equal(lines);
      }),
    );
    // what was not ended is no reading yet
    expect(lineCutter()('12.3')).to.deep.equal([]);
  });

  it('a column: names passed over, the last cell read, each line that is no size told by its number', () => {
    expect(readColumn('plant;caliper mm\n1;12.3\n2;\n3;x\n\n4;13,1\n', 'metric')).to.deep.equal({
      values: [12.3, 13.1],
      faults: ['line 3 is no size: 2;', 'line 4 is no size: 3;x'],
    });
    expect(readColumn('6.2\r\n5.8\r\n-7', 'metric')).to.deep.equal({
      values: [6.2, 5.8],
      faults: ['line 3 is no size: -7'],
    });
    expect(readColumn('0 mm', 'metric').faults).to.have.length(1);
  });

  it('what stands apart is a share apart, not so many mm: large plants may differ by more', () => {
    expect(standsApart([6, 7, 6.5, 7.2, 65])).to.equal(65);
    expect(standsApart([60, 70, 65, 72, 99])).to.equal(null);
    // of three no one can tell which is wrong
    expect(standsApart([6, 7, 65])).to.equal(null);
  });

  it('only what is taken near the soil is of the base; of old records nobody said, and it was', () => {
    expect([undefined, 0, 30, 31, 150].map(isOfBase)).to.deep.equal([true, true, true, false, false]);
  });
});
