import { forwardRef, useId, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { barOptionNames, type BarOptions } from '../core/view/component-options.ts';
import { NavbarPart, ownRow } from '../parts/navbar.ts';
import { PrintedView } from './printed-view.tsx';
import { isFilled, splitProps } from './slots.ts';
import { usePosition, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

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

const optionNames = [...barOptionNames, 'menu', 'label', 'expanded', 'onToggle'] as const;

/**
 * The bar across the top: brand, links with marks, panels, and a toggle in narrow windows.
 *
 * @example
 * <Navbar brand={<Logo />} end={<BookButton />} whenNarrow="panel" />
 */
export const Navbar = forwardRef<HTMLElement, NavbarProps>(function Navbar(props, ref) {
  const [options, { brand, start, end, icon, children, ...attributes }] = splitProps(props, optionNames);
  const trail = useSurroundings();
  const position = usePosition();
  const id = useId();
  const slots = { brand: isFilled(brand), start: isFilled(start), end: isFilled(end), icon: icon !== undefined };
  const { view, printer, rootRef } = usePart(NavbarPart, { ...options, trail, position, id, icon, slots }, ref, icon);
  // Of one identity while the app's content is, so that a page change draws none of it again.
  const contents = useMemo(
    () => ({ children: () => children, brand: () => brand, start: () => start, end: () => end }),
    [children, brand, start, end],
  );
  const isOwn = isFilled(children);
  return (
    view && (
      <PrintedView
        view={isOwn ? ownRow(view) : view}
        whole={isOwn ? view : null}
        printer={printer}
        slots={contents}
        attributes={attributes}
        elementRef={rootRef}
      />
    )
  );
});
