import {
  defineComponent,
  h,
  inject,
  onBeforeUpdate,
  shallowRef,
  triggerRef,
  type FunctionalComponent,
  type InjectionKey,
  type Ref,
  type VNode,
  type VNodeArrayChildren,
} from 'vue';

/** What the slot `link` is given. It must put all of it on its `a` element, and let `aria-current` win. */
export interface LinkSlotProps {
  /** An address of the site. */
  readonly href: string;
  /** The other attributes of the link. */
  readonly attributes: Readonly<Record<string, unknown>>;
  /** Draws what stands in the link: `<component :is="content" />`. */
  readonly content: FunctionalComponent;
}

export interface Links {
  /** Null if the browser's own element is used. */
  readonly draw: ((given: LinkSlotProps) => VNode[]) | null;
  /** How a link writes an address of the site. */
  readonly href: (url: string) => string;
}

export const linksKey: InjectionKey<Readonly<Ref<Links>>> = Symbol('links');

const plainLinks = shallowRef<Links>({ draw: null, href: (url) => url });

/** How links are written where the component stands. */
export function useLinks(): Readonly<Ref<Links>> {
  return inject(linksKey, plainLinks);
}

/** A link of the site, drawn by the slot of the app: another router's link component, for instance. */
const OwnLink = defineComponent({
  name: 'OwnLink',
  inheritAttrs: false,
  setup(_, { attrs, slots }) {
    const links = useLinks();
    // The app's link component is given no other content when what stands in the link changes: the content draws itself.
    const drawing = shallowRef(slots);
    const content: FunctionalComponent = () => drawing.value['default']?.() ?? [];
    onBeforeUpdate(() => triggerRef(drawing));
    return (): VNodeArrayChildren => {
      const { href, ...attributes } = attrs;
      // A router's own link marks itself by its own rules, which are not ours; said outright, "false" overrules them.
      const own = { ...attributes, 'aria-current': attributes['aria-current'] ?? 'false' };
      return links.value.draw?.({ href: href as string, attributes: own, content }) ?? [];
    };
  },
});

/** Prints a link: in the app's own way where it has one, and for the app's own addresses. */
export function linkNode(
  props: Readonly<Record<string, unknown>>,
  children: string | VNodeArrayChildren,
  { draw, href: written }: Links,
): VNode {
  const { href } = props;
  // Only paths are the site's own; a link to elsewhere is the browser's in every app.
  if (typeof href !== 'string' || !href.startsWith('/')) return h('a', props, children);
  if (!draw) return h('a', { ...props, href: written(href) }, children);
  return h(OwnLink, props, { default: () => (typeof children === 'string' ? [children] : children) });
}
