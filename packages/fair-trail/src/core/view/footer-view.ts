import type { MenuItem } from '../site/menu-item.ts';
import type { Wording } from '../wording.ts';
import { itemKey, linkView, listView, menuItemView, type ActionEvent, type MenuViewOptions } from './menu-view.ts';
import { remembering } from './remember.ts';
import { element, slot, type ViewElement } from './view.ts';

export interface FooterViewOptions {
  readonly items: readonly MenuItem[];
  /** The name of the navigation landmark. */
  readonly label: string;
  /** Begins the ids of the groups' titles. */
  readonly idPrefix: string;
  /** The level of the groups' titles. Default: 2. */
  readonly headingLevel?: 2 | 3 | 4;
  /** Whether icons stand for the labels of items outside of groups, which only screen readers then get. Default: false. */
  readonly iconsOnly?: boolean;
  /** The slots that the app fills. */
  readonly slots: { readonly icon: boolean; readonly form: boolean; readonly foot: boolean };
  readonly wording: Wording;
}

/** The navigation at the foot of a page: titled groups beside each other, and what stands in none of them. */
export function footerView(options: FooterViewOptions): ViewElement<ActionEvent> {
  const { items, label, slots, wording, iconsOnly = false } = options;
  const shared: MenuViewOptions = { wording, icons: slots.icon };
  const groups = items.filter((item) => item.items.length > 0);
  const loose = items.filter((item) => item.items.length === 0);
  const looseClass = iconsOnly ? 'ft-footer-loose ft-icons-only' : 'ft-footer-loose';
  const navigation = element<ActionEvent>('nav', { class: 'ft-footer-navigation', 'aria-label': label }, [
    ...groups.map((item, index) => groupView(item, `${options.idPrefix}-${index}`, options.headingLevel ?? 2, shared)),
    loose.length > 0
      ? element('div', { class: looseClass }, [listView(loose.map((item, index) => menuItemView(item, index, shared)))])
      : null,
  ]);
  return element<ActionEvent>('footer', { class: 'ft-footer' }, [
    element<ActionEvent>('div', { class: 'ft-footer-room' }, [
      items.length > 0 ? navigation : null,
      slots.form ? element('div', { class: 'ft-footer-form' }, [slot('form')], { key: 'form' }) : null,
      slots.foot ? element('div', { class: 'ft-footer-foot' }, [slot('foot')], { key: 'foot' }) : null,
    ]),
  ]);
}

/**
 * The title names the list, so that a screen reader says which group a link belongs to. A group is made again only when
 * something in it changes.
 */
const groupView = remembering(
  (item: MenuItem, id: string, headingLevel: number, shared: MenuViewOptions): ViewElement<ActionEvent> => {
    // A page that holds others is the first of its own group, and marked only where one is on it: the others stand beside it.
    const own = item.mark === 'section' ? unmarked(linkView(item, shared)) : linkView(item, shared);
    const first = item.kind === 'link' ? [element('li', { class: 'ft-menu-item' }, [own], { key: 'own' })] : [];
    const title = element(`h${headingLevel}`, { class: 'ft-footer-title', id }, [item.label], { key: 'title' });
    const list = listView<ActionEvent>([
      ...first,
      ...item.items.map((member, index) => menuItemView(member, index, shared)),
    ]);
    const named = { ...list, attributes: { ...list.attributes, 'aria-labelledby': id } };
    return element<ActionEvent>('div', { class: 'ft-footer-group' }, [title, named], { key: itemKey(item) });
  },
  (id, headingLevel, { wording, icons }) => [id, headingLevel, wording, icons],
);

function unmarked(view: ViewElement): ViewElement {
  const { 'aria-current': _, ...attributes } = view.attributes;
  return { ...view, attributes };
}
