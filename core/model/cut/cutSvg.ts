import type { CutPlan } from './cutPlan';

/** The cut plan as an SVG at true scale (one unit is a millimetre), to print and lay under the cake. */
export function cutSvg(cut: CutPlan, title: string): string {
  const mm = (x: number) => (x * 1000).toFixed(2);
  const hx = Math.max(...cut.outline.map(([x]) => Math.abs(x))) * 1000 + 6;
  const hy = Math.max(...cut.outline.map(([, y]) => Math.abs(y))) * 1000 + 6;
  const poly = (p: CutPlan['outline'], more: string) =>
    `<polygon points="${p.map(([x, y]) => `${mm(x)},${mm(-y)}`).join(' ')}" fill="none" stroke="#232C66" ${more}/>`;
  const safe = title.replace(/[<>&"]/g, ' ');
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${(2 * hx).toFixed(1)}mm" height="${(2 * hy + 12).toFixed(1)}mm" viewBox="${-hx} ${-hy} ${2 * hx} ${2 * hy + 12}">`,
    `<title>${safe}</title>`,
    poly(cut.outline, 'stroke-width="0.8"'),
    ...cut.pieces.map((p) => poly(p.polygon, `stroke-width="0.35"${p.offcut ? ' stroke-dasharray="2 2"' : ''}`)),
    `<path d="M0,${(hy + 3).toFixed(1)}h50m-50,-1.5v3m50,-3v3" stroke="#232C66" stroke-width="0.4" fill="none"/>`,
    `<text x="52" y="${(hy + 4.5).toFixed(1)}" font-size="4" fill="#232C66">50 mm</text>`,
    `<text x="${(-hx + 2).toFixed(1)}" y="${(hy + 9).toFixed(1)}" font-size="4" fill="#232C66">${safe}: ${cut.count} pieces of ${Math.round(cut.gramsAPiece)} g</text>`,
    '</svg>',
  ].join('\n');
}
