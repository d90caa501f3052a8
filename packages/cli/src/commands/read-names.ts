/** Names with commas between, as options take them. */
export function readNames(text: string): readonly string[] {
  return text
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);
}
