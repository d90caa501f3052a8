import { forwardRef, useId, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { sidebarOptionNames, type SidebarOptions } from '../core/view/component-options.ts';
import { ownColumn, SidebarPart } from '../parts/sidebar.ts';
import { PrintedView } from './printed-view.tsx';
import { isFilled, splitProps } from './slots.ts';
import { useLocation, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

/**
 * The properties of a `Sidebar`.
 */
export interface SidebarProps extends SidebarOptions, Omit<HTMLAttributes<HTMLElement>, 'onToggle'> {
  /** The menu of the site file whose items it shows: its groups are titled sections. Default: `main`. */
  readonly menu?: string;
  /**
   * The name of the navigation landmark, and the word on its toggle. Default: "Sidebar" and "Menu", or what the trail's
   * wording says.
   */
  readonly label?: string;
  /** Tells it from other sidebars in what is remembered. Default: the menu's name. */
  readonly name?: string;
  /** Draws an icon by its name in the site file. Its drawing should be hidden from assistive technology. */
  readonly icon?: (name: string) => ReactNode;
  /** Whether it is narrow now. Without it the sidebar decides by itself, and remembers. */
  readonly narrowed?: boolean;
  /** Called when it wants to be narrowed or widened. */
  readonly onNarrow?: (narrowed: boolean) => void;
  /** Whether it is open behind its toggle. Without it the sidebar decides by itself. */
  readonly expanded?: boolean;
  /** Called when it wants to open or close. */
  readonly onToggle?: (expanded: boolean) => void;
  /** Stands below the list of an annex. */
  readonly panel?: (label: string) => ReactNode;
  /** Stands above the list. */
  readonly start?: ReactNode;
  /** Stands below the list, and does not scroll with it. */
  readonly foot?: ReactNode;
  /** What it holds as the app arranges it: its own markup, with a `Part` for each part. Default: the usual. */
  readonly children?: ReactNode;
}

const optionNames = [
  ...sidebarOptionNames,
  'menu',
  'label',
  'name',
  'narrowed',
  'onNarrow',
  'expanded',
  'onToggle',
] as const;

/**
 * The navigation at the side: sections, groups that open in place, a rail of icons, a second panel.
 *
 * @example
 * <Sidebar menu="main" label="Sections" whenNarrow="cover" />
 */
export const Sidebar = forwardRef<HTMLElement, SidebarProps>(function Sidebar(props, ref) {
  const [options, { icon, panel, start, foot, children, ...attributes }] = splitProps(props, optionNames);
  const trail = useSurroundings();
  const location = useLocation();
  const id = useId();
  const slots = {
    icon: icon !== undefined,
    start: isFilled(start),
    foot: isFilled(foot),
    panel: panel !== undefined,
  };
  const given = { ...options, ...location, trail, id, icon, slots };
  const { view, printer, rootRef } = usePart(SidebarPart, given, ref, icon);
  const contents = useMemo(
    () => ({
      children: () => children,
      start: () => start,
      foot: () => foot,
      panel: (about: string) => panel?.(about),
    }),
    [children, start, foot, panel],
  );
  const isOwn = isFilled(children);
  return (
    view && (
      <PrintedView
        view={isOwn ? ownColumn(view) : view}
        whole={isOwn ? view : null}
        printer={printer}
        slots={contents}
        attributes={attributes}
        elementRef={rootRef}
      />
    )
  );
});
