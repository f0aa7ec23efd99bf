import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { startApp } from './app.ts';
import { PHONE } from './browser.ts';
import { here } from './here.ts';
import { pick, sheet, untilDue } from './page.ts';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sept', 'Oct', 'Nov', 'Dec'];

/** Work that is told in one sheet, without counts of its own. */
const PLAIN = /^Record (?!Count|Cutting|Open the layer|Sever|Layer)/;

describe('journeys in the browser', () => {
  const at = here();

  const stepOf = (page: Page, title: string) => page.getByRole('listitem').filter({ hasText: title }).first();

  it('a seed cohort from sowing to cells: planned, recorded, moved, reversed, kept', async () => {
    const { page } = await at.atRound('Grower');
    await page.getByRole('link', { name: 'Cohorts' }).first().click();
    await page.getByRole('link', { name: 'New cohort' }).click();

    // the course is there before anything is saved, over five years or more, from the climate of the place
    await pick(page, 'Taxon', 'field maple');
    await page.getByLabel('Seeds').fill('120');
    await page.getByLabel('Code').fill('FM-J');
    await page.getByLabel('Place', { exact: true }).selectOption({ label: 'South bench' });
    const preview = page.getByRole('region', { name: 'The course it would have' });
    await preview.locator('ol > li p.font-bold').first().waitFor();
    const years = await preview.locator('ol > li p.font-bold').allTextContents();
    expect(Number(years.at(-1)) - Number(years[0])).to.be.at.least(5);
    const coldOpening = await preview
      .getByRole('button', { name: /Apr|May/ })
      .first()
      .textContent();
    await page.getByLabel('Place', { exact: true }).selectOption({ label: 'Heated house' });
    await preview.getByRole('button', { name: /why/ }).first().filter({ hasNotText: coldOpening! }).waitFor();
    await page.getByLabel('Place', { exact: true }).selectOption({ label: 'South bench' });

    // what was typed survives a reload
    await page.reload();
    expect(await page.getByLabel('Seeds').inputValue()).to.equal('120');
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByRole('heading', { name: 'FM-J' }).waitFor();
    await page.getByText('120 sown').first().waitFor();

    // on to the first due step
    await untilDue(page, 'FM-J', 'Count emergence');
    const cellsBefore = await stepOf(page, 'Pot on into air-pruning cells').innerText();

    // nine eaten before they were up, 84 up
    await stepOf(page, 'Count emergence').getByRole('button', { name: 'Record' }).click();
    await sheet(page).getByLabel('Up').fill('84');
    await sheet(page).getByLabel('Loss 1, how many').fill('9');
    await sheet(page).getByLabel('Loss 1, kind').selectOption('lost_before_emergence');
    await sheet(page).getByLabel('Loss 1, cause').selectOption('eaten');
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await sheet(page).getByText('What moved, and why').waitFor();
    await sheet(page)
      .getByText(/because: 25 days after ‘Count emergence’/)
      .first()
      .waitFor();
    await sheet(page).getByRole('button', { name: 'Back to work' }).click();

    const countsAre = async (alive: string) => {
      await page.getByText(alive).first().waitFor();
      await page.getByText('76 % (67–83)').waitFor();
      await page.getByText('84 up of 111 not lost before').waitFor();
    };
    await countsAre('84 alive');
    expect(await stepOf(page, 'Pot on into air-pruning cells').innerText()).not.to.equal(cellsBefore);

    // pot on into cells when the window opens
    await untilDue(page, 'FM-J', 'Pot on into air-pruning cells');
    await stepOf(page, 'Pot on into air-pruning cells').getByRole('button', { name: 'Record' }).click();
    expect(await sheet(page).getByLabel('Into').inputValue()).to.equal('cell-60');
    await sheet(page).getByLabel('Loss 1, how many').fill('4');
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await sheet(page).getByRole('button', { name: 'Back to work' }).click();
    await page.getByText('80 alive').first().waitFor();
    await page.getByText('air-pruning cell 5 cm (60)').first().waitFor();

    // one entry reversed: the ledger keeps both, the count is right
    await page.getByRole('link', { name: 'Ledger' }).click();
    await page.getByRole('button', { name: 'Reverse lost 4' }).click();
    await page.getByText('reversed; both entries are kept').waitFor();
    await countsAre('84 alive');
    await page.reload();
    await page.getByText('reversed; both entries are kept').waitFor();
    await countsAre('84 alive');

    // the same everywhere
    await page.goto('/cohorts?q=fm-j');
    expect(await page.locator('tbody tr').textContent()).to.include('84 alive');
    await page.goto('/');
    const csv = await (await page.request.get('/api/files/cohorts.csv')).text();
    expect(csv.split('\r\n').find((l) => l.startsWith('FM-J'))).to.match(/,84,27,/);
  }).timeout(180_000);

  it('the round in one hand at 390 × 844: recorded by thumb, undone within the minute', async () => {
    const { page } = await at.atRound('Helper', PHONE);
    await page
      .getByRole('heading', { level: 1, name: new RegExp(MONTHS.map((m) => m.slice(0, 3)).join('|')) })
      .waitFor();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).to.be.at.most(PHONE.width);
    // the first step stands high up, and its usual result is one touch
    const first = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Why' }) });
    const title = first.getByRole('heading').first();
    expect((await title.boundingBox())!.y).to.be.below(250);
    const done = page.getByRole('button', { name: /^(Done|All \d+ done)/ });
    // work that wants counts has no usual result: on to the next
    for (const row of await page.getByRole('heading', { level: 3 }).all()) {
      if ((await done.count()) > 0) break;
      await row.click();
    }
    const box = (await done.boundingBox())!;
    expect(box.height).to.be.at.least(48);
    expect(box.width).to.be.at.least(150);
    await done.click();
    await page.getByRole('status').getByText('Recorded.').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('status').waitFor({ state: 'detached' });
    // told in full, the sheet asks for it
    await page.getByRole('button', { name: /^Other result/ }).click();
    await sheet(page)
      .getByText(/^More:/)
      .click();
    await sheet(page).getByLabel('Minutes').fill('12');
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    await sheet(page).getByRole('button', { name: /^Undo/ }).click();
    await sheet(page).waitFor({ state: 'detached' });
    expect(await page.getByRole('button', { name: 'Not yet' }).count(), 'a helper changes no plans').to.equal(
      0,
    );
  }).timeout(60_000);

  it('a failed write keeps what was typed, says why, and goes through when the server is back', async () => {
    const { page, context } = await at.atRound('Grower');
    await page.getByRole('button', { name: PLAIN }).first().click();
    await sheet(page)
      .getByText(/^More:/)
      .click();
    await sheet(page).getByLabel('Note').fill('dry in the middle');
    await context.setOffline(true);
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await sheet(page)
      .getByRole('alert')
      .getByText(/No answer/)
      .waitFor();
    expect(await sheet(page).getByLabel('Note').inputValue()).to.equal('dry in the middle');
    await context.setOffline(false);
    await sheet(page).getByLabel('Minutes').fill('many');
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await sheet(page)
      .getByText(/Minutes is not a number|minutes/i)
      .first()
      .waitFor();
    await sheet(page).getByLabel('Minutes').fill('20');
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await sheet(page).getByText('Recorded.').waitFor();
  }).timeout(60_000);

  it('signed out meanwhile: the next page asks who is there, and then is the page that was asked for', async () => {
    const { page, context } = await at.atRound('Grower');
    // what the first page still asks for would ask who is there before its link is gone to
    await page.waitForLoadState('networkidle');
    // as when the session has run out, or the owner has changed the role
    await context.clearCookies();
    await page.getByRole('link', { name: 'Nursery' }).first().click();
    await page.getByRole('button', { name: /^Helper/ }).waitFor();
    expect(new URL(page.url()).pathname).to.equal('/nursery');
    await page.getByRole('button', { name: /^Helper/ }).click();
    await page.getByRole('heading', { name: 'Places' }).waitFor();
    await page.getByText('Alma').first().waitFor();
    // nobody is thrown out again by an answer that comes late: five quick entries stay
    for (let i = 0; i < 5; i++) {
      await context.clearCookies();
      await page.goto('/');
      await page.getByRole('button', { name: /^Grower/ }).click();
      await page.getByRole('navigation', { name: 'Places' }).first().waitFor();
      expect(await page.evaluate(async () => (await fetch('/api/cohorts')).status)).to.equal(200);
    }
  }).timeout(60_000);

  it('cohorts from a file: faults shown, good lines entered', async () => {
    const { page } = await at.enter('Grower');
    await page.goto('/cohorts/import');
    const head = 'code,taxon,programme,place,container,started,count\n';
    const line = (code: string, count: string) =>
      `${code},Scots pine,Seed-raised pine,South bench,seed flat 40 × 30 cm,spring 2036,${count}\n`;
    await page.getByLabel('Or paste it').fill(head + line('SP-X1', '40') + line('SP-X2', 'lots'));
    await page.getByText('1 good, 1 with faults').waitFor();
    await page.getByText('count is not a number').waitFor();
    await page.getByRole('button', { name: 'Enter the 1 good line' }).click();
    await page.getByText('1 cohort entered').waitFor();
    await page.getByRole('link', { name: 'To the cohorts' }).click();
    await page.getByRole('link', { name: 'SP-X1' }).waitFor();
  }).timeout(60_000);

  it('a nursery of one’s own: the first visit makes the owner, an empty round says what to do first', async () => {
    const own = await startApp(false);
    const context = await at.browser.newContext({ baseURL: own.base });
    const page = await context.newPage();
    await page.goto('/');
    await page.getByLabel('Nursery').fill('Lower Field');
    await page.getByLabel('Your name').fill('Ada');
    await page.getByLabel('Password').fill('short');
    await page.getByRole('button', { name: 'Open the nursery' }).click();
    await page.getByText('Password is shorter than 10 letters').waitFor();
    await page.getByLabel('Password').fill('a long enough one');
    await page.getByRole('button', { name: 'Open the nursery' }).click();
    await page.getByText('Nothing is due today').waitFor();
    await page.getByRole('link', { name: 'Start a cohort' }).click();
    await page.getByText('Its course').waitFor();
    await own.stop();
  }).timeout(60_000);
});
