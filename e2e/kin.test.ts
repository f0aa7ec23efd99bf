import { expect } from 'chai';
import { here } from './here.ts';
import type { Cohort } from '@gonimos/contract/cohorts';
import { ask, find, sheet, sheetGone } from './page.ts';

describe('seed lots and kin in the browser', () => {
  const at = here();

  it('a seed lot: entered, tested, sown from, and what is left of it', async () => {
    const { page } = await at.enter('Grower');
    await page.goto('/propagation/seed');
    await page.getByRole('button', { name: 'New seed lot' }).click();
    await sheet(page).getByRole('button', { name: 'Enter the lot' }).click();
    await sheet(page)
      .getByText(/Name is missing|Name is empty/)
      .waitFor();
    await sheet(page).getByLabel('Name').fill('Mill hedge 36');
    await sheet(page).getByLabel('Kind').selectOption('carpinus-betulus');
    await sheet(page).getByLabel('Source').fill('the hedge by the mill');
    await sheet(page).getByLabel('Harvested').fill('autumn 2036');
    await sheet(page).getByLabel('Seeds').fill('400');
    await sheet(page).getByRole('button', { name: 'Enter the lot' }).click();
    await sheetGone(page);
    await page.getByRole('button', { name: /^Note what was done.*Mill hedge 36/ }).click();
    await sheet(page).getByLabel('What').selectOption('test');
    await sheet(page).getByLabel('Seeds tried').fill('40');
    await sheet(page).getByLabel('Sound').fill('41');
    await sheet(page).getByRole('button', { name: 'Note it' }).click();
    await sheet(page)
      .getByText(/more than were tested/)
      .waitFor();
    await sheet(page).getByLabel('Sound').fill('30');
    await sheet(page).getByRole('button', { name: 'Note it' }).click();
    await sheetGone(page);
    const lot = page.getByRole('listitem').filter({ hasText: 'Mill hedge 36' });
    // thirty of forty: three quarters
    await lot.getByText('75 %').waitFor();
    await lot.getByText('360 of 400 left').waitFor();

    await page.getByRole('link', { name: /^Sow.*Mill hedge 36/ }).click();
    await page.getByLabel('Seeds').fill('150');
    await page.getByLabel('Code', { exact: true }).fill('HB-37M');
    expect(await page.getByLabel('Seed lot').locator('option:checked').innerText()).to.match(/Mill hedge 36/);
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByRole('heading', { name: 'HB-37M' }).waitFor();
    await page.getByRole('link', { name: 'Sowing' }).click();
    await page.getByRole('button', { name: 'Cover', exact: true }).click();
    await sheet(page).getByLabel('Room under it').fill('80');
    await sheet(page).getByRole('button', { name: 'Cover them' }).click();
    await sheetGone(page);
    await page.getByText(/80 mm/).first().waitFor();
    await page.goto('/propagation/seed');
    await lot.getByText('210 of 400 left').waitFor();
  }).timeout(90_000);

  it('tallied, put in with others, fused, named anew: every plant is found again, under either name', async () => {
    const { page } = await at.enter('Grower');
    const from = await find(page, 'OP-36');
    const into = await find(page, 'OP-36H');
    await page.goto(`/cohorts/${from.id}/ledger`);
    await page.getByRole('button', { name: 'Count by state' }).click();
    await sheet(page).getByLabel('Of what').selectOption('rooting');
    await sheet(page)
      .getByLabel('rooted', { exact: true })
      .fill(`${from.live - 21}`);
    await sheet(page).getByLabel('callus').fill('30');
    await sheet(page).getByRole('button', { name: 'Keep the count' }).click();
    // nine more than are alive
    await sheet(page)
      .getByText(`counts hold ${from.live + 9}, there are ${from.live} alive`)
      .last()
      .waitFor();
    await sheet(page).getByLabel('callus').fill('20');
    await sheet(page).getByRole('button', { name: 'Keep the count' }).click();
    await sheetGone(page);
    await page.getByText(`${from.live - 21} rooted · 20 callus · 0 not seen · 1 not counted`).waitFor();

    await page.getByRole('button', { name: 'Merge or fuse' }).click();
    await sheet(page).getByLabel('How many').fill('500');
    await sheet(page).getByLabel('With').selectOption(into.id);
    await sheet(page).getByRole('button', { name: 'Put them in' }).click();
    await sheet(page)
      .getByText(/How many .* more plants would leave than are alive/)
      .first()
      .waitFor();
    await sheet(page).getByLabel('How many').fill('11');
    await sheet(page).getByRole('button', { name: 'Put them in' }).click();
    await sheetGone(page);
    await page
      .getByText(`${from.live - 11} alive`)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Merge or fuse' }).click();
    await sheet(page).getByLabel('Stems').fill('5');
    await sheet(page).getByLabel('Become plants').fill('1');
    await sheet(page).getByRole('button', { name: 'Fuse them' }).click();
    await sheetGone(page);
    await page
      .getByText(`${from.live - 11 - 5 + 1} alive`)
      .first()
      .waitFor();
    expect((await find(page, 'OP-36H')).live).to.equal(into.live + 11);

    await page.getByRole('link', { name: 'Lineage' }).click();
    await page.getByRole('button', { name: 'Name it anew' }).click();
    await sheet(page).getByLabel('Code').fill('OP-36R');
    await sheet(page).getByRole('button', { name: 'Name it so' }).click();
    await sheet(page)
      .getByText(/Why is missing|Why is empty/)
      .waitFor();
    await sheet(page).getByLabel('Why').fill('row ends were swapped');
    await sheet(page).getByRole('button', { name: 'Name it so' }).click();
    await sheetGone(page);
    await page.getByRole('heading', { name: 'OP-36R' }).waitFor();
    await page.getByText('row ends were swapped').waitFor();
    // whoever holds the old label finds it all the same
    await page.goto('/cohorts');
    await page.getByLabel('Search cohorts').fill('OP-36');
    await page.getByRole('link', { name: 'OP-36R' }).first().waitFor();
  }).timeout(90_000);

  it('two years compared by their trays: what the figures say, and what they do not', async () => {
    const { page } = await at.enter('Helper');
    await page.goto('/propagation/compare');
    await page.getByLabel('Kind').selectOption('acer-campestre');
    const up = async (code: string) => {
      const { id } = await find(page, code);
      const { emerged, started } = await ask<Cohort>(page, `/cohorts/${id}`);
      return { share: `${Math.round((100 * emerged) / started)} %`, of: `(${emerged} of ${started})` };
    };
    const [later, before] = [await up('FM-36'), await up('FM-35')];
    await page
      .getByText(`2036: ${later.share} up ${later.of}; 2035: ${before.share} ${before.of}`)
      .first()
      .waitFor();
    await page
      .getByText(/It does not say why/)
      .first()
      .waitFor();
    await page.getByLabel('Compared').selectOption('lot');
    await page.getByText(`Hedge maple 35: ${later.share}`).first().waitFor();
    await page.getByLabel('Compared').selectOption('method');
    await page.getByText('There is one group only: nothing to compare it with yet.').waitFor();
  }).timeout(60_000);
});
