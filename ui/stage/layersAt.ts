import { layerBatters, type Forecast } from '@/core/forecast';
import { LAYER_COLOURS } from '../section/layerColours';
import { stackIn } from '@/core/stations/steam/cooking';

/**
 * The layers of a cake as they lie, from the base up; undefined for what is poured at once.
 * @param pouring they come one by one, on the steam's clock
 */
export const layersAt = ({ light, heat }: Pick<Forecast, 'light' | 'heat'>, pouring: boolean) => {
  const batters = layerBatters(light);
  return stackIn(heat)?.pours.map((p) => ({
    colour: LAYER_COLOURS[batters[p.batter].colour] ?? '#ddd',
    toM: p.toM,
    fromS: pouring ? p.atS : 0,
  }));
};
