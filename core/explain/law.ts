import type { Law } from '../units';

const fits = (pattern: readonly string[], path: readonly string[]): readonly string[] | undefined => {
  const stars: string[] = [];
  for (let i = 0; i < pattern.length; i++) {
    if (pattern[i] === '**') return stars;
    const key = path[i];
    if (key === undefined) return undefined;
    if (pattern[i] === '*') stars.push(key);
    else if (pattern[i] !== path[i]) return undefined;
  }
  return pattern.length === path.length ? stars : undefined;
};

/** The first of some laws that fits a path, with its inputs named. */
export function lawFor(laws: readonly Law[], path: readonly string[]): Law | undefined {
  for (const law of laws) {
    const stars = fits(law.at.split('.'), path);
    if (!stars) continue;
    const named = law.from.map((p) => {
      let k = 0;
      return p.replace(/#/g, () => stars[k++] ?? '0');
    });
    return { ...law, from: named };
  }
  return undefined;
}
