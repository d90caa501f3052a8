import { defineSite } from 'fair-trail';
import { Tablist, Tabpanel, Tabs, TrailAt } from 'fair-trail/react';
import {
  iconNames,
  iconsOf,
  Sheet,
  SheetExtrasContext,
  usualConditions,
  type Conditions,
  type PageOptions,
  type SheetExtras,
} from 'fair-trail/internal/sheet';
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useState, type ReactNode } from 'react';
import { changesBetween, changeSentence, changesMarkdown, type SessionChange } from '../model/session-changes.ts';
import { givenOptions, initialOptions, type TunedOptions } from '../model/component-code.ts';
import { everyNode, entryOutline, setField } from '../model/site-edits.ts';
import type { FileTexts } from '../model/edit-history.ts';
import { valueAt } from '../model/json-text.ts';
import type { WorkbenchState } from '../server/workbench-state.ts';
import { ComparePanel } from './compare-panel.tsx';
import { LooksPanel } from './looks-panel.tsx';
import { MotionPanel } from './motion-panel.tsx';
import { NotesPanel } from './notes-panel.tsx';
import { OptionsPanel } from './options-panel.tsx';
import { OutsideChange } from './outside-change.tsx';
import type { SessionClient } from './session-client.ts';
import { SitePanel } from './site-panel.tsx';
import { useWorkbench, type ReadFiles, type WorkbenchModel } from './use-workbench.ts';

export interface WorkbenchProps {
  readonly client: SessionClient;
  readonly initial: WorkbenchState;
}

const tabs = [
  { id: 'site', label: 'Site' },
  { id: 'looks', label: 'Looks' },
  { id: 'motion', label: 'Motion' },
  { id: 'options', label: 'Options' },
  { id: 'compare', label: 'Compare' },
  { id: 'notes', label: 'Notes' },
];

/** The state sheet, and beside it what its files are edited with. */
export function Workbench(props: WorkbenchProps): ReactNode {
  const { name } = props.initial.site;
  // The page of the workbench is a site of its own: it has one page, which its title names.
  const site = useMemo(
    () => defineSite({ name: name ?? 'site', entries: [{ id: 'workbench', label: 'Workbench', href: '/' }] }),
    [name],
  );
  return (
    <TrailAt site={site} url="/">
      <Editor {...props} />
    </TrailAt>
  );
}

function Editor({ client, initial }: WorkbenchProps): ReactNode {
  const model = useWorkbench(client, initial);
  const { session, dispatch, read, readSaved, save } = model;
  const { state, history } = session;
  const [options, setOptions] = useState<TunedOptions>(initialOptions);
  const [isCompared, setCompared] = useState(false);
  const [hasSchemes, setSchemes] = useState(false);
  const [conditions, setConditions] = useState<Conditions>(usualConditions);
  const icon = useMemo(() => (state.icons === null ? undefined : iconsOf(state.icons)), [state.icons]);
  const icons = useMemo(() => (state.icons === null ? [] : iconNames(state.icons)), [state.icons]);
  const changes = useMemo(
    () => sessionChanges(session.start, history.present, options),
    [session.start, history.present, options],
  );
  const markdown = useMemo(() => changesMarkdown(changes), [changes]);
  const unsaved = useMemo(
    () => changesBetween(session.saved, history.present).map(changeSentence),
    [session.saved, history.present],
  );
  useKeys(model);

  const room = useMemo(() => roomOf(history.present.site, dispatch), [history.present.site, dispatch]);
  const extras = useMemo<SheetExtras>(
    () => ({
      isCompact: true,
      hasSchemes,
      options: pageOptions(options),
      changes: markdown,
      ...(room && { room }),
      ...(isCompared &&
        readSaved.site && {
          compared: {
            source: sourceOf(readSaved, readSaved.site, state, icon),
            names: ['saved', 'edited'] as const,
            changes: unsaved,
          },
        }),
    }),
    [options, hasSchemes, markdown, room, isCompared, readSaved, state, icon, unsaved],
  );
  // A key that is pressed is shown in its field at once, and in the sheet as soon as that can be drawn.
  const shown = useDeferredValue(useMemo(() => ({ read, extras }), [read, extras]));
  const parts = { model, icon, icons };
  return (
    <div className="ft-workbench">
      <Toolbar model={model} save={save} />
      <section className="ft-workbench-panel" aria-label="Edit">
        <OutsideChange session={session} dispatch={dispatch} />
        <Tabs tabs={tabs} label="What to edit" panels="visited">
          <Tablist />
          <Tabpanel id="site">
            <SitePanel {...parts} />
          </Tabpanel>
          <Tabpanel id="looks">
            <LooksPanel model={model} theme={conditions.theme} hasSchemes={hasSchemes} onSchemes={setSchemes} />
          </Tabpanel>
          <Tabpanel id="motion">
            <MotionPanel model={model} />
          </Tabpanel>
          <Tabpanel id="options">
            <OptionsPanel options={options} menus={state.menus} conditions={conditions} onChange={setOptions} />
          </Tabpanel>
          <Tabpanel id="compare">
            <ComparePanel
              client={client}
              model={model}
              changes={unsaved}
              isCompared={isCompared}
              onCompare={setCompared}
            />
          </Tabpanel>
          <Tabpanel id="notes">
            <NotesPanel changes={changes} markdown={markdown} />
          </Tabpanel>
        </Tabs>
      </section>
      <ShownSheet read={shown.read} extras={shown.extras} state={state} icon={icon} onConditions={setConditions} />
    </div>
  );
}

interface ShownSheetProps {
  readonly read: ReadFiles;
  readonly extras: SheetExtras;
  readonly state: WorkbenchState;
  readonly icon: ((name: string) => ReactNode) | undefined;
  readonly onConditions: (conditions: Conditions) => void;
}

const ShownSheet = memo(function ShownSheet({ read, extras, state, icon, onConditions }: ShownSheetProps): ReactNode {
  const { site } = read;
  if (!site) {
    return (
      <main className="ft-sheet">
        <h1>Nothing can be drawn yet</h1>
        <p>
          {state.failure ??
            (read.isSiteJson
              ? 'The site file has problems. Fix them, here or in your editor.'
              : 'The site file is not JSON. Correct it in your editor: this page follows.')}
        </p>
        <ul>
          {(read.isSiteJson ? read.problems : []).map(({ pointer, message, remedy }) => (
            <li key={`${pointer} ${message}`}>
              <code>{pointer || '/'}</code> {message} {remedy}
            </li>
          ))}
        </ul>
      </main>
    );
  }
  return (
    <SheetExtrasContext.Provider value={extras}>
      <Sheet {...sourceOf(read, site, state, icon)} problems={read.problems} onConditions={onConditions} />
    </SheetExtrasContext.Provider>
  );
});

function sourceOf(
  { styles, themeNames }: ReadFiles,
  site: NonNullable<ReadFiles['site']>,
  { records, menus }: WorkbenchState,
  icon: ((name: string) => ReactNode) | undefined,
) {
  return { site, records, menus, styles, themes: themeNames, ...(icon && { icon }) };
}

function pageOptions(options: TunedOptions): PageOptions {
  return {
    bar: givenOptions('bar', options.bar),
    // Of what the page has on by itself, an option may take something away.
    sidebar: { search: false, rail: false, ...givenOptions('sidebar', options.sidebar) },
    breadcrumbs: { siblings: false, ...givenOptions('breadcrumbs', options.breadcrumbs) },
  };
}

function sessionChanges(start: FileTexts, now: FileTexts, options: TunedOptions): readonly SessionChange[] {
  const ofOptions = (['bar', 'sidebar', 'breadcrumbs'] as const).flatMap((component) => {
    const [was, is] = [givenOptions(component, initialOptions[component]), givenOptions(component, options[component])];
    return [...new Set([...Object.keys(was), ...Object.keys(is)])]
      .filter((name) => was[name] !== is[name])
      .map((name): SessionChange => {
        const said = (value: string | boolean | undefined) => (value === undefined ? 'the default' : String(value));
        return { file: 'options', what: `${name} of the ${component}`, was: said(was[name]), is: said(is[name]) };
      });
  });
  return [...changesBetween(start, now), ...ofOptions];
}

function roomOf(site: string | null, dispatch: WorkbenchModel['dispatch']): SheetExtras['room'] {
  if (site === null) return undefined;
  const paths = new Map([...everyNode(entryOutline(site))].map(({ id, path }) => [id, path]));
  return {
    valueOf: (id, field) => {
      const path = paths.get(id);
      const value = path ? valueAt(site, [...path, field]) : undefined;
      return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
    },
    change: (id, edit) => {
      const path = paths.get(id);
      if (!path) return;
      for (const [field, value] of Object.entries(edit) as [string, string | number | null][]) {
        const text = setField(site, path, field, value ?? undefined);
        dispatch({ type: 'edit', texts: { site: text }, label: `${field} of ${id}`, key: `${field} ${id}` });
      }
    },
  };
}

/** Undo and redo are of the whole session, wherever the keyboard is. */
function useKeys({ dispatch, save }: WorkbenchModel): void {
  const onKey = useCallback(
    (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (key === 's') void save();
      else if (key === 'y' || (key === 'z' && event.shiftKey)) dispatch({ type: 'redo' });
      else if (key === 'z') dispatch({ type: 'undo' });
      else return;
      event.preventDefault();
    },
    [dispatch, save],
  );
  useEffect(() => {
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [onKey]);
}

function Toolbar({ model, save }: { readonly model: WorkbenchModel; readonly save: () => Promise<void> }): ReactNode {
  const { session, dispatch, isDirty, obstacle } = model;
  const { past, future } = session.history;
  const [last, next] = [past.at(-1), future[0]];
  const { site, tokens } = session.state;
  return (
    <div className="ft-workbench-bar" role="group" aria-label="Session">
      <button
        type="button"
        data-ft-button="primary"
        aria-disabled={!isDirty || obstacle !== null}
        onClick={() => void save()}
      >
        Save
      </button>
      <button
        type="button"
        data-ft-button="plain"
        aria-disabled={!last}
        aria-label={last ? `Undo: ${last.label}` : 'Undo'}
        onClick={() => dispatch({ type: 'undo' })}
      >
        Undo
      </button>
      <button
        type="button"
        data-ft-button="plain"
        aria-disabled={!next}
        aria-label={next ? `Redo: ${next.label}` : 'Redo'}
        onClick={() => dispatch({ type: 'redo' })}
      >
        Redo
      </button>
      <p className="ft-workbench-files">
        <code>{site.name}</code>
        {site.locked !== null && ' (read-only)'}
        {tokens.name !== null && (
          <>
            , <code>{tokens.name}</code>
            {tokens.locked !== null ? ' (read-only)' : tokens.isNew && ' (new)'}
          </>
        )}
        {isDirty ? ': not saved yet' : ': saved'}
      </p>
      <p className="ft-workbench-message" role="status">
        {session.message || (isDirty && obstacle !== null ? obstacle : '')}
      </p>
    </div>
  );
}
