/** Remakes docs/screenshots from the demo nursery on its opening day. */
import type { Page } from 'playwright-core';
import { startApp } from './app.ts';
import { DESK, enter, openBrowser, PHONE } from './browser.ts';

const FOLDER = new URL('../docs/screenshots/', import.meta.url).pathname;
const wanted = process.argv.slice(2);

const [browser, app] = await Promise.all([openBrowser(), startApp()]);

async function shot(page: Page, name: string, ready: string): Promise<void> {
  if (wanted.length > 0 && !wanted.some((w) => name.startsWith(w))) return;
  await page.getByText(ready).first().waitFor();
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${FOLDER}${name}.png` });
  console.log(`  ${name}.png`);
}

async function tour(dark: boolean): Promise<void> {
  const { page, context } = await enter(browser, app.base, 'Grower', DESK, dark);
  const suffix = dark ? '-dark' : '';
  await shot(page, `round${suffix}`, 'Have ready');
  if (!dark) {
    await page
      .getByRole('button', { name: /^Record First root/ })
      .first()
      .click();
    await shot(page, 'recording-sheet', 'Losses');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /^Why/ }).nth(2).click();
    await shot(page, 'why', 'What would change it');
    await page.keyboard.press('Escape');
    await page.goto('/cohorts');
    await shot(page, 'cohorts', 'plants alive');
    await page.goto('/cohorts/new');
    await page.getByLabel('Seeds').fill('120');
    await page.getByLabel('Goal caliper').fill('40');
    await page.evaluate(() => window.scrollTo(0, 0));
    await shot(page, 'new-cohort', 'Its course');
    await page.goto('/library');
    await shot(page, 'library', 'Seed-raised pine');
    await page.goto('/');
    await page.getByRole('button', { name: 'Found something, LV-35' }).click();
    await page.getByRole('dialog').getByLabel('few roots, ball falls apart').check();
    await shot(page, 'found', 'What now');
    await page.keyboard.press('Escape');
    await page.goto('/year');
    await page.getByRole('tab', { name: 'Windows alone' }).click();
  } else await page.goto('/year');
  await shot(page, `year${suffix}`, 'Hands');
  if (!dark) {
    await page.goto('/season');
    await shot(page, 'season', 'Bud swell');
  }
  await page.goto('/cohorts');
  await page.getByRole('link', { name: 'FM-30' }).click();
  await shot(page, `cohort${suffix}`, 'Ahead');
  if (!dark) {
    const bar = page.getByRole('button', { name: /^Into the training pot/ }).first();
    await bar.focus();
    await page.keyboard.press('Shift+PageUp');
    await shot(page, 'move', 'Refused by the rule');
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Ledger' }).click();
    await shot(page, 'ledger', 'Alive after');
  }
  await context.close();
}

async function phone(): Promise<void> {
  const { page, context } = await enter(browser, app.base, 'Helper', PHONE);
  await shot(page, 'round-phone', 'open');
  await page
    .getByRole('button', { name: /^Record/ })
    .first()
    .click();
  await shot(page, 'recording-sheet-phone', 'Losses');
  await page.keyboard.press('Escape');
  await page.goto('/year');
  await shot(page, 'year-phone', 'Hands');
  await context.close();
}

await tour(false);
await tour(true);
await phone();
await browser.close();
await app.stop();
process.exit(0);
