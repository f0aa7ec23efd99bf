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

  it('with few hands, the proof under a levelled year is raised on demand, and the plan stays as it is', async () => {
    const { page } = await at.enter('Owner');
    await page.goto('/year');
    // a quarter of their hours: far more to do than there are hands
    for (const who of [/Alma/, /Bruno/, /Ines/]) {
      const hours = page.getByLabel(new RegExp(`^Hours a week of ${who.source}`));
      const kept = page.waitForResponse((r) => r.url().endsWith('/hours') && r.ok());
      await hours.fill(String(Math.round(Number(await hours.inputValue()) * 0.25)));
      await hours.blur();
      await kept;
    }
    await page.waitForLoadState('networkidle');
    const further = page.getByRole('button', { name: 'Prove it further' });
    const week = page.getByRole('button', { name: /^Week of 9 Mar/ });
    const spared = async () => {
      const words = await page.getByText(/^Proved: no plan/).innerText();
      const [, hours, left, minutes] = /more than (?:(\d+) h (\d+)|(\d+) min)/.exec(words)!;
      return hours ? 60 * Number(hours) + Number(left) : Number(minutes);
    };
    await page.getByRole('button', { name: 'Level the weeks' }).click();
    await further.waitFor();
    const load = await week.getAttribute('aria-label');
    const before = await spared();
    await further.click();
    await further.waitFor({ state: 'detached' });
    await further.waitFor();
    console.log(`      a better plan could spare ${before} min, then ${await spared()} min`);
    expect(await spared(), 'proved further').to.be.below(before);
    expect(await week.getAttribute('aria-label')).to.equal(load);
  }).timeout(60_000);
});
