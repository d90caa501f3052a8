import { toHtml } from '../core/output/html.ts';
import { escapeMarkup } from '../core/output/escape.ts';
import type { CompiledSite } from '../core/site/compiled.ts';
import type { Audience } from '../core/site/entry.ts';
import { siteOf } from '../core/site/load.ts';
import { locate, type Position } from '../core/site/locate.ts';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import type { BarOptions, BreadcrumbsOptions, SidebarOptions, TabsOptions } from '../core/view/component-options.ts';
import { layoutParts, type LayoutPart } from '../core/view/layout-view.ts';
import {
  attributesOf,
  barAttributes,
  breadcrumbsAttributes,
  footerAttributes,
  noticeAttributes,
  sidebarAttributes,
  tabsAttributes,
} from '../core/view/option-attributes.ts';
import type { SkipTarget } from '../core/view/skip-link-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import type { Wording } from '../core/wording.ts';
import { BreadcrumbsPart } from '../parts/breadcrumbs.ts';
import { FooterPart } from '../parts/footer.ts';
import { documentTitle } from '../parts/given-trail.ts';
import { NavbarPart } from '../parts/navbar.ts';
import type { NavigationPart } from '../parts/navigation-part.ts';
import { NoticePart } from '../parts/notice.ts';
import { LanguagesPart, PageLayoutPart, SkipLinkPart } from '../parts/plain-parts.ts';
import { SidebarPart } from '../parts/sidebar.ts';
import { fixedLocation, surroundingsOf, type Surroundings } from '../parts/surroundings.ts';
import { TabLinksPart } from '../parts/tab-links.ts';
import { WholeTabsPart } from '../parts/whole-tabs.ts';

/** What a page is written for. */
export interface PageHtmlOptions {
  /** What `defineSite` or `loadSite` returns, or a compiled site. */
  readonly site: Site | CompiledSite;
  /** The address of the page: its path and query. */
  readonly url: string;
  /** The audiences that the visitor is in, or `unknown`. Default: none. */
  readonly audience?: Audience;
  /** The records as they are known now. Default: none. */
  readonly records?: SiteRecords;
  /** What is shown beside labels, by the entry's id. Default: what the site file says. */
  readonly badges?: Badges;
  /** Words to say instead of the English ones. */
  readonly wording?: Partial<Wording>;
}

/** HTML for a slot: written into the page as it is, so escape what comes from outside. */
export type SlotHtml = string | undefined;

/** Writes an icon by its name in the site file. The drawing should be hidden from assistive technology. */
export type IconHtml = (name: string) => string;

export interface BarHtmlOptions extends BarOptions {
  /** The menu of the site whose items the bar shows. Default: `main`. */
  readonly menu?: string;
  /** The name of the navigation landmark. Default: "Main", or what the wording says. */
  readonly label?: string;
  /** Stands in the link to the home page. Default: the site's name. */
  readonly brand?: SlotHtml;
  readonly start?: SlotHtml;
  readonly end?: SlotHtml;
  readonly icon?: IconHtml;
}

export interface SidebarHtmlOptions extends SidebarOptions {
  /** The menu of the site whose items it shows. Default: `main`. */
  readonly menu?: string;
  readonly label?: string;
  /** Tells it from other sidebars in what is remembered. Default: the menu's name. */
  readonly name?: string;
  readonly start?: SlotHtml;
  readonly foot?: SlotHtml;
  /** Stands below the list of an annex, whose label it is given. */
  readonly panel?: (label: string) => string;
  readonly icon?: IconHtml;
}

export interface BreadcrumbsHtmlOptions extends BreadcrumbsOptions {
  readonly separator?: SlotHtml;
  readonly icon?: IconHtml;
}

export interface TabsHtmlOptions extends TabsOptions {
  /** The name of the tablist. */
  readonly label: string;
  /** The content of each panel, by the id of its tab. */
  readonly contents: Readonly<Record<string, string>>;
  readonly icon?: IconHtml;
}

export interface TabLinksHtmlOptions {
  readonly menu: string;
  readonly label: string;
  readonly widths?: 'natural' | 'filling';
  readonly icon?: IconHtml;
}

export interface FooterHtmlOptions {
  /** The menu of the site whose items it shows. Default: `footer`. */
  readonly menu?: string;
  readonly label?: string;
  readonly headingLevel?: 2 | 3 | 4;
  readonly iconsOnly?: boolean;
  readonly form?: SlotHtml;
  readonly foot?: SlotHtml;
  readonly icon?: IconHtml;
}

export interface NoticeHtmlOptions {
  /** Tells it from other notices, in what the browser remembers. */
  readonly name: string;
  readonly label?: string;
  readonly content: string;
}

/** The navigation of one page, as HTML. */
export interface PageHtml {
  /** Where the page is in the site. */
  readonly position: Position;
  /** For the `title` element, not escaped. */
  readonly title: string;
  bar(options?: BarHtmlOptions): string;
  sidebar(options?: SidebarHtmlOptions): string;
  /** Empty on the home page. */
  breadcrumbs(options?: BreadcrumbsHtmlOptions): string;
  tabs(options: TabsHtmlOptions): string;
  tabLinks(options: TabLinksHtmlOptions): string;
  footer(options?: FooterHtmlOptions): string;
  notice(options: NoticeHtmlOptions): string;
  skipLink(targets?: readonly SkipTarget[]): string;
  languageLinks(names?: Readonly<Record<string, string>>): string;
  /** The frame that all pages share, around the HTML of its parts. */
  layout(parts: Readonly<Partial<Record<LayoutPart, string>>>): string;
}

type Slots = Readonly<Record<string, ((about: string) => string) | undefined>>;

/**
 * Writes the navigation of a page as HTML: on a server of any kind, at the edge, or while a site is generated. It uses no
 * interface of Node or of a browser.
 *
 * Components that do something in a browser stand in their custom elements, which take them over as they are where
 * `fair-trail/elements` is loaded. Without it, every link is there and works.
 *
 * @param options the site, the address, and who the visitor is
 * @returns functions that write each component for this page
 * @example
 * const page = pageHtml({ site, url: '/hides' });
 * const html = `<title>${page.title}</title>${page.skipLink()}${page.bar()}<main id="main">…</main>${page.footer()}`;
 */
export function pageHtml(options: PageHtmlOptions): PageHtml {
  const site = siteOf(options.site);
  const { url } = options;
  const trail = surroundingsOf({ ...options, site, onWarning: () => undefined }, null, () => undefined);
  const position = locate(site, url);
  const location = { position, url };
  let count = 0;
  /** Begins the ids in a component. Another component of the page has another. */
  const nextId = () => `trail-${(count += 1)}`;

  return {
    position,
    title: documentTitle(trail, { position }),
    bar({ brand, start, end, icon, ...bar } = {}) {
      const id = nextId();
      const slots = { brand: has(brand), start: has(start), end: has(end), icon: icon !== undefined };
      const view = drawn(NavbarPart, { ...bar, trail, position, id, slots });
      return inElement('trail-bar', id, attributesOf(barAttributes, bar), view, {
        ...texts({ brand, start, end }),
        icon,
      });
    },
    sidebar({ start, foot, panel, icon, ...sidebar } = {}) {
      const id = nextId();
      const slots = { icon: icon !== undefined, start: has(start), foot: has(foot), panel: panel !== undefined };
      const view = drawn(SidebarPart, { ...sidebar, ...location, trail, id, slots });
      const contents = { ...texts({ start, foot }), panel, icon };
      return inElement('trail-sidebar', id, attributesOf(sidebarAttributes, sidebar), view, contents);
    },
    breadcrumbs({ separator, icon, ...breadcrumbs } = {}) {
      const id = nextId();
      const slots = { icon: icon !== undefined, separator: has(separator) };
      const given = { ...breadcrumbs, trail, position, id, slots };
      const part = new BreadcrumbsPart(given);
      const data = part.structuredData(given);
      const attributes = attributesOf(breadcrumbsAttributes, breadcrumbs);
      const html = inElement('trail-breadcrumbs', id, attributes, part.view(given), { ...texts({ separator }), icon });
      return data === null ? html : `${html}<script type="application/ld+json">${data}</script>`;
    },
    tabs({ contents, icon, ...tabs }) {
      const id = nextId();
      const given = { ...tabs, trail, url, id, slots: { icon: icon !== undefined } };
      const view = new WholeTabsPart(given).view(given);
      const slots = { content: (tab: string) => contents[tab] ?? '', icon };
      return inElement('trail-tabs', id, attributesOf(tabsAttributes, tabs), view, slots);
    },
    tabLinks({ icon, ...links }) {
      const id = nextId();
      const view = drawn(TabLinksPart, { ...links, trail, position, id, slots: { icon: icon !== undefined } });
      return inElement('trail-tabs', id, attributesOf(tabsAttributes, links), view, { icon });
    },
    footer({ form, foot, icon, ...footer } = {}) {
      const id = nextId();
      const slots = { icon: icon !== undefined, form: has(form), foot: has(foot) };
      const view = drawn(FooterPart, { ...footer, trail, position, id, slots });
      return inElement('trail-footer', id, attributesOf(footerAttributes, footer), view, {
        ...texts({ form, foot }),
        icon,
      });
    },
    notice({ content, ...notice }) {
      const view = drawn(NoticePart, { ...notice, trail });
      return inElement('trail-notice', nextId(), attributesOf(noticeAttributes, notice), view, texts({ content }));
    },
    skipLink: (targets) => written(drawn(SkipLinkPart, { trail, targets }), {}),
    languageLinks: (names) => written(drawn(LanguagesPart, { trail, position, names }), {}),
    layout(parts) {
      const filled = layoutParts.filter((part) => parts[part] !== undefined);
      const view = drawn(PageLayoutPart, { trail, location: fixedLocation(location), filled });
      return written(view, texts(parts));
    },
  };
}

function has(content: SlotHtml): boolean {
  return content !== undefined;
}

function texts(contents: Readonly<Record<string, SlotHtml>>): Slots {
  return Object.fromEntries(
    Object.entries(contents).map(([name, content]) => [name, content === undefined ? undefined : () => content]),
  );
}

/** What a part draws on a server. */
function drawn<Options extends { readonly trail: Surroundings }, State, Event>(
  create: new (options: Options) => NavigationPart<Options, State, Event>,
  options: Options,
): ViewElement<unknown> | null {
  const part = new create(options);
  return part.view(options, part.readRendered());
}

function written(view: ViewElement<unknown> | null, slots: Slots): string {
  if (!view) return '';
  const filled = Object.entries(slots).flatMap(([name, write]) => (write ? [[name, write] as const] : []));
  return toHtml(view, Object.fromEntries(filled));
}

/** A component in its custom element. */
function inElement(
  tag: string,
  id: string,
  attributes: Readonly<Record<string, string>>,
  view: ViewElement<unknown> | null,
  slots: Slots,
): string {
  if (!view) return '';
  const filled = Object.keys(slots).filter((name) => slots[name] !== undefined);
  const all = Object.entries({
    ...attributes,
    // For the element to take over what is here as it is.
    'data-ft-id': id,
    ...(filled.length > 0 && { 'data-ft-slots': filled.join(' ') }),
  });
  const text = all.map(([name, value]) => ` ${name}="${escapeMarkup(value)}"`).join('');
  return `<${tag}${text}>${written(view, slots)}</${tag}>`;
}
