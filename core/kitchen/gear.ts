import type { Appliance, FryingPan, Pot } from './gearSchema';

/** Materials that lime eats, of gear and of vessels. */
export const LIME_EATS = ['aluminium', 'foil'] as const;
export const isEatenByLime = (material: string): boolean => (LIME_EATS as readonly string[]).includes(material);
/** Pots, blenders and pans of a kitchen that lime must not meet. */
export const eatenByLime = (kitchen: {
  readonly pots: readonly Pot[];
  readonly appliances: readonly Appliance[];
}): readonly (Pot | Appliance)[] =>
  [...kitchen.pots, ...kitchen.appliances.filter((a) => a.kind !== 'microwave')].filter((x) =>
    isEatenByLime(x.material),
  );

/** Area of a pan's base, m². */
export const panAreaM2 = (p: FryingPan): number =>
  p.shape === 'rectangular' ? p.diameterM * (p.widthM ?? p.diameterM) : (Math.PI / 4) * p.diameterM ** 2;
