import { element, type ViewElement } from '../view/view.ts';
import { toHtml } from './html.ts';
import type { OutlineItem } from './outline.ts';

/**
 * Writes an outline as nested HTML lists of links, for a site map page. The HTML is indented, so that it can be edited.
 *
 * @example
 * const html = nestedListHtml(outline(site));
 */
export function nestedListHtml(items: readonly OutlineItem[]): string {
  return writeList(items, '');
}

function writeList(items: readonly OutlineItem[], indent: string): string {
  const lines = items.map((item) => {
    const lead = toHtml(leadView(item));
    if (item.items.length === 0) return `${indent}  <li>${lead}</li>`;
    return `${indent}  <li>${lead}\n${writeList(item.items, `${indent}    `)}\n${indent}  </li>`;
  });
  return [`${indent}<ul>`, ...lines, `${indent}</ul>`].join('\n');
}

function leadView({ label, href }: OutlineItem): ViewElement<unknown> {
  return href === null ? element('span', {}, [label]) : element('a', { href }, [label]);
}
