import { dayFirst } from './window';
import { BENCH, FRAME, ID, TODAY } from './ids';
import type { Role, Session } from '@gonimos/contract/people';
import type { UnitSystem } from '@gonimos/core/units';
import type { ReactElement } from 'react';

import { cleanup, configure, render, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createMemoryRouter, RouterProvider, useRouteError } from 'react-router';

// waiting here makes the loader take the whole of a test as modules: else what is fetched late, as sheets are, would
// have second copies of its packages
const { keepUnits } = await import('../src/common/units');

// what the page says is enough to see what is wrong with it
configure({
  // sheets are fetched when they are first opened
  asyncUtilTimeout: 8000,
  getElementError: (message) =>
    new Error(
      `${message?.split('\n')[0] ?? ''} On the page: ${(document.body.textContent ?? '').slice(0, 1500)}`,
    ),
});

/** Something a screen sent that is no question. */
export interface Sent {
  method: string;
  path: string;
  body: Record<string, unknown>;
}

/** An answer, or what makes one of what was asked: a path with its search, and the body of a write. */
type Ask = (path: string, body: Record<string, unknown>) => unknown;
type Answer = Ask | object | string | null;

interface How {
  /** answers by path without its search; writes by method and path, 'POST /records' */
  answers?: Record<string, Answer>;
  role?: Role;
  units?: UnitSystem;
  /** false: a nursery of one's own */
  demo?: boolean;
  /** address the page has, and the pattern of it where it asks for its parts */
  at?: string;
  path?: string;
  today?: string;
  /** a part that lies inside of the element, as the parts of a cohort lie inside of its page */
  inside?: ReactElement;
  /** what this tab kept before, by key */
  kept?: Record<string, unknown>;
}

/** The server says no: what a screen gets for it. */
export class Refused {
  readonly status: number;
  readonly problem: object;
  constructor(status: number, detail: string, errors: { field: string; reason: string }[] = []) {
    this.status = status;
    this.problem = { type: 'about:blank', code: 'bad-input', title: 'No', status, detail, errors };
  }
}

/** What broke a page is read on it, and so in what a failed test says. */
const Broke = () => <p>This page broke: {String(useRouteError())}</p>;

const PERSON = { id: 'p', name: 'Ada of the bank', version: 1 };

/** The server of one test: it answers what it was given, and keeps what it is sent. */
function serverOf({ answers = {}, role = 'grower', units = 'metric', demo = true, today = TODAY }: How) {
  const sent: Sent[] = [];
  const unknown: string[] = [];
  const session: Session = {
    person: { ...PERSON, role },
    csrf: 'token',
    demo,
    units,
    empty: false,
  };
  const nursery = { name: 'Tessary Bank', today, demo, schools: {} };
  const known: Record<string, Answer> = {
    '/session': session,
    '/nursery': nursery,
    '/places': [
      { id: FRAME, name: 'Cold frame', kind: 'frame' },
      { id: BENCH, name: 'South bench', kind: 'bench' },
    ],
    ...answers,
  };
  const fetch = async (url: string, init: RequestInit = {}): Promise<Response> => {
    const method = init.method ?? 'GET';
    const path = url.replace(/^.*\/api/, '');
    const bare = path.replace(/\?.*$/, '');
    const body = typeof init.body === 'string' ? (JSON.parse(init.body) as Sent['body']) : {};
    if (method !== 'GET') sent.push({ method, path, body });
    const answer = known[method === 'GET' ? bare : `${method} ${bare}`];
    const made: unknown = typeof answer === 'function' ? await (answer as Ask)(path, body) : answer;
    if (made === undefined) unknown.push(`${method} ${path}`);
    const told = made === undefined ? new Refused(404, 'There is no such page.') : made;
    if (told instanceof Refused)
      return new Response(JSON.stringify(told.problem), {
        status: told.status,
        headers: { 'content-type': 'application/problem+json' },
      });
    return new Response(JSON.stringify(told), { status: 200 });
  };
  return { sent, unknown, fetch, session, nursery };
}

/** A part of the interface on a page of its own, with a server that answers what the test says. */
export async function shown(element: ReactElement, how: How = {}) {
  cleanup();
  sessionStorage.clear();
  for (const [key, value] of Object.entries(how.kept ?? {}))
    sessionStorage.setItem(key, JSON.stringify(value));
  localStorage.clear();
  dayFirst();
  const server = serverOf(how);
  globalThis.fetch = server.fetch as typeof globalThis.fetch;
  keepUnits(how.units ?? 'metric');
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } });
  client.setQueryData(['session'], server.session);
  // the frame around every page asks for it first
  client.setQueryData(['nursery'], server.nursery);
  const inside = how.inside ? { children: [{ path: '*', element: how.inside }] } : { path: how.path ?? '*' };
  const router = createMemoryRouter([{ element, errorElement: <Broke />, ...inside }], {
    initialEntries: [how.at ?? '/'],
  });
  const view = render(
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return {
    ...view,
    ...server,
    router,
    user: userEvent.setup({ document: globalThis.document }),
    /** all that can be read, in one line */
    text: () => (document.body.textContent ?? '').replace(/\s+/g, ' ').trim(),
    /** waits until something holds */
    until: (holds: () => void) => waitFor(holds),
  };
}

export { BENCH, FRAME, ID, TODAY, within };
