import { expect } from 'chai';
import { here } from './here.ts';
import type { TrunkLab } from '@gonimos/contract/trunk';
import type { CohortCourse } from '@gonimos/contract/course';
import type { FittingLine } from '@gonimos/contract/fittings';
import { ask, find, pick, sheet } from './page.ts';

describe('the trunk lab', () => {
  const at = here();

  it('courses side by side: one changed, one added, refused where it cannot be, kept over a reload', async () => {
    const { page } = await at.enter('Grower', { width: 820, height: 1180 });
    const { id } = await find(page, 'FM-36');
    await page.goto(`/cohorts/${id}/trunk`);
    await page.getByText('Base caliper').waitFor();
    await page.getByText('Measured so far').waitFor();
    const rows = page
      .getByRole('listitem')
      .filter({ has: page.getByRole('button', { name: /^Change course/ }) });
    expect(await rows.count()).to.equal(3);
    const stems = (letter: string) => page.getByRole('img', { name: new RegExp(`^${letter} `) });
    const before = await stems('B').getAttribute('aria-label');
    // a sacrifice that would be cut away by the chop below it
    await page.getByRole('button', { name: 'Change course B' }).click();
    await sheet(page).getByLabel('The trunk is chopped').check();
    await sheet(page).getByLabel('At', { exact: true }).fill('40');
    await sheet(page).getByText('would be cut away by the chop').waitFor();
    expect(await sheet(page).getByRole('button', { name: 'Grow it' }).isDisabled()).to.equal(true);
    await sheet(page).getByLabel('At', { exact: true }).fill('120');
    await sheet(page).getByRole('button', { name: 'Grow it' }).click();
    await page.getByText(/chop \d{4} at 120 mm/).waitFor();
    await page.waitForFunction(
      (was) => document.querySelector('svg[aria-label^="B "]')?.getAttribute('aria-label') !== was,
      before,
    );
    // a goal that is behind it is refused with the reason, and the courses stay
    await page.getByLabel(/^Goal at the base/).fill('1');
    await page.getByText(/is no more than the \d+ mm of today/).waitFor();
    await page.getByLabel(/^Goal at the base/).fill('40');
    await page.getByRole('button', { name: 'Course', exact: true }).click();
    await stems('D').waitFor();
    await page.reload();
    await stems('D').waitFor();
    expect(await rows.count()).to.equal(4);
    // a better one is looked for, and set beside in place of the last
    await page.getByRole('button', { name: 'Find a course' }).click();
    await sheet(page).getByLabel('By the least').selectOption('minutes');
    await sheet(page).getByRole('button', { name: 'Search' }).click();
    await sheet(page)
      .getByText(/that no other beats in years/)
      .waitFor();
    await sheet(page)
      .getByRole('button', { name: /^Set beside/ })
      .first()
      .click();
    await page.getByRole('img', { name: /^D Found: \d{4}/ }).waitFor();
    expect(await rows.count()).to.equal(4);
    // and taken into the plan, once what it changes has been looked at
    await page.getByRole('button', { name: 'Into the plan course D' }).click();
    await sheet(page).getByText('No longer asked for:').waitFor();
    await sheet(page).getByRole('button', { name: 'Take it into the plan' }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    await page.keyboard.press('Escape');
    const { steps } = await ask<CohortCourse>(page, `/cohorts/${id}/course`);
    const moves = steps.filter((s) => s.key.startsWith('lab1-') && s.container !== null);
    expect(moves.length).to.be.above(0);
    for (const s of moves) expect(s.opens !== null || s.refusal !== null, s.title).to.equal(true);
    await page.getByRole('button', { name: 'Play the years' }).click();
    await page.getByRole('button', { name: '2038', exact: true }).waitFor();
  });

  it('calipers one after another: by keys, from a file, from a caliper that is listened to; what stands apart is told', async () => {
    const { page } = await at.enter('Grower', { width: 820, height: 1180 });
    const { id } = await find(page, 'FM-36');
    await page.goto(`/cohorts/${id}/trunk`);
    await page.getByRole('button', { name: 'A look' }).click();
    await sheet(page).getByText('One after another').click();
    const next = sheet(page).getByLabel(/^Next caliper/);
    await next.focus();
    for (const typed of ['6', '6,4', 'x']) {
      await page.keyboard.type(typed);
      await page.keyboard.press('Enter');
    }
    await sheet(page).getByText('‘x’ is no size').waitFor();
    await next.fill('');
    await sheet(page)
      .getByLabel('A file of sizes')
      .setInputFiles({
        name: 'c.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('plant;mm\n1;5.8\n2;6.1\n3;62\n'),
      });
    await sheet(page).getByText('62.0 mm stands apart').waitFor();
    await sheet(page).getByRole('button', { name: 'Take out 62' }).click();
    await sheet(page).getByText('stands apart').waitFor({ state: 'detached' });
    await sheet(page).getByRole('button', { name: 'Simulated caliper' }).click();
    const taken = sheet(page).getByRole('list', { name: 'Calipers so far' }).getByRole('listitem');
    await taken.nth(5).waitFor();
    await sheet(page).getByRole('button', { name: 'Listening; stop' }).click();
    await sheet(page)
      .getByText(/measured: .* ±/)
      .waitFor();
    const n = await taken.count();
    await sheet(page).getByRole('button', { name: 'Record', exact: true }).click();
    await sheet(page).getByText('Recorded.').waitFor();
    const { measured } = await ask<TrunkLab>(page, `/cohorts/${id}/trunk`);
    expect(measured.at(-1)).to.include({ n, at: 0 });
  });

  it('practice: ten springs by keyboard, judged beside the best, and no record is touched', async () => {
    const { page } = await at.enter('Helper');
    const { id } = await find(page, 'FM-36');
    const before = await ask<TrunkLab>(page, `/cohorts/${id}/trunk`);
    await page.goto('/library/practice/trunks');
    await page.getByLabel('A low shoot is').waitFor();
    for (let year = 0; year < 10; year++) {
      if (year === 0) {
        await page.getByLabel('It stands').selectOption('basket-25');
        await page.getByLabel('The trunk is').selectOption('220');
        await page.getByText(/it is no higher than/).waitFor();
        expect(await page.getByRole('button', { name: 'Grow the year' }).isDisabled()).to.equal(true);
        await page.getByLabel('The trunk is').selectOption('');
      }
      await page.getByRole('button', { name: 'Grow the year' }).focus();
      await page.keyboard.press('Enter');
    }
    const verdict = page.getByRole('region', { name: 'Beside the best' });
    await verdict
      .getByText(/of a hundred: .* for taper/)
      .first()
      .waitFor();
    await verdict.getByText(/The best of some thousand courses/).waitFor();
    await page.getByRole('button', { name: 'The same again' }).click();
    await page.getByRole('heading', { name: 'Spring 2037' }).waitFor();
    expect(await ask<TrunkLab>(page, `/cohorts/${id}/trunk`)).to.deep.equal(before);
  });

  it('a row in the ground, and a tourniquet with its wire and the day it bites', async () => {
    const { page } = await at.enter('Grower', { width: 820, height: 1180 });
    const { id } = await find(page, 'HB-36');
    await page.goto(`/cohorts/${id}/trunk`);
    await page.getByText('A row of it in the ground').click();
    await page
      .getByText(/apart, rows .* apart|\d mm apart/)
      .first()
      .waitFor();
    await page.getByLabel('Metres of row').fill('0');
    await page.getByText(/Metres of row is not above 0/).waitFor();
    await page.goto('/fittings');
    await page.getByRole('button', { name: 'Put something on' }).click();
    await pick(page, 'Cohort', 'HB-36');
    await sheet(page).getByLabel('What').selectOption('tourniquet');
    await sheet(page).getByLabel('Turns').fill('3');
    await sheet(page)
      .getByText(/mm a plant: 3 turns/)
      .waitFor();
    await sheet(page).getByRole('button', { name: 'Take this over' }).click();
    expect(await sheet(page).getByLabel('Gauge, finish or number').inputValue()).to.match(
      /^[\d.]+ mm aluminium, 3 turns$/,
    );
    await sheet(page).getByRole('button', { name: 'Put it on' }).click();
    await sheet(page).waitFor({ state: 'detached' });
    const on = (await ask<FittingLine[]>(page, '/fittings')).filter((f) => f.what === 'tourniquet');
    expect(on.map((f) => [f.code, f.due > '2037-04-15' && f.due < '2037-11-01'])).to.deep.equal([
      ['HB-36', true],
    ]);
  });
});
