import { soakOf, type Ingredient } from '../../larder';
import type { LineInForce } from '../../plan';
import { lowerName, type Kit, type Softened } from './kit';

/** Split beans boil about so long where the larder does not say. */
const USUAL_BOIL_S = 1800;

/** True for what a plan weighs soaked or cooked, and that a cook has dry on the shelf. */
const comesDry = (i: Ingredient): boolean => i.uptake !== undefined && i.uptake.as !== 'dry';

/** Soaks or boils one line that the plan weighs soft. */
function soften(k: Kit, l: Pick<LineInForce, 'id' | 'ingredient' | 'tempC' | 'soakS' | 'soakC'>): Softened {
  const { b } = k;
  const i = k.ingredient(l);
  const dry = lowerName(i.name).replace('dried ', '');
  const piece = b.take(l.id, 'rest', { phase: 'piece', tempC: l.tempC });
  if (i.uptake?.as === 'cooked') {
    const name = `boiled ${dry}`;
    const [out] = b.node(
      'boil-tender',
      l.id,
      { forS: i.uptake.boilS ?? USUAL_BOIL_S, uptake: i.uptake.gPerG },
      [piece],
      [name],
      { resources: ['ring', 'pan'] },
    );
    return { piece: out, name };
  }
  const { soakS: forS, soakC: waterC } = l;
  const name = `soaked ${dry}`;
  const [out] = b.node('soak', l.id, { forS, ...soakOf(i, waterC), waterC, toWeight: true }, [piece], [name], {
    resources: ['bowl'],
  });
  return { piece: out, name };
}

/**
 * Puts on whatever has to soak or boil soft, of the batters, the add-ins, the fillings and the sauces alike: first of all, so that it is
 * ready when the knife is.
 */
export function softenAll(k: Kit): void {
  const { plan } = k;
  const lines = [
    ...plan.batters.flatMap((b) => b.lines),
    ...plan.addIns,
    ...plan.fillings.flatMap((f) => f.lines),
    ...plan.accompaniments.flatMap((a) => a.lines),
  ];
  for (const l of lines) if (k.b.has(l.id) && comesDry(k.ingredient(l))) k.softened.set(l.id, soften(k, l));
}
