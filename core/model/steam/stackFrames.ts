import type { ConductionRun, HeatGrid } from '../heat';
import type { FieldFrames } from './frames';

/** Fields of a growing stack over time, on the grid of the whole: NaN where nothing is poured yet. */
export function stackFrames(full: HeatGrid) {
  const [nx, ny, nz] = full.n;
  const plane = nx * ny;
  const kept: { t: number; temp: Float32Array; gel: Float32Array }[] = [];
  return {
    keep(run: ConductionRun, clockS: number) {
      const temp = new Float32Array(nx * nz).fill(NaN);
      const gel = new Float32Array(nx * nz).fill(NaN);
      for (let z = 0; z < run.grid.n[2]; z++)
        for (let x = 0; x < nx; x++) {
          if (run.grid.volume[z * plane + x] === 0) continue;
          temp[z * nx + x] = run.temp[z * plane + x];
          gel[z * nx + x] = run.gel[z * plane + x];
        }
      kept.push({ t: clockS + run.timeS(), temp, gel });
    },
    all: (depthM: number): FieldFrames => ({
      nx,
      nz,
      halfWidthM: full.edgesX[nx],
      edgesXM: [...full.edgesX],
      edgesZM: [...full.edgesZ],
      depthM,
      timesS: kept.map((f) => f.t),
      tempC: kept.map((f) => f.temp),
      gel: kept.map((f) => f.gel),
    }),
  };
}
