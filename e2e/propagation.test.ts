import { expect } from 'chai';
import type { Page } from 'playwright-core';
import type { EntryRow } from '@gonimos/contract/ledger';
import type { Trays } from '@gonimos/contract/trays';
import { here } from './here.ts';
import { ask, find, sheet } from './page.ts';

describe('propagation in the browser', () => {
  const at = here();
  const centre = async (page: Page, cell: number) => {
    const box = (await page.locator(`[data-cell="${cell}"]`).first().boundingBox())!;
    return [box.x + box.width / 2, box.y + box.height / 2] as const;
  };
  /** Draws a rectangle from one cell to another with the mouse. */
  const drag = async (page: Page, from: number, to: number) => {
    await page.mouse.move(...(await centre(page, from)));
    await page.mouse.down();
    await page.mouse.move(...(await centre(page, to)), { steps: 5 });
    await page.mouse.up();
  };
  const states = (page: Page) =>
    page.locator('[data-cell]').evaluateAll((cells) => {
      const n: Record<string, number> = {};
      for (const c of cells)
        n[(c as HTMLElement).dataset.state!] = (n[(c as HTMLElement).dataset.state!] ?? 0) + 1;
      return n;
    });
  const settled = (page: Page) => page.locator('[role=grid][aria-busy=true]').waitFor({ state: 'detached' });

  it('sows 105 for a goal, maps the tray and marks every cell: the ledger counts the same, a reload keeps it', async () => {
    const { page } = await at.enter('Grower');
    await page.goto('/propagation');
    await page.getByLabel('I want').fill('30');
    await page.getByLabel('that are').selectOption('showing');
    await page
      .getByText(/^Sow \d+$/)
      .filter({ visible: true })
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Keep as a goal' }).click();
    await page.getByRole('heading', { name: '30 European hornbeam' }).waitFor();
    await page.getByRole('link', { name: /^Enter a sowing of/ }).click();
    await page.getByLabel('Seeds').fill('105');
    await page.getByLabel('Code', { exact: true }).fill('HB-37T');
    await page.getByLabel('Started').fill('2037-02-20');
    await page.getByLabel('For the goal').selectOption({ label: '30 up by 2039' });
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByRole('heading', { name: 'HB-37T' }).waitFor();
    await page.getByRole('link', { name: 'Sowing' }).click();
    await page.getByRole('button', { name: 'Map a tray' }).click();
    await sheet(page).getByRole('button', { name: 'Add the tray' }).click();
    await sheet(page).waitFor({ state: 'detached' });
    await page.getByRole('grid', { name: 'Cells of tray A' }).waitFor();

    // five rows by mouse as up; the rest by keys: a row eaten, then part of the last twin, part lost
    await drag(page, 0, 74);
    await settled(page);
    await page.locator('[data-cell="75"]').focus();
    for (let i = 0; i < 14; i++) await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('e');
    await page.locator('[data-cell="90"]').focus();
    for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('t');
    await page.locator('[data-cell="95"]').focus();
    for (let i = 0; i < 9; i++) await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('l');
    await settled(page);
    await page.getByText(/Every seed is accounted for. Emergence is counted/).waitFor();
    const all = { up: 75, eaten: 15, twin: 5, lost: 10 };
    expect(await states(page)).to.deep.equal(all);
    // a slip of the hand, taken back
    await page.getByRole('radio', { name: /^eaten/ }).click();
    await drag(page, 0, 3);
    await settled(page);
    expect((await states(page)).eaten).to.equal(19);
    await page.getByRole('button', { name: 'Take back' }).click();
    await settled(page);

    const { id } = await find(page, 'HB-37T');
    const told = (await ask<EntryRow[]>(page, `/cohorts/${id}/ledger`)).filter((e) => e.liveAfter !== null);
    const sum = (type: string) => told.filter((e) => e.type === type).reduce((n, e) => n + e.count, 0);
    expect([sum('started'), sum('emerged'), sum('lost_before_emergence')]).to.deep.equal([105, 80, 25]);
    const { ledger } = await ask<Trays>(page, `/cohorts/${id}/trays`);
    expect(ledger).to.deep.equal({ live: 80, pending: 0 });
    await page.reload();
    await page.getByRole('grid', { name: 'Cells of tray A' }).waitFor();
    expect(await states(page)).to.deep.equal(all);
    await page.getByText('80 alive').first().waitFor();
  }).timeout(90_000);

  it('two people mark one tray at once: nothing is lost, and who came second is told', async () => {
    const a = await at.enter('Grower');
    const b = await at.enter('Helper');
    const { id } = await find(a.page, 'HB-37');
    for (const { page } of [a, b]) {
      await page.goto(`/cohorts/${id}/trays`);
      await page.getByRole('grid', { name: 'Cells of tray A' }).waitFor();
    }
    await b.page
      .getByRole('radio', { name: /^eaten/ })
      .first()
      .click();
    // both have the same tray before them; their marks meet in two columns
    await Promise.all([drag(a.page, 0, 38), drag(b.page, 7, 44)]);
    await Promise.all([settled(a.page), settled(b.page)]);
    await Promise.race(
      [a, b].map(({ page }) => page.getByText(/marked meanwhile and left as found/).waitFor()),
    );
    const { trays, ledger } = await ask<Trays>(a.page, `/cohorts/${id}/trays`);
    const cells = trays.find((t) => t.name === 'A')!.cells;
    const n = (s: string) => cells.filter((c) => c === s).length;
    expect(n('up') + n('eaten'), 'three rows, all marked by one or the other').to.equal(45);
    expect(ledger.live).to.equal(n('up'));
    // twelve were eaten in another tray before
    expect(ledger.pending).to.equal(315 - 12 - 45);
  }).timeout(90_000);

  it('a check of cuttings on the round: callus parted off and looked at again, the rooted potted', async () => {
    const { page } = await at.atRound('Helper');
    await page.getByRole('button', { name: /^Record Cutting check.*OJ-36/ }).click();
    await sheet(page).getByLabel('Tray 1: rooted').fill('31');
    await sheet(page).getByLabel('Tray 1: callus').fill('40');
    await sheet(page)
      .getByText(/71 counted, there are 57/)
      .waitFor();
    await sheet(page).getByLabel('Tray 1: callus').fill('20');
    await sheet(page).getByLabel('Tray 1: dead').fill('6');
    await sheet(page)
      .getByText('31 rooted go on, 20 with callus are stuck again on their own, 6 leave the ledger.')
      .waitFor();
    await sheet(page).getByRole('button', { name: 'Record the check' }).click();
    await sheet(page)
      .getByText(/20 went into OJ-36B, look again from/)
      .waitFor();
    const rooted = await find(page, 'OJ-36');
    const callus = await find(page, 'OJ-36B');
    expect([rooted.live, rooted.container, callus.live]).to.deep.equal([31, 'pot-9', 20]);
    expect(callus.nextTitle).to.match(/Cutting check/);
  }).timeout(60_000);

  it('layers: planned with their faults, ringed, looked at; one severed goes into its own pot and the family', async () => {
    const { page } = await at.enter('Grower');
    await page.goto('/propagation/layers');
    // what still wants something is told at once, what is over when it is asked for
    await page.getByText('As it stood 2 Sept 2036').waitFor();
    await page.getByText('How it went').click();
    await page.getByText('As it stood 21 Jul 2036').waitFor();
    await page.getByRole('button', { name: 'Plan layers' }).click();
    await sheet(page).getByLabel('Branches below').fill('0');
    await sheet(page)
      .getByText(/no low branch is kept below/)
      .waitFor();
    await sheet(page).getByLabel('Branches below').fill('3');
    await sheet(page)
      .getByText(/Ring 23 mm wide, 57 mm around/)
      .waitFor();
    await sheet(page).getByRole('button', { name: 'This layer is ringed' }).click();
    await page.getByRole('link', { name: 'LG-19L4' }).waitFor();
    await page.getByRole('button', { name: /^See to it.*LG-19L3/ }).click();
    await sheet(page).getByLabel('What').selectOption('severed');
    await sheet(page)
      .getByText(/Split the base now: 80 % live/)
      .waitFor();
    await sheet(page).getByLabel('Under the film').selectOption('full');
    await sheet(page).getByLabel('Stands at').selectOption({ label: 'North bench' });
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await page.getByRole('button', { name: /^Seal the wound.*LG-19L3/ }).waitFor();
    await page.getByRole('link', { name: 'LG-19L3' }).click();
    await page.getByText('1 alive').first().waitFor();
    await page.getByRole('link', { name: 'Lineage' }).click();
    await page.getByRole('link', { name: /^LG-19, small-leaved lime/ }).waitFor();
  }).timeout(60_000);
});
