import { startApp } from './app.ts';
import { DESK, enter, openBrowser, PHONE } from './browser.ts';
import { ask, find, sheet } from './page.ts';
const only = (process.env.ONLY ?? '').split(',').filter(Boolean);
const [browser, app] = await Promise.all([openBrowser(), startApp()]);
const TAB = { width: 820, height: 1100 };
const shot = async (page: any, n: string) => {
  await page.waitForTimeout(500);
  await page.screenshot({ path: `/tmp/shot-${n}.png` });
  console.log(n);
};
const want = (n: string) => only.length === 0 || only.includes(n);
try {
  const desk = await enter(browser, app.base, 'Grower', DESK);
  const p = desk.page;
  const trayed = async () => {
    for (const c of await ask<any[]>(p, '/cohorts')) {
      const { trays } = await ask<any>(p, `/cohorts/${c.id}/trays`);
      if (trays.length) return c;
    }
  };
  if (want('year')) {
    await p.goto('/year');
    await p.getByText('Routine hours').waitFor();
    await shot(p, 'year');
    await p
      .locator('details summary')
      .first()
      .click()
      .catch(() => {});
    await p.mouse.wheel(0, 500);
    await shot(p, 'year2');
    await p.mouse.wheel(0, 5000);
    await shot(p, 'year3');
  }
  if (want('layers')) {
    await p.goto('/propagation/layers');
    await p.getByText('Fed today').waitFor();
    await shot(p, 'layers');
    await p.getByRole('button', { name: /^See to it.*LG-19L3/ }).click();
    await sheet(p).getByLabel('What').selectOption('severed');
    await shot(p, 'sever');
    await p.keyboard.press('Escape');
  }
  if (want('round')) {
    await p.goto('/');
    await p.getByText('Have ready').waitFor();
    await shot(p, 'round');
    await p
      .locator('li[aria-current=true]')
      .getByRole('button', { name: /^Clock/ })
      .click();
    await shot(p, 'clock');
    await p.getByRole('button', { name: /^Stop/ }).click();
    await sheet(p).waitFor();
    await shot(p, 'clocksheet');
    await p.keyboard.press('Escape');
  }
  if (want('sheet')) {
    await p.goto('/');
    const due = (await ask<any>(p, '/round?most=1000')).due.find((s: any) => s.key === 'correct');
    await p.getByRole('button', { name: `Record ${due.title}, ${due.code}` }).click();
    await p.waitForTimeout(600);
    await shot(p, 'sheet');
    await p.keyboard.press('Escape');
  }
  if (want('us')) {
    await p.request.fetch;
    await p.goto('/');
    await p.getByRole('button', { name: /^You and this device/ }).click();
    await shot(p, 'me');
    await sheet(p).getByRole('button', { name: 'Measures in inches, gallons, °F' }).click();
    await p.waitForTimeout(1500);
    await p.goto('/season');
    await p.getByText(/°F/).first().waitFor();
    await shot(p, 'us-season');
    const c = await find(p, 'FM-30');
    await p.goto(`/cohorts/${c.id}`);
    await p.getByText('Ahead').waitFor();
    await shot(p, 'us-cohort');
    await p.getByRole('button', { name: /^Why/ }).nth(2).click();
    await shot(p, 'us-why');
    await p.goto('/');
    await p.getByRole('button', { name: /^You and this device/ }).click();
    await sheet(p)
      .getByRole('button', { name: /^Measures in mm/ })
      .click();
    await p.waitForTimeout(1500);
  }
  if (want('tab')) {
    await p.setViewportSize(TAB);
    for (const [n, u, t] of [
      ['tab-round', '/', 'Have ready'],
      ['tab-new', '/cohorts/new', 'Enter this cohort'],
      ['tab-year', '/year', 'Routine hours'],
      ['tab-layers', '/propagation/layers', 'Fed today'],
    ] as const) {
      await p.goto(u);
      await p.getByText(t).first().waitFor();
      await shot(p, n);
    }
    const c = await find(p, 'FM-36');
    await p.goto(`/cohorts/${c.id}`);
    await p.getByText('Ahead').waitFor();
    await shot(p, 'tab-cohort');
    const t = await trayed();
    await p.goto(`/cohorts/${t.id}/trays`);
    await p.locator('[data-cell]').first().waitFor();
    await shot(p, 'tab-tray');
  }
  if (want('phone')) {
    await p.setViewportSize(PHONE);
    await p.goto('/');
    await p.getByText('Have ready').waitFor();
    await shot(p, 'ph-round');
    const t = await trayed();
    await p.goto(`/cohorts/${t.id}/trays`);
    await p.locator('[data-cell]').first().waitFor();
    await p.locator('[data-cell]').first().scrollIntoViewIfNeeded();
    await shot(p, 'ph-tray');
    await p.goto('/');
    await p
      .locator('li[aria-current=true]')
      .getByRole('button', { name: /^Clock/ })
      .click();
    await shot(p, 'ph-clock');
    await p.getByRole('button', { name: /^Stop/ }).click();
    await sheet(p).waitFor();
    await shot(p, 'ph-sheet');
    await p.keyboard.press('Escape');
    const c = await find(p, 'FM-36');
    await p.goto(`/cohorts/${c.id}`);
    await p.getByText('Ahead').waitFor();
    await shot(p, 'ph-cohort');
    await p.goto('/propagation/layers');
    await p.getByText('Fed today').waitFor();
    await shot(p, 'ph-layers');
    await p.goto('/year');
    await p.getByText('Routine hours').waitFor();
    await shot(p, 'ph-year');
    await p.goto('/cohorts/new');
    await p.getByText('Enter this cohort').waitFor();
    await shot(p, 'ph-new');
  }
} finally {
  await browser.close();
  await app.stop();
}
