import { connect, type AddressInfo } from 'node:net';
import { request as ask, type IncomingMessage, type Server } from 'node:http';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync, gunzipSync, gzipSync } from 'node:zlib';
import { addressesOf, notOpen } from './addresses';
import { keeperOf } from './keeper';
import { doorBefore, listen, stopListening } from './listen';

const servers: Server[] = [];
afterEach(async () => {
  await Promise.all(servers.splice(0).map((s) => stopListening(s, 50)));
});
const HOUSE = { host: '127.0.0.1', names: [] };
const rooms = async (request: IncomingMessage, response: import('node:http').ServerResponse) => {
  // A room that reads no more of a body than it must, as a refused one does.
  response.writeHead(200, { 'content-type': 'text/html' });
  response.end(`you are in ${request.url} ${'warm '.repeat(900)}${JSON.stringify(request.headers)}`);
};
async function open(
  house: Partial<Parameters<typeof doorBefore>[1]> = {},
  at: Parameters<typeof doorBefore>[0] = rooms,
) {
  const server = doorBefore(at, { ...HOUSE, ...house });
  servers.push(server);
  await listen(server, '127.0.0.1', 0);
  return { server, port: (server.address() as AddressInfo).port };
}
interface Got {
  readonly status: number;
  readonly headers: IncomingMessage['headers'];
  readonly body: Buffer;
}
const get = (port: number, path: string, { method = 'GET', headers = {}, send = '' } = {}): Promise<Got> =>
  new Promise((done, fail) => {
    const sent = ask({ port, host: '127.0.0.1', path, method, headers, agent: false }, (r) => {
      const parts: Buffer[] = [];
      r.on('data', (x: Buffer) => parts.push(x));
      r.on('end', () => done({ status: r.statusCode ?? 0, headers: r.headers, body: Buffer.concat(parts) }));
    });
    sent.on('error', fail);
    sent.end(send);
  });
/** Sends raw text and answers with all that comes until the other side closes. */
const raw = (port: number, text: string): Promise<string> =>
  new Promise((done) => {
    const socket = connect(port, '127.0.0.1', () => socket.write(text));
    let said = '';
    socket.on('data', (x) => (said += String(x)));
    socket.on('close', () => done(said));
    socket.on('error', () => undefined);
  });

describe('connections', () => {
  test('three hundred requests for another protocol, from whatever site, are each closed at once', async () => {
    const { server, port } = await open();
    const upgrade = (host: string) =>
      raw(
        port,
        `GET /x HTTP/1.1\r\nHost: ${host}\r\nOrigin: http://evil.example\r\nConnection: Upgrade\r\nUpgrade: websocket\r\n\r\n`,
      );
    const said = await Promise.all(
      Array.from({ length: 300 }, (_, i) => upgrade(i % 2 ? 'evil.example' : '127.0.0.1')),
    );
    expect(new Set(said)).toEqual(new Set(['']));
    const left = await new Promise((done) => server.getConnections((_, n) => done(n)));
    expect(left).toBe(0);
  });
  test('a body in parts that is too long is answered, and its connection closed', async () => {
    const { port } = await open({}, async (request, response) => {
      // As a route does: it reads up to its limit and leaves the rest.
      let length = 0;
      await new Promise<void>((done) =>
        request.on('data', (part: Buffer) => {
          length += part.length;
          if (length > 100_000) {
            request.pause();
            done();
          }
        }),
      );
      response.writeHead(413).end('too large');
    });
    const part = `${(50_000).toString(16)}\r\n${'x'.repeat(50_000)}\r\n`;
    const said = await raw(
      port,
      `POST /api/plans HTTP/1.1\r\nHost: 127.0.0.1\r\nTransfer-Encoding: chunked\r\n\r\n${part.repeat(6)}`,
    );
    expect(said).toMatch(/^HTTP\/1\.1 413/);
    expect(said.toLowerCase()).toContain('connection: close');
  });
});

describe('a kitchen that is open to a network', () => {
  const CODE = 'taro-and-8-ladles';
  const form = (code: string, next = '/rack') => new URLSearchParams({ code, next }).toString();
  const enter = (port: number, code: string, next?: string) =>
    get(port, '/enter', {
      method: 'POST',
      headers: { 'content-type': 'application/x-www-form-urlencoded', origin: `http://127.0.0.1:${port}` },
      send: form(code, next),
    });

  test('does not start without a code of eight letters or more', () => {
    expect(notOpen('0.0.0.0', '')).toMatch(/set IDLE_LADLE_CODE.*or leave HOST out/);
    expect(notOpen('192.168.1.5', '')).toBeDefined();
    expect(notOpen('0.0.0.0', CODE)).toBeUndefined();
    for (const own of ['127.0.0.1', '::1', 'localhost', '127.8.8.8']) expect(notOpen(own, '')).toBeUndefined();
  });
  test('says the addresses that can be called, not the one that means all of them', () => {
    const v4 = { address: '192.168.1.7', family: 'IPv4', internal: false };
    const v6 = { address: 'fd00::7', family: 'IPv6', internal: false };
    const near = { address: 'fe80::7', family: 'IPv6', internal: false };
    const own = { address: '127.0.0.1', family: 'IPv4', internal: true };
    const cards = { a: [v4, v6, near], lo: [own] } as unknown as Parameters<typeof addressesOf>[2];
    expect(addressesOf('0.0.0.0', 3000, cards)).toEqual(['http://192.168.1.7:3000', 'http://127.0.0.1:3000']);
    expect(addressesOf('::', 3000, cards)).toEqual([
      'http://192.168.1.7:3000',
      'http://[fd00::7]:3000',
      'http://127.0.0.1:3000',
    ]);
    expect(addressesOf('::1', 80, cards)).toEqual(['http://[::1]:80']);
  });
  test('asks a device once, and knows it from then on, after a restart too; another code lets everybody out', async () => {
    const { port } = await open({ keeper: keeperOf(CODE) });
    const page = await get(port, '/rack');
    expect([page.status, page.body.toString()]).toEqual([401, expect.stringContaining('asks for its code')]);
    expect(page.body.toString()).toContain('value="/rack"');
    expect((await get(port, '/api/plans')).body.toString()).toContain('no-code');
    expect((await get(port, '/_next/static/x.js')).status).toBe(401);
    expect((await enter(port, 'nothing-like-it')).status).toBe(401);
    const let1 = await enter(port, CODE);
    expect([let1.status, let1.headers.location]).toEqual([303, '/rack']);
    const cookie = let1.headers['set-cookie']?.[0] ?? '';
    expect(cookie).toMatch(/HttpOnly; SameSite=Strict/);
    const bears = { cookie: cookie.split(';')[0] };
    const rack = await get(port, '/rack', { headers: bears });
    expect(rack.body.toString()).toMatch(/^you are in \/rack/);
    // What says who it is is not passed on.
    expect(rack.body.toString()).not.toContain('idle-ladle=');
    const again = await open({ keeper: keeperOf(CODE) });
    expect((await get(again.port, '/rack', { headers: bears })).status).toBe(200);
    const other = await open({ keeper: keeperOf('another-code') });
    expect((await get(other.port, '/rack', { headers: bears })).status).toBe(401);
    const forged = { cookie: bears.cookie.replace(/.$/, (c) => (c === 'A' ? 'B' : 'A')) };
    expect((await get(port, '/rack', { headers: forged })).status).toBe(401);
  });
  test('sends nobody to another site, and takes the code from its own page only', async () => {
    const { port } = await open({ keeper: keeperOf(CODE) });
    for (const next of ['https://evil.example/', '//evil.example', '/\\evil', '/api/plans', 'javascript:1'])
      expect((await enter(port, CODE, next)).headers.location).toBe('/');
    const foreign = await get(port, '/enter', {
      method: 'POST',
      headers: { origin: 'http://evil.example' },
      send: form(CODE),
    });
    expect([foreign.status, foreign.headers['set-cookie']]).toEqual([403, undefined]);
  });
  test('a device line brings the code with it', async () => {
    const { port } = await open({ keeper: keeperOf(CODE) });
    const post = (authorization?: string) =>
      get(port, '/api/devices', { method: 'POST', headers: authorization ? { authorization } : {}, send: '{}' });
    expect((await post()).status).toBe(401);
    expect((await post('Bearer wrong-code')).status).toBe(401);
    expect((await post(`Bearer ${CODE}`)).status).toBe(200);
  });
  test('tries are limited, of one address and of all together, and the right code waits too', () => {
    let now = 0;
    const keeper = keeperOf(CODE, () => now);
    for (let i = 0; i < 5; i++) expect(keeper.tryCode('a', `wrong ${i}`).is).toBe('wrong');
    expect(keeper.tryCode('a', CODE)).toMatchObject({ is: 'wait' });
    expect(keeper.tryCode('b', CODE).is).toBe('in');
    now += 31_000;
    expect(keeper.tryCode('a', CODE).is).toBe('in');
    const tried = Array.from({ length: 400 }, (_, i) => keeper.tryCode(`address ${i}`, 'guess').is);
    expect(tried.filter((t) => t === 'wrong').length).toBeLessThanOrEqual(61);
    expect(keeper.tryCode('c', CODE)).toMatchObject({ is: 'wait' });
  });
});

describe('what is sent', () => {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-build-'));
  const script = 'const steam = 100;\n'.repeat(400);
  mkdirSync(join(folder, 'static', 'chunks'), { recursive: true });
  writeFileSync(join(folder, 'static', 'chunks', 'a.js'), script);
  writeFileSync(join(folder, 'static', 'chunks', 'a.js.br'), brotliCompressSync(script));
  writeFileSync(join(folder, 'static', 'chunks', 'a.js.gz'), gzipSync(script));
  writeFileSync(join(folder, 'secret.js.br'), 'no');
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  test('a static file goes as the build packed it, in the way that the browser takes', async () => {
    const { port } = await open({ build: folder });
    const file = (encoding: string) =>
      get(port, '/_next/static/chunks/a.js', { headers: { 'accept-encoding': encoding } });
    const br = await file('gzip, deflate, br, zstd');
    expect([br.headers['content-encoding'], br.headers['content-length']]).toEqual(['br', String(br.body.length)]);
    expect(br.headers['cache-control']).toContain('immutable');
    expect(br.headers['content-security-policy']).toBeDefined();
    expect(brotliDecompressSync(br.body).toString()).toBe(script);
    const gz = await file('gzip');
    expect(gunzipSync(gz.body).toString()).toBe(script);
    for (const none of ['identity', 'br;q=0, gzip;q=0'])
      expect((await file(none)).body.toString()).toMatch(/^you are in/);
    expect(
      (await get(port, '/_next/static/chunks/b.js', { headers: { 'accept-encoding': 'br' } })).body.toString(),
    ).toMatch(/^you are in/);
    const out = await get(port, '/_next/static/%2e%2e/secret.js', { headers: { 'accept-encoding': 'br' } });
    expect(out.status).toBe(400);
  });
  test('a page is packed for whoever is not on this machine, and for nobody else', async () => {
    const { port, server } = await open();
    const page = () => get(port, '/', { headers: { 'accept-encoding': 'gzip' } });
    expect((await page()).headers['content-encoding']).toBeUndefined();
    // A tablet's socket, as the door sees it.
    server.prependListener('request', (request: IncomingMessage) =>
      Object.defineProperty(request.socket, 'remoteAddress', { value: '192.168.1.20', configurable: true }),
    );
    const far = await page();
    expect(far.headers['content-encoding']).toBe('gzip');
    expect(gunzipSync(far.body).toString()).toMatch(/^you are in \//);
  });
  test('news are not held back to be packed', async () => {
    const { port, server } = await open({}, async (_request, response) => {
      response.writeHead(200, { 'content-type': 'text/event-stream' });
      response.write('event: clock\n\n');
    });
    server.prependListener('request', (request: IncomingMessage) =>
      Object.defineProperty(request.socket, 'remoteAddress', { value: '192.168.1.20', configurable: true }),
    );
    const said = await new Promise((done) => {
      ask({ port, host: '127.0.0.1', path: '/api/live', headers: { 'accept-encoding': 'gzip' }, agent: false }, (r) =>
        r.once('data', (x) => {
          done(String(x));
          r.destroy();
        }),
      ).end();
    });
    expect(said).toBe('event: clock\n\n');
  });
});
