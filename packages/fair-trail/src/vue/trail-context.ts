import { computed, inject, type ComputedRef, type InjectionKey, type Ref } from 'vue';
import { errorText } from '../core/error-texts.ts';
import type { Position } from '../core/site/locate.ts';
import type { Site } from '../core/site/site.ts';
import type { Presenter, Router } from '../dom/router-interface.ts';
import type { Surroundings, TrailLocation } from '../parts/surroundings.ts';

/** What the components of a `Trail` share. */
export interface TrailContext extends Surroundings, TrailLocation {}

export const surroundingsKey: InjectionKey<Readonly<Ref<Surroundings>>> = Symbol('surroundings');

export const locationKey: InjectionKey<Readonly<Ref<TrailLocation>>> = Symbol('location');

/** Whom the components that show content tell about it; null if another router is in charge. */
export const presenterKey: InjectionKey<Readonly<Ref<(Router & Presenter) | null>>> = Symbol('presenter');

function within<Value>(key: InjectionKey<Value>): Value {
  const value = inject(key, null);
  if (value === null) throw new Error(errorText('trail-missing'));
  return value;
}

export function useSurroundings(): Readonly<Ref<Surroundings>> {
  return within(surroundingsKey);
}

/** Where the visitor is. */
export function useLocation(): Readonly<Ref<TrailLocation>> {
  return within(locationKey);
}

export function usePresenter(): Readonly<Ref<(Router & Presenter) | null>> {
  return within(presenterKey);
}

/**
 * Returns everything that the components of a `Trail` share.
 *
 * @throws Error outside of a `Trail`
 * @example
 * const trail = useTrail();
 * const logOut = () => trail.value.navigate('/');
 */
export function useTrail(): ComputedRef<TrailContext> {
  const surroundings = useSurroundings();
  const location = useLocation();
  return computed(() => ({ ...surroundings.value, ...location.value }));
}

/**
 * Returns the current position. Within a `Stage`, the position of the page that is shown.
 *
 * @throws Error outside of a `Trail`
 * @example
 * const position = usePosition();
 * const section = () => position.value.path[0]?.label;
 */
export function usePosition(): ComputedRef<Position> {
  const location = useLocation();
  return computed(() => location.value.position);
}

/**
 * Returns the site of the surrounding `Trail`.
 *
 * @throws Error outside of a `Trail`
 * @example
 * const site = useSite();
 * const name = () => site.value.name;
 */
export function useSite(): ComputedRef<Site> {
  const surroundings = useSurroundings();
  return computed(() => surroundings.value.site);
}
