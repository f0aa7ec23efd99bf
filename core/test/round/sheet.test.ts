import { expect } from 'chai';
import fc from 'fast-check';
import { container, CONTAINERS } from '@gonimos/core/containers';
import { operation, operationsThat } from '@gonimos/core/operations';
import { PAPER_SIZE, type Ruler, type Text } from '@gonimos/core/paper';
import { benchSheet, linesOf, spacingIn, type SheetStep } from '@gonimos/core/round';

/** Every letter is half as wide as it is high. */
const ruler: Ruler = { width: (text, size) => text.length * size * 0.5 };
const STEP: SheetStep = {
  code: 'HB-33',
  kind: 'European hornbeam',
  place: 'North bench',
  operation: 'root-work',
  title: 'Root work',
  plants: 40,
  container: 'basket-25',
  cohortContainer: 'basket-18',
  rootCut: { take: 0.4, limit: 0.6 },
  topCut: null,
  nextTime: '',
  minutes: 200,
  closes: '12 Apr 2037',
  materials: [],
};
const sheetOf = (steps: SheetStep[], paper: 'A4' | 'Letter' = 'A4') =>
  benchSheet(
    {
      nursery: 'Tessary Bank',
      on: '9 Mar 2037',
      of: '',
      steps,
      kit: [{ what: 'Root shears', amount: 1, unit: '', tool: true }],
      words: (t) => t,
    },
    paper,
    ruler,
  );
const texts = (pages: ReturnType<typeof sheetOf>) =>
  pages.flatMap((p) => p.marks.filter((m): m is Text => m.kind === 'text'));

describe('bench sheet', () => {
  it('the pot comes first, then the root, then the top, then how it is set', () => {
    const lines = linesOf({ ...STEP, topCut: { take: 0.2 } });
    expect(lines.map((l) => l.split(/[ :]/)[0])).to.deep.equal(['Prepare', 'Root', 'Top', 'Root']);
    expect(lines[0]).to.contain('pond basket 25 cm');
    expect(lines[1]).to.contain('take 40 %').and.contain('never more than 60 %');
    // into the ground nothing is prepared
    expect(linesOf({ ...STEP, container: 'ground' })[0]).to.match(/^Root: take/);
  });

  it('how far apart in a flat: hand-worked, 60 plants on 40 × 30 cm stand 45 mm apart', () => {
    expect(spacingIn(container('seed-flat'))).to.equal(45);
    for (const c of CONTAINERS.filter((k) => k.shared)) expect(spacingIn(c)).to.be.within(20, 100);
    expect(linesOf({ ...STEP, rootCut: null, container: 'seed-flat' }).join(' ')).to.contain('45 mm apart');
  });

  it('property: whatever is to be done, every step is on it once, within the paper, with its boxes and its caution', () => {
    const one = fc.record({
      operation: fc.constantFrom(...operationsThat(() => true)),
      container: fc.constantFrom(null, ...CONTAINERS.map((c) => c.id)),
      nextTime: fc.constantFrom(
        '',
        'thick root on the east side left: take it next time, and open the dry spot',
      ),
      plants: fc.integer({ min: 1, max: 900 }),
    });
    fc.assert(
      fc.property(
        fc.array(one, { minLength: 1, maxLength: 40 }),
        fc.constantFrom('A4' as const, 'Letter' as const),
        (many, paper) => {
          const steps = many.map((m, i) => ({ ...STEP, ...m, code: `C-${i}` }));
          const pages = sheetOf(steps, paper);
          const all = texts(pages);
          steps.forEach((s) => {
            expect(all.filter((t) => t.text.startsWith(`${s.code} `))).to.have.length(1);
          });
          expect(all.filter((t) => t.text === 'done')).to.have.length(steps.length);
          const { width, height } = PAPER_SIZE[paper];
          for (const page of pages)
            for (const m of page.marks) {
              expect(m.x).to.be.within(0, width);
              expect(m.y).to.be.within(0, height);
              if (m.kind === 'text')
                expect(m.x + ruler.width(m.text, m.size, m.face)).to.be.at.most(width - 20);
            }
          const mind = steps.filter((s) => operation(s.operation).caution);
          expect(all.filter((t) => t.text.startsWith('Mind: '))).to.have.length(mind.length);
        },
      ),
      { numRuns: 40 },
    );
  });
});
