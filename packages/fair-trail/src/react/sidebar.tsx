import { sidebarView } from '../core/view/sidebar-view.ts';
import type { SidebarOptions } from '../core/view/component-options.ts';
import { forwardRef, useEffect, useId, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import type { AnnexEvent } from '../core/interaction/annex.ts';
import type { GroupsEvent } from '../core/interaction/groups.ts';
import type { OverlayEvent } from '../core/interaction/overlay.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { type AnnexItem, annexItems } from '../core/view/tree-view.ts';
import { frameOf } from '../core/view/view.ts';
import { listenForColumnKeys, listenForSpace } from '../dom/keys.ts';
import { keepMarkedInView } from '../dom/strip.ts';
import { watchTooltips } from '../dom/tooltip.ts';
import { menuNameIn, namesIn, useIconChecks, useNameChecks } from './name-checks.ts';
import { iconSlot, isFilled } from './slots.ts';
import { useSurroundings } from './trail-context.ts';
import { useMenu } from './use-menu.ts';
import { useMemory } from './use-memory.ts';
import { useRoot } from './use-root.ts';
import { useShared } from './use-shared.ts';
import { useStable } from './use-stable.ts';
import { useAnnex, useFilter, useGroups, useOverlay } from './use-sidebar.ts';
import { ViewRoot } from './view.tsx';

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

const noIds: readonly string[] = [];

type SidebarEvent =
  OverlayEvent | GroupsEvent | AnnexEvent | { readonly type: 'close-annex' } | { readonly type: 'rail' };

/**
 * The navigation at the side: sections, groups that open in place, a rail of icons, a second panel.
 *
 * @example
 * <Sidebar menu="main" label="Sections" whenNarrow="cover" />
 */
export const Sidebar = forwardRef<HTMLElement, SidebarProps>(function Sidebar(props, ref) {
  const {
    menu = 'main',
    label,
    name = menu,
    icon,
    markers,
    groups: groupsOpen = 'many',
    search = false,
    ...behind
  } = props;
  const {
    rail = false,
    narrowed,
    onNarrow,
    whenNarrow = 'cover',
    alwaysToggle = false,
    expanded,
    onToggle,
    ...more
  } = behind;
  const {
    annex: annexIds = noIds,
    annexParameter = 'annex',
    panel,
    headingLevel = 2,
    start,
    foot,
    children,
    ...attributes
  } = more;
  const { site, wording } = useSurroundings();
  const { items, marks } = useMenu(menu);
  useNameChecks('Sidebar', () => [
    ...menuNameIn(site, props.menu, menu),
    ...namesIn('entry', 'annex', annexIds),
    // A marker of a record has the record's params behind the id.
    ...namesIn(
      'entry',
      'markers',
      Object.keys(markers ?? {}).map((key) => key.split('/')[0] ?? ''),
    ),
  ]);
  useIconChecks('Sidebar', items, icon);
  const idPrefix = useId();
  const root = useRoot(ref);

  const annexes = useAnnexItems(items, annexIds.join('\n'));
  const annexKeys = useMemo(() => new Set(annexes.keys()), [annexes]);

  const [overlay, sendToOverlay] = useOverlay({ rootRef: root, covers: whenNarrow === 'cover', expanded, onToggle });
  const [groups, sendToGroups] = useGroups({ rootRef: root, items, name, one: groupsOpen === 'one' });
  const [annex, sendToAnnex] = useAnnex(root, annexParameter, (id) => annexes.has(id));
  const [railState, setRail] = useRail({
    name,
    narrowed,
    onNarrow,
    onChange: () => sendToAnnex({ type: 'rail' }),
  });
  const isRail = rail && railState === 'narrow';

  const filtered = useFilter(root, search ? '.ft-sidebar-panel' : null, items);
  const send = useStable((given: unknown) => {
    const event = given as SidebarEvent;
    if (event.type === 'choose') sendToAnnex(event);
    else if (event.type === 'close-annex') sendToAnnex({ type: 'close' });
    else if (event.type === 'rail') setRail(!isRail);
    else if (event.type !== 'press') sendToOverlay(event as OverlayEvent);
    // While a list is filtered, all that is left of it is open.
    else if (filtered !== null) return;
    else if (!isRail || overlay.covers) sendToGroups(event);
    else {
      // A rail has no room for what is in a group.
      setRail(false);
      sendToGroups({ type: 'reveal', ids: [event.id] });
    }
  });

  const shown = annex.shown === null ? undefined : annexes.get(annex.shown);
  const inAnnex = useFilter(root, search && shown ? `[id="${idPrefix}-annex"]` : null, shown?.item.items ?? noItems);
  const open = useMemo(() => new Set(groups.open), [groups.open]);
  const closing = useMemo(() => new Set(groups.closing), [groups.closing]);

  useEffect(() => {
    const list = root.current?.querySelector<HTMLElement>('.ft-sidebar-navigation');
    return list ? keepMarkedInView(list, '[aria-current]') : undefined;
  }, [root]);
  useEffect(() => {
    const column = root.current?.querySelector<HTMLElement>('.ft-sidebar-panel');
    return column ? listenForColumnKeys(column, '.ft-sidebar-navigation') : undefined;
  }, [root]);
  const hasAnnexes = annexKeys.size > 0;
  useEffect(() => (hasAnnexes && root.current ? listenForSpace(root.current) : undefined), [root, hasAnnexes]);
  const shownId = shown?.id;
  useEffect(() => {
    const column = shownId === undefined ? null : root.current?.querySelector<HTMLElement>('.ft-annex');
    return column ? listenForColumnKeys(column, '.ft-menu') : undefined;
  }, [root, shownId]);
  useEffect(() => {
    const tip = isRail ? root.current?.querySelector<HTMLElement>('.ft-tooltip') : null;
    return tip && root.current ? watchTooltips(root.current, tip) : undefined;
  }, [root, isRail]);

  const slots = { icon: icon !== undefined, start: isFilled(start), foot: isFilled(foot) };
  const view = useShared(
    sidebarView({
      items,
      name,
      label: label ?? wording.sidebar,
      ...(label !== undefined && { toggleLabel: label }),
      idPrefix,
      tree: { open, closing, ...(markers && { markers }) },
      annexKeys,
      annexParameter,
      annex: shown
        ? {
            of: shown,
            chosen: annex.chosen,
            leaving: annex.leaving,
            filter: search ? { filtered: inAnnex } : null,
            hasSlot: panel !== undefined,
            open,
            closing,
          }
        : null,
      headingLevel,
      search: search ? { filtered } : null,
      rail: rail ? railState : null,
      whenNarrow,
      alwaysToggle,
      expanded: overlay.expanded,
      closing: overlay.closing,
      covers: overlay.covers && overlay.expanded,
      slots,
      wording,
    }),
  );
  const contents = useMemo(
    () => ({
      children: () => children,
      start: () => start,
      foot: () => foot,
      panel: (about: string) => panel?.(about),
      icon: iconSlot(icon),
    }),
    [children, start, foot, panel, icon],
  );
  const isOwn = isFilled(children);
  return (
    <ViewRoot
      view={isOwn ? frameOf(view, 'ft-sidebar-panel') : view}
      parts={isOwn ? view : null}
      surroundings={{ slots: contents, send, marks }}
      attributes={attributes}
      elementRef={root}
    />
  );
});

const noItems: readonly MenuItem[] = [];

/** By what the list says, since an app may well make it anew for each drawing. */
function useAnnexItems(items: readonly MenuItem[], ids: string): ReadonlyMap<string, AnnexItem> {
  return useMemo(() => annexItems(items, ids.split('\n')), [items, ids]);
}

interface RailSettings {
  readonly name: string;
  readonly narrowed: boolean | undefined;
  readonly onNarrow: ((narrowed: boolean) => void) | undefined;
  readonly onChange: () => void;
}

/** Whether a sidebar is narrowed to its icons: as the app says, or as it is remembered, which a server cannot know. */
function useRail({ name, narrowed, onNarrow, onChange }: RailSettings) {
  const [names, memory, isKnown] = useMemory('rails');
  const isRail = narrowed ?? names.includes(name);
  const setRail = (next: boolean) => {
    if (narrowed === undefined) memory?.replace((other) => other === name, next ? [name] : []);
    onNarrow?.(next);
    onChange();
  };
  const state = isRail ? 'narrow' : narrowed === undefined && !isKnown ? 'unknown' : 'full';
  return [state, setRail] as const;
}
