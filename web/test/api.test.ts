import { expect } from 'chai';
import { askAhead, call, Failure, getHeld, problemWords } from '../src/common/api';

describe('asking the server', () => {
  const real = globalThis.fetch;
  afterEach(() => {
    globalThis.fetch = real;
  });
  /** Answers in turn, and keeps what was sent. */
  const answers = (...list: [status: number, headers: Record<string, string>][]) => {
    const sent: unknown[] = [];
    globalThis.fetch = (_url, init) => {
      sent.push(init?.body);
      const [status, headers] = list[Math.min(sent.length, list.length) - 1];
      const body = JSON.stringify({ status, detail: `answer ${sent.length}` });
      return Promise.resolve(new Response(body, { status, headers }));
    };
    return sent;
  };
  const busy: [number, Record<string, string>] = [503, { 'retry-after': '0.01' }];

  it('sends the same again by itself while the server is busy, and takes the first other answer', async () => {
    const sent = answers(busy, busy, [200, {}]);
    const entry = { id: 'one', count: 3 };
    expect(await call('POST', '/cohorts/x/ledger', entry)).to.include({ detail: 'answer 3' });
    expect(sent).to.deep.equal(Array(3).fill(JSON.stringify(entry)));
  });

  it('gives up after three more tries, and tries nothing again that was not said to be worth it', async () => {
    const failed = async (...list: Parameters<typeof answers>) => {
      const sent = answers(...list);
      const failure = await call('POST', '/records', {}).catch((e: unknown) => e);
      expect(failure).to.be.instanceOf(Failure);
      return [sent.length, (failure as Failure).message];
    };
    expect(await failed(busy)).to.deep.equal([4, 'answer 4']);
    expect(await failed([503, {}])).to.deep.equal([1, 'answer 1']);
    expect(await failed([503, { 'retry-after': '3600' }])).to.deep.equal([1, 'answer 1']);
    expect(await failed([429, { 'retry-after': '0.01' }])).to.deep.equal([1, 'answer 1']);
    expect(await failed([409, {}])).to.deep.equal([1, 'answer 1']);
  });

  it('what was asked for ahead is taken once; after a write it is asked for anew', async () => {
    const sent = answers([200, {}]);
    const read = async () => (await getHeld<{ detail: string }>('/year?weeks=52')).detail;
    askAhead('/year?weeks=52');
    expect(await read()).to.equal('answer 1');
    expect(sent).to.have.length(1);
    expect(await read()).to.equal('answer 2');
    askAhead('/year?weeks=52');
    await call('POST', '/year/clear', {});
    expect(await read()).to.equal('answer 5');
  });

  it('what was asked for ahead and failed is told to who takes it', async () => {
    answers([404, {}]);
    askAhead('/year?weeks=52');
    expect(await getHeld('/year?weeks=52').catch((e: unknown) => e)).to.be.instanceOf(Failure);
  });

  it('what the server has nothing newer of is the answer that was there; a newer one takes its place', async () => {
    const asked: (string | undefined)[] = [];
    const serve = (now: () => { tag: string; value: unknown }) => {
      globalThis.fetch = (_url, init) => {
        const { 'if-none-match': tag } = init!.headers as Record<string, string | undefined>;
        asked.push(tag);
        const { tag: etag, value } = now();
        if (tag === etag) return Promise.resolve(new Response(null, { status: 304, headers: { etag } }));
        return Promise.resolve(new Response(JSON.stringify(value), { headers: { etag } }));
      };
    };
    let state = 1;
    serve(() => ({ tag: `"${state}"`, value: { state } }));
    const first = await getHeld('/beds');
    expect(await getHeld('/beds'), 'the very same').to.equal(first);
    state = 2;
    expect(await getHeld('/beds')).to.deep.equal({ state: 2 });
    askAhead('/beds');
    expect(await getHeld('/beds')).to.deep.equal({ state: 2 });
    expect(asked).to.deep.equal([undefined, '"1"', '"1"', '"2"']);
    // more screens than are held: the first is asked for as if for the first time
    for (let i = 0; i < 12; i++) await getHeld(`/round?most=${i}`);
    asked.length = 0;
    expect(await getHeld('/beds')).to.deep.equal({ state: 2 });
    expect(asked).to.deep.equal([undefined]);
  });

  it('names fields in words: the place, not placeId; and leaves other sentences as they are', () => {
    const told = (detail: string, ...fields: string[]) =>
      problemWords({
        type: 'about:blank',
        code: 'cannot-be-done',
        status: 422,
        title: 'Cannot be done',
        detail,
        errors: fields.map((field) => ({ field, reason: '' })),
      });
    expect(told('placeId is not where its host stands', 'placeId')).to.equal(
      'Place is not where its host stands',
    );
    expect(told('details.emergence.emerged is more than 3', 'details.emergence.emerged')).to.equal(
      'Emerged is more than 3',
    );
    expect(told('weeks[2].key is there twice', 'weeks[2].key')).to.equal('Key is there twice');
    expect(told('goalCaliper is more than 1000 mm', 'goalCaliper')).to.equal(
      'Goal caliper is more than 1000 mm',
    );
    expect(told('The nursery needs at least one owner.')).to.equal('The nursery needs at least one owner.');
    expect(told('The rule ‘exposure’ refuses.', 'placeId')).to.equal('The rule ‘exposure’ refuses.');
  });
});
