import { networkInterfaces } from 'node:os';
import { isLoopback } from './door';

/** A host as it stands in an address. */
const inAddress = (host: string): string => (host.includes(':') ? `[${host}]` : host);
/** Hosts that mean every address of the machine. */
const EVERYWHERE: ReadonlySet<string> = new Set(['0.0.0.0', '::']);

/** The addresses under which a kitchen that listens at a host can be called, from outside first where it is open. */
export function addressesOf(host: string, port: number, interfaces = networkInterfaces()): readonly string[] {
  const own = (numbers: readonly string[]) => numbers.map((n) => `http://${inAddress(n)}:${port}`);
  if (!EVERYWHERE.has(host)) return own([host]);
  const outside = Object.values(interfaces).flatMap((all) =>
    (all ?? [])
      .filter((a) => !a.internal && (a.family === 'IPv4' || (host === '::' && !a.address.startsWith('fe80'))))
      .map((a) => a.address),
  );
  return own([...outside, '127.0.0.1']);
}

/** What has to be said before a kitchen is opened to a network; undefined where it may be. */
export const notOpen = (host: string, code: string): string | undefined =>
  isLoopback(host) || code !== ''
    ? undefined
    : `HOST=${host} opens this kitchen to everybody on that network: set IDLE_LADLE_CODE to a code of eight letters and figures or more, which each device is asked for once, or leave HOST out to listen on this machine only.`;

/** What a code over plain http does not do. */
export const PLAIN_HTTP =
  'Each device is asked for the code once. Over plain http whoever listens on that network can read what is sent, the code too: use it on a network you trust.';
