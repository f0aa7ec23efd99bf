import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { expect } from 'chai';
import { readAgain } from '../src/common/read-again';

/** Answers in the order they are asked, each when it is told to. */
function slow() {
  const asked: ((answer: string) => void)[] = [];
  return { asked, ask: () => new Promise<string>((resolve) => asked.push(resolve)) };
}

describe('what was written is read again', () => {
  it('a first reading that was asked before the write does not stand after it', async () => {
    const client = new QueryClient();
    const { asked, ask } = slow();
    const seen = new QueryObserver(client, { queryKey: ['goals'], queryFn: ask });
    const end = seen.subscribe(() => undefined);
    expect(asked).to.have.length(1);
    const again = readAgain(client);
    await new Promise((r) => setTimeout(r, 5));
    asked[0]('as it was before');
    expect(asked, 'asked anew').to.have.length(2);
    asked[1]('with what was written');
    await again;
    expect(seen.getCurrentResult().data).to.equal('with what was written');
    end();
    client.clear();
  });

  it('who is signed in is left alone, and what nobody shows is asked when it is shown', async () => {
    const client = new QueryClient();
    const session = slow();
    const end = new QueryObserver(client, { queryKey: ['session'], queryFn: session.ask }).subscribe(
      () => undefined,
    );
    session.asked[0]('me');
    client.setQueryData(['cohort', 'a'], 'old');
    await readAgain(client);
    expect(session.asked).to.have.length(1);
    expect(client.getQueryState(['cohort', 'a'])?.isInvalidated).to.equal(true);
    end();
    client.clear();
  });
});
