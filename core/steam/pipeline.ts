/** Parts of one load's cycle, s. */
export interface CycleParts {
  readonly preheatS: number;
  readonly oilS: number;
  readonly fillS: number;
  readonly steamS: number;
  readonly coolS: number;
  readonly releaseS: number;
}

export interface PipelineInput {
  readonly pieces: number;
  /** Pieces that one mould set makes. */
  readonly perSet: number;
  readonly sets: number;
  /** Mould sets the steamer holds at a time. */
  readonly places: number;
  readonly parts: CycleParts;
}

export interface PipelineBar {
  readonly load: number;
  readonly set: number;
  readonly what: 'preheat' | 'fill' | 'steam' | 'cool' | 'release';
  readonly fromS: number;
  readonly toS: number;
  readonly resource: 'steamer' | 'hands' | 'counter';
}
export interface Pipeline {
  readonly bars: readonly PipelineBar[];
  readonly loads: number;
  readonly finishS: number;
  readonly perHour: number;
  readonly oneMoreSetSavesS: number;
}

function runPipeline({ pieces, perSet, sets, places, parts }: PipelineInput): {
  bars: PipelineBar[];
  loads: number;
  finishS: number;
} {
  const loads = Math.ceil(pieces / perSet);
  const setFree = new Array<number>(sets).fill(0);
  const placeFree = new Array<number>(places).fill(0);
  let hands = 0;
  const bars: PipelineBar[] = [];
  let finishS = 0;
  const earliest = (list: readonly number[]): number => list.reduce((best, t, i) => (t < list[best] ? i : best), 0);
  for (let load = 0; load < loads; load++) {
    const set = earliest(setFree);
    const place = earliest(placeFree);
    const inThis = Math.min(perSet, pieces - load * perSet);
    const share = inThis / perSet;
    const preFrom = Math.max(setFree[set], placeFree[place]);
    const preTo = preFrom + parts.preheatS;
    if (parts.preheatS > 0) bars.push({ load, set, what: 'preheat', fromS: preFrom, toS: preTo, resource: 'steamer' });
    const fillFrom = Math.max(preTo, hands);
    const fillTo = fillFrom + parts.oilS + parts.fillS * share;
    bars.push({ load, set, what: 'fill', fromS: fillFrom, toS: fillTo, resource: 'hands' });
    const steamTo = fillTo + parts.steamS;
    bars.push({ load, set, what: 'steam', fromS: fillTo, toS: steamTo, resource: 'steamer' });
    const coolTo = steamTo + parts.coolS;
    if (parts.coolS > 0) bars.push({ load, set, what: 'cool', fromS: steamTo, toS: coolTo, resource: 'counter' });
    const relFrom = Math.max(coolTo, fillTo);
    const relTo = relFrom + parts.releaseS * share;
    bars.push({ load, set, what: 'release', fromS: relFrom, toS: relTo, resource: 'hands' });
    hands = fillTo;
    setFree[set] = relTo;
    placeFree[place] = steamTo;
    finishS = Math.max(finishS, relTo);
  }
  return { bars, loads, finishS };
}

/**
 * Cups, bowls and sheets in repeated loads: one pair of hands, M mould sets, so many places in the steamer. Loads are taken in turn, each by the
 * first free set and place; filling waits for the hands. Says what one more set would save.
 */
export function pipeline(input: PipelineInput): Pipeline {
  const now = runPipeline(input);
  const more = runPipeline({ ...input, sets: input.sets + 1 });
  return {
    ...now,
    perHour: now.finishS > 0 ? (input.pieces / now.finishS) * 3600 : 0,
    oneMoreSetSavesS: Math.max(0, now.finishS - more.finishS),
  };
}

/** Thinnest and thickest of a thin pour on a counter that is off level: depth ± (width/2)·tan(tilt), not below nothing. */
export function tiltSpread(
  depthM: number,
  widthM: number,
  tiltDeg: number,
): { readonly thinM: number; readonly thickM: number } {
  const half = (widthM / 2) * Math.tan((tiltDeg * Math.PI) / 180);
  return { thinM: Math.max(0, depthM - half), thickM: depthM + half };
}
