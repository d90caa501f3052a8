import { computed, defineComponent, useId, type SlotsType } from 'vue';
import { barOptionNames, type BarOptions } from '../core/view/component-options.ts';
import { NavbarPart, ownRow } from '../parts/navbar.ts';
import { flag, givenOf, optional, report, type Listener } from './given.ts';
import { provideParts } from './parts-in-slot.ts';
import { useIcon } from './icon.ts';
import type { PlainSlot, SlotGiven } from './slots.ts';
import { usePosition, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

/**
 * The bar across the top: brand, links with marks, panels, and a toggle in narrow windows.
 *
 * Slots: `brand`, `start`, `end`, `icon` (given a `name`), and the default one for the row as the app arranges it, with a
 * `Part` for each part of the bar.
 *
 * @example
 * <Navbar v-model:expanded="isOpen" when-narrow="panel">
 *   <template #brand><Logo /></template>
 *   <template #end><BookButton /></template>
 * </Navbar>
 */
export const Navbar = defineComponent({
  name: 'Navbar',
  inheritAttrs: false,
  props: {
    /** The menu of the site file whose items the bar shows. Default: `main`. */
    menu: optional<string>(),
    /** The name of the navigation landmark. Default: "Main", or what the trail's wording says. */
    label: optional<string>(),
    /** Default: `header`. A second bar on a page should be a `div`. */
    element: optional<BarOptions['element']>(),
    /** What becomes of the menu where room is short. Default: `panel`. */
    whenNarrow: optional<BarOptions['whenNarrow']>(),
    /** Where the end slot is once the toggle stands in for the menu: in the row where it fits, and else in the panel, by `auto`. Default: `auto`. */
    endPlace: optional<BarOptions['endPlace']>(),
    /** Whether the menu is behind the toggle at every width; for `panel` and `screen`. Default: false. */
    alwaysToggle: flag,
    /** How the panels under items are laid out: all, or each by its entry's id. Default: as suits their content. */
    panels: optional<BarOptions['panels']>(),
    /** Whether panels also open for a mouse that rests on their items. Default: false. */
    hoverOpens: flag,
    /** The id of an entry whose panel stays open, while it is being styled. */
    held: optional<string>(),
    /** What is behind open panels, or the open menu, is dimmed. Default: neither. */
    backdrop: optional<BarOptions['backdrop']>(),
    /** Whether the bar stays in view as the page scrolls: within what holds it, or always. Default: it does not. */
    pinned: optional<BarOptions['pinned']>(),
    /** For a pinned bar: what it does on the way down the page. Default: nothing. */
    givesWay: optional<BarOptions['givesWay']>(),
    /** Whether the row is as wide as the content (`--ft-bar-width`) or as the window. Default: `content`. */
    extent: optional<BarOptions['extent']>(),
    /** How the items share the room that they do not need (CSS Box Alignment). Default: `end`. */
    justify: optional<BarOptions['justify']>(),
    /** Whether the menu is open where room is short: `v-model:expanded`. Without it the bar decides by itself. */
    expanded: flag,
    /** The event `update:expanded`: the menu wants to open or close. */
    'onUpdate:expanded': optional<Listener<[expanded: boolean]>>(),
    /** The event `toggle`: as `update:expanded`. */
    onToggle: optional<Listener<[expanded: boolean]>>(),
  },
  slots: Object as SlotsType<{
    default?: PlainSlot;
    brand?: PlainSlot;
    start?: PlainSlot;
    end?: PlainSlot;
    icon?: SlotGiven<{ readonly name: string }>;
  }>,
  setup(props, { attrs, slots }) {
    const trail = useSurroundings();
    const position = usePosition();
    const id = useId();
    const icon = useIcon(slots);
    const onToggle = (expanded: boolean) => {
      report(props['onUpdate:expanded'], expanded);
      report(props.onToggle, expanded);
    };
    const options = computed(() => givenOf(props, [...barOptionNames, 'menu', 'label', 'expanded']));
    const { draw, print, printPart } = usePart(NavbarPart, () => ({
      ...options.value,
      trail: trail.value,
      position: position.value,
      id,
      icon,
      onToggle,
      slots: {
        brand: slots.brand !== undefined,
        start: slots.start !== undefined,
        end: slots.end !== undefined,
        icon: slots.icon !== undefined,
      },
    }));
    const showParts = provideParts(printPart);
    return () => {
      const { view } = draw();
      showParts(view);
      return view && print(slots.default ? ownRow(view) : view, attrs);
    };
  },
});
