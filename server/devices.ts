import type { DeviceLine, DeviceReading } from '@/core/devices';
import { standing, type StampedEvent } from '@/core/work/notebook';
import { inSteam } from '@/core/work/stove';
import { MOST_RUNNING, recordEvent } from './notebook';
import type { Store } from './storeOf';

/** Pages are told this often at most, however fast a device talks, ms. */
const TELL_MS = 200;
/** A reading that claims to be older than this is as of now, ms. */
const OLDEST_MS = 60_000;
/** A probe in a cake is written down this often, s. */
const PROBE_EVERY_S = 20;
/** Whether something is in the steam is looked up this often at most, ms. */
const IDLE_MS = 500;
/** Devices known at once. */
const MOST_DEVICES = 16;
/** One that has said nothing for so long gives its place to another, ms of the machine's own clock. */
const QUIET_MS = 15 * 60_000;

/** The batch whose cake is in the steam: the one that was begun last, where there are several. */
async function inTheSteam(store: Store): Promise<{ id: string; events: readonly StampedEvent[] } | undefined> {
  const found: { id: string; events: readonly StampedEvent[]; beganMs: number }[] = [];
  for (const { id } of await store.batches.running(MOST_RUNNING)) {
    const batch = await store.batches.get(id);
    if (!batch.ok) continue;
    const events = standing(batch.value.events);
    const steaming = inSteam(events);
    if (steaming) found.push({ id, events, beganMs: steaming.beganMs });
  }
  return found.sort((a, b) => b.beganMs - a.beganMs)[0];
}

/**
 * What devices say: the last of each is told to every page, a probe in a cake is written down as it warms, a hob that was turned as a turn. What is
 * written down bears a key of its moment, so that two bridges of one device write it once.
 */
function devicesOf(store: Store, now: () => number) {
  const last = new Map<string, DeviceReading>();
  let pending = new Map<string, DeviceReading>();
  let telling: NodeJS.Timeout | undefined;
  const tell = () => {
    telling = undefined;
    store.live.tellDevices([...pending.values()]);
    pending = new Map();
  };
  let work: Promise<void> = Promise.resolve();
  /** One after another, so that a slow disk is not asked twice for one slot. */
  const after = (job: () => Promise<void>) => {
    work = work.then(job).catch(() => undefined);
  };
  const heardMs = new Map<string, number>();
  /** Lets go of the device that has been quiet the longest, or has said that it goes; false where all of them talk. */
  const makeRoom = (): boolean => {
    const quiet = (name: string) => (last.get(name)?.kind === 'gone' ? Infinity : now() - (heardMs.get(name) ?? 0));
    const [name] = [...last.keys()].sort((a, b) => quiet(b) - quiet(a));
    if (name === undefined || quiet(name) < QUIET_MS) return false;
    last.delete(name);
    heardMs.delete(name);
    return true;
  };
  const slots = new Set<string>();
  let idleUntilMs = 0;
  const take = (slot: string): void => {
    slots.add(slot);
    if (slots.size > 500) slots.delete(slots.values().next().value ?? '');
  };
  const write = (r: DeviceReading, before: DeviceReading | undefined) => {
    if (r.kind === 'probe') {
      const slot = Math.floor(r.atMs / (PROBE_EVERY_S * 1000));
      if (!(r.tempC > -20 && r.tempC < 120) || slots.has(`${r.device} ${slot}`) || Date.now() < idleUntilMs) return;
      // With nothing in the steam there is no need to look at every reading.
      idleUntilMs = Date.now() + IDLE_MS;
      after(async () => {
        const batch = await inTheSteam(store);
        if (!batch) return;
        idleUntilMs = 0;
        take(`${r.device} ${slot}`);
        await recordEvent(store, batch.id, { kind: 'probed', tempC: r.tempC }, `probe-${batch.id}-${slot}`);
      });
    } else if (r.kind === 'hob' && before?.kind === 'hob' && before.setting !== r.setting)
      after(async () => {
        const batch = await inTheSteam(store);
        const now = batch?.events.findLast((e) => e.kind === 'turned');
        if (batch && !(now?.kind === 'turned' && now.heat === r.setting))
          await recordEvent(store, batch.id, { kind: 'turned', heat: r.setting }, `hob-${batch.id}-${r.atMs}`);
      });
  };
  return {
    /** Takes lines in the order in which they came. Answers with how many were of too many devices. */
    take(lines: readonly DeviceLine[]): number {
      let refused = 0;
      const nowMs = store.clock.now();
      for (const line of lines) {
        const saidMs = line.at === undefined ? nowMs : Date.parse(line.at);
        // A device with a clock of its own may be wrong by years: then it is as of now.
        const atMs = saidMs <= nowMs && saidMs > nowMs - OLDEST_MS * store.clock.speed() ? saidMs : nowMs;
        const before = last.get(line.device);
        if (!before && last.size >= MOST_DEVICES && !makeRoom()) {
          refused++;
          continue;
        }
        const reading: DeviceReading = { ...line, atMs };
        last.set(line.device, reading);
        heardMs.set(line.device, now());
        pending.set(line.device, reading);
        write(reading, before);
      }
      if (pending.size > 0) telling ??= setTimeout(tell, TELL_MS).unref();
      return refused;
    },
    readings: (): readonly DeviceReading[] => [...last.values()],
    /** When all that is to be written is written. */
    settled: () => work,
  };
}
export type Devices = ReturnType<typeof devicesOf>;

const kept = new WeakMap<Store, Devices>();
export function devices(store: Store, now: () => number = Date.now): Devices {
  let found = kept.get(store);
  if (!found) kept.set(store, (found = devicesOf(store, now)));
  return found;
}
