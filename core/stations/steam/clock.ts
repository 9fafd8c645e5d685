import type { FieldFrames } from '../../model/steam';

/** A time of the model on the cook's clock: what was learned of the steamer stretches the steaming, not the standing. */
export const clockS = (t: number, factor: number, steamedS: number): number =>
  t <= steamedS ? t * factor : steamedS * factor + (t - steamedS);

export const onClock = (frames: FieldFrames, factor: number, steamedS: number): FieldFrames => ({
  ...frames,
  timesS: frames.timesS.map((t) => clockS(t, factor, steamedS)),
});
