import { parse, type DefaultTreeAdapterTypes } from 'parse5';

type HtmlNode = DefaultTreeAdapterTypes.Node;
export type HtmlElement = DefaultTreeAdapterTypes.Element;

export function parseHtml(text: string): HtmlNode {
  return parse(text);
}

export function isElement(node: HtmlNode | undefined | null): node is HtmlElement {
  return node !== undefined && node !== null && 'tagName' in node;
}

export function childrenOf(node: HtmlNode): readonly HtmlNode[] {
  return 'childNodes' in node ? node.childNodes : [];
}

export function attribute(element: HtmlElement, name: string): string | null {
  return element.attrs.find((one) => one.name === name)?.value ?? null;
}

/** All elements below a node in the order of the document. Without recursion: a page may be nested without end. */
export function* elementsIn(
  root: HtmlNode,
  skip?: (element: HtmlElement) => boolean,
): Generator<HtmlElement, void, undefined> {
  const waiting: HtmlNode[] = [...childrenOf(root)].reverse();
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if (isElement(node)) {
      if (skip?.(node)) continue;
      yield node;
    }
    const children = childrenOf(node);
    for (let index = children.length - 1; index >= 0; index -= 1) {
      const child = children[index];
      if (child) waiting.push(child);
    }
  }
}

/** Elements whose text no one reads as a part of what is around them. */
const silent: ReadonlySet<string> = new Set(['script', 'style', 'template', 'noscript', 'svg']);

/** The text of an element with its white space folded; that of an image is its alternative text. */
export function textOf(root: HtmlNode, skip?: (element: HtmlElement) => boolean): string {
  let text = '';
  const waiting: HtmlNode[] = [root];
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if (node.nodeName === '#text' && 'value' in node) text += node.value;
    if (isElement(node)) {
      if (silent.has(node.tagName) || (node !== root && skip?.(node))) continue;
      if (node.tagName === 'img') text += ` ${attribute(node, 'alt') ?? ''} `;
      if (node.tagName === 'br') text += ' ';
    }
    waiting.push(...[...childrenOf(node)].reverse());
  }
  return text.replace(/[\s\u00a0]+/gu, ' ').trim();
}

/** The nearest element around this one that fits. */
export function closest(element: HtmlElement, fits: (element: HtmlElement) => boolean): HtmlElement | null {
  for (let node: HtmlNode | null = element; node; node = 'parentNode' in node ? node.parentNode : null) {
    if (isElement(node) && fits(node)) return node;
  }
  return null;
}

/** Whether a list of links is the way to the page, by its name, its class or its structured data. */
export function isBreadcrumbs(element: HtmlElement): boolean {
  const names = ['aria-label', 'class', 'id', 'itemtype', 'typeof'].map((name) => attribute(element, name) ?? '');
  return names.some((name) => /bread-?_?crumb/iu.test(name));
}
