import type { FryingPan, Vessel } from '../../kitchen';

/** A frying pan as the vessel of a film. */
export const filmVessel = (p: FryingPan): Vessel => ({
  id: `film-${p.id}`.slice(0, 80),
  name: p.name,
  shape: 'round',
  material: p.material === 'aluminium' ? 'aluminium' : 'steel',
  diameterM: p.diameterM,
  heightM: 0.05,
  count: 1,
  provenance: 'measured',
});
