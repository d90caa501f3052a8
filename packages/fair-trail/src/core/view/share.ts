import type { ViewElement, ViewNode } from './view.ts';

/**
 * The next view, made of the last one's parts wherever they are equal. What did not change keeps its identity, so a
 * framework that compares by identity renders only what did.
 */
export function shareView<View extends ViewElement | null>(last: ViewElement | null, next: View): View {
  // Whatever the node's type was, an equal one has it too.
  return last && next ? (shareElement(last, next) as View) : next;
}

function shareElement(last: ViewElement, next: ViewElement): ViewElement {
  if (last === next) return last;
  const children = shareNodes(last.children, next.children);
  const attributes = shareFields(last.attributes, next.attributes);
  const on = last.on && next.on ? shareFields(last.on, next.on) : next.on;
  const isEqual =
    children === last.children &&
    attributes === last.attributes &&
    on === last.on &&
    // An item is told by its identity: what follows its mark asks for it by that.
    next.item === last.item &&
    next.pageOnly === last.pageOnly &&
    next.tag === last.tag &&
    next.key === last.key;
  return isEqual ? last : { ...next, attributes, children, ...(on && { on }) };
}

function shareNodes(last: readonly ViewNode[], next: readonly ViewNode[]): readonly ViewNode[] {
  let isEqual = last.length === next.length;
  const shared = next.map((node, index) => {
    const before = last[index];
    const kept = before === undefined ? node : shareNode(before, node);
    if (kept !== before) isEqual = false;
    return kept;
  });
  return isEqual ? last : shared;
}

function shareNode(last: ViewNode, next: ViewNode): ViewNode {
  if (typeof last === 'string' || typeof next === 'string') return next;
  if ('slot' in next) return 'slot' in last && last.slot === next.slot && last.about === next.about ? last : next;
  return 'slot' in last ? next : shareElement(last, next);
}

/** Fields of one level: attributes, and events, each of which is equal when its own fields are. */
function shareFields<Value>(
  last: Readonly<Record<string, Value>>,
  next: Readonly<Record<string, Value>>,
): Readonly<Record<string, Value>> {
  const names = Object.keys(next);
  const isEqual = names.length === Object.keys(last).length && names.every((name) => isSame(last[name], next[name]));
  return isEqual ? last : next;
}

function isSame(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  return shareFields(one as Record<string, unknown>, other as Record<string, unknown>) === one;
}
