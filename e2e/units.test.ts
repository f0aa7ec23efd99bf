import { expect } from 'chai';
import type { Page } from 'playwright-core';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { RecordRow } from '@gonimos/contract/records';
import { here } from './here.ts';
import { ask, find, sheet } from './page.ts';

interface Typed {
  goal: string;
  calipers: string;
  heights: string;
}

describe('measures as each person reads and types them', () => {
  const at = here();

  /** A cohort entered with an aim and measured, in whatever units its grower has. */
  async function raised(page: Page, code: string, typed: Typed): Promise<{ goal: number; sizes: object }> {
    await page.goto('/cohorts/new');
    await page.getByLabel('Seeds').fill('30');
    await page.getByLabel('Code').fill(code);
    await page.getByLabel('Goal caliper').fill(typed.goal);
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByRole('heading', { name: code }).waitFor();
    await page.getByRole('button', { name: 'A look' }).click();
    await sheet(page).getByLabel('Calipers').fill(typed.calipers);
    await sheet(page).getByLabel('Heights').fill(typed.heights);
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    const { id } = await find(page, code);
    const { goalCaliper } = await ask<Cohort>(page, `/cohorts/${id}`);
    const [noted] = await ask<RecordRow[]>(page, `/cohorts/${id}/records`);
    return { goal: goalCaliper!, sizes: noted.details.sizes! };
  }

  it('metric and US: the same cohort gives the same stored numbers, and each reads it their own way', async () => {
    const { page } = await at.enter('Grower');
    const metric = await raised(page, 'UM-1', { goal: '38.1', calipers: '6.35 9.53', heights: '304.8' });
    await page.goto('/');
    await page.getByRole('button', { name: /^You and this device/ }).click();
    // the page reads itself anew: going elsewhere before it has would be broken off by it
    await Promise.all([
      page.waitForEvent('load'),
      sheet(page).getByRole('button', { name: 'Measures in inches, gallons, °F' }).click(),
    ]);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    const us = await raised(page, 'UM-2', { goal: '1 1/2', calipers: '1/4 3/8 in', heights: '1 ft' });
    expect(us).to.deep.equal(metric);
    // and either way in the other's units
    const mixed = await raised(page, 'UM-3', {
      goal: '38.1 mm',
      calipers: '6.35 9.53 mm',
      heights: '30.48 cm',
    });
    expect(mixed).to.deep.equal(metric);

    // what stands in the form reads back as what is kept: saved again, nothing changes
    const { id } = await find(page, 'UM-1');
    await page.goto(`/cohorts/${id}`);
    await page.getByRole('button', { name: 'Change' }).click();
    expect(await sheet(page).getByLabel('Goal caliper').inputValue()).to.equal('1.5');
    await sheet(page).getByLabel('Note').fill('looked at in inches');
    await sheet(page).getByRole('button', { name: /^Save/ }).click();
    await sheet(page).waitFor({ state: 'detached' });
    expect((await ask<Cohort>(page, `/cohorts/${id}`)).goalCaliper).to.equal(38.1);
    await page.getByRole('link', { name: 'Notes' }).click();
    await page.getByText(/caliper 0\.31 in, height 12\.0 in/).waitFor();

    // reasons, the season and the house read in the same units; a wrong measure is told at its input
    await page.goto('/season');
    await page.getByText(/Degree days above 41 °F/).waitFor();
    await page.goto('/nursery');
    await page.getByText(/heated to 59 °F/).waitFor();
    await page.goto('/cohorts/new');
    await page.getByLabel('Seeds').fill('30');
    await page.getByLabel('Goal caliper').fill('two gallons');
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByText(/^Goal caliper .*(number|is)/).waitFor();

    // it is the person's own choice, on whatever device
    const other = await at.enter('Grower');
    await other.page.goto('/season');
    await other.page.getByText(/Degree days above 41 °F/).waitFor();
    const helper = await at.enter('Helper');
    await helper.page.goto('/season');
    await helper.page.getByText(/Degree days above 5 °C/).waitFor();
  }).timeout(120_000);
});
