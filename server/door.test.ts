import { connect } from 'node:net';
import type { AddressInfo } from 'node:net';
import { admit, hostName, isOurs, MOST_BYTES, pathOf, sameOrigin, type Incoming } from './door';
import { doorBefore, listen, stopListening } from './listen';

const house = { host: '127.0.0.1', names: ['kitchen.lan'] };
const request = (change: Partial<Incoming> & { headers?: Incoming['headers'] } = {}): Incoming => ({
  method: 'GET',
  url: '/',
  ...change,
  headers: { host: '127.0.0.1:3000', ...change.headers },
});
const refused = (change: Parameters<typeof request>[0]) => admit(request(change), house)?.status;

describe('who is let in', () => {
  test('the names this kitchen goes by, and no other: a name that is made to point here is refused', () => {
    for (const host of ['127.0.0.1', 'localhost:3000', '[::1]:3000', '127.0.0.9', 'Kitchen.LAN', 'kitchen.lan:80'])
      expect([host, refused({ headers: { host } })]).toEqual([host, undefined]);
    for (const host of [
      'evil.example',
      'kitchen.lan.evil.example',
      '127.0.0.1.evil.example',
      'localhost.evil',
      '10.0.0.5',
    ])
      expect([host, refused({ headers: { host } })]).toEqual([host, 403]);
    for (const host of [
      '',
      ' ',
      'a b',
      '[::zz]',
      'http://x',
      'x:port',
      'x@y',
      '127.0.0.1:99999999',
      '%00',
      'a\u0000b',
      undefined,
    ])
      expect([host, refused({ headers: { host } })]).toEqual([host, 400]);
  });
  test('a house that listens for others takes its numbers too', () => {
    const open = { host: '0.0.0.0', names: [] };
    expect(isOurs('192.168.1.20', open)).toBe(true);
    expect(isOurs('fe80::1', open)).toBe(true);
    expect(isOurs('evil.example', open)).toBe(false);
    expect(hostName('[fe80::1]:3000')).toBe('fe80::1');
  });
  test('an Origin that is foreign, malformed or null is refused, whatever is asked', () => {
    const host = '127.0.0.1:3000';
    expect(sameOrigin('http://127.0.0.1:3000', host)).toBe(true);
    expect(sameOrigin('https://127.0.0.1:3000', host)).toBe(true);
    for (const origin of [
      'null',
      '',
      'http://',
      'http://127.0.0.1',
      'http://127.0.0.1:3001',
      'ftp://127.0.0.1:3000',
      'http://a@127.0.0.1:3000',
      '127.0.0.1:3000',
      'http://evil.example',
      'http://[',
      '\u0000',
    ])
      for (const method of ['GET', 'POST', 'PUT', 'DELETE'])
        expect([origin, method, refused({ method, url: '/api/plans', headers: { origin } })]).toEqual([
          origin,
          method,
          403,
        ]);
    expect(
      refused({ method: 'POST', url: '/api/plans', headers: { origin: 'http://127.0.0.1:3000' } }),
    ).toBeUndefined();
    expect(refused({ method: 'POST', url: '/api/plans', headers: { 'sec-fetch-site': 'cross-site' } })).toBe(403);
  });
  test('addresses that cannot be read, methods that are not served, and bodies that are too big', () => {
    for (const url of [
      '',
      'x',
      '*',
      '/%',
      '/%E0%A4%A',
      '/a%00b',
      '/a\\b',
      '/a b',
      '/a/%2e%2e/b',
      '/..',
      'http://evil/',
      '/api/plans//restore',
      '/a\u0007',
    ])
      expect([url, refused({ url })]).toEqual([url, 400]);
    expect(pathOf('/plans/%C3%A9t%C3%A9?a=1')).toBe('/plans/été');
    expect(refused({ url: `/${'a'.repeat(5000)}` })).toBe(414);
    for (const [method, url, status] of [
      ['POST', '/', 405],
      ['DELETE', '/rack', 405],
      ['TRACE', '/api/plans', 405],
      ['PATCH', '/api/plans', 405],
      ['PROPFIND', '/api/plans', 405],
      ['HEAD', '/', undefined],
      ['PUT', '/api/kitchen', undefined],
    ] as const)
      expect([method, url, refused({ method, url })]).toEqual([method, url, status]);
    expect(refused({ method: 'POST', url: '/api/plans', headers: { 'content-length': String(MOST_BYTES + 1) } })).toBe(
      413,
    );
    expect(refused({ method: 'POST', url: '/api/plans', headers: { 'content-length': 'many' } })).toBe(413);
    expect(
      refused({ method: 'POST', url: '/api/plans', headers: { 'content-length': String(MOST_BYTES) } }),
    ).toBeUndefined();
  });
  test('only known headers that say what they may go further', () => {
    const tree = encodeURIComponent(JSON.stringify(['', { children: ['plans', {}] }]));
    const passed = (headers: Incoming['headers']) => {
      const r = request({ headers });
      expect(admit(r, house)).toBeUndefined();
      return Object.keys(r.headers).filter((k) => k !== 'host');
    };
    expect(passed({ accept: '*/*', rsc: '1', 'next-router-state-tree': tree })).toEqual([
      'accept',
      'rsc',
      'next-router-state-tree',
    ]);
    expect(
      passed({
        rsc: 'zz',
        'next-router-state-tree': '%7B',
        'x-forwarded-host': 'evil.example',
        'x-middleware-subrequest': 'x',
        'next-action': '0',
        upgrade: 'websocket',
        'next-url': 'nowhere',
        range: 'bytes=9-1',
      }),
    ).toEqual([]);
    // What its nodes say is the framework's own affair: another release may say more.
    const other = encodeURIComponent(
      JSON.stringify(['', { children: [['id', 'x', 'd', null, 'new'], {}] }, { more: 1 }]),
    );
    expect(passed({ 'next-router-state-tree': other })).toEqual(['next-router-state-tree']);
    const listed = encodeURIComponent(JSON.stringify(['', { children: 'x' }]));
    for (const torn of [
      listed,
      '%5B%5D',
      '%7B',
      '%',
      '',
      '<script>',
      tree.slice(0, -3),
      `%5B%22${'a'.repeat(8000)}%22%5D`,
      '%22x%22',
    ])
      expect([torn.slice(0, 20), passed({ 'next-router-state-tree': torn })]).toEqual([torn.slice(0, 20), []]);
  });
});

describe('the door on a socket', () => {
  const open = async (rooms: Parameters<typeof doorBefore>[0]) => {
    const server = doorBefore(rooms, house);
    await listen(server, '127.0.0.1', 0);
    return { server, port: (server.address() as AddressInfo).port };
  };
  const say = (port: number, lines: readonly string[]) =>
    new Promise<string>((done) => {
      let all = '';
      const socket = connect(port, '127.0.0.1', () =>
        socket.write(`${lines.join('\r\n')}\r\nConnection: close\r\n\r\n`),
      );
      socket.on('data', (d) => (all += String(d)));
      socket.on('close', () => done(all));
    });
  test('every answer carries the policy, each with a nonce of its own that the rooms are told', async () => {
    const told: unknown[] = [];
    const { server, port } = await open(async (q, r) => {
      told.push(q.headers['x-nonce'], q.headers['content-security-policy']);
      r.end('in');
    });
    const answers = await Promise.all([0, 1].map(() => fetch(`http://127.0.0.1:${port}/`)));
    const policies = answers.map((a) => a.headers.get('content-security-policy') ?? '');
    expect(policies[0]).not.toBe(policies[1]);
    expect(policies[0]).toContain(`'nonce-${String(told[0])}'`);
    expect(policies[0]).toBe(told[1]);
    expect(policies[0]).not.toMatch(/script-src[^;]*unsafe/);
    expect(answers[0].headers.get('x-content-type-options')).toBe('nosniff');
    await stopListening(server, 500);
  });
  test('what is not let in never reaches the rooms; what fails in them is told without what is inside', async () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    let reached = 0;
    const { server, port } = await open(async () => {
      reached++;
      throw new Error('secret /home/path');
    });
    expect(await say(port, ['GET / HTTP/1.1', 'Host: evil.example'])).toMatch(
      /^HTTP\/1.1 403[\s\S]*does not go by the name/,
    );
    expect(await say(port, ['GET / HTTP/1.1', 'Host: [::zz'])).toMatch(/^HTTP\/1.1 400/);
    expect(await say(port, ['BREW / HTTP/1.1', `Host: 127.0.0.1:${port}`])).toMatch(/^HTTP\/1.1 4\d\d/);
    expect(reached).toBe(0);
    const failed = await say(port, ['GET / HTTP/1.1', `Host: 127.0.0.1:${port}`]);
    expect(failed).toMatch(/^HTTP\/1.1 500[\s\S]*note [\w-]{8}/);
    expect(failed).not.toMatch(/secret|home/);
    quiet.mockRestore();
    await stopListening(server, 500);
  });
  test('a port in use is told in a sentence', async () => {
    const { server, port } = await open(async (_, r) => void r.end());
    const second = doorBefore(async (_, r) => void r.end(), house);
    await expect(listen(second, '127.0.0.1', port)).rejects.toThrow(new RegExp(`Port ${port} of 127.0.0.1 is in use`));
    await stopListening(server, 500);
  });
  test('a connection is kept longer than clients wait between requests, and closed at a stop', async () => {
    const { server, port } = await open(async (_, r) => void r.end('in'));
    const answers: string[] = [];
    const socket = connect(port, '127.0.0.1');
    socket.on('data', (d) => answers.push(String(d)));
    const ask = async () => {
      const before = answers.length;
      socket.write(`GET / HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\n\r\n`);
      while (answers.length === before && !socket.closed) await new Promise((then) => setTimeout(then, 5));
    };
    await ask();
    await new Promise((then) => setTimeout(then, 6500));
    await ask();
    const ended = new Promise((done) => (socket.closed ? done(true) : socket.on('close', done)));
    await stopListening(server, 2000);
    await ended;
    expect(Number(/^keep-alive: timeout=(\d+)/im.exec(answers.join(''))?.[1])).toBeGreaterThan(60);
    expect(answers.join('').match(/HTTP\/1.1 200/g)).toHaveLength(2);
  }, 20_000);
  test('it stops gracefully: what is under way is answered, new ones are not taken', async () => {
    let finish: () => void = () => undefined;
    const { server, port } = await open(async (_, r) => {
      await new Promise<void>((then) => (finish = then));
      r.end('done');
    });
    const slow = fetch(`http://127.0.0.1:${port}/`).then((r) => r.text());
    await new Promise((then) => setTimeout(then, 50));
    const stopped = stopListening(server, 2000);
    await expect(fetch(`http://127.0.0.1:${port}/`)).rejects.toThrow();
    finish();
    expect(await slow).toBe('done');
    await stopped;
  });
});
