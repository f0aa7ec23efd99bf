import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core';

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Debian's Chromium, headless. */
export const openBrowser = (): Promise<Browser> =>
  chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
    args: FLAGS,
  });

export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844 };

/** A fresh visitor who has entered the demo in a role, as the interface asks for it; no page is open yet. */
export async function enter(
  browser: Browser,
  base: string,
  role: 'Grower' | 'Helper' | 'Owner',
  viewport = DESK,
  dark = false,
): Promise<{ page: Page; context: BrowserContext }> {
  const context = await browser.newContext({
    viewport,
    baseURL: base,
    locale: 'en-GB',
    colorScheme: dark ? 'dark' : 'light',
    acceptDownloads: true,
  });
  const page = await context.newPage();
  // the cookies of these questions are the page's own
  const { csrf } = (await (await page.request.get('/api/session')).json()) as { csrf: string };
  const entered = await page.request.post('/api/session/demo', {
    data: { role: role.toLowerCase() },
    headers: { 'x-csrf-token': csrf },
  });
  if (!entered.ok()) throw new Error(`no way in: ${await entered.text()}`);
  return { page, context };
}

/** Opens the first page, and waits until it stands. */
export async function openRound(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('navigation', { name: 'Places' }).first().waitFor();
  await page.getByRole('heading', { level: 1 }).first().waitFor();
}
