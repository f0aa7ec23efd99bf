import { expect } from 'chai';
import type { Browser, Page } from 'playwright-core';
import type { CohortCourse } from '@gonimos/contract/course';
import { startApp } from './app.ts';
import { openBrowser } from './browser.ts';
import { ask, find, pick } from './page.ts';

interface Start {
  taxon: string;
  count: string;
  code: string;
}

/** Nurseries far from the demo's valley, from the first page on. */
describe('a new nursery far away, in the browser', () => {
  let browser: Browser;
  let own: Awaited<ReturnType<typeof startApp>>;
  before(async () => {
    browser = await openBrowser();
  });
  beforeEach(async () => {
    own = await startApp(false);
  });
  afterEach(() => own.stop());
  after(() => browser.close());

  async function firstPage(climate: RegExp): Promise<Page> {
    const context = await browser.newContext({ baseURL: own.base });
    const page = await context.newPage();
    await page.goto('/');
    await page.getByLabel('Nursery').fill('Lower Field');
    await page.getByLabel('Your name').fill('Ada');
    await page.getByLabel('Password').fill('a long enough one');
    await choose(page, 'Begin from a typical climate', climate);
    return page;
  }

  async function choose(page: Page, label: string, name: RegExp): Promise<void> {
    const select = page.getByLabel(label, { exact: true });
    const found = await select.getByRole('option', { name }).first().textContent();
    await select.selectOption({ label: found! });
  }

  async function begin(page: Page, s: Start): Promise<void> {
    await page.goto('/cohorts/new');
    await pick(page, 'Taxon', s.taxon);
    await page.getByLabel(/^(Seeds|Cuttings|Plants)$/).fill(s.count);
    await page.getByLabel('Code').fill(s.code);
  }

  async function entered(page: Page, s: Start): Promise<CohortCourse['steps']> {
    await begin(page, s);
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByRole('heading', { name: s.code }).waitFor();
    const { id } = await find(page, s.code);
    return (await ask<CohortCourse>(page, `/cohorts/${id}/course`)).steps;
  }

  const undated = (steps: CohortCourse['steps']) =>
    steps.filter((s) => !s.opens && s.status !== 'done').map((s) => s.key);

  it('in the south: the wrong half of the world is refused by name, then roots are opened at the end of its winter', async () => {
    const page = await firstPage(/^Temperate, south/);
    await page.getByLabel('Latitude').fill('38');
    await page.getByRole('button', { name: 'Open the nursery' }).click();
    await page
      .getByText(/warm months/)
      .first()
      .waitFor();
    await page.getByLabel('Latitude').fill('-38');
    await page.getByRole('button', { name: 'Open the nursery' }).click();
    await page.getByText('Nothing is due today').waitFor();

    const starts: Start[] = [
      { taxon: 'field maple', count: '80', code: 'FM-S' },
      { taxon: 'black pine', count: '60', code: 'BP-S' },
      { taxon: 'oval-leaved privet', count: '40', code: 'OP-S' },
    ];
    for (const s of starts) {
      const steps = await entered(page, s);
      expect(undated(steps), s.code).to.deep.equal([]);
      // roots are opened as buds swell: late July to October south of the equator
      const opened = steps.find((x) => x.key === 'correct')!.opens!;
      expect(Number(opened.slice(5, 7)), `${s.code} ${opened}`).to.be.within(7, 10);
    }
    await page.goto('/season');
    await page.getByText('Bud swell').first().waitFor();
  }).timeout(120_000);

  it('in the wet tropics: a kind that needs a winter is warned of, three kinds that need none have their dates', async () => {
    const page = await firstPage(/^Wet tropics:/);
    await page.getByRole('button', { name: 'Open the nursery' }).click();
    await page.getByText('Nothing is due today').waitFor();

    // a maple needs a winter: said before it is entered, with what would do instead
    await begin(page, { taxon: 'field maple', count: '80', code: 'FM-T' });
    const told = page.getByRole('list', { name: 'To know before it is entered' });
    await told
      .getByText(/Think again/)
      .first()
      .waitFor();
    const warning = await told.innerText();
    expect(warning).to.match(/field maple wakes after cold/);
    expect(warning, 'what would do instead').to.match(/ fig|jasmine|premna/);

    const starts: Start[] = [
      { taxon: 'weeping fig', count: '40', code: 'WF-T' },
      { taxon: 'premna', count: '40', code: 'PR-T' },
      { taxon: 'orange jasmine', count: '40', code: 'OJ-T' },
    ];
    for (const s of starts) {
      expect(undated(await entered(page, s)), s.code).to.deep.equal([]);
    }
    await page.goto('/');
    await page
      .getByText(/Have ready|Nothing is due today/)
      .first()
      .waitFor();
  }).timeout(120_000);
});
