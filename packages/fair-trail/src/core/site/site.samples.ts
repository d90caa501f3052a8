import * as fc from 'fast-check';
import type { SiteDefinition } from './definition.ts';

/** A small site like the ones that people write. */
export const marram = {
  name: 'Marram Point',
  origin: 'https://marram.example',
  home: 'today',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      entries: [{ id: 'lantern-room', label: 'Lantern Room', href: '/hides/lantern-room' }],
    },
    {
      id: 'species',
      label: 'Species',
      href: '/species',
      aliases: ['/birds'],
      entries: [{ id: 'species-page', label: '{slug}', href: '/species/:slug', records: 'species' }],
    },
    {
      id: 'log',
      label: 'Ringing log',
      href: '/log',
      audience: ['ringer'],
      entries: [{ id: 'sessions', label: 'Sessions', href: '/log/sessions' }],
    },
    {
      id: 'practical',
      label: 'Practical',
      entries: [
        { id: 'visit', label: 'Visit', href: '/visit' },
        { id: 'book', label: 'Book', href: '/visit/book' },
      ],
    },
    { id: 'tide-office', label: 'Tide office', href: 'https://tides.example/', opens: 'new-tab' },
  ],
  menus: {
    main: ['today', 'hides', { entry: 'species', depth: 2 }, 'log', 'tide-office'],
    deep: [{ entry: 'hides', depth: 2 }, { entry: 'log', depth: 2 }, 'practical'],
    flat: ['species', 'species-page', 'sessions'],
    account: [{ action: 'sign-out', label: 'Sign out', icon: 'door', audience: ['ringer'] }],
    grouped: [{ label: 'Watch', entries: ['hides', 'today'] }, { label: 'Ring', entries: ['log'] }, 'visit'],
  },
} as const satisfies SiteDefinition;

/** One step of a random address: few words, so that they meet; a param, or at the end a wildcard. */
const step = fc.constantFrom('a', 'b', 'a b', 'é', ':x', ':y.html');

const pathSteps = fc.tuple(fc.array(step, { maxLength: 4 }), fc.boolean()).map(([steps, wild]) => {
  // A name may stand once in a path, so each param is named by its place.
  const named = steps.map((text, index) => text.replace(/^:[xy]/u, `:p${index}`));
  return `/${(wild ? [...named, '*'] : named).join('/')}`;
});

/** Equal for paths that match the same addresses. Written apart from the library's own, so that it can find it wrong. */
const shape = (href: string) => href.replace(/:p\d/gu, ':');

/** A random site: entries with addresses of their own, each below another or at the top, and a menu of some. */
export const anySite: fc.Arbitrary<SiteDefinition> = fc
  .record({
    hrefs: fc.uniqueArray(pathSteps, { minLength: 1, maxLength: 14, selector: shape }),
    parents: fc.array(fc.nat({ max: 20 }), { minLength: 14, maxLength: 14 }),
    listed: fc.array(fc.tuple(fc.nat({ max: 13 }), fc.integer({ min: 1, max: 3 })), { maxLength: 8 }),
  })
  .map(({ hrefs, parents, listed }) => {
    interface Draft {
      id: string;
      label: string;
      href: string;
      entries: Draft[];
    }
    const drafts: Draft[] = hrefs.map((href, index) => ({ id: `e${index}`, label: `L${index}`, href, entries: [] }));
    const top: Draft[] = [];
    drafts.forEach((draft, index) => (drafts.slice(0, index)[parents[index] ?? 0]?.entries ?? top).push(draft));
    const plain = drafts.filter(({ href }) => !href.includes(':'));
    const menu = listed.flatMap(([index, depth]) => {
      const entry = plain[index]?.id;
      return entry === undefined ? [] : [{ entry, depth }];
    });
    return { name: 'Random', entries: top, menus: { main: menu } };
  });

/** A random address near the random sites, with the trimmings that should not matter. */
export const anyAddress: fc.Arbitrary<string> = fc
  .tuple(
    fc.array(fc.constantFrom('a', 'b', 'a%20b', '%C3%A9', '%61', 'c', 'x.html', '', '%'), { maxLength: 6 }),
    fc.constantFrom('', '/', '?q=1', '#h', '/?q=1#h'),
  )
  // A second slash at the start would begin the name of a host.
  .map(([steps, trimmings]) => `/${steps.join('/')}${trimmings}`.replace(/^\/+/u, '/'));
