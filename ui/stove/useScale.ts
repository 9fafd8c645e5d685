'use client';
import { useEffect, useState } from 'react';
import type { DeviceReading } from '@/core/devices';
import type { Act } from './useAct';
import { useDevices } from './deviceReadings';
import { useKitchenSpeed } from './kitchenClock';

/** Nothing heard for so long: the device is gone, s of the wall's clock. */
export const STALE_S = 5;
/** A line counts as weighed from this share of it on, once the scale is steady. */
const ENOUGH = 0.9;
/** Under so much on the scale since the tare nothing was put on it, g. */
const NOTHING_G = 0.5;

export interface Device<K extends DeviceReading['kind']> {
  readonly reading: DeviceReading & { readonly kind: K };
  /** Unplugged, or silent for too long. */
  readonly gone: boolean;
}

/** The device of a kind that was heard of last. */
export function useDevice<K extends 'scale' | 'probe' | 'hob'>(kind: K, nowMs: number): Device<K> | undefined {
  const all = useDevices();
  const speed = useKitchenSpeed();
  const found = all.findLast((r): r is DeviceReading & { readonly kind: K } => r.kind === kind);
  if (!found) return undefined;
  return { reading: found, gone: (nowMs - found.atMs) / 1000 > STALE_S * speed };
}

export interface WeighIn {
  /** On the scale since the line began, g. */
  readonly onG: number;
  readonly targetG: number;
  readonly gone: boolean;
  readonly stable: boolean;
  readonly tare: () => void;
}
/** A line that is being weighed, and what stood on the scale when the last one was written down, with the key of that. */
export interface WeighedLine {
  readonly stepId: string;
  readonly line: string;
  /** What is to go on the scale, g, and grams of the line for each of it: of what is weighed dry more than one. */
  readonly targetG: number;
  readonly eachG: number;
  readonly last: { readonly key: string; readonly grossG: number } | undefined;
}
/** Less than this under where a line began, the bowl was lifted off, g. */
const LIFTED_G = 5;

/**
 * Weighs one line by the scale: from where the last one ended, or where the cook tares it, until it is steady and near. Two pages that hear the same
 * reading take it under the same key, so that it is written once.
 */
export function useWeighIn(line: WeighedLine | undefined, nowMs: number, act: Act): WeighIn | undefined {
  const scale = useDevice('scale', nowMs);
  const grams = scale?.reading.grams;
  const since = line?.last?.key;
  const [tared, setTared] = useState<{ since: string | undefined; atG: number } | undefined>(undefined);
  const fromG = tared && tared.since === since ? tared.atG : (line?.last?.grossG ?? 0);
  if (grams !== undefined && grams < fromG - LIFTED_G) setTared({ since, atG: Math.max(0, grams) });
  const onG = grams === undefined ? 0 : grams - fromG;
  const taken =
    line !== undefined &&
    scale !== undefined &&
    !scale.gone &&
    scale.reading.stable &&
    onG > Math.max(NOTHING_G, ENOUGH * line.targetG);
  const key = line && scale ? `scale-${scale.reading.atMs}-${line.line}`.replaceAll(/[^\w-]/g, '_').slice(0, 80) : '';
  useEffect(() => {
    if (!taken || !line || grams === undefined) return;
    const massG = Math.round(10 * onG * line.eachG) / 10;
    const ofG = line.targetG * line.eachG;
    act({ kind: 'line-weighed', stepId: line.stepId, line: line.line, massG, ofG, grossG: grams }, undefined, key);
    // Once for a line: it is another as soon as this one is written down.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [taken, line?.line]);
  if (!line || !scale) return undefined;
  return {
    onG,
    targetG: line.targetG,
    gone: scale.gone,
    stable: scale.reading.stable,
    tare: () => setTared({ since, atG: scale.reading.grams }),
  };
}
