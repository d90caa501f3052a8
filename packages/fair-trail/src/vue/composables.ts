import {
  computed,
  onMounted,
  shallowRef,
  toValue,
  watch,
  type ComputedRef,
  type MaybeRefOrGetter,
  type Ref,
} from 'vue';
import type { MayLeave } from '../dom/guards.ts';
import { currentEntryAt, type CurrentEntry } from '../parts/current-entry.ts';
import { useLocation, usePresenter, useSurroundings } from './trail-context.ts';

/**
 * Asks before the page is left: by a link, by Back if the browser allows it, and by closing the tab, where the browser
 * shows its own dialog. A change of only the query or the hash does not leave the page.
 *
 * @param mayLeave says whether the page may be left, or promises to, such as by the answer to a dialog. Give a getter that
 *   returns null while there is nothing to lose: `() => (isWritten.value ? ask : null)`
 * @example
 * useMayLeave(() => (isWritten ? () => askInDialog() : null));
 */
export function useMayLeave(mayLeave: Readonly<Ref<MayLeave | null>> | (() => MayLeave | null)): void {
  const router = usePresenter();
  const now = computed(() => (typeof mayLeave === 'function' ? mayLeave() : mayLeave.value));
  onMounted(() => {
    watch(
      () => [router.value, now.value !== null] as const,
      ([at, isHeld], _, onCleanup) => {
        if (!isHeld || !at) return;
        onCleanup(at.guard((departure) => now.value?.(departure) ?? true));
      },
      { immediate: true },
    );
  });
}

/**
 * Returns the entry of the current page, with its label and params. Null if the visitor is neither at that entry nor
 * below it; without an id, at an address that is no page.
 *
 * @param id of the entry itself, or of one that it is below: a layout may ask for the entry that it stands for
 * @example
 * const species = useCurrentEntry('species-page');
 * const title = () => species.value?.label;
 */
export function useCurrentEntry(id?: MaybeRefOrGetter<string | undefined>): ComputedRef<CurrentEntry | null> {
  const trail = useSurroundings();
  const location = useLocation();
  return computed(() => currentEntryAt(trail.value, location.value.position, toValue(id)));
}

/**
 * What the app keeps with the current history entry. It is there again after Back, Forward and a reload. Undefined if
 * nothing is kept; what is written to it is kept.
 *
 * @example
 * const photo = useHistoryState();
 * const next = () => (photo.value = Number(photo.value ?? 0) + 1);
 */
export function useHistoryState(): Ref<unknown> {
  const router = usePresenter();
  const state = shallowRef<unknown>(undefined);
  onMounted(() => {
    watch(
      router,
      (at, _, onCleanup) => {
        const look = () => (state.value = at?.state.current.state);
        look();
        if (at) onCleanup(at.subscribe(look));
      },
      { immediate: true },
    );
  });
  return computed({ get: () => state.value, set: (next) => router.value?.keepState(next) });
}
