import {
  forwardRef,
  useCallback,
  useEffect,
  useId,
  useImperativeHandle,
  useMemo,
  useRef,
  useState,
  type HTMLAttributes,
  type ReactNode,
} from 'react';
import {
  barView,
  estimateRoom,
  hrefOf,
  menuItems,
  nextDisclosure,
  rungFor,
  type DisclosureEvent,
} from '../core/index.ts';
import { carryOutDisclosure, listenWhileExpanded, watchRoom, type DisclosureParts } from '../dom/index.ts';
import { useLiveMarks } from './live-marks.ts';
import { useBrowserLayoutEffect, usePlace, useSurroundings } from './trail-context.ts';
import { useShared } from './use-shared.ts';
import { ViewRoot } from './view.tsx';

export interface NavbarProps extends Omit<HTMLAttributes<HTMLElement>, 'onToggle' | 'children'> {
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
  /** Default: `header`. A second bar on a page should be a `div`. */
  readonly element?: 'header' | 'div';
  /** Whether the menu is open where room is short. Without it the bar decides by itself. */
  readonly expanded?: boolean;
  /** Told when the menu wants to open or close. */
  readonly onToggle?: (expanded: boolean) => void;
}

/** The bar across the top: brand, links with their marks, and a toggle for them where room is short. */
export const Navbar = forwardRef<HTMLElement, NavbarProps>(function Navbar(props, ref) {
  const {
    menu = 'main',
    label,
    brand,
    start,
    end,
    icon,
    element = 'header',
    expanded,
    onToggle,
    ...attributes
  } = props;
  const { site, audience, records, wording } = useSurroundings();
  const language = usePlace(({ position }) => position.language);
  const panelId = useId();
  const root = useRef<HTMLElement>(null);
  useImperativeHandle<HTMLElement | null, HTMLElement | null>(ref, () => root.current, []);

  const [ownExpanded, setOwnExpanded] = useState(false);
  const isExpanded = expanded ?? ownExpanded;
  const latest = useRef({ isExpanded, onToggle });
  useBrowserLayoutEffect(() => {
    latest.current = { isExpanded, onToggle };
  });

  const parts = useCallback((): DisclosureParts | null => {
    const panel = root.current?.ownerDocument.getElementById(panelId);
    const trigger = root.current?.querySelector<HTMLElement>('.ft-toggle');
    return root.current && panel && trigger ? { root: root.current, trigger, panel } : null;
  }, [panelId]);

  const send = useCallback(
    (event: DisclosureEvent) => {
      const was = latest.current.isExpanded;
      const { state, effects } = nextDisclosure({ expanded: was }, event);
      if (state.expanded !== was) {
        // Two events can come before the next render; the second must see what the first did.
        latest.current.isExpanded = state.expanded;
        setOwnExpanded(state.expanded);
        latest.current.onToggle?.(state.expanded);
      }
      const present = parts();
      if (present) for (const effect of effects) carryOutDisclosure(present, effect);
    },
    [parts],
  );

  useEffect(() => {
    const present = isExpanded ? parts() : null;
    return present ? listenWhileExpanded(present, send) : undefined;
  }, [isExpanded, parts, send]);

  const items = useMemo(
    () => menuItems(site, menu, { audience, records, language }),
    [site, menu, audience, records, language],
  );
  const marks = useLiveMarks(items);
  const slots = { brand: isFilled(brand), start: isFilled(start), end: isFilled(end), icon: icon !== undefined };
  const room = useRoom(root, send, {
    items,
    brandText: site.name,
    slots: Number(slots.start) + Number(slots.end),
  });

  const view = useShared(
    barView({
      element,
      items,
      label: label ?? wording.mainNavigation,
      panelId,
      expanded: isExpanded,
      room,
      brandHref: site.home ? hrefOf(site, site.home, {}, language) : null,
      brandText: site.name,
      slots,
      wording,
    }),
  );
  // Of one identity while the app's content is, so that a page change draws none of it again.
  const contents = useMemo(
    () => ({
      brand: () => brand,
      start: () => start,
      end: () => end,
      icon: (name: string) => (name === '' ? null : (icon?.(name) ?? null)),
    }),
    [brand, start, end, icon],
  );
  const surroundings = { slots: contents, send: send as (event: unknown) => void, marks };
  return <ViewRoot view={view} surroundings={surroundings} attributes={attributes} elementRef={root} />;
});

function isFilled(content: ReactNode): boolean {
  return content !== undefined && content !== null && content !== false;
}

/** The room at which the bar's row fits: estimated from the labels, and corrected once it has been seen not to. */
function useRoom(
  root: { readonly current: HTMLElement | null },
  send: (event: DisclosureEvent) => void,
  content: Parameters<typeof estimateRoom>[0],
): number | null {
  const estimate = estimateRoom(content);
  const [measured, setMeasured] = useState({ estimate, needed: 0 });
  const wasNarrow = useRef(false);
  // What was measured holds only for what the bar held then; another estimate means that it holds something else now.
  useEffect(() => {
    const row = root.current?.querySelector<HTMLElement>('.ft-bar-row');
    if (!row) return undefined;
    const toggle = row.querySelector<HTMLElement>('.ft-toggle');
    return watchRoom(row, toggle, ({ narrow, needed }) => {
      if (wasNarrow.current && !narrow) {
        send({ type: 'room-enough', focusOnTrigger: row.ownerDocument.activeElement === toggle });
      }
      wasNarrow.current = narrow;
      if (needed === null) return;
      setMeasured((known) => ({
        estimate,
        needed: known.estimate === estimate ? Math.max(known.needed, needed) : needed,
      }));
    });
  }, [root, send, estimate]);
  return rungFor(measured.estimate === estimate ? Math.max(estimate, measured.needed) : estimate);
}
