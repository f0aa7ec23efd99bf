import { expect } from 'chai';
import fc from 'fast-check';
import { clipped, Flow, wrapped, type Ruler, type Text } from '@gonimos/core/paper';

/** Every letter is half as wide as it is high. */
const ruler: Ruler = { width: (text, size) => text.length * size * 0.5 };
const texts = (flow: Flow) =>
  flow.pages.map((p) => p.marks.filter((m): m is Text => m.kind === 'text').map((t) => ({ ...t })));

describe('sheets of paper', () => {
  it('property: no line is wider than its room, and no letter is lost', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), fc.integer({ min: 12, max: 200 }), (text, width) => {
        const lines = wrapped(text, width, 10, 'plain', ruler);
        for (const line of lines) expect(ruler.width(line, 10, 'plain')).to.be.at.most(width);
        expect(lines.join('').replace(/\s/g, '')).to.equal(text.replace(/\s/g, ''));
      }),
    );
  });

  it('what is too long for its room ends in dots, what fits is left alone', () => {
    expect(clipped('hornbeam', 40, 10, 'plain', ruler)).to.equal('hornbeam');
    expect(clipped('hornbeam', 30, 10, 'plain', ruler)).to.equal('hornb…');
    expect(clipped('hornbeam', 1, 10, 'plain', ruler)).to.equal('…');
  });

  it('goes on on the next page: nothing under the foot, every page told apart, a heading not left alone', () => {
    const flow = new Flow('A4', ruler, 'HB-35');
    for (let i = 1; i <= 70; i++) flow.item(String(i), `line ${i}`);
    const last = flow.pages.length;
    flow.y = flow.bottom - 20;
    flow.heading('Mind');
    expect(flow.pages).to.have.length(last + 1);
    flow.end();
    const pages = texts(flow);
    expect(pages.map((p) => p.at(-1)!.text)).to.deep.equal(['1 of 3', '2 of 3', '3 of 3']);
    const body = pages.flatMap((p) => p.slice(0, -2));
    expect(body.filter((t) => t.text.startsWith('line')).map((t) => t.text)).to.deep.equal(
      Array.from({ length: 70 }, (_, i) => `line ${i + 1}`),
    );
    for (const t of body) expect(t.y).to.be.at.most(flow.bottom + 1);
    expect(pages[last].map((t) => t.text)).to.deep.equal(['Mind', 'HB-35', '3 of 3']);
  });
});
