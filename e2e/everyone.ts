import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults } from 'axe-core';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { DESK, PHONE } from './browser.ts';
import type { here } from './here.ts';
import { reach, SCREENS, settled, type Screen } from './screens.ts';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** The work and the sheets over it: what stands around them is the same on every page. */
const WORK = { include: [['#work'], ['dialog']] };

/** Faults that keep someone out: axe's serious and critical ones, of the whole page or of the work alone. */
async function serious(page: Page, rules?: string[], context: object | null = null): Promise<string[]> {
  // put into the page once, not before each question
  if (!(await page.evaluate("typeof axe === 'object'"))) await page.evaluate(AXE);
  // neither style sheets asked for again nor a selector for every element: nothing that is judged hangs on them
  const quick = { resultTypes: ['violations'], preload: false, selectors: false };
  const asked = rules ? { ...quick, runOnly: rules } : quick;
  // a page that was not found has no frame
  const framed = context && (await page.locator('#work').count()) > 0;
  const where = framed ? JSON.stringify(context) : 'document';
  const { violations } = await page.evaluate<AxeResults>(`axe.run(${where}, ${JSON.stringify(asked)})`);
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`);
}

/** The one fault that dark has of its own: the page is the same in other colours. */
const IN_THE_DARK = ['color-contrast'];

/**
 * In one hand the page is the same in another width and in the same colours: what the width decides is looked at again.
 * The bar of a phone, which no desk has, is looked at in its colours on the first screen.
 */
const IN_ONE_HAND = [
  'aria-hidden-focus',
  'button-name',
  'link-name',
  'scrollable-region-focusable',
  'target-size',
];

type Found = Record<string, string[]>;

const wanting = (found: Found) =>
  Object.fromEntries(Object.entries(found).filter(([, faults]) => faults.length > 0));

/** The page of who is not signed in. */
async function signIn(at: ReturnType<typeof here>, dark: boolean, found: Found): Promise<void> {
  const context = await at.browser.newContext({ colorScheme: dark ? 'dark' : 'light', viewport: DESK });
  const page = await context.newPage();
  await page.goto(at.base);
  await page.getByRole('heading', { level: 1 }).waitFor();
  found['sign in'] = await serious(page, dark ? IN_THE_DARK : undefined);
  await context.close();
}

/** Looks at a screen that stands, at a width. */
async function look(
  page: Page,
  { name, rules, context }: { name: string; rules?: string[]; context: object | null },
  found: Found,
): Promise<void> {
  await settled(page);
  found[name] = await serious(page, rules, context);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  if (wide > 1) found[`${name} is too wide`] = [`${wide} px`];
}

/** Walks the screens with axe, each at a desk and in one hand, and looks that none is wider than the window and none throws. */
export async function forEveryone(
  at: ReturnType<typeof here>,
  screens: readonly Screen[] = SCREENS,
): Promise<void> {
  const found: Found = {};
  await signIn(at, false, found);
  const { page, context } = await at.enter('Owner', DESK);
  page.on('pageerror', (e) => (found[`thrown: ${e.message}`] = [page.url()]));
  for (const s of screens) {
    const first = s === screens[0];
    // the frame is looked at once
    const context = first ? null : WORK;
    await reach(page, s);
    await look(page, { name: `${s.name}, desk`, context }, found);
    await page.setViewportSize(PHONE);
    await page.getByText(s.ready).first().waitFor({ state: 'attached' });
    const rules = first ? [...IN_ONE_HAND, ...IN_THE_DARK] : IN_ONE_HAND;
    await look(page, { name: `${s.name}, phone`, rules, context }, found);
    await page.setViewportSize(DESK);
  }
  await context.close();
  expect(wanting(found)).to.deep.equal({});
}

/** In the dark only colours are another matter. */
export async function inTheDark(at: ReturnType<typeof here>, screens: readonly Screen[]): Promise<void> {
  const found: Found = {};
  await signIn(at, true, found);
  const { page, context } = await at.enter('Owner', DESK, true);
  for (const s of screens) {
    await reach(page, s);
    await look(page, { name: s.name, rules: IN_THE_DARK, context: null }, found);
  }
  await context.close();
  expect(wanting(found)).to.deep.equal({});
}
