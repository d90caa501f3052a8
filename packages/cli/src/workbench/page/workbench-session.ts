import {
  newHistory,
  rebase,
  record,
  redo,
  settle,
  undo,
  type EditHistory,
  type FileTexts,
} from '../model/edit-history.ts';
import { readJsonText } from '../model/json-text.ts';
import { mergeTexts, resolveMerge, type Conflict, type Merge } from '../model/merge.ts';
import type { WorkbenchState } from '../server/workbench-state.ts';

type Side = 'mine' | 'theirs';

/** Files that have changed outside where they were changed here too: somebody has to decide. */
export interface PendingMerge {
  readonly state: WorkbenchState;
  readonly merges: Readonly<Record<keyof FileTexts, Merge | null>>;
  /** Of all files, in their order. */
  readonly conflicts: readonly (Conflict & { readonly file: string })[];
  readonly choices: readonly (Side | null)[];
}

/** What is edited, and how far it is saved. */
export interface WorkbenchSession {
  readonly state: WorkbenchState;
  readonly history: EditHistory;
  readonly saved: FileTexts;
  /** As the files were when the session began. */
  readonly start: FileTexts;
  readonly pending: PendingMerge | null;
  /** What was done last, for people. */
  readonly message: string;
}

export type SessionAction =
  | { readonly type: 'edit'; readonly texts: Partial<FileTexts>; readonly label: string; readonly key?: string }
  | { readonly type: 'undo' | 'redo' | 'settle' }
  | { readonly type: 'saved'; readonly texts: FileTexts }
  | { readonly type: 'loaded'; readonly state: WorkbenchState }
  | { readonly type: 'decide'; readonly index: number; readonly side: Side }
  | { readonly type: 'say'; readonly message: string };

export function newSession(state: WorkbenchState): WorkbenchSession {
  const texts = textsOf(state);
  return { state, history: newHistory(texts), saved: texts, start: texts, pending: null, message: '' };
}

function textsOf({ site, tokens }: WorkbenchState): FileTexts {
  return { site: site.text, tokens: tokens.text };
}

/** Whether there is anything to save. */
export function isDirty({ history, saved }: WorkbenchSession): boolean {
  const { present } = history;
  return present.site !== saved.site || present.tokens !== saved.tokens;
}

export function nextSession(session: WorkbenchSession, action: SessionAction): WorkbenchSession {
  const { history } = session;
  switch (action.type) {
    case 'edit': {
      const next = record(history, { ...history.present, ...action.texts }, action.label, action.key);
      return next === history ? session : { ...session, history: next, message: '' };
    }
    case 'undo': {
      const last = history.past.at(-1);
      return last ? { ...session, history: undo(history), message: `Undone: ${last.label}` } : session;
    }
    case 'redo': {
      const [next] = history.future;
      return next ? { ...session, history: redo(history), message: `Done again: ${next.label}` } : session;
    }
    case 'settle': {
      const settled = settle(history);
      return settled === history ? session : { ...session, history: settled };
    }
    case 'saved':
      return { ...session, saved: action.texts, message: 'Saved.' };
    case 'loaded':
      return withOutsideChange(session, action.state);
    case 'decide': {
      const { pending } = session;
      if (!pending) return session;
      const choices = pending.choices.map((choice, index) => (index === action.index ? action.side : choice));
      return choices.includes(null)
        ? { ...session, pending: { ...pending, choices } }
        : merged(session, { ...pending, choices });
    }
    case 'say':
      return { ...session, message: action.message };
  }
}

/** Takes in files that others have changed: merged with what is edited here, or asked about. */
function withOutsideChange(session: WorkbenchSession, state: WorkbenchState): WorkbenchSession {
  const theirs = textsOf(state);
  const { saved, history } = session;
  if (theirs.site === saved.site && theirs.tokens === saved.tokens) return { ...session, state };
  const merges = {
    site: mergeOf(history.present.site, saved.site, theirs.site),
    tokens: mergeOf(history.present.tokens, saved.tokens, theirs.tokens),
  };
  const names = { site: state.site.name ?? 'site file', tokens: state.tokens.name ?? 'tokens file' };
  const conflicts = (['site', 'tokens'] as const).flatMap((file) => {
    return (merges[file]?.conflicts ?? []).map((conflict) => ({ ...conflict, file: names[file] }));
  });
  const pending: PendingMerge = { state, merges, conflicts, choices: conflicts.map(() => null) };
  if (conflicts.length > 0)
    return { ...session, pending, message: 'A file was changed outside, where you changed it too.' };
  return merged(session, pending);
}

function mergeOf(mine: string | null, base: string | null, theirs: string | null): Merge | null {
  if (mine === null || base === null || theirs === null) return null;
  const merge = mergeTexts(mine, base, theirs);
  // Lines that fit together need not be JSON together: then one version or the other is whole.
  const isSound = merge.conflicts.length > 0 || readJsonText(resolveMerge(merge, () => 'mine')) !== null;
  if (isSound || mine === base) return merge;
  const conflict = { mine, theirs };
  return { parts: [{ conflict }], conflicts: [conflict] };
}

function merged(session: WorkbenchSession, { state, merges, choices }: PendingMerge): WorkbenchSession {
  const { history, saved, start } = session;
  const theirs = textsOf(state);
  let offset = 0;
  const present = (file: keyof FileTexts) => {
    const merge = merges[file];
    if (!merge) return theirs[file];
    const from = offset;
    offset += merge.conflicts.length;
    return resolveMerge(merge, (index) => choices[from + index] ?? 'theirs');
  };
  const next = { site: present('site'), tokens: present('tokens') };
  const startMerged = {
    site: mergedStart(start.site, saved.site, theirs.site),
    tokens: mergedStart(start.tokens, saved.tokens, theirs.tokens),
  };
  const names = (['site', 'tokens'] as const)
    .filter((file) => theirs[file] !== saved[file])
    .map((file) => state[file].name);
  const wasEdited = isDirty(session);
  return {
    state,
    history: rebase(history, saved, theirs, next),
    saved: theirs,
    start: startMerged,
    pending: null,
    message: `${names.join(' and ')} changed outside: ${wasEdited ? 'your changes are merged with that.' : 'this is what it says now.'}`,
  };
}

/** What others do is no change of this session. */
function mergedStart(start: string | null, base: string | null, theirs: string | null): string | null {
  if (start === null || base === null || theirs === null) return theirs;
  return resolveMerge(mergeTexts(start, base, theirs), () => 'theirs');
}
