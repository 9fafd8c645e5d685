import type { ConductionRun } from '../heat';

/** Temperature and set-degree fields over time, for the section drawing. Values are row-major, x fastest, z up from the base. */
export interface FieldFrames {
  readonly nx: number;
  readonly nz: number;
  readonly halfWidthM: number;
  /** Cell edges from the middle outwards, m. */
  readonly edgesXM: readonly number[];
  /** Cell edges from the base up, m. */
  readonly edgesZM: readonly number[];
  readonly depthM: number;
  readonly timesS: readonly number[];
  /** °C, one array a frame; NaN outside the vessel. */
  readonly tempC: readonly Float32Array[];
  /** 0–1. */
  readonly gel: readonly Float32Array[];
}

/** The x–z plane through the middle of a grid (the whole grid when axisymmetric). */
const slice = (run: ConductionRun, values: Float64Array): Float32Array => {
  const [nx, ny, nz] = run.grid.n;
  const out = new Float32Array(nx * nz);
  for (let k = 0; k < nz; k++)
    for (let i = 0; i < nx; i++) {
      const c = k * ny * nx + i;
      out[k * nx + i] = run.grid.volume[c] > 0 ? values[c] : NaN;
    }
  return out;
};

/** Collects frames at a spacing that doubles whenever there are more than `most`. */
export function frameRecorder(run: ConductionRun, depthM: number, everyS: number, most = 60) {
  let spacing = everyS;
  let next = 0;
  let times: number[] = [];
  let temps: Float32Array[] = [];
  let gels: Float32Array[] = [];
  const keep = () => {
    times.push(run.timeS());
    temps.push(slice(run, run.temp));
    gels.push(slice(run, run.gel));
  };
  return {
    note() {
      if (run.timeS() + 1e-9 < next) return;
      keep();
      next = run.timeS() + spacing;
      if (times.length > most) {
        const even = <T>(a: T[]) => a.filter((_, i) => i % 2 === 0);
        [times, temps, gels] = [even(times), even(temps), even(gels)];
        spacing *= 2;
      }
    },
    frames(): FieldFrames {
      if (times[times.length - 1] !== run.timeS()) keep();
      return {
        nx: run.grid.n[0],
        nz: run.grid.n[2],
        halfWidthM: run.grid.edgesX[run.grid.n[0]],
        edgesXM: [...run.grid.edgesX],
        edgesZM: [...run.grid.edgesZ],
        depthM,
        timesS: times,
        tempC: temps,
        gel: gels,
      };
    },
  };
}
