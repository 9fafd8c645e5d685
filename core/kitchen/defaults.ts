import type { FryingPan } from './gearSchema';
import type { Hob, Ring } from './hobSchema';
import type { Heat } from './kinds';
import type { Kitchen, Steamer } from './schema';
import type { Vessel } from './vesselSchema';
import { figure, type Figure } from '../units';

/** What is assumed where a plan names no vessel, steamer, hob or pan. */
export const DEFAULT_VESSEL: Vessel = {
  id: 'default-round',
  name: 'Round tin, 20 cm',
  shape: 'round',
  material: 'steel',
  diameterM: 0.2,
  heightM: 0.06,
  count: 1,
  provenance: 'default',
};
export const DEFAULT_STEAMER: Steamer = {
  id: 'default-steamer',
  name: 'Steamer, 28 cm',
  tiers: 1,
  innerDiameterM: 0.28,
  clearHeightM: 0.1,
  lid: 'tight',
  potDiameterM: 0.28,
  waterDepthM: 0.06,
};
export const DEFAULT_RING: Ring = { id: 'default-ring', name: 'The ring', kind: 'gas', marks: {}, measuredPowerW: {} };
export const DEFAULT_HOB: Hob = { id: 'default-hob', name: 'Hob', rings: [DEFAULT_RING] };
export const DEFAULT_PAN: FryingPan = {
  id: 'default-pan',
  name: 'Frying pan, 24 cm base',
  shape: 'round',
  diameterM: 0.24,
  coating: 'bare',
  material: 'steel',
  lid: true,
};

/** Default steam power by heat word, W. */
export const STEAM_POWER_W: Readonly<Record<Heat, number>> = { gentle: 600, medium: 1100, strong: 1500 };

/** What is not known of a ring's power, as a share: unmeasured, and after a kettle test. */
export const POWER_SD = { default: 0.12, measured: 0.04 } as const;

/** Steam power at a heat word: the kettle test's on that ring where there is one, else the default. */
export function steamPower(ring: Ring | undefined, heat: Heat): Figure {
  const measured = ring?.measuredPowerW[heat];
  return measured === undefined
    ? figure(STEAM_POWER_W[heat], 'default', POWER_SD.default * STEAM_POWER_W[heat])
    : figure(measured, 'measured', POWER_SD.measured * measured);
}

/** What the things of a kitchen are called, those taken by default too. */
export const thingNames = (k: Kitchen): readonly string[] => [
  ...[DEFAULT_VESSEL, DEFAULT_STEAMER, DEFAULT_HOB, DEFAULT_RING, DEFAULT_PAN].map((x) => x.name),
  ...[k.vessels, k.steamers, k.hobs, k.hobs.flatMap((h) => h.rings), k.fryingPans, k.pots, k.appliances, k.scoops]
    .flat()
    .map((x) => x.name),
];
