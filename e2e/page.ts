import type { Page } from 'playwright-core';
import type { CohortRow } from '@gonimos/contract/cohorts';

/** The sheet that lies over the page. */
export const sheet = (page: Page) => page.getByRole('dialog');
export const sheetGone = (page: Page) => sheet(page).waitFor({ state: 'detached' });

/** What the server answers whoever is signed in on this page. */
export const ask = <T>(page: Page, path: string): Promise<T> =>
  page.evaluate(async (p) => (await fetch(`/api${p}`)).json() as Promise<T>, path);

export const find = async (page: Page, code: string): Promise<CohortRow> =>
  (await ask<CohortRow[]>(page, '/cohorts')).find((c) => c.code === code)!;
