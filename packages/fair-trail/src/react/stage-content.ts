import type { ComponentType } from 'react';
import { type Audience, mayAccess } from '../core/site/entry.ts';
import type { Position } from '../core/site/locate.ts';
import type { Arrival } from '../dom/arrivals.ts';
import { LazyPage } from '../parts/lazy-page.ts';
import type { FailedPageProps, LayoutProps, Page, StageLayout } from './page.ts';
import { Waiting } from './stage-pages.tsx';

/** The pages of each entry, by the entry's id. */
export type StagePages = Readonly<Record<string, Page | LazyPage<Page>>>;

export interface StageSettings {
  readonly pages: StagePages;
  readonly layouts: Readonly<Record<string, StageLayout>>;
  readonly notFound: Page;
  readonly denied: Page;
  readonly planned: Page;
  readonly failed: ComponentType<FailedPageProps>;
}

/** What an outer stage has settled for those within it. */
export interface OuterStage {
  readonly settings: StageSettings;
  /** How many entries of the position's path have their layouts around this place. */
  readonly depth: number;
  readonly arrival: Arrival | undefined;
}

/** What a stage is to show. */
export interface Content {
  /** Tells it from other content, so that what one page remembers is not another's. */
  readonly key: string;
  readonly page: Page | LazyPage<Page> | null;
  readonly layout: ComponentType<LayoutProps> | null;
  readonly depth: number;
  readonly arrival: Arrival | undefined;
}

/** What draws the content. */
export function componentOf({ page, layout }: Content): Page {
  if (layout) return layout as Page;
  return (page instanceof LazyPage ? page.page : page) ?? Waiting;
}

/** The outermost layout on the way to the position that is not around this stage already, or else the page itself. */
export function contentAt(
  position: Position,
  audience: Audience,
  settings: StageSettings,
  outer: OuterStage | null,
): Content {
  const { path, entry, params } = position;
  const { depth = 0, arrival } = outer ?? {};
  for (const [index, on] of path.entries()) {
    const layout = index >= depth && Object.hasOwn(settings.layouts, on.id) ? settings.layouts[on.id] : undefined;
    if (layout === undefined) continue;
    const isPlain = typeof layout === 'function' || !('layout' in layout);
    return {
      key: `layout ${on.id}`,
      page: null,
      layout: isPlain ? layout : layout.layout,
      depth: index + 1,
      arrival: (isPlain ? undefined : layout.arrival) ?? arrival,
    };
  }
  const page = pageAt(position, audience, settings);
  // Two addresses of one entry are two pages.
  return { key: JSON.stringify([entry?.id, params, position.status]), page, layout: null, depth, arrival };
}

function pageAt({ entry, status }: Position, audience: Audience, settings: StageSettings): Page | LazyPage<Page> {
  if (!entry || status !== 'exact') return settings.notFound;
  const own = Object.hasOwn(settings.pages, entry.id) ? settings.pages[entry.id] : undefined;
  // While it is not known who is looking, a page for some is shown to nobody, and refused to nobody.
  const access = mayAccess(entry, audience);
  if (access === null) return Waiting;
  if (!access) return settings.denied;
  return own ?? (entry.planned ? settings.planned : settings.notFound);
}
