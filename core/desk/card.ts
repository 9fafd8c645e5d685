import type { Forecast, LyingLayer } from '../forecast';
import { lyingLayers } from '../forecast';
import type { Vessel } from '../kitchen';
import { keepChilled, type Keep } from '../model/rest';
import type { SteamTimes } from '../model/steam';
import { overWater } from '../stations/steam';
import { cardMoments, type Step, type WeighOut } from '../steps';
import { lifeOf, type Life } from '../work/timeline';

/** What stands on a plan's card and label: plain data. */
export interface Card {
  readonly name: string;
  readonly family: string;
  readonly guests: number;
  readonly keep: Keep;
  readonly allergens: readonly string[];
  readonly notStated: readonly string[];
  readonly diets: readonly string[];
  readonly byWeight: readonly string[];
  readonly addIns: readonly string[];
  readonly beside: readonly { readonly name: string; readonly byWeight: readonly string[] }[];
  readonly massG: number;
  readonly pieces: number | null;
  readonly gramsAPiece: number | null;
  readonly times: SteamTimes | null;
  readonly vessel: string;
  readonly depthM: number;
  readonly heat: string;
  readonly section: {
    readonly vessel: Vessel;
    readonly pieceShare: number;
    readonly layers: readonly LyingLayer[] | null;
  };
  readonly life: Omit<Life, 'laid'>;
  readonly weighOut: readonly WeighOut[];
  readonly steps: readonly Pick<Step, 'verb' | 'sentence' | 'lookFor' | 'timeline' | 'handsOnS' | 'waitS'>[];
  readonly cautions: readonly string[];
}

/** The card of a forecast plan. */
export function cardOf(made: Forecast): Card {
  const { light, heat, steps, weighOut, cautions } = made;
  const { document: plan, vessel } = light.resolved;
  const { balance, cut, fill, family } = light;
  const { laid: _, ...life } = lifeOf(made);
  return {
    name: plan.name,
    family: family.name,
    guests: plan.guests,
    keep: keepChilled(family.keepDays, balance.allergens),
    allergens: [...balance.allergens],
    notStated: [...balance.allergensNotStated],
    diets: [...balance.diets],
    byWeight: balance.byWeight.map((i) => i.name),
    addIns: balance.addInsByWeight.map((i) => i.name),
    beside: balance.beside.map((x) => ({ name: x.name, byWeight: x.byWeight.map((i) => i.name) })),
    massG: balance.massG,
    pieces: cut ? cut.count * plan.vesselCount : null,
    gramsAPiece: cut?.gramsAPiece ?? null,
    times: overWater(heat)?.times ?? null,
    vessel: vessel.name,
    depthM: fill.depthM,
    heat: plan.heat,
    section: { vessel, pieceShare: balance.pieceVolumeShare, layers: lyingLayers(made, false) ?? null },
    life,
    weighOut,
    steps: steps.map((x) => ({
      verb: x.verb,
      sentence: x.sentence,
      lookFor: x.lookFor,
      timeline: cardMoments(x),
      handsOnS: x.handsOnS,
      waitS: x.waitS,
    })),
    cautions: [...cautions],
  };
}
