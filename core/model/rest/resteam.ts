import { HOT_THROUGH_C } from '../../units';
import { conduct, roundGrid, type HeatMaterial } from '../heat';

const FRESH_C = 65;

/**
 * Seconds of steam until a chilled piece is tender again (all of it above 65 °C) and hot through (its middle at 74 °C), lying on a plate that
 * steam reaches from above and the sides. A piece is taken as a cylinder of its thickness and width.
 * @returns undefined when it does not get there in an hour
 */
export function resteamTime(
  material: HeatMaterial,
  thicknessM: number,
  widthM: number,
  fromC: number,
  steamC: number,
  filmH = 220,
): { readonly tenderS: number; readonly hotS: number } | undefined {
  const open = { filmH, outerR: 0, innerR: 0, capacity: 0, ambientC: steamC };
  const run = conduct({
    grid: roundGrid(() => widthM / 2, thicknessM, 8, 10),
    materials: [material],
    initialC: fromC,
    sides: { base: { ...open, outerR: 0.004 }, wall: open, top: open },
    toleranceC: 1.5,
  });
  let tender: number | undefined;
  while (run.timeS() < 3600) {
    run.advance(3600);
    const least = run.temp.reduce((a, b) => Math.min(a, b), Infinity);
    if (tender === undefined && least >= FRESH_C) tender = run.timeS();
    if (tender !== undefined && least >= HOT_THROUGH_C) return { tenderS: tender, hotS: run.timeS() };
  }
  return undefined;
}
