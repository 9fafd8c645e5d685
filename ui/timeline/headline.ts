import { sayDuration, sayMm, there } from '@/core/units';
import type { Forecast, HeatForecast } from '@/core/forecast';
import { STATIONS } from '@/core/work/timeline';

export { STATIONS };
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
  /** Absent while it is worked out for the first time. */
  readonly figure?: string;
  readonly unit: string;
  readonly heat: boolean;
  readonly trouble?: 'watch' | 'stop';
}

const WORKING = 'working it out';

/** What is told of the cooking: minutes of a film, in the pot, or of steam. */
function cookedLine(heat: HeatForecast): Headline {
  const working = { heat: true, trouble: heat.problems.length > 0 ? ('stop' as const) : undefined };
  switch (heat.how) {
    case 'films':
      return heat.film.filmS === undefined
        ? { figure: 'in the pan', unit: 'not steamed', heat: true }
        : { figure: sayDuration(heat.film.filmS), unit: 'a film', heat: true };
    case 'pot':
      return heat.pot
        ? { figure: sayDuration(heat.pot.throughS), unit: 'in the pot', heat: true }
        : { figure: 'in the pot', unit: 'not steamed', heat: true };
    default:
      return heat.steam.times
        ? { ...working, figure: sayDuration(heat.steam.times.planForS), unit: 'of steam' }
        : { figure: 'never', unit: 'sets', heat: true, trouble: 'stop' };
  }
}

/** Each station's headline number. `heat` marks those that wait for the heat solver. */
export function headlineOf(station: StationName, f: Forecast): Headline {
  const { light, heat } = f;
  switch (station) {
    case 'mix':
      return {
        figure: there(light.balance.batters[0]).hydration.toFixed(2),
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
      return heat ? cookedLine(heat) : { unit: WORKING, heat: true };
    case 'rest':
      return heat?.rest
        ? {
            figure: heat.rest.cutReadyAtS === undefined ? 'never' : sayDuration(heat.rest.cutReadyAtS),
            unit: heat.rest.cutReadyAtS === undefined ? 'cool enough to cut' : 'until it cuts',
            heat: true,
            trouble: heat.rest.check.safe ? undefined : 'stop',
          }
        : light.resolved.plan.cooling.length > 0 && !heat
          ? { unit: WORKING, heat: true }
          : { figure: 'warm', unit: 'not cooled', heat: true };
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
          ? { unit: WORKING, heat: true }
          : { figure: 'plain', unit: 'not seared', heat: true };
    case 'serve':
      return {
        figure: String(light.resolved.plan.guests),
        unit: light.resolved.plan.guests === 1 ? 'guest' : 'guests',
        heat: false,
        trouble: light.serves.enough ? undefined : 'watch',
      };
  }
}
