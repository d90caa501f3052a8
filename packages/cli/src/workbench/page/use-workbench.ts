import { checkSite, flexStyles, type DefinedSite, type Problem } from 'fair-trail';
import { readTokens, tokensCss, type Theme } from 'fair-trail/color';
import type { TokenThemes } from 'fair-trail/internal/core';
import ownTokens from 'fair-trail/tokens.json' with { type: 'json' };
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { readJsonText } from '../model/json-text.ts';
import { emptyTokens } from '../model/token-edits.ts';
import type { SessionClient } from './session-client.ts';
import { isDirty, newSession, nextSession, type SessionAction, type WorkbenchSession } from './workbench-session.ts';

/** The library's own theme: what a tokens file does not say. */
export const ownTheme: Theme = readTokens(ownTokens, {} as Theme).themes['default'] ?? ({} as Theme);

/** What the files say as they are edited. */
export interface ReadFiles {
  /** The last version of the site without a fatal problem; null if there never was one. */
  readonly site: DefinedSite | null;
  readonly problems: readonly Problem[];
  /** Whether the files can be read at all: what is no JSON cannot be edited here. */
  readonly isSiteJson: boolean;
  readonly isTokensJson: boolean;
  readonly theme: TokenThemes;
  /** The stylesheets of the specimens. */
  readonly styles: readonly string[];
  readonly themeNames: readonly string[];
}

export interface WorkbenchModel {
  readonly session: WorkbenchSession;
  readonly dispatch: (action: SessionAction) => void;
  readonly read: ReadFiles;
  /** The same of what is saved. */
  readonly readSaved: ReadFiles;
  readonly isDirty: boolean;
  /** Why nothing can be saved now; null if it can. */
  readonly obstacle: string | null;
  readonly save: () => Promise<void>;
}

export function useWorkbench(client: SessionClient, initial: Parameters<typeof newSession>[0]): WorkbenchModel {
  const [session, dispatch] = useReducer(nextSession, initial, newSession);
  const { state, history, saved } = session;
  const read = useReadFiles(history.present, state);
  const readSaved = useReadFiles(saved, state);
  const dirty = isDirty(session);
  const obstacle = obstacleOf(session, read);

  useEffect(() => {
    const load = () => {
      client.state().then(
        (next) => dispatch({ type: 'loaded', state: next }),
        (error: unknown) => dispatch({ type: 'say', message: messageOf(error) }),
      );
    };
    return client.onChange(load);
  }, [client]);

  useEffect(() => {
    if (!dirty) return undefined;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [dirty]);

  useDraft(client, session, dirty);

  const save = useCallback(async () => {
    if (!dirty) return;
    if (obstacle !== null) {
      dispatch({ type: 'say', message: obstacle });
      return;
    }
    const { present } = history;
    const texts = {
      site: present.site === saved.site ? null : present.site,
      tokens: present.tokens === saved.tokens ? null : present.tokens,
    };
    try {
      const outcome = await client.save({ texts, bases: saved });
      if (outcome.outcome === 'saved') dispatch({ type: 'saved', texts: present });
      else if (outcome.outcome === 'refused') dispatch({ type: 'say', message: `Not saved: ${outcome.message}` });
      else dispatch({ type: 'loaded', state: await client.state() });
    } catch (error) {
      dispatch({ type: 'say', message: `Not saved: ${messageOf(error)}` });
    }
  }, [client, dirty, obstacle, history, saved]);

  return { session, dispatch, read, readSaved, isDirty: dirty, obstacle, save };
}

export function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}

function obstacleOf(
  { state, history, saved, pending }: WorkbenchSession,
  { problems, theme }: ReadFiles,
): string | null {
  const { present } = history;
  if (pending) return 'Decide first what becomes of the places that were changed outside too.';
  if (present.site !== saved.site) {
    if (state.site.locked !== null) return state.site.locked;
    const fatal = problems.filter(({ severity }) => severity === 'fatal').length;
    if (fatal > 0) return `${fatal === 1 ? 'One problem' : `${fatal} problems`} of the site must be fixed first.`;
  }
  if (present.tokens !== saved.tokens) {
    if (state.tokens.locked !== null) return state.tokens.locked;
    const [problem] = theme.problems;
    if (problem) return `${problem.pointer}: ${problem.message}`;
  }
  return null;
}

function useReadFiles(
  { site: siteText, tokens: tokensText }: WorkbenchSession['saved'],
  { definition, styles: [before, after] }: WorkbenchSession['state'],
): ReadFiles {
  const checked = useMemo(() => {
    const value = siteText === null ? definition : readJsonText(siteText)?.value;
    return checkSite(value);
  }, [siteText, definition]);
  // What is wrong for a moment, while one types, leaves the page as it was.
  const [lastGood, setLastGood] = useState(checked.site);
  if (checked.site && checked.site !== lastGood) setLastGood(checked.site);
  const site = checked.site ?? lastGood;
  const theme = useMemo(() => readTokens(readJsonText(tokensText ?? emptyTokens)?.value, ownTheme), [tokensText]);
  const themeCss = useMemo(() => tokensCss(theme), [theme]);
  const flexCss = useMemo(() => (site ? flexStyles(site) : ''), [site]);
  const styles = useMemo(() => [before, themeCss, flexCss, after].filter(Boolean), [before, themeCss, flexCss, after]);
  const themeNames = useMemo(() => [...new Set(['default', ...Object.keys(theme.themes), 'estuary'])], [theme]);
  const isSiteJson = siteText === null || readJsonText(siteText) !== null;
  const isTokensJson = tokensText === null || readJsonText(tokensText) !== null;
  return { site, problems: checked.problems, isSiteJson, isTokensJson, theme, styles, themeNames };
}

/** How long one types before a running app is drawn anew, in milliseconds. */
const draftPause = 80;

/** Has a running app show what is edited. */
function useDraft(client: SessionClient, { state, history, saved }: WorkbenchSession, dirty: boolean): void {
  const wasShown = useRef(false);
  const { hasApp } = state;
  const { site, tokens } = history.present;
  useEffect(() => {
    if (!hasApp || (!dirty && !wasShown.current)) return undefined;
    const timer = setTimeout(() => {
      wasShown.current = dirty;
      const draft = {
        site: site === saved.site ? null : site,
        tokens: tokens === saved.tokens ? null : tokens,
      };
      // The app is a convenience: what it cannot show is no failure of the edit.
      client.showDraft(dirty ? draft : null).catch(() => undefined);
    }, draftPause);
    return () => clearTimeout(timer);
  }, [client, hasApp, dirty, site, tokens, saved]);
}
