import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import compression from 'compression';
import { nanoid } from 'nanoid';
import { admit, ENTER, isLoopback, pathOf, securityHeaders, type House, type Refusal } from './door';
import { askForCode, type Keeper } from './keeper';
import { sendPacked } from './packed';

/** How long a connection is kept for the next request. Clients take one of five seconds for open just as it closes; a cook's page asks every minute. */
const KEEP_MS = 65_000;
/** A code and where to go are no longer than this, bytes. */
const MOST_ENTERED = 4000;
/** The sheet of every page: sent once, and small enough to be worth packing. */
const THEME = '/theme.css';

type Handler = (request: IncomingMessage, response: ServerResponse) => Promise<void>;
interface Front extends House {
  /** Asks who comes in, where the kitchen is open to a network. */
  readonly keeper?: Keeper;
  /** Folder of the build, whose static files are packed. */
  readonly build?: string;
}

function refuse(response: ServerResponse, { status, code, sentence, headers }: Refusal): void {
  const body = JSON.stringify({ problems: [{ code, path: '', sentence }] });
  response.writeHead(status, {
    'content-type': 'application/json; charset=utf-8',
    'cache-control': 'no-store',
    ...headers,
  });
  response.end(body);
}

const page = (response: ServerResponse, status: number, html: string): void => {
  response.writeHead(status, { 'content-type': 'text/html; charset=utf-8', 'cache-control': 'no-store' });
  response.end(html);
};

/** A body of a form, at most so long; undefined where it is longer. */
async function formOf(request: IncomingMessage): Promise<URLSearchParams | undefined> {
  let text = '';
  for await (const part of request) {
    text += String(part);
    if (text.length > MOST_ENTERED) return undefined;
  }
  return new URLSearchParams(text);
}

const minutes = (ms: number): string =>
  ms < 90_000 ? `${Math.ceil(ms / 1000)} seconds` : `${Math.ceil(ms / 60_000)} minutes`;

/** Where a device goes once it is let in: a page of this kitchen. */
const nextOf = (said: string | null): string =>
  said !== null && pathOf(said) !== undefined && !said.startsWith('/api/') && !said.startsWith(ENTER) ? said : '/';

async function enter(request: IncomingMessage, response: ServerResponse, keeper: Keeper): Promise<void> {
  const form = await formOf(request);
  const next = nextOf(form?.get('next') ?? null);
  const tried = keeper.tryCode(request.socket.remoteAddress ?? '', form?.get('code')?.trim() ?? '');
  if (tried.is === 'in') {
    response.writeHead(303, { location: next, 'set-cookie': tried.cookie, 'cache-control': 'no-store' });
    response.end();
  } else if (tried.is === 'wrong') page(response, 401, askForCode(next, 'That is not the code; look at it again.'));
  else page(response, 429, askForCode(next, `Too many wrong codes: wait ${minutes(tried.waitMs)}, then try again.`));
}

/** True where the request is let in; else it is answered: a page asks for the code, a route says that it is needed. */
function letIn(
  request: IncomingMessage,
  response: ServerResponse,
  path: string,
  keeper: Keeper,
  borne: Parameters<Keeper['knows']>[0],
): boolean {
  if (keeper.knows(borne, request.socket.remoteAddress ?? '')) return true;
  if (path === ENTER && request.method === 'POST') enter(request, response, keeper).catch(() => response.destroy());
  else if (request.method === 'GET' && !path.startsWith('/api/') && !path.startsWith('/_next/'))
    page(response, 401, askForCode(nextOf(request.url ?? null)));
  else
    refuse(response, {
      status: 401,
      code: 'no-code',
      sentence: 'This kitchen asks each device for its code once: open one of its pages on this device.',
    });
  return false;
}

/** The door of the house before its rooms: who may not come in is told so; who may goes on to `rooms` with a nonce for the page's scripts. */
export function doorBefore(rooms: Handler, house: Front): Server {
  // Streams of news are sent word by word.
  const pack = compression({
    filter: (request, response) =>
      !String(response.getHeader('content-type')).startsWith('text/event-stream') &&
      compression.filter(request, response),
  });
  const server = createServer({ keepAliveTimeout: KEEP_MS }, (request, response) => {
    const nonce = nanoid();
    const policy = securityHeaders(nonce, house.dev);
    for (const [name, value] of Object.entries(policy)) response.setHeader(name, value);
    // Of a body that does not say its length the end may never be read: nothing else comes over that connection.
    if (request.headers['transfer-encoding'] !== undefined) response.setHeader('connection', 'close');
    // What says who it is goes no further than this door.
    const { cookie, authorization } = request.headers;
    const refusal = admit(request, house);
    if (refusal) {
      refuse(response, refusal);
      request.resume();
      return;
    }
    const path = pathOf(request.url) ?? '';
    if (house.keeper && !letIn(request, response, path, house.keeper, { cookie, authorization })) {
      if (path !== ENTER) request.resume();
      return;
    }
    if (house.build !== undefined && sendPacked(request, response, path, house.build)) return;
    request.headers['content-security-policy'] = policy['content-security-policy'];
    request.headers['x-nonce'] = nonce;
    const go = () => {
      rooms(request, response).catch((e: unknown) => {
        const note = nanoid(8);
        console.error(`request ${note} ${request.method} ${request.url?.split('?', 1)[0]}`, e);
        if (response.headersSent) response.destroy();
        else
          response
            .writeHead(500, { 'content-type': 'text/plain; charset=utf-8' })
            .end(`Something went wrong here (note ${note}). Try again.`);
      });
    };
    // A page that is read on this machine is sent as it is: packing takes longer than sending. The theme is the same for all of them.
    if (isLoopback(request.socket.remoteAddress ?? '') && path !== THEME) go();
    else pack(request as never, response as never, go);
  });
  // Nothing here is spoken but http; while it is developed the pages load themselves anew over another line.
  if (!house.dev) server.on('upgrade', (_request, socket) => socket.destroy());
  return server;
}

/** Starts listening. @throws Error with a sentence where the port cannot be had */
export function listen(server: Server, host: string, port: number): Promise<void> {
  return new Promise((done, fail) => {
    server.once('error', (e: NodeJS.ErrnoException) => {
      const sentence =
        e.code === 'EADDRINUSE'
          ? `Port ${port} of ${host} is in use, perhaps by another Idle Ladle; stop that one, or name another port in PORT.`
          : e.code === 'EACCES'
            ? `This user may not listen on port ${port}; name one above 1023 in PORT.`
            : e.code === 'EADDRNOTAVAIL' || e.code === 'ENOTFOUND'
              ? `This machine has no address ${host}; name one it has in HOST.`
              : `It cannot listen on ${host}:${port} (${e.code ?? e.message}).`;
      fail(new Error(sentence, { cause: e }));
    });
    server.listen(port, host, done);
  });
}

/** Stops: what is under way is finished, for at most `patienceMs`. */
export function stopListening(server: Server, patienceMs: number): Promise<void> {
  return new Promise((done) => {
    server.close(() => done());
    server.closeIdleConnections();
    setTimeout(() => {
      server.closeAllConnections();
      done();
    }, patienceMs).unref();
  });
}
