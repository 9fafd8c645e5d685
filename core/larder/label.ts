import { bad, good, problem, type Problem, type Result } from '../units';
import type { Composition } from './ingredientSchema';

/** A pack's per-100 g panel as printed. */
export interface Label {
  readonly energyKJ?: number;
  readonly fatG: number;
  readonly carbohydrateG: number;
  readonly sugarsG: number;
  readonly fibreG: number;
  readonly proteinG: number;
  readonly saltG: number;
}

/** Energy the parts should have, kJ per 100 g: 17 carbohydrate and protein, 37 fat, 8 fibre. */
export const labelEnergyKJ = (l: Label): number => 17 * (l.carbohydrateG + l.proteinG) + 37 * l.fatG + 8 * l.fibreG;

/**
 * Composition from a label: starch = carbohydrate − sugars, water = what is left of 100. Checks: sugars within carbohydrate, parts within 100,
 * energy within 20 % of the panel's, and salt that looks like sodium in milligrams.
 */
export function compositionFromLabel(label: Label): Result<Composition> {
  const problems: Problem[] = [];
  if (label.saltG > 100)
    problems.push(
      problem(
        'salt-or-sodium',
        'saltG',
        `${label.saltG} g of salt in 100 g cannot be: if the label says ${label.saltG} mg sodium, enter ${((label.saltG * 2.5) / 1000).toFixed(2)} g salt (sodium × 2.5).`,
      ),
    );
  if (label.sugarsG > label.carbohydrateG + 0.05)
    problems.push(
      problem(
        'sugars-over-carbohydrate',
        'sugarsG',
        `Sugars (${label.sugarsG} g) are part of carbohydrate (${label.carbohydrateG} g) and cannot be more; check which line is which.`,
      ),
    );
  const saltG = label.saltG > 100 ? (label.saltG * 2.5) / 1000 : label.saltG;
  const named: readonly (readonly [string, number])[] = [
    ['carbohydrate', label.carbohydrateG],
    ['fat', label.fatG],
    ['protein', label.proteinG],
    ['fibre', label.fibreG],
    ['salt', saltG],
  ];
  const parts = named.reduce((sum, [, g]) => sum + g, 0);
  if (parts > 102) {
    const said = named
      .filter(([, g]) => g >= 0.05)
      .sort((x, y) => y[1] - x[1])
      .map(([word, g]) => `${word} ${Number(g.toFixed(1))}`);
    problems.push(
      problem(
        'over-100',
        '',
        `${said.join(' + ')} make ${parts.toFixed(1)} g in 100 g; one of the figures is too high by at least ${(parts - 100).toFixed(1)} g.`,
      ),
    );
  }
  if (label.energyKJ !== undefined && label.energyKJ > 0) {
    const own = labelEnergyKJ(label);
    if (Math.abs(own / label.energyKJ - 1) > 0.2)
      problems.push(
        problem(
          'energy-off',
          'energyKJ',
          `These parts make ${Math.round(own)} kJ, the label says ${label.energyKJ}: ${Math.abs(own / (label.energyKJ * 4.184) - 1) < 0.2 ? 'the label figure is kcal, enter kJ' : 'check the figures'}.`,
        ),
      );
  }
  if (problems.length > 0) return bad(...problems);
  const water = Math.max(0, 100 - parts);
  return good({
    water,
    starch: Math.max(0, label.carbohydrateG - label.sugarsG),
    sugars: label.sugarsG,
    fat: label.fatG,
    protein: label.proteinG,
    fibreAsh: label.fibreG + label.saltG,
    salt: label.saltG,
  });
}
