/** How many single-character edits still count as a slip of the finger. */
const mostEdits = 2;

/** The candidate that the word was probably meant to be, if there is one. */
export function nearest(word: string, candidates: Iterable<string>): string | undefined {
  let best: string | undefined;
  let bestDistance = Math.min(mostEdits, word.length - 1) + 1;
  for (const candidate of candidates) {
    if (Math.abs(candidate.length - word.length) >= bestDistance) continue;
    const distance = editDistance(word, candidate);
    if (distance < bestDistance) [best, bestDistance] = [candidate, distance];
  }
  return best;
}

/** Levenshtein distance, one row at a time. */
function editDistance(from: string, to: string): number {
  let row = Array.from({ length: to.length + 1 }, (_, index) => index);
  for (let i = 1; i <= from.length; i += 1) {
    const next = [i];
    for (let j = 1; j <= to.length; j += 1) {
      const substituted = (row[j - 1] ?? 0) + (from[i - 1] === to[j - 1] ? 0 : 1);
      next.push(Math.min(substituted, (row[j] ?? 0) + 1, (next[j - 1] ?? 0) + 1));
    }
    row = next;
  }
  return row[to.length] ?? 0;
}
