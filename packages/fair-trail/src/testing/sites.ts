import type { SiteDefinition } from '../core/site/definition.ts';

/** Pages with others below them, a group without a page, and plain ones, among them one after the panels. */
export const nested: SiteDefinition = {
  name: 'Marram',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      entries: [
        { id: 'reedbed', label: 'Reedbed Hide', href: '/hides/reedbed' },
        { id: 'lantern', label: 'Lantern Room', href: '/hides/lantern' },
      ],
    },
    {
      id: 'practical',
      label: 'Practical',
      entries: [
        { id: 'visit', label: 'Visit', href: '/visit' },
        { id: 'book', label: 'Book', href: '/book' },
      ],
    },
    { id: 'about', label: 'About', href: '/about' },
  ],
  menus: { main: ['today', { entry: 'hides', depth: 2 }, { entry: 'practical', depth: 2 }, 'about'] },
};

/** A page with others below it that each have a summary. */
export const summarized: SiteDefinition = {
  name: 'Marram',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      entries: [
        { id: 'reedbed', label: 'Reedbed Hide', href: '/hides/reedbed', summary: 'Bitterns, if you wait' },
        { id: 'lantern', label: 'Lantern Room', href: '/hides/lantern', summary: 'The whole point' },
      ],
    },
  ],
  menus: { main: ['today', { entry: 'hides', depth: 2 }] },
};

/** Actions: in the row, in a panel, and two of which a visitor sees one. */
export const withActions: SiteDefinition = {
  name: 'Marram',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    { id: 'visit', label: 'Visit', href: '/visit' },
  ],
  menus: {
    main: [
      'today',
      { label: 'Practical', entries: ['visit', { action: 'switch-scheme', label: 'Switch scheme' }] },
      {
        either: [
          { action: 'sign-out', label: 'Sign out', audience: ['ringer'] },
          { action: 'sign-in', label: 'Sign in' },
        ],
      },
    ],
  },
};

/** Two languages, with addresses of their own. */
export const bilingual: SiteDefinition = {
  name: 'Marram',
  language: 'en',
  languages: ['cy'],
  home: 'today',
  entries: [
    { id: 'today', label: 'Today', href: '/', icon: 'sun' },
    { id: 'hides', label: { en: 'Hides', cy: 'Cuddfannau' }, href: { en: '/hides', cy: '/cuddfannau' }, icon: 'hut' },
    { id: 'visit', label: 'Visit', href: '/visit' },
  ],
  menus: {
    main: ['today', 'hides'],
    footer: [{ label: 'Watch', entries: ['hides', 'visit'] }, 'today', 'hides', 'visit'],
  },
};

/** A place to work in: sections, groups two deep, lists from data, and pages with much below them. */
export const desk: SiteDefinition = {
  name: 'Marram',
  home: 'desk',
  entries: [
    { id: 'desk', label: 'Data desk', href: '/', icon: 'inbox' },
    {
      id: 'nets',
      label: 'Nets',
      href: '/nets',
      icon: 'grid',
      entries: [
        {
          id: 'reedbed',
          label: 'Reedbed rides',
          href: '/nets/reedbed',
          entries: [
            { id: 'east', label: 'East ride', href: '/nets/reedbed/east' },
            { id: 'west', label: 'West ride', href: '/nets/reedbed/west' },
          ],
        },
        { id: 'garden', label: 'Garden nets', href: '/nets/garden' },
      ],
    },
    {
      id: 'instruments',
      label: 'Instruments',
      icon: 'gauge',
      entries: [
        { id: 'gauge', label: 'Tide gauge', href: '/gauge' },
        { id: 'mast', label: 'Weather mast', href: '/mast' },
      ],
    },
    {
      id: 'autumn',
      label: 'Autumn',
      href: '/autumn',
      icon: 'leaf',
      entries: [{ id: 'session', label: 'Session {day}', href: '/autumn/:day', records: 'sessions' }],
    },
    {
      id: 'spring',
      label: 'Spring',
      href: '/spring',
      icon: 'sprout',
      entries: [{ id: 'walk', label: 'Spring walk', href: '/spring/walk' }],
    },
    { id: 'rota', label: 'Rota', href: '/rota' },
  ],
  menus: {
    main: ['desk'],
    desk: [
      'desk',
      'rota',
      {
        label: 'Ringing',
        entries: [
          { entry: 'nets', depth: 3 },
          { entry: 'instruments', depth: 2 },
        ],
      },
      {
        label: 'Seasons',
        entries: [
          { entry: 'autumn', depth: 2 },
          { entry: 'spring', depth: 2 },
        ],
      },
    ],
  },
};

/** A way seven steps long, with records at its end. */
export const deep: SiteDefinition = {
  name: 'Marram',
  origin: 'https://marram.example',
  home: 'today',
  entries: [
    { id: 'today', label: 'Today', href: '/', icon: 'sun' },
    {
      id: 'log',
      label: 'Ringing log',
      href: '/log',
      entries: [
        {
          id: 'seasons',
          label: 'Seasons of the observatory',
          href: '/log/seasons',
          entries: [
            {
              id: 'autumn',
              label: 'Autumn migration 2026',
              href: '/log/seasons/autumn',
              entries: [
                {
                  id: 'session',
                  label: '{day}',
                  href: '/log/seasons/autumn/:day',
                  records: 'sessions',
                  entries: [{ id: 'round', label: 'Net round {round}', href: '/log/seasons/autumn/:day/:round' }],
                },
              ],
            },
            { id: 'spring', label: 'Spring migration 2026', href: '/log/seasons/spring' },
            {
              id: 'winter',
              label: 'The winter in which the causeway lay under ice for seven weeks',
              href: '/log/seasons/winter',
            },
          ],
        },
      ],
    },
    { id: 'visit', label: 'Visit', href: '/visit' },
  ],
  menus: { main: ['today', 'log'] },
};
