import { list, main, type Twins } from './corpus-parts.samples.ts';

/** A defect of what stands in a menu, and the same menu without it: put into a menu of each style. */
interface InnerTwins extends Pick<Twins, 'rule' | 'head' | 'soundHead' | 'url'> {
  readonly name: string;
  readonly broken: string;
  readonly sound: string;
  readonly count?: number;
}

/** Ways to make a menu of what stands in it. */
export const menuStyles: readonly (readonly [name: string, wrap: (inner: string) => string])[] = [
  ['a nav', (inner) => `<nav>${inner}</nav>${main}`],
  ['a div with a role', (inner) => `<div role="navigation" aria-label="Main">${inner}</div>${main}`],
  ['a head from right to left', (inner) => `<header dir="rtl"><nav aria-label="Main">${inner}</nav></header>${main}`],
  [
    'a cell of a table',
    (inner) => `<table role="presentation"><tr><td><nav aria-label="Main">${inner}</nav></td></tr></table>${main}`,
  ],
];

const current = '<a href="/hides" aria-current="page">Hides</a>';
const plain = list('<a href="/">Today</a>', current, '<a href="/tides">Tides</a>');
const tabs = (first: string, panel: string) =>
  `${plain}<div role="tablist" aria-label="Days"><button role="tab" id="t" aria-selected="true"${first}>Today</button><button role="tab" aria-selected="false">Next</button></div>${panel}`;
const trail = (...items: readonly string[]) => `${plain}<div class="breadcrumb" data-t>${items.join(' / ')}</div>`;

const inner: readonly InnerTwins[] = [
  {
    rule: 'role-unknown',
    name: 'a role of our own',
    broken: plain.replace('<ul>', '<ul role="navlist">'),
    sound: plain.replace('<ul>', '<ul role="list">'),
  },
  {
    rule: 'role-not-allowed',
    name: 'a list that is a region',
    broken: plain.replace('<ul>', '<ul role="region" aria-label="Pages">'),
    sound: plain.replace('<ul>', '<ul role="list">'),
  },
  {
    rule: 'state-not-supported',
    name: 'a selected link',
    broken: plain.replace('<a href="/">', '<a href="/" aria-selected="true">'),
    sound: plain,
  },
  {
    rule: 'name-not-allowed',
    name: 'a span with a name',
    broken: `${plain}<span aria-label="3 new">3</span>`,
    sound: `${plain}<span role="img" aria-label="3 new">3</span>`,
  },
  {
    rule: 'item-outside-its-group',
    name: 'menu items of no menu',
    broken: plain.replace('<a href="/">', '<a href="/" role="menuitem">'),
    sound: `${plain}<div role="menu" aria-label="View"><button role="menuitem">List</button></div>`,
  },
  {
    rule: 'item-outside-its-group',
    name: 'an item of no list',
    broken: `${plain}<div><li><a href="/map">Map</a></li></div>`,
    sound: plain,
  },
  {
    rule: 'group-with-others',
    name: 'a link among menu items',
    broken: `${plain}<div role="menu" aria-label="View"><button role="menuitem">List</button><a href="/map">Map</a></div>`,
    sound: `${plain}<div role="menu" aria-label="View"><button role="menuitem">List</button><a href="/map" role="menuitem">Map</a></div>`,
  },
  {
    rule: 'group-without-items',
    name: 'a tree of links',
    broken: `<div role="tree" aria-label="Pages"><a href="/">Today</a>${current}</div>`,
    sound: `<div role="list"><div role="listitem"><a href="/">Today</a></div><div role="listitem">${current}</div></div>`,
  },
  {
    rule: 'popup-of-other-kind',
    name: 'a menu that is a list',
    broken: `<button aria-haspopup="menu" aria-expanded="false" aria-controls="m">Pages</button><div id="m">${plain}</div>`,
    sound: `<button aria-expanded="true" aria-controls="m">Pages</button><div id="m">${plain}</div>`,
  },
  {
    rule: 'dialog-without-name',
    name: 'a drawer',
    broken: `<dialog>${plain}</dialog>`,
    sound: `<dialog aria-label="Pages">${plain}</dialog>`,
  },
  {
    rule: 'tabpanel-without-name',
    name: 'a panel',
    broken: tabs(' aria-controls="p"', '<div role="tabpanel" id="p">04:12</div>'),
    sound: tabs(' aria-controls="p"', '<div role="tabpanel" id="p" aria-labelledby="t">04:12</div>'),
  },
  {
    rule: 'tab-without-panel',
    name: 'tabs of nothing',
    broken: tabs('', '<div>04:12</div>'),
    sound: tabs(' aria-controls="p"', '<div role="tabpanel" id="p" aria-labelledby="t">04:12</div>'),
  },
  {
    rule: 'menu-in-live-region',
    name: 'a menu that is a status',
    broken: `<div role="status">${plain}</div>`,
    sound: `${plain}<div role="status">3 pages</div>`,
  },
  {
    rule: 'id-twice',
    name: 'two panels of one id',
    broken: `<button aria-expanded="true" aria-controls="m">Pages</button><div id="m">${plain}</div><div id="m">More</div>`,
    sound: `<button aria-expanded="true" aria-controls="m">Pages</button><div id="m">${plain}</div><div id="n">More</div>`,
  },
  {
    rule: 'owned-twice',
    name: 'two owners',
    broken: `<div role="group" aria-label="A" aria-owns="l"></div><div role="group" aria-label="B" aria-owns="l"></div><div id="l">${plain}</div>`,
    sound: `<div role="group" aria-label="A" aria-owns="l"></div><div id="l">${plain}</div>`,
  },
  {
    rule: 'set-size-wrong',
    name: 'more than there are',
    broken: list('<a href="/">Today</a>', current).replace('<li>', '<li aria-posinset="3" aria-setsize="2">'),
    sound: list('<a href="/">Today</a>', current).replace('<li>', '<li aria-posinset="1" aria-setsize="2">'),
  },
  {
    rule: 'set-size-wrong',
    name: 'a flat tree that counts all of its rows',
    broken:
      '<ul role="tree" aria-label="Years"><li role="treeitem" tabindex="0" aria-level="1" aria-setsize="2" aria-posinset="1">2025</li><li role="treeitem" tabindex="-1" aria-level="2" aria-setsize="1" aria-posinset="2">Spring</li><li role="treeitem" tabindex="-1" aria-level="1" aria-setsize="2" aria-posinset="2">2026</li></ul>',
    sound:
      '<ul role="tree" aria-label="Years"><li role="treeitem" tabindex="0" aria-level="1" aria-setsize="2" aria-posinset="1">2025</li><li role="treeitem" tabindex="-1" aria-level="2" aria-setsize="1" aria-posinset="1">Spring</li><li role="treeitem" tabindex="-1" aria-level="1" aria-setsize="2" aria-posinset="2">2026</li></ul>',
  },
  {
    rule: 'level-wrong',
    name: 'a tree that counts wrongly',
    broken:
      '<ul role="tree" aria-label="Years"><li role="treeitem" tabindex="0" aria-level="1">2025<ul role="group"><li role="treeitem" tabindex="-1" aria-level="3">Spring</li></ul></li></ul>',
    sound:
      '<ul role="tree" aria-label="Years"><li role="treeitem" tabindex="0" aria-level="1">2025<ul role="group"><li role="treeitem" tabindex="-1" aria-level="2">Spring</li></ul></li></ul>',
  },
  {
    rule: 'landmark-twice',
    name: 'two mains',
    broken: `${plain}<div role="main">Notes</div>`,
    sound: `${plain}<div role="main" hidden>Notes</div>`,
  },
  {
    rule: 'popover-missing',
    name: 'no popover',
    broken: `<button popovertarget="m">Pages</button><div id="m">${plain}</div>`,
    sound: `<button popovertarget="m">Pages</button><div id="m" popover>${plain}</div>`,
  },
  {
    rule: 'details-without-summary',
    name: 'a group without a word',
    broken: `<details>${plain}</details>`,
    sound: `<details><summary>Pages</summary>${plain}</details>`,
  },
  {
    rule: 'visible-not-exposed',
    name: 'a hidden list',
    broken: `<ul aria-hidden="true"><li><a href="/" tabindex="-1">Today</a></li><li><a href="/tides" tabindex="-1">Tides</a></li><li><a href="/map" tabindex="-1">Map</a></li></ul>`,
    sound: `${plain}<a href="/tides" aria-hidden="true" tabindex="-1"><svg width="20" height="20"></svg></a>`,
  },
  {
    rule: 'exposed-not-visible',
    name: 'a list of no height',
    broken: `<div style="height:0;overflow:hidden"><a href="/" tabindex="-1">Today</a><a href="/tides" tabindex="-1">Tides</a></div><div>${current}</div>`,
    sound: `<div style="height:0;overflow:hidden" inert><a href="/">Today</a><a href="/tides">Tides</a></div><div>${current}</div>`,
  },
  {
    rule: 'hidden-text-marks-elsewhere',
    name: 'words on the wrong link',
    broken: list('<a href="/">Today (current page)</a>', '<a href="/hides">Hides</a>'),
    sound: list('<a href="/">Today</a>', '<a href="/hides">Hides (current page)</a>'),
  },
  {
    rule: 'disabled-link-works',
    name: 'a link that is off',
    broken: list('<a href="/" aria-disabled="true">Today</a>', current),
    sound: list('<a role="link" aria-disabled="true">Today</a>', current),
  },
  {
    rule: 'label-in-other-language',
    name: 'a choice of languages',
    broken: list('<a href="/de">Deutsch</a>', current),
    sound: list('<a href="/de" lang="de">Deutsch</a>', current),
  },
  {
    rule: 'language-unknown',
    name: 'a code of no language',
    broken: list('<a href="/de" lang="german">Deutsch</a>', current),
    sound: list('<a href="/de" lang="de">Deutsch</a>', current),
  },
  {
    rule: 'title-says-nothing',
    name: 'the title of a program',
    broken: plain,
    sound: plain,
    head: '<title>Untitled document</title>',
    soundHead: '<title>Hides</title>',
  },
  {
    rule: 'title-of-other-page',
    name: 'the title of the tides',
    broken: plain,
    sound: plain,
    head: '<title>Tides · Marram Point</title>',
    soundHead: '<title>Hides · Marram Point</title>',
  },
  {
    rule: 'timed-redirect',
    name: 'a refresh',
    broken: plain,
    sound: plain,
    head: '<title>Hides</title><meta http-equiv="refresh" content="90;url=/">',
    soundHead: '<title>Hides</title>',
  },
  {
    rule: 'frame-without-name',
    name: 'a frame',
    broken: `${plain}<iframe srcdoc="x" width="90" height="40"></iframe>`,
    sound: `${plain}<iframe title="Tide table" srcdoc="x" width="90" height="40"></iframe>`,
  },
  {
    rule: 'field-without-name',
    name: 'a search',
    broken: `${plain}<input type="search">`,
    sound: `${plain}<label>Search <input type="search"></label>`,
  },
  {
    rule: 'name-says-nothing',
    name: 'click here',
    broken: list('<a href="/">Click here</a>', current),
    sound: list('<a href="/">Today</a>', current, '<button aria-expanded="false">More</button>'),
  },
  {
    rule: 'access-key-twice',
    name: 'one key',
    broken: list('<a href="/" accesskey="t">Today</a>', '<a href="/tides" accesskey="t">Tides</a>'),
    sound: list('<a href="/" accesskey="t">Today</a>', '<a href="/tides" accesskey="d">Tides</a>'),
  },
  {
    rule: 'landmark-name-repeats-role',
    name: 'navigation twice',
    broken: `<section><div role="navigation" aria-label="Page navigation">${plain}</div></section>`,
    sound: `<section><div role="navigation" aria-label="Page">${plain}</div></section>`,
  },
  {
    rule: 'toggle-name-wrong',
    name: 'Close, collapsed',
    broken: `<button aria-expanded="false">Close menu</button>${plain}`,
    sound: `<button aria-expanded="false">Menu</button>${plain}`,
  },
  {
    rule: 'breadcrumb-order',
    name: 'from the inside out',
    broken: trail('<a href="/marsh/hides/">Hides</a>', '<a href="/marsh/">Marsh</a>'),
    sound: trail('<a href="/marsh/">Marsh</a>', '<a href="/marsh/hides/">Hides</a>'),
  },
  {
    rule: 'breadcrumb-of-other-section',
    name: 'another section',
    url: 'https://marram.example/marsh/hides',
    broken: `${list('<a href="/marsh/">Marsh</a>', '<a href="/tides/">Tides</a>')}<div class="breadcrumb"><a href="/">Home</a> / <a href="/tides/">Tides</a></div>`,
    sound: `${list('<a href="/marsh/">Marsh</a>', '<a href="/tides/">Tides</a>')}<div class="breadcrumb"><a href="/">Home</a> / <a href="/marsh/">Marsh</a></div>`,
  },
];

/** Of a landmark around a landmark, only the outer one is a menu. */
const withoutLandmark = new Set(['landmark-name-repeats-role']);

export const styledTwins: readonly Twins[] = inner.flatMap(({ name, broken, sound, ...twins }) =>
  menuStyles.map(([style, wrap]): Twins => {
    const isPlain = withoutLandmark.has(twins.rule);
    const put = (menu: string) => (isPlain ? `${menu}${main}` : wrap(menu));
    return { ...twins, style: `${name}, in ${style}`, broken: put(broken), sound: put(sound) };
  }),
);

export const pageTwins: readonly Twins[] = [
  {
    rule: 'skip-link-hidden',
    style: 'display: none',
    broken: `<a href="#c" style="display:none">Skip to content</a><nav>${plain}</nav><main id="c"><h1>Hides</h1></main>`,
    sound: `<a href="#c">Skip to content</a><nav>${plain}</nav><main id="c"><h1>Hides</h1></main>`,
  },
  {
    rule: 'skip-link-hidden',
    style: 'visibility: hidden; the sound one waits behind an open menu',
    broken: `<a href="#c" style="visibility:hidden">Skip to content</a><nav>${plain}</nav><main id="c"><h1>Hides</h1></main>`,
    sound: `<a href="#c" inert>Skip to content</a><nav>${plain}</nav><main id="c" inert><h1>Hides</h1></main>`,
  },
  {
    rule: 'skip-link-late',
    style: 'after the menu',
    broken: `<nav>${plain}</nav><a href="#c">Skip to content</a><main id="c"><h1>Hides</h1></main>`,
    sound: `<a href="#c">Skip to content</a><nav>${plain}</nav><main id="c"><h1>Hides</h1></main>`,
  },
  {
    rule: 'breadcrumb-without-landmark',
    style: 'divs',
    broken: `<nav>${plain}</nav><div class="breadcrumb"><a href="/">Home</a> <a href="/marsh">Marsh</a> Hides</div>${main}`,
    sound: `<nav aria-label="Main">${plain}</nav><nav aria-label="Breadcrumb" class="breadcrumb"><a href="/">Home</a> <a href="/marsh">Marsh</a> Hides</nav>${main}`,
  },
];
