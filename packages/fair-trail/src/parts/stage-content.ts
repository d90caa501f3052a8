import { type Audience, mayAccess } from '../core/site/entry.ts';
import type { Position } from '../core/site/locate.ts';
import type { Arrival } from '../dom/arrivals.ts';
import { LazyPage } from './lazy-page.ts';

/** What a framework shows as a page, as a layout around pages, and instead of a page that failed. */
export interface StageComponents<Page, Layout, Failed> {
  /** The pages, by their entries' ids. */
  readonly pages: Readonly<Record<string, Page | LazyPage<Page>>>;
  /** What all pages at and below an entry share, by the entry's id. */
  readonly layouts: Readonly<Record<string, GivenLayout<Layout>>>;
  readonly notFound: Page;
  readonly denied: Page;
  /** Shown for a page of the site that is not among the pages. */
  readonly planned: Page;
  readonly failed: Failed;
  /** Shown while it is not known yet what to show. */
  readonly waiting: Page;
}

/** A layout, and how the reader is taken to a new page within it. */
export type GivenLayout<Layout> = Layout | { readonly layout: Layout; readonly arrival?: Arrival };

/** What an outer stage has settled for those within it. */
export interface OuterStageOf<Settings> {
  readonly settings: Settings;
  /** How many entries of the position's path have their layouts around this place. */
  readonly depth: number;
  readonly arrival: Arrival | undefined;
}

/** What a stage is to show. */
export interface StageContent<Page, Layout> {
  /** Tells it from other content, so that what one page remembers is not another's. */
  readonly key: string;
  readonly page: Page | LazyPage<Page> | null;
  readonly layout: Layout | null;
  readonly depth: number;
  readonly arrival: Arrival | undefined;
  /** Whether the page is refused to this visitor; null while it is not known who that is. */
  readonly denied: boolean | null;
}

/** The outermost layout on the way to the position that is not around this stage already, or else the page itself. */
export function contentAt<Page, Layout extends object>(
  position: Position,
  audience: Audience,
  settings: StageComponents<Page, Layout, unknown>,
  outer: Pick<OuterStageOf<unknown>, 'depth' | 'arrival'> | null,
): StageContent<Page, Layout> {
  const { path, entry, params } = position;
  const { depth = 0, arrival } = outer ?? {};
  for (const [index, on] of path.entries()) {
    const given = index >= depth && Object.hasOwn(settings.layouts, on.id) ? settings.layouts[on.id] : undefined;
    if (given === undefined) continue;
    const isPlain = typeof given === 'function' || !('layout' in given);
    return {
      key: `layout ${on.id}`,
      page: null,
      // Of an object with a layout, this is that; all else is a layout itself.
      layout: isPlain ? given : given.layout,
      depth: index + 1,
      arrival: (isPlain ? undefined : given.arrival) ?? arrival,
      denied: false,
    };
  }
  const page = pageAt(position, audience, settings);
  const access = entry && position.status === 'exact' ? mayAccess(entry, audience) : true;
  const denied = access === null ? null : !access;
  // Two addresses of one entry are two pages; and so are a page, and what is shown to those who may not see it.
  return {
    key: JSON.stringify([entry?.id, params, position.status, access]),
    page,
    layout: null,
    depth,
    arrival,
    denied,
  };
}

function pageAt<Page>(
  { entry, status }: Position,
  audience: Audience,
  settings: StageComponents<Page, unknown, unknown>,
): Page | LazyPage<Page> {
  if (!entry || status !== 'exact') return settings.notFound;
  const own = Object.hasOwn(settings.pages, entry.id) ? settings.pages[entry.id] : undefined;
  // While it is not known who the visitor is, a page for some is shown to no one, and refused to no one.
  const access = mayAccess(entry, audience);
  if (access === null) return settings.waiting;
  if (!access) return settings.denied;
  // A page of the site that the app has not drawn yet: the title names it, so what is shown does too.
  return own ?? settings.planned;
}
