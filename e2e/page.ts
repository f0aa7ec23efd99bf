import type { Page } from 'playwright-core';
import type { CohortRow } from '@gonimos/contract/cohorts';

/** The sheet that lies over the page. */
export const sheet = (page: Page) => page.getByRole('dialog');
export const sheetGone = (page: Page) => sheet(page).waitFor({ state: 'detached' });

/** What the server answers whoever is signed in on this page. */
export const ask = <T>(page: Page, path: string): Promise<T> =>
  page.evaluate(async (p) => (await fetch(`/api${p}`)).json() as Promise<T>, path);

/** The demo's calendar goes on by a week, and the page has heard of it. */
export async function aWeekLater(page: Page): Promise<void> {
  const before = await page.getByRole('link', { name: /^The year so far/ }).getAttribute('aria-label');
  await page.getByRole('button', { name: 'a week', exact: true }).click();
  await page.waitForFunction(
    (old) => document.querySelector('a[aria-label^="The year so far"]')?.getAttribute('aria-label') !== old,
    before,
  );
}

/** Chooses one of a long list by typing its name. */
export async function pick(page: Page, label: string, name: string): Promise<void> {
  const box = page.getByRole('combobox', { name: label }).and(page.locator('input'));
  await box.fill('');
  await box.fill(name);
  await page.getByRole('option', { name }).first().click();
}

export const find = async (page: Page, code: string): Promise<CohortRow> =>
  (await ask<CohortRow[]>(page, '/cohorts')).find((c) => c.code === code)!;
