import { forwardRef, useEffect, useId, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import type { DisclosuresEvent } from '../core/interaction/disclosures.ts';
import { itemKey } from '../core/view/menu-view.ts';
import { tabLinksView } from '../core/view/tab-links-view.ts';
import { watchEdges } from '../dom/edges.ts';
import { listenForRowKeys } from '../dom/keys.ts';
import { keepMarkedInView } from '../dom/strip.ts';
import { namesIn, useIconChecks, useNameChecks } from './name-checks.ts';
import { iconSlot } from './slots.ts';
import { useSurroundings } from './trail-context.ts';
import { useMenu } from './use-menu.ts';
import { usePanels } from './use-panels.ts';
import { useRoot } from './use-root.ts';
import { useShared } from './use-shared.ts';
import { ViewRoot } from './view.tsx';

export interface TabLinksProps extends Omit<HTMLAttributes<HTMLElement>, 'children'> {
  /** The menu of the site file whose items it shows. */
  readonly menu: string;
  /** The name of the navigation landmark. */
  readonly label: string;
  /** Whether the links share the whole room. Default: `natural`. */
  readonly widths?: 'natural' | 'filling';
  /** Draws an icon by its name in the site file. Its drawing should be hidden from assistive technology. */
  readonly icon?: (name: string) => ReactNode;
}

/**
 * A strip of links that looks like tabs: for pages beside each other, each with an address of its own.
 *
 * @example
 * <TabLinks menu="hides" label="Hides" />
 */
export const TabLinks = forwardRef<HTMLElement, TabLinksProps>(function TabLinks(props, ref) {
  const { menu, label, widths = 'natural', icon, ...attributes } = props;
  const { wording } = useSurroundings();
  const { items, marks } = useMenu(menu);
  useNameChecks('TabLinks', () => namesIn('menu', 'menu', menu));
  useIconChecks('TabLinks', items, icon);
  const idPrefix = useId();
  const root = useRoot(ref);
  const keys = useMemo(() => items.filter((item) => item.items.length > 0).map(itemKey), [items]);
  const { panels, sendToPanels } = usePanels({ rootRef: root, keys, hoverOpens: false, held: undefined });
  useEffect(() => {
    const list = root.current?.querySelector<HTMLElement>('.ft-tab-row > .ft-menu');
    if (!list) return undefined;
    const ends = [keepMarkedInView(list), watchEdges(list), listenForRowKeys(list)];
    return () => {
      for (const end of ends) end();
    };
  }, [root, items]);
  const view = useShared(
    tabLinksView({
      items,
      label,
      idPrefix,
      fills: widths === 'filling',
      panels,
      icons: icon !== undefined,
      wording,
    }),
  );
  const slots = useMemo(() => ({ icon: iconSlot(icon) }), [icon]);
  const surroundings = { slots, send: (event: unknown) => sendToPanels(event as DisclosuresEvent), marks };
  return <ViewRoot view={view} surroundings={surroundings} attributes={attributes} elementRef={root} />;
});
