import { createReadStream, statSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';

/** Files that the build has packed once, by how they were packed: the smallest first. */
export const PACKINGS = [
  { encoding: 'br', ending: '.br' },
  { encoding: 'gzip', ending: '.gz' },
] as const;
const TYPES: Readonly<Record<string, string>> = {
  js: 'application/javascript; charset=UTF-8',
  css: 'text/css; charset=UTF-8',
  svg: 'image/svg+xml',
  json: 'application/json; charset=UTF-8',
  txt: 'text/plain; charset=UTF-8',
  map: 'application/json; charset=UTF-8',
};
/** Headers of a page that say nothing of a script or a sheet. */
const OF_PAGES = ['x-frame-options', 'referrer-policy', 'permissions-policy', 'cross-origin-opener-policy'] as const;
const PREFIX = '/_next/static/';

/** What of a file is there packed: asked for once, since a build does not change under a running kitchen. */
const known = new Map<string, number | undefined>();
function sizeOf(file: string): number | undefined {
  if (!known.has(file)) known.set(file, statSync(file, { throwIfNoEntry: false })?.size);
  return known.get(file);
}

/**
 * Sends a static file as the build has packed it. False where it is none, or not packed in a way that is taken: then it is the rooms' to send.
 * @param path decoded, without `..` @param folder of the build
 */
export function sendPacked(request: IncomingMessage, response: ServerResponse, path: string, folder: string): boolean {
  if (!path.startsWith(PREFIX) || (request.method !== 'GET' && request.method !== 'HEAD')) return false;
  const type = TYPES[path.slice(path.lastIndexOf('.') + 1)];
  const taken = String(request.headers['accept-encoding'] ?? '');
  const packing = PACKINGS.find((p) =>
    new RegExp(`\\b${p.encoding}\\b(?!\\s*;\\s*q=0(?:\\.0*)?\\s*(?:,|$))`).test(taken),
  );
  if (type === undefined || packing === undefined) return false;
  const file = join(folder, 'static', path.slice(PREFIX.length)) + packing.ending;
  const size = sizeOf(file);
  if (size === undefined) return false;
  // What only a page needs is not said with each of its thirty files; a worker's script keeps a policy of its own.
  for (const name of OF_PAGES) response.removeHeader(name);
  response.writeHead(200, {
    'content-security-policy': "default-src 'self'; object-src 'none'",
    'content-type': type,
    'content-encoding': packing.encoding,
    'content-length': size,
    // Its name is its content.
    'cache-control': 'public, max-age=31536000, immutable',
    vary: 'accept-encoding',
  });
  if (request.method === 'HEAD') response.end();
  else
    createReadStream(file)
      .on('error', () => response.destroy())
      .pipe(response);
  return true;
}
