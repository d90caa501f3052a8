/** The words of a text, as they are compared: letters and digits, in one case. */
export function wordsOf(text: string): readonly string[] {
  return text
    .normalize('NFKC')
    .toLowerCase()
    .split(/[^\p{Letter}\p{Number}]+/gu)
    .filter(Boolean);
}
