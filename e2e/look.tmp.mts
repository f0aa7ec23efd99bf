import { startApp } from './app.ts';
import { DESK, enter, openBrowser, PHONE } from './browser.ts';
const [browser, app] = await Promise.all([openBrowser(), startApp()]);
const jobs = process.argv.slice(2);
const PAGES: Record<string, string> = {
  round: '/',
  fittings: '/fittings',
  season: '/season',
  cohorts: '/cohorts',
  year: '/year',
  start: '/propagation',
  nursery: '/nursery',
  library: '/library',
  new: '/cohorts/new',
  layers: '/propagation/layers',
};
for (const job of jobs) {
  const [name, how = 'desk', ...acts] = job.split(':');
  const vp = how === 'phone' ? PHONE : how === 'mid' ? { width: 820, height: 1100 } : DESK;
  const { page, context } = await enter(browser, app.base, 'Grower', vp, how === 'dark');
  page.on('pageerror', (e) => console.log('ERR', e.message));
  if (PAGES[name]) await page.goto(PAGES[name]);
  else {
    await page.goto('/cohorts');
    await page.getByRole('link', { name }).first().click();
  }
  await page.waitForTimeout(900);
  for (const a of acts) {
    if (a.startsWith('key=')) await page.keyboard.press(a.slice(4));
    else if (a.startsWith('click='))
      await page
        .getByRole('button', { name: new RegExp(a.slice(6)) })
        .first()
        .click();
    else if (a.startsWith('type=')) await page.keyboard.type(a.slice(5));
    else if (a === 'bottom') await page.evaluate(() => window.scrollTo(0, 99999));
    else if (a.startsWith('link='))
      await page
        .getByRole('link', { name: a.slice(5) })
        .first()
        .click();
    await page.waitForTimeout(500);
  }
  await page.screenshot({ path: `/tmp/shot-${jobs.indexOf(job)}.png` });
  await context.close();
}
await browser.close();
await app.stop();
process.exit(0);
