import '../window';
import { expect } from 'chai';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import { toDay } from '@gonimos/core/calendar';
import type { Marker, SeasonMarkers } from '@gonimos/core/season';
import { Frost } from '../../src/season/frost';
import { ImportRecord } from '../../src/season/import';
import { Markers, Seen } from '../../src/season/markers';
import { FRAME, ID, Refused, shown, TODAY } from '../page';

/** A marker expected on a day, eight years of ten within a week of it. */
const marker = (on: string, more: object = {}): Marker =>
  ({
    kind: 'days',
    p10: toDay(on) - 7,
    p50: toDay(on),
    p90: toDay(on) + 7,
    passed: false,
    ...more,
  }) as unknown as Marker;
const none = { kind: 'no-marker', why: 'no night here falls to 0 °C' } as unknown as Marker;
const season = (markers: Partial<SeasonMarkers> = {}, more: Partial<SeasonOfPlace> = {}): SeasonOfPlace =>
  ({
    placeId: FRAME,
    year: 2037,
    from: '2037-01-01',
    to: '2037-12-31',
    today: TODAY,
    markers: {
      'roots-active': marker('2037-02-20', { passed: true }),
      'bud-swell': marker('2037-03-20'),
      'bud-swell-late': marker('2037-04-02'),
      'candles-moving': marker('2037-04-20'),
      'bud-break': marker('2037-04-10'),
      'last-frost': none,
      'flush-hard': marker('2037-06-04'),
      'warm-season': marker('2037-07-01', { p10: toDay('2037-07-01'), p90: toDay('2037-07-01') }),
      'first-frost': none,
      'roots-rest': marker('2037-12-04'),
      'leaf-fall-done': marker('2037-11-20'),
      ...markers,
    },
    seen: [],
    frost: { class: 'light frost', coldest: -4, first: null, last: null },
    ...more,
  }) as unknown as SeasonOfPlace;
const words = (p: Awaited<ReturnType<typeof shown>>, name: string) =>
  p.getByRole('rowheader', { name: new RegExp(`^${name}`) }).closest('tr')!.textContent;

describe('the season', () => {
  it('a marker is expected with its spread, firm once passed or seen; where there is none it says why', async () => {
    const seen = { on: toDay('2037-03-18'), as: 'buds-swelling' };
    const p = await shown(<Markers season={season({ 'bud-swell': marker('2037-03-18', { seen }) })} />);
    expect(words(p, 'Roots at work')).to.contain('20 Feb').and.contain('passed, from the record');
    expect(words(p, 'Bud break'))
      .to.contain('10 Apr')
      .and.match(/3 ?(Apr)? – 17 Apr/);
    expect(words(p, 'Bud swellwarmth')).to.match(/18 Mar.*seen 18 Mar/);
    expect(words(p, 'Warm season')).to.contain('almost certain');
    expect(words(p, 'Last frost')).to.contain('no night here falls to 0 °C');
    // what is firm has no band
    const bands = p.getByRole('rowheader', { name: /^Roots at work/ }).closest('tr')!;
    expect(bands.querySelectorAll('rect').length).to.equal(0);
  });

  it('thresholds are read in the units of who reads', async () => {
    const p = await shown(<Markers season={season()} />, { units: 'US' });
    expect(words(p, 'Roots at work')).to.contain('43 °F');
    expect(words(p, 'Roots at work')).not.to.contain('°C');
  });

  it('what was seen stands against what the model had said, and is taken back', async () => {
    const seen = [
      {
        id: ID(50),
        kind: 'buds-swelling',
        taxonId: 'acer-campestre',
        on: '2037-03-08',
        expected: '2037-03-20',
        note: 'on the south side',
        by: 'Ada',
      },
    ] as unknown as SeasonOfPlace['seen'];
    const p = await shown(<Seen season={season({}, { seen })} />, {
      answers: { [`POST /observations/${ID(50)}/withdraw`]: {} },
    });
    expect(p.text()).to.contain('on field maple, 8 Mar').and.contain('the model had said 20 Mar');
    expect(p.text()).to.contain('on the south side · Ada');
    await p.user.click(p.getByRole('button', { name: /^Take back/ }));
    await p.until(() => expect(p.sent).to.have.length(1));
    const nothing = await shown(<Seen season={season()} />);
    expect(nothing.text()).to.equal('');
  });

  it('frost by its chance, spring and autumn; where there is none it is said, not left empty', async () => {
    const nights = { p02: '2037-05-20', p10: '2037-05-10', p50: '2037-04-22', p90: '2037-04-02', share: 1 };
    const frost = {
      class: 'hard frost',
      coldest: -14,
      last: nights,
      first: null,
    } as SeasonOfPlace['frost'];
    const p = await shown(<Frost season={season({}, { frost })} />);
    expect(p.text()).to.contain('one winter in ten falls to −14 °C');
    const row = p.getByRole('rowheader', { name: /^Last of spring/ }).closest('tr')!;
    expect([...row.querySelectorAll('td')].map((c) => c.textContent)).to.deep.equal([
      '20 May',
      '10 May',
      '22 Apr',
      '2 Apr',
    ]);
    const none = await shown(<Frost season={season()} />);
    expect(none.text()).to.contain('No frost here in forty-nine years of fifty.');
    expect(none.queryByRole('table')).to.equal(null);
  });

  it('a record from a file: faults by line before anything is written, then taken in once confirmed', async () => {
    const report = {
      days: 2,
      from: '2036-01-01',
      to: '2036-01-02',
      faults: [{ line: 4, field: 'tmin', reason: 'is above tmax' }],
      replaced: 1,
      written: 0,
    };
    const p = await shown(<ImportRecord today={TODAY} />, {
      answers: {
        'POST /weather/import': (_: string, body: Record<string, unknown>) =>
          body.confirm ? { ...report, written: 2 } : report,
      },
    });
    const csv = 'date,tmin,tmax\n2036-01-01,1,4\n2036-01-02,2,5\n2036-01-03,9,5\n';
    await p.user.upload(p.getByLabelText('Choose a file'), new File([csv], 'days.csv', { type: 'text/csv' }));
    await p.findByText('2 good days');
    expect(p.text()).to.contain('1 Jan 2036 to 2 Jan 2036; 1 says something else than the record');
    expect(p.text()).to.contain('line 4: tmin is above tmax');
    expect(p.sent.map((s) => s.body.confirm)).to.deep.equal([false]);
    await p.user.click(p.getByRole('button', { name: 'Take in 2 days' }));
    await p.findByText('2 days are in the record; every course was planned again.');
    expect(p.sent.map((s) => [s.body.confirm, s.body.csv])).to.deep.equal([
      [false, csv],
      [true, csv],
    ]);
  });

  it('a file without a good day cannot be taken in, and a refusal is said', async () => {
    const report = { days: 0, from: null, to: null, faults: [], replaced: 0, written: 0 };
    const p = await shown(<ImportRecord today={TODAY} />, { answers: { 'POST /weather/import': report } });
    const file = new File(['nothing'], 'days.csv', { type: 'text/csv' });
    await p.user.upload(p.getByLabelText('Choose a file'), file);
    await p.findByText('0 good days');
    expect((p.getByRole('button', { name: 'Take in 0 days' }) as HTMLButtonElement).disabled).to.equal(true);
    const q = await shown(<ImportRecord today={TODAY} />, {
      answers: { 'POST /weather/import': new Refused(413, 'The file is too large.') },
    });
    await q.user.upload(q.getByLabelText('Choose a file'), file);
    await q.findByText('The file is too large.');
  });
});
