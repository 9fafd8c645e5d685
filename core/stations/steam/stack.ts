import { chanceBy, fieldsOf, figure, problem, sayDuration, type Figure, type Law, type Turns } from '../../units';
import {
  cakeMaterial,
  layerRun,
  scaledBy,
  stackSpread,
  type LayerInput,
  type LayerRun,
  type PourGrid,
  type SteamTimes,
} from '../../model/steam';
import { onClock } from './clock';
import type { Layered, WithRun } from './cooking';
import type { StackInput } from './input';
import { dripsOn, ownSpread, powerOf, roomOf, settingOf, standingSides, UNKNOWN_S, waterOf } from './pour';
import { leftOver } from './shared';

const NEVER = 'A layer never sets: use fewer or thinner layers, less sugar, or a hotter steamer.';

/** A stack as the plan has it. @param room absent: that of the lowest tier */
export const stackOf = (input: StackInput, room = roomOf(input, lowerOf(input))): LayerInput => ({
  ...settingOf(input, room),
  vessel: input.vessel,
  vesselCount: input.vesselCount,
  startC: input.startC.value,
  order: input.order,
  kitchenC: input.kitchen.roomC,
  dripsKgM2S: dripsOn(input),
  stand: { timeS: input.standS, sides: standingSides(input) },
  batters: input.batters.map(({ parts, gelling, ...b }) => ({
    ...b,
    gelling,
    material: cakeMaterial({ parts, gasShare: input.body.gasShare, gelling }, input.boilC),
  })),
});
/** Stacks on the lowest tier. */
const lowerOf = (input: StackInput): number => Math.max(1, Math.min(input.perTier, input.inLoad));

/** Layers on layers: each pour with its window, and the end by the one rule. */
export function* steamStack(input: StackInput, size: PourGrid): Turns<WithRun<Layered>> {
  const { factor, inLoad, standS } = input;
  const f = factor.value;
  const lower = lowerOf(input);
  const onLowest = stackOf(input);
  const below = yield* layerRun(onLowest, size);
  // A second tier finds what the first leaves; it is the slower, so it is the one that is forecast.
  const above = inLoad - lower;
  const stack =
    above > 0 && below
      ? { ...onLowest, room: roomOf(input, above, leftOver(powerOf(input), below.flux, lower)) }
      : onLowest;
  const done = stack === onLowest ? below : yield* layerRun(stack, size);
  const found = done && (yield* stackSpread(stack, done, ownSpread(input), input.start));
  const run = done && onOwnClock(done, f);
  const spread = found && scaledBy(found, f);
  const sigma = spread?.sigma ?? 0;
  const clean = run && figure(run.totalS, factor.source, sigma * run.totalS);
  const times = clean && stackTimes(run, clean, standS, input.tooLate.leastS, done.totalS);
  const words = run
    ? `${run.pours.length} layers in ${sayDuration(run.totalS)}: about ${sayDuration(run.pours[0]?.waitS ?? 0)} for the first, ${sayDuration(Math.max(...run.pours.slice(1, -1).map((p) => p.waitS), 0))} for the slowest between, the last ${sayDuration(run.lastS)}.`
    : NEVER;
  const busy = run?.pours.map((p) => p.atS) ?? [];
  const water = waterOf(input, times?.planForS ?? UNKNOWN_S, (done?.steamJ ?? 0) * input.vesselCount, busy);
  return {
    how: 'layers',
    powerW: input.powerW,
    problems: [...water.problems, ...(done ? [] : [problem('never-sets', 'layers', NEVER)])],
    steam: {
      times,
      spread,
      coldSpot: done?.coldSpot,
      frames: done && onClock(done.frames, f, done.steamedS),
      water,
      energyError: done?.energyError ?? 0,
      words,
    },
    layers: run && { ...run, words },
    run: done?.run,
  };
}

/** Layers on the clock of this steamer, which runs so many times as slow as the model's. */
const onOwnClock = ({ pours, totalS, lastS }: LayerRun, by: number) => ({
  pours: pours.map((p) => ({ ...p, atS: p.atS * by, waitS: p.waitS * by, tooLateS: p.tooLateS * by })),
  totalS: totalS * by,
  lastS: lastS * by,
});

/**
 * For a stack only the last layer can be checked: just before the end, and its own time over again is too long.
 * @param firstCleanPickS the whole run, with what is not known of it
 */
function stackTimes(
  { totalS, lastS }: { readonly totalS: number; readonly lastS: number },
  firstCleanPickS: Figure,
  standS: number,
  leastLateS: number,
  unlearnedS: number,
): SteamTimes {
  const planForS = totalS + 0.2 * lastS;
  return {
    firstCleanPickS,
    checkAtS: totalS - 0.15 * lastS,
    planForS,
    standS,
    totalS: planForS + standS,
    noLaterThanS: Math.max(totalS + 2 * lastS, totalS + leastLateS, planForS + standS),
    unlearnedS,
    planChance: chanceBy(planForS, totalS, firstCleanPickS.sd / totalS),
  };
}

const POURS = 'heat.layers.pours';
/** Why layers are poured when they are. */
export const STACK_LAWS: readonly Law[] = [
  {
    at: `${POURS}.*.waitS`,
    law: 'From pour to pour: the lid up for half a minute (evaporation from the top), purge, conduction on the hot stack until the layer’s coldest cell is 85 % set and its top has taken up what condensed on it.',
    from: [`${POURS}.#.grams`, ...fieldsOf<StackInput>('inputs.steam')('startC', 'powerW')],
    spread: 'heat.steam.spread',
  },
  {
    at: `${POURS}.*.tooLateS`,
    law: 'Fully set (99 %) for twenty minutes, or dried with the lid off: the next layer does not hold.',
    from: [`${POURS}.#.waitS`],
    spread: 'heat.steam.spread',
  },
  { at: `${POURS}.*.grams`, law: 'The batter ÷ its layers ÷ vessels; equal layers.', from: ['balance.massG'] },
  { at: `${POURS}.*.ladleMl`, law: 'Its volume and 1 % that stays in the ladle.', from: [`${POURS}.#.grams`] },
  { at: `${POURS}.*.*`, law: 'Sums of the pours before.', from: [`${POURS}.0.waitS`] },
  {
    at: 'heat.layers.*',
    law: 'The pours after one another; the last until the coldest spot of the whole stack is ready.',
    from: [`${POURS}.0.waitS`],
    spread: 'heat.steam.spread',
  },
];
