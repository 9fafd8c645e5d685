import { hashOf } from '../flow';
import type { Turns } from '../units';
import { restInput, type RestInput } from '../stations/rest';
import { searInput, type SearInput } from '../stations/sear';
import { ALONE, steamInput, type SteamContext, type SteamInput } from '../stations/steam';
import type { LightForecast } from './forecast.types';

/** One piece of heavy work: the record it is done from, and the hash of that record. The same hash has the same answer. */
export interface HeatJob<Input> {
  readonly hash: string;
  readonly input: Input;
}
export interface HeatJobs {
  readonly steam: HeatJob<SteamInput>;
  readonly rest: HeatJob<RestInput | undefined>;
  readonly sear: HeatJob<SearInput | undefined>;
  /** Names all three: nothing is to be recomputed while it stays. */
  readonly hash: string;
}

/** Answers to heat jobs by hash, least recently asked first out. */
export interface HeatCache {
  readonly get: <T>(hash: string, work: () => Turns<T>) => Turns<T>;
}

/** A cache that keeps the answers of the last few plans. */
export function heatCache(most = 12): HeatCache {
  const kept = new Map<string, unknown>();
  return {
    *get<T>(hash: string, work: () => Turns<T>): Turns<T> {
      if (kept.has(hash)) {
        const found = kept.get(hash) as T;
        kept.delete(hash);
        kept.set(hash, found);
        return found;
      }
      const made = yield* work();
      kept.set(hash, made);
      if (kept.size > most) kept.delete(kept.keys().next().value ?? '');
      return made;
    },
  };
}

/** The heat jobs of an evaluated plan: what is cooked, what rests on it, what is seared. */
export function heatJobs(light: LightForecast, context: SteamContext = ALONE): HeatJobs {
  const steam = steamInput(light, context);
  const rest = restInput(light);
  const sear = searInput(light);
  const steamHash = hashOf(JSON.stringify(steam));
  const restHash = hashOf(JSON.stringify([steamHash, rest]));
  const searHash = hashOf(JSON.stringify(sear ?? null));
  return {
    steam: { hash: steamHash, input: steam },
    rest: { hash: restHash, input: rest },
    sear: { hash: searHash, input: sear },
    hash: `${restHash}.${searHash}`,
  };
}
