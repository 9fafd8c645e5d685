/** What a field comes to over its cells: least and greatest temperature, mean by volume, least set degree, and where the least are. */
export interface Survey {
  readonly leastC: number;
  readonly mostC: number;
  readonly meanC: number;
  readonly leastG: number;
  readonly coldestCell: number;
  readonly softestCell: number;
}

/**
 * Surveys a field once; cells without volume are outside the vessel and do not count.
 * @param piecesTemp where pieces lie in it: the colder of the two counts
 */
export function survey(temp: Float64Array, gel: Float64Array, volume: Float64Array, piecesTemp?: Float64Array): Survey {
  let leastC = Infinity;
  let mostC = -Infinity;
  let leastG = Infinity;
  let coldestCell = 0;
  let softestCell = 0;
  let sum = 0;
  let whole = 0;
  for (let c = 0; c < volume.length; c++) {
    const v = volume[c];
    if (v === 0) continue;
    const t = piecesTemp && piecesTemp[c] < temp[c] ? piecesTemp[c] : temp[c];
    const g = gel[c];
    if (t < leastC) {
      leastC = t;
      coldestCell = c;
    }
    if (t > mostC) mostC = t;
    if (g < leastG) {
      leastG = g;
      softestCell = c;
    }
    sum += t * v;
    whole += v;
  }
  return { leastC, mostC, meanC: sum / whole, leastG, coldestCell, softestCell };
}
