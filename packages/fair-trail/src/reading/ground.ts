import type { Color } from '../core/color/color.ts';
import { mixed, paintedColor } from './painted-color.ts';
import { parentOf } from './visible.ts';

/** What stands behind the text of an element, and how that text is seen. */
export interface Ground {
  readonly ground: Color;
  /** A color of the element, as it is seen on its ground: paler where it, or something around it, is see-through. */
  readonly seen: (color: string) => Color | null;
}

interface Layer {
  readonly color: Color;
  readonly alpha: number;
  /** Of the whole element, with all that is in it. */
  readonly opacity: number;
}

/**
 * What an element is painted on; null if that is not known for sure: pictures, filters, and what has a place of its own
 * over anything.
 */
export function groundOf(element: Element): Ground | null {
  const { defaultView: window } = element.ownerDocument;
  if (!window) return null;
  const layers: Layer[] = [];
  let isOpaque = false;
  for (let at: Element | null = element; at; at = parentOf(at)) {
    const style = window.getComputedStyle(at);
    const opacity = Number(style.opacity);
    const isPlain =
      (style.backgroundImage === 'none' || isOpaque) &&
      style.filter === 'none' &&
      style.mixBlendMode === 'normal' &&
      (isOpaque || ['::before', '::after'].every((pseudo) => !isBoard(window.getComputedStyle(at, pseudo))));
    if (!isPlain) return null;
    const painted = paintedColor(style.backgroundColor, element.ownerDocument);
    if (!painted) return null;
    layers.push({ ...painted, opacity });
    isOpaque ||= painted.alpha === 1;
    // What is behind an opaque board is seen only through what is see-through as a whole.
    if (isOpaque && !hasSeeThrough(at)) break;
    const isPlaced = style.position !== 'static' && style.position !== 'relative' && style.position !== 'sticky';
    if (isPlaced && !isOpaque) return null;
  }
  const paper = { red: 1, green: 1, blue: 1 };
  const ground = through(layers, paper, null);
  const seen = (text: string) => {
    const painted = paintedColor(text, element.ownerDocument);
    return painted && through(layers, paper, painted);
  };
  return { ground, seen };
}

/** Whether something that is drawn beside the words may lie behind them. */
function isBoard(style: CSSStyleDeclaration): boolean {
  if (style.content === 'none' || style.content === 'normal') return false;
  return style.position === 'absolute' && style.backgroundColor !== 'rgba(0, 0, 0, 0)' && coversMuch(style);
}

function coversMuch({ width, height }: CSSStyleDeclaration): boolean {
  return Number.parseFloat(width) > 8 && Number.parseFloat(height) > 8;
}

function hasSeeThrough(element: Element): boolean {
  const { defaultView: window } = element.ownerDocument;
  for (let at: Element | null = element; at; at = parentOf(at)) {
    if (window && Number(window.getComputedStyle(at).opacity) < 1) return true;
  }
  return false;
}

/** Paints the layers from the outermost to the innermost, and what stands on them at last. */
function through(
  layers: readonly Layer[],
  paper: Color,
  top: { readonly color: Color; readonly alpha: number } | null,
): Color {
  let seen = paper;
  const behind: Color[] = [];
  for (const { color, alpha } of layers.toReversed()) {
    behind.push(seen);
    seen = mixed(color, seen, alpha);
  }
  if (top) seen = mixed(top.color, seen, top.alpha);
  // A group is made paler as a whole, on what was there before it: the innermost first.
  for (const [index, { opacity }] of layers.entries()) {
    const under = behind[layers.length - 1 - index] ?? paper;
    if (opacity < 1) seen = mixed(seen, under, opacity);
  }
  return seen;
}
