import { startApp } from './app.ts';
import { enter, openBrowser } from './browser.ts';
const [browser, app] = await Promise.all([openBrowser(), startApp()]);
const { page } = await enter(browser, app.base, 'Grower');
page.on('console', (m) => console.log('C', m.text().slice(0, 300)));
page.on('pageerror', (m) => console.log('E', m.message));
await page.goto('/cohorts/new');
const box = page.getByRole('combobox', { name: 'Taxon' });
await box.waitFor();
await box.click();
await page.waitForTimeout(300);
console.log('click', await box.getAttribute('aria-expanded'), await page.getByRole('option').count());
await page.keyboard.type('horn');
await page.waitForTimeout(300);
console.log(
  'type',
  await box.inputValue(),
  await box.getAttribute('aria-expanded'),
  await page.getByRole('option').count(),
);
await box.fill('field maple');
await page.waitForTimeout(300);
console.log(
  'fill',
  await box.inputValue(),
  await box.getAttribute('aria-expanded'),
  await page.getByRole('option').count(),
);
await page.screenshot({ path: '/tmp/dbg.png' });
await browser.close();
await app.stop();
process.exit(0);
