import { expect } from 'chai';
import { here } from './here.ts';

describe('weather, shelves and proof in the browser', () => {
  const at = here();

  it('a fresh count of the shelf lets a step go that waited for its containers', async () => {
    const { page } = await at.atRound('Owner');
    await page.getByRole('heading', { name: 'Short' }).waitFor();
    await page.goto('/shed/pots');
    const row = page.getByRole('listitem').filter({ hasText: 'pond basket 18 cm' });
    await row.getByText(/\d+ short/).waitFor();
    await row.getByRole('button', { name: /^Count/ }).click();
    await page.getByRole('dialog').getByLabel('On the shelf').fill('900');
    await page.getByRole('button', { name: 'Save the count' }).click();
    await row.getByText(/900 there/).waitFor();
    expect(await row.getByText(/short/).count()).to.equal(0);
  }).timeout(60_000);

  it('the station is live, and a record from a file is looked through before it is taken in', async () => {
    const { page } = await at.enter('Grower');
    await page.goto('/season');
    await page.getByText('Hilltop mast').waitFor();
    await page
      .getByText(/bring in \d+ (pots|trays) of/)
      .first()
      .waitFor();
    const swell = page.getByRole('row', { name: /^Bud swell warmth/ });
    const before = await swell.innerText();
    const warm = Array.from({ length: 30 }, (_, i) => {
      const day = new Date(Date.UTC(2037, 1, 7 + i)).toISOString().slice(0, 10);
      return `${day},8,18`;
    });
    const csv = `date,tmin,tmax\n${warm.join('\n')}\n2037-03-09,soft,9\n`;
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'record.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await page.getByText('30 good days').waitFor();
    await page.getByText(/line 32:/).waitFor();
    expect(await swell.innerText(), 'nothing is written yet').to.equal(before);
    await page.getByRole('button', { name: 'Take in 30 days' }).click();
    await page.getByText(/30 days are in the record/).waitFor();
    await page.waitForFunction(
      (was) => ![...document.querySelectorAll('tr')].some((r) => r.innerText === was),
      before,
    );
  }).timeout(60_000);

  it('the proof under a levelled year can be raised on demand, and the plan stays as it is', async () => {
    const { page } = await at.enter('Grower');
    await page.goto('/year');
    await page.getByRole('button', { name: 'Level the weeks' }).click();
    await page.getByRole('button', { name: 'Prove it further' }).waitFor();
    const hours = await page.getByRole('button', { name: /^Week of 9 Mar/ }).getAttribute('aria-label');
    await page.getByRole('button', { name: 'Prove it further' }).click();
    await page.getByRole('button', { name: 'Prove it further' }).waitFor();
    await page.getByText(/Proved the best there is|No plan can beat it by more than/).waitFor();
    expect(await page.getByRole('button', { name: /^Week of 9 Mar/ }).getAttribute('aria-label')).to.equal(
      hours,
    );
  }).timeout(60_000);
});
