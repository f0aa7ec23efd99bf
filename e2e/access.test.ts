import { AxeBuilder } from '@axe-core/playwright';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { DESK, PHONE } from './browser.ts';
import { here } from './here.ts';

/** Faults that keep someone out: axe's serious and critical ones. */
async function serious(page: Page, dark: boolean): Promise<string[]> {
  // no page here has frames, and only what is wrong is wanted: both save half of the time
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  // the dark theme has the same page in other colours
  const { violations } = await (dark ? axe.withRules(['color-contrast']) : axe).analyze();
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`);
}

describe('every screen for everyone', () => {
  const at = here();

  for (const [name, viewport, dark] of [
    ['desk, light', DESK, false],
    ['desk, dark', DESK, true],
    ['phone, light', PHONE, false],
  ] as const)
    it(`axe finds nothing serious: ${name}`, async () => {
      const found: Record<string, string[]> = {};
      const outside = await at.browser.newContext({ colorScheme: dark ? 'dark' : 'light', viewport });
      const visitor = await outside.newPage();
      await visitor.goto(at.base);
      await visitor.getByRole('heading', { level: 1 }).waitFor();
      found['sign in'] = await serious(visitor, dark);
      await outside.close();

      const { page, context } = await at.enter('Owner', viewport, dark);
      const errors: string[] = [];
      page.on('pageerror', (e) => errors.push(e.message));
      const look = async (screen: string, ready: RegExp | string) => {
        await page.getByText(ready).first().waitFor({ state: 'attached' });
        await page.waitForTimeout(150);
        found[screen] = await serious(page, dark);
        const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        if (wide > 1) found[`${screen} is too wide`] = [`${wide} px`];
      };
      await look('round', 'Have ready');
      await page
        .getByRole('button', { name: /^Record/ })
        .first()
        .click();
      await look('recording sheet', 'Next time');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Why' }).first().click();
      await look('why', 'What would change it');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Not yet' }).first().click();
      await look('not yet', 'Put off until');
      await page.keyboard.press('Escape');
      await page
        .getByRole('button', { name: /^Found/ })
        .first()
        .click();
      await look('found', 'What now');
      await page.keyboard.press('Escape');
      await page.goto('/cohorts');
      await look('cohorts', 'plants alive');
      await page.getByRole('link', { name: 'FM-30' }).click();
      await look('course', 'What moved');
      await page.getByRole('button', { name: 'Aim' }).click();
      await look('aim', 'What would change');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Change' }).click();
      await page.getByText('Schools for this cohort').click();
      await look('change', 'Root and top together');
      await page.keyboard.press('Escape');
      await page.getByRole('link', { name: 'Ledger' }).click();
      await look('ledger', 'Alive after');
      await page.getByRole('link', { name: 'Notes' }).click();
      await look('notes', 'Count emergence');
      await page.goto('/cohorts');
      await page.getByRole('link', { name: 'OJ-37' }).click();
      await page.getByRole('link', { name: 'Sowing' }).click();
      await look('tray', 'Coolbear');
      await page.goto('/cohorts');
      await page.getByRole('link', { name: 'OP-36-07' }).click();
      await page.getByRole('link', { name: 'Lineage' }).click();
      await look('lineage', 'generations');
      await page.goto('/propagation');
      await look('start numbers', 'What being surer costs');
      await page.goto('/propagation/seed');
      await look('seed', 'Long hedge 36');
      await page.goto('/propagation/layers');
      await look('layers', 'one year in ten worse');
      await page.getByRole('button', { name: 'Plan layers' }).click();
      await look('plan layers', 'Ring 23 mm');
      await page.keyboard.press('Escape');
      await page.goto('/propagation/compare');
      await look('compare', 'It does not say why');
      await page.goto('/');
      await page.getByRole('button', { name: /^Record Cutting check/ }).click();
      await look('cutting check', 'only roots count');
      await page.keyboard.press('Escape');
      await page.goto('/cohorts/new');
      await look('new cohort', 'Its course');
      await page.goto('/cohorts/import');
      await page.getByRole('button', { name: 'Show an example' }).click();
      await look('import', '1 good, 0 with faults');
      await page.goto('/season');
      await look('season', 'Leaf fall done');
      await page.getByRole('button', { name: 'I see this today' }).click();
      await look('I see', 'candles moving');
      await page.keyboard.press('Escape');
      await page.goto('/year');
      await look('year', 'Lock this week');
      await page.goto('/library');
      await look('library', 'Seed-raised pine');
      await page.goto('/library/operations');
      await look('operations', 'kinds of work');
      await page.goto('/library/taxa');
      // ninety cards of one make: a handful shows what all are like
      await page.getByLabel('Find a taxon').fill('maple');
      await look('taxa', 'Growth groups');
      await page.goto('/library/schools');
      await look('schools', 'Air layer');
      await page.goto('/library/programmes/seed-pine?copy');
      await look('own programme', 'Keep this version');
      await page.goto('/nursery');
      await look('nursery', 'Save and plan again');
      await page.goto('/nowhere');
      await look('lost', 'There is no such page');
      expect(Object.fromEntries(Object.entries(found).filter(([, f]) => f.length > 0))).to.deep.equal({});
      expect(errors).to.deep.equal([]);
      await context.close();
    }).timeout(300_000);
});
