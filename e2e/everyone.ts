import { AxeBuilder } from '@axe-core/playwright';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import type { here } from './here.ts';
import { reach, SCREENS, type Screen } from './screens.ts';

/** Faults that keep someone out: axe's serious and critical ones. */
async function serious(page: Page, rules?: string[]): Promise<string[]> {
  // no page here has frames, and only what is wrong is wanted: both save half of the time
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze();
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`);
}

interface Look {
  viewport: { width: number; height: number };
  dark: boolean;
  screens?: readonly Screen[];
}

/** Walks the screens with axe, and looks that none is wider than the window and none throws. */
export async function forEveryone(
  at: ReturnType<typeof here>,
  { viewport, dark, screens = SCREENS }: Look,
): Promise<void> {
  // the dark theme has the same page in other colours
  const rules = dark ? ['color-contrast'] : undefined;
  const found: Record<string, string[]> = {};
  const outside = await at.browser.newContext({ colorScheme: dark ? 'dark' : 'light', viewport });
  const visitor = await outside.newPage();
  await visitor.goto(at.base);
  await visitor.getByRole('heading', { level: 1 }).waitFor();
  found['sign in'] = await serious(visitor, rules);
  await outside.close();

  const { page, context } = await at.enter('Owner', viewport, dark);
  page.on('pageerror', (e) => (found[`thrown: ${e.message}`] = [page.url()]));
  for (const s of screens) {
    await reach(page, s);
    await page.waitForTimeout(150);
    found[s.name] = await serious(page, rules);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (wide > 1) found[`${s.name} is too wide`] = [`${wide} px`];
  }
  await context.close();
  expect(Object.fromEntries(Object.entries(found).filter(([, f]) => f.length > 0))).to.deep.equal({});
}
