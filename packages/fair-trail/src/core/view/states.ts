import { markedSelector } from './marked.ts';

/** What every control can be in. */
const control = <Selector extends string>(selector: Selector) =>
  ({
    rest: selector,
    hover: `${selector}:hover`,
    focus: `${selector}:focus-visible`,
    pressed: `${selector}:active`,
  }) as const;

/**
 * Every state that a part can be in, and how the document says so: the one list that views, styles and colors are held
 * against. A state is known by the ARIA attribute that states it, or by the CSS pseudo-class of what the reader does.
 */
export const partStates = {
  link: {
    ...control('.ft-link'),
    expanded: ".ft-panel-trigger[aria-expanded='true']",
    'current page': ".ft-link[aria-current='page']",
    'current section': `.ft-link${markedSelector}`,
    disabled: ".ft-link[aria-disabled='true']",
    pending: '[data-ft-pending]',
    reserved: '.ft-reserved',
  },
  'panel trigger': {
    ...control('.ft-panel-trigger'),
    expanded: ".ft-panel-trigger[aria-expanded='true']",
    disabled: ".ft-panel-trigger[aria-disabled='true']",
  },
  toggle: { ...control('.ft-toggle'), expanded: ".ft-toggle[aria-expanded='true']" },
  brand: { rest: '.ft-brand', focus: '.ft-brand:focus-visible' },
  'annex item': { rest: '.ft-annex-trigger', expanded: ".ft-annex-trigger[aria-expanded='true']" },
  'annex title': { rest: '.ft-annex-title', focus: '.ft-annex-title:focus-visible' },
  'rail button': { ...control('.ft-rail-button'), narrow: "[data-ft-rail='narrow'] .ft-rail-sign" },
  'close button': control('.ft-cross-button'),
  'filter field': { rest: '.ft-filter-field', focus: '.ft-filter-field:focus-visible' },
  tab: {
    ...control('.ft-tab'),
    selected: ".ft-tab[aria-selected='true']",
    disabled: ".ft-tab[aria-disabled='true']",
  },
  'tab panel': {
    rest: '.ft-tabpanel',
    focus: '.ft-tabpanel:focus-visible',
    unselected: '.ft-tabpanel[data-ft-unselected]',
  },
  'breadcrumb link': {
    ...control('.ft-breadcrumb-link'),
    'current page': ".ft-breadcrumb-link[aria-current='page']",
  },
  'breadcrumb button': control('.ft-breadcrumb-button'),
  'notice button': control('.ft-notice-button'),
  language: control('.ft-language'),
  'skip link': { rest: '.ft-skip-link', focus: '.ft-skip-link:focus-visible' },
  button: control('[data-ft-button]'),
  'primary button': {
    rest: "[data-ft-button='primary']",
    hover: "[data-ft-button='primary']:hover",
    pressed: "[data-ft-button='primary']:active",
  },
} as const;

export type PartName = keyof typeof partStates;
export type LinkState = keyof (typeof partStates)['link'];
