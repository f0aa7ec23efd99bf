import { expect } from 'chai';
import { apartWords, commonOpening, nextOpening, opensPot, type Sharing } from '@gonimos/core/course';
import { operation, operations } from '@gonimos/core/operations';

const TODAY = '2037-03-09';
const of = (code: string, ...windows: [operation: string, opens: string, closes: string][]): Sharing => ({
  code,
  steps: windows.map(([work, opens, closes]) => ({ operation: work, status: 'planned', opens, closes })),
});

describe('pots that several share', () => {
  it('roots and moves open a pot; care, cuts above the soil and layers do not', () => {
    for (const id of ['root-correct', 'root-work', 'slip-pot', 'training-pot'])
      expect(opensPot(operation(id)), id).to.equal(true);
    for (const id of ['mist', 'first-feed', 'chop', 'layer-sever', 'emergence-count'])
      expect(opensPot(operation(id)), id).to.equal(false);
    expect(operations().filter(opensPot).length).to.be.within(8, 40);
  });

  it('the next opening of each is the first of its plan that is not over, from today on', () => {
    const maple = of(
      'M',
      ['root-work', '2037-02-01', '2037-04-10'],
      ['chop', '2037-02-01', '2037-03-20'],
      ['root-work', '2035-02-01', '2035-03-01'],
    );
    expect(nextOpening(maple, TODAY)).to.deep.equal({ from: TODAY, to: '2037-04-10' });
    expect(nextOpening(of('X'), TODAY)).to.equal(null);
  });

  it('windows that meet give the days for all; those that do not are named with whose season is over first', () => {
    const maple = of('M', ['root-work', '2037-02-20', '2037-04-10']);
    const hornbeam = of('H', ['root-work', '2037-03-25', '2037-05-01']);
    const jasmine = of('J', ['slip-pot', '2037-06-10', '2037-07-20']);
    expect(commonOpening([maple, hornbeam], TODAY)).to.deep.equal({
      kind: 'together',
      from: '2037-03-25',
      to: '2037-04-10',
    });
    const apart = commonOpening([maple, hornbeam, jasmine], TODAY);
    expect(apart).to.deep.equal({
      kind: 'apart',
      first: 'M',
      closes: '2037-04-10',
      second: 'J',
      opens: '2037-06-10',
    });
    expect(apartWords(apart)).to.match(/M is opened by \{2037-04-10\}, J not before \{2037-06-10\}/);
    expect(apartWords(commonOpening([maple, hornbeam], TODAY))).to.equal(null);
  });

  it('what is not wanted for years does not hold up the others', () => {
    const maple = of('M', ['root-work', '2037-03-20', '2037-04-10']);
    const later = of('L', ['root-work', '2041-03-20', '2041-04-10']);
    expect(commonOpening([maple, later], TODAY)).to.deep.equal({ kind: 'none' });
    expect(commonOpening([maple], TODAY)).to.deep.equal({ kind: 'none' });
  });
});
