import { attributeName } from 'fair-trail/internal/core';

/** A component whose options are tuned. */
export type TunedComponent = 'bar' | 'sidebar' | 'breadcrumbs';

/** An option of a component, and what can be chosen for it. */
export interface OptionControl {
  readonly option: string;
  readonly label: string;
  /** The first is the default, and is not written; an empty one stands for none. Without values it is yes or no. */
  readonly values?: readonly string[];
}

/** The options that the workbench has controls for. */
export const optionControls: Readonly<Record<TunedComponent, readonly OptionControl[]>> = {
  bar: [
    { option: 'whenNarrow', label: 'When narrow', values: ['panel', 'screen', 'strip', 'more'] },
    { option: 'justify', label: 'Justification', values: ['end', 'start', 'center', 'space-between', 'stretch'] },
    { option: 'extent', label: 'Extent', values: ['content', 'window'] },
    { option: 'panels', label: 'Form of the panels', values: ['', 'list', 'rich', 'columns'] },
    { option: 'backdrop', label: 'Dimmed behind', values: ['', 'panels', 'menu', 'both'] },
    { option: 'pinned', label: 'Pinned', values: ['', 'sticky', 'fixed'] },
    { option: 'givesWay', label: 'On the way down the page', values: ['', 'shrink', 'hide'] },
    { option: 'endPlace', label: 'End slot when narrow', values: ['auto', 'row', 'panel'] },
    { option: 'hoverOpens', label: 'Hover opens panels' },
    { option: 'alwaysToggle', label: 'Always behind a toggle' },
  ],
  sidebar: [
    { option: 'whenNarrow', label: 'When narrow', values: ['cover', 'above'] },
    { option: 'groups', label: 'Open groups', values: ['many', 'one'] },
    { option: 'search', label: 'Filter field' },
    { option: 'rail', label: 'Can be a rail' },
    { option: 'alwaysToggle', label: 'Always behind a toggle' },
  ],
  breadcrumbs: [
    { option: 'fold', label: 'Fold', values: ['fit', 'always', 'never'] },
    { option: 'whenNarrow', label: 'When narrow', values: ['fold', 'parent'] },
    { option: 'current', label: 'The current page', values: ['text', 'link'] },
    { option: 'siblings', label: 'Show siblings' },
  ],
};

export type OptionValues = Readonly<Record<string, string | boolean>>;
export type TunedOptions = Readonly<Record<TunedComponent, OptionValues>>;

/** What the whole page of a sheet begins with. */
export const initialOptions: TunedOptions = {
  bar: {},
  sidebar: { search: true, rail: true },
  breadcrumbs: { siblings: true },
};

/** The options that differ from the defaults: what has to be written. */
export function givenOptions(component: TunedComponent, values: OptionValues): OptionValues {
  const given = optionControls[component].flatMap(({ option, values: choices }) => {
    const value = values[option];
    const usual = choices ? (choices[0] ?? '') : false;
    return value === undefined || value === usual ? [] : [[option, value] as const];
  });
  return Object.fromEntries(given);
}

/** In which form code is written. */
export type CodeForm = 'React' | 'Vue' | 'custom elements' | 'HTML';

export const codeForms: readonly CodeForm[] = ['React', 'Vue', 'custom elements', 'HTML'];

const names: Readonly<Record<TunedComponent, { readonly component: string; readonly element: string }>> = {
  bar: { component: 'Navbar', element: 'trail-bar' },
  sidebar: { component: 'Sidebar', element: 'trail-sidebar' },
  breadcrumbs: { component: 'Breadcrumbs', element: 'trail-breadcrumbs' },
};

export interface CodeSettings {
  /** The menus of the bar and of the sidebar. */
  readonly menus: Readonly<Partial<Record<TunedComponent, string>>>;
  readonly density: string;
  readonly theme: string;
}

/** The code that gives the components these options. `pageHtml` of `fair-trail/html` writes the HTML. */
export function componentCode(form: CodeForm, options: TunedOptions, { menus, density, theme }: CodeSettings): string {
  const root = [
    ...(density === 'usual' ? [] : [`data-ft-density="${density}"`]),
    ...(theme === 'default' ? [] : [`data-ft-theme="${theme}"`]),
  ];
  const lines = (Object.keys(names) as TunedComponent[]).map((component) => {
    const menu = menus[component];
    const given = { ...(menu !== undefined && { menu }), ...givenOptions(component, options[component]) };
    return codeOf(form, component, given);
  });
  const page = root.length > 0 ? [`<html ${root.join(' ')}>`, ''] : [];
  return `${[...page, ...lines].join('\n')}\n`;
}

function codeOf(form: CodeForm, component: TunedComponent, given: OptionValues): string {
  const { component: name, element } = names[component];
  if (form === 'HTML') {
    const fields = Object.entries(given).map(([option, value]) => {
      return `${option}: ${typeof value === 'string' ? `'${value.replaceAll("'", String.raw`\'`)}'` : String(value)}`;
    });
    return `trail.${component}(${fields.length > 0 ? `{ ${fields.join(', ')} }` : ''})`;
  }
  const attributes = Object.entries(given).map(([option, value]) => {
    const attribute = form === 'React' ? option : attributeName(option);
    if (value === true) return attribute;
    if (value === false) return form === 'React' ? `${attribute}={false}` : `:${attribute}="false"`;
    return `${attribute}="${value.replaceAll('"', '&quot;')}"`;
  });
  const tag = form === 'custom elements' ? element : name;
  const start = [tag, ...attributes].join(' ');
  return form === 'custom elements' ? `<${start}></${tag}>` : `<${start} />`;
}
