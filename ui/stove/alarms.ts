'use client';
import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Timer } from '@/core/stove';
import { leftS } from '@/core/stove';

const MUTED = 'idle-ladle/muted';
const listeners = new Set<() => void>();
const mutedNow = (): boolean => {
  try {
    return localStorage.getItem(MUTED) === '1';
  } catch {
    return false;
  }
};
/** Whether timers of this device keep silent; kept on the device. */
export function useMuted(): readonly [boolean, (muted: boolean) => void] {
  const muted = useSyncExternalStore(
    (l) => {
      listeners.add(l);
      return () => listeners.delete(l);
    },
    mutedNow,
    () => false,
  );
  return [
    muted,
    (on) => {
      try {
        if (on) localStorage.setItem(MUTED, '1');
        else localStorage.removeItem(MUTED);
      } catch {
        /* barred storage: it stays as it is */
      }
      listeners.forEach((l) => l());
    },
  ];
}

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
  [0, 0.22, 0.44].forEach((at, i) => {
    if (!audio) return;
    const note = audio.createOscillator();
    const gain = audio.createGain();
    note.frequency.value = [660, 830, 990][i];
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

/** Rings for timers that are up: sound, vibration, a notification where the page is not in view, each where the browser grants it. */
export function useAlarms(timers: readonly Timer[], nowMs: number, muted: boolean): void {
  const rung = rungOf(timers, nowMs).filter((t) => leftS(t, nowMs) > -RINGS_S);
  const ids = rung.map((t) => t.id).join('\n');
  const names = rung.map((t) => t.name).join(', ');
  useEffect(() => {
    if (ids === '' || muted) return;
    const sound = () => {
      ring();
      if (typeof navigator.vibrate === 'function' && navigator.userActivation?.hasBeenActive)
        navigator.vibrate([200, 100, 200]);
    };
    sound();
    const again = setInterval(sound, AGAIN_S * 1000);
    return () => clearInterval(again);
  }, [ids, muted]);
  useEffect(() => {
    if (ids === '' || muted || document.visibilityState === 'visible') return;
    try {
      if (typeof Notification !== 'undefined' && Notification.permission === 'granted')
        new Notification('Idle Ladle', { body: names, tag: ids });
    } catch {
      /* where a page may not notify by itself, the sound must do */
    }
  }, [ids, names, muted]);
  useEffect(() => {
    const before = document.title;
    if (names !== '') document.title = `${names}: now`;
    return () => {
      document.title = before;
    };
  }, [names]);
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
