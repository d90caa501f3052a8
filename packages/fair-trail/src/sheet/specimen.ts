import { iconOf } from '../core/site/marks.ts';
import type { Mark, MenuItem } from '../core/site/menu-item.ts';
import { type PartName, partStates } from '../core/view/states.ts';
import type { ViewElement, ViewNode } from '../core/view/view.ts';
import { sample } from './sample.ts';

/** One row of a table: a part, and what it looks like in each state that it can be in here. */
export interface Specimen {
  /** Tells it from the others of its table. */
  readonly key: string;
  /** What it is called in the one list of states. */
  readonly part: PartName;
  readonly label: string;
  readonly states: readonly string[];
  /** Finds the part in what is drawn. */
  readonly find: string;
  /**
   * @param state one of its states
   * @param id begins every id in the view, since a document has each only once
   */
  readonly view: (state: string, id: string) => ViewElement<unknown>;
  /** The menu item that it shows, where it shows one. */
  readonly item?: MenuItem;
}

/** A component in all its states. */
export interface SpecimenTable {
  /** A word for addresses and file names. */
  readonly name: string;
  readonly title: string;
  readonly specimens: readonly Specimen[];
  /** How many rows there would be without sampling. */
  readonly of: number;
  /** The room that a cell needs, in rem. */
  readonly columnWidth: number;
}

/** The states in the order of the tables' columns: first what the reader does, then what the part is. */
export const stateOrder: readonly string[] = [
  'rest',
  'hover',
  'focus',
  'pressed',
  'expanded',
  'current page',
  'current section',
  'selected',
  'disabled',
  'pending',
  'reserved',
  'narrow',
  'unselected',
];

/** The columns of a table: every state that one of its rows can be in. */
export function columnsOf(specimens: readonly Specimen[]): readonly string[] {
  return stateOrder.filter((state) => specimens.some(({ states }) => states.includes(state)));
}

/** As many rows as a reader can compare; the rest is reported by number. */
export const mostRows = 20;

interface TableSettings {
  readonly name: string;
  readonly title: string;
  /** The least room for a cell, in rem. Default: 8. */
  readonly columnWidth?: number;
  /** Whether icons stand beside labels. Default: false. */
  readonly icons?: boolean;
}

/** A table of specimens, of which those of a long menu are sampled. */
export function tableOf(
  { name, title, columnWidth = 8, icons = false }: TableSettings,
  fixed: readonly Specimen[],
  ofMenu: readonly Specimen[] = [],
): SpecimenTable {
  const { members, of } = sample(ofMenu, mostRows, {
    label: ({ label }) => label,
    notable: ({ item, part }) => part !== 'link' || (item !== undefined && isNotable(item)),
  });
  // The blaze and the paddings of a link and of what it lies in; an icon; the button of a panel.
  const hasPanels = members.some(({ item }) => item !== undefined && item.items.length > 0);
  const around = 5 + (icons ? 2 : 0) + (hasPanels ? 2.75 : 0);
  const longest = Math.max(0, ...members.map(({ item, label }) => (item?.label ?? label).length));
  return {
    name,
    title,
    specimens: [...members, ...fixed],
    of: of + fixed.length,
    columnWidth: Math.min(18, Math.max(columnWidth, longest * 0.52 + around)),
  };
}

/** What stands beside a label makes an item of its own kind. */
function isNotable({ badge, entry, kind }: MenuItem): boolean {
  return badge !== null || kind !== 'link' || entry?.opens === 'new-tab';
}

/** A row for a part with all the states that the list gives it, or some of them. */
export function specimen(
  part: PartName,
  label: string,
  view: Specimen['view'],
  more: {
    readonly key?: string;
    readonly states?: readonly string[];
    readonly find?: string;
    readonly item?: MenuItem;
  } = {},
): Specimen {
  const { key = part, states = Object.keys(partStates[part]), find = partStates[part].rest, item } = more;
  return { key, part, label, states, find, view, ...(item && { item }) };
}

/** The mark that a state stands for. */
export function markIn(state: string): Mark {
  if (state === 'current page') return 'page';
  return state === 'current section' ? 'section' : null;
}

/** The item as it is in a state: a place kept for it, or with its mark. */
export function itemIn(item: MenuItem, state: string): MenuItem {
  if (state === 'reserved') return { ...item, kind: 'reserved', items: [] };
  const mark = markIn(state);
  return { ...item, mark, icon: iconOf(item, mark) };
}

const ofReader = ['rest', 'hover', 'focus', 'pressed'] as const;

/** The states of a menu's link: one that leads elsewhere is never where one is. */
export function linkStates({ kind, href }: MenuItem): readonly string[] {
  if (kind === 'group') return [...ofReader, 'expanded', 'current section'];
  if (href?.startsWith('/') !== true) return ofReader;
  return [...ofReader, 'current page', 'current section', 'pending'];
}

/** The view with only some of the children of one of its elements. */
export function prunedView(
  view: ViewElement<unknown>,
  className: string,
  keys: readonly string[],
): ViewElement<unknown> {
  const isHere = view.attributes['class']?.split(' ').includes(className) === true;
  const children = view.children.flatMap((child): readonly ViewNode<unknown>[] => {
    if (typeof child === 'string' || 'slot' in child) return isHere ? [] : [child];
    if (isHere) return keys.includes(child.key) ? [child] : [];
    return [prunedView(child, className, keys)];
  });
  return { ...view, children };
}
