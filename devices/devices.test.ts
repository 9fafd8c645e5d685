import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { emptyKitchen } from '@/core/kitchen';
import type { BatchEvent } from '@/core/work/notebook';
import { formula } from '@/core/testing/made';
import { at, log } from '@/core/work/stove/testing/events';
import type { DeviceLine } from '@/core/devices';
import { asker } from './ask';
import { bridge } from './bridge';
import { simulatedDevices } from './simulate';
import { freeForSocket } from './socket';

/** A kitchen that can be put out of reach. */
function kitchen() {
  const got: DeviceLine[][] = [];
  let up = true;
  const post = async (lines: readonly DeviceLine[]) => {
    if (!up) throw new Error('no answer');
    got.push([...lines]);
  };
  return { got, post, reach: (on: boolean) => (up = on) };
}
const scale = (grams: number, stable: boolean): string =>
  `${JSON.stringify({ kind: 'scale', device: 's', grams, stable })}\n`;

describe('the bridge', () => {
  test('lines come whole, in parts, several at once; garbage is counted and left', async () => {
    const k = kitchen();
    const b = bridge(k.post);
    const hear = b.line();
    hear('{"kind":"probe","device":"p","te');
    hear('mpC":41.5}\nnot json\n{"kind":"probe","device":"p","tempC":"hot"}\n{"kind":"kettle"}\n\n');
    hear(`${'x'.repeat(5000)}`);
    hear(`\n${JSON.stringify({ kind: 'hob', device: 'h', setting: 'strong' })}\n`);
    await b.send();
    expect(k.got).toEqual([
      [
        { kind: 'probe', device: 'p', tempC: 41.5 },
        { kind: 'hob', device: 'h', setting: 'strong' },
      ],
    ]);
    expect(b.told()).toMatchObject({ sent: 2, garbage: 4 });
  });
  test('a thousand lines a second come through as the newest, and no coming to rest is lost', async () => {
    const k = kitchen();
    const b = bridge(k.post);
    const hear = b.line();
    for (let s = 0; s < 5; s++) {
      for (let i = 0; i < 200; i++) hear(scale(s * 200 + i, i === 150));
      await b.send();
    }
    const sent = k.got.flat();
    expect(sent.length).toBeLessThan(20);
    expect(sent.filter((l) => l.kind === 'scale' && l.stable).map((l) => l.kind === 'scale' && l.grams)).toEqual([
      150, 350, 550, 750, 950,
    ]);
    expect(k.got.at(-1)?.at(-1)).toMatchObject({ grams: 999 });
  });
  test('what the kitchen did not take is sent with the next; a long silence keeps the newest, not the memory', async () => {
    const k = kitchen();
    const b = bridge(k.post);
    const hear = b.line();
    k.reach(false);
    for (let i = 0; i < 5000; i++) {
      hear(scale(i, true));
      if (i % 50 === 0) await b.send();
    }
    expect(b.waiting()).toBeLessThan(2000);
    expect(b.told().failed).toBe(true);
    k.reach(true);
    await b.send();
    expect(k.got.at(-1)?.at(-1)).toMatchObject({ grams: 4999 });
    expect(b.told().failed).toBe(false);
  });
});

describe('simulated devices answer what the step asks for', () => {
  const batch = (...events: readonly (readonly [number, BatchEvent])[]) => ({
    snapshot: { plan: formula('radish-slab'), kitchen: emptyKitchen() },
    events: log(...events),
  });
  const asks = asker(emptyKitchen());
  const tick = (stepId: string): [number, BatchEvent] => [0, { kind: 'ticked', stepId, done: true }];

  test('the first line that is not weighed yet, then the next', () => {
    const first = asks(batch(tick('choose:produce')), at(1)).weigh;
    expect(first).toEqual({ line: 'rice-flour-fine', targetG: 226 });
    const next = asks(
      batch(tick('choose:produce'), [
        1,
        { kind: 'line-weighed', stepId: 'weigh:plan', line: 'rice-flour-fine', massG: 226 },
      ]),
      at(2),
    ).weigh;
    expect(next?.line).not.toBe('rice-flour-fine');
    expect(asks(batch(), at(1)).weigh).toBeUndefined();
  });
  test('the scale climbs to the target, comes to rest near it, and begins the next line where it stands', () => {
    const devices = simulatedDevices(3);
    const ask = asks(batch(tick('choose:produce')), at(1));
    const grams: number[] = [];
    for (let i = 0; i < 150; i++) {
      const [line] = devices.tick(ask, 0.1, 0.1);
      if (line.kind === 'scale') {
        grams.push(line.grams);
        if (line.stable) break;
      }
    }
    expect(grams[5]).toBeGreaterThan(5);
    expect(Math.abs((grams.at(-1) ?? 0) - 226)).toBeLessThan(8);
    const rest = grams.at(-1) ?? 0;
    const second = { ...ask, weigh: { line: 'other', targetG: 50 } };
    let last = 0;
    for (let i = 0; i < 100; i++) {
      const [line] = devices.tick(second, 0.1, 0.1);
      if (line.kind === 'scale') last = line.grams;
    }
    expect(Math.abs(last - rest - 50)).toBeLessThan(4);
  });
  test('the probe follows the running cake at its own pace, and boiling water before it; the hob follows the knob', () => {
    const devices = simulatedDevices(11);
    const began: [number, BatchEvent] = [0, { kind: 'begun', stepId: 'steam:cake' }];
    const reads: number[] = [];
    for (let s = 0; s <= 3000; s += 60) {
      const ask = asks(batch(began), at(s));
      const [, probe, hob] = devices.tick(ask, 60, 1);
      if (probe.kind === 'probe') reads.push(probe.tempC);
      expect(hob).toMatchObject({ setting: 'strong' });
    }
    expect(reads[45] - reads[5]).toBeGreaterThan(15);
    expect(Math.max(...reads)).toBeLessThan(103);
    const boil = asks(batch([0, { kind: 'begun', stepId: 'boil-up:steamer' }]), at(30));
    expect(boil.boilC).toBeCloseTo(100, 0);
    for (let i = 0; i < 20; i++) devices.tick(boil, 10, 1);
    const [, dipped, off] = devices.tick(boil, 10, 1);
    expect(dipped.kind === 'probe' && Math.abs(dipped.tempC - 100 - devices.hidden.probeOffC)).toBeLessThan(2);
    expect(off).toMatchObject({ setting: 'off' });
    expect(devices.hidden.pace).not.toBe(1);
  });
});

test('two devices at one bridge do not cut each other’s lines', async () => {
  const k = kitchen();
  const b = bridge(k.post);
  const [one, two] = [b.line(), b.line()];
  one('{"kind":"probe","device":"one","te');
  two('{"kind":"probe","device":"two","tempC":2');
  one('mpC":11.5}\n');
  two('2.5}\n');
  await b.send();
  expect(k.got.flat().map((l) => l.device)).toEqual(['one', 'two']);
  expect(b.told().garbage).toBe(0);
});
test('a socket that was left behind gives way; a file, or a bridge that listens there, does not', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-socket-'));
  const notes = join(folder, 'notes.txt');
  writeFileSync(notes, 'Wednesday: taro');
  expect(await freeForSocket(notes)).toMatch(/no socket; it was left as it is/);
  expect(readFileSync(notes, 'utf8')).toBe('Wednesday: taro');
  const place = join(folder, 'ladle.sock');
  expect(await freeForSocket(place)).toBeUndefined();
  const server = createServer();
  await new Promise<void>((then) => server.listen(place, then));
  expect(await freeForSocket(place)).toMatch(/Another bridge listens/);
  // What a bridge that was killed leaves: the socket, and nobody behind it.
  const left = join(folder, 'left.sock');
  spawnSync(process.execPath, [
    '-e',
    `require('net').createServer().listen(${JSON.stringify(left)}, () => process.kill(process.pid, 'SIGKILL'))`,
  ]);
  expect(await freeForSocket(left)).toBeUndefined();
  expect(existsSync(left)).toBe(false);
  await new Promise((then) => server.close(then));
  rmSync(folder, { recursive: true, force: true });
});
