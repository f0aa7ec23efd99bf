import '../window';
import { expect } from 'chai';
import type { ProgrammeRow } from '@gonimos/contract/library';
import { programme } from '@gonimos/core/programmes';
import { EditProgramme } from '../../src/library/edit-programme';
import { Programmes } from '../../src/library/programmes';
import { Refused, shown, within } from '../page';

const WHOLE = programme('seed-broadleaf');
/** Its first few steps: lists of all work stand at each of them. */
const SEED = { ...WHOLE, steps: WHOLE.steps.slice(0, 4), cycles: undefined };
const row = (more: Partial<ProgrammeRow> = {}): ProgrammeRow => ({
  id: SEED.id,
  name: SEED.name,
  summary: SEED.summary,
  method: 'seed',
  steps: SEED.steps.length,
  version: 1,
  own: false,
  cohorts: 3,
  behind: 0,
  ...more,
});
/** The editor of a programme, opened as it is or as a copy. */
const editor = (own: boolean, answers: object = {}, copy = false) =>
  shown(<EditProgramme />, {
    at: `/library/programmes/${SEED.id}${copy ? '?copy' : ''}`,
    path: '/library/programmes/:id',
    answers: { [`/programmes/${SEED.id}`]: { programme: SEED, version: 4, own }, ...answers },
  });
type Page = Awaited<ReturnType<typeof editor>>;
const steps = (p: Page) => p.getAllByLabelText(/^Take out /);
const kept = (p: Page) =>
  p.sent[0].body as { programmeId: string; basedOn: number; copyOf: string | null; programme: typeof SEED };
/** The fields of the step so many from the top. */
const step = (p: Page, n: number) => within(steps(p)[n].closest('li')!);

describe('programmes in the library', () => {
  it('one’s own stand first, with who follows them and who is behind; the steps of one are told in words', async () => {
    const rows = [row(), row({ id: 'ours', name: 'Ours', own: true, version: 3, behind: 2 })];
    const p = await shown(<Programmes />, {
      answers: {
        '/programmes': rows,
        [`/programmes/${SEED.id}`]: { programme: SEED, version: 1, own: false },
      },
    });
    await p.findByRole('heading', { name: 'Your own' });
    const heads = p.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
    expect(heads).to.deep.equal(['Your own', 'From seed']);
    expect(p.text()).to.contain('version 3, followed by 3 cohorts, 2 on an older version');
    await p.user.click(p.getByRole('button', { name: new RegExp(`^${SEED.name}`) }));
    const sheet = within(p.getByRole('dialog'));
    await sheet.findByText(/Order, lags and conditions: common practice, no source/);
    expect(sheet.getAllByRole('listitem')).to.have.length(SEED.steps.length);
    expect(sheet.getByRole('link', { name: 'Make a copy of my own' }).getAttribute('href')).to.contain(
      '?copy',
    );
    expect(sheet.queryByRole('link', { name: 'Change it' }), 'the library’s own is not changed').to.equal(
      null,
    );
  });

  it('a helper reads a programme and is offered nothing to change', async () => {
    const p = await shown(<Programmes />, {
      role: 'helper',
      answers: {
        '/programmes': [row({ own: true })],
        [`/programmes/${SEED.id}`]: { programme: SEED, version: 1, own: true },
      },
    });
    await p.user.click(await p.findByRole('button', { name: new RegExp(`^${SEED.name}`) }));
    await p.findByText(/Order, lags and conditions/);
    expect(p.queryByRole('link', { name: /copy of my own/ })).to.equal(null);
  });

  it('a copy is a programme of its own, based on none, under a name of its own', async () => {
    const p = await editor(false, { 'POST /programmes': { id: 'x', version: 1 } });
    await p.findByRole('heading', { name: 'A copy of your own' });
    expect((p.getByLabelText('Name') as HTMLInputElement).value).to.equal(`${SEED.name}, ours`);
    await p.user.click(p.getByText('Keep this version'));
    await p.until(() => expect(p.sent).to.have.length(1));
    const { programmeId, basedOn, copyOf, programme: told } = kept(p);
    expect([basedOn, copyOf]).to.deep.equal([0, SEED.id]);
    expect(programmeId).to.match(new RegExp(`^${SEED.id}-[0-9a-f]{4}$`));
    expect(told).not.to.have.property('id');
    expect(told.steps).to.deep.equal(JSON.parse(JSON.stringify(SEED.steps)));
  });

  it('what is wrong is told at its step while it is written, and cannot be kept', async () => {
    const p = await editor(true);
    await p.findByRole('heading', { name: `Change ${SEED.name}` });
    const n = steps(p).length;
    await p.user.click(p.getByText('Another step'));
    expect(steps(p)).to.have.length(n + 1);
    const added = step(p, n);
    await p.user.selectOptions(added.getByLabelText('After'), '');
    const button = p.getByText(/to put right$/) as HTMLButtonElement;
    expect(button.disabled).to.equal(true);
    expect(steps(p)[n].closest('li')!.className).to.contain('border-error');
    await p.user.click(steps(p)[n]);
    expect(p.getByText('Keep this version')).to.not.equal(null);
  });

  it('a step taken up before what it waits for is a fault; taken down again it is none', async () => {
    const p = await editor(true);
    await p.findByRole('heading', { name: `Change ${SEED.name}` });
    const [, second] = SEED.steps;
    const name = (verb: string) => p.getAllByRole('button', { name: new RegExp(`^Move .* ${verb}$`) });
    await p.user.click(name('up')[1]);
    expect(p.getByText(/to put right$/)).to.not.equal(null);
    await p.user.click(name('down')[0]);
    expect(p.getByText('Keep this version')).to.not.equal(null);
    expect(step(p, 1).getByLabelText('Work')).to.have.property('value', second.operation);
    // there is nothing above the first
    await p.user.click(name('up')[0]);
    expect(step(p, 1).getByLabelText('Work')).to.have.property('value', second.operation);
  });

  it('figures of a step: what it takes, goes into, waits for and wants; emptied they are as the work has them', async () => {
    const p = await editor(true, { 'POST /programmes': { id: 'x', version: 5 } });
    await p.findByRole('heading', { name: `Change ${SEED.name}` });
    const at = SEED.steps.findIndex((s) => s.after.length === 1 && s.container !== undefined);
    const fields = step(p, at);
    const put = async (label: string | RegExp, text: string) => {
      const input = fields.getByLabelText(label);
      await p.user.clear(input);
      if (text) await p.user.type(input, text);
    };
    await put('Called', 'Our own words');
    await put('Days between', '12');
    await put(/^Root taken/, '35');
    await put(/^Caliper at least/, '8');
    await p.user.selectOptions(fields.getByLabelText('Into'), 'basket-18');
    await p.user.click(p.getByText('Keep this version'));
    await p.until(() => expect(p.sent).to.have.length(1));
    const told = kept(p).programme.steps[at];
    expect(told).to.deep.include({ title: 'Our own words', rootLoss: 0.35, container: 'basket-18' });
    expect(told.conditions).to.deep.equal([{ measure: 'caliper', atLeast: 8, unit: 'mm' }]);
    expect(told.after[0].days).to.equal(12);
    expect(kept(p).basedOn).to.equal(4);
  });

  it('kept by somebody meanwhile: it is said, and what was typed stays', async () => {
    const conflict = new Refused(409, 'Version 5 was kept meanwhile.');
    Object.assign(conflict.problem, { code: 'conflict' });
    const p = await editor(true, { 'POST /programmes': conflict });
    const name = await p.findByLabelText('Name');
    await p.user.clear(name);
    await p.user.type(name, 'Slower');
    await p.user.click(p.getByText('Keep this version'));
    await p.findByText(/Somebody kept a version meanwhile: open it anew to see theirs/);
    expect((p.getByLabelText('Name') as HTMLInputElement).value).to.equal('Slower');
  });
});
