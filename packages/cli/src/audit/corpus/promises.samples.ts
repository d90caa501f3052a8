import { siteStyles } from './styles.samples.ts';
import { content, items, one, samplePage, type SiteTwins } from './site-twins.samples.ts';

/** Tabs between which arrow keys move focus alone; the script is what the twins differ in. */
const tabs = (keys: string) =>
  one(`<main><h1>Tides</h1><div role="tablist" aria-label="Days"><div role="tab" id="a" tabindex="0" aria-selected="true" aria-controls="p">Today</div><div role="tab" id="b" tabindex="-1" aria-selected="false" aria-controls="q">Tomorrow</div></div>
    <div role="tabpanel" id="p" aria-labelledby="a">High at 04:12.</div><div role="tabpanel" id="q" aria-labelledby="b" hidden>High at 05:02.</div></main><script>
    const t = [a, b], panels = [p, q]; const choose = (n) => t.forEach((tab, i) => { tab.setAttribute('aria-selected', i === n); panels[i].hidden = i !== n; });
    t.forEach((tab, i) => { tab.onclick = () => choose(i); tab.onkeydown = (event) => { if (event.key.startsWith('Arrow')) { const to = t[1 - i]; tab.tabIndex = -1; to.tabIndex = 0; to.focus(); } ${keys} }; });</script>`);

/** A menu of commands behind a button. */
const menuButton = (opened: string, keys: string) =>
  one(`<header><button id="b" aria-haspopup="menu" aria-expanded="false" aria-controls="m">View</button><div id="m" role="menu" aria-label="View" hidden><button role="menuitem" tabindex="-1">List</button><button role="menuitem" tabindex="-1">Map</button></div></header><nav><ul>${items}</ul></nav>${content}<script>
    const set = (open) => { m.hidden = !open; b.setAttribute('aria-expanded', open); }; const all = [...m.children];
    b.onclick = () => { set(m.hidden); if (!m.hidden) { ${opened} } }; m.onkeydown = (event) => { const at = all.indexOf(document.activeElement);
      if (event.key === 'ArrowDown') all[(at + 1) % 2].focus(); if (event.key === 'ArrowUp') all[(at + 1) % 2].focus(); if (event.key === 'Home') all[0].focus(); if (event.key === 'End') all[1].focus(); ${keys} };</script>`);
const first = 'all[0].focus();';
const escape = "if (event.key === 'Escape') { set(false); b.focus(); }";

const app = siteStyles.find(({ name }) => name === 'an app with history routes');
const appWith = (script: string) => app?.site({ script }) ?? {};

const menuOf = (path: string) =>
  [
    ['/', 'Today'],
    ['/hides', 'Hides'],
    ['/tides', 'Tides'],
    ['/visits', 'Visits'],
    ['/shop', 'Shop'],
  ]
    .map(([to, name]) => `<li><a href="${to ?? ''}"${to === path ? ' aria-current="page"' : ''}>${name ?? ''}</a></li>`)
    .join('');
const site = (lacking: string) =>
  Object.fromEntries(
    ['/', '/hides', '/tides', '/visits', '/shop'].map((path) => {
      const menu = menuOf(path).replace(path === lacking ? '<li><a href="/shop">Shop</a></li>' : '', '');
      return [path, samplePage(`<nav><ul>${menu}</ul></nav>${content}`, '', `${path} · Marram Point`)];
    }),
  );

export const promiseTwins: readonly SiteTwins[] = [
  {
    rule: 'tab-not-by-key',
    style: 'tabs of divs',
    broken: tabs(''),
    sound: tabs("if (event.key === 'Enter' || event.key === ' ') choose(i);"),
  },
  {
    rule: 'menu-button-without-focus',
    style: 'a menu that is shown alone',
    broken: menuButton('', escape),
    sound: menuButton(first, escape),
  },
  {
    rule: 'menu-ignores-escape',
    style: 'a menu without a way out',
    broken: menuButton(first, ''),
    sound: menuButton(first, escape),
  },
  {
    rule: 'panel-stays-open',
    style: 'an app that forgets its menu',
    widths: [400],
    broken: appWith(
      "const set = part.set; part.set = (isOpen) => { if (isOpen || !event || event.type !== 'click' || !event.target.closest('nav')) set(isOpen); };",
    ),
    sound: appWith(''),
  },
  {
    rule: 'state-wrong-after-back',
    style: 'a state that Back changes alone',
    widths: [1280],
    broken: appWith(
      "addEventListener('popstate', () => setTimeout(() => { document.querySelector('main').insertAdjacentHTML('afterbegin', '<button aria-expanded=\"true\" aria-controls=\"gone\">Notes</button><div id=\"gone\" hidden><p>None</p></div>'); }, 20));",
    ),
    sound: appWith(''),
  },
  {
    rule: 'menu-lacks-link',
    style: 'one page with a shorter menu',
    pages: 5,
    broken: site('/tides'),
    sound: site(''),
  },
];
