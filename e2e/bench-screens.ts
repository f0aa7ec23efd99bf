/** Screens among thousands of planned cohorts: how soon each stands, and the longest the page is blocked meanwhile. */
import type { Page } from 'playwright-core';
import { manyCohorts, row } from '../server/bench/many.ts';
import { houseOf } from '../server/src/house.ts';
import { openCrew } from '../server/src/planning/crew.ts';
import { endServer, freePort, serve } from '../server/test/serve.ts';
import { enter, openBrowser } from './browser.ts';

/** Reached by the links of the shell, as a grower does; the page is loaded once. */
const ASKED: readonly [link: string, ready: string][] = [
  ['Round', 'Have ready'],
  ['Cohorts', 'plants alive'],
  ['Year', 'Lock this week'],
  ['Start', 'What being surer costs'],
  ['Shed', 'In the bins'],
  ['Benches', 'What stands where'],
  ['Season', 'Leaf fall done'],
  ['Library', 'Seed-raised pine'],
  ['Nursery', 'Places'],
];

/** Times each screen is asked for, the first one cold; the middle one counts, for this machine's speed wanders. */
const VISITS = 3;

interface Blocked {
  blocked: number[];
}

async function watchTasks(page: Page): Promise<void> {
  await page.evaluate(() => {
    const w = window as unknown as Blocked;
    w.blocked = [];
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) w.blocked.push(e.duration);
    }).observe({ type: 'longtask' });
  });
}
const longest = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const w = window as unknown as Blocked;
    const most = Math.max(0, ...w.blocked);
    w.blocked = [];
    return most;
  });

const made = await manyCohorts();
await made.db.transaction((trx) => houseOf(made.db).plan(trx, 'all', 'the bench'));
const crew = openCrew(made.url);
await crew.workOff(() => false);
await crew.close();
await made.db.raw('ANALYZE');
const port = await freePort();
const server = await serve(made.url, port);
const browser = await openBrowser();
const { page } = await enter(browser, `http://127.0.0.1:${port}`, 'Owner');
await page.getByText('Have ready').first().waitFor();
await watchTasks(page);
/** One visit: how long until the screen stands, and the longest task since it was asked for, ms. */
async function visit(link: string, ready: string): Promise<{ took: number; blocked: number }> {
  await page.waitForTimeout(1200);
  await longest(page);
  const from = performance.now();
  await page.getByRole('link', { name: link }).first().click();
  await page.getByText(ready).first().waitFor({ state: 'attached' });
  const took = performance.now() - from;
  await page.waitForTimeout(700);
  return { took, blocked: await longest(page) };
}

const visits = new Map<string, { took: number; blocked: number }[]>(ASKED.map(([link]) => [link, []]));
for (let i = 0; i < VISITS; i++)
  for (const [link, ready] of ASKED) visits.get(link)!.push(await visit(link, ready));
const middle = (of: number[]) => of.toSorted((a, b) => a - b)[Math.floor(VISITS / 2)];
for (const [link, seen] of visits) {
  const blocked = middle(seen.map((v) => v.blocked));
  const took = middle(seen.map((v) => v.took));
  const all = seen.map((v) => `${v.took.toFixed(0)}/${v.blocked.toFixed(0)}`).join(', ');
  row(
    `${link} in the browser, blocked at longest (of ${all})`,
    `${took.toFixed(0)} ms, ${blocked.toFixed(0)} ms`,
    '≤ 1 s, ≤ 50 ms',
    took <= 1000 && blocked <= 50,
  );
}
await browser.close();
await endServer(server);
await made.db.destroy();
await made.drop();
process.exit(0);
