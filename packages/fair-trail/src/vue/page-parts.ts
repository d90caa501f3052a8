import { computed, defineComponent, useId, type SlotsType } from 'vue';
import { layoutParts } from '../core/view/layout-view.ts';
import type { SkipTarget } from '../core/view/skip-link-view.ts';
import { FooterPart } from '../parts/footer.ts';
import { NoticePart } from '../parts/notice.ts';
import { LanguagesPart, PageLayoutPart, SkipLinkPart } from '../parts/plain-parts.ts';
import { TabLinksPart } from '../parts/tab-links.ts';
import { flag, givenOf, optional, plain, report, required, type Listener } from './given.ts';
import { useIcon } from './icon.ts';
import type { PlainSlot, SlotGiven } from './slots.ts';
import { useLocation, usePosition, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

/**
 * The navigation at the foot of the page, with its titled groups.
 *
 * Slots: `form`, beside the groups; `foot`, below it all; `icon` (given a `name`).
 *
 * @example
 * <FooterNav menu="footer" />
 */
export const FooterNav = defineComponent({
  name: 'FooterNav',
  inheritAttrs: false,
  props: {
    /** The menu of the site file whose items it shows; groups get titles. Default: `footer`. */
    menu: optional<string>(),
    /** The name of the navigation landmark. Default: "Footer", or what the trail's wording says. */
    label: optional<string>(),
    /** The level of the groups' titles. Default: 2. */
    headingLevel: optional<2 | 3 | 4>(),
    /** Whether icons stand for the labels of items outside of groups. Default: false. */
    iconsOnly: flag,
  },
  slots: Object as SlotsType<{ form?: PlainSlot; foot?: PlainSlot; icon?: SlotGiven<{ readonly name: string }> }>,
  setup(props, { attrs, slots }) {
    const trail = useSurroundings();
    const position = usePosition();
    const id = useId();
    const icon = useIcon(slots);
    const given = computed(() => givenOf(props, ['menu', 'label', 'headingLevel', 'iconsOnly']));
    const { draw, print } = usePart(FooterPart, () => ({
      ...given.value,
      trail: trail.value,
      position: position.value,
      id,
      icon,
      slots: { icon: slots.icon !== undefined, form: slots.form !== undefined, foot: slots.foot !== undefined },
    }));
    return () => {
      const { view } = draw();
      return view && print(view, attrs);
    };
  },
});

/**
 * A strip above the page that the reader can dismiss. The choice is remembered if the browser allows storage.
 *
 * @example
 * <Notice name="tower-closed">The tower is closed until Friday.</Notice>
 */
export const Notice = defineComponent({
  name: 'Notice',
  inheritAttrs: false,
  props: {
    /** Tells it from other notices: one with another name is shown to those who sent this one away. */
    name: required<string>(),
    /** The name of its region. Default: "Notice", or what the trail's wording says. */
    label: optional<string>(),
    /** The event `dismiss`: the reader has sent it away. */
    onDismiss: optional<Listener<[]>>(),
  },
  slots: Object as SlotsType<{ default?: PlainSlot }>,
  setup(props, { attrs }) {
    const trail = useSurroundings();
    const onDismiss = () => report(props.onDismiss);
    const { draw, print } = usePart(NoticePart, () => ({
      trail: trail.value,
      name: props.name,
      label: props.label,
      onDismiss,
    }));
    return () => {
      const { view } = draw();
      return view && print(view, attrs);
    };
  },
});

/**
 * A link past the navigation, or several. Put it first on the page. It is visible while it has focus.
 *
 * @example
 * <SkipLink />
 */
export const SkipLink = defineComponent({
  name: 'SkipLink',
  inheritAttrs: false,
  props: {
    /** The id of the element to skip to. Default: that of the `Stage`. */
    targetId: optional<string>(),
    /** Further places to skip to, after the content: a search field, the footer. */
    targets: optional<readonly SkipTarget[]>(),
  },
  setup(props, { attrs }) {
    const trail = useSurroundings();
    const { draw, print } = usePart(SkipLinkPart, () => ({
      trail: trail.value,
      targetId: props.targetId,
      targets: plain(props.targets),
    }));
    return () => {
      const { view } = draw();
      return view && print(view, attrs);
    };
  },
});

/**
 * Links to the same page in each of the site's languages.
 *
 * @example
 * <LanguageLinks :names="{ cy: 'Cymraeg' }" />
 */
export const LanguageLinks = defineComponent({
  name: 'LanguageLinks',
  inheritAttrs: false,
  props: {
    /** Names to show instead of those that the browser knows, by language. */
    names: optional<Readonly<Record<string, string>>>(),
  },
  setup(props, { attrs }) {
    const trail = useSurroundings();
    const position = usePosition();
    const { draw, print } = usePart(LanguagesPart, () => ({
      trail: trail.value,
      position: position.value,
      names: plain(props.names),
    }));
    return () => {
      const { view } = draw();
      return view && print(view, attrs);
    };
  },
});

/**
 * A row of links that looks like tabs, for sibling pages with their own addresses.
 *
 * @example
 * <TabLinks menu="hides" label="Hides" />
 */
export const TabLinks = defineComponent({
  name: 'TabLinks',
  inheritAttrs: false,
  props: {
    /** The menu of the site file whose items it shows. */
    menu: required<string>(),
    /** The name of the navigation landmark. */
    label: required<string>(),
    /** Whether the links share the whole room. Default: `natural`. */
    widths: optional<'natural' | 'filling'>(),
  },
  slots: Object as SlotsType<{ icon?: SlotGiven<{ readonly name: string }> }>,
  setup(props, { attrs, slots }) {
    const trail = useSurroundings();
    const position = usePosition();
    const id = useId();
    const icon = useIcon(slots);
    const { draw, print } = usePart(TabLinksPart, () => ({
      menu: props.menu,
      label: props.label,
      widths: props.widths,
      trail: trail.value,
      position: position.value,
      id,
      icon,
      slots: { icon: slots.icon !== undefined },
    }));
    return () => {
      const { view } = draw();
      return view && print(view, attrs);
    };
  },
});

/**
 * The layout that all pages share: notice, bar, sidebar, content and footer.
 *
 * Slots: `notice`, `bar`, `sidebar`, `footer`, and the default one for the content, which holds the `Stage`.
 *
 * @example
 * <Layout>
 *   <template #bar><Navbar /></template>
 *   <Stage :pages="pages" />
 * </Layout>
 */
export const Layout = defineComponent({
  name: 'Layout',
  inheritAttrs: false,
  slots: Object as SlotsType<{
    default?: PlainSlot;
    notice?: PlainSlot;
    bar?: PlainSlot;
    sidebar?: PlainSlot;
    footer?: PlainSlot;
  }>,
  setup(_, { attrs, slots }) {
    const trail = useSurroundings();
    const location = useLocation();
    const source = { read: () => location.value, subscribe: () => () => undefined };
    const isFilled = (part: (typeof layoutParts)[number]) => slots[part === 'content' ? 'default' : part] !== undefined;
    const { draw, print } = usePart(PageLayoutPart, () => ({
      trail: trail.value,
      location: source,
      filled: layoutParts.filter(isFilled),
    }));
    return () => {
      const { view } = draw();
      return view && print(view, attrs);
    };
  },
});
