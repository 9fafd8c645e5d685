import type { Fix } from '../../stations/mix';
import { linesAt, placeOfPath, withLines } from '../../plan';
import { sayGrams } from '../../units';
import { becoming } from './becoming';
import { larderIn } from './amounts';
import type { Around, Ways } from './way.types';
import { none } from './way.types';

/** The line that a problem is about, taken out. */
function withoutIt({ look: { plan }, about }: Around, path = about): readonly Fix[] {
  const at = placeOfPath(path.replace(/\.ingredient$/, ''));
  if (!at) return [];
  const line = linesAt(plan, at.place)[at.index];
  if (!line) return [];
  return [
    becoming(
      `Leave out ${sayGrams(line.massG)} of “${line.ingredient}”`,
      plan,
      withLines(plan, at.place, (lines) => lines.filter((_, i) => i !== at.index)),
    ),
  ];
}

/** Where the only one of its kind stands: a problem of which there is but one has no place in its name. */
function pathOf(x: Around): string {
  const { plan } = x.look;
  const larder = larderIn(x);
  const lists = [
    ...plan.batters.map((b, i) => [`batters.${i}.lines`, b.lines] as const),
    ['addIns', plan.addIns] as const,
    ...plan.fillings.map((f, i) => [`fillings.${i}.lines`, f.lines] as const),
  ];
  for (const [path, lines] of lists) {
    const i = lines.findIndex((l) => !larder.has(l.ingredient));
    if (i >= 0) return `${path}.${i}`;
  }
  return '';
}

/** Ways out of what of a plan cannot be read. */
export const planWays: Ways<'plan'> = {
  // Nothing that could be tried.
  'unknown-family': none,
  'cannot-build': none,
  'reading-out-of-range': none,
  unreadable: none,
  'unknown-ingredient': (x) => [withoutIt(x, x.about || pathOf(x))],
};
