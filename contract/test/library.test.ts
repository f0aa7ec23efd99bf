import { expect } from 'chai';
import { ValidationError } from 'yup';
import { programmeBody } from '@gonimos/contract/library';
import { faultsOf, PROGRAMMES, type Programme } from '@gonimos/core/programmes';

const schema = programmeBody().noUnknown();
const sent = (p: Programme) => {
  const { id: _, ...rest } = JSON.parse(JSON.stringify(p)) as Programme;
  return rest;
};
const faults = (p: unknown): string[] => {
  try {
    schema.validateSync(p, { abortEarly: false });
    return [];
  } catch (error) {
    return (error as ValidationError).inner.map((e) => e.path ?? '');
  }
};

describe('a programme somebody wrote', () => {
  it('every programme of the library passes as a copy', () => {
    const refused = PROGRAMMES.flatMap((p) => faults(sent(p)).map((f) => `${p.id}: ${f}`));
    expect(refused).to.deep.equal([]);
  });

  it('windows of no kind, of another kind’s fields, or without end are refused by field', () => {
    const withWindow = (window: unknown) => {
      const p = sent(PROGRAMMES[0]) as unknown as { steps: object[] };
      return faults({ ...p, steps: [{ ...p.steps[0] }, { ...p.steps[1], window }, ...p.steps.slice(2)] });
    };
    const at = 'steps[1].window';
    expect(withWindow({ kind: 'lag', opens: 3, closes: 9 })).to.deep.equal([]);
    expect(withWindow({ kind: 'season', opens: ['bud-swell', -7], closes: ['bud-break', 0] })).to.deep.equal(
      [],
    );
    expect(withWindow({ kind: 'toString' })).to.include(`${at}.kind`);
    expect(withWindow({ kind: 'lag', opens: 1e9, closes: 5 })).to.include(`${at}.opens`);
    expect(withWindow({ kind: 'season', opens: ['harvest', 0], closes: ['bud-break', 0] })).to.include(
      `${at}.opens[0]`,
    );
    expect(withWindow({ kind: 'warmth', degreeDays: 'a lot', days: 5 })).to.include(`${at}.degreeDays`);
    expect(withWindow({ kind: 'swelling', part: 'leaf', share: 0.2, days: 3 })).to.include(`${at}.part`);
    expect(withWindow(7).length + withWindow(null).length + withWindow([]).length).to.be.above(2);
  });

  it('cycles of nothing, of strangers, or of one step twice are faults', () => {
    const [first, second] = PROGRAMMES[0].steps;
    const of = (steps: string[]) =>
      faultsOf({ ...PROGRAMMES[0], cycles: [{ steps, times: 2, every: 1 }] }).map((f) => f.text);
    expect(of([])).to.include('a cycle has no steps');
    expect(of(['nobody'])).to.include('a cycle names a step that is not there');
    expect(of([first.key, second.key, first.key])).to.include('a cycle names a step twice');
  });
});
