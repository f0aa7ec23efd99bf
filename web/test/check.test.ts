import { expect } from 'chai';
import { newPlace } from '@gonimos/contract/nursery';
import { faultsIn, faultsOf, showFaults } from '../src/common/check';
import { Failure } from '../src/common/api';

describe('faults beside their inputs', () => {
  const put = (faults: Record<string, string>, fields: object) => {
    const shown: Record<string, string> = {};
    const homeless = showFaults(faults, fields, (field, { message }) => (shown[field] = message));
    return { shown, homeless };
  };

  it('the contract’s own words, for every field at once', () => {
    const faults = faultsOf(newPlace, { id: 'x', name: ' ', kind: 'moon', night: Number.NaN });
    expect(Object.keys(faults)).to.include.members(['id', 'name', 'kind', 'night']);
    expect(faults.name).to.match(/is empty/);
    expect(faults.night).to.match(/is not a number/);
  });

  it('go to their inputs, also those of parts; what no input is about stands above the form', () => {
    const { shown, homeless } = put(
      {
        count: 'is missing',
        'calipers[1]': 'is above 1000 mm',
        'origin.source': 'is empty',
        version: 'is missing',
      },
      { count: '', calipers: '', origin: {} },
    );
    expect(shown).to.deep.equal({
      count: 'is missing',
      calipers: 'is above 1000 mm',
      origin: 'is empty',
      root: 'version is missing',
    });
    expect(homeless).to.deep.equal(['version is missing']);
    expect(put({}, { count: '' })).to.deep.equal({ shown: {}, homeless: [] });
  });

  it('a server’s answer names its fields; silence names none', () => {
    const problem = {
      type: 'about:blank',
      title: 'Bad request',
      code: 'bad-request' as const,
      status: 400,
      detail: 'count is below 1',
      errors: [{ field: 'count', reason: 'is below 1' }],
    };
    expect(faultsIn(new Failure(problem, 'count is below 1'))).to.deep.equal({ count: 'is below 1' });
    expect(faultsIn(new Failure(null, 'No answer'))).to.deep.equal({});
    expect(faultsIn(new Error('else'))).to.deep.equal({});
    expect(new Failure(null, 'No answer').status).to.equal(0);
  });
});
