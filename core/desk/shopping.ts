import { dryOf } from '../flow';
import type { LightForecast } from '../forecast/forecast.types';
import { boughtFor, boughtWords, lookAlikesIn, type Ingredient } from '../larder';

/** One thing to buy, by how it is bought. */
export interface ToBuy {
  readonly id: string;
  readonly name: string;
  /** Ready to use, g. */
  readonly usedG: number;
  /** As bought, less what is in the cupboard, g. */
  readonly buyG: number;
  /** Whole packs that cover it, where it comes in packs. */
  readonly packs?: { readonly count: number; readonly word: string; readonly massG: number };
  readonly words: string;
  /** True where the cupboard holds enough. */
  readonly inStock: boolean;
  readonly lookAlike?: string;
}

/** What no one buys. */
const FREE = new Set(['water', 'stock']);

/** A plan's shopping: every ingredient once, as it is bought, less what is in stock, look-alikes warned of where they are bought. */
export function shoppingFor(light: LightForecast): readonly ToBuy[] {
  const { larder } = light.resolved;
  const grams = new Map<string, { usedG: number; dryG: number | undefined }>();
  for (const l of light.flow.lines) {
    if (l.role === 'source' || l.massG <= 0.005) continue;
    const dry = dryOf(light.evaluated, l.id);
    const so = grams.get(l.ingredient);
    grams.set(l.ingredient, {
      usedG: (so?.usedG ?? 0) + l.massG,
      dryG: dry === undefined ? so?.dryG : (so?.dryG ?? 0) + dry,
    });
  }
  return [...grams]
    .flatMap(([id, { usedG, dryG }]): ToBuy[] => {
      const i = larder.get(id);
      return i && !FREE.has(id) ? [toBuy(i, usedG, dryG)] : [];
    })
    .sort((a, b) => Number(a.inStock) - Number(b.inStock) || b.buyG - a.buyG);
}

function toBuy(i: Ingredient, usedG: number, dryG: number | undefined): ToBuy {
  const needG = boughtFor(i, usedG, dryG).massG;
  const buyG = Math.max(0, needG - (i.stockG ?? 0));
  const inStock = i.stockG !== undefined && i.stockG >= needG - 1e-6;
  const [lookAlike] = lookAlikesIn([i]);
  return {
    id: i.id,
    name: i.name,
    usedG,
    buyG,
    inStock,
    words: boughtWords(i, usedG, dryG),
    ...(i.pack && buyG > 0
      ? { packs: { count: Math.ceil(buyG / i.pack.massG - 1e-6), word: i.pack.word, massG: i.pack.massG } }
      : {}),
    ...(lookAlike ? { lookAlike } : {}),
  };
}
