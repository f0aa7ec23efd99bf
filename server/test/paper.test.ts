import { execFileSync } from 'node:child_process';
import { expect } from 'chai';
import { box, Flow, rule } from '@gonimos/core/paper';
import { dayInWords } from '../src/paper/day.ts';
import { ruler, runsOf } from '../src/paper/fonts.ts';
import { pdfOf } from '../src/paper/pdf.ts';

/** What poppler reads, which knows nothing of how a page was made. */
const read = (pdf: Buffer, ...how: string[]) =>
  execFileSync('pdftotext', [...how, '-', '-'], { input: pdf, encoding: 'utf8' });

describe('paper', () => {
  it('letters of other languages take the file that has them; what none has is seen to be missing', () => {
    const runs = (text: string) => runsOf(text, 'plain').map((r) => r.text);
    expect(runs('Hornbeam')).to.deep.equal(['Hornbeam']);
    expect(runs('Łódź 3')).to.deep.equal(['Ł', 'ód', 'ź', ' 3']);
    // written as a letter and its accent, it is the same letter
    expect(runs('e\u0301')).to.deep.equal(['é']);
    expect(runs('欅 1')).to.deep.equal(['? 1']);
    expect(runs('')).to.deep.equal([]);
  });

  it('a text is as wide as its parts, wider in bold, and twice as wide at twice the size', () => {
    const wide = (text: string, size = 10) => ruler.width(text, size, 'plain');
    expect(wide('Root work', 20)).to.be.closeTo(2 * wide('Root work'), 1e-9);
    expect(ruler.width('Root work', 10, 'bold')).to.be.above(wide('Root work'));
    expect(wide('Łódź')).to.be.closeTo(wide('Ł') + wide('ód') + wide('ź'), 1e-6);
    expect(wide('')).to.equal(0);
  });

  it('what is laid out is what is read: every line, on its page, and its fonts are in it', async () => {
    const flow = new Flow('A4', ruler, 'HB-33 · Łódź');
    const lines = Array.from({ length: 90 }, (_, i) => `line ${i + 1}: ½ of 3 × 4 mm, −2 °C`);
    lines.forEach((line, i) => flow.item(String(i + 1), line));
    flow.put(box(100, 100, 20, 10, { stroke: 'goes', dash: 2 }), rule(20, 20, 50));
    const pages = flow.end();
    const pdf = await pdfOf(pages, 'A sheet');
    const text = read(pdf, '-layout').split('\f').slice(0, -1);
    expect(text).to.have.length(pages.length);
    const found = text.join('\n');
    for (const line of lines) expect(found).to.contain(line);
    text.forEach((page, i) =>
      expect(page)
        .to.contain(`${i + 1} of ${pages.length}`)
        .and.contain('Łódź'),
    );
    const fonts = execFileSync('pdffonts', ['-'], { input: pdf, encoding: 'utf8' }).split('\n').slice(2, -1);
    expect(fonts.length).to.be.at.least(2);
    for (const font of fonts) expect(font, 'embedded').to.match(/\byes\b/);
  });

  it('draws shapes where they were laid: a cross of two boxes is dark there and nowhere else', async () => {
    const size = { width: 100, height: 100 };
    const at = (x: number, y: number) => box(x, y, 10, 10, { fill: 'black' });
    const wide = box(0, 80, 100, 10, { fill: 'black', clip: { x: 0, y: 0, width: 30, height: 100 } });
    const pdf = await pdfOf([{ ...size, marks: [at(10, 10), at(70, 40), wide] }], 'boxes');
    // a plain picture, one byte a point
    const grey = execFileSync('pdftoppm', ['-r', '72', '-gray', '-'], { input: pdf, maxBuffer: 1e7 });
    const pixels = grey.subarray(grey.length - 100 * 100);
    const dark = (x: number, y: number) => pixels[y * 100 + x] < 80;
    // of what is clipped only the part within is drawn
    expect([dark(15, 85), dark(60, 85)]).to.deep.equal([true, false]);
    expect([dark(15, 15), dark(75, 45), dark(45, 45), dark(15, 45), dark(75, 15)]).to.deep.equal([
      true,
      true,
      false,
      false,
      false,
    ]);
  });

  it('a day is said as the reader says it', () => {
    expect(dayInWords('2037-03-09', 'metric')).to.equal('9 Mar 2037');
    expect(dayInWords('2037-03-09', 'US')).to.equal('Mar 9, 2037');
  });
});
