import { expect } from 'chai';
import { labelPages, LABEL_PAPERS, ROLL, squaresPath, type Label, type Squares } from '@gonimos/core/labels';
import { points, type Ruler } from '@gonimos/core/paper';

const ruler: Ruler = { width: (text, size) => text.length * size * 0.5 };
const chess: Squares = { size: 4, dark: (row, column) => (row + column) % 2 === 0 };
const label = (code: string): Label => ({
  code,
  name: 'European hornbeam of the very longest name that anybody gave one',
  botanical: 'Carpinus betulus',
  began: 'seed, spring 2036',
  opens: 'http://127.0.0.1/cohorts/1',
});
const many = (n: number) => Array.from({ length: n }, (_, i) => label(`HB-${i}`));

describe('labels', () => {
  it('squares are joined along a row, and nothing else is dark', () => {
    expect(squaresPath({ size: 2, dark: (row) => row === 0 })).to.equal('M0 0H2V1H0Z');
    expect(squaresPath(chess).match(/M/g)).to.have.length(8);
    expect(squaresPath({ size: 3, dark: () => false })).to.equal('');
  });

  it('each label is on the paper once, within it, its words clear of its code', () => {
    for (const paper of LABEL_PAPERS) {
      const pages = labelPages(many(45), paper, () => chess, ruler);
      expect(pages).to.have.length(paper === 'roll' ? 45 : 3);
      const texts = pages.flatMap((p) => p.marks.filter((m) => m.kind === 'text'));
      expect(texts.filter((t) => t.text.startsWith('HB-'))).to.have.length(45);
      for (const page of pages) {
        const codes = page.marks.filter((m) => m.kind === 'path' && m.fill === 'black');
        for (const m of page.marks) {
          expect(m.x).to.be.within(0, page.width);
          expect(m.y).to.be.within(0, page.height);
          if (m.kind !== 'text') continue;
          const end = m.x + ruler.width(m.text, m.size, m.face);
          const beside = codes.find((c) => c.x > m.x && Math.abs(c.y - m.y) < 60)!;
          expect(end).to.be.below(beside.x);
        }
      }
    }
    const [strip] = labelPages(many(1), 'roll', () => chess, ruler);
    expect([strip.width, strip.height]).to.deep.equal([points(ROLL.width), points(ROLL.height)]);
  });
});
