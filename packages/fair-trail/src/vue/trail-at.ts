import {
  computed,
  defineComponent,
  h,
  onMounted,
  onUnmounted,
  onUpdated,
  shallowRef,
  watch,
  type Slots,
  type SlotsType,
  type VNodeArrayChildren,
} from 'vue';
import { locate, samePosition, type Position } from '../core/site/locate.ts';
import type { NavigateOptions } from '../dom/router-interface.ts';
import type { GivenAddress } from '../dom/given-address.ts';
import { pageHead, loadAddress, openGivenTrail, sayScripted } from '../parts/given-trail.ts';
import type { TrailLocation } from '../parts/surroundings.ts';
import { report, required } from './given.ts';
import type { LinkSlotProps } from './links.ts';
import { provideTrail, sharedProps, siteIn, type SharedProps } from './provide.ts';
import type { PlainSlot, SlotGiven } from './slots.ts';

export const trailSlots = Object as SlotsType<{ default?: PlainSlot; link?: SlotGiven<LinkSlotProps> }>;

/**
 * Provides the site, the position and the audience to the components within it, for an address that another router or a
 * server decides. It loads no router.
 *
 * The slot `link` draws the links of the site with the link component of that router. It is given the link's `href`, its
 * `attributes`, and its `content` as a component.
 *
 * @example
 * <TrailAt :site :url="route.fullPath" v-on:navigate="(url) => router.push(url)">
 *   <template #link="{ href, attributes, content }">
 *     <YourLink :to="href" v-bind="attributes"><component :is="content" /></YourLink>
 *   </template>
 *   <Navbar />
 * </TrailAt>
 */
export const TrailAt = defineComponent({
  name: 'TrailAt',
  inheritAttrs: false,
  props: {
    ...sharedProps,
    /** The current address, as the app's router or the server says it. */
    url: required<string>(),
  },
  slots: trailSlots,
  setup(props, { slots }) {
    return useGivenTrail(props, () => props.url, slots);
  },
});

/** @param urlNow the current address, from what Vue follows */
export function useGivenTrail(props: SharedProps, urlNow: () => string, slots: Slots): () => VNodeArrayChildren {
  const router = shallowRef(null);
  let position: Position | null = null;
  // The same place keeps its identity, so that a change of query draws nothing that depends on the place alone.
  const location = computed<TrailLocation>(() => {
    const url = urlNow();
    const found = locate(siteIn(props), url);
    if (!position || !samePosition(position, found)) position = found;
    return { position, url };
  });
  const navigate = (url: string, options: NavigateOptions = {}) => {
    if (props.onNavigate === undefined) loadAddress(url, options);
    else report(props.onNavigate, url, options);
  };
  const surroundings = provideTrail(props, slots, { location, router, navigate });
  const head = computed(() => pageHead(surroundings.value, location.value));

  let address: GivenAddress | null = null;
  let stopSaying: (() => void) | undefined;
  const open = (arrival = props.arrival ?? 'focus') => {
    address?.end();
    address = openGivenTrail(arrival);
  };
  const show = () => address?.show(location.value.url, head.value);
  onMounted(() => {
    stopSaying = sayScripted();
    open();
    show();
    watch(
      () => props.arrival,
      (arrival) => open(arrival),
    );
  });
  onUnmounted(() => {
    address?.end();
    stopSaying?.();
  });
  // Stands after all else: by the time it is drawn, the document shows the new page.
  const Drawn = defineComponent({
    name: 'Drawn',
    setup: () => {
      onUpdated(show);
      // Drawn again when one of the two is another.
      return () => (head.value, location.value, null);
    },
  });
  return () => [slots['default']?.(), h(Drawn)];
}
