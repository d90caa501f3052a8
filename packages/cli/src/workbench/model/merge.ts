import { diff3Merge } from 'node-diff3';

/** A place in a file that was changed on both sides, in different ways. */
export interface Conflict {
  readonly mine: string;
  readonly theirs: string;
}

/** A file, merged: texts that are settled, and the places between them that somebody has to decide. */
export type MergedPart = { readonly text: string } | { readonly conflict: Conflict };

export interface Merge {
  readonly parts: readonly MergedPart[];
  readonly conflicts: readonly Conflict[];
}

/** Merges two versions of a text that come of the same one, line by line. */
export function mergeTexts(mine: string, base: string, theirs: string): Merge {
  if (mine === base) return settled(theirs);
  if (theirs === base || mine === theirs) return settled(mine);
  const regions = diff3Merge(linesOf(mine), linesOf(base), linesOf(theirs), { excludeFalseConflicts: true });
  const parts = regions.map(({ ok, conflict }): MergedPart => {
    if (conflict) return { conflict: { mine: conflict.a.join(''), theirs: conflict.b.join('') } };
    return { text: (ok ?? []).join('') };
  });
  return { parts, conflicts: parts.flatMap((part) => ('conflict' in part ? [part.conflict] : [])) };
}

function settled(text: string): Merge {
  return { parts: [{ text }], conflicts: [] };
}

/** With its end, so that a last line without one is another line. */
function linesOf(text: string): string[] {
  return text.match(/[^\n]*\n|[^\n]+$/gu) ?? [];
}

/** The text of a merge in which each conflict is decided. */
export function resolveMerge({ parts }: Merge, choose: (index: number) => 'mine' | 'theirs'): string {
  let index = -1;
  return parts
    .map((part) => {
      if ('text' in part) return part.text;
      index += 1;
      return part.conflict[choose(index)];
    })
    .join('');
}
