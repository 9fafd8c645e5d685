import { createHmac, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto';
import { LRUCache } from 'lru-cache';

/** Shorter codes are guessed, letters and figures. */
export const SHORTEST_CODE = 8;
const COOKIE = 'idle-ladle';
/** A device that was let in is known this long, s. */
const KNOWN_S = 365 * 86_400;
/** Wrong tries of one address before it waits, and of all together before everybody does; the wait, ms, doubles with each further one. */
const TRIES = 5;
const TRIES_OF_ALL = 60;
const WAIT_MS = 30_000;
const LONGEST_WAIT_MS = 3_600_000;
const ADDRESSES = 2000;

interface Tries {
  readonly wrong: number;
  readonly untilMs: number;
}
export type Tried =
  | { readonly is: 'in'; readonly cookie: string }
  | { readonly is: 'wrong' }
  | { readonly is: 'wait'; readonly waitMs: number };

/**
 * Who may come in where the kitchen is open to a network: a device is asked for the code once and bears a cookie from then on, signed by the code, so
 * that another code lets everybody out; a bridge of devices brings the code with each request. Tries are limited.
 */
export function keeperOf(code: string, now: () => number = Date.now) {
  const key = scryptSync(code, 'idle-ladle device', 32);
  const sign = (id: string): string => createHmac('sha256', key).update(id).digest('base64url');
  /** Alike, told in the same time whatever differs. */
  const alike = (a: string, b: string): boolean => {
    const of = (s: string) => createHmac('sha256', key).update(s).digest();
    return timingSafeEqual(of(a), of(b));
  };
  const tries = new LRUCache<string, Tries>({ max: ADDRESSES });
  let all: Tries = { wrong: 0, untilMs: 0 };
  const more = (t: Tries | undefined, most: number): Tries => {
    const wrong = (t?.wrong ?? 0) + 1;
    const over = wrong - most;
    return {
      wrong,
      untilMs: over < 0 ? 0 : now() + Math.min(LONGEST_WAIT_MS, WAIT_MS * 2 ** Math.min(over, 20)),
    };
  };
  const tryCode = (address: string, said: string): Tried => {
    const waitMs = Math.max(tries.get(address)?.untilMs ?? 0, all.untilMs) - now();
    if (waitMs > 0) return { is: 'wait', waitMs };
    if (!alike(said, code)) {
      tries.set(address, more(tries.get(address), TRIES));
      // All together: so that many addresses try no more than a few; forgotten as soon as one knows it.
      all = more(all, TRIES_OF_ALL);
      return { is: 'wrong' };
    }
    tries.delete(address);
    all = { wrong: 0, untilMs: 0 };
    const id = randomBytes(16).toString('base64url');
    return {
      is: 'in',
      cookie: `${COOKIE}=${id}.${sign(id)}; Path=/; Max-Age=${KNOWN_S}; HttpOnly; SameSite=Strict`,
    };
  };
  return {
    tryCode,
    /** True for a device that was let in, or that brings the code itself. */
    knows(headers: Readonly<Record<string, string | string[] | undefined>>, address: string): boolean {
      const { cookie, authorization } = headers;
      const borne =
        typeof cookie === 'string' ? new RegExp(`(?:^|; *)${COOKIE}=([\\w-]+)\\.([\\w-]+)`).exec(cookie) : null;
      const [, said, sealed] = borne ?? [];
      if (said !== undefined && sealed !== undefined && alike(sign(said), sealed)) return true;
      const bearer = typeof authorization === 'string' ? /^Bearer (.+)$/.exec(authorization)?.[1] : undefined;
      return bearer !== undefined && tryCode(address, bearer).is === 'in';
    },
  };
}
export type Keeper = ReturnType<typeof keeperOf>;

const escaped = (s: string): string => s.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** The one page that a device sees before it is let in. @param next where it wanted to go */
export const askForCode = (next: string, said?: string): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Idle Ladle: the kitchen's code</title>
<style>
:root { color-scheme: light dark; font: 18px/1.5 system-ui, sans-serif; }
body { max-width: 26rem; margin: 12vh auto; padding: 0 1rem; background: light-dark(#f3f7f4, #171c2b); color: light-dark(#1f2a55, #e8edf5); }
h1 { font-size: 1.4rem; }
label { display: block; margin: 1rem 0 0.3rem; }
input { font: inherit; width: 100%; box-sizing: border-box; min-height: 56px; padding: 0 0.8rem; border: 2px solid currentColor; border-radius: 10px; background: transparent; color: inherit; }
button { font: inherit; min-height: 56px; margin-top: 1rem; padding: 0 1.6rem; border: 0; border-radius: 10px; background: light-dark(#1f2a55, #c9d6f2); color: light-dark(#fff, #171c2b); }
p[role=alert] { border-left: 6px solid #c8502d; padding-left: 0.8rem; }
</style>
</head>
<body>
<main>
<h1>This kitchen asks for its code</h1>
<p>It stands with whoever runs Idle Ladle, in IDLE_LADLE_CODE. This device is asked once.</p>
${said === undefined ? '' : `<p role="alert">${escaped(said)}</p>`}
<form method="post" action="/enter">
<input type="hidden" name="next" value="${escaped(next)}">
<label for="code">Code</label>
<input id="code" name="code" type="password" autocomplete="current-password" required autofocus>
<button>Come in</button>
</form>
</main>
</body>
</html>
`;
