import { hides, list, main, tides, today, type Twins } from './corpus-parts.samples.ts';

const trail = (...steps: readonly string[]) =>
  `<nav aria-label="Breadcrumbs"><ol>${steps.map((step) => `<li>${step}</li>`).join('')}</ol></nav>`;
const data = (...names: readonly string[]) =>
  `<script type="application/ld+json">${JSON.stringify({
    '@context': 'https://schema.org',
    '@type': 'BreadcrumbList',
    itemListElement: names.map((name, index) => ({ '@type': 'ListItem', position: index + 1, name })),
  })}</script>`;

/** Marks, states, breadcrumbs and structure: a page with one defect, and its twin without it. */
export const moreTwins: readonly Twins[] = [
  {
    rule: 'mark-only-visual',
    style: 'a class alone',
    broken: `<nav>${list(today, '<a class="active" href="/hides">Hides</a>', tides)}</nav>${main}`,
    sound: `<nav>${list(today, '<a class="active" aria-current="page" href="/hides">Hides</a>', tides)}</nav>${main}`,
  },
  {
    rule: 'mark-only-visual',
    style: 'bold, by a stylesheet that knows the page',
    head: '<title>Hides</title><style>.here { font-weight: 900; border-bottom: 2px solid }</style>',
    broken: `<div role="navigation"><a href="/">Today</a> <b><a class="here" href="/hides/">Hides</a></b> <a href="/tides">Tides</a></div>${main}`,
    sound: `<div role="navigation"><a href="/">Today</a> <a href="/hides/">Hides</a> <a href="/tides">Tides</a> <a class="here" href="/book">Book</a></div>${main}`,
  },
  {
    rule: 'looks-marked-elsewhere',
    style: 'a class that was left on the first item',
    broken: `<nav>${list('<a class="nav-item active" href="/today">Today</a>', '<a href="/marsh/hides">Hides</a>', tides)}</nav>${main}`,
    sound: `<nav>${list('<a class="active" href="/marsh">Marsh</a>', '<a href="/marsh/hides">Hides</a>', tides)}</nav>${main}`,
    url: 'https://marram.example/marsh/hides',
    head: '<title>Hides</title>',
  },
  {
    rule: 'mark-by-color-only',
    style: 'a slightly other green',
    head: '<title>Hides</title><style>a { color: #2f5d2f } [aria-current] { color: #35702f }</style>',
    broken: `<nav>${list(today, hides, tides)}</nav>${main}`,
    sound: `<nav>${list(today, hides.replace('<a ', '<a style="border-bottom: 3px solid" '), tides)}</nav>${main}`,
  },
  {
    rule: 'page-not-marked',
    style: 'a menu without any mark',
    broken: `<nav>${list(today, '<a href="/hides">Hides</a>', tides)}</nav>${main}`,
    sound: `<nav>${list(today, hides, tides)}</nav><nav aria-label="Other">${list(today, tides)}</nav>${main}`,
  },
  {
    rule: 'toggle-state-wrong',
    style: 'a panel that is not shown',
    broken: `<header><button aria-expanded="true" aria-controls="m">Menu</button><nav><ul id="m" hidden><li>${today}</li></ul></nav></header>${main}`,
    sound: `<header><button aria-expanded="true" aria-controls="m">Menu</button><nav><ul id="m"><li>${today}</li></ul></nav></header>${main}`,
  },
  {
    rule: 'toggle-announces-closed',
    style: 'a menu that is always shown',
    broken: `<header><button aria-expanded="false" aria-controls="m">Menu</button><nav><ul id="m"><li>${today}</li><li>${hides}</li></ul></nav></header>${main}`,
    sound: `<header><button style="display:none" aria-expanded="false" aria-controls="m">Menu</button><nav><ul id="m"><li>${today}</li><li>${hides}</li></ul></nav></header>${main}`,
  },
  {
    rule: 'reference-missing',
    style: 'a label by an id that is not there',
    broken: `<nav aria-labelledby="none-of-it">${list(today, hides)}</nav>${main}`,
    sound: `<h2 id="title">Pages</h2><nav aria-labelledby="title">${list(today, hides)}<button aria-expanded="false" aria-controls="made-later">More</button></nav>${main}`,
  },
  {
    rule: 'no-tab-selected',
    style: 'tabs by their looks alone',
    broken: `<main><h1>Hides</h1><div role="tablist"><button role="tab" class="active">Map</button><button role="tab">List</button></div></main>`,
    sound: `<main><h1>Hides</h1><div role="tablist"><button role="tab" aria-selected="true">Map</button><button role="tab" aria-selected="false">List</button></div></main>`,
  },
  {
    rule: 'tab-is-link',
    style: 'links to pages that say they are tabs',
    broken: `<main><h1>Hides</h1><div role="tablist"><a role="tab" aria-selected="true" href="/hides">Hides</a><a role="tab" aria-selected="false" href="/tides">Tides</a></div></main>`,
    sound: `<main><h1>Hides</h1><div role="tablist"><a role="tab" aria-selected="true" href="#map" aria-controls="map">Map</a></div><div role="tabpanel" id="map">A map.</div></main>`,
  },
  {
    rule: 'breadcrumb-elsewhere',
    style: 'the trail of another page',
    broken: `${trail(today, '<a href="/tides" aria-current="page">Tides</a>')}${main}`,
    sound: `${trail(today, '<span aria-current="page">Hides</span>')}${main}`,
  },
  {
    rule: 'breadcrumb-twice',
    style: 'one page under two names',
    broken: `${trail(today, '<a href="/">Home</a>', '<span aria-current="page">Hides</span>')}${main}`,
    sound: `${trail(today, '<a href="/places">Places</a>', '<span aria-current="page">Hides</span>')}${main}`,
  },
  {
    rule: 'breadcrumb-unmarked',
    style: 'divs with arrows between',
    broken: `<div class="breadcrumbs"><a href="/">Today</a> → <a href="/hides">Hides</a></div>${main}`,
    sound: `<div class="breadcrumbs"><a href="/">Today</a> → <a href="/hides" aria-current="page">Hides</a></div>${main}`,
  },
  {
    rule: 'breadcrumb-data-differs',
    style: 'structured data of another page',
    broken: `${data('Home', 'Birds', 'Curlew')}${trail(today, '<a href="/places">Places</a>', '<span aria-current="page">Hides</span>')}${main}`,
    sound: `${data('Today', 'Places', 'Hides')}${trail(today, '<a href="/places">Places</a>', '<span aria-current="page">Hides</span>')}${main}`,
  },
  {
    rule: 'links-same-target',
    style: 'every link to one page',
    broken: `<nav>${list('<a href="/soon">Webcam</a>', '<a href="/soon">Shop</a>', '<a href="/soon">Visits</a>')}</nav>${main}`,
    sound: `<nav>${list('<a href="/webcam">Webcam</a>', '<a href="/shop">Shop</a>', '<a href="/soon">Visits</a>')}</nav>${main}`,
  },
  {
    rule: 'same-name-different-targets',
    style: 'two links called More',
    broken: `<nav>${list('<a href="/birds">More</a>', '<a href="/hides/all">More</a>')}</nav>${main}`,
    sound: `<nav>${list('<a href="/birds">More birds</a>', '<a href="/hides/all">More hides</a>')}</nav>${main}`,
  },
  {
    rule: 'list-with-non-items',
    style: 'links right in a list',
    broken: `<nav><ul><a href="/">Today</a><li>${hides}</li></ul></nav>${main}`,
    sound: `<nav><ul><li>${today}</li><li>${hides}</li></ul></nav>${main}`,
  },
  {
    rule: 'positive-tabindex',
    style: 'numbers in a bar',
    broken: `<nav>${list('<a tabindex="3" href="/">Today</a>', hides)}</nav>${main}`,
    sound: `<nav>${list('<a tabindex="0" href="/">Today</a>', hides)}</nav>${main}`,
  },
  {
    rule: 'menu-without-landmark',
    style: 'divs',
    broken: `<div class="bar"><a href="/">Today</a> <a href="/hides" aria-current="page">Hides</a> <a href="/tides">Tides</a></div>${main}`,
    sound: `<div class="bar" role="navigation"><a href="/">Today</a> <a href="/hides" aria-current="page">Hides</a> <a href="/tides">Tides</a></div>${main}`,
  },
  {
    rule: 'new-window-unannounced',
    style: 'a link to elsewhere',
    broken: `<nav>${list(today, hides, '<a target="_blank" href="https://tides.example/">Tide office</a>')}</nav>${main}`,
    sound: `<nav>${list(today, hides, '<a target="_blank" href="https://tides.example/">Tide office (opens in a new tab)</a>')}</nav>${main}`,
  },
  {
    rule: 'zoom-prevented',
    style: 'a viewport that is fixed',
    head: '<title>Hides</title><meta name="viewport" content="width=device-width, user-scalable=no">',
    broken: main,
    sound: main,
    soundHead:
      '<title>Hides</title><meta name="viewport" content="width=device-width, initial-scale=1, maximum-scale=5">',
  },
];
