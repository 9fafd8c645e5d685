import { groupKey, inWhole, type ChosenFrom as From } from '@/core/units';
import type { CopyChoice, CopyGroup, ShownLine } from '@/server/copies/opened';

/** What is chosen of a group: from a whole, and each line that is the other way round, with what that adds to the count. */
export interface Chosen {
  readonly from: From;
  readonly but: Readonly<Record<string, 1 | -1>>;
}
export type Choice = Readonly<Record<string, Chosen>>;
export type Group = Pick<CopyGroup, 'where' | 'kind' | 'count' | 'takeable' | 'suggested'>;
type Line = Pick<ShownLine, 'id' | 'suggested' | 'takeable'>;

const SUGGESTED: Chosen = { from: 'suggested', but: {} };
const of = (choice: Choice, g: Pick<Group, 'where' | 'kind'>): Chosen => choice[groupKey(g)] ?? SUGGESTED;

export const isChosen = (choice: Choice, g: Pick<Group, 'where' | 'kind'>, line: Line): boolean => {
  const { from, but } = of(choice, g);
  return inWhole(from, line) !== line.id in but;
};
/** The choice with one line the other way round. */
export function toggled(choice: Choice, g: Pick<Group, 'where' | 'kind'>, line: Line): Choice {
  const { from, but } = of(choice, g);
  const { [line.id]: was, ...rest } = but;
  return {
    ...choice,
    [groupKey(g)]: { from, but: was === undefined ? { ...but, [line.id]: inWhole(from, line) ? -1 : 1 } : rest },
  };
}
/** The choice with a whole group taken or left. */
export const wholly = (choice: Choice, g: Pick<Group, 'where' | 'kind'>, from: From): Choice => ({
  ...choice,
  [groupKey(g)]: { from, but: {} },
});
/** How many of a group are chosen. */
export function countChosen(choice: Choice, g: Group): number {
  const { from, but } = of(choice, g);
  const whole = { all: g.takeable, none: 0, suggested: g.suggested }[from];
  return Object.values(but).reduce<number>((n, by) => n + by, whole);
}
/** As it is sent. */
export const sent = (choice: Choice, groups: readonly Group[]): CopyChoice =>
  Object.fromEntries(
    groups.map((g) => {
      const { from, but } = of(choice, g);
      return [groupKey(g), { from, but: Object.keys(but) }];
    }),
  );
