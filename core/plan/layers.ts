/** Which batter each layer takes: batters by turns. */
export const layerOrder = (layers: number, batters: number): readonly number[] =>
  Array.from({ length: layers }, (_, i) => i % Math.max(1, batters));

/** Share of all layers that each batter is: every layer is the same, so one that comes up once less gets so much less. */
export function layerShares(layers: number, batters: number): readonly number[] {
  const order = layerOrder(layers, batters);
  return Array.from({ length: batters }, (_, i) => order.filter((x) => x === i).length / order.length);
}

/** How many layers a plan pours: its own number, or its family's usual one; what is not layered is poured at once. */
export const layersOf = (
  plan: { readonly layers?: number | undefined },
  family: { readonly usualLayers?: number },
): number => plan.layers ?? family.usualLayers ?? 1;
