import type { Advice } from './advice.types';
import { bandsFor } from './bandsFor';
import { beanAdvice, blendAdvice, coconutAdvice, liquidAdvice, surplusAdvice } from './batterAdvice';
import type { BatterSeen } from './batterSeen';
import { dosedAdvice } from './doseAdvice';
import { addInAdvice, alkaliAdvice, depthAdvice, fillingAdvice, saltAdvice, type CakeSeen } from './cakeAdvice';
import { shortName, there } from '../../units';

/**
 * What leaves its band, each with its grams and a fix that can be tried: blend, liquid, sugar, coconut, yeast, powder, oil and
 * alkali of every batter; salt, add-ins, binder, depth, layers and fillings of the cake; lime against aluminium.
 */
export function adviceFor(cake: CakeSeen): readonly Advice[] {
  const { family, resolved, balance, lines } = cake;
  const { plan, larder } = resolved;
  const nameOf = (id: string) => shortName(larder.get(id)?.name ?? id);
  const batters = balance.batters.flatMap((b, index) => {
    const seen: BatterSeen = {
      family,
      bands: bandsFor(family, plan, index),
      balance: b,
      index,
      named: plan.batters.length > 1 ? `${b.name}: ` : '',
      lines: lines.filter((l) => l.group === b.id && l.role === 'batter' && !l.id.includes('/')),
      wantedG: there(plan.batters[index]).wantedLiquidG,
      nameOf,
    };
    return [blendAdvice, liquidAdvice, surplusAdvice, dosedAdvice, coconutAdvice, beanAdvice].flatMap((ask) =>
      ask(seen),
    );
  });
  return [
    ...batters,
    ...[saltAdvice, addInAdvice, depthAdvice, fillingAdvice, alkaliAdvice].flatMap((ask) => ask(cake)),
  ];
}
