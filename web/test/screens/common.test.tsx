import '../window';
import { expect } from 'chai';
import { useState } from 'react';
import type { CourseChange, Reason } from '@gonimos/core/course';
import { Change } from '../../src/common/change';
import { DayInput } from '../../src/common/day-input';
import { MeasureInput } from '../../src/common/measure-input';
import { Pick } from '../../src/common/pick';
import { Today } from '../../src/common/today';
import { Section } from '../../src/common/section';
import { Why } from '../../src/common/why';
import { WindowBar } from '../../src/common/window-bar';
import { shown, TODAY } from '../page';

/** An input as a form holds it, and what it told last. */
function holding<T>(first: T, Input: (p: { value: T; onChange: (v: T) => void }) => React.ReactElement) {
  const told: T[] = [];
  const Held = () => {
    const [value, set] = useState(first);
    return (
      <Input
        value={value}
        onChange={(v) => {
          told.push(v);
          set(v);
        }}
      />
    );
  };
  return { told, element: <Held /> };
}

describe('a day as it is typed', () => {
  const day = (min?: string) =>
    holding('', ({ value, onChange }) => (
      <label>
        Day
        <Today value={TODAY}>
          <DayInput value={value} onChange={onChange} {...(min ? { min } : {})} />
        </Today>
      </label>
    ));

  it('is read as people write it: bare, by weekday, as days from now; ahead where only that may be', async () => {
    for (const [typed, min, wanted] of [
      ['15 6 2037', undefined, '2037-06-15'],
      ['2037-04-01', undefined, '2037-04-01'],
      ['+10d', TODAY, '2037-03-19'],
      ['tue', TODAY, '2037-03-10'],
      ['tue', undefined, '2037-03-03'],
    ] as const) {
      const { told, element } = day(min);
      const p = await shown(element);
      await p.user.type(p.getByLabelText('Day'), typed);
      expect(told.at(-1), `${typed}, ${min ?? 'any'}`).to.equal(wanted);
    }
  });

  it('what cannot be read stays as it was typed, and is told as it is', async () => {
    const { told, element } = day();
    const p = await shown(element);
    await p.user.type(p.getByLabelText('Day'), 'soonish');
    expect(told.at(-1)).to.equal('soonish');
    expect((p.getByLabelText('Day') as HTMLInputElement).value).to.equal('soonish');
  });

  it('once left it is written in full', async () => {
    const { element } = day();
    const p = await shown(element);
    await p.user.type(p.getByLabelText('Day'), '2037-06-15');
    await p.user.tab();
    expect((p.getByLabelText('Day') as HTMLInputElement).value).to.equal('Mon, 15 Jun 2037');
  });
});

describe('a measure as it is typed', () => {
  const mm = (value: number | undefined) =>
    holding(value, (p) => (
      <label>
        Long
        <MeasureInput quantity="length" {...p} />
      </label>
    ));

  it('in any unit one names, else in one’s own; nothing is nothing, nonsense is no number', async () => {
    for (const [units, typed, wanted] of [
      ['metric', '12', 12],
      ['metric', '1/2 in', 12.7],
      ['US', '3/8', 9.525],
      ['US', '12 mm', 12],
      ['US', '1 ft 2 in', 355.6],
    ] as const) {
      const { told, element } = mm(undefined);
      const p = await shown(element, { units });
      await p.user.type(p.getByLabelText('Long'), typed);
      expect(told.at(-1), `${typed} in ${units}`).to.be.closeTo(wanted, 0.006);
      await p.user.clear(p.getByLabelText('Long'));
      expect(told.at(-1)).to.equal(undefined);
      await p.user.type(p.getByLabelText('Long'), 'wide');
      expect(Number.isNaN(told.at(-1))).to.equal(true);
    }
  });

  it('first stands as it would be typed', async () => {
    const text = async (units: 'metric' | 'US') => {
      const p = await shown(mm(38.1).element, { units });
      return (p.getByLabelText('Long') as HTMLInputElement).value;
    };
    expect([await text('metric'), await text('US')]).to.deep.equal(['38.1', '1.5']);
  });
});

describe('one of a long list', () => {
  const choices = [
    { id: 'a', name: 'Field maple', more: 'Acer campestre' },
    { id: 'b', name: 'Hornbeam', more: 'Carpinus betulus' },
    { id: 'c', name: 'Japanese maple', more: 'Acer palmatum' },
  ];
  const list = (first = '') =>
    holding(first, ({ value, onChange }) => (
      <>
        <Pick label="Kind" choices={choices} value={value} onChoose={onChange} />
        <button type="button">next</button>
      </>
    ));

  it('is found by any of its words in any order, taken by key, and the name stands there', async () => {
    const { told, element } = list();
    const p = await shown(element);
    const box = p.getByRole('combobox', { name: 'Kind' }) as HTMLInputElement;
    await p.user.type(box, 'acer jap');
    expect(p.getAllByRole('option').map((o) => o.textContent)).to.deep.equal(['Japanese mapleAcer palmatum']);
    await p.user.keyboard('{ArrowDown}{Enter}');
    expect(told.at(-1)).to.equal('c');
    expect(box.value).to.equal('Japanese maple');
  });

  it('left without a choice it says what is chosen; what nothing fits says so', async () => {
    const p = await shown(list('b').element);
    const box = p.getByRole('combobox', { name: 'Kind' }) as HTMLInputElement;
    await p.user.clear(box);
    await p.user.type(box, 'oak');
    p.getByText('Nothing of that name.');
    await p.user.click(p.getByRole('button', { name: 'next' }));
    await p.until(() => expect(['Hornbeam', '']).to.include(box.value));
  });
});

describe('a window against today', () => {
  it('says how long it is still open, when it closes, and how late it is', async () => {
    for (const [closes, words] of [
      ['2037-04-20', '42 days left'],
      ['2037-03-19', 'closes in 10 days'],
      ['2037-03-10', 'closes in 1 day'],
      [TODAY, 'closes today'],
      ['2037-03-08', '1 day late'],
    ] as const) {
      const p = await shown(<WindowBar opens="2037-02-20" closes={closes} today={TODAY} />);
      p.getByText(words);
    }
  });
});

describe('a change of a course', () => {
  const moved = (n: number, days: number | null): CourseChange['moved'][number] => ({
    key: `s${n}`,
    title: `Step ${n}`,
    days,
    was: { opens: '2037-04-01', closes: '2037-04-20' },
    now: days === null ? { opens: null, closes: null } : { opens: '2037-04-15', closes: '2037-05-04' },
    because:
      n === 1 ? { rule: 'recovery', text: 'it rests until {2037-04-15}', figures: [], binding: true } : null,
  });
  const change = (more: Partial<CourseChange>): CourseChange => ({
    moved: [],
    added: [],
    removed: [],
    ends: { was: '2040-01-01', now: '2040-01-01' },
    ...more,
  });

  it('was and now with the reason; more than a dozen are counted; nothing is said to be nothing', async () => {
    const many = Array.from({ length: 15 }, (_, i) => moved(i + 1, i === 1 ? null : 14));
    const p = await shown(
      <Change
        change={change({ moved: many, ends: { was: '2040-01-01', now: '2041-02-01' } })}
        today={TODAY}
      />,
    );
    expect(p.text()).to.contain('The course ends 1 Jan 2040 → 1 Feb 2041');
    expect(p.text()).to.contain(
      'Step 114 days later1 Apr – 20 Apr → 15 Apr – 4 Maybecause: it rests until 15 Apr',
    );
    expect(p.text()).to.contain('1 Apr – 20 Apr → no date');
    expect(p.text()).to.contain('and 3 more move');
    const none = await shown(<Change change={change({})} today={TODAY} />);
    expect(none.text()).to.equal('Nothing moves.');
  });

  it('what is new and what falls away are told apart', async () => {
    const step = (title: string, opens: string | null) => ({ title, opens }) as CourseChange['added'][number];
    const p = await shown(
      <Change
        change={change({
          added: [step('Wire', '2037-05-01'), step('Chop', null)],
          removed: [step('Pinch', null)],
        })}
        today={TODAY}
      />,
    );
    expect(p.text()).to.contain('New: Wire (1 May), Chop (no date)');
    expect(p.text()).to.contain('No longer asked for: Pinch');
  });
});

describe('why', () => {
  it('each rule with its numbers and their basis; days and measures in one’s own way; what decides says what would change it', async () => {
    const reasons: Reason[] = [
      {
        rule: 'window',
        text: 'opens {2037-03-20}, 20 mm',
        binding: true,
        figures: [
          { label: 'bud swell', value: '2037-03-20', unit: '', basis: 'common practice' },
          { label: 'trunk', value: 25.4, unit: 'mm', basis: 'your data' },
        ],
      },
      { rule: 'recovery', text: 'has rested', binding: false, figures: [] },
    ];
    const page = (units: 'metric' | 'US') =>
      shown(<Why title="AC-35" reasons={reasons} today={TODAY} onClose={() => undefined} />, { units });
    const p = await page('metric');
    expect(p.text()).to.contain('opens 20 Mar, 20 mm').and.contain('trunk25.4 mmyour data');
    expect(p.getAllByText('decides')).to.have.length(1);
    expect(p.getAllByText(/What would change it/)).to.have.length(1);
    expect((await page('US')).text()).to.match(/trunk1(\.0+)? inyour data/);
  });
});

describe('the section', () => {
  const draw = async (more: Partial<Parameters<typeof Section>[0]> = {}) => {
    const p = await shown(
      <Section
        rings={{
          from: 2034,
          mm: [3, 7, 12, 16],
          measured: [2035],
          slow: [3, 7, 12, 14],
          fast: [3, 7, 12, 18],
        }}
        season={2037}
        containerId="basket-18"
        target={30}
        size={60}
        {...more}
      />,
    );
    const svg = p.getByRole('img');
    return { label: svg.getAttribute('aria-label')!, circles: [...svg.querySelectorAll('circle')], svg };
  };
  const radius = (c: Element) => Number(c.getAttribute('r'));

  it('says what it shows: grown, expected, aimed at, and what it stands in', async () => {
    const { label } = await draw();
    expect(label).to.equal(
      'Trunk 12 mm after 3 seasons, expected 14–18 mm after 2037, target 30 mm, in pond basket 18 cm',
    );
  });

  it('is to scale: the trunk against the target as 12 to 30, rings in order, all inside of the container', async () => {
    const { circles } = await draw();
    const target = circles.find((c) => c.getAttribute('stroke') === 'var(--color-primary)')!;
    const trunk = circles.find((c) => c.getAttribute('fill') === 'var(--wood)')!;
    expect(radius(trunk) / radius(target)).to.be.closeTo(12 / 30, 1e-9);
    const rings = circles.filter((c) => c.getAttribute('stroke') === 'var(--wood-line)' && c !== trunk);
    expect(rings.map(radius)).to.deep.equal(rings.map(radius).toSorted((a, b) => a - b));
    for (const c of circles) expect(radius(c)).to.be.at.most(47);
  });

  it('a ring that was measured is drawn stronger; too small for rings it is a trunk and its pot', async () => {
    const { circles } = await draw();
    const widths = circles
      .filter((c) => c.getAttribute('fill') === 'none' && c.getAttribute('stroke') === 'var(--wood-line)')
      .map((c) => c.getAttribute('stroke-width'));
    expect(widths).to.deep.equal(['1', '1.6']);
    expect((await draw({ size: 20, target: null, containerId: 'pot-13' })).circles).to.have.length(2);
  });

  it('walls are told apart by their lines, the ground by its corners', async () => {
    const line = async (containerId: string) => {
      const { svg } = await draw({ containerId });
      const wall = svg.firstElementChild!;
      return `${wall.tagName} ${wall.getAttribute('stroke-dasharray')}`;
    };
    const all = [
      await line('pot-13'),
      await line('air-pot-1'),
      await line('grooved-3'),
      await line('clay-15'),
      await line('ground'),
    ];
    expect(new Set(all).size).to.equal(5);
    expect(all[4]).to.match(/^rect/);
  });

  it('two drawn to one scale can be compared', async () => {
    const trunk = async (mm: number) => {
      const { circles } = await draw({
        rings: { from: 2036, mm: [mm], measured: [] },
        target: null,
        fullScale: 60,
      });
      return radius(circles.find((c) => c.getAttribute('fill') === 'var(--wood)')!);
    };
    expect((await trunk(20)) / (await trunk(40))).to.be.closeTo(0.5, 1e-9);
  });
});
