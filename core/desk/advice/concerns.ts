import { worstFirst, type Advice, type Grade } from '../../stations/mix';
import type { HeatForecast, LightForecast } from '../../forecast';
import { goldenBeforeHot } from '../../stations/sear';
import { overWater, potIn, pourSteam, PUDDLE_M } from '../../stations/steam';
import { sheetForecast } from '../../stations/mix/sheet';
import { sayC, sayDuration, sayMm, type Problem, RAW_FILLING_C, SHRIMP_C, WET_WARM } from '../../units';

/** So many things to mind are shown at once. */
export const SHOWN = 5;

/** From here on water on the top of a cake spoils its face, m. */
const POOL_M = 0.0025;
/** Rice and grain stand wet and warm at most so many times what is planned. */
const OVERLONG = 1.5;
/** Under this share of what is wanted a head, there is too little. */
const SCANT = 0.9;

/** A problem as something to mind: it cannot work so. Several of one kind are told apart by their place. */
export const ofProblem = (p: Problem, all: readonly Problem[]): Advice => ({
  id: all.filter((x) => x.code === p.code).length > 1 ? `${p.code}:${p.path}` : p.code,
  grade: 'impossible',
  sentence: p.sentence,
  fixes: [],
});

const said = (id: string, grade: Grade, sentence: string): Advice => ({ id, grade, sentence, fixes: [] });

/** What stands too long wet and warm: a soak, and a rise beyond what it needs. */
function standsWarm(light: LightForecast): readonly Advice[] {
  const { kitchen, plan } = light.resolved;
  return light.evaluated.nodes.flatMap((n) => {
    const [op, about] = [n.node.op, n.node.id.slice(n.node.id.indexOf(':') + 1)];
    if (op !== 'soak' && op !== 'ferment') return [];
    const placeC = op === 'ferment' ? (n.figures.placeC?.value ?? kitchen.roomC) : kitchen.roomC;
    const needsS = op === 'ferment' ? (n.figures.needsS?.value ?? 0) : 0;
    const mostS = Math.max(WET_WARM.mostS, OVERLONG * needsS);
    const waitS = Math.max(n.waitS, plan.waits[n.node.id] ?? 0);
    if (placeC < WET_WARM.fromC || waitS <= mostS) return [];
    const name =
      light.flow.lines
        .find((l) => l.id === about)
        ?.name.toLowerCase()
        .split(/[,(]/)[0]
        .trim() ?? 'batter';
    return [
      said(
        `stands-warm:${n.node.id}`,
        'unsafe',
        `The ${name} stands wet at ${Math.round(placeC)} °C for ${sayDuration(waitS)}: over ${sayDuration(mostS)} a poison can form that no cooking destroys. Chill it, or keep to what is planned; throw out what smells musty.`,
      ),
    ];
  });
}

/** Fillings that go in raw and are called done too soon. */
const rawFillings = ({ resolved: { plan } }: LightForecast): readonly Advice[] =>
  plan.fillings
    .filter((f) => f.doneness === 'raw' && f.lines.length > 0 && f.safeC < SHRIMP_C)
    .map((f) =>
      said(
        `raw-filling:${f.id}`,
        'unsafe',
        `${f.name} goes in raw and counts as done at ${f.safeC} °C: minced meat and egg want ${RAW_FILLING_C} °C in the middle, shrimp ${SHRIMP_C} °C.`,
      ),
    );

function ofSteam(heat: HeatForecast): readonly Advice[] {
  const steam = overWater(heat);
  if (!steam) return [];
  const puddle = pourSteam(heat)?.puddle;
  return [
    ...(steam.times && steam.spread?.mayNeverSet
      ? [
          said(
            'may-never-set',
            'spoils',
            `It sets at ${sayDuration(steam.times.firstCleanPickS.value)} only if all goes as reckoned: a little colder or deeper, and the middle stays soft.`,
          ),
        ]
      : []),
    ...(puddle && puddle.leftM > PUDDLE_M
      ? [
          said(
            'puddle',
            puddle.leftM > POOL_M ? 'spoils' : 'better',
            `About ${sayMm(puddle.leftM)} of water lies on top at the end${puddle.dripsG > 1 ? `: ${Math.round(puddle.dripsG)} g drip from the lid` : ''}.`,
          ),
        ]
      : []),
  ];
}

function ofRest({ rest }: HeatForecast, { family }: LightForecast): readonly Advice[] {
  if (!rest) return [];
  const { check } = rest;
  if (!check.safe) return [said('cools-slow', 'unsafe', check.sentence)];
  if (check.rule === 'room' && check.eatByS !== undefined && rest.stagesEndS > check.eatByS)
    return [
      said(
        'left-out',
        'unsafe',
        `Left out for ${sayDuration(rest.stagesEndS)}, and ${sayDuration(check.eatByS)} after the steam is the limit: eat it sooner, or chill it. Local food codes rule.`,
      ),
    ];
  return rest.cutReadyAtS === undefined
    ? [
        said(
          'never-firm',
          'spoils',
          `As it is cooled its middle comes down to ${sayC(Math.min(...rest.curve.map((p) => p.centreC)))}, and it cuts clean at ${sayC(family.cutC)}.`,
        ),
      ]
    : [];
}

function ofSear({ sear }: HeatForecast): readonly Advice[] {
  if (!sear) return [];
  if (!sear.result.reached) return [said('sear-pale', 'spoils', sear.words)];
  return sear.hotThrough ? [] : [said('sear-cold', 'unsafe', goldenBeforeHot(sear.minutesASide[0], sear.coreC))];
}

function ofSheet(light: LightForecast): readonly Advice[] {
  const sheet = sheetForecast(light);
  if (!sheet || (sheet.rolls && sheet.lifts)) return [];
  return [said(sheet.rolls ? 'sheet-tears' : 'sheet-cracks', 'spoils', sheet.sentence)];
}

function ofServing({ serves, balance, family }: LightForecast): readonly Advice[] {
  if (balance.massG <= 0 || serves.gramsEach >= SCANT * serves.gramsAHead) return [];
  return [
    said(
      'too-little',
      'better',
      `${Math.round(serves.gramsEach)} g a head of ${family.name.toLowerCase()}, where ${serves.gramsAHead} g is usual.`,
    ),
  ];
}

function ofPot(heat: HeatForecast): readonly Advice[] {
  const pot = potIn(heat);
  return pot && pot.throughS > pot.scorchS
    ? [
        said(
          'scorches',
          'spoils',
          `It wants ${sayDuration(pot.throughS)} in the pot and its bottom scorches after ${sayDuration(pot.scorchS)}.`,
        ),
      ]
    : [];
}

/**
 * All there is to mind about a plan, worst first: what is unsafe, what cannot work, what spoils it, what could be better. A fault keeps its id
 * while it is mended. Fixes are proposed here only where the bands propose them; {@link waysOut} knows the others.
 * @param heat undefined while it is not worked out: what hangs on it is then not said
 */
export function concernsOf(light: LightForecast, heat: HeatForecast | undefined): readonly Advice[] {
  const problems = [...light.problems, ...(heat?.problems ?? [])];
  return worstFirst([
    ...standsWarm(light),
    ...rawFillings(light),
    ...problems.map((p) => ofProblem(p, problems)),
    ...light.advice,
    ...ofSheet(light),
    ...(heat ? [...ofPot(heat), ...ofSteam(heat), ...ofRest(heat, light), ...ofSear(heat)] : []),
    ...ofServing(light),
  ]);
}
