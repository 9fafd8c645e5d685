import { boilingPointC, figure, problem, type Problem, type ConcernCode, there } from '../units';
import { steamPower, type Kitchen } from '../kitchen';
import type { Plan, ResolvedPlan } from '../plan';
import { isRaised, wayOf, type Family } from '../families';
import { gellingOnset, setsAt, textureOf, TEXTURE_AXES, type Texture } from '../model/batter';
import { newKit } from '../flow/builders';
import {
  balanceOf,
  consistencyOf,
  evaluate,
  gellingOf,
  riseOf,
  setDegreeOf,
  streamAt,
  type Evaluation,
  type Flow,
  type FlowEnv,
  type PlanBalance,
} from '../flow';
import { cutFor, type CutPlan } from '../model/cut';
import { packPan } from '../model/sear';
import { bodyOf } from './body';
import type { Cake } from './cake.types';
import { fillFor } from './fill';
import { GRAMS_A_HEAD } from './gramsAHead';

/** A layer thinner than this is not a layer, m. */
const LEAST_LAYER_M = 0.001;
/** Heat alone swells a batter by so much. */
const LEAST_RISE = 1.03;
/** Set so far, a batter is a paste: it holds the air it was given. */
const PASTE_SET = 0.005;
/** Beyond this the numbers are a slip of the finger. */
const MOST_BATTER_G = 40_000;

/** The batch of a plan as a graph. @param pieces how many it makes, for what is made by the piece */
export function flowOf(resolved: ResolvedPlan, family: Family, pieces?: number): Flow {
  const kit = newKit(resolved, pieces);
  family.build(kit);
  return kit.b.end();
}

/** The kitchen as the laws of the flow see it. */
export function flowEnv({ plan, kitchen, ring }: ResolvedPlan): FlowEnv {
  return {
    roomC: kitchen.roomC,
    fridgeC: kitchen.fridgeC,
    boilC: boilingPointC(kitchen.altitudeM),
    gentleW: steamPower(ring, 'gentle').value,
    mediumW: steamPower(ring, 'medium').value,
    guests: plan.guests,
    paths: Object.fromEntries(plan.batters.map((b, i) => [b.id, `batters.${i}`])),
  };
}

/**
 * What is not known of a pour's temperature, °C, one standard deviation: of what is mixed raw; of a paste taken off by its look; of one measured on
 * its way, which has cooled since.
 */
const DOUBT_C = { raw: 3, paste: 7, probed: 2 } as const;
const startDoubtC = (e: Evaluation, startG: number): number =>
  e.nodes.some((n) => n.figures.toC?.source === 'measured')
    ? DOUBT_C.probed
    : startG > PASTE_SET
      ? DOUBT_C.paste
      : DOUBT_C.raw;

/** How it comes to the pan: what was read or computed at the pour. */
function pourOf(family: Family, flow: Flow, e: Evaluation, balance: PlanBalance): Cake['pour'] {
  const pan = streamAt(flow, e, 'pan');
  const node =
    e.byId.get('pour:cake') ?? e.byId.get('layer:cake') ?? e.byId.get('fill:cake') ?? e.byId.get('film:cake');
  const told = node?.figures.tempC ?? figure(pan.tempC);
  const startG = node?.figures.set?.value ?? setDegreeOf(flow.lines, pan);
  const startC = figure(told.value, told.source, told.source === 'measured' ? told.sd : startDoubtC(e, startG));
  const first = there(balance.batters[0]);
  const words =
    startC.source === 'measured'
      ? 'as you measured it'
      : !wayOf(family).overSteam && wayOf(family).into === 'pan'
        ? 'cooked through in the pot'
        : startG > 0.03
          ? 'part-cooked'
          : startC.value > gellingOnset(first.starchShares, first.sugarPhase)
            ? 'hot enough to part-cook as you stir'
            : 'mixed and raw';
  return {
    node: node?.node.id ?? 'pour:cake',
    startC,
    startG,
    startSetSd: node?.figures.set?.sd ?? 0,
    words,
    consistency: consistencyOf(flow.lines, pan),
  };
}

function textureFor(balance: PlanBalance, kitchen: Kitchen, family: string): Texture {
  const b = there(balance.batters[0]);
  const p = b.parts;
  const t = textureOf({
    starchShares: b.starchShares,
    concentration: p.starch + p.water + p.sugar > 0 ? p.starch / (p.starch + p.water + p.sugar) : 0,
    sugarPhase: b.sugarPhase,
    fatPct: b.fatPct,
    proteinPct: b.massG > 0 ? (100 * p.protein) / b.massG : 0,
    coarse: b.coarse,
  });
  const offset = kitchen.textureOffsets[family];
  if (!offset) return t;
  return Object.fromEntries(
    TEXTURE_AXES.map((a) => [a, Math.min(10, Math.max(0, t[a] + (offset[a] ?? 0)))]),
  ) as unknown as Texture;
}

/** What cannot work of an amount: more than a kitchen cooks, and layers that run together. */
function amountProblems(
  plan: ResolvedPlan['plan'],
  family: Family,
  massG: number,
  depthM: number,
): Problem<ConcernCode>[] {
  const out: Problem<ConcernCode>[] = [];
  if (massG > MOST_BATTER_G)
    out.push(
      problem(
        'absurd-amount',
        'batters',
        `${(massG / 1000).toFixed(0)} kg is more than a kitchen cooks at once; check the amounts.`,
      ),
    );
  const each = depthM / plan.layers;
  if (wayOf(family).stacked && depthM > 0 && each < LEAST_LAYER_M)
    out.push(
      problem(
        'layer-too-thin',
        'layers',
        `${plan.layers} layers of ${(each * 1000).toFixed(1)} mm run together: under 1 mm none is seen. Pour ${Math.max(1, Math.floor(depthM / 0.003))} of 3 mm, or take a smaller pan.`,
      ),
    );
  return out;
}

/** Slices as they lie in the pan: the smallest of their three sizes up, unless the cook says how thick. */
function slicesOf({ thicknessM }: NonNullable<Plan['sear']>, { pitchM }: CutPlan, depthM: number) {
  const [least, middle, most] = [...pitchM, depthM].sort((a, b) => a - b) as [number, number, number];
  return { thicknessM: thicknessM ?? least, faceM: [middle, most] as const };
}

/** A plan's cake, and what of it cannot work. */
export function cakeOf(
  resolved: ResolvedPlan,
  family: Family,
): { readonly cake: Cake; readonly problems: readonly Problem<ConcernCode>[] } {
  const { plan, vessel, kitchen, fryingPan } = resolved;
  const env = flowEnv(resolved);
  let flow = flowOf(resolved, family);
  let evaluated = evaluate(flow, env, plan.readings, plan.waits);
  let balance = balanceOf(resolved, flow, evaluated);
  const consistency = plan.batters.map((b) => consistencyOf(flow.lines, streamAt(flow, evaluated, `slurry:${b.id}`)));
  const gellings = plan.batters.map((b) => gellingOf(flow.lines, streamAt(flow, evaluated, `batter:${b.id}`)));
  const gelling = gellings.reduce((last, g) => (setsAt(g) > setsAt(last) ? g : last));
  const pour = pourOf(family, flow, evaluated, balance);
  // What has no gas of its own to rise by still swells a little.
  const raised = isRaised(family);
  const rise = raised ? Math.max(LEAST_RISE, riseOf(flow, streamAt(flow, evaluated, 'pan'), family.rise)) : family.rise;
  const body = bodyOf(flow, evaluated, balance, gelling, {
    meanC: pour.startC.value,
    rise: raised ? rise : 1,
    paste: pour.startG > PASTE_SET,
    roomC: kitchen.roomC,
  });
  const fill = fillFor(resolved, family, balance, rise, 1 / (1 - body.gasShare));
  const amounts = amountProblems(plan, family, balance.massG, fill.depthM);
  const elsewhereG = fill.others.reduce((a, x) => a + x.massEachG * x.count, 0);
  const gramsEachVessel = Math.max(0, balance.massG - elsewhereG) / plan.vesselCount;
  const cut =
    plan.cut && fill.depthM > 0 && gramsEachVessel > 0
      ? cutFor(vessel, fill.depthM, gramsEachVessel, plan.cut)
      : undefined;
  const seared = plan.sear && cut && cut.count > 0 ? slicesOf(plan.sear, cut, fill.depthM) : undefined;
  const packing = seared && packPan(fryingPan, ...seared.faceM);
  const pieces = cut ? cut.count * plan.vesselCount : plan.vesselCount;
  if (plan.accompaniments.some((a) => a.amount.by === 'piece')) {
    flow = flowOf(resolved, family, pieces);
    evaluated = evaluate(flow, env, plan.readings, plan.waits);
    balance = balanceOf(resolved, flow, evaluated);
  }
  const ferment = evaluated.nodes.find((n) => n.node.op === 'ferment');
  const gramsAHead = GRAMS_A_HEAD[plan.role];
  const neededG = gramsAHead * plan.guests;
  return {
    cake: {
      resolved,
      family,
      flow,
      env,
      evaluated,
      balance,
      consistency,
      gellings,
      gelling,
      body,
      texture: textureFor(balance, kitchen, family.id),
      pour,
      ferment:
        ferment && ferment.waitS > 0 && ferment.figures.needsS
          ? {
              timeS: ferment.waitS,
              tempC: there(ferment.figures.placeC).value,
              dosePct: there(ferment.figures.dosePct).value,
            }
          : undefined,
      fill,
      cut,
      pieces,
      packing,
      piece: seared,
      serves: { gramsAHead, neededG, enough: balance.massG >= neededG, gramsEach: balance.massG / plan.guests },
    },
    problems: [
      ...balance.problems,
      ...amounts,
      ...fill.problems,
      ...(cut?.problems ?? []),
      ...(packing?.problems ?? []),
    ],
  };
}
