import type { LiningPiece } from './lining';

const GAP_MM = 10;
const escape = (s: string): string => s.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/**
 * The pieces of a lining as an SVG at true scale: one unit is one millimetre, and width and height are given in mm, so that it prints to
 * size. A bar of 50 mm is there to check the print by.
 */
export function liningSvg(pieces: readonly LiningPiece[], title: string): string {
  let y = GAP_MM + 14;
  let widest = 120;
  const body = pieces.map((p) => {
    const w = 1000 * (p.kind === 'circle' ? p.diameterM : p.lengthM);
    const h = 1000 * (p.kind === 'circle' ? p.diameterM : p.widthM);
    const at = y;
    y += h + GAP_MM;
    widest = Math.max(widest, w);
    const shape =
      p.kind === 'circle'
        ? `<circle cx="${GAP_MM + w / 2}" cy="${at + h / 2}" r="${w / 2}"/>`
        : `<rect x="${GAP_MM}" y="${at}" width="${w}" height="${h}"/>`;
    const fold = p.kind === 'sling' ? `<path d="M${GAP_MM + w / 2} ${at}v${h}" stroke-dasharray="3 3"/>` : '';
    return `${shape}${fold}<text x="${GAP_MM + w / 2}" y="${at + h / 2}" text-anchor="middle" stroke="none" fill="#26306b">${escape(p.words)}</text>`;
  });
  const width = widest + 2 * GAP_MM;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${y}mm" viewBox="0 0 ${width} ${y}" font-family="sans-serif" font-size="5">` +
    `<title>${escape(title)}</title><g fill="none" stroke="#26306b" stroke-width="0.4">` +
    `<path d="M${GAP_MM} 8h50M${GAP_MM} 6v4M${GAP_MM + 50} 6v4"/><text x="${GAP_MM + 54}" y="10" stroke="none" fill="#26306b">this bar is 50 mm: print at full size</text>` +
    `${body.join('')}</g></svg>`
  );
}
