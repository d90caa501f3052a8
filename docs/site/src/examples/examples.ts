import type { Framework } from '../framework.ts';

/** A value that a reader chooses for an option. */
export type OptionValue = string | boolean;

/** An option of a component, as a control of a live example. */
export interface ExampleControl {
  readonly option: string;
  readonly label: string;
  /** The values to choose from; a checkbox if there are none. The first is the default. */
  readonly values?: readonly string[];
  /** What the example begins with, where it is not the default. */
  readonly initial?: OptionValue;
}

/** A component that a page shows at work. */
export interface LiveExampleDescription {
  readonly name: string;
  readonly title: string;
  /** The name of the component in React and Vue. */
  readonly component: 'Navbar' | 'Sidebar' | 'Tabs' | 'Breadcrumbs' | 'FooterNav' | 'Notice';
  readonly element: string;
  /** The properties that the example always gives, as they are written. */
  readonly fixed?: Readonly<Record<string, string>>;
  /** What stands within the component, for each framework. */
  readonly content?: Readonly<Record<Framework, string>>;
  readonly controls: readonly ExampleControl[];
  /** The address that the example begins at. */
  readonly url: string;
  /** The height of the frame, in CSS pixels. */
  readonly height: number;
}

const tabPanels = `
  <Tablist />
  <Tabpanel id="overview">Brown, with a long curved bill.</Tabpanel>
  <Tabpanel id="sounds">A rising, bubbling call.</Tabpanel>
  <Tabpanel id="records">31 ringed in 2026.</Tabpanel>
`;

/** Every live example. The controls have the options' own names and values. */
export const examples: readonly LiveExampleDescription[] = [
  {
    name: 'bar',
    title: 'The bar',
    component: 'Navbar',
    element: 'trail-bar',
    controls: [
      { option: 'whenNarrow', label: 'When narrow', values: ['panel', 'screen', 'strip', 'more'] },
      { option: 'justify', label: 'Justify', values: ['end', 'start', 'center', 'space-between', 'stretch'] },
      { option: 'pinned', label: 'Pinned', values: ['', 'sticky', 'fixed'] },
      { option: 'panels', label: 'Panels', values: ['', 'list', 'rich', 'columns'] },
      { option: 'hoverOpens', label: 'Hover opens panels' },
      { option: 'alwaysToggle', label: 'Always a toggle' },
    ],
    url: '/hides/reedbed',
    height: 320,
  },
  {
    name: 'sidebar',
    title: 'The sidebar',
    component: 'Sidebar',
    element: 'trail-sidebar',
    fixed: { menu: 'desk' },
    controls: [
      { option: 'search', label: 'Filter field', initial: true },
      { option: 'rail', label: 'Can be a rail' },
      { option: 'groups', label: 'Open groups', values: ['many', 'one'] },
      { option: 'whenNarrow', label: 'When narrow', values: ['cover', 'above'] },
      { option: 'alwaysToggle', label: 'Always a toggle' },
    ],
    url: '/log/sessions/autumn',
    height: 520,
  },
  {
    name: 'breadcrumbs',
    title: 'Breadcrumbs',
    component: 'Breadcrumbs',
    element: 'trail-breadcrumbs',
    controls: [
      { option: 'fold', label: 'Fold', values: ['fit', 'always', 'never'] },
      { option: 'whenNarrow', label: 'When narrow', values: ['fold', 'parent'] },
      { option: 'current', label: 'Current page', values: ['text', 'link'] },
      { option: 'siblings', label: 'Show siblings' },
    ],
    url: '/log/sessions/autumn',
    height: 240,
  },
  {
    name: 'tabs',
    title: 'Tabs',
    component: 'Tabs',
    element: 'trail-tabs',
    fixed: { label: 'About the curlew' },
    content: {
      react: tabPanels,
      vue: tabPanels,
      html: `
  <section data-tab="overview" data-label="Overview">Brown, with a long curved bill.</section>
  <section data-tab="sounds" data-label="Sounds">A rising, bubbling call.</section>
  <section data-tab="records" data-label="Records">31 ringed in 2026.</section>
`,
    },
    controls: [
      { option: 'activation', label: 'Activation', values: ['automatic', 'manual'] },
      { option: 'orientation', label: 'Orientation', values: ['horizontal', 'vertical'] },
      { option: 'widths', label: 'Widths', values: ['natural', 'filling'] },
    ],
    url: '/species',
    height: 220,
  },
  {
    name: 'footer',
    title: 'The footer',
    component: 'FooterNav',
    element: 'trail-footer',
    controls: [{ option: 'headingLevel', label: 'Heading level', values: ['2', '3', '4'] }],
    url: '/tides',
    height: 300,
  },
  {
    name: 'notice',
    title: 'A notice',
    component: 'Notice',
    element: 'trail-notice',
    fixed: { name: 'spring-tide' },
    content: {
      react: 'A spring tide covers the causeway from 15:20 today.',
      vue: 'A spring tide covers the causeway from 15:20 today.',
      html: 'A spring tide covers the causeway from 15:20 today.',
    },
    controls: [],
    url: '/',
    height: 200,
  },
];

export const exampleNamed = (name: string) => examples.find((example) => example.name === name) ?? null;

export type ExampleOptions = Readonly<Record<string, OptionValue>>;

/** The values that an example begins with. */
export function initialOptions({ controls }: LiveExampleDescription): ExampleOptions {
  return Object.fromEntries(
    controls.map(({ option, values, initial }) => [option, initial ?? (values ? (values[0] ?? '') : false)]),
  );
}

/** The options that differ from their defaults: what has to be written. */
export function givenOptions({ controls }: LiveExampleDescription, options: ExampleOptions): ExampleOptions {
  return Object.fromEntries(
    controls.flatMap(({ option, values }) => {
      const value = options[option] ?? false;
      return value === (values ? (values[0] ?? '') : false) ? [] : [[option, value]];
    }),
  );
}

const kebab = (name: string) => name.replace(/[A-Z]/gu, (letter) => `-${letter.toLowerCase()}`);

/** The code of an example with these options. */
export function exampleCode(example: LiveExampleDescription, options: ExampleOptions, framework: Framework): string {
  const { component, element, fixed = {}, content, name } = example;
  const tag = framework === 'html' ? element : component;
  const written = Object.entries({ ...fixed, ...givenOptions(example, options) }).map(([option, value]) => {
    const attribute = framework === 'react' ? option : kebab(option);
    if (value === true) return attribute;
    const isNumber = /^\d+$/u.test(String(value));
    if (!isNumber || framework === 'html') return `${attribute}="${String(value)}"`;
    return framework === 'react' ? `${attribute}={${String(value)}}` : `:${attribute}="${String(value)}"`;
  });
  if (name === 'tabs' && framework !== 'html') {
    written.unshift(framework === 'react' ? 'tabs={tabs}' : ':tabs="tabs"');
  }
  const start = [tag, ...written].join(' ');
  const inner = content?.[framework];
  if (inner !== undefined) return `<${start}>${inner}</${tag}>`;
  return framework === 'html' ? `<${start}></${tag}>` : `<${start} />`;
}
