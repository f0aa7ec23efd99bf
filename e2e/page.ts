import type { Page } from 'playwright-core';
import type { CohortRow } from '@gonimos/contract/cohorts';
import type { CohortCourse } from '@gonimos/contract/course';
import { daysBetween } from '@gonimos/core/calendar';

/** The sheet that lies over the page. */
export const sheet = (page: Page) => page.getByRole('dialog');
export const sheetGone = (page: Page) => sheet(page).waitFor({ state: 'detached' });

/** What the server answers whoever is signed in on this page. */
export const ask = async <T>(page: Page, path: string): Promise<T> =>
  (await page.request.get(`/api${path}`)).json() as Promise<T>;

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

interface Spot {
  x: number;
  y: number;
}

/** Takes hold at one spot and lets go at another, in sixty moves as a hand makes them. */
export async function carry(page: Page, from: Spot, to: Spot): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= 60; i++)
    await page.mouse.move(from.x + ((to.x - from.x) * i) / 60, from.y + ((to.y - from.y) * i) / 60);
  await page.mouse.up();
}

export const find = async (page: Page, code: string): Promise<CohortRow> =>
  (await ask<CohortRow[]>(page, '/cohorts')).find((c) => c.code === code)!;

/** Sends a write of one's own, as the interface would. */
async function send(page: Page, path: string, body: object): Promise<void> {
  const { csrf } = await ask<{ csrf: string }>(page, '/session');
  const sent = await page.request.post(`/api${path}`, {
    data: { id: crypto.randomUUID(), ...body },
    headers: { 'x-csrf-token': csrf },
  });
  if (!sent.ok()) throw new Error(await sent.text());
}

/** The demo's calendar goes on, and the page is read anew, until a step of a cohort is due. */
export async function untilDue(page: Page, code: string, title: string): Promise<void> {
  const { id } = await find(page, code);
  for (let jump = 0; jump < 12; jump++) {
    const { steps } = await ask<CohortCourse>(page, `/cohorts/${id}/course`);
    const { today } = await ask<{ today: string }>(page, '/nursery');
    const step = steps.find((s) => s.title.includes(title) && s.status === 'planned');
    if (!step?.opens) throw new Error(`${code} has no ‘${title}’ with a date`);
    const days = daysBetween(today, step.opens);
    if (days <= 0) break;
    // what lies ahead moves with the weather until it is there
    await send(page, '/demo/calendar', { days: Math.min(days, 30) });
  }
  await page.reload();
}
