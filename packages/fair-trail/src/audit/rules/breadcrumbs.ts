import { breadcrumbTrails, type BreadcrumbTrail } from '../../reading/breadcrumb-trails.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { wordsOf } from '../../reading/words.ts';
import { isExposed } from '../../reading/visible.ts';
import { isSamePage, resolved } from '../../reading/addresses.ts';

export const breadcrumbElsewhere: Rule = {
  id: 'breadcrumb-elsewhere',
  title: 'The breadcrumbs end at a page that is not the one shown.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who came from a search: the breadcrumbs name a place where they are not.',
  remedy: 'End them with this page, or with its parent.',
  standard: 'ARIA Authoring Practices, breadcrumb pattern; WCAG 2.2, 2.4.8 (AAA)',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    for (const { element, items } of breadcrumbTrails(document, url)) {
      const last = items.at(-1);
      if (!last) continue;
      // A link that is not marked as this page leads to the page above it.
      const isClaim = last.link === null || last.isCurrent;
      if (!isClaim) continue;
      if (last.place !== null && !isSamePage(last.place, url)) {
        yield { element, message: `They end at ${last.place.pathname}; this page is ${url.pathname}.` };
        continue;
      }
      const label = wordsOf(last.label);
      const heading = document.querySelector('main h1, h1')?.textContent ?? '';
      const said = new Set([...wordsOf(document.title), ...wordsOf(heading)]);
      if (label.length === 0 || said.size === 0 || label.some((word) => said.has(word))) continue;
      yield { element, message: `They end at “${last.label}”, which neither the title nor the heading says.` };
    }
  },
};

export const breadcrumbTwice: Rule = {
  id: 'breadcrumb-twice',
  title: 'A page appears twice in the breadcrumbs.',
  severity: 'warning',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone who wants to go up one level: two of the steps are the same.',
  remedy: 'Name each ancestor once.',
  standard: 'ARIA Authoring Practices, breadcrumb pattern: links to the parent pages in hierarchical order',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    for (const { items } of breadcrumbTrails(document, url)) {
      const known = new Map<string, string>();
      for (const { link, place, label } of items) {
        if (!link || !place) continue;
        const other = known.get(place.href);
        if (other !== undefined && other !== label) {
          yield { element: link, message: `“${other}” and “${label}” lead to the same page.` };
        }
        known.set(place.href, label);
      }
    }
  },
};

export const breadcrumbUnmarked: Rule = {
  id: 'breadcrumb-unmarked',
  title: 'The last breadcrumb links to this page without aria-current.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Screen reader users are offered a link to the page they are on.',
  remedy: 'Set aria-current="page" on it.',
  standard: 'ARIA Authoring Practices, breadcrumb pattern',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    for (const { items } of breadcrumbTrails(document, url)) {
      const last = items.at(-1);
      if (last?.link && last.place && isSamePage(last.place, url) && !last.isCurrent) yield { element: last.link };
    }
  },
};

export const breadcrumbOrder: Rule = {
  id: 'breadcrumb-order',
  title: 'The breadcrumbs are not ordered from the home page down.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.2'],
  affects: 'Everyone who wants to go up one level: the step leads down.',
  remedy: 'Start with the home page and end with this page. Do not reverse the order with a stylesheet.',
  standard: 'ARIA Authoring Practices, breadcrumb pattern: links to the parent pages in hierarchical order',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    for (const { items } of breadcrumbTrails(document, url)) {
      const places = items.flatMap(({ link, place }) => (link && place ? [{ link, path: folderOf(place) }] : []));
      const wrong = places.find(({ path }, index) => {
        const before = places[index - 1];
        return before !== undefined && before.path !== path && before.path.startsWith(path);
      });
      if (wrong) yield { element: wrong.link, message: `${wrong.path} comes after a page that lies in it.` };
    }
  },
};

function folderOf({ pathname }: URL): string {
  return pathname.replace(/(?:index\.html?)?$/u, '').replace(/\/?$/u, '/');
}

export const breadcrumbOfOtherSection: Rule = {
  id: 'breadcrumb-of-other-section',
  title: 'The breadcrumbs lead through a section that this page is not in.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.4'],
  affects: 'Everyone who wants to go up one level reaches another part of the site.',
  remedy: 'Generate the breadcrumbs from the same list as the menu, by the address of the page.',
  standard: 'ARIA Authoring Practices, breadcrumb pattern: the parent pages of the current page',
  check: function* ({ document, url, links }: PageContext): Iterable<Violation> {
    const own = folderOf(url);
    const sections = links
      .filter(isExposed)
      .map((link) => resolved(link, url))
      .filter((place) => place?.origin === url.origin)
      .map((place) => (place ? folderOf(place) : ''));
    // Where no address of a menu lies around this page, addresses say nothing of what lies in what.
    const around = sections.filter((path) => path !== '/' && path !== own && own.startsWith(path));
    if (around.length === 0) return;
    for (const { items } of breadcrumbTrails(document, url)) {
      const parents = items.filter(
        ({ link, place, isCurrent }) => link && place && !isCurrent && place.pathname !== '/',
      );
      const wrong = parents.find(({ place }) => place && folderOf(place) !== own && !own.startsWith(folderOf(place)));
      const isRight = parents.some(({ place }) => place && around.includes(folderOf(place)));
      if (wrong?.link && !isRight) {
        yield {
          element: wrong.link,
          message: `It leads to ${wrong.place?.pathname ?? ''}; this page is ${url.pathname}.`,
        };
      }
    }
  },
};

export const breadcrumbWithoutLandmark: Rule = {
  id: 'breadcrumb-without-landmark',
  title: 'The breadcrumbs are not a navigation landmark.',
  severity: 'advice',
  certainty: 'likely',
  wcag: ['1.3.1'],
  affects: 'People who navigate by landmarks do not find them.',
  remedy: 'Put them into <nav aria-label="Breadcrumb">.',
  standard: 'ARIA Authoring Practices, breadcrumb pattern: contained within a navigation landmark region',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    for (const { element, items } of breadcrumbTrails(document, url)) {
      const isIn = element.closest('nav, [role="navigation"]') ?? element.querySelector('nav, [role="navigation"]');
      if (!isIn && items.filter(({ link }) => link).length >= 2) yield { element };
    }
  },
};

export const breadcrumbDataDiffers: Rule = {
  id: 'breadcrumb-data-differs',
  title: 'The structured data of the breadcrumbs differs from the visible breadcrumbs.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'People who search see a path to this page that the page does not show.',
  remedy: 'Generate both from one list.',
  standard: 'schema.org, BreadcrumbList',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    const [trail] = breadcrumbTrails(document, url);
    const names = toldNames(document);
    if (!trail || names === null) return;
    const shown = trail.items.map(({ label }) => wordsOf(label).join(' '));
    const reported = names.map((name) => wordsOf(name).join(' '));
    // Either may leave out the home page, or this one.
    const isAlike =
      shown.filter((label) => reported.includes(label)).length >= Math.min(shown.length, reported.length) - 1;
    if (!isAlike) {
      yield {
        element: trail.element,
        message: `Shown: ${said(trail)}. Told: ${names.map((name) => `“${name}”`).join(', ')}.`,
      };
    }
  },
};

function said({ items }: BreadcrumbTrail): string {
  return items.map(({ label }) => `“${label}”`).join(', ');
}

/** What the page's structured data says; null if it says nothing that can be read. */
function toldNames(document: Document): readonly string[] | null {
  for (const script of document.querySelectorAll('script[type="application/ld+json"]')) {
    const list = breadcrumbList(readJson(script.textContent));
    if (!list) continue;
    const names = list.map(nameOfItem);
    if (names.every((name) => name !== null)) return names;
  }
  return null;
}

function breadcrumbList(data: unknown): readonly unknown[] | null {
  if (typeof data !== 'object' || data === null) return null;
  if (Array.isArray(data)) return data.map(breadcrumbList).find((list) => list !== null) ?? null;
  const { '@type': type, '@graph': graph, itemListElement } = data as Readonly<Record<string, unknown>>;
  if (type === 'BreadcrumbList' && Array.isArray(itemListElement)) return itemListElement as readonly unknown[];
  return graph === undefined ? null : breadcrumbList(graph);
}

function nameOfItem(item: unknown): string | null {
  if (typeof item !== 'object' || item === null) return null;
  const { name, item: inner } = item as Readonly<Record<string, unknown>>;
  return typeof name === 'string' ? name : nameOfItem(inner);
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
