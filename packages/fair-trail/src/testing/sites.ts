import type { SiteDefinition } from '../core/index.ts';

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
