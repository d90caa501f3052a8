import type { MenuItem, Mark } from '../site/menus.ts';
import type { Wording } from '../wording.ts';
import { element, slot, type ViewElement, type ViewNode } from './view.ts';

export interface MenuViewOptions {
  readonly wording: Wording;
  /** Whether the app draws icons: only then is there a slot for them. Default: false. */
  readonly icons?: boolean;
}

/** The value of `aria-current` (WAI-ARIA 1.2, section 6.6) that states a mark. */
export function ariaCurrent(mark: Mark): 'page' | 'true' | null {
  return mark === 'section' ? 'true' : mark;
}

/** The items of a menu as a list of links, with lists inside. */
export function menuView(items: readonly MenuItem[], options: MenuViewOptions): ViewElement {
  // Some browsers take a list without bullets for no list; the role says that it is one.
  return element(
    'ul',
    { class: 'ft-menu', role: 'list' },
    items.map((item, index) => itemView(item, index, options)),
  );
}

/** The views of items, as they were last made. An item that is the same object is printed as it was. */
const knownViews = new WeakMap<MenuItem, MenuViewOptions & { readonly view: ViewElement }>();

function itemView(item: MenuItem, index: number, options: MenuViewOptions): ViewElement {
  // Many places of a menu share one object for what says nothing.
  if (item.kind !== 'link' && item.kind !== 'group') return newItemView(item, index, options);
  const { wording, icons = false } = options;
  const known = knownViews.get(item);
  if (known?.wording === wording && known.icons === icons) return known.view;
  const view = newItemView(item, index, options);
  knownViews.set(item, { wording, icons, view });
  return view;
}

function newItemView(item: MenuItem, index: number, options: MenuViewOptions): ViewElement {
  const { wording } = options;
  switch (item.kind) {
    case 'divider':
    case 'reserved':
      // Neither says anything: the one is a line, the other an empty cell.
      return element('li', { class: `ft-${item.kind}`, 'aria-hidden': 'true' }, [], { key: `${item.kind}/${index}` });
    case 'loading':
    case 'failed':
    case 'empty':
      return element('li', { class: 'ft-menu-note' }, [wording[item.kind]], { key: item.kind });
    case 'link':
    case 'group': {
      const lead = item.kind === 'group' ? groupLabelView(item) : linkView(item, options);
      const below = item.items.length > 0 ? menuView(item.items, options) : null;
      return element('li', { class: 'ft-menu-item' }, [lead, below], { key: keyOf(item) });
    }
  }
}

function groupLabelView(item: MenuItem): ViewElement {
  return element('span', { class: 'ft-group-label', 'aria-current': ariaCurrent(item.mark) }, [item.label]);
}

function linkView(item: MenuItem, { wording, icons }: MenuViewOptions): ViewElement {
  const newTab = item.entry?.opens === 'new-tab';
  const icon = icons && item.icon ? slot('icon', item.icon) : null;
  const badge = item.badge === null ? null : element('span', { class: 'ft-badge' }, [item.badge], { key: 'badge' });
  const children: (ViewNode | null)[] = [icon, element('span', { class: 'ft-label' }, [item.label]), badge];
  if (newTab) children.push(newTabView(wording));
  return element(
    'a',
    {
      class: 'ft-link',
      href: item.href,
      'aria-current': ariaCurrent(item.mark),
      target: newTab ? '_blank' : null,
      rel: newTab ? 'noopener' : null,
    },
    children,
  );
}

/** The sign for eyes is drawn by the stylesheet; the words are for ears. */
function newTabView(wording: Wording): ViewElement {
  const words = element('span', { class: 'ft-visually-hidden' }, [` (${wording.opensNewTab})`]);
  return element('span', { class: 'ft-new-tab' }, [words], { key: 'new-tab' });
}

function keyOf({ entry, params, label }: MenuItem): string {
  return entry ? [entry.id, ...Object.values(params)].join('/') : `group/${label}`;
}
