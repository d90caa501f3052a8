import type { ViewNode } from '../view/view.ts';
import { escapeMarkup } from './escape.ts';

/** Elements that have no end tag (HTML standard, section 13.1.2). */
const voidElements: ReadonlySet<string> = new Set(['br', 'hr', 'img', 'input', 'link', 'meta']);

/** Around the content of a slot, so that a script that takes the document over knows where it begins and ends. */
export const slotComments = { start: 'trail-slot', end: '/trail-slot' } as const;

/** A view as HTML, for if there is no framework. Slots are filled with HTML that the app answers for. */
export function toHtml(
  node: ViewNode<unknown>,
  slots: Readonly<Record<string, (about: string) => string>> = {},
): string {
  if (typeof node === 'string') return escapeMarkup(node);
  if ('slot' in node) {
    if (node.slot === 'icon' && node.about === '') return '';
    const content = slots[node.slot]?.(node.about) ?? '';
    return content && `<!--${slotComments.start}-->${content}<!--${slotComments.end}-->`;
  }
  const attributes = Object.entries(node.attributes).map(([name, value]) => ` ${name}="${escapeMarkup(value)}"`);
  const start = `<${node.tag}${attributes.join('')}>`;
  if (voidElements.has(node.tag)) return start;
  return `${start}${node.children.map((child) => toHtml(child, slots)).join('')}</${node.tag}>`;
}
