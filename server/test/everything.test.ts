import { expect } from 'chai';
import { strFromU8, unzipSync } from 'fflate';
import sharp from 'sharp';
import { fold } from '@gonimos/core/ledger';
import { operation } from '@gonimos/core/operations';
import { editOfOperation } from '@gonimos/core/library';
import { migrate, openDatabase } from '../src/db/index.ts';
import { readBack } from '../src/everything/read-back.ts';
import { readEntries } from '../src/ledger/store.ts';
import { insertPicture } from '../src/pictures/store.ts';
import { bench, freshDatabase, id, must, Visitor } from './harness.ts';

describe('everything out, and back', () => {
  it('reads back into an empty nursery with the same counts, goes on from there, and carries no secret', async () => {
    const b = await bench();
    const made = await freshDatabase();
    await migrate(made.url);
    const back = openDatabase(made.url, 4);
    try {
      const owner = await b.visitor('owner');
      const { id: cohortId } = (await b.db('cohort').where('live', '>', 20).first('id'))!;
      const pixel = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#7a5' } })
        .jpeg()
        .toBuffer();
      await insertPicture(b.db, {
        id: id(),
        cohortId,
        recordId: null,
        on: '2037-03-01',
        width: 8,
        height: 8,
        bytes: pixel,
        thumb: pixel,
        personId: (await b.db('person').first('id'))!.id,
      });
      // a kind of work of one's own goes along; its table comes before that of people
      const edit = { ...editOfOperation(operation('wire')), minutes: 21 };
      await must(owner.post('/own-operations', { id: id(), ownId: 'wire', like: 'wire', basedOn: 0, edit }));
      const answer = await owner.send('GET', '/api/everything.zip');
      expect([answer.statusCode, answer.headers['content-type']]).to.deep.equal([200, 'application/zip']);
      const files = unzipSync(answer.rawPayload);
      const text = strFromU8(files['README.txt']) + strFromU8(files['everything.json']);
      expect(text)
        .to.match(/ledger_entry/)
        .and.not.match(/argon2|session-secret/);
      expect(strFromU8(files['tables/cohort.csv']).split('\r\n')[0]).to.match(/^id,code,/);
      const counts = await readBack(back, answer.rawPayload);
      for (const [table, n] of Object.entries(counts))
        expect(Number((await b.db(table).count({ n: '*' }).first())!.n), table).to.equal(n);
      expect(Object.keys(counts).length).to.be.above(25);
      for (const c of await b.db('cohort').select('id', 'live', 'pending')) {
        expect(await back('cohort').where({ id: c.id }).first('live', 'pending')).to.deep.equal({
          live: c.live,
          pending: c.pending,
        });
        expect(fold(await readEntries(back, c.id)).live).to.equal(c.live);
      }
      expect((await back('picture').first('bytes'))!.bytes.equals(pixel)).to.equal(true);
      // it is a nursery like any other: what is written next comes after what was
      const again = await bench({ on: { ...made, drop: () => Promise.resolve() } });
      const v = await new Visitor(again.app).enter('grower');
      const lost = { id: id(), type: 'lost', on: '2037-03-05', count: 1, cause: 'frost' };
      await must(v.post(`/cohorts/${cohortId}/ledger`, lost));
      await again.close();
      // a nursery that is there is not touched
      const refused = await readBack(b.db, answer.rawPayload).catch((e: Error) => e.message);
      expect(refused).to.match(/there is a nursery/);
      expect((await (await b.visitor('grower')).send('GET', '/api/everything.zip')).statusCode).to.equal(403);
    } finally {
      await back.destroy();
      await b.close();
      await made.drop();
    }
  }).timeout(120_000);
});
