import { attribute, closest, elementsIn, isBreadcrumbs, parseHtml, textOf, type HtmlElement } from './html-document.ts';

/** What one HTML page says of itself and of its place among others. Addresses are as written. */
export interface PageFacts {
  readonly title: string;
  readonly heading: string;
  readonly language: string | null;
  /** The links of its breadcrumbs, outermost first. */
  readonly breadcrumbs: readonly string[];
  readonly up: string | null;
  readonly next: string | null;
  readonly previous: string | null;
  /** Where a page that only leads on leads to. */
  readonly redirect: string | null;
  /** All links, those of the main content first, in the order of the document. */
  readonly links: readonly string[];
}

/** What links to a neighboring page say, in the languages that documentation is mostly in. */
const relations: readonly (readonly [relation: 'up' | 'next' | 'previous', words: RegExp])[] = [
  ['up', /^(?:up|parent|nach oben|hoch|haut|arriba)$/iu],
  ['next', /^(?:next(?: page| chapter| section)?|weiter|suivant|siguiente)$/iu],
  ['previous', /^(?:prev(?:ious)?(?: page| chapter| section)?|zurück|précédent|anterior)$/iu],
];

export function readPageFacts(text: string): PageFacts {
  const elements = [...elementsIn(parseHtml(text))];
  const first = (name: string) => elements.find(({ tagName }) => tagName === name);
  const anchors = elements.filter((element) => element.tagName === 'a' && attribute(element, 'href') !== null);
  const html = first('html');
  const title = first('title');
  const heading = elements.find((element) => element.tagName === 'h1' && textOf(element, isPermalink) !== '');
  const trail = elements.find(
    (element) => isBreadcrumbs(element) && [...elementsIn(element)].some(({ tagName }) => tagName === 'a'),
  );
  const trailLinks = trail ? [...elementsIn(trail)].filter(({ tagName }) => tagName === 'a') : [];
  const fromData = trailLinks.length === 0 ? breadcrumbData(elements) : [];
  const relation = (wanted: 'up' | 'next' | 'previous') => relatedAddress(wanted, elements, anchors);
  return {
    title: title ? textOf(title) : '',
    heading: heading ? textOf(heading, isPermalink) : '',
    language: html ? attribute(html, 'lang') : null,
    breadcrumbs: [...trailLinks.flatMap((link) => attribute(link, 'href') ?? []), ...fromData],
    up: relation('up'),
    next: relation('next'),
    previous: relation('previous'),
    redirect: redirectOf(elements),
    // What the content links to says more of the order than what stands around it on every page.
    links: [...anchors.filter(isInContent), ...anchors].flatMap((link) => attribute(link, 'href') ?? []),
  };
}

function isInContent(element: HtmlElement): boolean {
  const isMain = (one: HtmlElement) =>
    one.tagName === 'main' || one.tagName === 'article' || attribute(one, 'role') === 'main';
  return closest(element, isMain) !== null;
}

/** The small sign after a heading that links to the heading itself. */
function isPermalink(element: HtmlElement): boolean {
  if (element.tagName !== 'a') return false;
  return /headerlink|anchor|permalink/iu.test(attribute(element, 'class') ?? '') || /^[¶#§🔗]$/u.test(textOf(element));
}

function relatedAddress(
  wanted: 'up' | 'next' | 'previous',
  elements: readonly HtmlElement[],
  anchors: readonly HtmlElement[],
): string | null {
  const names = wanted === 'previous' ? ['prev', 'previous'] : wanted === 'up' ? ['up', 'parent'] : ['next'];
  const isNamed = (element: HtmlElement) => {
    const words = (attribute(element, 'rel') ?? '').toLowerCase().split(/\s+/u);
    return names.some((name) => words.includes(name));
  };
  const head = elements.find((element) => element.tagName === 'link' && isNamed(element));
  if (head) return attribute(head, 'href');
  const body = anchors.find(isNamed);
  if (body) return attribute(body, 'href');
  const pattern = relations.find(([relation]) => relation === wanted)?.[1];
  const accessKey = wanted.charAt(0);
  const isSaid = (link: HtmlElement) => {
    const words = [attribute(link, 'title') ?? '', attribute(link, 'aria-label') ?? '', textOf(link)];
    const plain = words.map((text) => text.replace(/[^\p{Letter} ]+/gu, '').trim());
    return plain.some((text) => pattern?.test(text)) || attribute(link, 'accesskey') === accessKey;
  };
  // Within an article, "next" is a word like any other.
  const isBesideContent = (link: HtmlElement) =>
    closest(link, ({ tagName }) => tagName === 'p' || tagName === 'article') === null;
  const link = anchors.find((one) => isBesideContent(one) && isSaid(one));
  return link ? attribute(link, 'href') : null;
}

function redirectOf(elements: readonly HtmlElement[]): string | null {
  const refresh = elements.find((element) => {
    return element.tagName === 'meta' && attribute(element, 'http-equiv')?.toLowerCase() === 'refresh';
  });
  return (
    /^\s*\d+\s*[;,]\s*(?:url\s*=\s*)?['"]?([^'"]+)/iu
      .exec((refresh && attribute(refresh, 'content')) ?? '')?.[1]
      ?.trim() ?? null
  );
}

/** The addresses of a schema.org BreadcrumbList in JSON-LD. */
function breadcrumbData(elements: readonly HtmlElement[]): string[] {
  const scripts = elements.filter(
    (element) => element.tagName === 'script' && attribute(element, 'type') === 'application/ld+json',
  );
  for (const script of scripts) {
    const [child] = script.childNodes;
    if (!child || !('value' in child) || !child.value.includes('BreadcrumbList')) continue;
    try {
      const data = JSON.parse(child.value) as { itemListElement?: { item?: string | { '@id'?: string } }[] };
      return (data.itemListElement ?? []).flatMap(({ item }) =>
        typeof item === 'string' ? item : (item?.['@id'] ?? []),
      );
    } catch {
      // Data that is not JSON says nothing.
    }
  }
  return [];
}
