import type { BarOptions, BreadcrumbsOptions, SidebarOptions, TabsOptions } from './component-options.ts';

/**
 * How the options of components are written as attributes of custom elements, and read from them. An attribute has the
 * name of its option in lower case, with hyphens between words, as CSS and ARIA write names.
 */

/** How one option is written. */
export interface AttributeForm<Value = never> {
  /** What the value may be, for a message to whoever wrote another one. */
  readonly of: string;
  /** The value of an attribute; undefined if it is none. */
  readonly read: (text: string) => Value | undefined;
  /** The attribute of a value; null if it is left out. */
  readonly write: (value: Value) => string | null;
}

/** The attributes of an element, by the names of the options. */
export type AttributeTable<Options> = {
  readonly [Name in keyof Options]-?: AttributeForm<Exclude<Options[Name], undefined>>;
};

/** One of a few words. */
/* @__NO_SIDE_EFFECTS__ */
function word<const Words extends readonly string[]>(...words: Words): AttributeForm<Words[number]> {
  return {
    of: words.map((one) => `"${one}"`).join(', '),
    read: (text) => words.find((one) => one === text),
    write: (value) => value,
  };
}

const text: AttributeForm<string> = { of: 'a text', read: (value) => value, write: (value) => value };

/** As HTML's boolean attributes; and "false" is no, since some frameworks write that. */
const flag: AttributeForm<boolean> = {
  of: 'nothing: the attribute alone means yes',
  read: (value) => value !== 'false',
  write: (value) => (value ? '' : null),
};

const count: AttributeForm<number> = {
  of: 'a number from 0',
  read: (value) => (/^\d+$/u.test(value) ? Number(value) : undefined),
  write: String,
};

const level: AttributeForm<2 | 3 | 4> = {
  of: '2, 3 or 4',
  read: (value) => ([2, 3, 4] as const).find((one) => String(one) === value),
  write: String,
};

/** Names with spaces between them, as in `class`. */
const words: AttributeForm<readonly string[]> = {
  of: 'names with spaces between them',
  read: (value) => value.split(/\s+/u).filter(Boolean),
  write: (value) => value.join(' '),
};

/** A value of JSON. */
/* @__NO_SIDE_EFFECTS__ */
function json<Value>(of: string, isRight: (value: unknown) => boolean): AttributeForm<Value> {
  return {
    of,
    read: (value) => {
      try {
        const read: unknown = JSON.parse(value);
        return isRight(read) ? (read as Value) : undefined;
      } catch {
        return undefined;
      }
    },
    write: (value) => JSON.stringify(value),
  };
}

const isObject = (value: unknown) => typeof value === 'object' && value !== null && !Array.isArray(value);

const panelWord = word('list', 'rich', 'columns');
const panelsById = json<Exclude<BarOptions['panels'], string | undefined>>('', isObject);

/** What every component with a menu has. */
export interface MenuAttributes {
  readonly menu?: string;
  readonly label?: string;
}

const menuAttributes = { menu: text, label: text };

/** Of `trail-bar`. */
export const barAttributes: AttributeTable<BarOptions & MenuAttributes> = {
  ...menuAttributes,
  element: word('header', 'div'),
  whenNarrow: word('panel', 'screen', 'strip', 'more'),
  endPlace: word('auto', 'row', 'panel'),
  alwaysToggle: flag,
  panels: {
    of: '"list", "rich", "columns", or an object in JSON with one of them by the id of an entry',
    read: (value) => panelWord.read(value) ?? panelsById.read(value),
    write: (value) => (typeof value === 'string' ? value : JSON.stringify(value)),
  },
  hoverOpens: flag,
  held: text,
  backdrop: word('panels', 'menu', 'both'),
  pinned: word('sticky', 'fixed'),
  givesWay: word('shrink', 'hide'),
  extent: word('content', 'window'),
  justify: word('start', 'center', 'end', 'space-between', 'stretch'),
};

/** Of `trail-sidebar`. */
export const sidebarAttributes: AttributeTable<SidebarOptions & MenuAttributes & { readonly name?: string }> = {
  ...menuAttributes,
  name: text,
  markers: json('an object in JSON with a color by the id of an entry', isObject),
  groups: word('one', 'many'),
  search: flag,
  rail: flag,
  whenNarrow: word('cover', 'above'),
  alwaysToggle: flag,
  annex: words,
  annexParameter: text,
  headingLevel: level,
};

/** Of `trail-breadcrumbs`. */
export const breadcrumbsAttributes: AttributeTable<BreadcrumbsOptions> = {
  fold: word('fit', 'always', 'never'),
  keepFirst: count,
  keepLast: count,
  current: word('text', 'link'),
  whenNarrow: word('fold', 'parent'),
  siblings: flag,
  structuredData: flag,
};

/** Of `trail-tabs`. */
export const tabsAttributes: AttributeTable<Omit<TabsOptions, 'tabs'> & MenuAttributes> = {
  ...menuAttributes,
  initial: text,
  activation: word('automatic', 'manual'),
  orientation: word('horizontal', 'vertical'),
  widths: word('natural', 'filling'),
  linkedTo: {
    of: '"hash", or the key of a query behind a question mark, such as "?part"',
    read: (value) => (value === 'hash' ? 'hash' : /^\?./u.test(value) ? { query: value.slice(1) } : undefined),
    write: (value) => (value === 'hash' ? value : `?${value.query}`),
  },
  panels: word('all', 'selected', 'visited'),
};

/** Of `trail-footer`. */
export const footerAttributes: AttributeTable<
  MenuAttributes & { readonly headingLevel?: 2 | 3 | 4; readonly iconsOnly?: boolean }
> = { ...menuAttributes, headingLevel: level, iconsOnly: flag };

/** Of `trail-notice`. */
export const noticeAttributes: AttributeTable<{ readonly name?: string; readonly label?: string }> = {
  name: text,
  label: text,
};

/** The name of an option as an attribute. */
export function attributeName(option: string): string {
  return option.replace(/[A-Z]/gu, (letter) => `-${letter.toLowerCase()}`);
}

/** The attributes that say these options; what is left out is not among them. */
export function attributesOf<Options extends object>(
  table: AttributeTable<Options>,
  options: Options,
): Readonly<Record<string, string>> {
  const attributes: Record<string, string> = {};
  for (const name of Object.keys(table) as (keyof Options & string)[]) {
    const value = options[name];
    const written = value === undefined ? null : table[name].write(value as Exclude<Options[typeof name], undefined>);
    if (written !== null) attributes[attributeName(name)] = written;
  }
  return attributes;
}
