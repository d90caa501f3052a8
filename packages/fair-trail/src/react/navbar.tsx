import type { BarOptions } from '../core/view/component-options.ts';
import {
  forwardRef,
  useCallback,
  useEffect,
  useId,
  useMemo,
  useState,
  type HTMLAttributes,
  type ReactNode,
} from 'react';
import type { DisclosureEvent } from '../core/interaction/disclosure.ts';
import type { DisclosuresEvent } from '../core/interaction/disclosures.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import { barView } from '../core/view/bar-view.ts';
import { itemKey } from '../core/view/menu-view.ts';
import { frameOf } from '../core/view/view.ts';
import { watchBarSize } from '../dom/room.ts';
import { watchCondense } from '../dom/condense.ts';
import { listenForRowKeys } from '../dom/keys.ts';
import { keepMarkedInView } from '../dom/strip.ts';
import { menuNameIn, namesIn, useIconChecks, useNameChecks } from './name-checks.ts';
import { iconSlot, isFilled } from './slots.ts';
import { useSurroundings } from './trail-context.ts';
import { useMenu } from './use-menu.ts';
import { useBarRoom, useBeyond } from './use-bar-room.ts';
import { usePanels } from './use-panels.ts';
import { useRoot } from './use-root.ts';
import { useShared } from './use-shared.ts';
import { useToggle } from './use-toggle.ts';
import { ViewRoot } from './view.tsx';

/**
 * The properties of a `Navbar`.
 */
export interface NavbarProps extends BarOptions, Omit<HTMLAttributes<HTMLElement>, 'onToggle'> {
  /** The menu of the site file whose items the bar shows. Default: `main`. */
  readonly menu?: string;
  /** The name of the navigation landmark. Default: "Main", or what the trail's wording says. */
  readonly label?: string;
  /** Stands in the link to the home page. Default: the site's name. */
  readonly brand?: ReactNode;
  /** Stands between brand and menu at every width. */
  readonly start?: ReactNode;
  /** Stands after the menu at every width. */
  readonly end?: ReactNode;
  /** Draws an icon by its name in the site file. Its drawing should be hidden from assistive technology. */
  readonly icon?: (name: string) => ReactNode;
  /** Whether the menu is open where room is short. Without it the bar decides by itself. */
  readonly expanded?: boolean;
  /** Called when the menu wants to open or close. */
  readonly onToggle?: (expanded: boolean) => void;
  /** The row as the app arranges it: its own markup, with a `Part` for each part of the bar. Default: the usual row. */
  readonly children?: ReactNode;
}

/**
 * The bar across the top: brand, links with their marks, panels, and a toggle for them where room is short.
 *
 * @example
 * <Navbar brand={<Logo />} end={<BookButton />} whenNarrow="panel" />
 */
export const Navbar = forwardRef<HTMLElement, NavbarProps>(function Navbar(props, ref) {
  const { menu = 'main', label, brand, start, end, icon, element = 'header', ...behind } = props;
  const { expanded, onToggle, whenNarrow = 'panel', endPlace = 'row', alwaysToggle = false, ...further } = behind;
  const {
    panels: panelForms,
    hoverOpens = false,
    held,
    backdrop,
    pinned,
    givesWay,
    extent,
    justify,
    children,
    ...own
  } = further;
  const { site, wording } = useSurroundings();
  const { items, marks, language } = useMenu(menu);
  useNameChecks('Navbar', () => [
    ...menuNameIn(site, props.menu, menu),
    ...namesIn('entry', 'panels', typeof panelForms === 'object' ? panelForms : null),
    ...namesIn('entry', 'held', held),
  ]);
  useIconChecks('Navbar', items, icon);
  const panelId = useId();
  const root = useRoot(ref);

  const fitted = useMemo(
    () => items.map((item) => ({ key: itemKey(item), priority: item.entry?.priority ?? 0 })),
    [items],
  );
  const keys = useMemo(() => items.filter((item) => item.items.length > 0).map(itemKey), [items]);

  const [isNarrow, setNarrow] = useState(false);
  // With room for the row there is nothing to cover, even where the app keeps the menu expanded.
  const covers = whenNarrow === 'screen' && isNarrow;
  const { isExpanded, isClosing, send } = useToggle({ rootRef: root, panelId, expanded, onToggle, covers });
  const { panels, sendToPanels } = usePanels({ rootRef: root, keys, hoverOpens, held });
  const sendToEither = useCallback(
    (event: unknown) => {
      const { type } = event as DisclosureEvent | DisclosuresEvent;
      if (type === 'press') sendToPanels(event as DisclosuresEvent);
      else send(event as DisclosureEvent);
    },
    [send, sendToPanels],
  );

  const slots = { brand: isFilled(brand), start: isFilled(start), end: isFilled(end), icon: icon !== undefined };
  const content = {
    items,
    brandText: slots.brand ? null : site.name,
    icons: slots.icon,
    slots: Number(slots.start) + Number(slots.end),
  };
  const room = useBarRoom(root, content, ({ narrow }) => {
    if (whenNarrow === 'more' || narrow === isNarrow) return;
    setNarrow(narrow);
    // In a column several groups may be open; above the page, one panel is enough.
    sendToPanels({ type: 'allow', many: narrow });
    if (narrow) return;
    const toggle = root.current?.querySelector('.ft-toggle');
    send({ type: 'room-enough', focusOnTrigger: toggle?.matches(':focus') === true });
  });
  const beyond = useBeyond(root, fitted, whenNarrow === 'more');
  const away = useCondense(root, pinned === undefined ? undefined : givesWay);
  useEffect(() => (pinned && root.current ? watchBarSize(root.current) : undefined), [root, pinned]);
  const hasItems = items.length > 0;
  useEffect(() => {
    const list = hasItems ? root.current?.querySelector<HTMLElement>('.ft-bar-panel > .ft-menu') : null;
    if (!list) return undefined;
    const endKeys = listenForRowKeys(list);
    const endStrip = whenNarrow === 'strip' ? keepMarkedInView(list) : null;
    return () => {
      endKeys();
      endStrip?.();
    };
  }, [root, hasItems, whenNarrow]);

  const view = useShared(
    barView({
      element,
      items,
      label: label ?? wording.mainNavigation,
      panelId,
      expanded: isExpanded,
      closing: isClosing && isNarrow,
      panels,
      ...(panelForms && { panelForms }),
      whenNarrow,
      endPlace,
      beyond,
      room: alwaysToggle ? null : room,
      brandHref: site.home ? hrefOf(site, site.home, {}, language) : null,
      brandText: site.name,
      slots,
      wording,
    }),
  );
  // Of one identity while the app's content is, so that a page change draws none of it again.
  const contents = useMemo(
    () => ({
      children: () => children,
      brand: () => brand,
      start: () => start,
      end: () => end,
      icon: iconSlot(icon),
    }),
    [children, brand, start, end, icon],
  );
  const attributes = {
    ...own,
    'data-ft-backdrop': backdrop,
    'data-ft-pinned': pinned,
    'data-ft-away': away ? givesWay : undefined,
    'data-ft-extent': extent,
    'data-ft-justify': justify,
  };
  const surroundings = { slots: contents, send: sendToEither, marks };
  const isOwn = isFilled(children);
  return (
    <ViewRoot
      view={isOwn ? frameOf(view, 'ft-bar-row') : view}
      parts={isOwn ? view : null}
      surroundings={surroundings}
      attributes={attributes}
      elementRef={root}
    />
  );
});

function useCondense(root: { readonly current: HTMLElement | null }, givesWay: NavbarProps['givesWay']): boolean {
  const [away, setAway] = useState(false);
  useEffect(() => (givesWay && root.current ? watchCondense(root.current, setAway) : undefined), [root, givesWay]);
  return givesWay !== undefined && away;
}
