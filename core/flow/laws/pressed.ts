import { divideStream, FIBRE_ASH, inPhase, PART_COUNT, SALT, SUGAR, WATER, WIDTH, type Stream } from '../stream';

/** Water, sugar and dissolved salt of a stream, g: what can leave as juice. */
export function serumOf(s: Stream): number {
  let m = 0;
  for (let i = s.from * WIDTH; i < s.to * WIDTH; i += PART_COUNT) m += s.g[i + WATER] + s.g[i + SUGAR] + s.g[i + SALT];
  return m;
}

/** Parts a stream into what stays in the pieces and its juice, free: the juice carries the whole water phase in proportion. */
export function pressed(s: Stream, juiceG: number): readonly [Stream, Stream] {
  const serum = serumOf(s);
  const x = serum > 0 ? Math.min(1, juiceG / serum) : 0;
  const [juice, piece] = divideStream(s, (line, phase, part) => {
    if (part === WATER || part === SUGAR || part === SALT) return x;
    if (part !== FIBRE_ASH) return 0;
    const at = line * WIDTH + (phase === 'piece' ? PART_COUNT : 0);
    return s.g[at + FIBRE_ASH] > 0 ? (x * s.g[at + SALT]) / s.g[at + FIBRE_ASH] : 0;
  });
  return [inPhase(piece, 'piece'), inPhase(juice, 'free')];
}
