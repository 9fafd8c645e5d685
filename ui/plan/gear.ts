import {
  DEFAULT_PAN,
  DEFAULT_STEAMER,
  DEFAULT_VESSEL,
  type FryingPan,
  type Hob,
  type Kitchen,
  type Ring,
  type Steamer,
  type Vessel,
} from '@/core/kitchen';
import type { Plan } from '@/core/plan';

/** What a plan can be made in: the rack's, else the one that is assumed, and one that the plan brings along. */
const onHand = <T extends { id: string }>(rack: readonly T[], usual: T, own: string | T | undefined): readonly T[] => [
  ...(rack.length > 0 ? rack : [usual]),
  ...(typeof own === 'object' ? [own] : []),
];
export const vesselsFor = (k: Kitchen, plan: Plan): readonly Vessel[] => onHand(k.vessels, DEFAULT_VESSEL, plan.vessel);
export const steamersFor = (k: Kitchen, plan: Plan): readonly Steamer[] =>
  onHand(k.steamers, DEFAULT_STEAMER, plan.steamer);
export const pansFor = (k: Kitchen, plan: Plan): readonly FryingPan[] =>
  onHand(k.fryingPans, DEFAULT_PAN, plan.fryingPan);

/** A ring of a hob by one name. */
export const ringId = (hob: Hob, ring: Ring): string => `${hob.id}/${ring.id}`;
export const ringsFor = (k: Kitchen): readonly { readonly id: string; readonly hob: Hob; readonly ring: Ring }[] =>
  k.hobs.flatMap((hob) => hob.rings.map((ring) => ({ id: ringId(hob, ring), hob, ring })));
/** The plan on a ring by that name. */
export function onRing(plan: Plan, id: string): Plan {
  const [hob, ring] = id.split('/');
  return { ...plan, hob, ring };
}
