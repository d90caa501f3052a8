import { computed, defineComponent, useId, type SlotsType } from 'vue';
import { sidebarOptionNames, type SidebarOptions } from '../core/view/component-options.ts';
import { ownColumn, SidebarPart } from '../parts/sidebar.ts';
import { flag, givenOf, optional, report, type Listener } from './given.ts';
import { useIcon } from './icon.ts';
import { provideParts } from './parts-in-slot.ts';
import type { PlainSlot, SlotGiven } from './slots.ts';
import { useLocation, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

/**
 * The navigation at the side: sections, groups that open in place, a rail of icons, a second panel.
 *
 * Slots: `start`, `foot`, `icon` (given a `name`), `panel` (given the `label` of the annex that it stands below), and the
 * default one for what it holds as the app arranges it, with a `Part` for each part.
 *
 * @example
 * <Sidebar menu="main" label="Sections" when-narrow="cover" rail v-model:narrowed="isNarrow" />
 */
export const Sidebar = defineComponent({
  name: 'Sidebar',
  inheritAttrs: false,
  props: {
    /** The menu of the site file whose items it shows: its groups are titled sections. Default: `main`. */
    menu: optional<string>(),
    /** The name of the navigation landmark, and the word on its toggle. Default: what the trail's wording says. */
    label: optional<string>(),
    /** Tells it from other sidebars in what is remembered. Default: the menu's name. */
    name: optional<string>(),
    /** Colors of markers before labels, as CSS writes them, by entry id. */
    markers: optional<SidebarOptions['markers']>(),
    /** Whether several groups beside each other may be open. Default: `many`. */
    groups: optional<SidebarOptions['groups']>(),
    /** Whether there is a field that filters. Default: false. */
    search: flag,
    /** Whether it can be narrowed to its icons. Default: false. */
    rail: flag,
    /** Where it stands when room is short: over the page, or above the content. Default: `cover`. */
    whenNarrow: optional<SidebarOptions['whenNarrow']>(),
    /** Whether it is behind its toggle at every width. Default: false. */
    alwaysToggle: flag,
    /** The ids of entries whose items open in a second panel, and not in place. They are pages. Default: none. */
    annex: optional<readonly string[]>(),
    /** The key of the address's query that says which annex is open. Default: `annex`. */
    annexParameter: optional<string>(),
    /** The level of the titles of sections and annexes. Default: 2. */
    headingLevel: optional<SidebarOptions['headingLevel']>(),
    /** Whether it is narrow now: `v-model:narrowed`. Without it the sidebar decides by itself, and remembers. */
    narrowed: flag,
    /** The event `update:narrowed`: it wants to be narrowed or widened. */
    'onUpdate:narrowed': optional<Listener<[narrowed: boolean]>>(),
    /** The event `narrow`: as `update:narrowed`. */
    onNarrow: optional<Listener<[narrowed: boolean]>>(),
    /** Whether it is open behind its toggle: `v-model:expanded`. Without it the sidebar decides by itself. */
    expanded: flag,
    /** The event `update:expanded`: it wants to open or close. */
    'onUpdate:expanded': optional<Listener<[expanded: boolean]>>(),
    /** The event `toggle`: as `update:expanded`. */
    onToggle: optional<Listener<[expanded: boolean]>>(),
  },
  slots: Object as SlotsType<{
    default?: PlainSlot;
    start?: PlainSlot;
    foot?: PlainSlot;
    icon?: SlotGiven<{ readonly name: string }>;
    panel?: SlotGiven<{ readonly label: string }>;
  }>,
  setup(props, { attrs, slots }) {
    const trail = useSurroundings();
    const location = useLocation();
    const id = useId();
    const icon = useIcon(slots);
    const onToggle = (expanded: boolean) => {
      report(props['onUpdate:expanded'], expanded);
      report(props.onToggle, expanded);
    };
    const onNarrow = (narrowed: boolean) => {
      report(props['onUpdate:narrowed'], narrowed);
      report(props.onNarrow, narrowed);
    };
    const options = computed(() =>
      givenOf(props, [...sidebarOptionNames, 'menu', 'label', 'name', 'narrowed', 'expanded']),
    );
    const { draw, print, printPart } = usePart(SidebarPart, () => ({
      ...options.value,
      ...location.value,
      trail: trail.value,
      id,
      icon,
      onToggle,
      onNarrow,
      slots: {
        icon: slots.icon !== undefined,
        start: slots.start !== undefined,
        foot: slots.foot !== undefined,
        panel: slots.panel !== undefined,
      },
    }));
    const showParts = provideParts(printPart);
    return () => {
      const { view } = draw();
      showParts(view);
      return view && print(slots.default ? ownColumn(view) : view, attrs);
    };
  },
});
