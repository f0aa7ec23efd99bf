import { expect } from 'chai';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { RecordRow } from '@gonimos/contract/records';
import { here } from './here.ts';
import { ask, find, sheet } from './page.ts';

describe('measures as each person reads and types them', () => {
  const at = here();

  it('typed in inches they are kept in millimetres, and each person reads them their own way', async () => {
    const { page } = await at.atRound('Grower');
    await page.getByRole('button', { name: /^You and this device/ }).click();
    // the page reads itself anew: going elsewhere before it has would be broken off by it
    await Promise.all([
      page.waitForEvent('load'),
      sheet(page).getByRole('button', { name: 'Measures in inches, gallons, °F' }).click(),
    ]);
    await page.goto('/cohorts/new');
    await page.getByLabel('Seeds').fill('30');
    await page.getByLabel('Code').fill('UM-1');
    await page.getByLabel('Goal caliper').fill('1 1/2');
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByRole('heading', { name: 'UM-1' }).waitFor();
    await page.getByRole('button', { name: 'A look' }).click();
    await sheet(page).getByLabel('Calipers').fill('1/4 3/8');
    await sheet(page).getByLabel('Heights').fill('1 ft');
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    const { id } = await find(page, 'UM-1');
    expect((await ask<Cohort>(page, `/cohorts/${id}`)).goalCaliper).to.equal(38.1);
    const [noted] = await ask<RecordRow[]>(page, `/cohorts/${id}/records`);
    expect(noted.details.sizes).to.deep.include({ calipers: [6.35, 9.53], heights: [304.8] });
    await page.goto(`/cohorts/${id}/notes`);
    await page.getByText(/caliper 0\.31 in, height 12\.0 in/).waitFor();

    // it is the person's own choice, on whatever device; the season reads in the same units
    const other = await at.enter('Grower');
    await other.page.goto('/season');
    await other.page.getByText(/Degree days above 41 °F/).waitFor();
    const helper = await at.enter('Helper');
    await helper.page.goto('/season');
    await helper.page.getByText(/Degree days above 5 °C/).waitFor();
  }).timeout(120_000);
});
