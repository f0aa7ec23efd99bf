import { expect } from 'chai';

const MINUTE = 60_000;
const START = Date.UTC(2037, 2, 9, 9);

/** What a browser keeps for a device. */
class Kept {
  readonly all = new Map<string, string>();
  getItem = (key: string): string | null => this.all.get(key) ?? null;
  setItem = (key: string, value: string): void => void this.all.set(key, value);
  removeItem = (key: string): void => void this.all.delete(key);
}

const step = {
  cohortId: 'c',
  stepKey: 'correct',
  code: 'FM-36',
  title: 'Correct',
  taxonId: 'acer-campestre',
};

describe('the bench clock of a device', () => {
  const kept = new Kept();
  const had = Object.getOwnPropertyDescriptor(globalThis, 'localStorage');
  let clock: typeof import('../src/common/bench-clock.ts');
  before(async () => {
    Object.defineProperty(globalThis, 'localStorage', { value: kept, configurable: true });
    clock = await import('../src/common/bench-clock.ts');
  });
  after(() => {
    if (had) Object.defineProperty(globalThis, 'localStorage', had);
    else delete (globalThis as { localStorage?: unknown }).localStorage;
  });

  it('is kept as moments: what passed while nobody looked counts too, and minutes are rounded up', () => {
    clock.startClock(step, false, START);
    expect(JSON.parse(kept.getItem('bench clock')!)).to.include({ since: START, before: 0, wetted: null });
    clock.stopClock(START + 34 * MINUTE + 1);
    expect(clock.toldByClock(step)).to.deep.equal({ minutes: 35, bare: null });
    expect(kept.getItem('bench clock')).to.equal(null);
  });

  it('adds up sittings of one step until it is recorded, and keeps steps apart', () => {
    clock.startClock(step, false, START);
    clock.stopClock(START + 10 * MINUTE);
    expect(clock.toldByClock(step)!.minutes).to.equal(45);
    const other = { ...step, stepKey: 'wire' };
    clock.startClock(other, false, START);
    clock.stopClock(START + 500);
    expect(clock.toldByClock(other)!.minutes, 'a moment is a minute').to.equal(1);
    clock.forgetClock(step);
    expect([clock.toldByClock(step), clock.toldByClock(other)!.minutes]).to.deep.equal([null, 1]);
  });

  it('tells the longest that roots were bare, misted or not', () => {
    const roots = { ...step, stepKey: 'roots-2' };
    clock.startClock(roots, true, START);
    clock.mist(START + 9 * MINUTE);
    clock.mist(START + 11 * MINUTE);
    clock.stopClock(START + 15 * MINUTE);
    expect(clock.toldByClock(roots)).to.deep.equal({ minutes: 15, bare: 9 });
    clock.startClock(roots, true, START + 60 * MINUTE);
    clock.stopClock(START + 72 * MINUTE);
    expect(clock.toldByClock(roots)).to.deep.equal({ minutes: 27, bare: 12 });
  });

  it('stopped twice, or misted while it does not run, nothing happens', () => {
    expect(clock.stopClock(START)).to.equal(null);
    clock.mist(START);
    expect(kept.getItem('bench clock')).to.equal(null);
  });

  it('what was kept by somebody else’s program, or cut short, does not break it', () => {
    kept.setItem('bench clock told', '{"c correct": ');
    expect(clock.toldByClock(step)).to.equal(null);
    clock.startClock(step, false, START);
    clock.stopClock(START + MINUTE);
    expect(clock.toldByClock(step)!.minutes).to.equal(1);
  });

  it('reads as clocks do', () => {
    expect([0, 4_000, 65_000, 3_599_999, 3_600_000, 3_725_000, -5].map(clock.clockWords)).to.deep.equal([
      '0:00',
      '0:04',
      '1:05',
      '59:59',
      '1:00:00',
      '1:02:05',
      '0:00',
    ]);
  });
});
