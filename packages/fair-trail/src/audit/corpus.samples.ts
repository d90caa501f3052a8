/** A page with one defect, and its twin without it. Hand-written, each in a style of its own. */
export interface Twins {
  readonly rule: string;
  readonly style: string;
  /** What stands in the body. */
  readonly broken: string;
  readonly sound: string;
  /** Of both. Default: that of the hides. */
  readonly url?: string;
  /** Of the head of both. Default: a title. */
  readonly head?: string;
  /** How many places are broken. Default: 1. */
  readonly count?: number;
}

const main = '<main><h1>Hides</h1><p>Four hides look over the marsh.</p></main>';

/** In all but one menu a link to the page itself has the mark. */
const list = (...items: readonly string[]) => `<ul>${items.map((item) => `<li>${item}</li>`).join('')}</ul>`;

const today = '<a href="/">Today</a>';
const hides = '<a href="/hides" aria-current="page">Hides</a>';
const tides = '<a href="/tides">Tides</a>';

export const corpus: readonly Twins[] = [
  {
    rule: 'link-without-name',
    style: 'a list with an icon from a stylesheet',
    broken: `<nav>${list(today, hides, '<a href="/search"><i class="glass"></i></a>')}</nav>${main}`,
    sound: `<nav>${list(today, hides, '<a href="/search"><i class="glass"></i><span style="position:absolute;clip-path:inset(50%);width:1px;height:1px;overflow:hidden">Search</span></a>')}</nav>${main}`,
  },
  {
    rule: 'link-without-name',
    style: 'bare divs, a picture without a text',
    broken: `<div><a href="/"><img src="data:," alt=""></a> <a href="/hides">Hides</a> <a href="/tides">Tides</a></div>${main}`,
    sound: `<div><a href="/"><img src="data:," alt="Home"></a> <a href="/hides">Hides</a> <a href="/tides">Tides</a></div>${main}`,
  },
  {
    rule: 'link-without-name',
    style: 'named by a text elsewhere, by a title, by a drawing',
    broken: `<nav><a href="/" aria-labelledby="nothing-here"><svg viewBox="0 0 9 9" width="30" height="30"><path d="M0 0h9v9"/></svg></a>${hides}</nav>${main}`,
    sound: `<nav><a href="/" aria-labelledby="home-word"><svg viewBox="0 0 9 9" width="30" height="30"></svg></a><span hidden id="home-word">Home</span><a href="/a" title="Map"><svg viewBox="0 0 9 9" width="30" height="30"></svg></a><a href="/b"><svg viewBox="0 0 9 9" width="30" height="30"><title>Bus</title></svg></a>${hides}</nav>${main}`,
  },
  {
    rule: 'control-without-name',
    style: 'a toggle of three strokes',
    broken: `<header><button aria-expanded="false"><span></span><span></span></button><nav>${list(today, hides, tides)}</nav></header>${main}`,
    sound: `<header><button aria-expanded="false" aria-label="Menu"><span></span><span></span></button><nav>${list(today, hides, tides)}</nav></header>${main}`,
  },
  {
    rule: 'control-without-name',
    style: 'details',
    broken: `<nav><details><summary></summary>${list(today, hides)}</details></nav>${main}`,
    sound: `<nav><details><summary>Pages</summary>${list(today, hides)}</details></nav>${main}`,
  },
  {
    rule: 'label-not-in-name',
    style: 'a link that is renamed',
    broken: `<nav>${list(today, hides, '<a href="/book" aria-label="Reservation form">Book a visit</a>')}</nav>${main}`,
    sound: `<nav>${list(today, hides, '<a href="/book" aria-label="Book a visit, opens a form">Book a visit</a>', '<button aria-label="Close">×</button>')}</nav>${main}`,
  },
  {
    rule: 'placeholder-link',
    style: 'a list',
    broken: `<nav>${list(today, hides, '<a href="#">Webcam</a>', '<a href="javascript:void(0)">Shop</a>')}</nav>${main}`,
    sound: `<nav>${list(today, hides, '<a href="#" role="button" aria-expanded="false">More</a>', '<a href="#">Back to top</a>', '<a href="#/webcam">Webcam</a>')}</nav>${main}`,
    count: 2,
  },
  {
    rule: 'dead-fragment',
    style: 'a skip link',
    broken: `<a href="#content">Skip to content</a><nav>${list(today, hides)}</nav>${main}`,
    sound: `<a href="#inhalt%20hier">Skip to content</a><a href="#top">Top</a><a href="#!/route">Route</a><a href="#old">Old</a><nav>${list(today, hides)}</nav><main id="inhalt hier"><h1>Hides</h1><a name="old"></a></main>`,
  },
  {
    rule: 'several-current-pages',
    style: 'a list that marks the section as a page too',
    broken: `<nav>${list('<a href="/marsh" aria-current="page">Marsh</a>', hides, tides)}</nav>${main}`,
    sound: `<nav>${list('<a href="/marsh" aria-current="true">Marsh</a>', hides, tides)}</nav><nav aria-label="Trail"><a href="/">Today</a> <a href="/hides" aria-current="page">Hides</a></nav>${main}`,
  },
  {
    rule: 'several-current-pages',
    style: 'a picture and its words that lead to one page',
    broken: `<div role="navigation"><div><a aria-current="page" href="/hides">Hides</a></div><div><a aria-current="page" href="/tides">Tides</a></div></div>${main}`,
    sound: `<div role="navigation"><a aria-current="page" href="/hides"><img src="data:," alt="Hides"></a><a aria-current="page" href="/hides">Hides</a></div>${main}`,
  },
  {
    rule: 'mark-on-another-page',
    style: 'a mark that is frozen on the first item',
    broken: `<nav>${list('<a href="/" aria-current="page">Today</a>', '<a href="/hides">Hides</a>')}</nav>${main}`,
    sound: `<nav>${list(today, '<a href="/hides/index.html" aria-current="page">Hides</a>')}</nav>${main}`,
  },
  {
    rule: 'mark-on-another-page',
    style: 'an app that keeps its pages behind the hash',
    broken: `<nav>${list('<a href="#/" aria-current="page">Today</a>', '<a href="#/hides">Hides</a>')}</nav>${main}`,
    sound: `<nav>${list('<a href="#/">Today</a>', '<a href="#/hides" aria-current="page">Hides</a>')}</nav>${main}`,
    url: 'https://marram.example/app#/hides',
  },
  {
    rule: 'unknown-current-value',
    style: 'a yes',
    broken: `<nav>${list(today, '<a href="/hides" aria-current="yes">Hides</a>')}</nav>${main}`,
    sound: `<nav>${list(today, '<a href="/hides" aria-current="location">Hides</a>', '<a href="/x" aria-current="">X</a>')}</nav>${main}`,
  },
  {
    rule: 'expanded-value-unknown',
    style: 'a toggle',
    broken: `<header><button aria-expanded="open">Menu</button><nav>${list(today, hides)}</nav></header>${main}`,
    sound: `<header><button aria-expanded="TRUE">Menu</button><nav>${list(today, hides)}</nav></header>${main}`,
  },
  {
    rule: 'focus-in-hidden',
    style: 'an icon that is a link too',
    broken: `<nav><span aria-hidden="true"><a href="/">→</a></span>${list(hides, tides)}</nav>${main}`,
    sound: `<nav><span aria-hidden="true"><a href="/" tabindex="-1" inert>→</a></span><div aria-hidden="true" style="display:none"><a href="/x">X</a></div>${list(hides, tides)}</nav>${main}`,
  },
  {
    rule: 'landmarks-alike',
    style: 'header and footer',
    broken: `<nav>${list(today, hides)}</nav>${main}<nav>${list('<a href="/about">About</a>')}</nav>`,
    sound: `<nav>${list(today, hides)}</nav>${main}<nav aria-label="Footer">${list('<a href="/about">About</a>')}</nav><nav hidden>${list(tides)}</nav>`,
  },
  {
    rule: 'tab-outside-tablist',
    style: 'tabs by their role alone',
    broken: `<nav>${list(today, hides, tides)}</nav><main><h1>Hides</h1><div><button role="tab" aria-selected="true">Map</button></div></main>`,
    sound: `<nav>${list(today, hides, tides)}</nav><main><h1>Hides</h1><ul role="tablist"><li role="presentation"><button role="tab" aria-selected="true">Map</button></li></ul></main>`,
  },
  {
    rule: 'several-tabs-selected',
    style: 'buttons',
    broken: `<main><h1>Hides</h1><div role="tablist"><button role="tab" aria-selected="true">Map</button><button role="tab" aria-selected="true">List</button></div></main>`,
    sound: `<main><h1>Hides</h1><div role="tablist"><button role="tab" aria-selected="true">Map</button><button role="tab" aria-selected="false">List</button></div><div role="tablist" aria-multiselectable="true"><button role="tab" aria-selected="true">A</button><button role="tab" aria-selected="true">B</button></div></main>`,
  },
  {
    rule: 'menu-without-items',
    style: 'a list of links that says it is a menu',
    broken: `<nav><ul role="menu"><li><a href="/">Today</a></li><li><a href="/hides" aria-current="page">Hides</a></li></ul></nav>${main}`,
    sound: `<nav><ul role="menubar"><li role="none"><a role="menuitem" href="/">Today</a></li></ul><div role="menu"></div>${hides}</nav>${main}`,
  },
  {
    rule: 'control-in-control',
    style: 'a button in a link',
    broken: `<nav>${list(today, hides, '<a href="/tides">Tides <button>More</button></a>')}</nav>${main}`,
    sound: `<nav>${list(today, hides, '<a href="/tides">Tides</a> <button>More</button>')}</nav>${main}`,
  },
  {
    rule: 'small-target',
    style: 'signs in a row',
    broken: `<nav><a href="/" style="display:inline-block;width:16px;height:16px;overflow:hidden">A</a><a href="/hides" aria-current="page" style="display:inline-block;width:16px;height:16px">B</a></nav>${main}`,
    sound: `<nav><a href="/" style="display:inline-block;width:16px;height:16px;margin:10px">A</a><a href="/hides" aria-current="page" style="display:inline-block;width:16px;height:16px;margin:10px">B</a><p>See <a href="/x">here</a> and <a href="/y">there</a>.</p><ul><li><a href="/m">Plain</a></li><li><a href="/n">Plain too</a></li></ul></nav>${main}`,
    count: 2,
  },
  {
    rule: 'low-contrast',
    style: 'grey on white, and a label on a picture',
    broken: `<nav style="background:#fff">${list('<a href="/" style="color:#999">Today</a>', hides)}</nav>${main}`,
    sound: `<nav style="background:#fff">${list('<a href="/" style="color:#767676">Today</a>', '<a href="/b" style="color:#949494;font-size:24px">Big</a>', hides)}</nav><nav aria-label="On a picture" style="background:linear-gradient(#000,#222)"><a href="/c" style="color:#fff">Sky</a></nav>${main}`,
  },
  {
    rule: 'page-without-title',
    style: 'an empty title',
    broken: main,
    sound: main,
    head: '',
  },
  {
    rule: 'no-way-past',
    style: 'divs all the way down',
    broken: `<div><nav>${list(today, hides)}</nav></div><div>Four hides look over the marsh.</div>`,
    sound: `<a href="#text">Skip</a><div><nav>${list(today, hides)}</nav></div><div id="text">Four hides look over the marsh.</div>`,
  },
];
