import { expect } from 'chai';
import { object, string, number, array } from 'yup';
import { byContract } from '../src/common/contract-form.ts';

const schema = object({
  id: string().required('is missing'),
  count: number().typeError('is not a number').min(1, 'is below 1').required('is missing'),
  place: string().required('is missing'),
  temperatures: array(number().max(50, 'is above 50')),
  origin: object({ source: string().required('is missing') }),
  details: object({ potting: object({ container: string().required('is missing') }) }),
});
const good = {
  count: '7',
  temperatures: '10 20',
  source: 'a hedge',
  details: { potting: { container: 'pot-9' } },
};
type Typed = typeof good;
const payload = (v: Typed) => ({
  count: Number(v.count),
  place: 'bench',
  temperatures: v.temperatures.split(' ').map(Number),
  origin: { source: v.source },
  details: v.details,
});
const check = async (typed: Typed, as: (v: Typed) => object = payload) =>
  (await byContract<Typed>(schema, as)(typed, undefined, { fields: {}, shouldUseNativeValidation: false }))
    .errors as Record<string, { message?: string }>;

describe('a form checked by the contract', () => {
  it('passes what the contract takes; the id of the write need not be there yet', async () => {
    expect(await check(good)).to.deep.equal({});
  });

  it('says what is wrong at the input it is about, also of a list and of what is kept together', async () => {
    const found = await check({ ...good, count: '0', temperatures: '10 99', source: '' });
    expect(Object.keys(found)).to.have.members(['count', 'temperatures', 'source']);
    expect(found.count.message).to.equal('is below 1');
    expect(found.temperatures.message).to.equal('is above 50');
    expect(found.source.message).to.equal('is missing');
  });

  it('keeps faults of a group inside it, and makes its own what no input is about', async () => {
    const inside = await check({ ...good, details: { potting: { container: '' } } });
    expect(inside.details).to.have.nested.property('potting.container.message', 'is missing');
    const own = await check(good, (v) => ({ ...payload(v), place: '' }));
    expect(own.root.message).to.equal('Place is missing');
  });
});
