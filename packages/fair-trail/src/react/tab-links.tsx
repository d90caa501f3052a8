import { forwardRef, useId, type HTMLAttributes, type ReactNode } from 'react';
import { TabLinksPart } from '../parts/tab-links.ts';
import { PrintedView } from './printed-view.tsx';
import { usePosition, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

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
 * A row of links that looks like tabs, for sibling pages with their own addresses.
 *
 * @example
 * <TabLinks menu="hides" label="Hides" />
 */
export const TabLinks = forwardRef<HTMLElement, TabLinksProps>(function TabLinks(props, ref) {
  const { menu, label, widths, icon, ...attributes } = props;
  const trail = useSurroundings();
  const position = usePosition();
  const id = useId();
  const options = { menu, label, widths, trail, position, id, icon, slots: { icon: icon !== undefined } };
  const { view, printer, rootRef } = usePart(TabLinksPart, options, ref, icon);
  return view && <PrintedView view={view} printer={printer} attributes={attributes} elementRef={rootRef} />;
});
