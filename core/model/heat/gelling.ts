import { doubles, wholes } from './arena';
import { decayShare } from './decay';
import { BEFORE, GEL, TEMP, type Field } from './field';
import { NODE } from './tables';

/** Above this a cell counts as wholly set. */
const SET = 0.9999;

/** Sets every cell over a step at the mean of its temperatures before and after: dG/dt = (Geq − G)·k, never back. */
export const gelCells = (() => {
  const a = doubles;
  const kind = wholes;
  return (f: Field, dt: number): void => {
    const { size, pitch } = f;
    const { fromC, gel: table, gelPerC, gelNodes, gels } = f.tables;
    if (gelNodes === 0) return;
    const last = gelNodes - 1;
    const temp = TEMP * pitch;
    const before = BEFORE * pitch;
    const gel = GEL * pitch;
    for (let c = 0; c < size; c++) {
      const m = kind[c];
      const g = a[(gel + c) | 0];
      if (g > SET || gels[m] === 0) continue;
      const x = ((a[(temp + c) | 0] + a[(before + c) | 0]) * 0.5 - fromC) * gelPerC;
      let i = x | 0;
      let part = x - i;
      if (i < 0 || i >= last) {
        i = i < 0 ? 0 : last;
        part = 0;
      }
      const at = (table + (m * gelNodes + i) * NODE) | 0;
      const lack = a[at] + part * a[(at + 1) | 0] - g;
      if (lack > 1e-9) a[(gel + c) | 0] = g + lack * decayShare(dt * (a[(at + 2) | 0] + part * a[(at + 3) | 0]));
    }
  };
})();
