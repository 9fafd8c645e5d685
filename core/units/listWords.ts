/**
 * Words one after another as they are read: "a", "a and b", "a, b and c".
 * @param last what stands before the last: and, or
 * @example listWords(['salt', 'sugar', 'oil']) // 'salt, sugar and oil'
 */
export function listWords(words: readonly string[], last = 'and'): string {
  if (words.length <= 1) return words[0] ?? '';
  return `${words.slice(0, -1).join(', ')} ${last} ${words[words.length - 1]}`;
}
