/** Allergens as they are printed: which, none of those tracked, and what was not stated. */
export function allergenWords(allergens: readonly string[], notStated: readonly string[]): string {
  const known = allergens.length > 0 ? allergens.join(', ') : 'none of the eleven tracked allergens';
  if (notStated.length === 0) return known;
  const of = notStated.map((n) => n.toLowerCase()).join(', ');
  return `${allergens.length > 0 ? `${known}; ` : ''}allergens not stated for ${of}`;
}
