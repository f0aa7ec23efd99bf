import { expect } from 'chai';
import type { ImportReport } from '@gonimos/contract/files';
import type { Problem } from '@gonimos/contract/problem';
import { bench, id, seedCohort, type Bench, type Visitor } from './harness.ts';

const HEAD = 'code,taxon,programme,place,container,started,count,goal_caliper_mm,note\n';
const GOOD = 'Acer campestre,seed-broadleaf,Cold frame,seed-flat,2037-03-01,120,40,';

const LOOK = 'correct.survival-look';

/** Malformed requests about the season, the year, the library and surprises. */
function more(real: string, placeId: string): (readonly [string, string, unknown, string?])[] {
  const visit = (m: object) =>
    ['POST', '/visits', { id: id(), cohortId: real, on: '2037-03-09', decision: 'carry-on', ...m }] as const;
  const see = (m: object) =>
    ['POST', '/observations', { id: id(), placeId, kind: 'white-tips', on: '2037-03-09', ...m }] as const;
  const move = (m: object) =>
    ['POST', '/moves', { id: id(), cohortId: real, stepKey: 'roots-2', to: '2037-07-09', ...m }] as const;
  const batch = (m: object) =>
    ['POST', '/batch-put-offs', { id: id(), lane: 'roots', days: 14, reason: 'x', ...m }] as const;
  return [
    [...visit({ found: ['ghosts'] }), 'found[0]'],
    [...visit({ decision: 'pray' }), 'decision'],
    [...visit({ decision: 'step-back' }), 'container'],
    [...visit({ decision: 'lighten' }), 'stepKey'],
    [...visit({ found: ['wrong-identity'] }), 'taxonId'],
    [...visit({ on: '2037-04-01' }), 'on'],
    [...see({ kind: 'a robin' }), 'kind'],
    [...see({ placeId: id() })],
    [...see({ on: '2037-03-10' }), 'on'],
    [...see({ taxonId: 'ficus-microcarpa', kind: 'buds-swelling' }), 'kind'],
    [...move({}), 'to'],
    [...move({ override: 'yes' }), 'reason'],
    [...move({ to: '2030-01-01', override: 'yes', reason: 'x' }), 'to'],
    [...move({ stepKey: 'nothing' }), 'stepKey'],
    [...batch({ lane: 'branches' }), 'lane'],
    [...batch({ days: 0 }), 'days'],
    [...batch({ reason: ' ' }), 'reason'],
    [
      'POST',
      '/year/weeks',
      { id: id(), weeks: [{ cohortId: real, key: 'roots-2', week: '2037-03-10' }] },
      'weeks[0].week',
    ],
    [
      'POST',
      '/year/weeks',
      { id: id(), weeks: [{ cohortId: real, key: 'roots-2', week: '2036-03-10' }] },
      'weeks[0].week',
    ],
    ['PUT', '/year/step', { id: id(), cohortId: real, key: 'nothing', week: '2037-03-16' }, 'stepKey'],
    ['PUT', `/people/${id()}/absence`, { week: '2037-03-16', hours: 99 }, 'hours'],
    ['GET', '/year?weeks=9', undefined, 'weeks'],
    ['POST', '/programmes', { id: id(), programmeId: 'Bad Key', basedOn: 0, programme: {} }, 'programmeId'],
    [
      'POST',
      '/programmes',
      {
        id: id(),
        programmeId: 'ours',
        basedOn: 0,
        programme: {
          name: 'x',
          method: 'seed',
          vigour: 3,
          steps: [
            { key: 'a', operation: 'sow', container: 'seed-flat' },
            { key: 'b', operation: 'dance', after: [{ step: 'a' }] },
          ],
        },
      },
      'programme.steps[1]',
    ],
    ['POST', '/calc/retarget', { id: id(), cohortId: real, programmeId: 'nowhere' }],
    ['POST', '/weather/import', { id: id(), csv: 5 }, 'csv'],
    ['PUT', '/stock', { id: id(), container: 'bucket', version: 0, counted: 5 }, 'container'],
    ['PUT', '/stock', { id: id(), container: 'pot-9', version: 7, counted: 5 }],
    ['POST', `/cohorts/${real}/pictures?picture=${id()}`, {}, 'picture'],
    ['POST', '/calc/schools', { schools: { opening: 'never' } }, 'schools'],
  ];
}

describe('bad input', () => {
  let b: Bench;
  let grower: Visitor;
  let good: Awaited<ReturnType<typeof seedCohort>>;
  let real: string;
  before(async () => {
    b = await bench();
    grower = await b.visitor('grower');
    good = await seedCohort(grower);
    real = (await b.db('cohort').where({ code: 'HB-36' }).first('id'))!.id;
  });
  after(() => b.close());

  const contents = async () =>
    Promise.all(
      ['cohort', 'ledger_entry', 'record', 'place', 'write_receipt', 'plan_change', 'plant', 'person'].map(
        async (t) => `${t} ${(await b.db(t).count({ n: '*' }).first())!.n}`,
      ),
    );

  it('forty malformed requests: each a 4xx that names field and reason, nothing written', async () => {
    const before = await contents();
    const cohort = (more: object) => ['POST', '/cohorts', { ...good, ...more }] as const;
    const record = (more: object) =>
      ['POST', '/records', { id: id(), cohortId: real, stepKey: LOOK, on: '2037-03-09', ...more }] as const;
    const entry = (more: object) =>
      [
        'POST',
        `/cohorts/${real}/ledger`,
        { id: id(), type: 'lost', on: '2037-03-09', count: 1, ...more },
      ] as const;
    const loss = (more: object) =>
      record({ losses: [{ id: id(), kind: 'lost', count: 1, cause: 'frost', ...more }] });
    const bad: (readonly [string, string, unknown, string?])[] = [
      ['POST', '/cohorts', '{"id": ', 'body'],
      ['POST', '/cohorts', '[]', 'body'],
      ['POST', '/cohorts', 'null', 'body'],
      ['POST', '/cohorts', {}, 'code'],
      [...cohort({ id: 'not-a-uuid' }), 'id'],
      [...cohort({ code: 'lower case' }), 'code'],
      [...cohort({ code: 5 }), 'code'],
      [...cohort({ code: 'HB-36' }), 'code'],
      [...cohort({ taxonId: 'quercus-imaginaria' }), 'taxonId'],
      [...cohort({ programmeId: '__proto__' }), 'programmeId'],
      [...cohort({ placeId: id() })],
      [...cohort({ container: 'bucket' }), 'container'],
      [...cohort({ started: 'yesterday' }), 'started'],
      [...cohort({ started: '2037-02-30' }), 'started'],
      [...cohort({ started: '2040-01-01' }), 'started'],
      [...cohort({ count: 0 }), 'count'],
      [...cohort({ count: -3 }), 'count'],
      [...cohort({ count: 1.5 }), 'count'],
      [...cohort({ count: '120' }), 'count'],
      [...cohort({ count: 1e12 }), 'count'],
      [...cohort({ goalCaliper: 'thick' }), 'goalCaliper'],
      [...cohort({ note: 'a\u0000b' }), 'note'],
      [...cohort({ note: '\ud800' }), 'note'],
      [...cohort({ note: 'x'.repeat(3000) }), 'note'],
      [...cohort({ standsAt: 'nowhere' }), 'standsAt'],
      [...cohort({ parentId: id() })],
      [...cohort({ admin: true }), 'admin'],
      [...cohort({ schools: { insults: 'third way' } }), 'schools'],
      [...cohort({ schools: ['one'] }), 'schools'],
      [...record({ cohortId: id() })],
      [...record({ stepKey: 'nothing' }), 'stepKey'],
      [...record({ stepKey: 'roots-2' }), 'stepKey'],
      [...record({ on: '2037-03-10' }), 'on'],
      [...record({ on: '2030-01-01' }), 'on'],
      [...record({ done: 5000 }), 'done'],
      [...record({ details: { sizes: { calipers: [3, -1] } } }), 'details.sizes.calipers[1]'],
      [...record({ details: { looks: { vigour: 9 } } }), 'details.looks.vigour'],
      [...record({ minutes: 'long' }), 'minutes'],
      [...loss({ count: 100_000 }), 'count'],
      [...loss({ cause: '' }), 'losses[0].cause'],
      [...loss({ kind: 'vanished' }), 'losses[0].kind'],
      [...entry({ count: 9999 }), 'count'],
      [...entry({ type: 'started' }), 'type'],
      [...entry({ on: '2020-01-01', count: 3 }), 'count'],
      ['POST', `/ledger/${id()}/reverse`, { id: id() }],
      ['POST', '/ledger/1;drop table cohort/reverse', { id: id() }, 'id'],
      [
        'POST',
        `/cohorts/${real}/split`,
        { id: id(), newId: id(), newCode: 'X-1', placeId: good.placeId, count: 5000 },
        'count',
      ],
      [
        'POST',
        '/put-offs',
        { id: id(), cohortId: real, stepKey: LOOK, until: '2037-03-09', reason: 'x' },
        'until',
      ],
      ...more(real, good.placeId),
      ['PUT', `/cohorts/${real}`, { id: id(), version: 0, code: 'A-1', placeId: good.placeId }, 'version'],
      ['GET', '/cohorts/123', undefined, 'id'],
      ['GET', `/places/${good.placeId}/season?year=now`, undefined, 'year'],
      ['POST', '/calc/degree-days', { base: 5, days: [{ tmin: 9, tmax: 2 }] }, 'days[0].tmax'],
    ];
    expect(bad.length).to.be.at.least(40);
    const wrong: string[] = [];
    for (const [method, url, body, field] of bad) {
      const r = await grower.send(method, encodeURI(`/api${url}`), body);
      const p = r.json<Problem>();
      const named = field === undefined || p.errors?.some((e) => e.field === field && e.reason.length > 0);
      const typed = String(r.headers['content-type']).includes('application/problem+json');
      if (!typed || r.statusCode < 400 || r.statusCode >= 500 || !p.detail || !named)
        wrong.push(`${method} ${url} ${JSON.stringify(body)?.slice(0, 200)}: ${r.statusCode} ${r.body}`);
    }
    expect(wrong).to.deep.equal([]);
    expect(await contents()).to.deep.equal(before);
  });

  it('twenty malformed files: faults line by line, good lines kept apart, nothing written unconfirmed', async () => {
    const before = await contents();
    const line = (code: string, change: (cells: string[]) => string[] = (c) => c) =>
      change(`${code},${GOOD}`.split(',')).join(',');
    const put = (i: number, v: string) => (c: string[]) => c.map((x, j) => (j === i ? v : x));
    const bad: [csv: string, fault: RegExp][] = [
      ['', /csv is missing|Missing columns/],
      ['just words', /Missing columns: code/],
      [HEAD, /No lines/],
      ['code;taxon;count\nA;B;3', /Missing columns/],
      [HEAD.replace('taxon', 'species') + line('X-1'), /Missing column: taxon/],
      [HEAD + line(''), /code is missing/],
      [HEAD + line('bad code'), /code is 2 to 16/],
      [HEAD + line('HB-36'), /code is taken/],
      [HEAD + line('X-1', put(1, 'Acer imaginarium')), /taxon is not in the library/],
      [HEAD + line('X-1', put(2, 'magic')), /programme is not in the library/],
      [HEAD + line('X-1', put(3, 'the moon')), /place is not a place of this nursery/],
      [HEAD + line('X-1', put(4, 'bucket')), /container is not in the library/],
      [HEAD + line('X-1', put(5, 'soon')), /started is not a date/],
      [HEAD + line('X-1', put(6, 'many')), /count is not a number/],
      [HEAD + line('X-1', put(6, '0')), /count is below 1/],
      [HEAD + line('X-1', put(6, '')), /count is missing/],
      [HEAD + line('X-1', put(7, '9999')), /goal_caliper_mm is above/],
      [HEAD + line('X-1', put(8, 'a\u0001b')), /note holds letters/],
      [`${HEAD}X-1,"Acer campestre,seed-broadleaf`, /line|taxon|Quotes|Quoted/i],
      [`${HEAD}X-1,Acer campestre\n`, /line Too few fields/],
      [HEAD + `${line('X-1')},extra,cells`, /line Too many fields/],
      [HEAD + line('X-1') + '\n' + line('X-1'), /code is taken/],
    ];
    expect(bad.length).to.be.at.least(20);
    for (const [csv, fault] of bad) {
      const r = await grower.post('/files/cohorts', { id: id(), importId: id(), csv, confirm: false });
      expect(r.statusCode, csv).to.be.below(500);
      if (r.statusCode >= 400) {
        expect(r.json<Problem>().detail, csv).to.match(fault);
        continue;
      }
      const report = r.json<ImportReport>();
      const told = [
        ...report.faults,
        ...report.lines.flatMap((l) => l.faults.map((f) => `${f.field} ${f.reason}`)),
      ];
      expect(told.join('; '), csv).to.match(fault);
    }
    expect(await contents()).to.deep.equal(before);
  });

  it('writes the good lines of a mixed file once confirmed, once, and reads its own register back', async () => {
    const csv = `${HEAD}M-1,${GOOD}one\nM-2,Nothing,${GOOD}\nM-3,${GOOD}"comma, ""quote"" and =SUM(A1)"\n`;
    const b1 = { id: id(), importId: id(), csv, confirm: true };
    const r = (await grower.post('/files/cohorts', b1)).json<ImportReport>();
    expect([r.good, r.bad, r.written]).to.deep.equal([2, 1, 2]);
    expect(r.lines[1].line).to.equal(3);
    await grower.post('/files/cohorts', b1);
    expect((await b.db('cohort').whereIn('code', ['M-1', 'M-2', 'M-3'])).length).to.equal(2);
    const out = (await grower.send('GET', '/api/files/cohorts.csv')).body;
    expect(out).to.include('"comma, ""quote"" and =SUM(A1)"');
    const renamed = out
      .split('\r\n')
      .map((l, i) => (i === 0 ? l : `Z${l}`))
      .slice(0, 4)
      .join('\r\n');
    const back = (
      await grower.post('/files/cohorts', { id: id(), importId: id(), csv: renamed, confirm: false })
    ).json<ImportReport>();
    expect([back.good, back.bad], JSON.stringify(back.lines)).to.deep.equal([3, 0]);
  });
});
