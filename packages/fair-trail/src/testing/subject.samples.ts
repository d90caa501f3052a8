import type { SiteDefinition } from '../core/site/definition.ts';

/** A page whose navigation no one made with this library: what drivers, contracts and walk are tried on. */

const pages: Readonly<Record<string, readonly [title: string, crumbs: readonly string[]]>> = {
  '/': ['Today', []],
  '/hides': ['Hides', ['/']],
  '/hides/reedbed': ['Reedbed Hide', ['/', '/hides']],
  '/hides/lantern': ['Lantern Room', ['/', '/hides']],
  '/tides': ['Tides', ['/']],
  '/visit': ['Visit', ['/']],
};

/** What a server sends, or what is put into the body of a page that is there. */
export const subjectBody = `
<header>
  <button type="button" class="menu-button" aria-expanded="false" aria-controls="pages">Menu</button>
  <nav aria-label="Main" id="pages">
    <ul>
      <li><a href="/">Today</a></li>
      <li><a href="/hides">Hides</a>
        <button type="button" aria-expanded="false" aria-controls="hides" aria-label="More in Hides">▾</button>
        <ul id="hides" hidden>
          <li><a href="/hides/reedbed">Reedbed Hide</a></li>
          <li><a href="/hides/lantern">Lantern Room</a></li>
        </ul>
      </li>
      <li><a href="/tides">Tides</a></li>
      <li><a href="/visit">Visit</a></li>
    </ul>
  </nav>
</header>
<nav aria-label="Breadcrumbs"><ol id="crumbs"></ol></nav>
<main><h1 tabindex="-1">Today</h1><p>The point today.</p></main>
<footer><nav aria-label="Footer"><a href="/visit">Visit</a> <a href="/tides">Tides</a> <a href="/hides">Hides</a></nav></footer>`;

export const subjectStyle = `
  body { margin: 0; font: 16px/1.5 sans-serif }
  header { padding: 8px } header ul { list-style: none; margin: 0; padding: 0 }
  #pages > ul { display: flex; flex-wrap: wrap; gap: 16px }
  #pages > ul ul { position: absolute; background: white; border: 1px solid; padding: 8px }
  .menu-button { display: none; font: inherit; padding: 8px }
  a, button { padding: 4px }
  @media (max-width: 600px) {
    .menu-button { display: block }
    .menu-button:not([aria-expanded="true"]) + nav { display: none }
    #pages > ul { display: block } #pages > ul ul { position: static }
  }`;

/** What the page does: it runs the same in a browser, in a page of a test, and in a simulated document. */
export const subjectScript = `
  const pages = ${JSON.stringify(pages)};
  const crumbs = document.getElementById('crumbs');
  const buttons = [...document.querySelectorAll('[aria-controls]')];
  const panelOf = (button) => document.getElementById(button.getAttribute('aria-controls'));
  const setOpen = (button, open) => {
    button.setAttribute('aria-expanded', String(open));
    if (!button.matches('.menu-button')) panelOf(button).hidden = !open;
  };
  const draw = (focus) => {
    const [title, above] = pages[location.pathname] ?? ['Page not found', ['/']];
    document.title = title + ' · Marram';
    document.querySelector('h1').textContent = title;
    const section = above.at(-1) === '/' ? null : above.at(-1);
    for (const link of document.querySelectorAll('nav:not([aria-label="Breadcrumbs"]) a')) {
      const path = link.getAttribute('href');
      if (path === location.pathname) link.setAttribute('aria-current', 'page');
      else if (path === section) link.setAttribute('aria-current', 'true');
      else link.removeAttribute('aria-current');
    }
    crumbs.replaceChildren();
    for (const path of [...above, null]) {
      const step = document.createElement('li');
      if (path !== null) {
        const link = document.createElement('a');
        link.href = path;
        link.textContent = pages[path][0];
        step.append(link);
      } else if (above.length > 0) {
        step.textContent = title;
        step.setAttribute('aria-current', 'page');
      } else continue;
      crumbs.append(step);
    }
    if (focus) document.querySelector('h1').focus();
  };
  const onClick = (event) => {
    const button = event.target.closest('[aria-controls]');
    if (button) setOpen(button, button.getAttribute('aria-expanded') !== 'true');
    const link = event.target.closest('a[href]');
    if (!link || event.button !== 0 || event.metaKey || event.ctrlKey) return;
    event.preventDefault();
    history.pushState(null, '', link.href);
    for (const other of buttons) setOpen(other, false);
    draw(true);
  };
  const onKey = (event) => {
    if (event.key !== 'Escape') return;
    const open = buttons.filter((button) => button.getAttribute('aria-expanded') === 'true').at(-1);
    if (!open) return;
    setOpen(open, false);
    open.focus();
  };
  const onBack = () => draw(true);
  document.addEventListener('click', onClick);
  document.addEventListener('keydown', onKey);
  window.addEventListener('popstate', onBack);
  window.stopSubject = () => {
    document.removeEventListener('click', onClick);
    document.removeEventListener('keydown', onKey);
    window.removeEventListener('popstate', onBack);
  };
  draw(false);`;

/** The site file of the subject. */
export const subjectSite: SiteDefinition = {
  name: 'Marram',
  home: 'today',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      entries: [
        { id: 'reedbed', label: 'Reedbed Hide', href: '/hides/reedbed', movedFrom: ['/reedbed'] },
        { id: 'lantern', label: 'Lantern Room', href: '/hides/lantern' },
      ],
    },
    { id: 'tides', label: 'Tides', href: '/tides' },
    { id: 'visit', label: 'Visit', href: '/visit' },
  ],
  menus: {
    main: ['today', { entry: 'hides', depth: 2 }, 'tides', 'visit'],
    footer: ['visit', 'tides', 'hides'],
  },
};

/** The whole document, for a server or a simulated window. */
export function subjectDocument({ script = subjectScript, body = subjectBody, style = subjectStyle } = {}): string {
  return (
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
    `<title>Marram</title><style>${style}</style></head><body>${body}<script>{${script}}</script></body></html>`
  );
}
