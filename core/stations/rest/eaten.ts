import { there } from '../../units';
import type { Allergen } from '../../larder';
import type { Eaten } from '../../model/rest';
import type { Cake } from '../../cake';

/** Beans that the larder counts as grain, and pearls of starch that it counts among the add-ins. */
const BEANS: ReadonlySet<string> = new Set(['mung-beans-dry']);
const PEARLS = 'tapioca-pearls';

/** Allergens that tell of what spoils: bean, egg, milk, seafood; meat is told apart. */
const SPOILING: ReadonlySet<string> = new Set<Allergen>(['egg', 'milk', 'soya', 'fish', 'crustacean', 'mollusc']);

/** True where a cake holds coconut, bean, egg, meat or seafood. */
const spoils = (light: Cake): boolean =>
  light.balance.allergens.some((a) => SPOILING.has(a)) ||
  light.flow.lines.some(
    (l) =>
      l.massG > 0 &&
      l.ingredient !== PEARLS &&
      (l.kind === 'coconut' ||
        l.kind === 'protein' ||
        l.ingredient.startsWith('coconut-milk') ||
        BEANS.has(l.ingredient)),
  );

/** What decides how long a cake may stand at room temperature. */
export const eatenOf = (light: Cake): Eaten => ({
  spoils: spoils(light),
  sugarPhase: there(light.balance.batters[0]).sugarPhase,
});
