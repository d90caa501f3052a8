import type { TabsOptions } from '../core/view/component-options.ts';
import { errorText } from '../core/error-texts.ts';
import {
  createContext,
  forwardRef,
  useCallback,
  useContext,
  useEffect,
  useId,
  useMemo,
  useRef,
  useState,
  type HTMLAttributes,
  type ReactNode,
} from 'react';
import { initialTabs, nextTabs, type TabsEvent } from '../core/interaction/tabs.ts';
import { tablistView, type TablistViewOptions, tabpanelView, tabsView, tabView } from '../core/view/tabs-view.ts';
import { watchEdges } from '../dom/edges.ts';
import { type FocusWatch, watchFocusWithin } from '../dom/focus.ts';
import { queryValue, withQueryValue } from '../dom/query.ts';
import { keepMarkedInView } from '../dom/strip.ts';
import { carryOutTabs, listenForTabKeys } from '../dom/tabs.ts';
import { iconSlot, isFilled } from './slots.ts';
import { useBrowserLayoutEffect, useLocationPart, useLocationSource, useSurroundings } from './trail-context.ts';
import { useMachine } from './use-machine.ts';
import { useRoot } from './use-root.ts';
import { useShared } from './use-shared.ts';
import { useStable } from './use-stable.ts';
import { ViewRoot } from './view.tsx';

/**
 * The properties of `Tabs`.
 */
export interface TabsProps extends TabsOptions, Omit<HTMLAttributes<HTMLElement>, 'onSelect'> {
  /** The name of the tablist. */
  readonly label: string;
  /** The id of the selected tab. Without it the tabs decide by themselves. */
  readonly selected?: string;
  /** Called when another tab wants to be selected. */
  readonly onSelect?: (id: string) => void;
  /** Draws an icon by its name. Its drawing should be hidden from assistive technology. */
  readonly icon?: (name: string) => ReactNode;
}

interface TabsContextValue {
  readonly view: TablistViewOptions;
  readonly send: (event: TabsEvent) => void;
  readonly icon: TabsProps['icon'];
  readonly isPresent: (id: string) => boolean;
}

const TabsContext = createContext<TabsContextValue | null>(null);

function useTabs(): TabsContextValue {
  const context = useContext(TabsContext);
  if (!context) throw new Error(errorText('tabs-missing'));
  return context;
}

/**
 * Tabs with panels. It holds a `Tablist`, and a `Tabpanel` for each tab.
 *
 * @example
 * <Tabs tabs={[{ id: 'map', label: 'Map' }, { id: 'log', label: 'Log' }]} label="Causeway Hide">
 *   <Tablist />
 *   <Tabpanel id="map"><HidesMap /></Tabpanel>
 *   <Tabpanel id="log"><Sightings of="causeway" /></Tabpanel>
 * </Tabs>
 */
export const Tabs = forwardRef<HTMLElement, TabsProps>(function Tabs(props, ref) {
  const { tabs, label, selected, initial, onSelect, activation = 'automatic', linkedTo, ...behind } = props;
  const { orientation = 'horizontal', widths = 'natural', panels = 'all', icon, children, ...attributes } = behind;
  const idPrefix = useId();
  const root = useRoot(ref);
  const [linked, link] = useLinked(linkedTo);
  const wanted = selected ?? linked ?? initial ?? null;
  const isDecided = selected !== undefined || linkedTo !== undefined;

  const [machine, apply] = useMachine(
    nextTabs,
    () => initialTabs(tabs, wanted, activation),
    (effect) => {
      if (effect.type === 'focus') {
        if (root.current) carryOutTabs(root.current, effect);
      } else if (effect.id !== selected) {
        link(effect.id);
        onSelect?.(effect.id);
      }
    },
  );
  // The tabs that there are now are drawn at once; the machine hears of them before anything is to be seen.
  const state = useMemo(
    () => nextTabs({ ...machine, activation }, { type: 'tabs', tabs, focusWithin: false }).state,
    [machine, activation, tabs],
  );
  const focus = useRef<FocusWatch | null>(null);
  useBrowserLayoutEffect(() => {
    focus.current = root.current && watchFocusWithin(root.current);
    return () => focus.current?.end();
  }, []);
  useBrowserLayoutEffect(() => {
    apply({ type: 'tabs', tabs, focusWithin: focus.current?.isWithin() === true });
  }, [tabs, apply]);
  // What the app has been asked for: when it agrees, that is what happens, with focus where the reader took it.
  const asked = useRef<TabsEvent | null>(null);
  const applyWanted = useStable(() => {
    const event = asked.current;
    asked.current = null;
    const agrees = event !== null && nextTabs(machine, event).state.selected === wanted;
    apply(agrees ? event : { type: 'select', id: wanted });
  });
  useBrowserLayoutEffect(() => {
    if (isDecided) applyWanted();
  }, [wanted, isDecided, applyWanted]);
  const send = useStable((event: TabsEvent) => {
    const { effects } = nextTabs(machine, event);
    const change = effects.find(({ type }) => type === 'selected');
    // Where the app decides, it is asked; what it answers comes back as a property.
    if (selected === undefined || !change) {
      apply(event);
      return;
    }
    asked.current = event;
    onSelect?.(change.id);
  });

  const [visited, setVisited] = useState<readonly string[]>([]);
  if (panels === 'visited' && state.selected !== null && !visited.includes(state.selected)) {
    setVisited([...visited, state.selected]);
  }
  const isPresent = useCallback(
    (id: string) => panels === 'all' || id === state.selected || (panels === 'visited' && visited.includes(id)),
    [panels, state.selected, visited],
  );
  const value = useMemo(
    (): TabsContextValue => ({
      view: {
        tabs,
        state,
        label,
        idPrefix,
        orientation,
        fills: widths === 'filling',
        icons: icon !== undefined,
        panels: tabs.map(({ id }) => id).filter(isPresent),
      },
      send,
      icon,
      isPresent,
    }),
    [tabs, state, label, idPrefix, orientation, widths, icon, isPresent, send],
  );
  const view = useShared(tabsView(orientation));
  const slots = useMemo(() => ({ children: () => children }), [children]);
  return (
    <TabsContext.Provider value={value}>
      <ViewRoot view={view} surroundings={{ slots, send: nothing }} attributes={attributes} elementRef={root} />
    </TabsContext.Provider>
  );
});

/** Which tab the address asks for, and how to make it ask for another one, in the place of what it asks for now. */
function useLinked(linkedTo: TabsProps['linkedTo']): readonly [string | null, (id: string) => void] {
  const { navigate } = useSurroundings();
  const place = useLocationSource();
  const query = typeof linkedTo === 'object' ? linkedTo.query : null;
  const asked = useLocationPart(({ url }) => {
    if (query !== null) return queryValue(url, query);
    return linkedTo === 'hash' ? hashValue(url) : null;
  });
  const link = (id: string) => {
    const { url } = place.read();
    if (query !== null) navigate(withQueryValue(url, query, id), { history: 'replace' });
    else if (linkedTo === 'hash')
      navigate(`${url.split('#')[0] ?? ''}#${encodeURIComponent(id)}`, { history: 'replace' });
  };
  return [asked, link];
}

function hashValue(url: string): string | null {
  const [, hash] = url.split('#');
  if (hash === undefined) return null;
  try {
    return decodeURIComponent(hash);
  } catch {
    // It is no text, and so no tab's id.
    return null;
  }
}

export type TablistProps = HTMLAttributes<HTMLElement>;

/**
 * The row of tabs. Without content it prints all of them; with it, each is a `Tab` among the app's own markup.
 *
 * @example
 * const tabs = page.tabs('Causeway Hide');
 * await tabs.select('Log');
 */
export const Tablist = forwardRef<HTMLElement, TablistProps>(function Tablist({ children, ...attributes }, ref) {
  const { view: options, send, icon } = useTabs();
  const root = useRoot(ref);
  const { orientation, tabs } = options;
  useEffect(
    () => (root.current ? listenForTabKeys(root.current, orientation, send) : undefined),
    [root, orientation, send],
  );
  useEffect(() => (root.current ? keepMarkedInView(root.current, '[aria-selected="true"]') : undefined), [root]);
  useEffect(() => (root.current ? watchEdges(root.current) : undefined), [root, tabs]);
  const isOwn = isFilled(children);
  const full = useShared(tablistView(options));
  const view = useMemo(() => (isOwn ? { ...full, children: [childrenSlot] } : full), [full, isOwn]);
  const slots = useMemo(() => ({ children: () => children, icon: iconSlot(icon) }), [children, icon]);
  const surroundings = { slots, send: send as (event: unknown) => void };
  return <ViewRoot view={view} surroundings={surroundings} attributes={attributes} elementRef={root} />;
});

const childrenSlot = { slot: 'children', about: '' };

export interface TabProps extends HTMLAttributes<HTMLElement> {
  /** Which of the tabs. */
  readonly id: string;
}

/**
 * One tab, with content of its own. Nothing where there is no tab of that id.
 *
 * @example
 * <Tabs tabs={[{ id: 'map', label: 'Map' }]} label="Hide">
 *   <Tablist>
 *     <Tab id="map"><Icon name="map" /> Map</Tab>
 *   </Tablist>
 *   <Tabpanel id="map"><HidesMap /></Tabpanel>
 * </Tabs>
 */
export const Tab = forwardRef<HTMLElement, TabProps>(function Tab({ id, children, ...attributes }, ref) {
  const { view: options, send, icon } = useTabs();
  const tab = options.tabs.find((one) => one.id === id);
  const view = useShared(tab ? tabView(tab, options) : null);
  const isOwn = isFilled(children);
  const slots = useMemo(() => ({ children: () => children, icon: iconSlot(icon) }), [children, icon]);
  if (!view) return null;
  const shown = isOwn ? { ...view, children: [childrenSlot] } : view;
  return (
    <ViewRoot
      view={shown}
      surroundings={{ slots, send: send as (event: unknown) => void }}
      attributes={attributes}
      elementRef={ref}
    />
  );
});

export interface TabpanelProps extends HTMLAttributes<HTMLElement> {
  /** Of the tab that shows it. */
  readonly id: string;
}

/**
 * What a tab shows.
 *
 * @example
 * <Tabpanel id="map"><HidesMap /></Tabpanel>
 */
export const Tabpanel = forwardRef<HTMLElement, TabpanelProps>(function Tabpanel(props, ref) {
  const { id, children, ...attributes } = props;
  const { view: options, isPresent } = useTabs();
  const tab = options.tabs.find((one) => one.id === id);
  const selected = options.state.selected === id;
  const { idPrefix } = options;
  const view = useShared(tab ? tabpanelView({ id, label: tab.label, selected, idPrefix }) : null);
  const slots = useMemo(() => ({ content: () => children }), [children]);
  if (!view || !isPresent(id)) return null;
  return <ViewRoot view={view} surroundings={{ slots, send: nothing }} attributes={attributes} elementRef={ref} />;
});

const nothing = () => undefined;
