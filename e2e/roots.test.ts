import { expect } from 'chai';
import type { CDPSession, Locator, Page } from 'playwright-core';
import type { FittingLine } from '@gonimos/contract/fittings';
import type { RootBench } from '@gonimos/contract/root-records';
import { here } from './here.ts';
import { ask, carry, find, sheet } from './page.ts';
import { atRest, HELD_UP, longest, longestInWords, traced } from './tasks.ts';

const SLATE = { width: 820, height: 1180 };

/** A finger on the screen, counting what it does. */
async function finger(page: Page) {
  const cdp: CDPSession = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setTouchEmulationEnabled', { enabled: true });
  let actions = 0;
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] });
  return {
    get actions() {
      return actions;
    },
    async drag(from: { x: number; y: number }, to: { x: number; y: number }) {
      actions++;
      await touch('touchStart', from);
      for (let i = 1; i <= 4; i++)
        await touch('touchMove', {
          x: from.x + ((to.x - from.x) * i) / 4,
          y: from.y + ((to.y - from.y) * i) / 4,
        });
      await touch('touchEnd');
    },
    async press(name: string) {
      actions++;
      await page.getByRole('button', { name, exact: true }).click();
    },
    async choose(label: string, value: string) {
      // the list is opened, and the line is tapped
      actions += 2;
      await page.getByLabel(label).selectOption(value);
    },
  };
}

/** Where a point of the drawing lies on the screen: a direction, and a part of the way to the edge. */
async function onPlan(page: Page) {
  const plan = page.getByRole('group', { name: /^Roots from above/ });
  await plan.scrollIntoViewIfNeeded();
  const box = (await plan.boundingBox())!;
  return (azimuth: number, part: number) => ({
    x: box.x + box.width / 2 + Math.sin((azimuth * Math.PI) / 180) * part * (box.width / 2),
    y: box.y + box.height / 2 - Math.cos((azimuth * Math.PI) / 180) * part * (box.height / 2),
  });
}

const rootsOf = (page: Page, id: string) => ask<RootBench>(page, `/cohorts/${id}/roots`);

describe('the root bench', () => {
  const at = here();

  const bench = async (code: string, viewport?: typeof SLATE) => {
    const { page } = await at.enter('Grower', viewport);
    const { id } = await find(page, code);
    await page.goto(`/cohorts/${id}/roots`);
    await page.getByRole('group', { name: /^Roots from above/ }).waitFor();
    return { page, id };
  };

  it('nine roots by finger with path, thickness and fibre; kept, decided otherwise, recorded, read next time', async () => {
    const { page, id } = await bench('TC-34', SLATE);
    const spot = await onPlan(page);
    const f = await finger(page);
    const draw = (azimuth: number) => f.drag(spot(azimuth, 0.25), spot(azimuth + 4, 0.6));
    for (const azimuth of [10, 60, 100, 200]) await draw(azimuth);
    await f.press('Thin');
    for (const azimuth of [140, 235, 280]) await draw(azimuth);
    await f.press('Thick');
    await draw(320);
    await f.choose('Fine root of new roots', 'hardly feeds');
    await draw(345);
    console.log(`      nine roots in ${f.actions} pointer actions`);
    expect(f.actions).to.be.at.most(45);
    await page.getByText('Cuts at this sitting').waitFor();
    await page.getByLabel('Which plant').fill('the ninth');
    // typed and drawn things outlive a reload
    await page.reload();
    await page.getByText('not kept yet').waitFor();
    await page.getByRole('button', { name: 'Keep the drawing' }).click();
    await page.getByRole('button', { name: 'Kept', exact: true }).waitFor();
    const kept = (await rootsOf(page, id)).records.at(-1)!;
    expect(kept.label).to.equal('the ninth');
    const { roots } = kept.record;
    expect(roots).to.have.length(9);
    expect(new Set(roots.map((r) => r.diameter)).size).to.equal(3);
    expect(roots.filter((r) => r.fibre !== null)).to.have.length(1);
    // the finger's way is the root's: 4° on from where it left the trunk
    expect(roots[1].azimuth).to.be.closeTo(60, 2);
    expect(roots[1].path.at(-1)!.azimuth).to.be.closeTo(64, 2);

    // one line decided otherwise, and the rest is solved again
    const cuts = page.getByRole('region', { name: 'Cuts' });
    await cuts.getByText('left as they are').click();
    const first = cuts.getByRole('combobox').last();
    const name = (await first.getAttribute('aria-label'))!.split(/[ :]/)[1];
    await first.selectOption('remove');
    await cuts.getByText(`at the trunk`).first().waitFor();
    await page.getByRole('button', { name: 'Keep the drawing' }).click();
    await page.getByRole('button', { name: 'Kept', exact: true }).waitFor();
    const [decided] = (await rootsOf(page, id)).records.at(-1)!.decided.overruled;
    expect([decided.root, decided.action]).to.deep.equal([name, 'remove']);
  });

  it('what the plan takes is recorded with the step, and what was left stands there next time', async () => {
    const { page, id } = await bench('FM-30');
    await page.getByText('Cuts at this sitting').waitFor();
    // less may go than would be good
    await page.getByRole('slider').fill('15');
    await page.getByRole('heading', { name: 'Next time' }).waitFor();
    await page.getByText('Bare sides', { exact: true }).click();
    await page.getByLabel(/^Pocket of long-fibred moss/).check();
    await page.getByRole('button', { name: 'Keep the drawing' }).click();
    await page.getByRole('button', { name: 'Record the work' }).click();
    const stays = sheet(page).getByRole('group', { name: 'Stays on the roots' });
    expect(await stays.getByRole('checkbox').count()).to.be.greaterThan(0);
    const taken = await sheet(page).getByLabel('Root taken').inputValue();
    expect(Number(taken)).to.be.within(1, 15);
    expect(await sheet(page).getByLabel('Left for next time').inputValue()).to.match(/root at \d+°/);
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    const now = await rootsOf(page, id);
    expect(now.left!.lines.length).to.be.greaterThan(0);
    // what was put on stands in the register, with the day by which the base has swollen into it
    const { on, due } = (await ask<FittingLine[]>(page, '/fittings'))
      .filter((l) => l.cohortId === id && l.what === 'moss')
      .map((l) => ({ on: l.since!, due: l.due }))[0];
    expect(due > on && due <= now.heldUntil).to.equal(true);
    await page.reload();
    await page
      .getByText(/^Left /)
      .first()
      .waitFor();
    const pdf = await page.pdf({ format: 'A4' });
    expect(pdf.subarray(0, 5).toString()).to.equal('%PDF-');
  });

  it('by keyboard alone: nine roots placed, turned, thickened, one taken back, the plant leant', async () => {
    const { page, id } = await bench('TC-34');
    const before = (await rootsOf(page, id)).records.length;
    await page.getByRole('group', { name: /^Roots from above/ }).focus();
    for (let i = 0; i < 9; i++) {
      await page.keyboard.press(String(1 + (i % 3)));
      await page.keyboard.press('+');
      if (i % 2) await page.keyboard.press('ArrowRight');
      if (i === 4) await page.keyboard.press('f');
    }
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+y');
    await page.getByText('Cuts at this sitting').waitFor();
    const enter = async (what: Locator) => {
      await what.focus();
      await page.keyboard.press('Enter');
    };
    await enter(page.locator('summary', { hasText: 'Another plane or tilt' }));
    await enter(page.getByRole('button', { name: 'Compare planes and tilts' }));
    await enter(page.getByRole('button', { name: /^Take it.*leaning/ }).first());
    await enter(page.getByRole('button', { name: 'Keep the drawing' }));
    await page.getByRole('button', { name: 'Kept', exact: true }).waitFor();
    const { records } = await rootsOf(page, id);
    expect(records.length).to.be.at.least(Math.max(1, before));
    const { roots } = records.at(-1)!.record;
    expect(roots.length).to.be.at.least(9);
    // leant over, one side of the base stands higher than the other
    expect(Math.max(...roots.map((r) => r.height)) > Math.min(...roots.map((r) => r.height))).to.equal(true);
  });

  it('dragging among thirty roots keeps the page quick, and the plan comes soon after', async () => {
    const { page } = await bench('CC-32');
    // what is asked of the worker for a plan, and when it answers
    await page.addInitScript(`
      window.answers = [];
      const Plain = window.Worker;
      window.Worker = class extends Plain {
        asked = new Map();
        constructor(...how) {
          super(...how);
          super.addEventListener('message', ({ data }) => {
            if (this.asked.has(data.id)) window.answers.push(performance.now() - this.asked.get(data.id));
          });
        }
        postMessage(message, ...more) {
          if (message.path?.[0] === 'plan') this.asked.set(message.id, performance.now());
          super.postMessage(message, ...more);
        }
      };`);
    await page.reload();
    await page.getByRole('button', { name: 'From a list' }).click();
    const lines = Array.from(
      { length: 24 },
      (_, i) => `${(i * 15 + 7) % 360}, ${2 + (i % 4)}, ${30 + (i % 5) * 4}`,
    );
    await sheet(page).getByLabel('Lines').fill(lines.join('\n'));
    await sheet(page).getByRole('button', { name: 'Add 24 roots' }).click();
    const spot = await onPlan(page);
    const [from, to] = [spot(12, 0.5), spot(70, 0.8)];
    await atRest(page);
    const { tasks } = await traced(at.browser, page, () => carry(page, from, to));
    // a root made thicker is a new question
    for (let i = 0; i < 5; i++) {
      const before = await page.evaluate<number>('window.answers.length');
      await page.keyboard.press(']');
      while ((await page.evaluate<number>('window.answers.length')) === before) await page.waitForTimeout(50);
    }
    const took = (await page.evaluate<number[]>('window.answers')).slice(-5);
    // the middle one is looked at, whole plan and all; five pairs cross here. Alone it takes a quarter to
    // half a second; with another journey beside it, on a machine at half its speed, 2.3 s were seen
    expect(took.toSorted((a, b) => a - b)[2]).to.be.below(4000);
    console.log(`      plans of 30 roots in the worker: ${took.map((ms) => ms.toFixed(0)).join(', ')} ms`);
    console.log(`      60 moves among 30 roots: longest tasks ${longestInWords(tasks)}`);
    expect(longest(tasks, 'own')).to.be.at.most(HELD_UP);
  });

  it('a picture lies behind the drawing, placed by two taps that draw nothing', async () => {
    const { page, id } = await bench('HB-33');
    const before = (await rootsOf(page, id)).records.length;
    const shot = await page.screenshot();
    await page.getByRole('link', { name: 'Notes' }).click();
    await page
      .locator('input[type=file]')
      .first()
      .setInputFiles({ name: 'roots.png', mimeType: 'image/png', buffer: shot });
    await page.getByText('Picture kept.').waitFor();
    await page.getByRole('link', { name: 'Roots' }).click();
    await page.getByLabel('Picture behind the drawing').selectOption({ index: 1 });
    await page.getByText('Tap the middle of the trunk').waitFor();
    const wide = async () => Number(await page.locator('svg image').first().getAttribute('width'));
    const first = await wide();
    const spot = await onPlan(page);
    for (const at of [spot(0, 0), spot(90, 0.5)]) await page.mouse.click(at.x, at.y);
    await page.getByRole('button', { name: 'Place it again' }).waitFor();
    // half of the way to the edge was the trunk's: 16 mm thick, so the picture shrinks to 16 mm across that
    expect((await wide()) / first).to.be.below(0.6);
    expect((await rootsOf(page, id)).records).to.have.length(before);
    await page.getByText('not kept yet').waitFor({ state: 'detached' });
  });

  it('practice: a plan of one’s own is judged root by root, and touches no record', async () => {
    const { page } = await at.enter('Helper');
    await page.goto('/library/practice');
    await page.getByRole('button', { name: 'Root a' }).click();
    await page.getByRole('button', { name: /^(Remove it|Cut underneath)$/ }).click();
    await page.getByText(/^So far [1-9]/).waitFor();
    await page.getByRole('button', { name: 'That is my plan' }).click();
    await page.getByRole('region', { name: 'Beside the best' }).waitFor();
    const { id } = await find(page, 'FM-35');
    expect((await rootsOf(page, id)).records).to.have.length(0);
  });
});
