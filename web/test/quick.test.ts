import { expect } from 'chai';
import { leftOf } from '@gonimos/contract/records';
import type { RoundStep } from '@gonimos/contract/round';
import { OPERATIONS } from '../../core/data/operations/index.ts';

/** The usual results need what a device keeps of its clock. */
async function quick() {
  const kept = new Map<string, string>();
  Object.defineProperty(globalThis, 'localStorage', {
    value: {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => kept.set(k, v),
      removeItem: (k: string) => kept.delete(k),
    },
    configurable: true,
  });
  return { kept, ...(await import('../src/round/quick.ts')) };
}

const step = (operation: string, more: Partial<RoundStep> = {}) =>
  ({
    cohortId: 'c',
    key: 'k',
    operation,
    container: 'cell-60',
    live: 40,
    part: 0,
    about: null,
    ...more,
  }) as RoundStep;

describe('the usual result of a step', () => {
  it('is had by work of which nothing has to be told: no counts, no finds', async () => {
    const { isUsual } = await quick();
    const told = OPERATIONS.filter((o) => !isUsual(step(o.id)));
    expect(told.map((o) => o.id)).to.include.members([
      'emergence-count',
      'cutting-check',
      'layer-sever',
      'survival-look',
    ]);
    for (const o of told)
      expect(
        o.layer !== undefined || o.asks.some((a) => ['emergence', 'rooted', 'alive'].includes(a)),
        o.id,
      ).to.equal(true);
    expect(isUsual(step('root-correct'))).to.equal(true);
  });

  it('is all of it today, into the container that was planned, with the minutes of the clock', async () => {
    const { usualResult, kept } = await quick();
    expect(usualResult(step('root-correct'), '2037-03-09')).to.deep.include({
      on: '2037-03-09',
      done: null,
      finished: true,
      minutes: null,
      details: { potting: { container: 'cell-60' } },
    });
    expect(usualResult(step('chop'), '2037-03-09').details).to.deep.equal({});
    kept.set('bench clock told', JSON.stringify({ 'c k': { ms: 125_000, driest: 240_000 } }));
    expect(usualResult(step('root-correct'), '2037-03-09')).to.deep.include({
      minutes: 3,
      details: { potting: { container: 'cell-60' }, pace: { bare: 4 } },
    });
  });

  it('what is left is of the plants the step is about', () => {
    expect(leftOf({ live: 40, part: 0, about: null })).to.equal(40);
    expect(leftOf({ live: 40, part: 15, about: null })).to.equal(25);
    expect(leftOf({ live: 40, part: 0, about: 15 })).to.equal(15);
    expect(leftOf({ live: 40, part: 15, about: 15 })).to.equal(0);
    expect(leftOf({ live: 3, part: 5, about: null }), 'some have died since').to.equal(0);
  });
});
