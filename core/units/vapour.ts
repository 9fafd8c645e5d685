/** Saturation pressure of water, Pa (Magnus form, −10 to 115 °C, within 3 %). */
export const saturationPa = (tempC: number): number => 610.94 * Math.exp((17.625 * tempC) / (tempC + 243.04));

/** Its slope, Pa/K. */
export const saturationSlope = (tempC: number): number =>
  (saturationPa(tempC) * 17.625 * 243.04) / (tempC + 243.04) ** 2;

/** Temperature at which water vapour of a pressure condenses, °C: the inverse of {@link saturationPa}. */
export function dewPointC(pressurePa: number): number {
  const x = Math.log(pressurePa / 610.94);
  return (243.04 * x) / (17.625 - x);
}
