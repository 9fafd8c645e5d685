import { HOT_THROUGH_C, type Turns } from '../../units';
import { PAN_C, searPiece, type SearPiece } from './searPiece';

export interface SearChange {
  readonly words: string;
  readonly dial?: keyof typeof PAN_C;
  readonly lid?: boolean;
  readonly startC?: number;
  readonly thicknessM?: number;
  readonly coreC: number;
}

/** Dials of a frying pan, from the lowest. */
export const PAN_DIALS = ['low', 'medium-low', 'medium', 'medium-high'] as const;
/** What the middle of a seared slice must come to, °C. */
const TEMPERED_C = 20;

/**
 * When colour would come before heat: single changes that bring the middle to 74 °C by the time the faces have their colour, each computed:
 * a lower dial, a lid, tempering half an hour, or the thickest slice that works.
 */
export function* searFixes(piece: SearPiece, dial: keyof typeof PAN_C): Turns<readonly SearChange[]> {
  function* works(change: Partial<SearPiece>): Turns<number | undefined> {
    const r = yield* searPiece({ ...piece, ...change });
    return r.reached && r.coreC >= HOT_THROUGH_C ? r.coreC : undefined;
  }
  const out: SearChange[] = [];
  for (const lower of PAN_DIALS.slice(0, PAN_DIALS.indexOf(dial)).reverse()) {
    const coreC = yield* works({ panC: PAN_C[lower] });
    if (coreC !== undefined) {
      out.push({ words: `Turn the pan down to ${lower}`, dial: lower, coreC });
      break;
    }
  }
  if (!piece.lid) {
    const coreC = yield* works({ lid: true });
    if (coreC !== undefined) out.push({ words: 'Put a lid on', lid: true, coreC });
  }
  if (piece.startC < TEMPERED_C) {
    const coreC = yield* works({ startC: TEMPERED_C });
    if (coreC !== undefined) out.push({ words: 'Let the slices stand half an hour first', startC: TEMPERED_C, coreC });
  }
  for (let mm = Math.floor(piece.thicknessM * 1000) - 1; mm >= 6; mm -= 1) {
    const coreC = yield* works({ thicknessM: mm / 1000 });
    if (coreC !== undefined) {
      out.push({ words: `Slice ${mm} mm thick`, thicknessM: mm / 1000, coreC });
      break;
    }
  }
  return out;
}
