import '../window';
import { expect } from 'chai';
import { Register } from '../../src/cohorts/register';
import { EditCohort } from '../../src/screens/edit-cohort';
import { NewCohort } from '../../src/screens/new-cohort';
import { cohortOf, cohortRow } from '../cohort';
import { BENCH, FRAME, ID, Refused, shown, TODAY } from '../page';

const ROWS = [
  cohortRow(),
  cohortRow({
    id: ID(2),
    code: 'PS-30',
    taxonId: 'pinus-sylvestris',
    placeId: BENCH,
    live: 4,
    goalCaliper: 60,
  }),
  cohortRow({
    id: ID(3),
    code: 'TC-36',
    taxonId: 'tilia-cordata',
    live: 0,
    pending: 60,
    nextOpens: '2037-05-01',
  }),
  cohortRow({
    id: ID(4),
    code: 'CB-33',
    taxonId: 'carpinus-betulus',
    live: 0,
    growing: false,
    nextTitle: null,
  }),
];
const codes = (p: { container: HTMLElement }) =>
  [...p.container.querySelectorAll('tbody tr td:first-child a > span:nth-of-type(1)')].map(
    (e) => e.textContent,
  );

describe('the register on its page', () => {
  it('what is narrowed and ordered stands in the address, and is read from it', async () => {
    const p = await shown(<Register />, {
      answers: { '/cohorts': ROWS },
      at: '/cohorts?sort=-live&state=growing',
    });
    await p.findByText('AC-35');
    expect(codes(p)).to.deep.equal(['AC-35', 'PS-30', 'TC-36']);
    expect(p.text()).to.contain('3 shown, 14 plants alive');
    await p.user.selectOptions(p.getByLabelText('Place'), BENCH);
    expect(codes(p)).to.deep.equal(['PS-30']);
    expect(p.router.state.location.search).to.equal(`?sort=-live&state=growing&place=${BENCH}`);
    await p.user.click(p.getByRole('button', { name: 'Cohort' }));
    expect(p.router.state.location.search).to.contain('sort=code');
  });

  it('is searched by code, kind and place, and says when nothing fits', async () => {
    const p = await shown(<Register />, { answers: { '/cohorts': ROWS } });
    await p.findByText('AC-35');
    const search = p.getByLabelText('Search cohorts');
    await p.user.type(search, 'lime');
    await p.until(() => expect(codes(p)).to.deep.equal(['TC-36']));
    await p.user.clear(search);
    await p.user.type(search, 'nowhere');
    await p.findByText('No cohort fits. Take a filter off.');
  });

  it('says of each how it stands: due, sown, gone, held apart', async () => {
    const held = cohortRow({ id: ID(5), code: 'VI-36', held: { since: '2037-02-01', found: 'pests' } });
    const p = await shown(<Register />, { answers: { '/cohorts': [...ROWS, held] } });
    await p.findByText('VI-36');
    const line = (code: string) => p.getByText(code).closest('tr')!.textContent;
    expect(line('AC-35')).to.contain('due, 1 Mar – 1 Apr');
    expect(line('TC-36')).to.contain('60 sown');
    expect(line('CB-33')).to.contain('none left');
    expect(line('VI-36')).to.contain('Held apart since 1 Feb');
    expect(line('PS-30')).to.contain('of 60');
  });

  it('with nothing in it, it says how to begin; a helper enters none', async () => {
    const p = await shown(<Register />, { answers: { '/cohorts': [] }, role: 'helper' });
    await p.findByText('Enter the first cohort');
    expect(p.queryByRole('link', { name: /New cohort/ })).to.equal(null);
  });

  it('more than a page of them are turned', async () => {
    const many = Array.from({ length: 85 }, (_, i) =>
      cohortRow({ id: ID(200 + i), code: `AC-${String(i).padStart(3, '0')}` }),
    );
    const p = await shown(<Register />, { answers: { '/cohorts': many } });
    await p.findByText('1 of 3');
    await p.until(() => expect(codes(p)).to.have.length(40));
    await p.user.click(p.getByRole('button', { name: 'Next' }));
    await p.user.click(p.getByRole('button', { name: 'Next' }));
    expect(codes(p)).to.deep.equal(['AC-080', 'AC-081', 'AC-082', 'AC-083', 'AC-084']);
    expect((p.getByRole('button', { name: 'Next' }) as HTMLButtonElement).disabled).to.equal(true);
  });
});

describe('a change to a cohort', () => {
  const edit = (answers: object, more: object = {}) =>
    shown(
      <EditCohort cohort={cohortOf({ goalCaliper: 38.1, note: 'by the wall' })} onClose={() => undefined} />,
      {
        answers: { '/programmes/seed-broadleaf': { programme: { schools: {} } }, ...answers },
        ...more,
      },
    );
  const url = `PUT /cohorts/${ID(1)}`;

  it('saved as it was opened it changes nothing, in either units', async () => {
    for (const [units, typed] of [
      ['metric', '38.1'],
      ['US', '1.5'],
    ] as const) {
      const p = await edit({ [url]: cohortOf() }, { units });
      expect((p.getByLabelText('Goal caliper') as HTMLInputElement).value).to.equal(typed);
      await p.user.click(p.getByRole('button', { name: 'Save' }));
      await p.until(() => expect(p.sent).to.have.length(1));
      expect(p.sent[0].body).to.deep.include({
        goalCaliper: 38.1,
        note: 'by the wall',
        version: 4,
        code: 'AC-35',
      });
    }
  });

  it('somebody changed it meanwhile: theirs is shown, what was typed stands, and only a second save puts it over', async () => {
    const theirs = cohortOf({ version: 5, note: 'moved by Bo', goalCaliper: null });
    const no = new Refused(409, 'It was changed meanwhile.');
    Object.assign(no.problem, { code: 'conflict', current: theirs });
    const p = await edit({
      [url]: (_: string, body: Record<string, unknown>) => (body.version === 4 ? no : theirs),
    });
    const note = p.getByLabelText('Note') as HTMLTextAreaElement;
    await p.user.clear(note);
    await p.user.type(note, 'in the sun');
    await p.user.click(p.getByRole('button', { name: 'Save' }));
    await p.findByText(/Someone changed it meanwhile: .*goal none, note “moved by Bo”/);
    expect(note.value).to.equal('in the sun');
    await p.user.click(p.getByRole('button', { name: 'Save' }));
    await p.until(() => expect(p.sent).to.have.length(2));
    expect(p.sent[1].body).to.deep.include({ version: 5, note: 'in the sun' });
    expect(p.sent[1].body.id, 'another write').to.not.equal(p.sent[0].body.id);
  });

  it('a move against the exposure rule is asked for a reason, and goes with one', async () => {
    const reason = 'is 12 °C colder than where they stand';
    const answer = (_: string, body: Record<string, unknown>) =>
      body.moveAnyway ? cohortOf() : new Refused(409, `placeId ${reason}`, [{ field: 'placeId', reason }]);
    const p = await edit({ [url]: answer });
    await p.findByRole('option', { name: 'South bench' });
    await p.user.selectOptions(p.getByLabelText('Place'), BENCH);
    expect(p.queryByLabelText(/Move it anyway/)).to.equal(null);
    await p.user.click(p.getByRole('button', { name: 'Save' }));
    await p.user.type(await p.findByLabelText(/Move it anyway/), 'only for a day');
    await p.user.click(p.getByRole('button', { name: 'Save' }));
    await p.until(() =>
      expect(p.sent.at(-1)!.body).to.deep.include({ moveAnyway: 'only for a day', placeId: BENCH }),
    );
  });
});

describe('a new cohort', () => {
  const NOTHING = {
    '/cohorts': [cohortRow({ code: 'FM-37' })],
    '/own-programmes': [],
    '/seed-lots': [],
    '/goals': [],
  };
  const form = (answers: object = {}, more: object = {}) =>
    shown(<NewCohort />, {
      answers: {
        ...NOTHING,
        'POST /calc/course': new Refused(400, 'No course yet.'),
        'POST /cohorts': { recordId: ID(9), live: 0, pending: 30, moved: [] },
        ...answers,
      },
      ...more,
    });
  const entered = (p: Awaited<ReturnType<typeof form>>) => p.sent.find((s) => s.path === '/cohorts')?.body;

  it('offers a code that is free, and follows kind and start until one is written', async () => {
    const p = await form();
    const code = (await p.findByLabelText('Code')) as HTMLInputElement;
    await p.until(() => expect(code.value).to.equal('FM-37B'));
    const started = p.getByLabelText('Started');
    await p.user.clear(started);
    await p.user.type(started, 'spring 2035');
    await p.until(() => expect(code.value).to.equal('FM-35'));
    // emptied to be written anew it stays empty, and comes back when it is left so
    await p.user.clear(code);
    expect(code.value).to.equal('');
    await p.user.tab();
    expect(code.value).to.equal('FM-35');
    await p.user.clear(code);
    await p.user.type(code, 'MY-1');
    await p.user.clear(started);
    await p.user.type(started, 'spring 2034');
    expect(code.value).to.equal('MY-1');
  });

  it('the same cohort is the same numbers in metric and in US units, and then its page is gone to', async () => {
    const bodies: Record<string, unknown>[] = [];
    for (const [units, typed] of [
      ['metric', '38.1'],
      ['US', '1 1/2'],
      ['US', '38.1 mm'],
    ] as const) {
      const p = await form({}, { units });
      await p.user.type(await p.findByLabelText('Seeds'), '30');
      await p.user.type(p.getByLabelText('Goal caliper'), typed);
      await p.user.click(p.getByRole('button', { name: 'Enter this cohort' }));
      await p.until(() => expect(p.router.state.location.pathname).to.equal(`/cohorts/${ID(9)}`));
      const { id: _, ...body } = entered(p)!;
      bodies.push(body);
    }
    expect(bodies[0]).to.deep.include({ goalCaliper: 38.1, count: 30, started: TODAY, placeId: FRAME });
    expect(bodies[1]).to.deep.equal(bodies[0]);
    expect(bodies[2]).to.deep.equal(bodies[0]);
  });

  it('what cannot be read is told at its input, all of it at once, and nothing is entered', async () => {
    const p = await form();
    await p.user.type(await p.findByLabelText('Seeds'), '1.5');
    await p.user.type(p.getByLabelText('Goal caliper'), 'stout');
    await p.user.clear(p.getByLabelText('Started'));
    await p.user.type(p.getByLabelText('Started'), 'long ago');
    await p.user.click(p.getByRole('button', { name: 'Enter this cohort' }));
    await p.findByText(/^Seeds is not a whole number/);
    p.getByText(/^Goal caliper is not/);
    p.getByText(/^Started is not a date such as/);
    expect(entered(p)).to.equal(undefined);
  });

  it('begins with what an offer elsewhere has put into the address', async () => {
    const p = await form({}, { at: `/cohorts/new?taxonId=pinus-sylvestris&count=140&placeId=${BENCH}` });
    expect(((await p.findByLabelText('Seeds')) as HTMLInputElement).value).to.equal('140');
    expect((p.getByLabelText('Place') as HTMLSelectElement).value).to.equal(BENCH);
    expect((p.getByRole('combobox', { name: 'Taxon' }) as HTMLInputElement).value).to.equal('Scots pine');
  });
});
