/** About how wide a sign of a drawing's words is, as a share of their size. */
const SIGN = 0.54;

/**
 * Words of a drawing broken at their spaces into lines that fit; what is over ends in "…", so that a long name covers no other.
 * @param widthPx room @param sizePx height of the letters @param most lines at most
 */
export function linesFor(words: string, widthPx: number, sizePx: number, most = 2): readonly string[] {
  const fits = Math.max(4, Math.floor(widthPx / (SIGN * sizePx)));
  const lines: string[] = [''];
  for (const word of words.split(' ')) {
    const last = lines[lines.length - 1];
    const longer = last === '' ? word : `${last} ${word}`;
    if (longer.length <= fits || last === '') lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  const kept = lines.slice(0, most).map((l) => (l.length > fits ? `${l.slice(0, fits - 1)}…` : l));
  if (lines.length > most && !there(kept[most - 1]).endsWith('…'))
    kept[most - 1] = `${there(kept[most - 1])
      .slice(0, fits - 1)
      .replace(/[,;:]$/, '')}…`;
  return kept;
}
import { there } from '@/core/units';
