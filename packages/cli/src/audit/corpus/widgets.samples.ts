import { content, items, samplePage, withPages, type SampleSite, type SiteTwins } from './site-twins.samples.ts';

const flyout = (trigger: string) =>
  `<nav><ul class="row"><li><a href="/">Today</a></li><li class="more">${trigger}<ul class="fly"><li><a href="/hides">Hides</a></li><li><a href="/tides">Tides</a></li></ul></li></ul></nav>${content}`;
const flyStyle =
  '.row { display: flex; gap: 2rem; list-style: none } .more { position: relative } .fly { display: none; position: absolute; left: 0; top: 100%; background: #fff; padding: 1rem; width: 12rem }';
const byEscape = `<script>document.addEventListener('keydown', (event) => { if (event.key === 'Escape') for (const fly of document.querySelectorAll('.fly')) { fly.style.display = 'none'; } });
  document.querySelector('.more').addEventListener('mouseleave', () => { document.querySelector('.fly').style.display = ''; });</script>`;

const tablist = (
  script: string,
  second = 'tabindex="-1"',
) => `<nav>${items}</nav><main><h1>Hides</h1><div role="tablist" aria-label="View">
  <button role="tab" id="t1" aria-controls="p1" aria-selected="true">Map</button><button role="tab" id="t2" aria-controls="p2" aria-selected="false" ${second}>List</button></div>
  <div role="tabpanel" id="p1" aria-labelledby="t1">A map.</div><div role="tabpanel" id="p2" aria-labelledby="t2" hidden>A list.</div></main>
  <script>const tabs = [t1, t2], panels = [p1, p2];
  function select(tab) { tabs.forEach((one, at) => { one.setAttribute('aria-selected', String(one === tab)); one.tabIndex = one === tab ? 0 : -1; panels[at].hidden = one !== tab; }); }
  ${script}</script>`;
const byMouse = `tabs.forEach((tab) => tab.addEventListener('click', () => select(tab)));`;
const byArrows = `tabs.forEach((tab) => tab.addEventListener('keydown', (event) => { if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') { const other = tabs[1 - tabs.indexOf(tab)]; other.focus(); select(other); } }));`;

/** An app of one document: what it does with a page change is what the twins differ in. */
const app = (show: string, start = 'history'): SampleSite => {
  const page = samplePage(
    `<nav><ul><li><a href="/" id="today" aria-current="page">Today</a></li><li><a href="/hides" id="hides">Hides</a></li></ul></nav><main id="main"></main><div role="status" id="said"></div>
    <script>
      const titles = { '/': 'Today', '/hides': 'Hides' };
      function draw() {
        const name = titles[location.pathname];
        main.innerHTML = '<h1 tabindex="-1">' + name + '</h1><p>All about ' + name + '.</p>';
      }
      function mark() { for (const link of document.querySelectorAll('nav a')) { if (link.pathname === location.pathname) link.setAttribute('aria-current', 'page'); else link.removeAttribute('aria-current'); } }
      function title() { document.title = titles[location.pathname] + ' · Marram Point'; }
      function focus() { document.querySelector('h1').focus(); }
      const start = '${start}';
      document.querySelector('nav').addEventListener('click', (event) => {
        const link = event.target.closest('a');
        if (!link) return;
        event.preventDefault();
        ${show}
      });
      draw(); mark(); title();
      if (start === 'history') addEventListener('popstate', () => { draw(); mark(); title(); });
    </script>`,
  );
  return { '/': page, '/hides': page };
};
const push = "history.pushState(null, '', link.href);";
const whole = `${push} draw(); mark(); title(); focus();`;

/** An app whose pages are behind the hash; the mark may be frozen on one of them. */
const hashApp = (frozen: string | null): SampleSite => ({
  '/': samplePage(
    `<nav><a href="#/">Today</a> <a href="#/hides">Hides</a> <a href="#/tides">Tides</a></nav><main id="main"></main>
    <script>
      const titles = { '#/': 'Today', '#/hides': 'Hides', '#/tides': 'Tides' };
      function draw(isFirst) {
        const here = location.hash in titles ? location.hash : '#/';
        main.innerHTML = '<h1 tabindex="-1">' + titles[here] + '</h1><p>All about ' + titles[here] + '.</p>';
        document.title = titles[here] + ' · Marram Point';
        for (const link of document.querySelectorAll('nav a')) {
          if (link.getAttribute('href') === ${frozen === null ? 'here' : `'${frozen}'`}) link.setAttribute('aria-current', 'page');
          else link.removeAttribute('aria-current');
        }
        if (!isFirst) document.querySelector('h1').focus();
      }
      addEventListener('hashchange', () => draw(false));
      draw(true);
    </script>`,
  ),
});

export const widgetTwins: readonly SiteTwins[] = [
  {
    rule: 'hover-only',
    style: 'a list in a list, by the stylesheet',
    broken: withPages(flyout('<span class="label">Places</span>'), `${flyStyle} .more:hover .fly { display: block }`),
    sound: withPages(
      flyout('<a href="/places">Places</a>'),
      `${flyStyle} .more:hover .fly, .more:focus-within .fly { display: block }`,
    ),
  },
  {
    rule: 'hover-not-dismissible',
    style: 'a list over the text, by the stylesheet',
    broken: withPages(
      flyout('<a href="/hides">Places</a>'),
      `${flyStyle} .more:hover .fly, .more:focus-within .fly { display: block }`,
    ),
    sound: withPages(
      flyout('<a href="/hides">Places</a>') + byEscape,
      `${flyStyle} .more:hover .fly, .more:focus-within .fly { display: block }`,
    ),
  },
  {
    rule: 'hover-not-hoverable',
    style: 'a gap between the item and its list',
    broken: withPages(
      flyout('<a href="/hides">Places</a>') + byEscape,
      `${flyStyle} .fly { margin-top: 2rem } .more:hover .fly { display: block }`,
    ),
    sound: withPages(
      flyout('<a href="/hides">Places</a>') + byEscape,
      `${flyStyle} .fly { margin: 0 } .more:hover .fly { display: block }`,
    ),
  },
  {
    rule: 'hover-not-persistent',
    style: 'a list that goes away after a second',
    broken: withPages(
      `${flyout('<a href="/hides">Places</a>')}${byEscape}<script>const f = document.querySelector('.fly'); document.querySelector('.more').addEventListener('mouseenter', () => { f.style.display = 'block'; setTimeout(() => { f.style.display = 'none'; }, 2600); });</script>`,
      flyStyle,
    ),
    sound: withPages(
      `${flyout('<a href="/hides">Places</a>')}${byEscape}<script>const f = document.querySelector('.fly'); document.querySelector('.more').addEventListener('mouseenter', () => { f.style.display = 'block'; });</script>`,
      flyStyle,
    ),
  },
  {
    rule: 'hover-moves-row',
    style: 'a label that grows bold under the mouse',
    broken: withPages(
      `<nav><ul class="row">${items}</ul></nav>${content}`,
      '.row { display: flex; gap: 1rem; list-style: none } a:hover { font-size: 1.3em; font-weight: 900 }',
    ),
    sound: withPages(
      `<nav><ul class="row">${items}</ul></nav>${content}`,
      '.row { display: flex; gap: 1rem; list-style: none } a:hover { text-decoration: none; background: #eee }',
    ),
  },
  {
    rule: 'tabs-without-arrows',
    style: 'buttons that say they are tabs',
    broken: withPages(tablist(byMouse)),
    sound: withPages(tablist(byMouse + byArrows)),
  },
  {
    rule: 'tab-does-nothing',
    // Its keys are tried before its mouse, and what they did may be remembered.
    accept: ['tabs-without-arrows'],
    style: 'a state that stays on the first tab',
    broken: withPages(
      tablist(
        `tabs.forEach((tab, at) => tab.addEventListener('click', () => { panels.forEach((panel, other) => { panel.hidden = other !== at; }); }));${byArrows}`,
      ),
    ),
    // A choice that is remembered: the page begins with the tab that was chosen last.
    sound: withPages(
      tablist(
        `${byMouse + byArrows} tabs.forEach((tab) => ['click', 'keyup'].forEach((type) => tab.addEventListener(type, () => sessionStorage.setItem('tab', tabs.findIndex((one) => one.ariaSelected === 'true')))));
        setTimeout(() => select(tabs[Number(sessionStorage.getItem('tab') ?? 0)]));`,
      ),
    ),
  },
  {
    rule: 'title-stays',
    style: 'an app of one document',
    broken: app(`${push} draw(); mark(); focus();`),
    sound: app(whole),
  },
  {
    rule: 'page-change-unannounced',
    style: 'an app that leaves focus on the link',
    broken: app(`${push} draw(); mark(); title();`),
    sound: app(`${push} draw(); mark(); title(); said.textContent = document.title;`),
  },
  {
    rule: 'address-stays',
    style: 'an app without addresses',
    broken: app(`main.innerHTML = '<h1>Another page</h1>'; title();`),
    sound: app(whole),
  },
  {
    rule: 'mark-stays',
    style: 'a mark that is frozen on the first page',
    broken: app(`${push} draw(); title(); focus();`),
    sound: app(whole),
  },
  {
    rule: 'mark-stays',
    style: 'an app that keeps its pages behind the hash',
    broken: hashApp('#/'),
    sound: hashApp(null),
  },
  {
    rule: 'back-does-nothing',
    style: 'an app that does not hear Back',
    broken: app(whole, 'none'),
    sound: app(whole),
  },
  {
    rule: 'reload-loses-page',
    style: 'a server that knows the first page alone',
    broken: { '/': app(whole)['/'] ?? '' },
    sound: app(whole),
  },
];
