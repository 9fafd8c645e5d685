import type { LightForecast } from '../../forecast';
import { type Advice } from '../../stations/mix';
import { said } from './said';
import { scalePlan } from '../../plan';
import { sayGrams } from '../../units';
import { becoming, setting } from './becoming';
import type { Ways } from './way.types';

/** Under this share of what is wanted a head, there is too little. */
const SCANT = 0.9;

export function serveSees({ serves, balance, family }: LightForecast): readonly Advice[] {
  if (balance.massG <= 0 || serves.gramsEach >= SCANT * serves.gramsAHead) return [];
  return [
    said(
      'too-little',
      'better',
      `${Math.round(serves.gramsEach)} g a head of ${family.name.toLowerCase()}, where ${serves.gramsAHead} g is usual.`,
    ),
  ];
}

/** Ways out of too little: more of it, or fewer to feed. */
export const serveWays: Ways<'serve'> = {
  'too-little': ({ look: { plan, light } }) => {
    if (!light) return [];
    const by = light.serves.neededG / light.balance.massG;
    const heads = Math.floor(light.balance.massG / light.serves.gramsAHead);
    return [
      [becoming(`+${sayGrams((by - 1) * light.balance.massG)} of everything`, plan, scalePlan(plan, by))],
      [
        becoming(
          `+${sayGrams((by - 1) * light.balance.massG)} of everything, in more of them`,
          plan,
          scalePlan({ ...plan, vesselCount: Math.min(60, Math.ceil(plan.vesselCount * by)) }, by),
        ),
      ],
      heads >= 1 ? [setting(`For ${heads}`, { guests: heads })] : [],
    ];
  },
};
