/** One machine's part of the pages: the first of three is `{ index: 1, count: 3 }`. */
export interface Shard {
  readonly index: number;
  readonly count: number;
}

/** Whether a page is of this part: decided by its address alone, so that machines need not agree on anything. */
export function isInShard(path: string, shard: Shard | null): boolean {
  if (!shard) return true;
  let sum = 0;
  for (const character of path) sum = (sum * 31 + (character.codePointAt(0) ?? 0)) % 65_521;
  return sum % shard.count === shard.index - 1;
}
