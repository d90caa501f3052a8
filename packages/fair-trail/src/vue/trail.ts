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
  type VNodeArrayChildren,
} from 'vue';
import { errorText } from '../core/error-texts.ts';
import type { SessionHistory } from '../core/router/history.ts';
import type { Eagerness } from '../dom/speculation.ts';
import { pageHead, sayScripted } from '../parts/given-trail.ts';
import { createTrail, locationAt, renderedState } from '../parts/trail.ts';
import { flag, optional, report } from './given.ts';
import { provideTrail, sharedProps, siteIn, type SharedProps } from './provide.ts';
import { trailSlots, useGivenTrail } from './trail-at.ts';

interface RoutedProps extends SharedProps {
  readonly history: SessionHistory | undefined;
  readonly renderedUrl: string | undefined;
  readonly eagerness: Eagerness | null | undefined;
  readonly viewTransitions: boolean | undefined;
}

/**
 * Provides the site, the position and the audience to the components within it, and changes pages with its own router.
 *
 * If the app has a router, use `TrailAt`: it loads no router of ours.
 *
 * @example
 * <Trail :site>
 *   <Navbar />
 *   <Stage :pages />
 * </Trail>
 */
export const Trail = defineComponent({
  name: 'Trail',
  inheritAttrs: false,
  props: {
    ...sharedProps,
    /** Where the visitor's way is kept. Default: the browser's session history. */
    history: optional<SessionHistory>(),
    /** The address that the server rendered, for the first drawing to equal it. Default: the current one. */
    renderedUrl: optional<string>(),
    /** How early pages are loaded ahead; null for never. Default: `moderate`. */
    eagerness: optional<Eagerness | null>(),
    /** Whether a page change is a view transition where the browser has them and motion is wanted. Default: true. */
    viewTransitions: flag,
    /** The current address, where something else decides it, such as a server. */
    url: optional<string>(),
  },
  slots: trailSlots,
  setup(props, { slots }) {
    const isBrowser = typeof window !== 'undefined';
    const urlNow = () => props.url ?? (isBrowser ? undefined : props.history?.current.url);
    if (urlNow() !== undefined) return useGivenTrail(props, () => urlNow() ?? '/', slots);
    if (!isBrowser) throw new TypeError(errorText('url-missing'));
    return useRoutedTrail(props, slots);
  },
});

function useRoutedTrail(props: RoutedProps, slots: Slots): () => VNodeArrayChildren {
  const trail = computed(() =>
    createTrail({
      site: siteIn(props),
      history: props.history,
      arrival: props.arrival ?? 'focus',
      eagerness: props.eagerness === undefined ? 'moderate' : props.eagerness,
      viewTransitions: props.viewTransitions ?? true,
      onWarning: () => props.onWarning && ((given) => report(props.onWarning, given)),
    }),
  );
  const router = computed(() => trail.value.router);
  const rendered = props.renderedUrl === undefined ? null : renderedState(siteIn(props), props.renderedUrl);
  const state = shallowRef(rendered ?? router.value.state);
  const location = shallowRef((rendered ? locationAt(rendered) : trail.value.location).read());
  const look = () => {
    state.value = router.value.state;
    location.value = trail.value.location.read();
  };
  const navigate: (typeof router.value)['navigate'] = (url, options) => router.value.navigate(url, options);
  const surroundings = provideTrail(props, slots, { location, router, navigate });
  const head = computed(() => pageHead(surroundings.value, state.value));

  let stop: (() => void) | undefined;
  const start = () => {
    stop?.();
    const stopListening = router.value.subscribe(look);
    const disconnect = router.value.connect();
    stop = () => {
      stopListening();
      disconnect();
    };
    look();
  };
  const drawn = () => {
    router.value.describe(head.value);
    router.value.drawn();
  };
  let stopSaying: (() => void) | undefined;
  onMounted(() => {
    stopSaying = sayScripted();
    start();
    drawn();
    // Another site, or other settings, are another router.
    watch(trail, start, { flush: 'sync' });
  });
  onUnmounted(() => {
    stop?.();
    stopSaying?.();
  });
  // Stands after all else: by the time it is drawn, the document shows the new page.
  const Drawn = defineComponent({
    name: 'Drawn',
    setup: () => {
      onUpdated(drawn);
      return () => (state.value.arrivals, head.value, null);
    },
  });
  return () => [slots['default']?.(), h(Drawn)];
}
