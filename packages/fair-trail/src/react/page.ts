import type { ComponentType, ReactNode } from 'react';
import type { Position } from '../core/site/locate.ts';
import type { Arrival } from '../dom/arrivals.ts';
import { LazyPage, type Loaded, type LoadRequest } from '../parts/lazy-page.ts';

/** The properties of a page. */
export interface PageProps {
  readonly position: Position;
  /** The params of the address, percent-decoded. */
  readonly params: Readonly<Record<string, string>>;
}

/**
 * A page of a `Stage`: a component, or one that is loaded when it is needed.
 */
export type Page = ComponentType<PageProps>;

/**
 * A page that is loaded once, when it is first needed: `lazyPage(() => import('./tides.tsx'))`.
 *
 * @param load returns the page, or a module with the page as its default export
 * @example
 * const pages: StagePages = { tides: lazyPage(() => import('./tides.tsx')) };
 */
export function lazyPage(load: (request: LoadRequest) => Promise<Loaded<Page>>): LazyPage<Page> {
  return new LazyPage(load);
}

/** The properties of the `failed` page. */
export interface FailedPageProps extends PageProps {
  readonly error: unknown;
  /** Whether the browser says that it is offline. */
  readonly offline: boolean;
  readonly retry: () => void;
}

/** The properties of a layout of a `Stage`. */
export interface LayoutProps {
  readonly position: Position;
  readonly children?: ReactNode;
}

/** What all pages at and below an entry share. It holds a `Stage` of its own, for the pages. */
export type StageLayout =
  | ComponentType<LayoutProps>
  | {
      readonly layout: ComponentType<LayoutProps>;
      /** How the reader is taken to a new page within it. Default: as everywhere. */
      readonly arrival?: Arrival;
    };
