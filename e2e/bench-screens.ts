/** Screens among thousands of planned cohorts: how soon each stands, and the longest the page is blocked meanwhile. */
import { manyCohorts, row } from '../server/bench/many.ts';
import { houseOf } from '../server/src/house.ts';
import { openCrew } from '../server/src/planning/crew.ts';
import { endServer, freePort, serve } from '../server/test/serve.ts';
import { enter, openBrowser, openRound } from './browser.ts';
import { HELD_UP, longest, traced } from './tasks.ts';

/** Reached by the links of the shell, as a grower does; the page is loaded once. */
const ASKED: readonly [link: string, ready: string][] = [
  ['Cohorts', 'plants alive'],
  ['Year', 'Lock this week'],
  ['Start', 'What being surer costs'],
  ['Shed', 'In the bins'],
  ['Benches', 'What stands where'],
  ['Season', 'Leaf fall done'],
  ['Library', 'Seed-raised pine'],
  ['Nursery', 'Places'],
  ['Round', 'Have ready'],
];

/** Times each screen is asked for, the first one cold. */
const VISITS = 5;

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
await openRound(page);
await page.getByText('Have ready').first().waitFor();
/** In the page: when the screen was asked for, and when its words stood there. */
interface Standing {
  asked?: number;
  stood?: Promise<number>;
}

/** Notes the click and the moment the words are there; asked from outside, it would be known up to half a second late. */
const watch = (ready: string): Promise<void> =>
  page.evaluate((words) => {
    const w = window as unknown as Standing;
    if (document.body.textContent.includes(words))
      throw new Error(`“${words}” stands there before it is asked for`);
    w.asked = undefined;
    w.stood = new Promise((stood) => {
      const look = new MutationObserver(() => {
        if (w.asked === undefined || !document.body.textContent.includes(words)) return;
        look.disconnect();
        stood(performance.now() - w.asked);
      });
      const begin = () => {
        w.asked = performance.now();
        look.observe(document.body, { childList: true, subtree: true, characterData: true });
      };
      window.addEventListener('click', begin, { capture: true, once: true });
    });
  }, ready);

interface Visit {
  /** until the screen stands */
  took: number;
  /** the longest task since it was asked for, by its own work and by the clock */
  own: number;
  clock: number;
}

/** One visit, ms; something was written since the last, so that every answer is worked out anew. */
async function visit(link: string, ready: string): Promise<Visit> {
  await made.db.raw('UPDATE nursery SET name = name');
  await page.waitForTimeout(1200);
  await watch(ready);
  const { value, tasks } = await traced(browser, page, async () => {
    await page.getByRole('link', { name: link }).first().click();
    const took = await page.evaluate(() => (window as unknown as Standing).stood!);
    await page.waitForTimeout(700);
    return took;
  });
  return { took: value, own: longest(tasks, 'own'), clock: longest(tasks, 'clock') };
}

const visits = new Map<string, Visit[]>(ASKED.map(([link]) => [link, []]));
for (let i = 0; i < VISITS; i++)
  for (const [link, ready] of ASKED) visits.get(link)!.push(await visit(link, ready));
for (const [link, seen] of visits) {
  const from = (of: keyof Visit, nth: number) => seen.map((v) => v[of]).toSorted((a, b) => b - a)[nth - 1];
  const took = from('took', 1);
  const own = from('own', 1);
  // server, database and browser share the cores here: once in five a task may have to wait for them
  const clock = from('clock', 2);
  const all = seen.map((v) => `${v.own.toFixed(0)}/${v.clock.toFixed(0)}`).join(', ');
  row(
    `${link} in the browser; its longest task (own/by the clock ${all})`,
    `${took.toFixed(0)} ms, ${own.toFixed(0)}/${clock.toFixed(0)} ms`,
    '≤ 1 s, ≤ 50/50 ms',
    took <= 1000 && own <= HELD_UP && clock <= HELD_UP,
  );
}
await browser.close();
await endServer(server);
await made.db.destroy();
await made.drop();
process.exit(0);
