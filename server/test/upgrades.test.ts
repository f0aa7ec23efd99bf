import { expect } from 'chai';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { CohortCourse } from '@gonimos/contract/course';
import type { RecordRow } from '@gonimos/contract/records';
import { fold } from '@gonimos/core/ledger';
import { migrate, openDatabase, type Db } from '../src/db/index.ts';
import { readEntries } from '../src/ledger/store.ts';
import { bench, freshDatabase, id, must } from './harness.ts';

const MIGRATIONS = new URL('../src/db/migrations/', import.meta.url);
const DATABASES = new URL('databases/', import.meta.url);
/** What was released stays as it is: mend with a new migration, and put its hash here when it is released. */
const RELEASED: Record<string, string> = {
  '001-ground.ts': 'e29efbad4b9b72b69775ad58d9a5af8194432a1f1d4ed99c06526a02d04f9c65',
  '002-ledger.ts': 'cdf982daddf37124747317dc2f08b86795fbef14e31ac9b7c6c4cff1b2ab8f0a',
  '003-schedule.ts': '692646517cb9ecbce4ad0179bc35603c15a923b5d9af3dfd65721223e51b1a6a',
  '004-propagation.ts': '3717b871c649b46f5ab434ec983e14021edb38a6d8dc873a93ef4272fe7f2d1d',
  '005-any-climate.ts': 'c0f0a76a27e7e48b4b5f2d1e5248cf381519439a3e01ce42f95cbfbbdb063d45',
  '006-one-schema.ts': '3c03ce1c4685cc1a09118839e2cc434494a6043ec3d90f78b96395b8e09a2e3b',
  '007-plan-due.ts': '125166824504a10f07cc175805eea9c5dcd2e609c59b7194fb459f3b6193905b',
  '008-people.ts': '4de855615044dddac1948ead879a66e542be743bd6f2d237f7d3b114f35ed4ef',
  '009-any-order.ts': '59f8e23a192acbd25e5c9bd34cc2cdd46903dabc6f0caab7b1c838bee8739799',
  '010-details.ts': 'fdaff54dd2327841afae0deb5514f4ee9ab5689a6689dedcd51fad2667d0da71',
  '011-plan-digest.ts': '1edeaec409cd13d518bc467c387a217aca85f597d632f16a146c7f702cef597f',
  '012-own-library.ts': '6376e1e5c40ab9715893d9426deaf8fc5addb2e504f0817ed9a343f2b1cecd00',
  '013-drift.ts': 'af21b6eeb5944f00717ff41f1178624acf9c9d5fe53593ce7ad43da2de2229d2',
  '014-missed.ts': '7bdd208fe50dd2db96581b7a87c16dc5813f413ff0dbf105d3adbc8356129244',
  '015-held.ts': 'c5364a53d5cd51ce597a78a49bcee96796eb2c47ea3414f2acc119d7423ca566',
  '016-units.ts': '734ef698bdf6b98874995ef649b3fd87ec68b1db08c8d69e2f1840b982327049',
  '017-routine.ts': '6ab63abf7975be83ad52338db6857464c3b4d4ffcb9a6a62cb20825f77d4731a',
  '018-plan-kept.ts': '0c3af117ea6462b22d719891057d63ef0a6a6998132a797d2280ae5b03e8a355',
  '019-root-records.ts': '876bca83a100b6d6bb17ed0306b9eeaaf746f4a55322bf0c173a002c4b5b9155',
  '020-wants-on.ts': 'c539c1fd7aa210bb1786fd34bd438ccb9187a1be568717ab426a07bd5f9c1844',
  '021-stem-records.ts': '1881dca93260d67b4ec0d008f89ea183547afb57ca6558f5194cc82a15759cd6',
  '022-potting-shed.ts': '37313f1a49a0a905ffb82833f7c6279f82a0a72fc31da8e49918e54a7982415a',
  '023-own-containers.ts': '74f922d1607bca235e03b3f4acde2ba001b7d645da89f938d97a495435566dc1',
  '024-batches.ts': 'c8444d605c409ec4e1028d285b8ee45f4294476bbd3e8d19e014a70ad49aea6c',
  '025-groups.ts': 'bb18981109731923c0abdea444e8e9594f2aeaead9ed030167078ea2cb57c856',
  '026-step-wants.ts': '249e314868e14a7663e9b9be013f30c82471badb7261b49539b026f78838d84b',
  '027-drawing-changed.ts': '3033c9866814027ee54d0134f16913cc425a413a20d4f63b9b4f1698df0b27e7',
  '028-joined.ts': 'd2813d1f43093b485f96321d241e791d572924a747113c54c86a6f6c39869b10',
  '029-eaten.ts': '7824e2ff6d1b57a81ebc2576f4862de5a05e6ca6ab3481fed4240de5e0015a6a',
  '030-light-plans.ts': '48d2a81214e391c1830fd8bef7571a16b2b34ad69fe611a21933ac965287452f',
  '031-any-order-again.ts': '68f3177c40803e6c07c00bbd93eda009df3a0d2cc7b5726d11f356ab6a1d5ffe',
};

/** Everything of a schema that can differ, in words; the order of columns is no difference. */
async function schemaOf(db: Db): Promise<string[]> {
  const { rows } = await db.raw<{ rows: { said: string }[] }>(`
    SELECT format('column %s.%s %s %s %s', table_name, column_name, udt_name, is_nullable, column_default) AS said
      FROM information_schema.columns WHERE table_schema = 'public'
    UNION ALL SELECT 'index ' || indexdef FROM pg_indexes WHERE schemaname = 'public'
    UNION ALL SELECT format('constraint %s.%s %s', conrelid::regclass, conname, pg_get_constraintdef(oid))
      FROM pg_constraint WHERE connamespace = 'public'::regnamespace
    UNION ALL SELECT 'trigger ' || pg_get_triggerdef(oid) FROM pg_trigger WHERE NOT tgisinternal
    UNION ALL SELECT 'function ' || pg_get_functiondef(oid) FROM pg_proc
      WHERE pronamespace = 'public'::regnamespace AND prokind = 'f'
    ORDER BY said`);
  return rows.map((r) => r.said);
}

/** A database as an earlier commit left it, with a nursery in it. */
async function databaseOf(commit: string) {
  const made = await freshDatabase();
  // a dump sets up its own connection, which is not used again
  const loader = openDatabase(made.url, 1);
  await loader.raw(readFileSync(new URL(`${commit}.sql`, DATABASES), 'utf8').replaceAll('?', '\\?'));
  await loader.destroy();
  return made;
}

describe('databases of earlier commits', () => {
  it('migrations that were released are never edited', () => {
    const now = readdirSync(MIGRATIONS)
      .filter((f) => /^\d/.test(f))
      .map((f) => [
        f,
        createHash('sha256')
          .update(readFileSync(new URL(f, MIGRATIONS)))
          .digest('hex'),
      ]);
    expect(Object.fromEntries(now)).to.deep.equal(RELEASED);
  });

  it('everything refers in a way that can wait for the end of a transaction, as reading back needs it', async () => {
    const made = await freshDatabase();
    await migrate(made.url);
    const db = openDatabase(made.url, 1);
    const { rows } =
      await db.raw(`SELECT conrelid::regclass::text || '.' || conname AS name FROM pg_constraint
      WHERE contype = 'f' AND NOT condeferrable AND connamespace = 'public'::regnamespace ORDER BY 1`);
    await db.destroy();
    await made.drop();
    expect(rows.map((r: { name: string }) => r.name)).to.deep.equal([]);
  });

  for (const file of readdirSync(DATABASES)) {
    const commit = file.replace('.sql', '');
    it(`${commit} is brought to the one schema, and takes writes`, async () => {
      const b = await bench({ on: await databaseOf(commit) });
      const fresh = await freshDatabase();
      const anew = openDatabase(fresh.url, 1);
      try {
        await migrate(fresh.url);
        const brought = await schemaOf(b.db);
        const made = await schemaOf(anew);
        expect({
          missing: made.filter((x) => !brought.includes(x)),
          over: brought.filter((x) => !made.includes(x)),
        }).to.deep.equal({ missing: [], over: [] });
        const v = await b.visitor();
        expect((await v.signIn('Ines Tessary', 'a password of the first days')).statusCode).to.equal(200);
        const [row] = await v.get<{ id: string }[]>('/cohorts');
        const before = await v.get<Cohort>(`/cohorts/${row.id}`);
        expect(before.live).to.equal(86);
        const look = { id: id(), cohortId: row.id, stepKey: null, on: '2026-06-02' };
        const details = { sizes: { calipers: [3] } };
        const lost = [{ id: id(), kind: 'lost', count: 6, cause: 'frost' }];
        await must(v.post('/records', { ...look, details, losses: lost }));
        const course = await v.get<CohortCourse>(`/cohorts/${row.id}/course`);
        const next = course.steps.find((s) => s.status === 'planned' && s.ready)!;
        await must(v.post('/records', { ...look, id: id(), stepKey: next.key, on: '2026-07-01' }));
        await must(v.post(`/records/${look.id}/undo`, { id: id() }));
        expect((await v.get<Cohort>(`/cohorts/${row.id}`)).live).to.equal(86);
        expect(fold(await readEntries(b.db, row.id)).live).to.equal(86);
        expect(before.rings).to.have.property('mm');
        // what was told before there were details is found in them
        const told = (await v.get<RecordRow[]>(`/cohorts/${row.id}/records`)).find(
          (r) => r.note === 'A look.',
        )!;
        expect(told.details.sizes).to.deep.equal({
          calipers: [2, 2.5],
          heights: [],
          caliper: 2.25,
          height: null,
        });
        expect(told.details.looks).to.include({ vigour: 3, again: null });
      } finally {
        await anew.destroy();
        await fresh.drop();
        await b.close();
      }
    });
  }

  it('all that a record could tell in columns of its own is told in its details', async () => {
    const made = await databaseOf('f0e0f5d');
    const old = openDatabase(made.url, 1);
    const { id: cohortId, placeId: place } = (await old('cohort').first('id', 'placeId'))!;
    await old<Record<string, unknown>>('record').insert({
      id: id(),
      cohort_id: cohortId,
      kind: 'visit',
      on_date: '2026-06-03',
      note: 'Everything at once.',
      found: ['rot'],
      decision: 'step-back',
      causes: JSON.stringify([{ id: 'wet' }]),
      check_on: '2027-05-01',
      taxon_id: 'acer-rubrum',
      taxon_before: 'acer-campestre',
      container: 'pot-9',
      container_before: 'seed-flat',
      place_id: place,
      place_before: place,
      sure: 0.8,
      odds: 0.7,
      alive: 3,
      alive_of: 4,
      buds_looked: 9,
      buds_ready: 2,
      overrides: 'exposure',
      again: 'callus only',
      rooted: 5,
      batches: JSON.stringify([{ name: 'A', rooted: 5, callus: 1, dead: 0 }]),
      from_cells: true,
      low_growth: false,
    });
    await old.destroy();
    const b = await bench({ on: made });
    const { details } = (await b.db('record').where({ note: 'Everything at once.' }).first('details'))!;
    await b.close();
    expect(details).to.deep.equal({
      potting: { container: 'pot-9', before: 'seed-flat' },
      standing: { placeId: place, before: place },
      survival: { sure: 0.8, odds: 0.7, alive: 3, of: 4 },
      looks: { vigour: null, lowGrowth: false, again: 'callus only', buds: { looked: 9, ready: 2 } },
      cuttings: { rooted: 5, batches: [{ name: 'A', rooted: 5, callus: 1, dead: 0 }] },
      trays: { fromCells: true },
      visit: {
        found: ['rot'],
        decision: 'step-back',
        causes: [{ id: 'wet' }],
        checkOn: '2027-05-01',
        taxonId: 'acer-rubrum',
        taxonBefore: 'acer-campestre',
      },
      move: { overrides: 'exposure' },
    });
  });
});
