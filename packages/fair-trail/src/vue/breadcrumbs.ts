import { computed, defineComponent, h, useId, type SlotsType } from 'vue';
import { breadcrumbsOptionNames, type BreadcrumbsOptions } from '../core/view/component-options.ts';
import { BreadcrumbsPart } from '../parts/breadcrumbs.ts';
import { flag, givenOf, optional } from './given.ts';
import { useIcon } from './icon.ts';
import type { PlainSlot, SlotGiven } from './slots.ts';
import { usePosition, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

/**
 * The breadcrumbs from the home page to the current page. Renders nothing on the home page.
 *
 * Slots: `separator`, which stands between steps, hidden from assistive technology; `icon` (given a `name`).
 *
 * @example
 * <Breadcrumbs :keep-last="2" />
 */
export const Breadcrumbs = defineComponent({
  name: 'Breadcrumbs',
  inheritAttrs: false,
  props: {
    /** How many steps at the beginning are never folded away. Default: 1. */
    keepFirst: optional<number>(),
    /** How many steps at the end are never folded away. Default: 2. */
    keepLast: optional<number>(),
    /** Whether steps are folded away behind a button. Default: `fit`. */
    fold: optional<BreadcrumbsOptions['fold']>(),
    /** What the step of the page itself is. Default: `text`. */
    current: optional<BreadcrumbsOptions['current']>(),
    /** What is shown where room is short: as much as fits, or the `parent` alone. Default: `fold`. */
    whenNarrow: optional<BreadcrumbsOptions['whenNarrow']>(),
    /** Whether each step has a button that shows what stands beside it in the site. Default: false. */
    siblings: flag,
    /** Whether the way is also in the document as schema.org's `BreadcrumbList`. Default: false. */
    structuredData: flag,
  },
  slots: Object as SlotsType<{ separator?: PlainSlot; icon?: SlotGiven<{ readonly name: string }> }>,
  setup(props, { attrs, slots }) {
    const trail = useSurroundings();
    const position = usePosition();
    const id = useId();
    const icon = useIcon(slots);
    const given = computed(() => givenOf(props, breadcrumbsOptionNames));
    const { part, draw, print } = usePart(BreadcrumbsPart, () => ({
      ...given.value,
      trail: trail.value,
      position: position.value,
      id,
      icon,
      slots: { icon: slots.icon !== undefined, separator: slots.separator !== undefined },
    }));
    return () => {
      const { view, options } = draw();
      if (!view) return null;
      const data = part.structuredData(options);
      const printed = print(view, attrs);
      return data === null ? printed : [printed, h('script', { type: 'application/ld+json', innerHTML: data })];
    };
  },
});
