import { createContext, forwardRef, useContext, useId, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { errorText } from '../core/error-texts.ts';
import type { TabsEvent } from '../core/interaction/tabs.ts';
import { tabsOptionNames, type TabsOptions } from '../core/view/component-options.ts';
import { tabpanelView, tabView, type TablistViewOptions } from '../core/view/tabs-view.ts';
import { slot } from '../core/view/view.ts';
import { TabRowPart, TabsPart } from '../parts/tabs.ts';
import { PrintedView } from './printed-view.tsx';
import { isFilled, splitProps } from './slots.ts';
import { useLocationPart, useSurroundings } from './trail-context.ts';
import { usePart, usePrinter } from './use-part.ts';

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
  readonly shown: TablistViewOptions;
  readonly send: (event: TabsEvent) => void;
  readonly icon: TabsProps['icon'];
}

const TabsContext = createContext<TabsContextValue | null>(null);

function useTabs(): TabsContextValue {
  const context = useContext(TabsContext);
  if (!context) throw new Error(errorText('tabs-missing'));
  return context;
}

const optionNames = [...tabsOptionNames, 'label', 'selected', 'onSelect'] as const;

/**
 * Tabs with panels. Contains a `Tablist`, and a `Tabpanel` for each tab.
 *
 * @example
 * <Tabs tabs={[{ id: 'map', label: 'Map' }, { id: 'log', label: 'Log' }]} label="Causeway Hide">
 *   <Tablist />
 *   <Tabpanel id="map"><HidesMap /></Tabpanel>
 *   <Tabpanel id="log"><Sightings of="causeway" /></Tabpanel>
 * </Tabs>
 */
export const Tabs = forwardRef<HTMLElement, TabsProps>(function Tabs(props, ref) {
  const [options, { icon, children, ...attributes }] = splitProps(props, optionNames);
  const trail = useSurroundings();
  const url = useLocationPart((location) => location.url);
  const id = useId();
  const given = { ...options, trail, url, id, slots: { icon: icon !== undefined } };
  const { part, state, view, printer, rootRef } = usePart(TabsPart, given, ref);
  const shown = part.shown(given, state);
  const value = useMemo(() => ({ shown, send: part.send, icon }), [shown, part, icon]);
  const contents = useMemo(() => ({ children: () => children }), [children]);
  return (
    <TabsContext.Provider value={value}>
      {view && (
        <PrintedView view={view} printer={printer} slots={contents} attributes={attributes} elementRef={rootRef} />
      )}
    </TabsContext.Provider>
  );
});

export type TablistProps = HTMLAttributes<HTMLElement>;

/**
 * The row of tabs. Without children it renders all tabs. With children, place a `Tab` for each.
 *
 * @example
 * <Tabs tabs={[{ id: 'map', label: 'Map' }]} label="Causeway Hide">
 *   <Tablist />
 *   <Tabpanel id="map"><HidesMap /></Tabpanel>
 * </Tabs>
 */
export const Tablist = forwardRef<HTMLElement, TablistProps>(function Tablist({ children, ...attributes }, ref) {
  const { shown, send, icon } = useTabs();
  const { view, printer, rootRef } = usePart(TabRowPart, { shown, send }, ref, icon);
  const isOwn = isFilled(children);
  const own = useMemo(() => (isOwn && view ? { ...view, children: [slot('children')] } : view), [view, isOwn]);
  const contents = useMemo(() => ({ children: () => children }), [children]);
  return (
    own && <PrintedView view={own} printer={printer} slots={contents} attributes={attributes} elementRef={rootRef} />
  );
});

export interface TabProps extends HTMLAttributes<HTMLElement> {
  /** Which of the tabs. */
  readonly id: string;
}

/**
 * One tab with your own content. Renders nothing for an unknown id.
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
  const { shown, send, icon } = useTabs();
  const printer = usePrinter(send, icon);
  const isOwn = isFilled(children);
  const view = useMemo(() => {
    const tab = shown.tabs.find((one) => one.id === id);
    const usual = tab && tabView(tab, shown);
    return usual && isOwn ? { ...usual, children: [slot('children')] } : usual;
  }, [shown, id, isOwn]);
  const contents = useMemo(() => ({ children: () => children }), [children]);
  if (!view) return null;
  return <PrintedView view={view} printer={printer} slots={contents} attributes={attributes} elementRef={ref} />;
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
  const { shown, send } = useTabs();
  const printer = usePrinter(send, undefined);
  const label = shown.tabs.find((one) => one.id === id)?.label;
  const selected = shown.state.selected === id;
  const { idPrefix } = shown;
  const view = useMemo(
    () => (label === undefined ? null : tabpanelView({ id, label, selected, idPrefix })),
    [id, label, selected, idPrefix],
  );
  const contents = useMemo(() => ({ content: () => children }), [children]);
  if (!view || !shown.panels.includes(id)) return null;
  return <PrintedView view={view} printer={printer} slots={contents} attributes={attributes} elementRef={ref} />;
});
