import { expect } from 'chai';
import type { CohortRow } from '@gonimos/contract/cohorts';
import type { Problem } from '@gonimos/contract/problem';
import type { Trays } from '@gonimos/contract/trays';
import { bench, id, PROPAGATION_TABLES, seedCohort, type Bench, type Visitor } from './harness.ts';

describe('bad input to propagation', () => {
  let b: Bench;
  let v: Visitor;
  const ids: Record<string, string> = {};
  before(async () => {
    b = await bench();
    v = await b.visitor('grower');
    for (const c of await v.get<CohortRow[]>('/cohorts')) ids[c.code] = c.id;
  });
  after(() => b.close());

  const contents = async () =>
    Promise.all(PROPAGATION_TABLES.map(async (t) => `${t} ${(await b.db(t).count('* as n').first())!.n}`));

  it('sixty malformed requests: each a 4xx that names field and reason, nothing written', async () => {
    const before = await contents();
    const places = await v.get<{ id: string }[]>('/places');
    const { trays } = await v.get<Trays>(`/cohorts/${ids['OJ-37']}/trays`);
    const tray = trays[0].id;
    const made = trays[0].marks[0].id;
    const good = await seedCohort(v);
    const want = {
      taxonId: 'acer-campestre',
      programmeId: 'seed-broadleaf',
      placeId: places[0].id,
      stage: 'corrected',
      wanted: 40,
      byYear: 2039,
      confidence: 0.9,
      most: 600,
      cost: { centsEach: 5, wage: 1500 },
    };
    const goal = (more: object) => ['POST', '/goals', { ...want, id: id(), ...more }] as const;
    const start = (more: object) => ['POST', '/calc/start-numbers', { ...want, ...more }] as const;
    const cohort = (more: object) => ['POST', '/cohorts', { ...good, ...more }] as const;
    const lot = (more: object) =>
      [
        'POST',
        '/seed-lots',
        {
          id: id(),
          name: 'Bag',
          taxonId: 'acer-campestre',
          source: 'here',
          harvested: '2036-10',
          seeds: 10,
          storage: 'warm',
          ...more,
        },
      ] as const;
    const marks = (cell: number, was: string, now: string, more = {}) =>
      [
        'POST',
        `/trays/${tray}/marks`,
        { id: id(), on: '2037-03-09', marks: [{ cell, was, now }], ...more },
      ] as const;
    const newTray = (more: object) =>
      [
        'POST',
        `/cohorts/${ids['HB-37']}/trays`,
        { id: id(), name: 'Z', rows: 2, columns: 2, ...more },
      ] as const;
    const check = (more: object) =>
      [
        'POST',
        '/checks',
        {
          id: id(),
          cohortId: ids['OJ-36'],
          stepKey: 'check',
          on: '2037-03-09',
          batches: [{ rooted: 1, callus: 1, dead: 1 }],
          ...more,
        },
      ] as const;
    const ring = {
      id: id(),
      code: 'LX-1',
      stem: 'leader',
      height: 900,
      diameter: 20,
      how: 'ring',
      branches: 2,
      keeps: 2,
    };
    const layers = (more: object) =>
      [
        'POST',
        `/parents/${ids['LG-19']}/layers`,
        { id: id(), on: '2037-03-09', layers: [{ ...ring, ...more }] },
      ] as const;
    const seen = (code: string, more: object) =>
      ['POST', `/layers/${ids[code]}/events`, { id: id(), on: '2037-03-09', ...more }] as const;
    const on = (code: string, what: string, more: object) =>
      ['POST', `/cohorts/${ids[code]}/${what}`, { id: id(), ...more }] as const;
    const bad: (readonly [string, string, unknown, string?])[] = [
      [...start({ wanted: 0 }), 'wanted'],
      [...start({ confidence: 1 }), 'confidence'],
      [...start({ byYear: 'soon' }), 'byYear'],
      [...start({ stage: 'grown up' }), 'stage'],
      [...start({ placeId: id() }), 'placeId'],
      [...start({ most: 1e9 }), 'most'],
      [...start({ cost: { centsEach: -1, wage: 1 } }), 'cost.centsEach'],
      [...goal({ stage: 'rooted' }), 'stage'],
      [...goal({ programmeId: 'wishes' }), 'programmeId'],
      ['PUT', `/goals/${id()}/close`, { version: 1 }],
      [...cohort({ goalId: id() }), 'goalId'],
      [...cohort({ parentId: ids['HB-36'] }), 'parentId'],
      [...cohort({ hostId: ids['HB-37'] }), 'hostId'],
      [...cohort({ programmeId: 'bought-liner', origin: { source: '' } }), 'origin.source'],
      [...cohort({ programmeId: 'bought-liner', origin: { source: 'x', age: -2 } }), 'origin.age'],
      [...lot({ seeds: 0 }), 'seeds'],
      [...lot({ harvested: 'once' }), 'harvested'],
      [...lot({ harvested: '2038' }), 'harvested'],
      [...lot({ storage: 'under the bed' }), 'storage'],
      [...lot({ name: 'Long hedge 36' }), 'name'],
      [...lot({ parentId: ids['HB-36'] }), 'parentId'],
      ['POST', `/seed-lots/${id()}/events`, { id: id(), kind: 'to cold', on: '2037-03-01' }],
      [...marks(0, 'sown', 'eaten', { on: '2037-03-10' }), 'on'],
      [...marks(0, 'sown', 'eaten', { on: '2036-03-10' }), 'on'],
      [...marks(4000, 'sown', 'up'), 'marks[0].cell'],
      [...marks(105, 'sown', 'up'), 'marks'],
      [...marks(0, 'sown', 'flying'), 'marks[0].now'],
      [...marks(0, 'sown', 'up', { marks: [] }), 'marks'],
      [
        'POST',
        `/trays/${id()}/marks`,
        { id: id(), on: '2037-03-09', marks: [{ cell: 0, was: 'sown', now: 'up' }] },
      ],
      ['POST', `/trays/${tray}/marks/${id()}/undo`, { id: id() }],
      ['POST', `/trays/${tray}/marks/${made}/undo`, {}, 'id'],
      [...newTray({ rows: 0 }), 'rows'],
      [...newTray({ rows: 60, columns: 60 })],
      [...newTray({ name: 'A' }), 'name'],
      [...newTray({ fill: 5 }), 'fill'],
      [...check({ batches: [] }), 'batches'],
      [...check({ batches: [{ rooted: 500, callus: 0, dead: 0 }] }), 'batches'],
      [...check({ batches: [{ rooted: -1, callus: 0, dead: 0 }] }), 'batches[0].rooted'],
      [...check({ stepKey: 'single' }), 'stepKey'],
      [...check({ cohortId: ids['HB-36'], stepKey: 'roots-2' }), 'stepKey'],
      [...check({ cause: 'bad luck' }), 'cause'],
      [...check({ on: '2038-01-01' }), 'on'],
      [...layers({ diameter: 0 }), 'layers[0].diameter'],
      [...layers({ how: 'glue' }), 'layers[0].how'],
      [...layers({ code: 'HB-36' }), 'code'],
      [...layers({ height: 12.5 }), 'layers[0].height'],
      ['POST', `/parents/${id()}/plan`, { on: '2037-03-09', layers: [] }],
      [...seen('LG-19L1', { kind: 'opened' }), 'kind'],
      [...seen('LG-19L3', { kind: 'looked' }), 'found'],
      [...seen('LG-19L3', { kind: 'looked', found: 'treasure' }), 'found'],
      [...seen('LG-19L3', { kind: 'looked', found: 'few', on: '2036-08-01' }), 'on'],
      [...seen('LG-19L3', { kind: 'severed', found: 'full' }), 'container'],
      [...seen('LG-19L3', { kind: 'severed', found: 'full', container: 'cutting-tray' }), 'container'],
      [...seen('LG-19L3', { kind: 'severed', container: 'basket-25' }), 'found'],
      [...seen('LG-19L3', { kind: 'severed', container: 'basket-25', found: 'full' }), 'placeId'],
      [...seen('HB-36', { kind: 'looked', found: 'few' })],
      [...on('HB-36', 'tallies', { kind: 'mood', on: '2037-03-09', counts: {} }), 'kind'],
      [...on('HB-36', 'tallies', { kind: 'grade', on: '2037-03-09', counts: { Z: 1 } }), 'counts.Z'],
      [...on('HB-36', 'tallies', { kind: 'grade', on: '2037-03-09', counts: { A: 1e5 } }), 'counts'],
      [...on('HB-36', 'merge', { intoId: ids['FM-36'], count: 1 }), 'intoId'],
      [...on('HB-36', 'merge', { intoId: ids['HB-36'], count: 1 }), 'intoId'],
      [...on('HB-36', 'merge', { intoId: ids['HB-33'], count: 9000 }), 'count'],
      [...on('HB-36', 'fuse', { stems: 2, into: 2 })],
      [...on('HB-36', 'identify', { newTag: 'X', reason: 'y' }), 'newTag'],
      [...on('HB-36', 'identify', { newCode: 'HB-33', reason: 'y' }), 'code'],
      [...on('HB-36', 'promote', { newId: id(), newCode: 'HB-33', tag: 'x' }), 'code'],
      [...on('HB-36', 'protections', { kind: 'hope', clearance: 10, from: '2037-03-09' }), 'kind'],
      ['PUT', `/protections/${id()}/end`, { version: 1, ended: '2037-03-09' }],
      [...on('HB-36', 'ledger', { type: 'culled', on: '2037-03-09', count: 1, damageId: id() }), 'damageId'],
      ['GET', '/comparison?taxonId=acer-campestre&by=mood', undefined, 'by'],
      ['GET', '/comparison?by=year', undefined, 'taxonId'],
    ];
    expect(bad.length).to.be.at.least(60);
    const wrong: string[] = [];
    for (const [method, url, body, field] of bad) {
      const r = await v.send(method, `/api${url}`, body);
      const p = r.json<Problem>();
      const named = field === undefined || p.errors?.some((e) => e.field === field && e.reason.length > 0);
      if (r.statusCode < 400 || r.statusCode >= 500 || !p.detail || !named)
        wrong.push(`${method} ${url} ${JSON.stringify(body)?.slice(0, 220)}: ${r.statusCode} ${r.body}`);
    }
    expect(wrong).to.deep.equal([]);
    expect(await contents()).to.deep.equal(before);
  });

  it('what was marked, told or seen cannot be changed, not even by hand', async () => {
    for (const table of ['tray_mark', 'seed_event', 'layer_event', 'tally', 'identity'])
      for (const sql of [`UPDATE ${table} SET id = id`, `DELETE FROM ${table}`]) {
        const error = await b.db.raw(sql).then(
          () => null,
          (e: { code: string }) => e.code,
        );
        const any = await b.db(table).first('id');
        if (any) expect(error, sql).to.equal('GN001');
      }
  });
});
