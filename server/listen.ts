import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { nanoid } from 'nanoid';
import { admit, securityHeaders, type House, type Refusal } from './door';

/** How long a connection is kept for the next request. Clients take one of five seconds for open just as it closes; a cook's page asks every minute. */
const KEEP_MS = 65_000;

type Handler = (request: IncomingMessage, response: ServerResponse) => Promise<void>;

function refuse(response: ServerResponse, { status, code, sentence, headers }: Refusal): void {
  const body = JSON.stringify({ problems: [{ code, path: '', sentence }] });
  response.writeHead(status, {
    'content-type': 'application/json; charset=utf-8',
    'cache-control': 'no-store',
    ...headers,
  });
  response.end(body);
}

/** The door of the house before its rooms: who may not come in is told so; who may goes on to `rooms` with a nonce for the page's scripts. */
export function doorBefore(rooms: Handler, house: House): Server {
  return createServer({ keepAliveTimeout: KEEP_MS }, (request, response) => {
    const nonce = nanoid();
    const policy = securityHeaders(nonce, house.dev);
    for (const [name, value] of Object.entries(policy)) response.setHeader(name, value);
    const refusal = admit(request, house);
    if (refusal) {
      refuse(response, refusal);
      request.resume();
      return;
    }
    request.headers['content-security-policy'] = policy['content-security-policy'];
    request.headers['x-nonce'] = nonce;
    rooms(request, response).catch((e: unknown) => {
      const note = nanoid(8);
      console.error(`request ${note} ${request.method} ${request.url?.split('?', 1)[0]}`, e);
      if (response.headersSent) response.destroy();
      else
        response
          .writeHead(500, { 'content-type': 'text/plain; charset=utf-8' })
          .end(`Something went wrong here (note ${note}). Try again.`);
    });
  });
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
