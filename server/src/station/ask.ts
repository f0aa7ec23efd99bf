/** Asks an address for its readings as a stranger's: soon or not at all, no further than told, and not too much. */
const TIMEOUT_MS = 4000;
const MOST_BYTES = 500_000;

export async function askStation(url: string): Promise<unknown> {
  const { username, password, ...plain } = withoutSecret(url);
  const secret = username || password ? Buffer.from(`${username}:${password}`).toString('base64') : null;
  const reply = await fetch(plain.href, {
    signal: AbortSignal.timeout(TIMEOUT_MS),
    // an address that sends us elsewhere might send us anywhere in the house
    redirect: 'error',
    headers: { accept: 'application/json', ...(secret ? { authorization: `Basic ${secret}` } : {}) },
  });
  if (!reply.ok || !reply.body) throw new Error(`the station answered ${reply.status}`);
  const parts: Uint8Array[] = [];
  let size = 0;
  for await (const part of reply.body as unknown as AsyncIterable<Uint8Array>) {
    size += part.length;
    if (size > MOST_BYTES) throw new Error(`the station answered more than ${MOST_BYTES / 1000} kB`);
    parts.push(part);
  }
  return JSON.parse(Buffer.concat(parts).toString('utf8'));
}

function withoutSecret(url: string): { href: string; username: string; password: string } {
  const u = new URL(url);
  const username = decodeURIComponent(u.username);
  const password = decodeURIComponent(u.password);
  [u.username, u.password] = ['', ''];
  return { href: u.href, username, password };
}
