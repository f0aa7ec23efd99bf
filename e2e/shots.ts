/** Remakes docs/screenshots from the demo nursery on its opening day. */
import type { Page } from 'playwright-core';
import { startApp } from './app.ts';
import { DESK, enter, openBrowser, PHONE, openRound } from './browser.ts';
import { find } from './page.ts';
import { reach, SCREENS, settled } from './screens.ts';

const FOLDER = new URL('../docs/screenshots/', import.meta.url).pathname;
const wanted = process.argv.slice(2);

const [browser, app] = await Promise.all([openBrowser(), startApp()]);

async function shot(page: Page, name: string, ready: string): Promise<void> {
  if (wanted.length > 0 && !wanted.some((w) => name.startsWith(w))) return;
  await page.getByText(ready).first().waitFor();
  await settled(page);
  // a sheet slides in
  await page.waitForTimeout(300);
  await page.screenshot({ path: `${FOLDER}${name}.png` });
  console.log(`  ${name}.png`);
}

/** Screens that are shown as they are reached. */
async function asReached(): Promise<void> {
  const { page, context } = await enter(browser, app.base, 'Grower', DESK);
  for (const s of SCREENS) {
    if (!s.picture) continue;
    await reach(page, s);
    await shot(page, s.picture, s.ready);
  }
  await context.close();
}

async function tour(): Promise<void> {
  const { page, context } = await enter(browser, app.base, 'Grower', DESK);
  await openRound(page);
  await page
    .getByRole('button', { name: /^Record First root/ })
    .first()
    .click();
  await shot(page, 'recording-sheet', 'Losses');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Why/ }).first().click();
  await shot(page, 'why', 'What would change it');
  await page.keyboard.press('Escape');
  await page.goto('/cohorts/new');
  await page.getByLabel('Seeds').fill('120');
  await page.getByLabel('Goal caliper').fill('40');
  await page.evaluate(() => window.scrollTo(0, 0));
  await shot(page, 'new-cohort', 'Its course');
  await page.goto('/year');
  await page.getByRole('tab', { name: 'Windows alone' }).click();
  await shot(page, 'year', 'Routine hours');
  await page.goto('/cohorts');
  await page.getByRole('link', { name: 'FM-30' }).click();
  await shot(page, 'cohort', 'Ahead');
  await page.goto(`/cohorts/${(await find(page, 'FM-36')).id}/trunk`);
  await page.getByLabel(/^Goal at the base/).fill('40');
  await shot(page, 'trunk-lab', 'Base caliper');
  await context.close();
}

async function evening(): Promise<void> {
  const { page, context } = await enter(browser, app.base, 'Grower', DESK, true);
  await openRound(page);
  await shot(page, 'round-dark', 'Have ready');
  await context.close();
}

async function phone(): Promise<void> {
  const { page, context } = await enter(browser, app.base, 'Helper', PHONE);
  await openRound(page);
  await shot(page, 'round-phone', 'open');
  await context.close();
}

await asReached();
await tour();
await evening();
await phone();
await browser.close();
await app.stop();
process.exit(0);
