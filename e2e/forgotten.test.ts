import { expect } from 'chai';
import type { Page } from 'playwright-core';
import type { Round } from '@gonimos/contract/round';
import { here } from './here.ts';
import { ask, aWeekLater, find, sheet, sheetGone, untilDue } from './page.ts';

const round = (page: Page) => ask<Round>(page, '/round?most=1000');
const row = (page: Page, text: string | RegExp) =>
  page.getByRole('listitem').filter({ hasText: text }).first();
const missed = (page: Page) => page.getByRole('region', { name: 'Missed' });
/** The step one is at shows all that may be done with it. */
const goTo = (page: Page, text: string | RegExp) => row(page, text).getByRole('heading').click();

describe('nothing is forgotten, in the browser', () => {
  const at = here();

  it('a frost warning is answered where it stands, and what went in is asked out again', async () => {
    const { page } = await at.atRound('Helper');
    const warnings = page.getByRole('list', { name: 'Weather warnings' });
    const [frost] = (await round(page)).warnings.filter((w) => w.kind === 'frost' && w.carried);
    await warnings.getByText(frost.text).waitFor();
    await warnings.getByRole('button', { name: 'Brought in' }).first().click();
    await warnings.getByText(frost.text).waitFor({ state: 'detached' });
    const { sheltered } = await round(page);
    expect(sheltered.map((s) => s.cohortId)).to.have.members(frost.cohortIds);
    expect(sheltered.reduce((n, s) => n + s.plants, 0)).to.equal(frost.plants);
    for (const s of sheltered)
      await warnings.getByRole('button', { name: `Out again: ${s.code}`, exact: true }).click();
    await warnings.getByText(frost.text).waitFor();
  }).timeout(60_000);

  it('part of a batch: what is done adds up, what is left is said, and the rest can go its own way', async () => {
    const { page } = await at.atRound('Grower');
    await goTo(page, 'TC-34');
    const record = async (done: string) => {
      await page.getByRole('button', { name: 'Record Cut back leaders, TC-34' }).click();
      await sheet(page).getByLabel('Plants done').fill(done);
    };
    await record('20');
    expect(
      await sheet(page)
        .getByLabel(/This step is finished/)
        .isChecked(),
      'more is left',
    ).to.equal(false);
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page).getByText('27 are left').waitFor();
    await sheet(page).getByRole('button', { name: 'Back to work' }).click();
    await row(page, 'TC-34').getByText('20 done, 27 left').waitFor();
    await record('30');
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page)
      .getByText(/is more than the 27 left/)
      .waitFor();
    await sheet(page).getByLabel('Plants done').fill('7');
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page)
      .getByRole('button', { name: /^Make them a cohort of their own, TC-34R/ })
      .click();
    await sheet(page).getByRole('link', { name: 'TC-34R' }).waitFor();
    await sheet(page).getByRole('button', { name: 'Back to work' }).click();
    await row(page, 'TC-34R')
      .getByText(/20 alive/)
      .waitFor();
    expect(await find(page, 'TC-34')).to.include({ live: 27 });
    expect(
      (await round(page)).due.filter((s) => s.code === 'TC-34' && s.title === 'Cut back leaders'),
    ).to.deep.equal([]);
  }).timeout(90_000);

  it('not yet says what it costs before it is said', async () => {
    const { page } = await at.atRound('Grower');
    await goTo(page, 'FM-36');
    await row(page, 'FM-36').getByRole('button', { name: 'Not yet' }).click();
    await sheet(page).getByText('Still within its window.').waitFor();
    await sheet(page).getByText('Within its window').first().waitFor();
    await sheet(page).getByLabel('Put off until').fill('+40d');
    await sheet(page)
      .getByText(/^Past its closing day: the next window is .*2038/)
      .waitFor();
    await sheet(page)
      .getByText(/\d+ steps move; the course ends a year later/)
      .waitFor();
    await sheet(page).getByText('What moves', { exact: true }).click();
    await sheet(page).getByText('days later').first().waitFor();
    const { due } = await round(page);
    expect(
      due.some((s) => s.code === 'FM-36'),
      'nothing is written by asking',
    ).to.equal(true);
  }).timeout(60_000);

  it('of seed nothing came up: asked for, and written off with the cause', async () => {
    const { page } = await at.enter('Grower');
    await page.goto('/cohorts/new');
    await page.getByLabel('Seeds').fill('40');
    await page.getByLabel('Code').fill('FM-N');
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByRole('heading', { name: 'FM-N' }).waitFor();
    await untilDue(page, 'FM-N', 'Count emergence');
    await row(page, 'Count emergence').getByRole('button', { name: 'Record' }).click();
    await sheet(page).getByLabel('Up').fill('0');
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page)
      .getByText(/count again later, or write the \d+ seeds off/)
      .first()
      .waitFor();
    await sheet(page).getByLabel('Loss 1, how many').fill('40');
    await sheet(page).getByLabel('Loss 1, kind').selectOption('lost_before_emergence');
    await sheet(page).getByLabel('Loss 1, cause').selectOption('rotten');
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    expect(await find(page, 'FM-N')).to.include({ live: 0, pending: 0, growing: false });
    expect((await round(page)).due.filter((s) => s.code === 'FM-N')).to.deep.equal([]);
  }).timeout(120_000);

  it('what was missed: done on another day, undone, let go many at once; and what happened meanwhile', async () => {
    const { page } = await at.atRound('Grower');
    const before = (await round(page)).missed.length;
    expect(before).to.be.above(2);
    await missed(page).getByRole('button', { name: 'Done on …' }).first().click();
    await sheet(page).getByLabel('Done on').fill('-3d');
    await sheet(page).getByRole('button', { name: 'Record it' }).click();
    await sheetGone(page);
    await page.getByRole('status').getByText('1 missed step recorded as done.').waitFor();
    await missed(page)
      .getByText(`${before - 1} missed`)
      .waitFor();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await missed(page).getByText(`${before} missed`).waitFor();
    // after a week away it is all in one list
    await aWeekLater(page);
    await page.getByText('You were last here 9 Mar.').waitFor();
    await page.getByRole('link', { name: 'Go through it' }).click();
    await page.getByRole('heading', { name: 'Meanwhile' }).waitFor();
    // the week has brought more: all of it stands in the list before it is chosen
    await missed(page)
      .getByText(`${(await round(page)).missed.length} missed`)
      .waitFor();
    await missed(page).getByRole('button', { name: 'Choose all' }).click();
    await missed(page).getByRole('button', { name: 'Let all go' }).click();
    await missed(page).waitFor({ state: 'detached' });
    expect((await round(page)).missed).to.deep.equal([]);
    await page.getByRole('button', { name: 'I have seen it' }).click();
    await page.getByRole('button', { name: 'I have seen it' }).waitFor({ state: 'detached' });
  }).timeout(90_000);
});

describe('an evening at the desk', () => {
  const at = here();

  it('an evening by keyboard alone: six results, and a cohort found', async () => {
    const { page } = await at.atRound('Grower');
    let presses = 0;
    const press = async (key: string) => {
      await page.keyboard.press(key);
      presses++;
    };
    const current = page.locator('li[aria-current=true]');
    for (let done = 0; done < 6;) {
      const step = await current.innerText();
      await press('a');
      await page.waitForTimeout(250);
      // what wants counts opens its sheet: put away, and on to the next
      const asked = (await sheet(page).count()) > 0;
      if (asked) {
        await press('Escape');
        await sheetGone(page);
        await press('j');
      } else done++;
      await page.waitForFunction(
        (old) => document.querySelector<HTMLElement>('li[aria-current=true]')?.innerText !== old,
        step,
      );
    }
    await press('/');
    await sheet(page).getByRole('combobox').waitFor();
    await page.keyboard.type('GB-34');
    await press('Enter');
    await page.getByRole('heading', { name: 'GB-34' }).waitFor();
    console.log(`      ${presses} key presses`);
    expect(presses).to.be.at.most(60);
  }).timeout(90_000);
});
