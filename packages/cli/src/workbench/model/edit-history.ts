import { mergeTexts, resolveMerge } from './merge.ts';

/** The texts of the files that are edited; null for one that there is none of, or that cannot be edited. */
export interface FileTexts {
  readonly site: string | null;
  readonly tokens: string | null;
}

export type EditedFile = keyof FileTexts;

/** One stretch of a text that became another. */
interface Splice {
  readonly file: EditedFile;
  readonly offset: number;
  readonly removed: string;
  readonly inserted: string;
}

/** One thing that was done, and can be undone. */
export interface EditStep {
  /** What it was, to be shown: "Undo: label of Hides". */
  readonly label: string;
  readonly splices: readonly Splice[];
}

/** The edits of a session. */
export interface EditHistory {
  readonly past: readonly EditStep[];
  readonly future: readonly EditStep[];
  readonly present: FileTexts;
  /** What the last step changed: more of the same, such as the next letter, joins it. Null: nothing joins. */
  readonly key: string | null;
}

export function newHistory(present: FileTexts): EditHistory {
  return { past: [], future: [], present, key: null };
}

const files: readonly EditedFile[] = ['site', 'tokens'];

/** One stretch from where the texts begin to differ to where they end to. */
function splicesBetween(before: FileTexts, after: FileTexts): readonly Splice[] {
  return files.flatMap((file) => {
    const [from, to] = [before[file], after[file]];
    if (from === null || to === null || from === to) return [];
    let start = 0;
    const shortest = Math.min(from.length, to.length);
    while (start < shortest && from[start] === to[start]) start += 1;
    let end = 0;
    while (end < shortest - start && from[from.length - 1 - end] === to[to.length - 1 - end]) end += 1;
    return [
      {
        file,
        offset: start,
        removed: from.slice(start, from.length - end),
        inserted: to.slice(start, to.length - end),
      },
    ];
  });
}

function applied(texts: FileTexts, splices: readonly Splice[], direction: 'undo' | 'redo'): FileTexts {
  const result: Record<EditedFile, string | null> = { ...texts };
  for (const { file, offset, removed, inserted } of splices) {
    const [from, to] = direction === 'redo' ? [removed, inserted] : [inserted, removed];
    const text = result[file] ?? '';
    result[file] = text.slice(0, offset) + to + text.slice(offset + from.length);
  }
  return result;
}

/**
 * Records new texts as a step.
 *
 * @param key what is changed: a step of the same key as the last one joins it
 */
export function record(history: EditHistory, next: FileTexts, label: string, key: string | null = null): EditHistory {
  const { past, present } = history;
  const last = past.at(-1);
  const joins = key !== null && key === history.key && last !== undefined && history.future.length === 0;
  const before = joins ? applied(present, last.splices, 'undo') : present;
  const splices = splicesBetween(before, next);
  if (!joins && splices.length === 0) return history;
  const rest = joins ? past.slice(0, -1) : past;
  return { past: splices.length > 0 ? [...rest, { label, splices }] : rest, future: [], present: next, key };
}

/** Has the next change be a step of its own, whatever it changes. */
export function settle(history: EditHistory): EditHistory {
  return history.key === null ? history : { ...history, key: null };
}

export function undo(history: EditHistory): EditHistory {
  const { past, future, present } = history;
  const last = past.at(-1);
  if (!last) return history;
  return {
    past: past.slice(0, -1),
    future: [last, ...future],
    present: applied(present, last.splices, 'undo'),
    key: null,
  };
}

export function redo(history: EditHistory): EditHistory {
  const { past, future, present } = history;
  const [next, ...rest] = future;
  if (!next) return history;
  return { past: [...past, next], future: rest, present: applied(present, next.splices, 'redo'), key: null };
}

/**
 * The same steps on files that have changed underneath: undoing them does not undo what others did. Where a step and the
 * other change meet, the other change stays.
 *
 * @param present how the texts are now: what somebody has decided where both sides changed a place
 */
export function rebase(history: EditHistory, base: FileTexts, others: FileTexts, present: FileTexts): EditHistory {
  const moved = (texts: FileTexts): FileTexts => ({
    site: mergedText(texts.site, base.site, others.site),
    tokens: mergedText(texts.tokens, base.tokens, others.tokens),
  });
  const past: EditStep[] = [];
  let texts = history.present;
  let after = present;
  for (const step of history.past.toReversed()) {
    texts = applied(texts, step.splices, 'undo');
    const before = moved(texts);
    const splices = splicesBetween(before, after);
    if (splices.length > 0) past.unshift({ label: step.label, splices });
    after = before;
  }
  const future: EditStep[] = [];
  texts = history.present;
  let before = present;
  for (const step of history.future) {
    texts = applied(texts, step.splices, 'redo');
    const next = moved(texts);
    const splices = splicesBetween(before, next);
    if (splices.length > 0) future.push({ label: step.label, splices });
    before = next;
  }
  return { past, future, present, key: null };
}

function mergedText(mine: string | null, base: string | null, theirs: string | null): string | null {
  if (mine === null || base === null || theirs === null) return theirs;
  return resolveMerge(mergeTexts(mine, base, theirs), () => 'theirs');
}
