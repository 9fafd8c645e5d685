import { AT_ROOM_S, COOLING, sayDuration } from '../../units';

/** One row of the cooling curve. */
export interface CoolingPoint {
  readonly timeS: number;
  readonly centreC: number;
  readonly meanC: number;
  readonly edgeC: number;
}

/** By which rule a cake is judged: chilled in two stages, or eaten warm or at room temperature within a time. */
export type SafetyRule = 'two-stage' | 'room';

export interface SafetyCheck {
  readonly rule: SafetyRule;
  readonly safe: boolean;
  /** Seconds from 60 °C to 21 °C and from 60 °C to 5 °C at the warmest spot; undefined: not reached. */
  readonly to21S: number | undefined;
  readonly to5S: number | undefined;
  /** Eaten or chilled by then, s after it has come off the steam; for what is eaten at room temperature. */
  readonly eatByS: number | undefined;
  readonly sentence: string;
}

const KEEPING_SUGAR = 0.4;

/** Time at which a falling curve first passes below `level`, by linear interpolation. */
export function crossing(
  curve: readonly CoolingPoint[],
  of: (p: CoolingPoint) => number,
  level: number,
): number | undefined {
  if (curve.length > 0 && of(curve[0]) <= level) return curve[0].timeS;
  for (let i = 1; i < curve.length; i++) {
    const a = of(curve[i - 1]);
    const b = of(curve[i]);
    if (b <= level)
      return curve[i - 1].timeS + ((curve[i].timeS - curve[i - 1].timeS) * (a - level)) / Math.max(a - b, 1e-9);
  }
  return undefined;
}

/** Where it cools: how cold the fridge is, °C, and whether it goes into the cold first. */
export interface CooledIn {
  readonly fridgeC: number;
  readonly coldFirst: boolean;
}

/** The usual two-stage cooling rule of food codes on the warmest spot: 60 → 21 °C within 2 h, to 5 °C within 6 h in all. Local codes rule. */
export function coolingCheck(curve: readonly CoolingPoint[], { fridgeC, coldFirst }: CooledIn): SafetyCheck {
  const at60 = crossing(curve, (p) => p.centreC, COOLING.fromC) ?? 0;
  const at21 = crossing(curve, (p) => p.centreC, COOLING.firstC);
  const at5 = crossing(curve, (p) => p.centreC, COOLING.lastC);
  const to21S = at21 === undefined ? undefined : at21 - at60;
  const to5S = at5 === undefined ? undefined : at5 - at60;
  const first = to21S !== undefined && to21S <= COOLING.firstS;
  const second = to5S !== undefined && to5S <= COOLING.lastS;
  const hours = (s: number) => `${(s / 3600).toFixed(1)} h`;
  const faster = coldFirst
    ? 'It is in the cold from the start: use an ice bath, or pour it shallower.'
    : 'Move it to the fridge sooner, use an ice bath, or pour it shallower.';
  const colder =
    fridgeC > COOLING.lastC - 0.5
      ? `The fridge, at ${fridgeC.toFixed(0)} °C, is too warm: set it to 4 °C or colder.`
      : 'Chill it sooner or in smaller pieces.';
  const sentence =
    first && second
      ? `Cools safely: 60 to 21 °C in ${hours(to21S)}, to 5 °C in ${hours(to5S)}. Local food codes rule.`
      : !first
        ? `Too slow: 60 to 21 °C ${to21S === undefined ? 'is not reached' : `takes ${hours(to21S)}`}, 2 h is the limit. ${faster}`
        : `Too slow: ${to5S === undefined ? '5 °C is not reached' : `60 to 5 °C takes ${hours(to5S)}`}, 6 h is the limit. ${colder}`;
  return { rule: 'two-stage', safe: first && second, to21S, to5S, eatByS: undefined, sentence };
}

/** What decides how long a cake may stand at room temperature. */
export interface Eaten {
  /** Coconut milk, bean, egg, meat or seafood in it. */
  readonly spoils: boolean;
  /** Sugar ÷ (sugar + water). */
  readonly sugarPhase: number;
}

/**
 * The rule for what is eaten warm or at room temperature: with coconut milk, bean, egg, meat or seafood within 4 h of leaving 60 °C, plain the
 * same day (4 h where local codes ask it), sugar-rich longer.
 */
export function roomCheck(curve: readonly CoolingPoint[], eaten: Eaten): SafetyCheck {
  const at60 = crossing(curve, (p) => p.centreC, COOLING.fromC) ?? 0;
  const { spoils } = eaten;
  const eatByS = at60 + (spoils ? AT_ROOM_S.spoils : AT_ROOM_S.plain);
  const sentence =
    eaten.sugarPhase > KEEPING_SUGAR && !spoils
      ? 'Rich in sugar: it keeps at room temperature for a day or two, covered. Local food codes rule.'
      : spoils
        ? `Eaten warm or at room temperature: within ${sayDuration(eatByS)} of the steam, then chilled or thrown away. Local food codes rule.`
        : 'Eaten warm or at room temperature: the same day, and within 4 h where local food codes ask it.';
  return { rule: 'room', safe: true, to21S: undefined, to5S: undefined, eatByS, sentence };
}
