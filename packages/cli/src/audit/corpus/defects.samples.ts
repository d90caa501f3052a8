import type { SiteDefect, StyleFeature } from './styles.samples.ts';

/** A defect that can be put into any style which has what it needs. */
export interface StyledDefect {
  readonly rule: string;
  readonly name: string;
  readonly needs: readonly StyleFeature[];
  readonly defect: SiteDefect;
  /** Default: 400 and 1280. */
  readonly widths?: readonly number[];
  /** Default: 1. */
  readonly pages?: number;
  /** Rules that say the same of some styles. */
  readonly accept?: readonly string[];
}

const narrow = [400] as const;

export const styledDefects: readonly StyledDefect[] = [
  {
    rule: 'link-without-name',
    name: 'an icon alone',
    needs: ['marks'],
    defect: {
      script: `part.links[1].innerHTML = '<svg width="24" height="24" aria-hidden="true"><circle cx="12" cy="12" r="9"/></svg>';`,
    },
  },
  {
    rule: 'several-current-pages',
    name: 'two marks',
    needs: ['marks'],
    defect: {
      script: `part.links[0].setAttribute('aria-current', 'page'); part.links[1].setAttribute('aria-current', 'page');`,
    },
  },
  {
    rule: 'mark-on-another-page',
    name: 'a frozen mark',
    needs: ['marks', 'pages'],
    defect: {
      script: `for (const link of part.links) link.removeAttribute('aria-current'); part.links[2].setAttribute('aria-current', 'page');`,
    },
  },
  {
    rule: 'label-not-in-name',
    name: 'another name',
    needs: ['marks'],
    defect: { script: `part.links[1].setAttribute('aria-label', 'Huts');` },
  },
  {
    rule: 'role-unknown',
    name: 'a role of our own',
    needs: ['marks'],
    defect: { script: `part.links[1].parentElement.setAttribute('role', 'navitem');` },
  },
  {
    rule: 'state-not-supported',
    name: 'aria-selected on a link',
    needs: ['marks'],
    defect: { script: `part.links[1].setAttribute('aria-selected', 'true');` },
  },
  {
    rule: 'name-not-allowed',
    name: 'a name on a span',
    needs: ['marks'],
    defect: { script: `part.links[1].insertAdjacentHTML('afterend', '<span aria-label="New">•</span>');` },
  },
  {
    rule: 'item-outside-its-group',
    name: 'menuitem in a list',
    needs: ['marks'],
    defect: { script: `for (const link of part.links) link.setAttribute('role', 'menuitem');` },
  },
  {
    rule: 'low-contrast',
    name: 'grey in a span',
    needs: ['marks', 'light'],
    defect: { script: `part.links[1].innerHTML = '<span style="color: #b5b5b5">Hides</span>';` },
  },
  {
    rule: 'low-contrast',
    name: 'a pale menu',
    needs: ['marks', 'light'],
    defect: { style: 'nav, [role=navigation] { opacity: 0.45 }' },
  },
  {
    rule: 'small-target',
    name: 'signs close to each other',
    needs: ['marks', 'light'],
    defect: {
      script: `for (const link of part.links) link.style.cssText = 'padding: 0; line-height: 14px; font-size: 12px; display: block; height: 14px; margin: 0';`,
    },
  },
  {
    rule: 'name-says-nothing',
    name: 'click here',
    needs: ['marks'],
    defect: { script: `part.links[1].textContent = 'Click here';` },
  },
  {
    rule: 'label-in-other-language',
    name: 'Deutsch',
    needs: ['marks'],
    defect: { script: `part.links[3].textContent = 'Deutsch';` },
  },
  { rule: 'page-without-language', name: 'no lang', needs: ['marks'], defect: { attributes: '' } },
  {
    rule: 'language-unknown',
    name: 'a country for a language',
    needs: ['marks'],
    defect: { attributes: 'lang="english"' },
  },
  { rule: 'title-says-nothing', name: 'Document', needs: ['pages'], defect: { head: '<title>Document</title>' } },
  {
    rule: 'timed-redirect',
    name: 'a refresh',
    needs: ['pages'],
    defect: { head: '<title>Marram Point today</title><meta http-equiv="refresh" content="300;url=/tides">' },
  },
  {
    rule: 'text-not-zoomed',
    name: 'text in shares of the window',
    needs: ['marks', 'light'],
    defect: { style: 'nav a, [role=navigation] a { font-size: 1.4vw }' },
    widths: [1280],
  },
  {
    rule: 'orientation-locked',
    name: 'turned when upright',
    needs: ['light'],
    defect: { style: '@media (orientation: portrait) { body { transform: rotate(90deg) } }' },
    widths: [1280],
  },
  {
    rule: 'acts-on-press',
    name: 'links that act on mousedown',
    needs: ['marks', 'light', 'pages'],
    defect: {
      script: `for (const link of part.links) link.addEventListener('mousedown', () => { location.href = link.href; });`,
    },
    widths: [1280],
  },
  {
    rule: 'acts-on-press',
    name: 'a toggle that acts on pointerdown',
    needs: ['toggle'],
    defect: {
      script: `part.toggle.addEventListener('pointerdown', () => part.set(!part.isOpen)); part.toggle.addEventListener('click', (event) => event.stopImmediatePropagation(), true); document.addEventListener('click', (event) => event.stopImmediatePropagation(), true);`,
    },
    widths: narrow,
  },
  {
    rule: 'single-key-acts',
    name: 'a letter that goes elsewhere',
    needs: ['marks', 'pages'],
    defect: {
      script: `document.addEventListener('keydown', (event) => { if (event.key === 't') location.href = '/tides'; });`,
    },
    widths: [1280],
  },
  {
    rule: 'moves-without-pause',
    name: 'a mark that blinks',
    needs: ['marks', 'light'],
    defect: { style: '@keyframes b { 50% { opacity: 0.2 } } nav, [role=navigation] { animation: b 1s infinite }' },
    widths: [1280],
  },
  {
    rule: 'focus-stolen',
    name: 'a field that takes focus',
    needs: ['marks', 'light'],
    defect: {
      script: `document.querySelector('main').insertAdjacentHTML('afterbegin', '<input aria-label="Search" id="stolen">'); setTimeout(() => stolen.focus(), 3000);`,
    },
    widths: [1280],
    accept: ['focus-misplaced'],
  },
  {
    rule: 'toggle-does-nothing',
    name: 'a press that is swallowed',
    needs: ['toggle'],
    defect: { script: `part.set = () => {};` },
    widths: narrow,
  },
  {
    rule: 'toggle-state-frozen',
    name: 'a state that stays false',
    needs: ['toggle'],
    defect: { script: `part.hearers.push(() => part.toggle.setAttribute('aria-expanded', 'false'));` },
    widths: narrow,
  },
  {
    rule: 'toggle-state-frozen',
    name: 'a state that stays true when it closes',
    needs: ['toggle'],
    defect: {
      script: `part.hearers.push((isOpen) => { if (!isOpen) part.toggle.setAttribute('aria-expanded', 'true'); });`,
    },
    widths: narrow,
  },
  {
    rule: 'page-left-inert',
    name: 'inert after Escape',
    needs: ['toggle', 'escape'],
    defect: {
      script: `part.hearers.push((isOpen) => { document.querySelector('main').inert = isOpen; }); document.addEventListener('keydown', (event) => { if (event.key === 'Escape') document.querySelector('main').inert = true; });`,
    },
    widths: narrow,
  },
  {
    rule: 'page-left-inert',
    name: 'aria-hidden that is never taken away',
    needs: ['toggle'],
    defect: {
      script: `part.hearers.push((isOpen) => { if (isOpen) document.querySelector('main').setAttribute('aria-hidden', 'true'); });`,
    },
    widths: narrow,
  },
  {
    rule: 'scroll-stays-locked',
    name: 'a page that stays still',
    needs: ['toggle'],
    defect: { script: `part.hearers.push((isOpen) => { if (isOpen) document.body.style.overflow = 'hidden'; });` },
    widths: narrow,
  },
  {
    rule: 'backdrop-stays',
    name: 'a veil that stays',
    needs: ['toggle', 'light'],
    defect: {
      script: `part.hearers.push((isOpen) => { if (isOpen) { const veil = document.createElement('div'); veil.style.cssText = 'position: fixed; inset: 4rem 0 0; z-index: 1'; document.body.append(veil); } });`,
    },
    widths: narrow,
    accept: ['overlay-leaves-page'],
  },
  {
    rule: 'toggle-needs-two-presses',
    name: 'Escape that keeps no state',
    needs: ['toggle', 'escape'],
    defect: {
      script: `const close = part.set; document.addEventListener('keydown', (event) => { if (event.key === 'Escape') part.isOpen = true; });`,
    },
    widths: narrow,
  },
  {
    rule: 'closes-by-itself',
    name: 'a clock',
    needs: ['toggle'],
    defect: { script: `part.hearers.push((isOpen) => { if (isOpen) setTimeout(() => part.set(false), 3000); });` },
    widths: narrow,
  },
  {
    rule: 'focus-lost-on-press',
    name: 'a button that is made again',
    needs: ['toggle', 'light'],
    defect: { script: `part.hearers.push(() => { part.toggle.blur(); });` },
    widths: narrow,
  },
  {
    rule: 'focus-misplaced',
    name: 'focus that goes to the page',
    needs: ['toggle', 'light'],
    defect: {
      script: `document.querySelector('main').insertAdjacentHTML('beforeend', '<p><input aria-label="Note" id="far"></p>'); part.hearers.push((isOpen) => { if (isOpen) far.focus(); });`,
    },
    widths: narrow,
  },
  {
    rule: 'focus-lost-on-closing',
    name: 'Escape that takes focus with it',
    needs: ['toggle', 'escape'],
    defect: { script: `part.toggle.focus = () => {};` },
    widths: narrow,
  },
  {
    rule: 'controls-something-else',
    name: 'another id',
    needs: ['toggle', 'light'],
    defect: {
      script: `document.querySelector('main').insertAdjacentHTML('beforeend', '<p id="other">Notes on the hides</p>'); part.toggle.setAttribute('aria-controls', 'other');`,
    },
    widths: narrow,
  },
  {
    rule: 'popup-of-other-kind',
    name: 'a menu that is a list',
    needs: ['toggle'],
    defect: { script: `part.toggle.setAttribute('aria-haspopup', 'menu');` },
    widths: narrow,
  },
  {
    rule: 'menu-lost-by-resizing',
    name: 'display: none that stays',
    needs: ['toggle', 'row'],
    defect: { script: `part.hearers.push((isOpen) => { part.panel.style.display = isOpen ? 'block' : 'none'; });` },
    widths: [400],
  },
  {
    rule: 'scroll-stays',
    name: 'a page from its middle',
    needs: ['one-document'],
    defect: {
      script: `window.scrollTo = () => {}; part.shown.push(() => document.querySelector('main').insertAdjacentHTML('beforeend', '<p><a href="/tides">Tides</a> <a href="#/tides">Tides</a></p>')); part.show(true);`,
    },
    widths: [1280],
  },
  {
    rule: 'title-stays',
    name: 'one title',
    needs: ['one-document'],
    defect: { script: `part.shown.push(() => { document.title = 'Marram Point'; }); document.title = 'Marram Point';` },
    widths: [1280],
  },
  {
    rule: 'mark-stays',
    name: 'a mark that is set once',
    needs: ['one-document'],
    defect: {
      script: `let isFirst = true; part.shown.push(() => { for (const link of part.links) link.removeAttribute('aria-current'); part.links[0].setAttribute('aria-current', 'page'); }); part.links[0].setAttribute('aria-current', 'page');`,
    },
    widths: [1280],
  },
  {
    rule: 'mark-wrong-after-back',
    name: 'a mark that hears no Back',
    needs: ['one-document'],
    defect: {
      script: `const back = () => { for (const link of part.links) link.removeAttribute('aria-current'); part.links[2].setAttribute('aria-current', 'page'); }; let left = 0; addEventListener('popstate', () => { if (location.hash === '' || location.hash === '#/') setTimeout(back, 30); });`,
    },
    widths: [1280],
  },
  {
    rule: 'page-change-unannounced',
    name: 'focus that stays',
    needs: ['one-document'],
    defect: { script: `HTMLElement.prototype.focus = function () {};` },
    widths: [1280],
  },
  {
    rule: 'menu-order-differs',
    name: 'another order on one page',
    needs: ['pages', 'list'],
    defect: {
      scriptOf: (path) =>
        path === '/tides' ? `const list = part.links[0].closest('ul'); list.append(list.firstElementChild);` : '',
    },
    widths: [1280],
    pages: 4,
  },
  {
    rule: 'names-differ',
    name: 'another name on one page',
    needs: ['pages', 'marks'],
    defect: { scriptOf: (path) => (path === '/tides' ? `part.links[1].textContent = 'Lookouts';` : '') },
    widths: [1280],
    pages: 4,
  },
  {
    rule: 'titles-same',
    name: 'one title for all',
    needs: ['pages'],
    defect: { head: '<title>Marram Point Bird Observatory</title>' },
    widths: [1280],
    pages: 4,
  },
  {
    rule: 'language-differs',
    name: 'another lang on one page',
    needs: ['pages'],
    defect: { scriptOf: (path) => (path === '/tides' ? `document.documentElement.lang = 'de';` : '') },
    widths: [1280],
    pages: 4,
  },
  {
    rule: 'dead-fragment',
    name: 'a skip link to nothing',
    needs: ['light', 'marks', 'pages'],
    defect: { script: `part.nav.insertAdjacentHTML('beforebegin', '<a href="#nothing">Skip to content</a>');` },
  },
  {
    rule: 'icon-low-contrast',
    name: 'a pale icon',
    needs: ['light', 'marks'],
    defect: {
      script: `part.nav.insertAdjacentHTML('beforebegin', '<header><a href="/tides" aria-label="Tides"><svg width="24" height="24" aria-hidden="true" style="display:block"><circle cx="12" cy="12" r="9" fill="#d5d5d5"/></svg></a></header>');`,
    },
    widths: [1280],
  },
  {
    rule: 'low-contrast-on-picture',
    name: 'labels on a gradient',
    needs: ['light', 'marks'],
    defect: {
      style:
        'nav, [role=navigation] { background-image: linear-gradient(#fff, #eee) } nav a, [role=navigation] a { color: #aaa }',
    },
    widths: [1280],
  },
  {
    rule: 'visible-not-exposed',
    name: 'a menu that is hidden from screen readers',
    needs: ['marks'],
    defect: {
      script: `part.nav.setAttribute('aria-hidden', 'true'); for (const link of part.links) link.tabIndex = -1;`,
    },
    accept: ['not-by-keyboard'],
  },
  {
    rule: 'field-without-name',
    name: 'a search field',
    needs: ['light', 'marks'],
    defect: {
      script: `part.nav.insertAdjacentHTML('beforebegin', '<header><form role="search" action="/"><input type="search" name="q"></form></header>');`,
    },
  },
  {
    rule: 'frame-without-name',
    name: 'a frame',
    needs: ['light', 'marks', 'pages'],
    defect: {
      script: `document.querySelector('main').insertAdjacentHTML('beforeend', '<iframe src="/tides?frame" width="300" height="200"></iframe>');`,
    },
  },
];
