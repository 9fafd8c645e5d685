'use client';
import { useEffect, useId, useState } from 'react';
import type { Timer } from '@/core/work/stove';
import { leftS } from '@/core/work/stove';
import { useDeviceFlag } from '../kit/deviceFlag';

const MUTED = 'idle-ladle/muted';
/** Whether timers of this device keep silent; kept on the device. */
export const useMuted = (): readonly [boolean, (muted: boolean) => void] => useDeviceFlag(MUTED);

let audio: AudioContext | undefined;
/** A browser lets nothing sound before the first press: this is called from one. */
export function wakeSound(): void {
  try {
    audio ??= new AudioContext();
    void audio.resume().catch(() => undefined);
  } catch {
    /* no sound on this device */
  }
}
const soundReady = (): boolean => audio?.state === 'running';

/** Three rising notes, soft enough for a kitchen at night and loud enough over a boiling pot. */
function ring(): void {
  if (!audio || !soundReady()) return;
  const from = audio.currentTime;
  const notes = [
    [0, 660],
    [0.22, 830],
    [0.44, 990],
  ] as const;
  notes.forEach(([at, hertz]) => {
    if (!audio) return;
    const note = audio.createOscillator();
    const gain = audio.createGain();
    note.frequency.value = hertz;
    gain.gain.setValueAtTime(0.0001, from + at);
    gain.gain.exponentialRampToValueAtTime(0.5, from + at + 0.03);
    gain.gain.exponentialRampToValueAtTime(0.0001, from + at + 0.2);
    note.connect(gain).connect(audio.destination);
    note.start(from + at);
    note.stop(from + at + 0.22);
  });
}

/** It rings again this often, until it has rung for so long unseen, s. */
const AGAIN_S = 4;
const RINGS_S = 90;

/** Timers that ring now: past their end and not seen yet. */
export const rungOf = (timers: readonly Timer[], nowMs: number): readonly Timer[] =>
  timers.filter((t) => leftS(t, nowMs) <= 0);

/** What rings on this page, by who says so: however many cakes, it rings once. */
const ringing = new Map<string, { readonly ids: string; readonly names: string }>();
let again: ReturnType<typeof setInterval> | undefined;
let title: string | undefined;

/** Two that come up together are one ring, ms. */
const TOGETHER_MS = 500;
let soundedMs = -Infinity;
function sound(): void {
  const nowMs = performance.now();
  if (nowMs - soundedMs < TOGETHER_MS) return;
  soundedMs = nowMs;
  ring();
  if (typeof navigator.vibrate === 'function' && navigator.userActivation?.hasBeenActive)
    navigator.vibrate([200, 100, 200]);
}

/** Rings, and says so in the title, as long as anything of any cake does. */
function settle(): void {
  const all = [...ringing.values()];
  const loud = all.some((r) => r.ids !== '');
  if (loud && again === undefined) again = setInterval(sound, AGAIN_S * 1000);
  if (!loud && again !== undefined) {
    clearInterval(again);
    again = undefined;
  }
  const names = all.flatMap((r) => (r.names === '' ? [] : [r.names])).join(', ');
  if (names !== '') {
    title ??= document.title;
    document.title = `${names}: now`;
  } else if (title !== undefined) {
    document.title = title;
    title = undefined;
  }
}

/** Rings for timers that are up: sound, vibration, a notification where the page is not in view, each where the browser grants it. */
export function useAlarms(timers: readonly Timer[], nowMs: number, muted: boolean): void {
  const who = useId();
  const rung = rungOf(timers, nowMs).filter((t) => leftS(t, nowMs) > -RINGS_S);
  const ids = muted ? '' : rung.map((t) => t.id).join('\n');
  const names = rung.map((t) => t.name).join(', ');
  useEffect(() => {
    ringing.set(who, { ids, names });
    settle();
    return () => {
      ringing.delete(who);
      settle();
    };
  }, [who, ids, names]);
  useEffect(() => {
    if (ids === '') return;
    sound();
    if (document.visibilityState === 'visible') return;
    try {
      if (typeof Notification !== 'undefined' && Notification.permission === 'granted')
        new Notification('Idle Ladle', { body: names, tag: ids });
    } catch {
      /* where a page may not notify by itself, the sound must do */
    }
    // What rings is named as it rang.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ids]);
}

export interface Grants {
  /** The screen stays awake while this page is in view. */
  readonly awake: boolean;
  /** What this browser does not grant here, in a sentence; undefined: all of it. */
  readonly lacks: string | undefined;
}

/** Keeps the screen awake, and says what the browser grants of that and of notifications. */
export function useGrants(): Grants & { readonly askNotify: (() => void) | undefined } {
  const [awake, setAwake] = useState(false);
  const [notify, setNotify] = useState<NotificationPermission | 'none'>('none');
  const [secure, setSecure] = useState(true);
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (gone) return void lock.release();
        setAwake(true);
        lock.addEventListener('release', () => setAwake(false));
      } catch {
        setAwake(false);
      }
    };
    const first = setTimeout(() => {
      setSecure(window.isSecureContext);
      setNotify(typeof Notification === 'undefined' ? 'none' : Notification.permission);
      void ask();
    }, 0);
    const seen = () => void ask();
    document.addEventListener('visibilitychange', seen);
    return () => {
      gone = true;
      clearTimeout(first);
      document.removeEventListener('visibilitychange', seen);
      void lock?.release().catch(() => undefined);
    };
  }, []);
  const lacks = !secure
    ? 'Over plain http a browser grants neither a screen that stays awake nor notifications: set this device to stay on, and keep this page in view; timers still ring.'
    : !awake
      ? 'This browser lets the screen sleep: set the device to stay on.'
      : undefined;
  return {
    awake,
    lacks,
    askNotify: secure && notify === 'default' ? () => void Notification.requestPermission().then(setNotify) : undefined,
  };
}

/** Says words by the browser's own voice; false where it has none. */
export function speak(words: string): boolean {
  if (!('speechSynthesis' in window)) return false;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
  return true;
}
