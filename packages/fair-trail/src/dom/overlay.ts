/** What is made inert, and how many overlays ask for it; it is given back when the last one has gone. */
const inertCounts = new WeakMap<Element, number>();

/**
 * Makes all of a page inert but one part of it, and keeps the page from scrolling. Overlays may lie over each other:
 * what was inert before any of them came is inert after all have gone. Live regions keep speaking.
 *
 * @param part what stays in use; it may hold the overlay and its toggle
 * @returns gives the page back
 */
export function coverPage(part: HTMLElement): () => void {
  const { ownerDocument: document } = part;
  const covered = othersThan(part).filter((element) => hold(element));
  const unlock = lockScroll(document);
  return () => {
    for (const element of covered) release(element);
    unlock();
  };
}

/**
 * Covers the page by a bar's menu, which begins below the bar's row, however high that is now. Says how high in a custom
 * property.
 *
 * @returns gives the page back
 */
export function coverScreen(bar: HTMLElement): () => void {
  const uncover = coverPage(bar);
  const row = bar.querySelector<HTMLElement>('.ft-bar-row');
  const observer = new ResizeObserver(() => {
    const bottom = row?.getBoundingClientRect().bottom ?? 0;
    bar.style.setProperty('--ft-bar-block-size', `${Math.ceil(bottom)}px`);
  });
  if (row) observer.observe(row);
  return () => {
    observer.disconnect();
    bar.style.removeProperty('--ft-bar-block-size');
    uncover();
  };
}

function othersThan(part: Element): readonly Element[] {
  const others: Element[] = [];
  for (let element = part; element.parentElement && element !== element.ownerDocument.body;) {
    const parent = element.parentElement;
    for (const sibling of parent.children) {
      if (
        sibling !== element &&
        !sibling.matches('script, style, link, template, [aria-live], [role="status"], [role="alert"]')
      ) {
        others.push(sibling);
      }
    }
    element = parent;
  }
  return others;
}

/** Whether the element is ours to give back: one that the app made inert stays so. */
function hold(element: Element): boolean {
  const count = inertCounts.get(element) ?? 0;
  if (count === 0 && element.hasAttribute('inert')) return false;
  inertCounts.set(element, count + 1);
  element.toggleAttribute('inert', true);
  return true;
}

function release(element: Element): void {
  const count = (inertCounts.get(element) ?? 1) - 1;
  if (count > 0) {
    inertCounts.set(element, count);
    return;
  }
  inertCounts.delete(element);
  element.removeAttribute('inert');
}

const locks = new WeakMap<Document, { count: number; readonly restore: () => void }>();

/** Keeps the page where it is; the room of its scrollbar stays, so that nothing moves sideways. Locks nest. */
export function lockScroll(document: Document): () => void {
  const known = locks.get(document);
  if (known) known.count += 1;
  else locks.set(document, { count: 1, restore: hideOverflow(document) });
  let isLocked = true;
  return () => {
    const lock = locks.get(document);
    if (!isLocked || !lock) return;
    isLocked = false;
    lock.count -= 1;
    if (lock.count > 0) return;
    locks.delete(document);
    lock.restore();
  };
}

function hideOverflow(document: Document): () => void {
  const { documentElement: root, defaultView: window } = document;
  const scrollbar = (window?.innerWidth ?? 0) - root.clientWidth;
  const { overflow, paddingInlineEnd } = root.style;
  const padding = Number.parseFloat(window?.getComputedStyle(root).paddingInlineEnd ?? '') || 0;
  root.style.overflow = 'hidden';
  // Where the page keeps a gutter for its scrollbar, hiding the scrollbar has given no room.
  const given = root.clientWidth + scrollbar - (window?.innerWidth ?? 0);
  if (given > 0) root.style.paddingInlineEnd = `${padding + given}px`;
  return () => {
    root.style.overflow = overflow;
    root.style.paddingInlineEnd = paddingInlineEnd;
    if (root.getAttribute('style') === '') root.removeAttribute('style');
  };
}
