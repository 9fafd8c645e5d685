import type { Forecast } from '@/core/forecast';
import { LAYER_COLOURS } from '../section/layerColours';

/**
 * The layers of a cake as they lie, from the base up; undefined for what is poured at once.
 * @param pouring they come one by one, on the steam's clock
 */
export const layersAt = ({ heat }: Pick<Forecast, 'heat'>, pouring: boolean) =>
  heat?.layers?.pours.map((p) => ({
    colour: LAYER_COLOURS[p.colour] ?? '#ddd',
    toM: p.toM,
    fromS: pouring ? p.atS : 0,
  }));
