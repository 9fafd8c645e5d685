import { lyingLayers, type Forecast, type LyingLayer } from '@/core/forecast';
import { LAYER_COLOURS } from '../section/layerColours';

/** Layers in the colours that they are drawn in. */
export const painted = (layers: readonly LyingLayer[]) =>
  layers.map((l) => ({ ...l, colour: LAYER_COLOURS[l.colour] ?? '#ddd' }));

/**
 * The layers of a cake as they are drawn, from the base up; undefined for what is poured at once.
 * @param pouring they come one by one, on the steam's clock
 */
export function layersAt(of: Pick<Forecast, 'light' | 'heat'>, pouring: boolean) {
  const layers = lyingLayers(of, pouring);
  return layers && painted(layers);
}
