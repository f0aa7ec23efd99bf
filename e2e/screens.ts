import type { Page } from 'playwright-core';
import { find } from './page.ts';

/** A screen or sheet: how it is reached from the one before it, and what stands there once it is drawn. */
export interface Screen {
  name: string;
  ready: string;
  reach?: (page: Page) => Promise<void>;
  /** its picture stands in docs/screenshots under this name */
  picture?: string;
}

/** By its address: within the interface once that is there, as a link would, without reading all of it anew. */
const at = (address: string) => async (page: Page) => {
  if (page.url() === 'about:blank') await page.goto(address);
  else
    await page.evaluate(
      `history.pushState(null, '', '${address}'), dispatchEvent(new PopStateEvent('popstate'))`,
    );
};
/** The sheet on top is put away first. */
const press = (button: string | RegExp) => async (page: Page) => {
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: button }).first().click();
};
/** A page of a cohort. */
const cohort =
  (code: string, part = '') =>
  async (page: Page) => {
    const { id } = await find(page, code);
    await at(`/cohorts/${id}${part}`)(page);
  };
const tab = (name: string) => async (page: Page) => {
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name }).click();
};

/** Every screen and sheet of the demo on its opening day, in an order in which each is reached from the one before. */
export const SCREENS: readonly Screen[] = [
  { name: 'round', ready: 'Have ready', reach: at('/'), picture: 'round' },
  { name: 'recording sheet', ready: 'Next time', reach: press(/^(Record|Other result)/) },
  { name: 'why', ready: 'What would change it', reach: press('Why') },
  { name: 'not yet', ready: 'Put off until', reach: press('Not yet') },
  { name: 'found', ready: 'What now', reach: press(/^Found/) },
  { name: 'cohorts', ready: 'plants alive', reach: at('/cohorts'), picture: 'cohorts' },
  { name: 'course', ready: 'What moved', reach: cohort('FM-30') },
  { name: 'aim', ready: 'What would change', reach: press('Aim') },
  {
    name: 'change',
    ready: 'Root and top together',
    reach: async (page) => {
      await press('Change')(page);
      await page.getByText('Schools for this cohort').click();
    },
  },
  { name: 'ledger', ready: 'Alive after', reach: tab('Ledger') },
  { name: 'notes', ready: 'Count emergence', reach: tab('Notes') },
  { name: 'tray', ready: 'Coolbear', reach: cohort('OJ-37', '/trays'), picture: 'tray' },
  { name: 'roots', ready: 'left as they are', reach: cohort('FM-30', '/roots'), picture: 'root-bench' },
  { name: 'stem', ready: 'Where to cut', reach: tab('Stem'), picture: 'stem' },
  { name: 'bends', ready: 'No. 12', reach: cohort('JC-33', '/bends') },
  { name: 'set together', ready: 'In the middle', reach: cohort('TC-36', '/fuse') },
  { name: 'trunk', ready: 'Base caliper', reach: cohort('FM-30', '/trunk') },
  { name: 'lineage', ready: 'generations', reach: cohort('OP-36-07', '/lineage') },
  { name: 'benches', ready: 'more than fits', reach: at('/benches'), picture: 'benches' },
  { name: 'mixes', ready: 'In the bins', reach: at('/shed'), picture: 'shed' },
  { name: 'own mix', ready: 'Drain test', reach: press('Your own from it') },
  { name: 'pots', ready: 'Containers on the shelf', reach: at('/shed/pots') },
  { name: 'paper', ready: 'Bench sheet', reach: at('/shed/paper') },
  {
    name: 'which pot',
    ready: 'to the wall at the narrowest',
    reach: async (page) => {
      await at('/shed/fit')(page);
      await page.getByLabel('Plant of').selectOption({ label: 'FM-30, field maple' });
    },
  },
  {
    name: 'start numbers',
    ready: 'What being surer costs',
    reach: at('/propagation'),
    picture: 'start-numbers',
  },
  { name: 'seed', ready: 'Long hedge 36', reach: at('/propagation/seed') },
  { name: 'layers', ready: 'one year in ten worse', reach: at('/propagation/layers'), picture: 'layers' },
  { name: 'plan layers', ready: 'Ring 23 mm', reach: press('Plan layers') },
  { name: 'compare', ready: 'It does not say why', reach: at('/propagation/compare') },
  {
    name: 'cutting check',
    ready: 'only roots count',
    reach: async (page) => {
      await at('/')(page);
      await page
        .getByRole('heading', { name: /^Cutting check/ })
        .first()
        .click();
      await press(/^Record Cutting check/)(page);
    },
  },
  { name: 'new cohort', ready: 'Its course', reach: at('/cohorts/new') },
  {
    name: 'import',
    ready: '1 good, 0 with faults',
    reach: async (page) => {
      await at('/cohorts/import')(page);
      await press('Show an example')(page);
    },
  },
  { name: 'season', ready: 'Leaf fall done', reach: at('/season'), picture: 'season' },
  { name: 'I see', ready: 'candles moving', reach: press('I see this today') },
  { name: 'year', ready: 'Lock this week', reach: at('/year') },
  { name: 'library', ready: 'Seed-raised pine', reach: at('/library'), picture: 'library' },
  { name: 'operations', ready: 'kinds of work', reach: at('/library/operations') },
  { name: 'own operation', ready: 'What it costs the plant', reach: at('/library/operations/root-correct') },
  {
    name: 'taxa',
    ready: 'Growth groups',
    // ninety cards of one make: a handful shows what all are like
    reach: async (page) => {
      await at('/library/taxa')(page);
      await page.getByLabel('Find a taxon').fill('maple');
    },
  },
  { name: 'own taxon', ready: 'How readily it roots', reach: at('/library/taxa/acer-palmatum?copy') },
  { name: 'schools', ready: 'Air layer', reach: at('/library/schools') },
  { name: 'practice', ready: 'That is my plan', reach: at('/library/practice') },
  { name: 'practice of trunks', ready: 'Grow the year', reach: at('/library/practice/trunks') },
  { name: 'own programme', ready: 'Keep this version', reach: at('/library/programmes/seed-pine?copy') },
  { name: 'on the plants', ready: 'Put something on', reach: at('/fittings') },
  { name: 'meanwhile', ready: 'missed', reach: at('/meanwhile') },
  {
    name: 'find',
    ready: 'Import a notebook',
    reach: async (page) => {
      await page.keyboard.press('Escape');
      await page.keyboard.press('/');
    },
  },
  { name: 'nursery', ready: 'Save and plan again', reach: at('/nursery') },
  { name: 'lost', ready: 'There is no such page', reach: at('/nowhere') },
];

/** Goes to a screen and waits until it is drawn. */
export async function reach(page: Page, s: Screen): Promise<void> {
  await s.reach?.(page);
  await page.getByText(s.ready).first().waitFor({ state: 'attached' });
}

/** No part has come for so long: none is on its way, ms. */
const QUIET_MS = 100;

/** A full page is put there a part at a time: waits until the last of them stands. */
export const settled = (page: Page): Promise<void> =>
  page.evaluate(
    (quiet) =>
      new Promise<void>((done) => {
        const end = () => {
          look.disconnect();
          done();
        };
        let rest = setTimeout(end, quiet);
        const look = new MutationObserver(() => {
          clearTimeout(rest);
          rest = setTimeout(end, quiet);
        });
        look.observe(document.body, { childList: true, subtree: true });
      }),
    QUIET_MS,
  );
