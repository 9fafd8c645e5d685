import { there } from '../units';
import { layerBatters } from '../cake';
import { stackIn } from '../stations/steam';
import type { Forecast } from './forecast.types';

/** A layer as it lies in its pan: the name of its colour, how high it comes, and when it is poured on the steam's clock. */
export interface LyingLayer {
  readonly colour: string;
  readonly toM: number;
  readonly fromS: number;
}

/**
 * The layers of a cake as they lie, from the base up; undefined for what is poured at once.
 * @param pouring they come one by one, on the steam's clock
 */
export function lyingLayers({ light, heat }: Pick<Forecast, 'light' | 'heat'>, pouring: boolean) {
  const batters = layerBatters(light);
  return stackIn(heat)?.pours.map((p): LyingLayer => ({
    colour: there(batters[p.batter]).colour,
    toM: p.toM,
    fromS: pouring ? p.atS : 0,
  }));
}
