import { isEatenByLime, type Appliance, type Pot } from '../kitchen';
import { isLimed, streamMass, traitsOf, type EvaluatedNode, type Operation, type Stream } from '../flow';
import { sayWater, there } from '../units';
import { freshLines, theName, type StepContext } from './context';

type Kind = Pot['kind'] | Appliance['kind'];
/** As full as each may be: a boil rises, a blender throws (house figures). */
const FULL: Readonly<Record<Kind, number>> = {
  pot: 0.75,
  saucepan: 0.75,
  wok: 0.6,
  blender: 0.66,
  processor: 0.5,
  grinder: 0.66,
  microwave: 0.5,
};

export interface GearChoice {
  readonly gear: Pot | Appliance;
  /** In how many goes it is done there. */
  readonly goes: number;
}

/**
 * The best of a kitchen for so much: of the fittest kind, the smallest that holds it; where none does, the largest, in goes.
 * @param volumeMl what has to go in, ml
 * @param avoid true for a material it must not meet
 */
export function gearFor(
  all: readonly (Pot | Appliance)[],
  kinds: readonly (readonly Kind[])[],
  volumeMl: number,
  avoid: (material: Pot['material']) => boolean = () => false,
): GearChoice | undefined {
  const rank = (g: Pot | Appliance) => kinds.findIndex((group) => group.includes(g.kind));
  const able = all.filter((g) => rank(g) >= 0 && !avoid(g.material));
  const room = (g: Pot | Appliance) => g.capacityMl * FULL[g.kind];
  const holding = able
    .filter((g) => room(g) >= volumeMl)
    .sort((a, b) => rank(a) - rank(b) || a.capacityMl - b.capacityMl);
  const gear = holding[0] ?? [...able].sort((a, b) => room(b) - room(a))[0];
  return gear && { gear, goes: Math.max(1, Math.ceil(volumeMl / room(gear) - 1e-9)) };
}

const grams = (n: EvaluatedNode<Operation>, c: StepContext): number => {
  const freshG = freshLines(n, c).reduce((a, x) => a + x.massG, 0);
  // Only what is brought to the boil is in the pot; it is poured into the bowl.
  if (n.node.op === 'scald' && freshG > 0) return freshG;
  const sum = (all: readonly Stream[]) => all.reduce((a, s) => a + streamMass(s), 0);
  return Math.max(sum(n.carried) + freshG, sum(n.outs));
};

/** What goes on in the pot it stands in: it has to hold that too. */
const potGrams = (n: EvaluatedNode<Operation>, c: StepContext): number => {
  const next = c.e.nodes.find((m) => traitsOf(m.node.op).samePot && n.node.outs.some((o) => m.node.ins.includes(o)));
  return Math.max(grams(n, c), next && traitsOf(n.node.op).heat && traitsOf(n.node.op).gear ? potGrams(next, c) : 0);
};

/** The pot, wok or blender of this kitchen that a step is done in; undefined where it needs none, or the kitchen has none. */
export function gearOf(n: EvaluatedNode<Operation>, c: StepContext): GearChoice | undefined {
  const need = traitsOf(n.node.op).gear;
  const { kitchen } = c.light.resolved;
  if (!need) return undefined;
  const boilMl = n.node.op === 'parboil' ? there(n.figures.waterG).value : 0;
  const limed = isLimed(c.light.flow.lines);
  return gearFor(
    // What is only mashed or stirred is no work for a pot.
    n.node.resources.includes('ring') ? [...kitchen.pots, ...kitchen.appliances] : kitchen.appliances,
    need.kinds,
    potGrams(n, c) / need.gPerMl + boilMl,
    (material) => limed && isEatenByLime(material),
  );
}

/** "Use the enamel pot (5 l) on the front ring at 5, in 2 goes: it holds 5 l.": the cook's own gear, where the step is done in some. */
export function gearWords(found: GearChoice, ring?: string): string {
  const { gear, goes } = found;
  const small = goes > 1 ? `, in ${goes} goes: it holds ${sayWater(gear.capacityMl)}` : '';
  return `Use ${theName(gear.name)}${ring === undefined ? '' : ` on the ${ring}`}${small}.`;
}
