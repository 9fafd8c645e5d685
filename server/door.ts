import { hostname } from 'node:os';
import { isIP } from 'node:net';
import { z } from 'zod';

/** Bodies above this are refused before they are read, bytes. */
export const MOST_BYTES = 1_000_000;
const LONGEST_URL = 4096;

/** A request as it came in; `headers` are changed in place: what is not known here goes no further. */
export interface Incoming {
  readonly method?: string | undefined;
  readonly url?: string | undefined;
  readonly headers: Record<string, string | string[] | undefined>;
}
export interface Refusal {
  readonly status: 400 | 401 | 403 | 405 | 413 | 414;
  readonly code: string;
  readonly sentence: string;
  readonly headers?: Readonly<Record<string, string>>;
}
export interface House {
  /** Where it listens. */
  readonly host: string;
  /** Further names it is called by. */
  readonly names: readonly string[];
  /** True while it is being developed: its pages then load themselves anew, which takes more than a kitchen's may. */
  readonly dev?: boolean;
}

/** Where a device is let in by the kitchen's code. */
export const ENTER = '/enter';

/** True for a name or number of this very machine. */
export const isLoopback = (name: string): boolean =>
  name === 'localhost' || name === '::1' || /^(::ffff:)?127(\.\d{1,3}){3}$/.test(name);

const hostHeader = z
  .string()
  .max(260)
  .regex(/^(\[[0-9a-fA-F:.]+\]|[A-Za-z0-9](?:[A-Za-z0-9.-]*[A-Za-z0-9])?)(:\d{1,5})?$/);

/** The name in a Host header, without port and brackets; undefined where it is none. */
export function hostName(header: unknown): string | undefined {
  const read = hostHeader.safeParse(header);
  if (!read.success) return undefined;
  const name = read.data
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '')
    .toLowerCase();
  return name.includes(':') && isIP(name) === 0 ? undefined : name;
}

/**
 * Whether this kitchen goes by that name: a page of another site whose name is made to point here does not. A number cannot be made to; it is
 * taken where the house listens for others than itself.
 */
export const isOurs = (name: string, house: House): boolean =>
  isLoopback(name) ||
  name === house.host.toLowerCase() ||
  house.names.includes(name) ||
  (!isLoopback(house.host) &&
    (isIP(name) !== 0 || name === hostname().toLowerCase() || name === `${hostname()}.local`.toLowerCase()));

const PAGE_METHODS = ['GET', 'HEAD'];
const ENTER_METHODS = [...PAGE_METHODS, 'POST'];
const ROUTE_METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'OPTIONS'];

/** A tree, however its nodes are told: each is a list whose second is a record of nodes. */
const isTree = (x: unknown): boolean =>
  Array.isArray(x) &&
  typeof x[1] === 'object' &&
  x[1] !== null &&
  !Array.isArray(x[1]) &&
  Object.values(x[1]).every(isTree);
/**
 * Where in the router's tree a page says it is: the framework's own writing, JSON behind percent signs. It is known here by its length, its letters and
 * by being a tree, and by nothing of what its nodes say, which is another in each release; what is none the framework fails at, so it is not passed on,
 * and the whole page is sent.
 */
const treeHeader = z
  .string()
  .max(8000)
  .regex(/^[\w%.~!*'()-]+$/)
  .refine((s) => {
    try {
      return isTree(JSON.parse(decodeURIComponent(s)));
    } catch {
      return false;
    }
  });

const flag = z.enum(['1', '2']);
const words = z.string().max(4000);
/** Headers that go further, and what they may say; everything else stays outside. */
const HEADERS: Readonly<Record<string, z.ZodType>> = {
  host: words,
  origin: words,
  referer: words,
  'user-agent': words,
  accept: words,
  'accept-encoding': words,
  'accept-language': words,
  'cache-control': words,
  pragma: words,
  connection: words,
  'content-type': words,
  'content-length': z.string().regex(/^\d{1,12}$/),
  'transfer-encoding': words,
  'idempotency-key': z.string().regex(/^[\w-]{8,80}$/),
  'if-none-match': words,
  'last-event-id': z.string().regex(/^\d{1,12}$/),
  'if-modified-since': words,
  'sec-fetch-site': words,
  'sec-fetch-mode': words,
  'sec-fetch-dest': words,
  rsc: flag,
  'next-router-prefetch': flag,
  'next-router-segment-prefetch': z.string().regex(/^\/[\w./@$!*()-]{0,200}$/),
  'next-router-state-tree': treeHeader,
  'next-url': z.string().regex(/^\/[\w./~-]{0,300}$/),
};

/** The path of a request line, decoded; undefined where it cannot be, or holds what no address has. */
export function pathOf(url: unknown): string | undefined {
  if (typeof url !== 'string' || !url.startsWith('/') || /[\p{Cc} \\]/u.test(url)) return undefined;
  const [path = '', query = ''] = url.split('?', 2);
  try {
    const decoded = decodeURIComponent(path);
    decodeURIComponent(query.replaceAll('+', ' '));
    return /[\p{Cc}\\]|\/\/|\/\.{1,2}(\/|$)/u.test(decoded) ? undefined : decoded;
  } catch {
    return undefined;
  }
}

const malformed = (sentence: string): Refusal => ({ status: 400, code: 'bad-request', sentence });
const foreign = (sentence: string): Refusal => ({ status: 403, code: 'other-origin', sentence });

/** Where a request stands: let in with only the headers that are known, or refused and why. */
export function admit(request: Incoming, house: House): Refusal | undefined {
  const { headers } = request;
  if ((request.url?.length ?? 0) > LONGEST_URL)
    return { status: 414, code: 'too-long', sentence: 'That address is longer than any of this kitchen.' };
  const path = pathOf(request.url);
  if (path === undefined) return malformed('That address cannot be read; check it for stray signs.');
  const name = hostName(headers.host);
  if (name === undefined) return malformed('The request does not say in a readable way which host it is for.');
  if (!isOurs(name, house))
    return foreign(`This kitchen does not go by the name ${name}; name it in IDLE_LADLE_HOSTS if it should.`);
  if (headers.origin !== undefined && !sameOrigin(headers.origin, headers.host))
    return foreign('Requests are taken from this kitchen’s own pages only.');
  const site = headers['sec-fetch-site'];
  if (!PAGE_METHODS.includes(request.method ?? '') && site !== undefined && site !== 'same-origin' && site !== 'none')
    return foreign('Changes are taken from this kitchen’s own pages only.');
  const methods = path.startsWith('/api/') ? ROUTE_METHODS : path === ENTER ? ENTER_METHODS : PAGE_METHODS;
  if (!methods.includes(request.method ?? ''))
    return {
      status: 405,
      code: 'no-such-method',
      sentence: `That cannot be done here; ${methods.join(', ')} can.`,
      headers: { allow: methods.join(', ') },
    };
  const length = headers['content-length'];
  if (length !== undefined && !(Number(length) <= MOST_BYTES))
    return {
      status: 413,
      code: 'too-large',
      sentence: 'That is more than 1 MB; a plan or kitchen is far smaller.',
      headers: { connection: 'close' },
    };
  if (!house.dev)
    for (const key of Object.keys(headers)) if (!HEADERS[key]?.safeParse(headers[key]).success) delete headers[key];
  return undefined;
}

/** True where an Origin header names the host that the request is for. */
export function sameOrigin(origin: unknown, host: unknown): boolean {
  if (typeof origin !== 'string' || typeof host !== 'string' || !URL.canParse(origin)) return false;
  const url = new URL(origin);
  return /^https?:$/.test(url.protocol) && url.host === host.toLowerCase() && url.origin === origin.toLowerCase();
}

/** What every answer says of how it may be used; scripts run only with the nonce of their page. */
export const securityHeaders = (nonce: string, dev = false): Readonly<Record<string, string>> => ({
  'content-security-policy': [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'${dev ? " 'unsafe-eval'" : ''}`,
    // The theme's styles are put in as the page is drawn, and the drawings carry style attributes.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "worker-src 'self' blob:",
    `connect-src 'self'${dev ? ' ws:' : ''}`,
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; '),
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
});
