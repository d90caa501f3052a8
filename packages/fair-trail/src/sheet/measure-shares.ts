import { apportion } from '../core/layout/apportion.ts';
import { fit } from '../core/layout/fit.ts';
import { markedSelector } from '../core/view/marked.ts';

/** One item of the bar's row: what it should get by the library's own arithmetic, and what the browser gave it. */
export interface MeasuredShare {
  readonly key: string;
  /** In CSS pixels, without its margins. */
  readonly apportioned: number;
  readonly measured: number;
  /** Whether it stays in the row, by the arithmetic and in the document; only where a row may be too short. */
  readonly stays: { readonly fitted: boolean; readonly measured: boolean } | null;
}

export interface Row {
  readonly room: number;
  readonly shares: readonly MeasuredShare[];
}

/** A row of items as it stands, for the list of a bar; null while its menu is no row. */
export function measureShares(list: HTMLElement, priorities: ReadonlyMap<string, number>): Row | null {
  const { defaultView: window } = list.ownerDocument;
  if (!window) return null;
  const style = window.getComputedStyle(list);
  const toggle = list.closest('.ft-bar-navigation')?.querySelector<HTMLElement>('.ft-toggle') ?? null;
  const isFitted = list.closest('[data-ft-form="more"]') !== null;
  if (style.flexDirection === 'column' || list.clientWidth === 0) return null;
  const items = [...list.querySelectorAll<HTMLElement>(':scope > .ft-menu-item')];
  const gap = Number.parseFloat(style.columnGap) || 0;
  // Not `clientWidth`, which is rounded.
  const { width } = list.getBoundingClientRect();
  const widths = items.map((item) => item.getBoundingClientRect().width);
  const natural = sizesWith(list, items, 'max-content');
  const least = sizesWith(list, items, 'min-content');
  const sizes = items.map((item, index) => {
    const { flexGrow, flexShrink, flexBasis } = window.getComputedStyle(item);
    return {
      base: baseOf(flexBasis, natural[index] ?? 0, width),
      grow: Number(flexGrow),
      shrink: Number(flexShrink),
      minimum: least[index] ?? 0,
    };
  });
  const room = isFitted ? (list.parentElement?.parentElement?.clientWidth ?? 0) : width;
  const apportioned = apportion(sizes, width, gap);
  const fitted = isFitted
    ? fit(
        items.map((item, index) => ({
          width: natural[index] ?? 0,
          priority: priorities.get(keyOf(item)) ?? 0,
          current: item.querySelector(`:scope > ${markedSelector}`) !== null,
        })),
        { room, gap, more: toggle?.getBoundingClientRect().width ?? 0 },
      )
    : null;
  const shares = items.map((item, index) => ({
    key: keyOf(item),
    apportioned: isFitted ? (natural[index] ?? 0) : (apportioned[index] ?? 0),
    measured: widths[index] ?? 0,
    stays: fitted && { fitted: fitted.includes(index), measured: !item.hasAttribute('data-ft-beyond') },
  }));
  return { room, shares };
}

/** The key under which the sheet put the item there. */
function keyOf(item: HTMLElement): string {
  return item.getAttribute('data-ft-item') ?? item.querySelector('a, button')?.getAttribute('href') ?? '';
}

function baseOf(basis: string, natural: number, room: number): number {
  const value = Number.parseFloat(basis);
  if (!Number.isFinite(value)) return natural;
  return basis.endsWith('%') ? (value / 100) * room : value;
}

/** The items as wide as their content wants, for the moment of measuring: nothing is drawn meanwhile. */
function sizesWith(list: HTMLElement, items: readonly HTMLElement[], size: string): readonly number[] {
  const flow = list.style.flexFlow;
  list.style.flexFlow = 'row nowrap';
  for (const item of items) {
    item.style.flex = 'none';
    item.style.inlineSize = size;
  }
  const widths = items.map((item) => item.getBoundingClientRect().width);
  for (const item of items) {
    item.style.removeProperty('flex');
    item.style.removeProperty('inline-size');
    if (item.getAttribute('style') === '') item.removeAttribute('style');
  }
  list.style.flexFlow = flow;
  if (list.getAttribute('style') === '') list.removeAttribute('style');
  return widths;
}
