import { boilingPointC, figure, problem, sayMm, type Problem, type Result, good, bad } from './units';
import { steamPower, type Kitchen } from './kitchen';
import { resolvePlan, type Plan, type ResolvedPlan } from './plan';
import { familyOf, isRaised, type Family, wayOf } from './families';
import { bodyOf } from './cakeBody';
import { setsAt } from './mix';
import { newKit } from './flow/build';
import {
  balanceOf,
  consistencyOf,
  evaluate,
  FlowError,
  gellingOf,
  riseOf,
  setDegreeOf,
  streamAt,
  type Evaluation,
  type Flow,
  type FlowEnv,
  type PlanBalance,
} from './flow';
import { gellingOnset, textureOf, TEXTURE_AXES, type Texture } from './mix';
import { cutFor } from './cut';
import { packPan } from './sear';
import { adviceFor, worstFirst, type Advice } from './bands';
import { fewerLoads } from './fewerLoads';
import { fillFor, nothingToHeat } from './forecastFill';
import { GRAMS_A_HEAD } from './gramsAHead';
import type { LightForecast } from './forecast.types';

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

/** How it comes to the pan: what was read or computed at the pour. */
function pourOf(family: Family, flow: Flow, e: Evaluation, balance: PlanBalance): LightForecast['pour'] {
  const pan = streamAt(flow, e, 'pan');
  const node =
    e.byId.get('pour:cake') ?? e.byId.get('layer:cake') ?? e.byId.get('fill:cake') ?? e.byId.get('film:cake');
  const startC = node?.figures.tempC ?? figure(pan.tempC);
  const startG = node?.figures.set?.value ?? setDegreeOf(flow.lines, pan);
  const first = balance.batters[0];
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
  const b = balance.batters[0];
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

/**
 * Everything about a plan that needs no heat solver. Errors: unknown family or references, `cannot-build` for a document whose
 * lines cannot be brought together; soft problems are in the value.
 */
export function forecastLight(plan: Plan, kitchen: Kitchen): Result<LightForecast> {
  try {
    return lightOf(plan, kitchen);
  } catch (e) {
    if (!(e instanceof FlowError)) throw e;
    return bad(
      problem(
        'cannot-build',
        'batters',
        `This plan cannot be brought together: ${e.message}. Take that line out and add it again.`,
      ),
    );
  }
}

function lightOf(document: Plan, kitchen: Kitchen): Result<LightForecast> {
  const family = familyOf(document.family);
  // What it refers to is looked up, and told, whatever its family.
  const resolved = resolvePlan(document, kitchen, family.ok ? family.value : { schools: {} });
  if (!family.ok || !resolved.ok)
    return bad(...(family.ok ? [] : family.problems), ...(resolved.ok ? [] : resolved.problems));
  const fam = family.value;
  const r = resolved.value;
  const { plan } = r;
  const env = flowEnv(r);
  let flow = flowOf(r, fam);
  let evaluated = evaluate(flow, env, plan.readings, plan.waits);
  let balance = balanceOf(r, flow, evaluated);
  const problems: Problem[] = [];
  if (balance.massG > MOST_BATTER_G)
    problems.push(
      problem(
        'absurd-amount',
        'batters',
        `${(balance.massG / 1000).toFixed(0)} kg is more than a kitchen cooks at once; check the amounts.`,
      ),
    );
  const consistency = plan.batters.map((b) => consistencyOf(flow.lines, streamAt(flow, evaluated, `slurry:${b.id}`)));
  const gellings = plan.batters.map((b) => gellingOf(flow.lines, streamAt(flow, evaluated, `batter:${b.id}`)));
  const gelling = gellings.reduce((last, g) => (setsAt(g) > setsAt(last) ? g : last));
  const pour = pourOf(fam, flow, evaluated, balance);
  // What has no gas of its own to rise by still swells a little.
  const raised = isRaised(fam);
  const rise = raised ? Math.max(LEAST_RISE, riseOf(flow, streamAt(flow, evaluated, 'pan'), fam.rise)) : fam.rise;
  const body = bodyOf(flow, evaluated, balance, gelling, {
    meanC: pour.startC.value,
    rise: raised ? rise : 1,
    paste: pour.startG > PASTE_SET,
    roomC: r.kitchen.roomC,
  });
  const fill = fillFor(r, fam, balance, rise, 1 / (1 - body.gasShare));
  problems.push(...fill.problems);
  if (wayOf(fam).stacked && fill.depthM > 0) {
    const each = fill.depthM / plan.layers;
    if (each < LEAST_LAYER_M)
      problems.push(
        problem(
          'layer-too-thin',
          'layers',
          `${plan.layers} layers of ${(each * 1000).toFixed(1)} mm run together: under 1 mm none is seen. Pour ${Math.max(1, Math.floor(fill.depthM / 0.003))} of 3 mm, or take a smaller pan.`,
        ),
      );
  }
  const elsewhereG = fill.others.reduce((a, x) => a + x.massEachG * x.count, 0);
  const gramsEachVessel = Math.max(0, balance.massG - elsewhereG) / plan.vesselCount;
  const cut =
    plan.cut && fill.depthM > 0 && gramsEachVessel > 0
      ? cutFor(r.vessel, fill.depthM, gramsEachVessel, plan.cut)
      : undefined;
  if (cut) problems.push(...cut.problems);
  let piece: LightForecast['piece'];
  let packing: LightForecast['packing'];
  if (plan.sear && cut && cut.count > 0) {
    const sizes = [cut.pitchM[0], cut.pitchM[1], fill.depthM].sort((a, b) => a - b);
    piece = { thicknessM: plan.sear.thicknessM ?? sizes[0], faceM: [sizes[1], sizes[2]] };
    packing = packPan(r.fryingPan, sizes[1], sizes[2]);
    problems.push(...packing.problems);
  }
  const pieces = cut ? cut.count * plan.vesselCount : plan.vesselCount;
  if (plan.accompaniments.some((a) => a.amount.by === 'piece')) {
    flow = flowOf(r, fam, pieces);
    evaluated = evaluate(flow, env, plan.readings, plan.waits);
    balance = balanceOf(r, flow, evaluated);
  }
  problems.unshift(...balance.problems);
  const cold = nothingToHeat({ depthM: fill.depthM, vessel: r.vessel, balance, problems });
  if (cold) problems.push(cold);
  const gramsAHead = GRAMS_A_HEAD[plan.role];
  const neededG = gramsAHead * plan.guests;
  const flowing = evaluated.warnings.map(({ id, sentence }): Advice => ({ id, grade: 'spoils', sentence, fixes: [] }));
  const advice: Advice[] = [
    ...flowing,
    ...adviceFor({ family: fam, resolved: r, balance, lines: flow.lines, fill }),
    ...fill.advice.map(({ code, sentence }): Advice => ({ id: code, grade: 'spoils', sentence, fixes: [] })),
  ];
  // Cups and sheets are made many times over by their nature; a cake in turns is minded where this kitchen could do it in fewer.
  if (!wayOf(fam).refilled && fill.fits && fewerLoads(r, fam, balance, fill))
    advice.push({
      id: 'loads',
      grade: 'better',
      sentence: `${plan.vesselCount} pans go in ${fill.perLoad === 1 ? 'one' : fill.perLoad} at a time: ${fill.loads} loads, and the batter of the later ones waits.`,
      fixes: [],
    });
  if (piece && piece.thicknessM > 0.03)
    advice.push({
      id: 'thick-pieces',
      grade: 'better',
      sentence: `Pieces ${sayMm(piece.thicknessM)} thick take long to heat through in the pan.`,
      fixes: [],
    });
  const ferment = evaluated.nodes.find((n) => n.node.op === 'ferment');
  return good({
    resolved: r,
    family: fam,
    flow,
    env,
    evaluated,
    balance,
    consistency,
    gellings,
    gelling,
    body,
    texture: textureFor(balance, kitchen, fam.id),
    pour,
    ferment:
      ferment && ferment.waitS > 0 && ferment.figures.needsS
        ? { timeS: ferment.waitS, tempC: ferment.figures.placeC.value, dosePct: ferment.figures.dosePct.value }
        : undefined,
    fill,
    cut,
    pieces,
    packing,
    piece,
    serves: { gramsAHead, neededG, enough: balance.massG >= neededG, gramsEach: balance.massG / plan.guests },
    problems,
    advice: worstFirst(advice),
  });
}
