import type { Larder } from '../../larder';
import { standInsFor } from '../substitutes';
import type { Offer } from './offer';

/** What lacks for a cake, with what of the cupboard could stand in for it. */
export interface Lacking {
  readonly id: string;
  readonly massG: number;
  /** It is for a sauce or topping only. */
  readonly beside: boolean;
  readonly standIn: string | undefined;
}

/** A thing with a stand-in lacks so much less, and one for the sauce only. */
const STOOD_IN = 0.3;
const BESIDE = 0.25;

/** What of a cake's ingredients is not at hand. @param have ids at hand */
export const lackingOf = (offer: Pick<Offer, 'needs'>, have: ReadonlySet<string>, larder: Larder): readonly Lacking[] =>
  offer.needs
    .filter((n) => !have.has(n.id))
    .map((n) => {
      const i = larder.get(n.id);
      return { ...n, standIn: i && standInsFor(i, larder).find((s) => have.has(s.to))?.to };
    });

/** How much lacks: whole things count one, what can be stood in for and what is only eaten beside it less. */
export const lacksOf = (lacking: readonly Lacking[]): number =>
  lacking.reduce((a, l) => a + (l.beside ? BESIDE : 1) * (l.standIn === undefined ? 1 : STOOD_IN), 0);
