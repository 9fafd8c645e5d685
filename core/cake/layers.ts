import { there } from '../units';
import type { FlowNode } from '../flow';
import { layerShares } from '../plan';
import type { Cake } from './cake.types';

/** Which batter each layer is of, from the base up, as the flow has them; none where nothing is layered. */
export function layersIn(light: Cake): readonly number[] {
  const node = light.flow.nodes.find((n) => n.op === 'layer') as FlowNode<'layer'> | undefined;
  return node?.settings.order ?? [];
}

/** Colours of the layers: the plan's own for one batter split, else each batter's. */
export function layerBatters(light: Cake): readonly {
  readonly name: string;
  readonly colour: string;
  readonly balance: Cake['balance']['batters'][number];
  readonly share: number;
  readonly stirEveryS: number;
  readonly gelling: Cake['gelling'];
}[] {
  const { plan } = light.resolved;
  if (plan.batters.length === 1 && plan.colours.length > 1) {
    const shares = layerShares(layersIn(light).length, plan.colours.length);
    return plan.colours.map(({ name, colour }, i) => ({
      name,
      colour,
      balance: there(light.balance.batters[0]),
      share: there(shares[i]),
      stirEveryS: there(light.consistency[0]).stirEveryS,
      gelling: there(light.gellings[0]),
    }));
  }
  return plan.batters.map((b, i) => ({
    name: b.name,
    colour: b.colour,
    balance: there(light.balance.batters[i]),
    share: 1,
    stirEveryS: there(light.consistency[i]).stirEveryS,
    gelling: there(light.gellings[i]),
  }));
}
