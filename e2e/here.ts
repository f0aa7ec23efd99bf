import type { Browser } from 'playwright-core';
import { startApp } from './app.ts';
import { enter, openBrowser } from './browser.ts';

type Entering = Parameters<typeof enter> extends [unknown, unknown, ...infer Rest] ? Rest : never;

/** A browser and the demo nursery for the tests of one `describe`, opened before them and closed after. */
export function here() {
  let browser: Browser;
  let app: Awaited<ReturnType<typeof startApp>>;
  before(async function () {
    this.timeout(60_000);
    [browser, app] = await Promise.all([openBrowser(), startApp()]);
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
    enter: (...how: Entering) => enter(browser, app.base, ...how),
  };
}
