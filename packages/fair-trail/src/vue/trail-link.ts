import { computed, defineComponent, mergeProps, onMounted, watch, type SlotsType } from 'vue';
import { checkEntryLink, entryLink, entryLinkAttributes, leadsTo } from '../parts/entry-link.ts';
import { optional, plain, required } from './given.ts';
import { linkNode, useLinks } from './links.ts';
import type { PlainSlot } from './slots.ts';
import { useLocation, useSurroundings } from './trail-context.ts';

/**
 * A link to an entry of the site, so that no address is written twice. It says when it leads to the page that it is on,
 * and shows the entry's label where it has no content.
 *
 * For an entry that the site does not have, or whose address cannot be written with these params, it is a link that leads
 * nowhere and says so (`aria-disabled`), and a development build warns: `entry-unknown` or `link-without-address`.
 *
 * @example
 * <TrailLink entry="species-page" :params="{ slug: 'avocet' }">Avocet</TrailLink>
 */
export const TrailLink = defineComponent({
  name: 'TrailLink',
  inheritAttrs: false,
  props: {
    /** The id of the entry to link to. */
    entry: required<string>(),
    /** A value for each param of the entry's address. */
    params: optional<Readonly<Record<string, string>>>(),
    /** Added to the address as it is, beginning with `?`. */
    search: optional<string>(),
    /** Added to the address as it is, beginning with `#`. */
    hash: optional<string>(),
  },
  slots: Object as SlotsType<{ default?: PlainSlot }>,
  setup(props, { attrs, slots }) {
    const trail = useSurroundings();
    const location = useLocation();
    const links = useLinks();
    const language = computed(() => location.value.position.language);
    const link = computed(() => {
      const { entry, params, search, hash } = props;
      return entryLink(trail.value, { entry, params: plain(params), search, hash }, language.value);
    });
    const isHere = computed(() => leadsTo(link.value, location.value.position));
    onMounted(() => watch(link, (one) => checkEntryLink(one, trail.value), { immediate: true }));
    return () => {
      const said = Object.entries(entryLinkAttributes(link.value, isHere.value)).filter(([, value]) => value !== null);
      const { href, ...own } = Object.fromEntries(said);
      const props = mergeProps(own, attrs);
      if (href !== undefined) props['href'] = href;
      return linkNode(props, slots.default?.() ?? link.value.label, links.value);
    };
  },
});
