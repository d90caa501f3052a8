import {
  computed,
  defineComponent,
  h,
  inject,
  onMounted,
  onUnmounted,
  provide,
  ref,
  shallowRef,
  watch,
  type Component,
  type InjectionKey,
  type Ref,
  type VNodeArrayChildren,
} from 'vue';
import type { Position } from '../core/site/locate.ts';
import { stageView } from '../core/view/stage-view.ts';
import { LazyPage } from '../parts/lazy-page.ts';
import { checkLayout, checkNames, namesIn, noteStage } from '../parts/name-checks.ts';
import { contentAt, type OuterStageOf, type StageComponents, type StageContent } from '../parts/stage-content.ts';
import { focusPage, isFocusLost, isOffline } from '../parts/stage.ts';
import { optional, plain } from './given.ts';
import { declaredOf, type Page, type StageLayout, type StagePages } from './page.ts';
import { provideContent } from './slots.ts';
import { Denied, FailedPage, NotFound, PageBoundary, Planned, Presented, Waiting } from './stage-pages.ts';
import { locationKey, useLocation, usePresenter, useSurroundings } from './trail-context.ts';
import { usePrinter } from './use-part.ts';

type StageSettings = StageComponents<Page, Component, Component>;

const outerKey: InjectionKey<Readonly<Ref<OuterStageOf<StageSettings>>>> = Symbol('outer stage');

const basicSettings: StageSettings = {
  pages: {},
  layouts: {},
  notFound: NotFound,
  denied: Denied,
  planned: Planned,
  failed: FailedPage,
  waiting: Waiting,
};

/** Content that can be drawn, and the address that it belongs to. */
interface DrawnContent {
  readonly content: StageContent<Page, Component>;
  readonly position: Position;
  readonly url: string;
}

/**
 * Shows the page of the current position, as the document's main content.
 *
 * A page is given the `position` and the `params` that it is shown at, where it declares these properties.
 *
 * @example
 * <Stage :pages="{ tides: lazyPage(() => import('./tides.vue')) }" />
 */
export const Stage = defineComponent({
  name: 'Stage',
  inheritAttrs: false,
  props: {
    /** The page of each entry, by the entry's id. A stage within another one has the outer one's by default. */
    pages: optional<StagePages>(),
    /** What all pages at and below an entry share, by the entry's id; each holds a stage for them. Default: nothing. */
    layouts: optional<Readonly<Record<string, StageLayout>>>(),
    /** Shown at an address that is no page of the site. Default: a heading that says so. */
    notFound: optional<Page>(),
    /** Shown instead of a page that the visitor's audiences do not open. Default: a heading that says so. */
    denied: optional<Page>(),
    /** Shown for a page of the site that is not in `pages`, planned or not. Default: its label and a line that says so. */
    planned: optional<Page>(),
    /** Shown instead of a page that could not be loaded or shown. Default: a heading, and a button to try again. */
    failed: optional<Component>(),
  },
  setup(props, { attrs }) {
    const outer = inject(outerKey, null);
    const router = usePresenter();
    const location = useLocation();
    const trail = useSurroundings();
    const element = shallowRef<HTMLElement | null>(null);

    const settings = computed<StageSettings>(() => {
      const from = outer?.value.settings ?? basicSettings;
      return {
        pages: plain(props.pages) ?? from.pages,
        layouts: plain(props.layouts) ?? from.layouts,
        notFound: props.notFound ?? from.notFound,
        denied: props.denied ?? from.denied,
        planned: props.planned ?? from.planned,
        failed: props.failed ?? from.failed,
        waiting: from.waiting,
      };
    });
    const contentOf = (position: Position) =>
      contentAt(position, trail.value.audience, settings.value, outer?.value ?? null);

    const attempt = ref(0);
    const loads = ref(0);
    const failure = shallowRef<{ readonly key: string; readonly error: unknown } | null>(null);
    // Until the wanted page is there, the last one stays: a page is better than none, unless it says what is no longer so.
    let last: DrawnContent | null = null;
    const now = computed(() => {
      const wanted: DrawnContent = { ...location.value, content: contentOf(location.value.position) };
      const { key, page } = wanted.content;
      const lazy = page instanceof LazyPage ? page : null;
      const hasFailed = failure.value?.key === key;
      // Whether it is there is not followed by Vue; that a load has ended is.
      const isLoaded = loads.value >= 0 && lazy?.page !== null;
      const isWaiting = lazy !== null && !isLoaded && !hasFailed;
      const before = last?.content.key === key ? null : last;
      if (!isWaiting) last = wanted;
      return { wanted, lazy, hasFailed, isWaiting, shown: isWaiting ? before : wanted };
    });

    const late = ref(false);
    const look = () => (late.value = router.value?.state.page === 'late');

    // The button that was pressed is gone with the failure, and focus would be nowhere.
    let isRetried = false;
    let presented: DrawnContent | null = null;
    const retry = () => {
      isRetried = true;
      failure.value = null;
      attempt.value += 1;
    };
    const onPresent = () => {
      const before = presented;
      const drawn = now.value.shown ?? now.value.wanted;
      presented = drawn;
      // The first content is in the document before its stage is.
      if (!element.value) return;
      router.value?.present(element.value, now.value.shown?.content.arrival);
      if (isRetried || isFocusLost(element.value, before, drawn)) focusPage(element.value);
      isRetried = false;
    };
    const onError = (error: unknown) => router.value?.warn('page-failed', error);

    onMounted(() => {
      watch(
        () => [trail.value, props.pages, props.layouts] as const,
        ([{ site, warn }, pages, layouts]) => {
          checkNames('Stage', { site, warn }, () => [
            ...namesIn('entry', 'pages', pages),
            ...namesIn('entry', 'layouts', layouts),
          ]);
          noteStage(pages, layouts);
        },
        { immediate: true },
      );
      watch(
        () => now.value.wanted.content.key,
        (key) => element.value && checkLayout(element.value, key, trail.value),
        { immediate: true, flush: 'post' },
      );
      watch(
        router,
        (at, _, onCleanup) => {
          onCleanup(at?.subscribe(look) ?? (() => undefined));
          onCleanup(
            at?.preparing((next) => {
              const { page } = contentOf(next);
              // A failure is reported once the page is asked for, and then it is tried again.
              if (page instanceof LazyPage) page.load().catch(() => undefined);
            }) ?? (() => undefined),
          );
          look();
        },
        { immediate: true },
      );
      watch(
        () => [router.value, now.value.lazy, now.value.isWaiting, now.value.wanted.content.key, attempt.value] as const,
        ([at, lazy, isWaiting, key], _, onCleanup) => {
          // Whoever comes back to the page wants it to be tried again.
          if (failure.value && failure.value.key !== key) failure.value = null;
          if (!lazy || !isWaiting) return;
          const end = at?.expect();
          const waiting = new AbortController();
          const { signal } = waiting;
          const change = (draw: () => void) => (at ? at.change(draw) : draw());
          lazy.load(signal).then(
            () => signal.aborted || change(() => (loads.value += 1)),
            (error: unknown) => {
              if (signal.aborted) return;
              at?.warn('page-failed', error);
              failure.value = { key, error };
            },
          );
          onCleanup(() => {
            waiting.abort();
            end?.();
          });
        },
        { immediate: true, flush: 'post' },
      );
    });
    onUnmounted(() => (last = null));

    provide(
      outerKey,
      // Of what is shown, and not of what is wanted: a layout may be there still for which there is no place any more.
      computed(() => {
        const { depth, arrival } = (now.value.shown ?? now.value.wanted).content;
        return { settings: settings.value, depth, arrival };
      }),
    );
    provide(
      locationKey,
      // The page that is still shown while another is loaded is at its own address, and must not change beneath that.
      computed(() => now.value.shown ?? location.value),
    );

    const drawPage = (): VNodeArrayChildren => {
      const { shown, hasFailed } = now.value;
      if (!shown) return [late.value ? h('p', trail.value.wording.loading) : null];
      const { content, position } = shown;
      const own = { position, params: position.params };
      const failed = (error: unknown) => {
        const given = { ...own, error, offline: isOffline(), retry };
        return h(settings.value.failed, declaredOf(settings.value.failed, given));
      };
      const page = hasFailed ? null : componentOf(content);
      const drawn = page ? h(page, declaredOf(page, own)) : failed(failure.value?.error);
      const key = `${content.key} ${attempt.value}`;
      return [h(PageBoundary, { key, failed, onError }, () => [drawn, h(Presented, { onPresent })])];
    };
    provideContent((name) => (name === 'page' ? drawPage : undefined));
    const printer = usePrinter(() => undefined);
    const nested = outer !== null;
    const view = computed(() => stageView({ nested, busy: late.value && now.value.isWaiting }));
    return () => printer.value.printWith(view.value, attrs, (found) => (element.value = found as HTMLElement | null));
  },
});

/** What draws the content. */
function componentOf({ page, layout }: StageContent<Page, Component>): Page {
  return layout ?? (page instanceof LazyPage ? page.page : page) ?? Waiting;
}
