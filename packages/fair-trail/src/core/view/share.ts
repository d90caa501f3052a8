import type { ViewElement, ViewNode } from './view.ts';

/**
 * The next view, made of the last one's parts wherever they are equal. What did not change keeps its identity, so a
 * framework that compares by identity renders only what did.
 */
export function shareView<Event>(last: ViewElement<Event> | null, next: ViewElement<Event>): ViewElement<Event> {
  return last ? shareElement(last, next) : next;
}

function shareElement<Event>(last: ViewElement<Event>, next: ViewElement<Event>): ViewElement<Event> {
  if (last === next) return last;
  const children = shareNodes(last.children, next.children);
  const attributes = isEqual(last.attributes, next.attributes) ? last.attributes : next.attributes;
  const isSame =
    children === last.children &&
    attributes === last.attributes &&
    isEqual(last.click, next.click) &&
    next.tag === last.tag &&
    next.key === last.key;
  return isSame ? last : { ...next, attributes, children };
}

function shareNodes<Event>(
  last: readonly ViewNode<Event>[],
  next: readonly ViewNode<Event>[],
): readonly ViewNode<Event>[] {
  if (last === next) return last;
  let areSame = last.length === next.length;
  const shared = next.map((node, index) => {
    const before = last[index];
    const kept = before === undefined || before === node ? node : shareNode(before, node);
    if (kept !== before) areSame = false;
    return kept;
  });
  return areSame ? last : shared;
}

function shareNode<Event>(last: ViewNode<Event>, next: ViewNode<Event>): ViewNode<Event> {
  if (typeof last === 'string' || typeof next === 'string') return next;
  if ('slot' in next) return 'slot' in last && last.slot === next.slot && last.about === next.about ? last : next;
  return 'slot' in last ? next : shareElement(last, next);
}

/** Attributes and events: plain data, equal when their fields are. */
function isEqual(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  const names = Object.keys(other);
  return (
    names.length === Object.keys(one).length &&
    names.every((name) => isEqual((one as Record<string, unknown>)[name], (other as Record<string, unknown>)[name]))
  );
}
