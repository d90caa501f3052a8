export interface KeyWalk {
  /** As `KeyboardEvent.key` says it. */
  readonly key: string;
  /** Where the walk is; -1 for nowhere yet. */
  readonly index: number;
  readonly count: number;
  readonly orientation: 'horizontal' | 'vertical';
  /** The direction that the text runs in. Default: `ltr`. */
  readonly direction?: 'ltr' | 'rtl';
  /** Whether the last is followed by the first. Default: false. */
  readonly wraps?: boolean;
}

/**
 * Where a key leads in a row or a column, after the keyboard conventions of the ARIA Authoring Practices: arrows along
 * it, Home and End to its ends. Null for a key that means nothing here, which is then left to the browser.
 */
export function keyTarget({
  key,
  index,
  count,
  orientation,
  direction = 'ltr',
  wraps = false,
}: KeyWalk): number | null {
  if (count === 0) return null;
  if (key === 'Home') return 0;
  if (key === 'End') return count - 1;
  const step = stepOf(key, orientation, direction);
  if (step === 0) return null;
  if (index === -1) return step > 0 ? 0 : count - 1;
  const next = index + step;
  if (wraps) return (next + count) % count;
  return next < 0 || next >= count ? null : next;
}

function stepOf(key: string, orientation: 'horizontal' | 'vertical', direction: 'ltr' | 'rtl'): number {
  if (orientation === 'vertical') return key === 'ArrowDown' ? 1 : key === 'ArrowUp' ? -1 : 0;
  const forward = direction === 'rtl' ? 'ArrowLeft' : 'ArrowRight';
  const backward = direction === 'rtl' ? 'ArrowRight' : 'ArrowLeft';
  return key === forward ? 1 : key === backward ? -1 : 0;
}
