import { OWN_LIBRARY } from '@gonimos/contract/headers';
import type { OwnLibrary } from '@gonimos/contract/own';
import type { Problem } from '@gonimos/contract/problem';
import type { Session } from '@gonimos/contract/people';
import { holdOwn } from '@gonimos/core/library';
import { whenAtRest } from './at-rest';
import { inUnits } from './units';

/** An answer that is no success, with what to tell the person. */
export class Failure extends Error {
  readonly problem: Problem | null;
  constructor(problem: Problem | null, message: string) {
    super(message);
    this.problem = problem;
  }
  get status(): number {
    return this.problem?.status ?? 0;
  }
}

/** A field of a request as people call it: "details.potting.container" is the container, "placeId" the place. */
export const fieldWords = (field: string): string => {
  const last = field
    .replace(/\[\d+\]/g, '')
    .split('.')
    .at(-1)!;
  const words = last.replace(/Id$/, '').replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/** What a problem says, its fields in words. */
export function problemWords({ detail, errors = [] }: Problem): string {
  const [first] = errors;
  const named = first && detail.startsWith(`${first.field} `);
  return inUnits(named ? fieldWords(first.field) + detail.slice(first.field.length) : detail);
}

let csrf = '';
export const keepToken = (session: Session): Session => {
  csrf = session.csrf;
  return session;
};

/** Answers that were asked for before the page that reads them was there; none of them outlives a write. */
const ahead = new Map<string, Promise<Response>>();
/** A page that is not there after so long was left before it came, ms. */
const AHEAD_MS = 5000;

async function send(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Response> {
  if (method !== 'GET') ahead.clear();
  const json = body !== undefined && !(body instanceof FormData);
  try {
    return await fetch(`/api${path}`, {
      method,
      // answers are kept by the queries alone; the browser's cache would make like requests wait for each other
      cache: 'no-store',
      headers: {
        ...headers,
        ...(json ? { 'content-type': 'application/json' } : {}),
        ...(method === 'GET' ? {} : { 'x-csrf-token': csrf }),
      },
      ...(body === undefined ? {} : { body: json ? JSON.stringify(body) : body }),
    });
  } catch {
    throw new Failure(null, 'No answer from the nursery’s server. What you typed is kept: try again.');
  }
}

/** Times a question is put again by itself when the server says it may be. */
const AGAIN = 3;
const LONGEST_WAIT_S = 10;

/** Sends; where the server is busy, or its database away, waits as long as it says and sends the same again. */
async function sendPatiently(
  method: string,
  path: string,
  body?: unknown,
  headers?: Record<string, string>,
): Promise<Response> {
  for (let again = 0; ; again++) {
    const response = await send(method, path, body, headers);
    const after = Number(response.headers.get('retry-after'));
    if (response.status !== 503 || again === AGAIN || !(after > 0 && after <= LONGEST_WAIT_S))
      return response;
    // those who met once must not meet again
    await new Promise((resume) => setTimeout(resume, after * 1000 * (0.75 + Math.random() / 2)));
  }
}

/** How far the nursery's own library has come that is in force on this page. */
let inForce = '0';
let asking: Promise<void> | null = null;

async function askOwnLibrary(): Promise<void> {
  const response = await send('GET', '/own-library');
  if (!response.ok) return;
  const { upTo, own } = (await response.json()) as OwnLibrary;
  holdOwn(own);
  inForce = upTo;
}

/** Puts operations and taxa of the nursery's own in force before an answer that may name them is used. */
async function knowOwnLibrary(response: Response): Promise<void> {
  const now = response.headers.get(OWN_LIBRARY);
  if (now === null || now === inForce) return;
  asking ??= askOwnLibrary().finally(() => (asking = null));
  await asking;
}

/** The answer to a request that succeeded; else throws a Failure that can be shown as it is. */
async function answered(
  method: 'GET' | 'POST' | 'PUT',
  path: string,
  body?: unknown,
  headers?: Record<string, string>,
): Promise<Response> {
  const response = await sendPatiently(method, path, body, headers);
  await knowOwnLibrary(response);
  if (response.ok || response.status === 304) return response;
  const problem = (await response.json().catch(() => null)) as Problem | null;
  throw new Failure(problem, (problem && problemWords(problem)) ?? `The server answered ${response.status}.`);
}

/** Calls the server; throws a Failure that can be shown as it is. */
export async function call<T>(method: 'GET' | 'POST' | 'PUT', path: string, body?: unknown): Promise<T> {
  const response = await answered(method, path, body);
  return (response.status === 204 ? undefined : await response.json()) as T;
}

export const get = <T>(path: string): Promise<T> => call<T>('GET', path);
/** For queries of thousands of lines: comparing an answer with the one before it would hold up the page. */
export const NOT_COMPARED = false;

/** Answers as they came last, with what the server calls them: those of the screens one goes to and fro between. */
const held = new Map<string, { tag: string; value: unknown }>();
const MOST_HELD = 12;

function hold(path: string, tag: string, value: unknown): void {
  held.delete(path);
  held.set(path, { tag, value });
  if (held.size > MOST_HELD) held.delete(held.keys().next().value!);
}

/**
 * Sends a question with what is held of it: the server answers 304 where it knows nothing newer. What is held is
 * being shown meanwhile, so the question waits until the page is at rest.
 */
async function askAnew(path: string): Promise<Response> {
  const before = held.get(path);
  if (!before) return answered('GET', path);
  await new Promise<void>((resume) => whenAtRest(resume));
  return answered('GET', path, undefined, { 'if-none-match': before.tag });
}

/** Asks for a long answer while the code of the page that reads it is still on its way. */
export function askAhead(path: string): void {
  const answer = askAnew(path);
  // who takes it is told what went wrong
  answer.catch(() => {});
  ahead.set(path, answer);
  setTimeout(() => ahead.get(path) === answer && ahead.delete(path), AHEAD_MS);
}

/**
 * As `get`, for answers that cost the server much: what has not changed since it was asked for last is neither
 * worked out nor sent again. `read` makes of an answer what is held of it.
 */
export async function getHeld<T>(
  path: string,
  read: (response: Response) => Promise<T> = (response) => response.json() as Promise<T>,
): Promise<T> {
  const asked = ahead.get(path) ?? askAnew(path);
  ahead.delete(path);
  const response = await asked;
  const before = held.get(path);
  if (response.status === 304 && before) {
    hold(path, before.tag, before.value);
    return before.value as T;
  }
  // what it was asked against has been let go of meanwhile
  if (response.status === 304) return read(await answered('GET', path));
  const value = await read(response);
  const tag = response.headers.get('etag');
  if (tag) hold(path, tag, value);
  return value;
}

/** Sends one file as a form. */
export function sendFile<T>(path: string, file: File): Promise<T> {
  const form = new FormData();
  form.append('picture', file);
  return call<T>('POST', path, form);
}
export const newId = (): string => crypto.randomUUID();
