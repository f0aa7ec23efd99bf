import { expect } from 'chai';
import type { BedRoom } from '@gonimos/contract/beds';
import { here } from './here.ts';
import { ask, carry } from './page.ts';
import { atRest, HELD_UP, longest, longestInWords, traced } from './tasks.ts';

describe('the benches', () => {
  const at = here();
  const standsAt = async (page: Parameters<typeof ask>[0], code: string) =>
    (await ask<BedRoom[]>(page, '/beds/room')).find((b) => b.cohorts.some((c) => c.code === code))!.name;

  it('a full bench is told months ahead, on the round too; a cohort moves by keyboard, and goes back', async () => {
    const { page } = await at.atRound('Grower');
    await page.getByText(/North bench: 1\d\d % of its room in \w+, as planned/).waitFor();
    await page.goto('/benches');
    const north = page.getByRole('region', { name: 'North bench' });
    await north.getByText(/1\d\d % in \w+: more than fits/).waitFor();
    await north.getByRole('button', { name: /^OP-34/ }).focus();
    await page.keyboard.press('Enter');
    const move = page.getByRole('region', { name: 'Move OP-34' });
    await move.getByLabel('Move it to').selectOption('South bench');
    await move.getByText(/South bench would be \d+ % full/).waitFor();
    await move.getByRole('button', { name: 'Move all of them' }).focus();
    await page.keyboard.press('Enter');
    await page
      .getByRole('region', { name: 'South bench' })
      .getByRole('button', { name: /^OP-34/ })
      .waitFor();
    expect(await standsAt(page, 'OP-34')).to.equal('South bench');
    await page.getByRole('button', { name: /^Undo/ }).click();
    await north.getByRole('button', { name: /^OP-34/ }).waitFor();
    // a tender kind is not carried out into March: the rule says why, and nothing moves
    await page.getByRole('button', { name: /^OJ-35/ }).click();
    const tender = page.getByRole('region', { name: 'Move OJ-35' });
    await tender.getByLabel('Move it to').selectOption('North bench');
    await tender.getByRole('button', { name: 'Move all of them' }).click();
    await tender.getByText(/The rule ‘exposure’ refuses/).waitFor();
    expect(await standsAt(page, 'OJ-35')).to.equal('Heated house');
    await tender.getByRole('button', { name: 'Move them all the same' }).click();
    await page
      .getByRole('region', { name: 'North bench' })
      .getByRole('button', { name: /^OJ-35/ })
      .waitFor();
  });

  it('carried by hand from bench to bench: the page keeps up, and what is dropped waits for a word', async () => {
    const { page } = await at.enter('Grower', { width: 1280, height: 1600 });
    await page.goto('/benches');
    await page.getByText('more than fits').first().waitFor();
    const benchOf = (name: string) => page.getByRole('img', { name: new RegExp(`^${name} from above`) });
    const pots = (await benchOf('South bench').locator('g').nth(0).boundingBox())!;
    const frame = (await benchOf('Cold frame').boundingBox())!;
    const from = { x: pots.x + 8, y: pots.y + 8 };
    const to = { x: frame.x + frame.width * 0.8, y: frame.y + frame.height / 2 };
    await atRest(page);
    const { tasks } = await traced(at.browser, page, () => carry(page, from, to));
    const move = page.getByRole('region', { name: 'Move FM-32' });
    await move.getByText(/Cold frame would be \d+ % full/).waitFor();
    expect(await standsAt(page, 'FM-32')).to.equal('South bench');
    const plants = (await ask<BedRoom[]>(page, '/beds/room'))
      .flatMap((b) => b.cohorts)
      .reduce((n, c) => n + c.plants, 0);
    console.log(`      60 moves over ${plants} plants: longest tasks ${longestInWords(tasks)}`);
    expect(longest(tasks, 'own')).to.be.at.most(HELD_UP);
    await move.getByRole('button', { name: 'Leave it' }).click();
    await move.waitFor({ state: 'detached' });
  });
});
