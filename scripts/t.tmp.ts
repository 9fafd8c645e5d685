import { singlePour } from '@/core/steam';
import { PLAIN_POUR, roomWith } from '@/core/steam/testing/rooms';
import { vesselSchema, DEFAULT_VESSEL } from '@/core/kitchen';
const square = vesselSchema.parse({ ...DEFAULT_VESSEL, shape: 'rectangular', lengthM: 0.2, widthM: 0.2 });
for (const [n, v] of [['round', DEFAULT_VESSEL], ['square', square]] as const) for (const w of [1500, 1100, 600]) {
  (globalThis as any).SW = 0;
  const r = singlePour({ ...PLAIN_POUR, vessel: v, depthM: 0.035, room: roomWith(w, { lid: 'cloth' }) });
  console.log(n, w, 'steps', r.history.length, 'sweeps', (globalThis as any).SW);
}
