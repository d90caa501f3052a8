import type { Component } from 'vue';
import type { Position } from '../core/site/locate.ts';
import { LazyPage, type Loaded, type LoadRequest } from '../parts/lazy-page.ts';
import type { GivenLayout } from '../parts/stage-content.ts';

/** The properties of a page. It gets those of them that it declares. */
export interface PageProps {
  readonly position: Position;
  /** The params of the address, percent-decoded. */
  readonly params: Readonly<Record<string, string>>;
}

/** A page of a `Stage`: a component, or one that is loaded when it is needed. */
export type Page = Component;

/** What all pages at and below an entry share: a component that holds a `Stage` of its own, for the pages. */
export type StageLayout = GivenLayout<Component>;

/** The properties of the `failed` page. */
export interface FailedPageProps extends PageProps {
  readonly error: unknown;
  /** Whether the browser says that it is offline. */
  readonly offline: boolean;
  readonly retry: () => void;
}

/** The pages of each entry, by the entry's id. */
export type StagePages = Readonly<Record<string, Page | LazyPage<Page>>>;

/**
 * A page that is loaded once, when it is first needed: `lazyPage(() => import('./tides.vue'))`.
 *
 * @param load returns a promise of the page, or of a module that has it as its default export
 * @example
 * const pages: StagePages = { tides: lazyPage(() => import('./tides.ts')) };
 */
export function lazyPage(load: (request: LoadRequest) => Promise<Loaded<Page>>): LazyPage<Page> {
  return new LazyPage(load);
}

/** The properties that a component declares, among these: what it does not declare would become attributes. */
export function declaredOf(component: Component, props: Readonly<Record<string, unknown>>): Record<string, unknown> {
  if (typeof component === 'function') return { ...props };
  const { props: declared = [] } = component as { readonly props?: readonly string[] | object };
  const names = new Set(Array.isArray(declared) ? (declared as readonly string[]) : Object.keys(declared));
  return Object.fromEntries(Object.entries(props).filter(([name]) => names.has(name)));
}
