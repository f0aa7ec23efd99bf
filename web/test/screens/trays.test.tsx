import '../window';
import { expect } from 'chai';
import type { Tray as Data } from '@gonimos/contract/trays';
import type { CellState } from '@gonimos/core/trays';
import { Tray } from '../../src/trays/tray';
import { ID, Refused, shown, TODAY } from '../page';

const tray = (cells: CellState[], more: Partial<Data> = {}): Data => ({
  id: ID(41),
  name: 'A',
  rows: 3,
  columns: 4,
  cells,
  marks: [],
  ...more,
});
const sown = (): CellState[] => Array.from({ length: 12 }, () => 'sown' as const);
const marks = `POST /trays/${ID(41)}/marks`;
const page = (data: Data, answers: object = {}) =>
  shown(<Tray tray={data} cohortId={ID(1)} today={TODAY} />, { answers: answers as Record<string, object> });
type Page = Awaited<ReturnType<typeof page>>;
const stateOf = (p: Page, cell: number) =>
  p.container.querySelector(`[data-cell="${cell}"]`)!.getAttribute('data-state');
const cell = (p: Page, n: number) => p.container.querySelector<HTMLElement>(`[data-cell="${n}"]`)!;
const answered = (cells: CellState[]) => ({ tray: tray(cells), conflicts: [], marked: 1, counted: false });

describe('a tray marked by keys', () => {
  it('arrows go from cell to cell and stop at the edge; a letter marks the cell one is at', async () => {
    const p = await page(tray(sown()), { [marks]: answered(sown()) });
    cell(p, 0).focus();
    await p.user.keyboard('{ArrowLeft}{ArrowUp}');
    expect(document.activeElement).to.equal(cell(p, 0));
    await p.user.keyboard('{ArrowRight}{ArrowDown}');
    expect(document.activeElement).to.equal(cell(p, 5));
    await p.user.keyboard('u');
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({ on: TODAY, cause: null });
    expect(p.sent[0].body.marks).to.deep.equal([{ cell: 5, was: 'sown', now: 'up' }]);
  });

  it('Shift with the arrows spans a rectangle; Enter marks it with what was chosen', async () => {
    const p = await page(tray(sown()), { [marks]: answered(sown()) });
    cell(p, 0).focus();
    await p.user.keyboard('{Shift>}{ArrowRight}{ArrowDown}{/Shift}{Enter}');
    await p.until(() => expect(p.sent).to.have.length(1));
    expect((p.sent[0].body.marks as { cell: number }[]).map((m) => m.cell)).to.deep.equal([0, 1, 4, 5]);
  });

  it('does not go round from the end of one row to the next', async () => {
    const p = await page(tray(sown()));
    cell(p, 3).focus();
    await p.user.keyboard('{ArrowRight}');
    expect(document.activeElement).to.equal(cell(p, 3));
  });

  it('what is so already is not sent again, nor what cannot become so', async () => {
    const cells = sown();
    cells[0] = 'empty';
    const p = await page(tray(cells), { [marks]: answered(cells) });
    cell(p, 0).focus();
    // nothing stands in the first that could be eaten
    await p.user.keyboard('e{ArrowRight}e');
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body.marks).to.deep.equal([{ cell: 1, was: 'sown', now: 'eaten' }]);
  });

  it('a mark shows at once; refused, it is as it was, and it is said why', async () => {
    let answer = () => undefined as void;
    const waits = new Promise<void>((done) => (answer = done));
    const p = await page(tray(sown()), {
      [marks]: async () => {
        await waits;
        return new Refused(409, 'The cohort was closed meanwhile.');
      },
    });
    cell(p, 0).focus();
    await p.user.keyboard('u');
    expect(stateOf(p, 0)).to.equal('up');
    answer();
    await p.findByText('The cohort was closed meanwhile.');
    await p.until(() => expect(stateOf(p, 0)).to.equal('sown'));
  });

  it('silence offers the very same mark again, under its id', async () => {
    let silent = true;
    const p = await page(tray(sown()), {
      [marks]: () => {
        if (silent) throw new TypeError('no answer');
        return answered(sown());
      },
    });
    cell(p, 0).focus();
    await p.user.keyboard('u');
    await p.findByText(/No answer/);
    silent = false;
    await p.user.click(p.getByRole('button', { name: /again/i }));
    await p.until(() => expect(p.sent).to.have.length(2));
    expect(p.sent[1].body).to.deep.equal(p.sent[0].body);
  });

  it('what somebody else marked meanwhile is left as found, and told', async () => {
    const met = [{ cell: 0, was: 'sown', is: 'lost', wanted: 'up', by: 'Bo' }];
    const p = await page(tray(sown()), { [marks]: { ...answered(sown()), conflicts: met } });
    cell(p, 0).focus();
    await p.user.keyboard('u');
    await p.findByText(/One cell was/);
    expect(p.text()).to.match(/A1 .*by Bo/);
  });

  it('the last mark that stands is taken back, not one that was', async () => {
    const data = tray(sown(), {
      marks: [
        { id: ID(61), on: TODAY, by: 'Bo', count: 3, now: 'up', undone: true },
        { id: ID(60), on: TODAY, by: 'Bo', count: 2, now: 'up', undone: false },
      ],
    });
    const p = await page(data, { [`${marks}/${ID(60)}/undo`]: answered(sown()) });
    cell(p, 0).focus();
    await p.user.keyboard('{Control>}z{/Control}');
    await p.until(() =>
      expect(p.sent.map((s) => s.path)).to.deep.equal([`/trays/${ID(41)}/marks/${ID(60)}/undo`]),
    );
  });
});
