import { LONGEST_LINE, readDeviceLine, type DeviceLine } from '@/core/devices';

/** Lines are sent on this often, ms. */
export const SEND_MS = 200;
/** More lines than this wait for a kitchen that does not answer only as the last of each device. */
const MOST_WAITING = 400;

export interface BridgeTold {
  readonly sent: number;
  /** Lines that could not be read. */
  readonly garbage: number;
  /** The kitchen did not answer the last time. */
  readonly failed: boolean;
}

/**
 * Brings the lines of devices to the kitchen: what cannot be read is counted and left, a flood is thinned to the newest of each device and every
 * change of a scale from unsteady to steady, and what the kitchen did not take is sent again with the next.
 * @param post sends lines; fails where the kitchen does not answer
 */
export function bridge(post: (lines: readonly DeviceLine[]) => Promise<void>) {
  let waiting: DeviceLine[] = [];
  let sent = 0;
  let garbage = 0;
  let failed = false;
  let sending: Promise<void> | undefined;
  const steady = new Map<string, boolean>();

  /** The newest of each device, and what a scale came to rest at. */
  const thinned = (lines: readonly DeviceLine[]): DeviceLine[] => {
    const newest = new Map(lines.map((l, i) => [l.device, i]));
    return lines.filter((l, i) => {
      if (l.kind === 'gone' || newest.get(l.device) === i) return true;
      if (l.kind !== 'scale') return false;
      const before = steady.get(l.device);
      steady.set(l.device, l.stable);
      return l.stable && before === false;
    });
  };
  const flush = async (): Promise<void> => {
    const now = thinned(waiting);
    waiting = [];
    if (now.length === 0) return;
    try {
      await post(now);
      sent += now.length;
      failed = false;
    } catch {
      failed = true;
      waiting = [...now, ...waiting].slice(-MOST_WAITING);
    }
  };
  /** Takes what has come of a connection; answers with what is no whole line yet. */
  const take = (before: string, text: string): string => {
    const parts = (before + text).split('\n');
    let partial = parts.pop() ?? '';
    // A device that never ends its line is not let to fill the memory.
    if (partial.length > LONGEST_LINE) {
      partial = '';
      garbage++;
    }
    for (const p of parts) {
      if (p.trim() === '') continue;
      const line = readDeviceLine(p);
      if (line) waiting.push(line);
      else garbage++;
    }
    if (waiting.length > 4 * MOST_WAITING) waiting = thinned(waiting).slice(-MOST_WAITING);
    return partial;
  };
  return {
    /** A connection of its own: what one device has half said is not mixed with another's. */
    line(): (text: string) => void {
      let partial = '';
      return (text) => {
        partial = take(partial, text);
      };
    },
    /** Sends what waits. One at a time. */
    send(): Promise<void> {
      sending ??= flush().finally(() => {
        sending = undefined;
      });
      return sending;
    },
    told: (): BridgeTold => ({ sent, garbage, failed }),
    waiting: () => waiting.length,
  };
}
