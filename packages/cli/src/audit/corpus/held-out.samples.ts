import type { SampleSite } from './site-twins.samples.ts';

/**
 * Sites that were written after the sentences of the standards, in styles of their own, and not looked at while rules were
 * written: what is found of them says how far the rules go beyond the pages that they were tried on.
 */
export interface HeldOutCase {
  /** The rule that should report it, and others that say the same. */
  readonly rule: string;
  readonly accept?: readonly string[];
  readonly style: string;
  readonly broken: SampleSite;
  readonly sound: SampleSite;
  readonly widths?: readonly number[];
  readonly pages?: number;
}

interface Page {
  readonly body: string;
  readonly css?: string;
  readonly js?: string;
  readonly title?: string;
  readonly html?: string;
  readonly head?: string;
}

const look = `:root { --ink: #20261f; --green: #1e5631 } body { margin: 0; font: 100%/1.6 Georgia, serif; color: var(--ink); background: #fffef9 }
  nav a, nav button, header button, summary, [role=menuitem], [role=tab], [role=treeitem] { display: inline-block; padding: .5em .8em; color: var(--green); font: inherit; line-height: 1.5; background: transparent; border: 1px solid transparent }
  ul { list-style: none; padding: 0; margin: 0 } a { color: var(--green) } [aria-current] { border-bottom: 3px solid var(--green) } article { padding: 1em; max-width: 38em }
  .out { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap }`;

function page({
  body,
  css = '',
  js = '',
  title = 'Log of the week – Marram Point',
  html = 'lang="en"',
  head = '',
}: Page): string {
  return `<!DOCTYPE html><html ${html}><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${title}</title>${head}<style>${look}${css}</style></head><body>${body}${js === '' ? '' : `<script>${js}</script>`}</body></html>`;
}

const text =
  '<p>A north-westerly brought forty skuas past the point before noon; the ringers closed the nets at two.</p>';
const article = (heading = 'Log of the week') =>
  `<main><article><h1>${heading}</h1>${text.repeat(24)}</article></main>`;
const all = [
  ['/', 'Log'],
  ['/ringing', 'Ringing'],
  ['/tides', 'Tides'],
  ['/join', 'Join'],
] as const;
const row = (here = '/', tag = 'li') =>
  all
    .map(
      ([path, name]) => `<${tag}><a href="${path}"${path === here ? ' aria-current="page"' : ''}>${name}</a></${tag}>`,
    )
    .join('');
const site = (make: (path: string, name: string) => string): SampleSite =>
  Object.fromEntries(all.map(([path, name]) => [path, make(path, name)]));
const same = (parts: Page): SampleSite =>
  site((path, name) =>
    page({
      ...parts,
      title: `${name} – Marram Point`,
      body: parts.body.replaceAll('%menu%', `<ul>${row(path)}</ul>`).replaceAll('%article%', article(name)),
    }),
  );

/** A drawer over the page, with a button within that closes it. */
const drawer = (end: string, begin = '') => ({
  body: `<header><button id="o" aria-expanded="false" aria-controls="d">Menu</button></header><div id="d" hidden><nav aria-label="Site"><button id="x">Close</button>%menu%</nav></div>%article%`,
  css: '#d { position: fixed; inset: 0 30% 0 0; background: #fffef9; border-right: 1px solid #555; overflow: auto; overscroll-behavior: contain }',
  js: `const o = document.getElementById('o'), d = document.getElementById('d'), x = document.getElementById('x'), m = document.querySelector('main'), h = document.querySelector('header');
    function begin() { d.hidden = false; o.setAttribute('aria-expanded', 'true'); m.inert = true; document.documentElement.style.overflow = 'hidden'; x.focus(); ${begin} }
    function end(by) { d.hidden = true; o.setAttribute('aria-expanded', 'false'); ${end} o.focus(); }
    o.onclick = begin; x.onclick = () => end('button'); addEventListener('keydown', (e) => { if (e.key === 'Escape' && !d.hidden) end('escape'); });`,
});
const undo = "m.inert = false; document.documentElement.style.overflow = '';";

/** An app in one document. */
const app = (
  more: string,
  before = '',
) => `${before} const names = { '/': 'Log', '/ringing': 'Ringing', '/tides': 'Tides', '/join': 'Join' }; const m = document.querySelector('main'), links = [...document.querySelectorAll('nav a')];
  function draw(first) { const p = location.pathname; document.title = names[p] + ' – Marram Point'; m.innerHTML = '<article><h1 tabindex="-1">' + names[p] + '</h1>${text.repeat(24)}</article>';
    for (const a of links) a.toggleAttribute('aria-current', a.pathname === p), a.pathname === p && a.setAttribute('aria-current', 'page'); if (!first) m.querySelector('h1').focus({ preventScroll: true }); }
  document.addEventListener('click', (e) => { const a = e.target.closest('nav a'); if (!a) return; e.preventDefault(); history.pushState({}, '', a.href); draw(); scrollTo(0, 0); }); onpopstate = () => draw(); draw(true); ${more}`;
const appBody = '<nav aria-label="Site">%menu%</nav><main></main>';

const wide = [1280] as const;
const small = [360] as const;
const both = (broken: Page, sound: Page) => ({ broken: same(broken), sound: same(sound) });

const menubar = (keys: string) => ({
  body: `<div role="menubar" aria-label="Log tools"><span role="menuitem" tabindex="0">New entry</span><span role="menuitem" tabindex="-1">Print</span><span role="menuitem" tabindex="-1">Share</span></div><nav aria-label="Site">%menu%</nav>%article%<p id="say" role="status"></p>`,
  js: `const items = [...document.querySelectorAll('[role=menuitem]')], say = document.getElementById('say'); for (const i of items) { i.onclick = () => { say.textContent = i.textContent + ' chosen at ' + Date.now(); }; i.onkeydown = (e) => { const at = items.indexOf(i); const go = (n) => { const t = items[(n + items.length) % items.length]; i.tabIndex = -1; t.tabIndex = 0; t.focus(); e.preventDefault(); }; ${keys} }; }`,
});
const arrows = "if (e.key === 'ArrowRight') go(at + 1); if (e.key === 'ArrowLeft') go(at - 1);";
const ends = "if (e.key === 'Home') go(0); if (e.key === 'End') go(items.length - 1);";
const enter = "if (e.key === 'Enter' || e.key === ' ') { e.preventDefault(); i.click(); }";

const tree = (keys: string) => ({
  body: `<nav aria-label="Archive"><ul role="tree" aria-label="Archive"><li role="treeitem" tabindex="0" aria-expanded="false" id="y"><span>2025</span><ul role="group" hidden><li role="treeitem" tabindex="-1">Spring</li><li role="treeitem" tabindex="-1">Autumn</li></ul></li><li role="treeitem" tabindex="-1">2024</li><li role="treeitem" tabindex="-1">2023</li></ul></nav><nav aria-label="Site">%menu%</nav>%article%`,
  js: `const all = () => [...document.querySelectorAll('[role=treeitem]')].filter((t) => t.offsetParent); const flip = (t, open) => { const g = t.querySelector('ul'); if (!g) return; g.hidden = !open; t.setAttribute('aria-expanded', open); };
    document.getElementById('y').onclick = (e) => flip(y, y.getAttribute('aria-expanded') === 'false'); document.querySelector('[role=tree]').onkeydown = (e) => { const t = e.target.closest('[role=treeitem]'), list = all(), at = list.indexOf(t), go = (n) => { const o = list[Math.max(0, Math.min(list.length - 1, n))]; t.tabIndex = -1; o.tabIndex = 0; o.focus(); e.preventDefault(); };
      if (e.key === 'ArrowDown') go(at + 1); if (e.key === 'ArrowUp') go(at - 1); if (e.key === 'Home') go(0); if (e.key === 'End') go(list.length - 1); ${keys} };`,
});
const sides = "if (e.key === 'ArrowRight') flip(t, true); if (e.key === 'ArrowLeft') flip(t, false);";

const tabs = (js: string, panels = ['p1', 'p2']) => ({
  body: `<nav aria-label="Site">%menu%</nav><main><h1>Tides</h1><div role="tablist" aria-label="Days"><button role="tab" id="t1" aria-selected="true" aria-controls="${panels[0] ?? ''}">Today</button><button role="tab" id="t2" aria-selected="false" aria-controls="${panels[1] ?? ''}" tabindex="-1">Tomorrow</button></div><div role="tabpanel" id="p1" aria-labelledby="t1">High at 04:12.</div><div role="tabpanel" id="p2" aria-labelledby="t2" hidden>High at 05:02.</div></main>`,
  js: `const t = [t1, t2], p = [p1, p2]; function choose(n, focus) { t.forEach((b, i) => { b.setAttribute('aria-selected', i === n); b.tabIndex = i === n ? 0 : -1; p[i].hidden = i !== n; }); if (focus) t[n].focus(); } t.forEach((b, i) => { b.onclick = () => choose(i); b.onkeydown = (e) => { if (e.key === 'ArrowRight' || e.key === 'ArrowLeft') ARROW; }; }); ${js}`.replace(
    'ARROW',
    'choose(1 - i, true)',
  ),
});

export const heldOut: readonly HeldOutCase[] = [
  {
    rule: 'page-left-inert',
    style: 'a drawer whose own button leaves the page inert',
    ...both(
      drawer(`if (by !== 'button') { ${undo} } else document.documentElement.style.overflow = '';`),
      drawer(undo),
    ),
    widths: small,
  },
  {
    rule: 'scroll-stays-locked',
    style: 'a drawer that Escape closes without giving back the scrolling',
    ...both(drawer(`m.inert = false; if (by === 'button') { ${undo} }`), drawer(undo)),
    widths: small,
  },
  {
    rule: 'focus-lost-on-closing',
    style: 'a drawer that does not give focus back',
    ...both({ ...drawer(undo), js: drawer(undo).js.replace('o.focus(); }', '}') }, drawer(undo)),
    widths: small,
  },
  {
    rule: 'toggle-name-stale',
    style: 'a name that goes on saying Close',
    accept: ['toggle-name-wrong'],
    ...both(
      drawer(undo, "o.setAttribute('aria-label', 'Close menu');"),
      drawer(`${undo} o.removeAttribute('aria-label');`, "o.setAttribute('aria-label', 'Close menu');"),
    ),
    widths: small,
  },
  {
    rule: 'dialog-without-name',
    style: 'a dialog element without a heading',
    ...both(
      {
        body: '<header><button onclick="q.showModal()" aria-haspopup="dialog">Pages</button></header><dialog id="q"><form method="dialog"><button>Close</button></form><nav aria-label="Site">%menu%</nav></dialog>%article%',
        css: 'html:has(dialog[open]) { overflow: hidden }',
      },
      {
        body: '<header><button onclick="q.showModal()" aria-haspopup="dialog">Pages</button></header><dialog id="q" aria-labelledby="qh"><h2 id="qh">Pages</h2><form method="dialog"><button>Close</button></form><nav aria-label="Site">%menu%</nav></dialog>%article%',
        css: 'html:has(dialog[open]) { overflow: hidden }',
      },
    ),
  },
  {
    rule: 'dialog-without-focus',
    style: 'a modal of divs that focus does not come into',
    accept: ['overlay-leaves-page'],
    ...both(
      {
        ...drawer(undo),
        body: drawer(undo).body.replace(
          'id="d" hidden',
          'id="d" role="dialog" aria-modal="true" aria-label="Menu" hidden',
        ),
        js: drawer(undo).js.replace('x.focus();', ''),
      },
      {
        ...drawer(undo),
        body: drawer(undo).body.replace(
          'id="d" hidden',
          'id="d" role="dialog" aria-modal="true" aria-label="Menu" hidden',
        ),
        js: drawer(`${undo} h.inert = false;`, 'h.inert = true;').js,
      },
    ),
    widths: small,
  },
  {
    rule: 'state-after-resizing',
    style: 'a list that is opened by width, with a state that is not announced',
    accept: ['toggle-announces-closed', 'toggle-state-wrong'],
    ...both(
      {
        body: '<nav aria-label="Site"><button id="b" aria-expanded="true" aria-controls="u">Pages</button><div id="u">%menu%</div></nav>%article%',
        js: `const b = document.getElementById('b'), u = document.getElementById('u'); let open = innerWidth > 700; const draw = () => { u.hidden = !open; }; b.setAttribute('aria-expanded', open); draw(); b.onclick = () => { open = !open; b.setAttribute('aria-expanded', open); draw(); }; matchMedia('(min-width: 700px)').onchange = (e) => { open = e.matches; draw(); };`,
      },
      {
        body: '<nav aria-label="Site"><button id="b" aria-expanded="true" aria-controls="u">Pages</button><div id="u">%menu%</div></nav>%article%',
        js: `const b = document.getElementById('b'), u = document.getElementById('u'); let open = innerWidth > 700; const draw = () => { u.hidden = !open; b.setAttribute('aria-expanded', open); }; draw(); b.onclick = () => { open = !open; draw(); }; matchMedia('(min-width: 700px)').onchange = (e) => { open = e.matches; draw(); };`,
      },
    ),
    widths: [360, 1280],
  },
  {
    rule: 'mark-wrong-after-back',
    style: 'an app that forgets the mark on Back',
    ...both(
      {
        body: appBody,
        js: app('').replace(
          'onpopstate = () => draw();',
          "onpopstate = () => { const keep = links.map((a) => a.getAttribute('aria-current')); draw(); links.forEach((a, i) => keep[i] ? a.setAttribute('aria-current', keep[i]) : a.removeAttribute('aria-current')); };",
        ),
      },
      { body: appBody, js: app('') },
    ),
    widths: wide,
  },
  {
    rule: 'title-wrong-after-back',
    style: 'an app that forgets the title on Back',
    ...both(
      {
        body: appBody,
        js: app('').replace(
          'onpopstate = () => draw();',
          'onpopstate = () => { const t = document.title; draw(); document.title = t; };',
        ),
      },
      { body: appBody, js: app('') },
    ),
    widths: wide,
  },
  {
    rule: 'scroll-stays',
    style: 'an app that does not scroll up',
    ...both(
      {
        body: appBody,
        js: app('').replace('scrollTo(0, 0);', ''),
        css: 'nav { position: sticky; top: 0; background: #fffef9 }',
      },
      { body: appBody, js: app(''), css: 'nav { position: sticky; top: 0; background: #fffef9 }' },
    ),
    widths: wide,
  },
  {
    rule: 'role-without-arrows',
    style: 'a menubar of spans',
    ...both(menubar(enter), menubar(arrows + ends + enter)),
    widths: wide,
  },
  {
    rule: 'home-and-end-missing',
    style: 'a menubar with arrows alone',
    ...both(menubar(arrows + enter), menubar(arrows + ends + enter)),
    widths: wide,
  },
  {
    rule: 'control-mouse-only',
    style: 'menu items that Enter does not press',
    ...both(menubar(arrows + ends), menubar(arrows + ends + enter)),
    widths: wide,
  },
  {
    rule: 'tree-keys-missing',
    style: 'a tree that opens by mouse',
    accept: ['toggle-mouse-only'],
    ...both(tree(''), tree(sides)),
    widths: wide,
  },
  {
    rule: 'several-tab-stops',
    style: 'a tree of stops',
    ...both({ ...tree(sides), body: tree(sides).body.replaceAll('tabindex="-1"', 'tabindex="0"') }, tree(sides)),
    widths: wide,
  },
  { rule: 'tab-shows-other', style: 'panels crossed', ...both(tabs('', ['p2', 'p1']), tabs('')), widths: wide },
  {
    rule: 'tabs-without-arrows',
    style: 'tabs for the mouse',
    ...both(
      { ...tabs(''), js: tabs('').js.replace("e.key === 'ArrowRight' || e.key === 'ArrowLeft'", 'false') },
      tabs(''),
    ),
    widths: wide,
  },
  {
    rule: 'acts-on-press',
    style: 'a toggle that opens on mousedown',
    ...both(
      {
        body: '<header><button id="b" aria-expanded="false" aria-controls="n">Menu</button></header><nav id="n" hidden aria-label="Site">%menu%</nav>%article%',
        js: `b.onmousedown = () => { n.hidden = !n.hidden; b.setAttribute('aria-expanded', !n.hidden); }; b.onkeydown = (e) => { if (e.key === 'Enter' || e.key === ' ') b.onmousedown(); };`,
      },
      {
        body: '<header><button id="b" aria-expanded="false" aria-controls="n">Menu</button></header><nav id="n" hidden aria-label="Site">%menu%</nav>%article%',
        js: `b.onclick = () => { n.hidden = !n.hidden; b.setAttribute('aria-expanded', !n.hidden); };`,
      },
    ),
    widths: small,
  },
  {
    rule: 'dragging-only',
    style: 'a strip that is pulled',
    ...both(
      {
        body: `<nav aria-label="Months"><div id="s"><ul style="display:flex;width:1800px">${Array.from({ length: 12 }, (_, i) => `<li style="width:150px"><a href="/?m=${i}">Month ${i + 1}</a></li>`).join('')}</ul></div></nav>%article%`,
        css: '#s { overflow: hidden; width: 100% }',
        js: `let from = null; const s = document.getElementById('s'); s.addEventListener('pointerdown', (e) => { from = e.clientX + s.scrollLeft; }); s.addEventListener('pointermove', (e) => { if (from !== null) s.scrollLeft = from - e.clientX; }); addEventListener('pointerup', () => { from = null; });`,
      },
      {
        body: `<nav aria-label="Months"><div id="s"><ul style="display:flex;width:1800px">${Array.from({ length: 12 }, (_, i) => `<li style="width:150px"><a href="/?m=${i}">Month ${i + 1}</a></li>`).join('')}</ul></div><button id="r" aria-label="Later months">→</button></nav>%article%`,
        css: '#s { overflow: hidden; width: 100% }',
        js: `const s = document.getElementById('s'); document.getElementById('r').onclick = () => { s.scrollLeft += 300; };`,
      },
    ),
    widths: [700],
  },
  {
    rule: 'focus-lost-on-press',
    style: 'a button that draws itself again',
    ...both(
      {
        body: '<nav aria-label="Site"><span id="w"></span><div id="n" hidden>%menu%</div></nav>%article%',
        js: `let open = false; const w = document.getElementById('w'), n = document.getElementById('n'); const draw = () => { w.innerHTML = '<button aria-expanded="' + open + '" aria-controls="n">Pages</button>'; n.hidden = !open; w.firstChild.onclick = () => { open = !open; draw(); }; }; draw();`,
      },
      {
        body: '<nav aria-label="Site"><span id="w"></span><div id="n" hidden>%menu%</div></nav>%article%',
        js: `let open = false; const w = document.getElementById('w'), n = document.getElementById('n'); w.innerHTML = '<button aria-controls="n">Pages</button>'; const draw = () => { w.firstChild.setAttribute('aria-expanded', open); n.hidden = !open; }; w.firstChild.onclick = () => { open = !open; draw(); }; draw();`,
      },
    ),
    widths: wide,
  },
  {
    rule: 'focus-lost-on-typing',
    style: 'a filter that draws its field again',
    ...both(
      {
        body: '<nav aria-label="Site"><div id="w"></div></nav>%article%',
        js: `const names = ['Log', 'Ringing', 'Tides', 'Join']; let q = ''; const w = document.getElementById('w'); const draw = () => { const l = names.filter((n) => n.toLowerCase().includes(q)); w.innerHTML = '<label>Find <input></label><p role="status">' + l.length + ' pages</p><ul>' + l.map((n) => '<li><a href="/?' + n + '">' + n + '</a></li>').join('') + '</ul>'; w.querySelector('input').value = q; w.querySelector('input').oninput = (e) => { q = e.target.value; draw(); }; }; draw();`,
      },
      {
        body: '<nav aria-label="Site"><div id="w"><label>Find <input></label><p role="status"></p><ul></ul></div></nav>%article%',
        js: `const names = ['Log', 'Ringing', 'Tides', 'Join']; const w = document.getElementById('w'); const draw = (q) => { const l = names.filter((n) => n.toLowerCase().includes(q)); w.querySelector('p').textContent = l.length + ' pages'; w.querySelector('ul').innerHTML = l.map((n) => '<li><a href="/?' + n + '">' + n + '</a></li>').join(''); }; w.querySelector('input').oninput = (e) => draw(e.target.value); draw('');`,
      },
    ),
    widths: wide,
  },
  {
    rule: 'results-unannounced',
    style: 'a filter that says nothing',
    ...both(
      {
        body: `<nav aria-label="Site"><label>Find <input id="f"></label><ul>${row()}</ul></nav>%article%`,
        js: `f.oninput = () => { for (const li of document.querySelectorAll('nav li')) li.hidden = !li.textContent.toLowerCase().includes(f.value); };`,
      },
      {
        body: `<nav aria-label="Site"><label>Find <input id="f"></label><p role="status" id="c"></p><ul>${row()}</ul></nav>%article%`,
        js: `f.oninput = () => { for (const li of document.querySelectorAll('nav li')) li.hidden = !li.textContent.toLowerCase().includes(f.value); c.textContent = document.querySelectorAll('nav li:not([hidden])').length + ' pages match'; };`,
      },
    ),
    widths: wide,
  },
  {
    rule: 'visible-not-exposed',
    style: 'a footer menu that is aria-hidden',
    accept: ['focus-in-hidden'],
    ...both(
      {
        body: '<nav aria-label="Site">%menu%</nav>%article%<footer aria-hidden="true"><nav aria-label="More"><a href="/press" tabindex="-1">Press</a> <a href="/rules" tabindex="-1">Rules</a> <a href="/boat" tabindex="-1">Boat</a></nav></footer>',
      },
      {
        body: '<nav aria-label="Site">%menu%</nav>%article%<footer><nav aria-label="More"><a href="/tides?press">Press</a> <a href="/tides?rules">Rules</a> <a href="/tides?boat">Boat</a></nav></footer>',
      },
    ),
  },
  {
    rule: 'exposed-not-visible',
    style: 'a closed list of no height whose links are out of the order',
    accept: ['focus-on-invisible'],
    ...both(
      {
        body: '<nav aria-label="Site"><button id="b" aria-expanded="false" aria-controls="n">Pages</button><div id="n">%menu%</div></nav>%article%',
        css: '#n { height: 0; overflow: hidden } #n.o { height: auto }',
        js: `const set = (o) => { n.classList.toggle('o', o); b.setAttribute('aria-expanded', o); for (const a of n.querySelectorAll('a')) a.tabIndex = o ? 0 : -1; }; set(false); b.onclick = () => set(!n.classList.contains('o'));`,
      },
      {
        body: '<nav aria-label="Site"><button id="b" aria-expanded="false" aria-controls="n">Pages</button><div id="n" inert>%menu%</div></nav>%article%',
        css: '#n { height: 0; overflow: hidden } #n.o { height: auto }',
        js: `const set = (o) => { n.classList.toggle('o', o); b.setAttribute('aria-expanded', o); n.inert = !o; }; set(false); b.onclick = () => set(!n.classList.contains('o'));`,
      },
    ),
  },
  {
    rule: 'hidden-text-marks-elsewhere',
    style: 'words for screen readers on the wrong link',
    ...both(
      {
        body: `<nav aria-label="Site"><ul>${all.map(([p, n]) => `<li><a href="${p}">${n}${p === '/tides' ? '<span class="out"> (current page)</span>' : ''}</a></li>`).join('')}</ul></nav>${article()}`,
      },
      {
        body: `<nav aria-label="Site"><ul>${all.map(([p, n]) => `<li><a href="${p}">${n}${p === '/' ? '<span class="out"> (current page)</span>' : ''}</a></li>`).join('')}</ul></nav>${article()}`,
      },
    ),
  },
  {
    rule: 'title-of-other-page',
    style: 'the title of another page',
    accept: ['titles-same'],
    pages: 4,
    broken: site((path, name) =>
      page({
        title: path === '/ringing' ? 'Tides – Marram Point' : `${name} – Marram Point`,
        body: `<nav aria-label="Site"><ul>${row(path)}</ul></nav>${article(name)}`,
      }),
    ),
    sound: same({ body: '<nav aria-label="Site">%menu%</nav>%article%' }),
    widths: wide,
  },
  {
    rule: 'landmark-order-differs',
    style: 'two menus that change places',
    pages: 4,
    widths: wide,
    broken: site((path, name) => {
      const site = `<nav aria-label="Site"><ul>${row(path)}</ul></nav>`,
        own = '<nav aria-label="Account"><a href="/tides?a">Sign in</a> <a href="/tides?b">Basket</a></nav>';
      return page({
        title: `${name} – Marram Point`,
        body: (path === '/join' ? own + site : site + own) + article(name),
      });
    }),
    sound: site((path, name) =>
      page({
        title: `${name} – Marram Point`,
        body: `<nav aria-label="Site"><ul>${row(path)}</ul></nav><nav aria-label="Account"><a href="/tides?a">Sign in</a> <a href="/tides?b">Basket</a></nav>${article(name)}`,
      }),
    ),
  },
  {
    rule: 'help-moves',
    style: 'a link to help in the head and at the foot',
    pages: 4,
    widths: wide,
    broken: site((path, name) =>
      page({
        title: `${name} – Marram Point`,
        body: `<header><nav aria-label="Site"><ul>${row(path)}</ul></nav>${path === '/tides' ? '' : '<a href="/join?help">Help</a>'}</header>${article(name)}<footer>${path === '/tides' ? '<a href="/join?help">Help</a>' : 'Marram Point'}</footer>`,
      }),
    ),
    sound: site((path, name) =>
      page({
        title: `${name} – Marram Point`,
        body: `<header><nav aria-label="Site"><ul>${row(path)}</ul></nav><a href="/join?help">Help</a></header>${article(name)}<footer>Marram Point</footer>`,
      }),
    ),
  },
  {
    rule: 'field-names-differ',
    style: 'a search with two names',
    pages: 4,
    widths: wide,
    broken: site((path, name) =>
      page({
        title: `${name} – Marram Point`,
        body: `<header><nav aria-label="Site"><ul>${row(path)}</ul></nav><form role="search" action="/tides"><input name="q" aria-label="${path === '/join' ? 'Look up a bird' : 'Search the log'}"><button>Go</button></form></header>${article(name)}`,
      }),
    ),
    sound: site((path, name) =>
      page({
        title: `${name} – Marram Point`,
        body: `<header><nav aria-label="Site"><ul>${row(path)}</ul></nav><form role="search" action="/tides"><input name="q" aria-label="Search the log"><button>Go</button></form></header>${article(name)}`,
      }),
    ),
  },
  {
    rule: 'one-link-only',
    style: 'a page that one page alone links to',
    pages: 9,
    widths: wide,
    broken: {
      ...site((path, name) =>
        page({
          title: `${name} – Marram Point`,
          body: `<nav aria-label="Site"><ul>${row(path)}</ul></nav>${article(name)}${path === '/tides' ? '<p>See <a href="/causeway">the causeway</a>.</p>' : ''}`,
        }),
      ),
      '/causeway': page({
        title: 'Causeway – Marram Point',
        body: `<nav aria-label="Site"><ul>${row('/causeway')}</ul></nav>${article('Causeway')}`,
      }),
    },
    sound: {
      ...site((path, name) =>
        page({
          title: `${name} – Marram Point`,
          body: `<nav aria-label="Site"><ul>${row(path)}</ul></nav><form role="search" action="/tides"><input name="q" aria-label="Search"><button>Go</button></form>${article(name)}${path === '/tides' ? '<p>See <a href="/causeway">the causeway</a>.</p>' : ''}`,
        }),
      ),
      '/causeway': page({
        title: 'Causeway – Marram Point',
        body: `<nav aria-label="Site"><ul>${row('/causeway')}</ul></nav>${article('Causeway')}`,
      }),
    },
  },
  {
    rule: 'label-in-other-language',
    style: 'a choice of languages',
    ...both(
      {
        body: '<nav aria-label="Site">%menu%</nav><nav aria-label="Language"><a href="/tides?de" hreflang="de">Deutsch</a> <a href="/tides?fr" hreflang="fr">Français</a></nav>%article%',
      },
      {
        body: '<nav aria-label="Site">%menu%</nav><nav aria-label="Language"><a href="/tides?de" hreflang="de" lang="de">Deutsch</a> <a href="/tides?fr" hreflang="fr" lang="fr">Français</a></nav>%article%',
      },
    ),
  },
  {
    rule: 'text-not-zoomed',
    style: 'a menu in vh and vw',
    ...both(
      { body: '<nav aria-label="Site">%menu%</nav>%article%', css: 'nav a { font-size: calc(2px + 1vw) }' },
      {
        body: '<nav aria-label="Site">%menu%</nav>%article%',
        css: 'nav a { font-size: clamp(1rem, .8rem + .6vw, 1.4rem) }',
      },
    ),
    widths: wide,
  },
  {
    rule: 'icon-low-contrast',
    style: 'a pale drawing of three strokes',
    ...both(
      {
        body: '<header><button aria-label="Menu" popovertarget="n"><svg width="32" height="32" viewBox="0 0 32 32" style="display:block"><path d="M4 8h24M4 16h24M4 24h24" stroke="#d8d5c8" stroke-width="3"/></svg></button><nav id="n" popover aria-label="Site">%menu%</nav></header>%article%',
      },
      {
        body: '<header><button aria-label="Menu" popovertarget="n"><svg width="32" height="32" viewBox="0 0 32 32" style="display:block"><path d="M4 8h24M4 16h24M4 24h24" stroke="#333" stroke-width="3"/></svg></button><nav id="n" popover aria-label="Site">%menu%</nav></header>%article%',
      },
    ),
    widths: small,
  },
  {
    rule: 'mark-low-contrast',
    style: 'a mark of a pale ground',
    accept: ['mark-by-color-only'],
    ...both(
      {
        body: '<nav aria-label="Site">%menu%</nav>%article%',
        css: '[aria-current] { border-bottom: 1px solid transparent; background: #f1f0e6 }',
      },
      {
        body: '<nav aria-label="Site">%menu%</nav>%article%',
        css: '[aria-current] { border-bottom: 1px solid transparent; background: var(--green); color: #fff }',
      },
    ),
    widths: wide,
  },
  {
    rule: 'field-low-contrast',
    style: 'a search field without a visible border',
    ...both(
      {
        body: '<header><nav aria-label="Site">%menu%</nav><form role="search" action="/tides"><label>Search <input name="q" class="f"></label> <button>Go</button></form></header>%article%',
        css: '.f { border: 1px solid #e4e1d2; background: #fffef9; min-height: 2rem; color: #000 }',
      },
      {
        body: '<header><nav aria-label="Site">%menu%</nav><form role="search" action="/tides"><label>Search <input name="q" class="f"></label> <button>Go</button></form></header>%article%',
        css: '.f { border: 1px solid #666; background: #fffef9; min-height: 2rem; color: #000 }',
      },
    ),
    widths: wide,
  },
  {
    rule: 'low-contrast-on-picture',
    style: 'labels over a picture',
    accept: ['low-contrast'],
    ...both(
      {
        body: '<nav aria-label="Site">%menu%</nav>%article%',
        css: "nav { background: url(\"data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='40' height='40'%3E%3Crect width='40' height='40' fill='%23779977'/%3E%3Cpath d='M0 0L40 40' stroke='%23668866'/%3E%3C/svg%3E\") } nav a { color: #cfe } [aria-current] { border-color: #000 }",
      },
      {
        body: '<nav aria-label="Site">%menu%</nav>%article%',
        css: "nav { background: url(\"data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='40' height='40'%3E%3Crect width='40' height='40' fill='%23112211'/%3E%3Cpath d='M0 0L40 40' stroke='%23223322'/%3E%3C/svg%3E\") } nav a { color: #eff } nav a:focus-visible { outline: 3px solid #fff; outline-offset: -3px } [aria-current] { border-color: #fff }",
      },
    ),
    widths: wide,
  },
  {
    rule: 'moves-without-pause',
    style: 'news that take turns',
    ...both(
      {
        body: '<header><p id="t"><a href="/tides">Spring tide on Friday</a></p><nav aria-label="Site">%menu%</nav></header>%article%',
        js: `const news = ['Spring tide on Friday', 'Nets open at dawn', 'Boat is full']; let i = 0; setInterval(() => { t.firstChild.textContent = news[++i % 3]; }, 1500);`,
      },
      {
        body: '<header><p id="t"><a href="/tides">Spring tide on Friday</a></p><button id="p">Pause the news</button><nav aria-label="Site">%menu%</nav></header>%article%',
        js: `const news = ['Spring tide on Friday', 'Nets open at dawn', 'Boat is full']; let i = 0, on = true; p.onclick = () => { on = !on; }; setInterval(() => { if (on) t.firstChild.textContent = news[++i % 3]; }, 1500);`,
      },
    ),
    widths: wide,
  },
  {
    rule: 'closes-by-itself',
    style: 'a list that closes after four seconds',
    ...both(
      {
        body: '<nav aria-label="Site"><button id="b" aria-expanded="false" aria-controls="n">Pages</button><div id="n" hidden>%menu%</div></nav>%article%',
        js: `const set = (o) => { n.hidden = !o; b.setAttribute('aria-expanded', o); }; b.onclick = () => { set(n.hidden); if (!n.hidden) setTimeout(() => set(false), 4000); };`,
      },
      {
        body: '<nav aria-label="Site"><button id="b" aria-expanded="false" aria-controls="n">Pages</button><div id="n" hidden>%menu%</div></nav>%article%',
        js: `const set = (o) => { n.hidden = !o; b.setAttribute('aria-expanded', o); }; b.onclick = () => set(n.hidden);`,
      },
    ),
    widths: wide,
  },
  {
    rule: 'single-key-acts',
    style: 'a slash that jumps to the search',
    ...both(
      {
        body: '<header><nav aria-label="Site">%menu%</nav><form role="search" action="/tides"><input name="q" id="q" aria-label="Search"><button>Go</button></form></header>%article%',
        js: `addEventListener('keydown', (e) => { if (e.key === '/' && e.target !== q) { e.preventDefault(); q.focus(); } });`,
      },
      {
        body: '<header><nav aria-label="Site">%menu%</nav><form role="search" action="/tides"><input name="q" id="q" aria-label="Search"><button>Go</button></form></header>%article%',
        js: `addEventListener('keydown', (e) => { if (e.key === 'k' && e.ctrlKey) { e.preventDefault(); q.focus(); } });`,
      },
    ),
    widths: wide,
  },
  {
    rule: 'choice-navigates',
    style: 'a radio button that leads away',
    ...both(
      {
        body: '<nav aria-label="Site">%menu%</nav><header><label><input type="radio" name="v" checked> List</label> <label><input type="radio" name="v" id="v"> Map</label></header>%article%',
        js: `v.onchange = () => { location.href = '/tides?map'; };`,
      },
      {
        body: '<nav aria-label="Site">%menu%</nav><header><form action="/tides"><label><input type="radio" name="v" checked> List</label> <label><input type="radio" name="v"> Map</label> <button>Show</button></form></header>%article%',
      },
    ),
    widths: wide,
  },
  {
    rule: 'set-size-wrong',
    style: 'a count of items that is wrong',
    ...both(
      {
        body: `<nav aria-label="Site"><ul>${all.map(([p, n], i) => `<li aria-posinset="${i + 2}" aria-setsize="4"><a href="${p}">${n}</a></li>`).join('')}</ul></nav>${article()}`,
      },
      {
        body: `<nav aria-label="Site"><ul>${all.map(([p, n], i) => `<li aria-posinset="${i + 1}" aria-setsize="4"><a href="${p}">${n}</a></li>`).join('')}</ul></nav>${article()}`,
      },
    ),
  },
  {
    rule: 'owned-twice',
    style: 'one list owned by two buttons',
    ...both(
      {
        body: '<nav aria-label="Site"><div role="group" aria-label="A" aria-owns="l"></div><div role="group" aria-label="B" aria-owns="l"></div><div id="l">%menu%</div></nav>%article%',
      },
      {
        body: '<nav aria-label="Site"><div role="group" aria-label="A" aria-owns="l"></div><div id="l">%menu%</div></nav>%article%',
      },
    ),
  },
  {
    rule: 'breadcrumb-order',
    style: 'breadcrumbs from the inside out',
    broken: {
      '/': page({
        body: `<nav aria-label="Site"><ul>${row()}</ul></nav><nav aria-label="Breadcrumb"><ol><li><a href="/log/2025/">2025</a></li><li><a href="/log/">Log</a></li><li><a href="/">Home</a></li></ol></nav>${article()}`,
      }),
    },
    sound: {
      '/': page({
        body: `<nav aria-label="Site"><ul>${row()}</ul></nav><nav aria-label="Breadcrumb"><ol><li><a href="/join">Join</a></li><li><a href="/join/year/">Year</a></li></ol></nav>${article()}`,
      }),
      ...site(() => page({ body: article() })),
    },
  },
  {
    rule: 'state-not-supported',
    style: 'aria-expanded on the item',
    ...both(
      {
        body: '<nav aria-label="Site"><ul><li aria-expanded="false"><a href="/tides">Tides</a></li><li><a href="/join">Join</a></li><li><a href="/">Log</a></li></ul></nav>%article%',
      },
      {
        body: '<nav aria-label="Site"><ul><li><a href="/tides">Tides</a></li><li><a href="/join">Join</a></li><li><a href="/" aria-current="page">Log</a></li></ul></nav>%article%',
      },
    ),
  },
  {
    rule: 'frame-without-name',
    style: 'a menu in a frame',
    ...both(
      { body: '<iframe src="/join?menu" width="300" height="120"></iframe>%article%' },
      { body: '<iframe title="Pages" src="/join?menu" width="300" height="120"></iframe>%article%' },
    ),
  },
];
