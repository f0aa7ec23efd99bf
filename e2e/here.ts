import type { Browser, Page } from 'playwright-core';
import { startApp } from './app.ts';
import { enter, openBrowser, openRound } from './browser.ts';

type Entering = Parameters<typeof enter> extends [unknown, unknown, ...infer Rest] ? Rest : never;

/** What a page shows, for the log of a failed journey: address, what is wrong by its own words, what was typed. */
async function shown(page: Page): Promise<string> {
  // a text, so that nothing of this file's own tools is looked for in the page
  const told = await page
    .evaluate<string[]>(
      `[...document.querySelectorAll('[role=alert], [aria-invalid=true]')].map((e) => 'wrong: ' + (e.name || e.innerText))
        .concat([...document.querySelectorAll('input, textarea')].map((e) => e.name + ' = ' + e.value).join(', '))
        .concat([...document.querySelectorAll('h1, h2, h3, main p')].map((e) => e.innerText).join(' / ').slice(0, 5000))`,
    )
    .catch((e: Error) => [e.message]);
  return [page.url(), ...told].map((line) => `      ${line}`).join('\n');
}

/** A browser and the demo nursery for the tests of one `describe`, opened before them and closed after. */
export function here() {
  let browser: Browser;
  let app: Awaited<ReturnType<typeof startApp>>;
  before(async function () {
    this.timeout(60_000);
    [browser, app] = await Promise.all([openBrowser(), startApp()]);
  });
  afterEach(async function () {
    const contexts = browser.contexts();
    if (this.currentTest?.state === 'failed')
      for (const page of contexts.flatMap((c) => c.pages())) console.log(await shown(page));
    // what a failed journey left open must not weigh on the next
    await Promise.all(contexts.map((c) => c.close()));
  });
  after(async () => {
    await browser.close();
    await app.stop();
  });
  return {
    get browser() {
      return browser;
    },
    get base() {
      return app.base;
    },
    /** Who then goes where the test begins. */
    enter: (...how: Entering) => enter(browser, app.base, ...how),
    /** Who begins at the first page. */
    atRound: async (...how: Entering) => {
      const entered = await enter(browser, app.base, ...how);
      await openRound(entered.page);
      return entered;
    },
  };
}
