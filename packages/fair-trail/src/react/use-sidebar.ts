import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { type AnnexEvent, type AnnexState, initialAnnex, nextAnnex } from '../core/interaction/annex.ts';
import { type GroupsEvent, type GroupsState, nextGroups } from '../core/interaction/groups.ts';
import { closedOverlay, nextOverlay, type OverlayEvent, type OverlayState } from '../core/interaction/overlay.ts';
import { type Filtered, filterItems } from '../core/site/filter.ts';
import { menuMarks } from '../core/site/marks.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { allGroups, markedGroups } from '../core/view/tree-view.ts';
import { followFilter } from '../dom/filter-field.ts';
import { openGroupName, readOpenGroup } from '../dom/memory.ts';
import { queryValue, withQueryValue } from '../dom/query.ts';
import {
  awaitGroup,
  carryOutAnnex,
  listenForAnnexEscape,
  listenWhileCovering,
  SidebarOverlay,
  watchStanding,
} from '../dom/sidebar.ts';
import { useBrowserLayoutEffect, useLocationPart, useLocationSource, useSurroundings } from './trail-context.ts';
import { useMachine } from './use-machine.ts';
import { useMemory } from './use-memory.ts';

type Root = RefObject<HTMLElement | null>;

interface OverlaySettings {
  readonly rootRef: Root;
  /** Whether it covers the page where it is behind its toggle. */
  readonly covers: boolean;
  readonly expanded: boolean | undefined;
  readonly onToggle: ((expanded: boolean) => void) | undefined;
}

/** A sidebar behind its toggle: controlled by the app, or by itself. */
export function useOverlay(settings: OverlaySettings): readonly [OverlayState, (event: OverlayEvent) => void] {
  const { rootRef, covers, expanded, onToggle } = settings;
  const overlay = useRef<SidebarOverlay | null>(null);
  const [state, apply] = useMachine(
    nextOverlay,
    () => ({ ...closedOverlay, expanded: expanded ?? false }),
    (effect, send: (event: OverlayEvent) => void) => overlay.current?.carryOut(effect, send),
  );
  useBrowserLayoutEffect(() => {
    overlay.current = rootRef.current && new SidebarOverlay(rootRef.current);
    return () => overlay.current?.end();
  }, [rootRef]);

  const latest = useRef({ state, expanded, onToggle });
  useBrowserLayoutEffect(() => {
    latest.current = { state, expanded, onToggle };
  });
  // What the app has been asked for: when it agrees, that is what happens.
  const asked = useRef<OverlayEvent | null>(null);
  const send = useCallback(
    (event: OverlayEvent) => {
      const before = latest.current.state;
      const { state: after } = nextOverlay(before, event);
      if (after.expanded !== before.expanded) latest.current.onToggle?.(after.expanded);
      const isRefused = latest.current.expanded !== undefined && after.expanded !== before.expanded;
      if (isRefused) asked.current = event;
      else apply(event);
    },
    [apply],
  );
  useBrowserLayoutEffect(() => {
    if (expanded === undefined || expanded === latest.current.state.expanded) return;
    const wanted = asked.current ?? { type: 'toggle' };
    const agrees = nextOverlay(latest.current.state, wanted).state.expanded === expanded;
    apply(agrees ? wanted : { type: 'toggle' });
    asked.current = null;
  }, [expanded, apply]);

  useEffect(() => {
    if (!rootRef.current) return undefined;
    return watchStanding(rootRef.current, (isNarrow) => {
      const event: OverlayEvent = { type: 'room', covers: isNarrow && covers };
      const before = latest.current.state.expanded;
      apply(event);
      // With room the page must be given back, whoever decides.
      if (!before || nextOverlay(latest.current.state, event).state.expanded) return;
      if (latest.current.expanded === true) {
        // The app may keep it open, for when room is short again. If it agrees to close it, focus stays where it is.
        apply({ type: 'toggle' });
        asked.current = { type: 'chosen' };
      }
      latest.current.onToggle?.(false);
    });
  }, [rootRef, covers, apply]);
  const isCovering = state.expanded && state.covers;
  useEffect(
    () => (isCovering && rootRef.current ? listenWhileCovering(rootRef.current, send) : undefined),
    [isCovering, rootRef, send],
  );
  return [state, send];
}

interface GroupSettings {
  readonly rootRef: Root;
  readonly items: readonly MenuItem[];
  /** Under which open groups are remembered. */
  readonly name: string;
  readonly one: boolean;
}

/** The groups of a list: those that hold the page are open, and those that the reader has opened. */
export function useGroups(settings: GroupSettings): readonly [GroupsState, (event: GroupsEvent) => void] {
  const { rootRef, items, name, one } = settings;
  const [names, memory] = useMemory('open');
  const remembered = useMemo(
    () => names.map(readOpenGroup).flatMap(({ sidebar, id }) => (sidebar === name ? [id] : [])),
    [names, name],
  );
  const known = useMemo(() => allGroups(items), [items]);
  const place = useLocationSource();
  const holding = () => markedGroups(items, menuMarks(items, place.read().position));
  const [state, send] = useMachine(
    nextGroups,
    () => {
      const begin: GroupsState = { one, open: [], closing: [] };
      const stored = nextGroups(begin, { type: 'reveal', ids: remembered.filter((id) => known.includes(id)) }).state;
      // At first nothing is on its way out: what gives way to the page's own group was never there.
      return { ...nextGroups(stored, { type: 'reveal', ids: holding() }).state, closing: [] };
    },
    (effect, tell: (event: GroupsEvent) => void) => {
      if (effect.type === 'await-close') {
        if (rootRef.current) awaitGroup(rootRef.current, effect.id, tell);
        return;
      }
      memory?.replace(
        (other) => readOpenGroup(other).sidebar === name,
        effect.ids.map((id) => openGroupName(name, id)),
      );
    },
  );
  useBrowserLayoutEffect(() => send({ type: 'left-over', ids: known }), [known, send]);
  useBrowserLayoutEffect(() => send({ type: 'allow', one }), [one, send]);
  // Known only now, where a server printed the page.
  const isFirst = useRef(true);
  useBrowserLayoutEffect(() => {
    if (remembered.length === 0 || !isFirst.current) return;
    isFirst.current = false;
    send({ type: 'reveal', ids: remembered.filter((id) => known.includes(id)) });
  }, [remembered, known, send]);
  useBrowserLayoutEffect(() => {
    let last = place.read().position;
    return place.subscribe(() => {
      const { position } = place.read();
      if (position === last) return;
      last = position;
      send({ type: 'reveal', ids: markedGroups(items, menuMarks(items, position)) });
    });
  }, [place, items, send]);
  // The early script's rules have done their part.
  useBrowserLayoutEffect(() => rootRef.current?.setAttribute('data-ft-settled', ''), [rootRef]);
  return [state, send];
}

/** The annex that the address asks for. */
export function useAnnex(
  rootRef: Root,
  parameter: string,
  isChoice: (id: string) => boolean,
): readonly [AnnexState, (event: AnnexEvent) => void] {
  const { navigate } = useSurroundings();
  const place = useLocationSource();
  const asked = useLocationPart(({ url }) => queryValue(url, parameter));
  // An address may name what there is no more.
  const id = asked !== null && isChoice(asked) ? asked : null;
  const [state, send] = useMachine(
    nextAnnex,
    () => initialAnnex(id),
    (effect, tell: (event: AnnexEvent) => void) => {
      if (effect.type === 'navigate') {
        const url = withQueryValue(place.read().url, parameter, effect.id);
        navigate(url, { history: effect.replace ? 'replace' : 'push' });
      } else if (rootRef.current) carryOutAnnex(rootRef.current, effect, tell);
    },
  );
  useBrowserLayoutEffect(() => send({ type: 'address', id }), [id, send]);
  const isOpen = state.shown !== null && !state.leaving;
  useEffect(
    () => (isOpen && rootRef.current ? listenForAnnexEscape(rootRef.current, send) : undefined),
    [isOpen, rootRef, send],
  );
  return [state, send];
}

/** What a field leaves of a list. The field is in what the selector finds. */
export function useFilter(rootRef: Root, selector: string | null, items: readonly MenuItem[]): Filtered | null {
  const [query, setQuery] = useState('');
  useEffect(() => {
    const holder = selector === null ? null : rootRef.current?.querySelector<HTMLElement>(selector);
    if (!holder) return undefined;
    const end = followFilter(holder, setQuery);
    return () => {
      end();
      setQuery('');
    };
  }, [rootRef, selector]);
  return useMemo(() => filterItems(items, query), [items, query]);
}
