import { expect } from 'chai';
import { PAPER_SIZE, type Path, type Ruler, type Text } from '@gonimos/core/paper';
import { container } from '@gonimos/core/containers';
import {
  planCuts,
  practiceCase,
  reachOf,
  roomIn,
  rootCard,
  termsOf,
  type RootPlan,
} from '@gonimos/core/roots';
import { taxon } from '@gonimos/core/taxa';
import { inWords } from '@gonimos/core/units';

/** Every letter is half as wide as it is high. */
const ruler: Ruler = { width: (text, size) => text.length * size * 0.5 };

const cardOf = (seed: number, level: number, paper: 'A4' | 'Letter' = 'A4', words = (t: string) => t) => {
  const { record, terms, limit } = practiceCase(seed, level);
  const plan = planCuts(record, terms, limit)!;
  const pages = rootCard(
    { title: 'HB-33 · no. 4', on: '9 Mar 2037', record, plan, room: null, caution: 'Mind the saw.', words },
    paper,
    ruler,
  );
  return { record, plan, pages };
};
const textsOf = (pages: ReturnType<typeof cardOf>['pages']): Text[] =>
  pages.flatMap((p) => p.marks.filter((m): m is Text => m.kind === 'text'));
const said = (plan: RootPlan, texts: Text[]) =>
  plan.cuts.map((c) => texts.findIndex((t) => t.text.startsWith(`${c.id}: `)));

describe('root card', () => {
  it('has each cut once, in the order of work, with its number in the drawing and in the list', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const { plan, pages } = cardOf(seed, 2);
      const texts = textsOf(pages);
      const places = said(plan, texts);
      expect(places.every((p, i) => p > (places[i - 1] ?? -1))).to.equal(true);
      plan.cuts.forEach((_, i) => {
        const number = String(i + 1);
        expect(texts.filter((t) => t.text === number && t.ink === 'white')).to.have.length(1);
        expect(texts.filter((t) => t.text === number && t.ink === 'black')).to.have.length(1);
      });
    }
  });

  it('keeps to the paper, whichever it is, and says on every page whose it is', () => {
    for (const paper of ['A4', 'Letter'] as const) {
      const { pages } = cardOf(5, 2, paper);
      for (const page of pages) {
        expect(page).to.include(PAPER_SIZE[paper]);
        for (const m of page.marks) {
          expect(m.x).to.be.within(0, page.width);
          expect(m.y).to.be.within(0, page.height);
          if (m.kind === 'text')
            expect(m.x + ruler.width(m.text, m.size, m.face)).to.be.at.most(page.width - 20);
        }
        const foot = page.marks.filter((m): m is Text => m.kind === 'text' && m.size === 8);
        expect(foot.some((t) => t.text.startsWith('HB-33 · no. 4, root card'))).to.equal(true);
      }
    }
  });

  it('is to scale: the trunk is as many points across as the reach lets it be', () => {
    const { record, pages } = cardOf(2, 1);
    const trunk = pages[0].marks.find(
      (m): m is Path => m.kind === 'path' && m.fill === 'white' && m.d.startsWith(`M${-record.trunk / 2} 0A`),
    )!;
    const width = 0.54 * (PAPER_SIZE.A4.width - 2 * 37);
    expect(trunk.scale).to.be.closeTo(width / (2 * reachOf(record)), 1e-9);
  });

  it('what is left for next time stands apart from what is done now, and what to mind at the end', () => {
    const withLeft = [1, 2, 3, 4, 5, 6, 7, 8]
      .map((seed) => cardOf(seed, 2))
      .find((c) => c.plan.deferred.length > 0)!;
    const texts = textsOf(withLeft.pages).map((t) => t.text);
    const later = texts.indexOf('Left for next time');
    expect(later).to.be.above(Math.max(...said(withLeft.plan, textsOf(withLeft.pages))));
    for (const d of withLeft.plan.deferred)
      expect(texts.findIndex((t) => t.startsWith(`${d.id}: `) && texts.indexOf(t) !== -1)).to.be.above(0);
    expect(texts.indexOf('Mind')).to.be.above(later);
    expect(texts.some((t) => t.includes('Local rules come first.'))).to.equal(true);
  });

  it('a pot wider than the drawing stays within its part of the page, and is said to lie outside', () => {
    const { record, terms, limit } = practiceCase(2, 1);
    const plan = planCuts(record, terms, limit)!;
    const wide = (size: number) => {
      const room = { ...roomIn(container('basket-25'), record.front), size: [size, size] as const };
      const pages = rootCard(
        { title: 'x', on: 'y', record, plan, room, caution: '', words: (t) => t },
        'A4',
        ruler,
      );
      return pages[0];
    };
    const pot = (page: ReturnType<typeof wide>) =>
      page.marks.find((m): m is Path => m.kind === 'path' && m.dash === 5)!;
    const words = (page: ReturnType<typeof wide>) =>
      textsOf([page])
        .map((t) => t.text)
        .join(' ');
    const [far, near] = [wide(4000), wide(reachOf(record))];
    for (const page of [far, near]) {
      const { clip } = pot(page);
      expect(clip!.width).to.equal(clip!.height);
      expect(clip!.x + clip!.width).to.be.below(page.width / 2 + 60);
    }
    expect(words(far)).to.contain('lies outside');
    expect(words(near)).to.contain('dashed outline');
  });

  it('is in the reader’s units', () => {
    const words = textsOf(cardOf(2, 1, 'Letter', (t) => inWords(t, 'US')).pages).map((t) => t.text);
    expect(words.some((t) => / in\b/.test(t))).to.equal(true);
    expect(words.some((t) => /\d mm\b/.test(t))).to.equal(false);
  });
});

describe('what a plan is made under', () => {
  const { record } = practiceCase(1, 0);
  const decided = { overruled: [], container: null, aside: 0, behind: 0 };
  const kind = taxon('carpinus-betulus');

  it('a pot has walls, the ground and shared trays have none that count', () => {
    const room = (pot: string | null) => termsOf(kind, 'flat', pot, record, decided).room;
    expect(room('basket-25')).not.to.equal(null);
    expect([room('ground'), room('seed-flat'), room(null), room('no-such-pot')]).to.deep.equal([
      null,
      null,
      null,
      null,
    ]);
  });

  it('what was decided goes before what is planned, and figures that were left out are left out', () => {
    const terms = termsOf(kind, 'sloped', 'basket-25', record, {
      overruled: [
        { root: 'a', action: 'shorten', length: 20, turn: null },
        { root: 'b', action: 'keep' },
      ],
      container: 'basket-18',
      aside: 12,
      behind: -5,
    });
    expect(terms.room).to.include({ aside: 12, behind: -5 });
    expect(terms.room!.size[0]).to.be.below(
      termsOf(kind, 'sloped', 'basket-25', record, decided).room!.size[0],
    );
    expect(terms.overruled).to.deep.equal({ a: { action: 'shorten', length: 20 }, b: { action: 'keep' } });
    expect(terms.school).to.equal('sloped');
  });
});
