import type { SiteDefinition } from 'fair-trail';

/** The site of the live examples: an invented bird observatory. */
export const marram: SiteDefinition = {
  name: 'Marram Point',
  entries: [
    { id: 'today', label: 'Today', href: '/', icon: 'sun' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      icon: 'hide',
      entries: [
        { id: 'reedbed', label: 'Reedbed Hide', href: '/hides/reedbed', summary: 'Bitterns, if you wait' },
        { id: 'lantern', label: 'Lantern Room', href: '/hides/lantern-room', summary: '31 metres up' },
        { id: 'saltmarsh', label: 'Saltmarsh Hide', href: '/hides/saltmarsh', summary: 'Best at high tide' },
      ],
    },
    { id: 'species', label: 'Species', href: '/species', icon: 'bird' },
    {
      id: 'log',
      label: 'Ringing log',
      href: '/log',
      icon: 'ring',
      entries: [
        {
          id: 'sessions',
          label: 'Sessions',
          href: '/log/sessions',
          entries: [
            { id: 'autumn', label: 'Autumn', href: '/log/sessions/autumn' },
            { id: 'spring', label: 'Spring', href: '/log/sessions/spring' },
          ],
        },
        { id: 'recoveries', label: 'Recoveries', href: '/log/recoveries' },
      ],
    },
    { id: 'tides', label: 'Tides', href: '/tides', icon: 'wave' },
    { id: 'visit', label: 'Visit', href: '/visit', icon: 'map' },
  ],
  menus: {
    main: ['today', { entry: 'hides', depth: 2 }, 'species', 'log', 'tides', 'visit'],
    desk: [
      { label: 'Watching', entries: ['today', { entry: 'hides', depth: 2 }, 'species'] },
      { label: 'Ringing', entries: [{ entry: 'log', depth: 3 }] },
      { label: 'Coming', entries: ['tides', 'visit'] },
    ],
    footer: [
      { label: 'Watch', entries: ['hides', 'species'] },
      { label: 'Come', entries: ['tides', 'visit'] },
    ],
  },
};
