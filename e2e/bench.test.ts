import { expect } from 'chai';
import type { Page } from 'playwright-core';
import type { CohortRow } from '@gonimos/contract/cohorts';
import type { ParentLayers } from '@gonimos/contract/layers';
import type { PaceTable } from '@gonimos/contract/pace';
import type { RecordRow } from '@gonimos/contract/records';
import type { Round } from '@gonimos/contract/round';
import { PHONE } from './browser.ts';
import { here } from './here.ts';
import { ask, find, sheet, sheetGone } from './page.ts';

const row = (page: Page, text: string | RegExp) =>
  page.getByRole('listitem').filter({ hasText: text }).first();
const goTo = (page: Page, text: string | RegExp) => row(page, text).getByRole('heading').click();

describe('at the bench', () => {
  const at = here();

  it('a desk of 1280 × 800 sees eight open steps of the day without scrolling', async () => {
    const { page } = await at.atRound('Grower');
    await page.locator('.step-row').nth(9).waitFor();
    const rows = await page.locator('.step-row').all();
    const boxes = await Promise.all(rows.map((r) => r.boundingBox()));
    expect(boxes.filter((b) => b && b.y + b.height <= 800).length).to.be.at.least(8);
  });

  it('the clock runs on over a reload, counts bare roots, and its minutes are recorded', async () => {
    const { page } = await at.enter('Grower');
    await page.clock.install({ time: new Date('2037-03-09T09:00:00') });
    await page.goto('/');
    const [step] = (await ask<Round>(page, '/round?most=1000')).due.filter((s) => s.key === 'correct');
    await goTo(page, step.code);
    await row(page, step.code)
      .getByRole('button', { name: /^Clock/ })
      .click();
    const bar = page.getByRole('group', { name: 'Bench clock' });
    await bar.getByText('Roots bare').waitFor();
    await page.clock.fastForward('04:00');
    await page.reload();
    await bar
      .getByText(/^4:0\d$/)
      .first()
      .waitFor();
    await page.clock.fastForward('20:00');
    await bar.getByRole('alert').getByText('Mist the roots').waitFor();
    await bar.getByRole('button', { name: 'Misted' }).click();
    await bar.getByText('Roots bare').waitFor();
    await page.clock.fastForward('06:00');
    await bar.getByRole('button', { name: /^Stop/ }).click();
    expect(Number(await sheet(page).getByLabel('Minutes').inputValue())).to.be.within(30, 32);
    await sheet(page)
      .getByText(/by the clock; planned/)
      .waitFor();
    await sheet(page).getByLabel('Plants done').fill('5');
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    const [noted] = await ask<RecordRow[]>(page, `/cohorts/${step.cohortId}/records`);
    expect(noted.details.pace).to.include({ plants: 5 });
    expect(noted.details.pace!.bare).to.be.within(24, 26);
    expect((await ask<PaceTable>(page, '/pace')).learned.length).to.be.above(0);
  }).timeout(90_000);

  it('a layer: what the film shows is said before it is severed, and card, course and calendar say the same', async () => {
    const { page } = await at.enter('Grower');
    const { id } = await find(page, 'LG-19');
    await page.goto('/propagation/layers');
    await page.getByRole('button', { name: /^See to it.*LG-19L3/ }).click();
    await sheet(page).getByLabel('What').selectOption('severed');
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await sheet(page).getByText('look under the film first').waitFor();
    await sheet(page).getByLabel('Under the film').selectOption('few');
    await sheet(page)
      .getByText(/It is not full/)
      .waitFor();
    await sheet(page).getByLabel('Stands at').selectOption({ label: 'North bench' });
    await sheet(page).getByRole('button', { name: 'Record' }).click();
    await sheetGone(page);
    const { layers } = await ask<ParentLayers>(page, `/parents/${id}/layers`);
    const severed = layers.find((l) => l.code === 'LG-19L3')!;
    expect(severed.state).to.include({ stage: 'severed', lastFind: 'few' });
    const stands = (await ask<CohortRow[]>(page, '/cohorts')).find((c) => c.code === 'LG-19L3')!;
    const places = await ask<{ id: string; name: string }[]>(page, '/places');
    expect(places.find((p) => p.id === stands.placeId)!.name).to.equal('North bench');
    // the parent is fed by one tap
    await page.getByRole('button', { name: 'Fed today' }).click();
    await page.getByRole('status').getByText('Fed.').waitFor();
  }).timeout(90_000);

  it('plants that share a pot are opened together, and who shares it is said before', async () => {
    const { page } = await at.enter('Grower');
    const host = (await ask<Round>(page, '/round?most=1000')).due.find((s) => s.key === 'correct')!;
    await page.goto('/cohorts/new');
    await page.getByLabel('Seeds').fill('8');
    await page.getByLabel('Code').fill('GU-1');
    await page.getByLabel('Place', { exact: true }).selectOption(host.placeId);
    await page.getByLabel('Guest of').selectOption({ label: host.code });
    await page.getByRole('button', { name: 'Enter this cohort' }).click();
    await page.getByRole('heading', { name: 'GU-1' }).waitFor();
    await page.getByText(`Guests in the pots of ${host.code}`).waitFor();
    await page.goto('/');
    await goTo(page, host.code);
    await row(page, host.code).getByText('Guests in the same pots: 0 of GU-1').waitFor();
    await page.getByRole('button', { name: `Record ${host.title}, ${host.code}` }).click();
    await sheet(page).getByLabel('One pot').selectOption('parted');
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    const guest = await find(page, 'GU-1');
    await page.goto(`/cohorts/${guest.id}/notes`);
    await page.getByText(`Opened with ${host.code}`).waitFor();
    await page.goto(`/cohorts/${guest.id}`);
    await page.getByText('Guests in the pots of').waitFor({ state: 'detached' });
  }).timeout(90_000);
});

describe('in one hand', () => {
  const at = here();

  it('the round begins with work, a wire check tells three numbers, held stock is released, frost is answered', async () => {
    const { page } = await at.atRound('Grower', PHONE);
    const first = page.locator('li[aria-current]').first();
    expect((await first.boundingBox())!.y, 'the first step stands high').to.be.below(420);
    const { warnings } = await ask<Round>(page, '/round');
    if (warnings.some((x) => x.kind === 'frost' && x.carried)) {
      await page.getByRole('button', { name: 'Brought in' }).first().click();
      await page
        .getByRole('button', { name: /^Out again/ })
        .first()
        .waitFor();
    }
    const checks = (await ask<Round>(page, '/round?most=1000')).missed.filter(
      (m) => m.operation === 'wire-check',
    );
    if (checks.length > 0) {
      const [check] = checks;
      await page.getByRole('button', { name: /missed/ }).click();
      await page.getByRole('button', { name: `Do it now: ${check.title}, ${check.code}` }).click();
      await sheet(page).getByLabel('Wired').fill('2');
      await sheet(page).getByLabel('Bare').fill('1');
      await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
      await sheet(page).getByText('Recorded.').waitFor();
      const [noted] = await ask<RecordRow[]>(page, `/cohorts/${check.cohortId}/records`);
      expect(noted.details.fittings?.tend).to.deep.equal({ stays: 2, off: 1, biting: 0 });
    }
  }).timeout(90_000);

  it('a tray by thumb: cells a thumb can meet, and the brushes under them', async () => {
    const { page } = await at.enter('Grower');
    const rows = (await ask<CohortRow[]>(page, '/cohorts')).filter((c) => c.growing);
    let tray: CohortRow | undefined;
    for (const c of rows) {
      const { trays } = await ask<{ trays: unknown[] }>(page, `/cohorts/${c.id}/trays`);
      if (trays.length > 0) tray = c;
      if (tray) break;
    }
    await page.setViewportSize(PHONE);
    await page.goto(`/cohorts/${tray!.id}/trays`);
    const cell = page.locator('[data-cell]').first();
    await cell.waitFor();
    const box = (await cell.boundingBox())!;
    expect(Math.min(box.width, box.height)).to.be.at.least(44);
    await cell.scrollIntoViewIfNeeded();
    const brush = (await page.getByRole('radiogroup', { name: 'Mark cells as' }).first().boundingBox())!;
    expect(brush.y, 'at the thumb').to.be.above(PHONE.height / 2);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, 'the page itself does not scroll sideways').to.be.at.most(PHONE.width);
  }).timeout(60_000);
});
