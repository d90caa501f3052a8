/** What the stylesheet calls the height of a bar as it is now. */
const property = '--ft-bar-block-size';

/**
 * Says on the root element how high a pinned bar is, so that no target of a link within the page is scrolled beneath it.
 *
 * @returns ends it
 */
export function watchBarSize(bar: HTMLElement): () => void {
  const { style } = bar.ownerDocument.documentElement;
  const row = bar.querySelector<HTMLElement>('.ft-bar-row');
  if (!row) return () => undefined;
  const observer = new ResizeObserver(() => {
    // While it gives way it is less high than the room that it will need.
    if (!bar.hasAttribute('data-ft-away')) style.setProperty(property, `${row.offsetHeight + 1}px`);
  });
  observer.observe(row);
  return () => {
    observer.disconnect();
    style.removeProperty(property);
  };
}
