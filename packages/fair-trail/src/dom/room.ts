/** What is seen of a bar's row. */
export interface RoomReport {
  /** The room, in em, that the row needs as it stands; null while it is not in a row. */
  readonly needed: number | null;
  /** Whether the toggle stands in for the row. */
  readonly narrow: boolean;
  /** Whether the end slot does not fit into one row with brand and toggle. */
  readonly isEndAway: boolean;
  /** Whether focus is on the toggle, or was until the toggle went. */
  readonly focusOnToggle: boolean;
}

/**
 * Watches whether a bar's row has the room that its content needs. The stylesheet decides by an estimate; what is
 * measured here only ever asks for more room than that, so the two cannot take turns.
 */
export function watchRoom(
  row: HTMLElement,
  toggle: HTMLElement | null,
  report: (room: RoomReport) => void,
): () => void {
  const { defaultView: window } = row.ownerDocument;
  let timer = 0;
  let focusOnToggle = false;
  // In em. While the end slot is in the panel, it cannot be measured beside the toggle.
  let neededWithEnd = 0;
  const measure = () => {
    const narrow = toggle !== null && getComputedStyle(toggle).display !== 'none';
    focusOnToggle ||= toggle?.matches(':focus') === true;
    const needed = narrow ? null : neededRoom(row);
    if (narrow && row.querySelector(':scope > .ft-bar-end')) neededWithEnd = oneRow(row);
    const isEndAway = narrow && neededWithEnd > row.getBoundingClientRect().width / fontSizeOf(row);
    // Not within the observer: what is drawn for it would be measured in the same round, which browsers warn of.
    window?.clearTimeout(timer);
    timer =
      window?.setTimeout(() => {
        report({ narrow, needed, isEndAway, focusOnToggle });
        focusOnToggle = false;
      }) ?? 0;
  };
  const observer = new ResizeObserver(measure);
  observer.observe(row);
  // Fonts that arrive late, and slots that grow, change what is needed without changing the row.
  for (const child of row.children) observer.observe(child);
  return () => {
    observer.disconnect();
    window?.clearTimeout(timer);
  };
}

function fontSizeOf(element: HTMLElement): number {
  return Number.parseFloat(getComputedStyle(element).fontSize) || 16;
}

/** The width, in em, that a row needs whose menu is behind its toggle, each of its parts as narrow as it may be. */
function oneRow(row: HTMLElement): number {
  const { columnGap, paddingInlineStart, paddingInlineEnd } = getComputedStyle(row);
  row.toggleAttribute('data-ft-measured', true);
  const widths = [...row.children].map((child) => child.getBoundingClientRect().width);
  row.toggleAttribute('data-ft-measured', false);
  const gaps = (Number.parseFloat(columnGap) || 0) * (widths.length - 1);
  const padding = Number.parseFloat(paddingInlineStart) + Number.parseFloat(paddingInlineEnd);
  return (widths.reduce((sum, width) => sum + width, 0) + gaps + padding) / fontSizeOf(row);
}

/** The width, in em, that the row would need for what sticks out of it; null if nothing does. */
function neededRoom(row: HTMLElement): number | null {
  const style = getComputedStyle(row);
  const fontSize = fontSizeOf(row);
  const box = row.getBoundingClientRect();
  const isReversed = style.direction === 'rtl';
  const padding = Number.parseFloat(style.paddingInlineEnd) || 0;
  // Of its parts alone: a panel that hangs from one of them takes no room in the row.
  const overflows = [...row.children].map((child) => {
    const { left, right } = child.getBoundingClientRect();
    return isReversed ? box.left + padding - left : right - (box.right - padding);
  });
  const overflow = Math.max(0, ...overflows);
  return overflow > 1 ? (box.width + overflow) / fontSize : null;
}

/** What the stylesheet calls the height of a bar as it is now. */
const property = '--ft-bar-block-size';

/**
 * Says on the root element how high a pinned bar is, so that no target of a link within the page is scrolled beneath it.
 *
 * @returns a function that stops listening
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
