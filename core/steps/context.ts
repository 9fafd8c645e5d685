import type { HeatForecast, LightForecast } from '../forecast.types';
import type { Step, StepAmount, StepResource, Station } from './step';
import { ingredientOf, type Line } from '../plan';

export interface StepContext {
  readonly light: LightForecast;
  readonly heat: HeatForecast | undefined;
}

/** One or more steps without their place in the order. */
export interface StepDraft {
  readonly station: Station;
  readonly verb: string;
  readonly sentence: string;
  readonly amounts?: readonly StepAmount[];
  readonly handsOnS: number;
  readonly waitS?: number;
  readonly resources: readonly StepResource[];
  readonly lookFor?: string;
  readonly taste?: string;
  readonly caution?: string;
}
export type StepBuilder = (ctx: StepContext) => StepDraft | readonly StepDraft[] | undefined;

export const amountOf = (ctx: StepContext, line: Line, note?: string): StepAmount => {
  const ingredient = ingredientOf(ctx.light.resolved.larder, line);
  return {
    name: ingredient.name,
    massG: line.massG,
    note,
    fine: ingredient.kind === 'raising' || ingredient.kind === 'alkali',
  };
};

/** Lines of all batters and add-ins that take one of these treatments. */
export const linesWith = (ctx: StepContext, ...treatments: Line['treatment'][]): Line[] =>
  [...ctx.light.resolved.plan.batters.flatMap((b) => b.lines), ...ctx.light.resolved.plan.addIns].filter((l) =>
    treatments.includes(l.treatment),
  );

/** Drafts joined to a step list: ids numbered, each after the one before. */
export function numberSteps(
  drafts: readonly (StepDraft & { key: string })[],
  cautionWords: Readonly<Record<string, string>>,
): Step[] {
  const said = new Set<string>();
  return drafts.map((d, i) => {
    const cautions: string[] = [];
    if (d.caution && cautionWords[d.caution] && !said.has(d.caution)) {
      said.add(d.caution);
      cautions.push(cautionWords[d.caution]);
    }
    return {
      id: `${String(i + 1).padStart(2, '0')}-${d.key}`,
      station: d.station,
      verb: d.verb,
      sentence: d.sentence,
      amounts: d.amounts ?? [],
      handsOnS: Math.round(d.handsOnS),
      waitS: Math.round(d.waitS ?? 0),
      resources: d.resources,
      lookFor: d.lookFor,
      taste: d.taste,
      cautions,
      after: i === 0 ? [] : [`${String(i).padStart(2, '0')}-${drafts[i - 1].key}`],
    };
  });
}
