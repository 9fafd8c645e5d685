/** What is chosen of a group before single lines are turned round: all, none, or what is suggested. */
export type ChosenFrom = 'all' | 'none' | 'suggested';
/** True where a line is in what is chosen of its group as a whole; a line that cannot be taken is in none. */
export const inWhole = (from: ChosenFrom, line: { readonly takeable: boolean; readonly suggested: boolean }): boolean =>
  line.takeable && (from === 'all' || (from === 'suggested' && line.suggested));
/** The name of a group of differences of one kind in one place: "there plan". */
export const groupKey = (g: { readonly where: string; readonly kind: string }): string => `${g.where} ${g.kind}`;
