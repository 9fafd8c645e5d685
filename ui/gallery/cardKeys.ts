/** The cards of the gallery around one, in the order in which they stand. */
const cardsOf = (within: HTMLElement): readonly HTMLElement[] => [
  ...within.querySelectorAll<HTMLElement>('[data-card]'),
];

/** Gives the first card the focus. */
export const toFirstCard = (within: HTMLElement | null): void => (within ? cardsOf(within)[0]?.focus() : undefined);

/** Arrows go from card to card: to the next or the one before, and to the nearest of the row above or below. */
export function onCardKey(e: React.KeyboardEvent<HTMLElement>): void {
  const here = (e.target as HTMLElement).closest<HTMLElement>('[data-card]');
  if (!here) return;
  const cards = cardsOf(e.currentTarget);
  const at = cards.indexOf(here);
  const [x, y] = [here.offsetLeft, here.offsetTop];
  const below = (way: 1 | -1) =>
    cards
      .filter((c) => way * (c.offsetTop - y) > 8)
      .sort((a, b) => way * (a.offsetTop - b.offsetTop) || Math.abs(a.offsetLeft - x) - Math.abs(b.offsetLeft - x))[0];
  const ways: Readonly<Record<string, (() => HTMLElement | undefined) | undefined>> = {
    ArrowRight: () => cards[at + 1],
    ArrowLeft: () => cards[at - 1],
    ArrowDown: () => below(1),
    ArrowUp: () => below(-1),
  };
  const to = ways[e.key]?.();
  if (!to) return;
  e.preventDefault();
  to.focus();
}
