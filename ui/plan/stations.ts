import { sayDuration, sayMm } from '@/core/units';
import type { Forecast } from '@/core/forecast';

export const STATIONS = ['mix', 'vessel', 'steam', 'rest', 'cut', 'sear', 'serve'] as const;
export type StationName = (typeof STATIONS)[number];
export const STATION_WORDS: Readonly<Record<StationName, string>> = {
  mix: 'Mix',
  vessel: 'Vessel',
  steam: 'Steam',
  rest: 'Rest',
  cut: 'Cut',
  sear: 'Sear',
  serve: 'Serve',
};

export interface Headline {
  readonly figure: string;
  readonly unit: string;
  readonly heat: boolean;
  readonly trouble?: 'watch' | 'stop';
}

/** Each station's headline number. `heat` marks those that wait for the heat solver. */
export function headlineOf(station: StationName, f: Forecast): Headline {
  const { light, heat } = f;
  switch (station) {
    case 'mix':
      return {
        figure: light.balance.batters[0].hydration.toFixed(2),
        unit: 'hydration',
        heat: false,
        trouble: light.balance.problems.length > 0 ? 'stop' : undefined,
      };
    case 'vessel':
      return {
        figure: sayMm(light.fill.depthM),
        unit: 'deep',
        heat: false,
        trouble: light.fill.problems.length > 0 ? 'stop' : light.fill.advice.length > 0 ? 'watch' : undefined,
      };
    case 'steam':
      if (heat?.film?.filmS !== undefined) return { figure: sayDuration(heat.film.filmS), unit: 'a film', heat: true };
      if (heat?.pot) return { figure: sayDuration(heat.pot.throughS), unit: 'in the pot', heat: true };
      if (heat && !heat.steam)
        return { figure: light.family.cooked === 'pot' ? 'in the pot' : 'in the pan', unit: 'not steamed', heat: true };
      return heat?.steam?.times
        ? {
            figure: sayDuration(heat.steam.times.planForS),
            unit: 'of steam',
            heat: true,
            trouble: heat.problems.length > 0 ? 'stop' : undefined,
          }
        : {
            figure: heat ? 'never' : '…',
            unit: heat ? 'sets' : 'working it out',
            heat: true,
            trouble: heat ? 'stop' : undefined,
          };
    case 'rest':
      return heat?.rest
        ? {
            figure: heat.rest.cutReadyAtS === undefined ? '–' : sayDuration(heat.rest.cutReadyAtS),
            unit: 'until it cuts',
            heat: true,
            trouble: heat.rest.check.safe ? undefined : 'stop',
          }
        : light.resolved.plan.cooling.length > 0 && !heat
          ? { figure: '…', unit: 'working it out', heat: true }
          : { figure: '–', unit: 'no cooling', heat: true };
    case 'cut':
      return {
        figure: light.cut ? String(light.pieces) : 'whole',
        unit: light.cut ? (light.pieces === 1 ? 'piece' : 'pieces') : 'uncut',
        heat: false,
      };
    case 'sear':
      return heat?.sear && light.flow.nodes.some((n) => n.op === 'sear')
        ? {
            figure: String(heat.sear.loads),
            unit: heat.sear.loads === 1 ? 'pan load' : 'pan loads',
            heat: true,
            trouble: heat.sear.hotThrough ? undefined : 'watch',
          }
        : !heat && light.flow.nodes.some((n) => n.op === 'sear')
          ? { figure: '…', unit: 'working it out', heat: true }
          : { figure: '–', unit: 'not seared', heat: true };
    case 'serve':
      return {
        figure: String(light.resolved.plan.guests),
        unit: light.resolved.plan.guests === 1 ? 'guest' : 'guests',
        heat: false,
        trouble: light.serves.enough ? undefined : 'watch',
      };
  }
}
