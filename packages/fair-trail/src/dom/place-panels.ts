import { findPanel } from './panels.ts';

/** Between a panel and the edge of the window, in CSS pixels. */
const margin = 8;

/**
 * Keeps open panels below their triggers and inside the window, for as long as they are open: where they begin in the
 * row, and how much room they have on the screen. Says both in custom properties, and leaves the rest to the stylesheet.
 *
 * @param ids the keys of the items whose panels are open
 * @returns a function that stops listening
 */
export function placePanels(row: HTMLElement, ids: readonly string[]): () => void {
  const { defaultView: window } = row.ownerDocument;
  if (!window || ids.length === 0) return () => undefined;
  const place = () => {
    for (const id of ids) placePanel(row, id);
  };
  place();
  const observer = new ResizeObserver(place);
  observer.observe(row);
  const listening = new AbortController();
  for (const type of ['scroll', 'resize']) {
    window.addEventListener(type, place, { signal: listening.signal, passive: true, capture: true });
  }
  return () => {
    observer.disconnect();
    listening.abort();
  };
}

function placePanel(row: HTMLElement, id: string): void {
  const parts = findPanel(row, id);
  if (!parts) return;
  const { item, panel } = parts;
  const { clientWidth, clientHeight } = row.ownerDocument.documentElement;
  const style = getComputedStyle(panel);
  if (style.position === 'static') {
    // In the flow it has no place but its own.
    panel.style.removeProperty('--ft-panel-start');
    panel.style.removeProperty('--ft-panel-room');
    return;
  }
  const rowBox = row.getBoundingClientRect();
  const itemBox = item.getBoundingClientRect();
  const width = panel.offsetWidth;
  const isReversed = style.direction === 'rtl';
  // Boxes are as they are seen, and what is set is not: `zoom` or a transform around the row lies between.
  const scale = row.offsetWidth > 0 ? rowBox.width / row.offsetWidth : 1;
  // From the row's start edge, whichever side that is on.
  const start = (isReversed ? rowBox.right - itemBox.right : itemBox.left - rowBox.left) / scale;
  const rowStart = (isReversed ? clientWidth - rowBox.right : rowBox.left) / scale;
  const last = (clientWidth - margin) / scale - width - rowStart;
  const first = margin / scale - rowStart;
  set(panel, '--ft-panel-start', Math.max(first, Math.min(start, last)));
  const top = panel.offsetTop + rowBox.top / scale;
  set(panel, '--ft-panel-room', Math.max(120, (clientHeight - margin) / scale - top));
}

function set(panel: HTMLElement, name: string, pixels: number): void {
  const value = `${Math.round(pixels)}px`;
  if (panel.style.getPropertyValue(name) !== value) panel.style.setProperty(name, value);
}
