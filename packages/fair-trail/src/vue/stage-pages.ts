import { defineComponent, h, onErrorCaptured, onMounted, onUnmounted, shallowRef, type VNodeArrayChildren } from 'vue';
import { labelOf } from '../core/site/labels.ts';
import { whenOnline } from '../parts/stage.ts';
import { required } from './given.ts';
import type { PageProps } from './page.ts';
import { useSurroundings } from './trail-context.ts';

/** While it is not known yet what to show. */
export const Waiting = () => null;

export const NotFound = defineComponent({
  name: 'NotFound',
  setup() {
    const trail = useSurroundings();
    return () => h('h1', trail.value.wording.notFound);
  },
});

export const Denied = defineComponent({
  name: 'Denied',
  setup() {
    const trail = useSurroundings();
    return () => h('h1', trail.value.wording.denied);
  },
});

export const Planned = defineComponent({
  name: 'Planned',
  props: { position: required<PageProps['position']>(), params: required<PageProps['params']>() },
  setup(props) {
    const trail = useSurroundings();
    return () => {
      const { position, params } = props;
      const { site, records, wording } = trail.value;
      const label = position.entry && labelOf(site, position.entry, { params, records, language: position.language });
      return [h('h1', label ?? ''), h('p', `${wording.planned}.`)];
    };
  },
});

/** Offers to try again, and does so by itself once the browser is online again. */
export const FailedPage = defineComponent({
  name: 'FailedPage',
  props: { offline: { type: Boolean, required: true }, retry: required<() => void>() },
  setup(props) {
    const trail = useSurroundings();
    let stop: (() => void) | undefined;
    onMounted(() => {
      if (props.offline) stop = whenOnline(() => props.retry());
    });
    onUnmounted(() => stop?.());
    return () => {
      const { wording } = trail.value;
      const button = { type: 'button', 'data-ft-button': 'plain', onClick: () => props.retry() };
      return [
        h('h1', props.offline ? wording.offline : wording.pageFailed),
        h('p', [h('button', button, wording.tryAgain)]),
      ];
    };
  },
});

/** What Vue says of an error that came while something was drawn: in words for developers, in production as a code. */
const whileDrawing = /^(?:setup|render|component update) function$|hook$|runtime-(?:[01]|b?[cmu])$/u;

/** Keeps what a page throws while it is drawn to that page. The rest of the document, and the way to other pages, stays. */
export const PageBoundary = defineComponent({
  name: 'PageBoundary',
  props: {
    failed: required<(error: unknown) => VNodeArrayChildren[number]>(),
    onError: required<(error: unknown) => void>(),
  },
  setup(props, { slots }) {
    const failure = shallowRef<{ readonly error: unknown } | null>(null);
    onErrorCaptured((error, _, info) => {
      // What a listener throws has broken nothing that is drawn.
      if (!whileDrawing.test(info)) return undefined;
      failure.value = { error };
      props.onError(error);
      return false;
    });
    return (): VNodeArrayChildren => {
      return failure.value ? [props.failed(failure.value.error)] : (slots['default']?.() ?? []);
    };
  },
});

/** Calls back once what stands before it is in the document. */
export const Presented = defineComponent({
  name: 'Presented',
  props: { onPresent: required<() => void>() },
  setup(props) {
    onMounted(() => props.onPresent());
    return () => null;
  },
});
