import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request as plain } from 'node:http';
import { createServer, request, type Server } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { migrate, openDatabase } from '../src/db/index.ts';
import { freshDatabase, demoDatabase } from './harness.ts';
import { endServer, freePort, serve } from './serve.ts';

const OWNER = {
  name: 'Ines',
  password: 'behind a proxy of ours',
  nursery: 'Tessary Bank',
  latitude: 52,
  longitude: 0,
  elevation: 40,
  timeZone: 'UTC',
  spreadWinter: 4,
  spreadSummer: 3,
  tmin: [1, 1, 2, 4, 7, 10, 12, 12, 10, 7, 4, 2],
  tmax: [7, 7, 10, 13, 17, 20, 22, 22, 19, 14, 10, 7],
};

/** A proxy that ends TLS in front of a server, as one does in production. */
async function tlsProxy(to: number): Promise<{ port: number; close: () => void }> {
  const folder = mkdtempSync(join(tmpdir(), 'gonimos-tls-'));
  const key = join(folder, 'key.pem');
  const cert = join(folder, 'cert.pem');
  const made = ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=localhost'];
  execFileSync('openssl', [...made, '-keyout', key, '-out', cert], { stdio: 'ignore' });
  const server: Server = createServer({ key: readFileSync(key), cert: readFileSync(cert) }, (from, back) => {
    const headers = { ...from.headers, 'x-forwarded-proto': 'https', 'x-forwarded-for': '203.0.113.7' };
    const onward = plain(
      { port: to, host: '127.0.0.1', method: from.method, path: from.url, headers },
      (r) => {
        back.writeHead(r.statusCode!, r.headers);
        r.pipe(back);
      },
    );
    from.pipe(onward);
  });
  rmSync(folder, { recursive: true });
  const port = await freePort();
  await new Promise<void>((go) => server.listen(port, '127.0.0.1', go));
  return { port, close: () => server.close() };
}

/** A browser's part: cookies kept, those marked Secure sent over TLS only. */
class Browser {
  private readonly kept = new Map<string, { value: string; secure: boolean }>();
  csrf = '';
  constructor(
    private readonly port: number,
    private readonly tls: boolean,
  ) {}
  async send(method: string, path: string, body?: unknown): Promise<{ status: number; json: never }> {
    const cookie = [...this.kept].filter(([, c]) => this.tls || !c.secure).map(([n, c]) => `${n}=${c.value}`);
    const headers = {
      'content-type': 'application/json',
      'x-csrf-token': this.csrf,
      ...(cookie.length > 0 ? { cookie: cookie.join('; ') } : {}),
    };
    const to = { host: '127.0.0.1', port: this.port, path: `/api${path}`, method, headers };
    return new Promise((done, failed) => {
      const answer = (r: import('node:http').IncomingMessage) => {
        for (const line of r.headers['set-cookie'] ?? []) {
          const [, name, value] = /^([^=]+)=([^;]*)/.exec(line)!;
          this.kept.set(name, { value, secure: /; *secure/i.test(line) });
        }
        let text = '';
        r.on('data', (d: Buffer) => (text += d.toString()));
        r.on('end', () => done({ status: r.statusCode!, json: (text ? JSON.parse(text) : null) as never }));
      };
      const asked = this.tls ? request({ ...to, rejectUnauthorized: false }, answer) : plain(to, answer);
      asked.on('error', failed);
      asked.end(body === undefined ? undefined : JSON.stringify(body));
    });
  }
  async arrive(): Promise<this> {
    this.csrf = (await this.send('GET', '/session')).json['csrf'];
    return this;
  }
  get secure(): boolean {
    return [...this.kept.values()].every((c) => c.secure);
  }
}

describe('behind a proxy that ends HTTPS', () => {
  it('signs in through it, and keeps its cookies to HTTPS; past it nobody is signed in', async () => {
    const made = await freshDatabase();
    const port = await freePort();
    const secure = { GONIMOS_SECURE: '1', GONIMOS_TRUST_PROXY: '127.0.0.1' };
    const server = await serve(made.url, port, false, secure);
    const proxy = await tlsProxy(port);
    try {
      const first = await new Browser(proxy.port, true).arrive();
      expect((await first.send('POST', '/owner', OWNER)).status).to.equal(200);
      const later = await new Browser(proxy.port, true).arrive();
      const { name, password } = OWNER;
      const signed = await later.send('POST', '/session', { name, password });
      expect(signed.status, JSON.stringify(signed.json)).to.equal(200);
      expect(later.secure).to.equal(true);
      expect((await later.send('GET', '/cohorts')).status).to.equal(200);
      later.csrf = signed.json['csrf'];
      expect((await later.send('POST', '/session/end', {})).status).to.equal(204);
      expect((await later.send('GET', '/cohorts')).status).to.equal(401);
      const past = await new Browser(port, false).arrive();
      await past.send('POST', '/session', { name, password });
      expect((await past.send('GET', '/cohorts')).status).to.equal(401);
    } finally {
      proxy.close();
      await endServer(server);
      await made.drop();
    }
  }).timeout(60_000);

  it('does not start behind a proxy nobody named, nor open a demo nursery to others', async () => {
    const refused = (url: string, env: Record<string, string>) =>
      freePort().then((port) => serve(url, port, false, env).then(String, (e: Error) => e.message));
    const empty = await freshDatabase();
    await migrate(empty.url);
    expect(await refused(empty.url, { GONIMOS_SECURE: '1' })).to.include('GONIMOS_TRUST_PROXY');
    const demo = await demoDatabase();
    expect(await refused(demo.url, {})).to.include('holds the demo nursery');
    // a nursery of one's own, opened by `npm start`, lets nobody in without a password
    const db = openDatabase(demo.url, 1);
    await db('nursery').update({ demoToday: null });
    const port = await freePort();
    const server = await serve(demo.url, port);
    const visitor = await new Browser(port, false).arrive();
    expect((await visitor.send('POST', '/session/demo', { role: 'owner' })).status).to.equal(403);
    await endServer(server);
    await db.destroy();
    for (const made of [empty, demo]) await made.drop();
  }).timeout(60_000);
});
