import { figure, LATENT_STEAM, type Figure } from '../../units';
import type { LawInput } from '../law';
import type { Operation } from '../operations';

/** How well the rate of an open boil is known, as a share. */
const SPREAD = 0.25;

/** What boils away of free water on a gentle ring in a time, what is left, g, and when it would be dry, s. */
export function boilsAway(
  x: LawInput<Operation>,
  waterG: number,
  forS: number,
): { readonly boiledG: Figure; readonly leftG: Figure; readonly dryS: Figure } {
  const perS = x.env.gentleW / (LATENT_STEAM / 1000);
  const boiledG = Math.min(waterG, perS * forS);
  const dryS = waterG / perS;
  return {
    boiledG: figure(boiledG, 'default', SPREAD * boiledG),
    leftG: figure(waterG - boiledG, 'default', SPREAD * boiledG),
    dryS: figure(dryS, 'default', SPREAD * dryS),
  };
}
