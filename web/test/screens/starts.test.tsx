import '../window';
import { expect } from 'chai';
import type { StartAnswer } from '@gonimos/contract/starts';
import { Starts } from '../../src/starts/starts';
import { FRAME, Refused, shown } from '../page';

const answer = (more: Partial<StartAnswer> = {}): StartAnswer =>
  ({
    stages: [],
    mean: 0.4,
    rho: 0.1,
    number: { kind: 'start', count: 126, chance: 0.91, band: [35, 60] },
    choices: [],
    times: [],
    fresh: false,
    unit: 'seeds',
    ...more,
  }) as unknown as StartAnswer;
const page = (made: object | ((path: string, body: Record<string, unknown>) => unknown), more: object = {}) =>
  shown(<Starts />, {
    answers: {
      '/own-programmes': [],
      '/goals': [],
      'POST /calc/start-numbers': made,
      'POST /goals': {},
    },
    ...more,
  });
type Page = Awaited<ReturnType<typeof page>>;
const asked = (p: Page) => p.sent.filter((s) => s.path.startsWith('/calc/')).map((s) => s.body);

describe('how many to start', () => {
  it('asks as it stands: forty corrected hornbeams in two years, nine times of ten, money in cents', async () => {
    const p = await page(answer());
    await p.until(() => expect(asked(p)).to.have.length.above(0));
    expect(asked(p)[0]).to.deep.include({
      taxonId: 'carpinus-betulus',
      placeId: FRAME,
      stage: 'corrected',
      wanted: 40,
      byYear: 2039,
      confidence: 0.9,
      most: 600,
      cost: { centsEach: 5, wage: 1500 },
    });
  });

  it('what is no number is not asked for, and told at its input; put right, it is asked', async () => {
    const p = await page(answer());
    await p.until(() => expect(asked(p)).to.have.length.above(0));
    const before = asked(p).length;
    const wanted = p.getByLabelText('I want');
    await p.user.clear(wanted);
    await p.user.type(wanted, 'many');
    await p.findByText(/is not a number|is missing/);
    expect(asked(p)).to.have.length(before);
    await p.user.clear(wanted);
    await p.user.type(wanted, '25');
    await p.until(() => expect(asked(p).at(-1)).to.deep.include({ wanted: 25 }));
  });

  it('a kind that a programme does not suit takes one that does, and a stage it has', async () => {
    const p = await page(answer());
    await p.until(() => expect(asked(p)).to.have.length.above(0));
    await p.user.selectOptions(p.getByLabelText('of'), 'pinus-sylvestris');
    await p.until(() => expect(asked(p).at(-1)).to.deep.include({ taxonId: 'pinus-sylvestris' }));
    expect(asked(p).at(-1)!.programmeId).to.not.equal('seed-broadleaf');
  });

  it('a helper keeps no goals; what the server cannot say is told', async () => {
    const p = await page(new Refused(503, 'The climate is being read.'), { role: 'helper' });
    await p.findByText('The climate is being read.');
    expect(p.queryByRole('button', { name: 'Keep as a goal' })).to.equal(null);
  });
});
