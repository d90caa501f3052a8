import { content, items, one, withPages, type SiteTwins } from './site-twins.samples.ts';

const nav = `<nav aria-label="Main"><ul>${items}</ul></nav>`;

export const focusTwins: readonly SiteTwins[] = [
  {
    rule: 'focus-on-invisible',
    style: 'a drawer that is put aside by a transform',
    broken: withPages(
      `<nav class="drawer"><ul>${items}</ul></nav>${content}`,
      '.drawer { position: fixed; inset: 0 auto 0 0; width: 16rem; transform: translateX(-100%) }',
    ),
    sound: withPages(
      `<nav class="drawer"><ul>${items}</ul></nav>${content}`,
      '.drawer { position: fixed; inset: 0 auto 0 0; width: 16rem; transform: translateX(-100%); visibility: hidden }',
    ),
  },
  {
    rule: 'focus-on-invisible',
    style: 'a panel of no height',
    broken: withPages(
      `<div class="menu"><div class="folded">${items.replaceAll('li', 'div')}</div></div>${content}`,
      '.folded { max-height: 0; overflow: hidden }',
    ),
    sound: withPages(
      `<div class="menu"><div class="folded">${items.replaceAll('li', 'div')}</div></div>${content}`,
      '.folded { max-height: 9rem; overflow: hidden }',
    ),
  },
  {
    rule: 'focus-on-invisible',
    style: 'a skip link that stays hidden',
    broken: one(
      `<a href="#m" class="skip">Skip to content</a>${nav}<main id="m"><h1>Hides</h1></main>`,
      '.skip { position: absolute; left: -999px }',
    ),
    sound: one(
      `<a href="#m" class="skip">Skip to content</a>${nav}<main id="m"><h1>Hides</h1></main>`,
      '.skip { position: absolute; left: -999px } .skip:focus { left: 1rem }',
    ),
  },
  {
    rule: 'focus-covered',
    style: 'a sticky bar, going back',
    broken: one(
      `<header class="bar"><nav>${items}</nav></header><main><h1>Hides</h1>${Array.from({ length: 24 }, (_, index) => `<p>Text</p><p><a href="/?a=${index}">More</a></p>`).join('')}</main>`,
      '.bar { position: sticky; top: 0; background: #fff; height: 160px }',
    ),
    sound: one(
      `<header class="bar"><nav>${items}</nav></header><main><h1>Hides</h1>${Array.from({ length: 24 }, (_, index) => `<p>Text</p><p><a href="/?a=${index}">More</a></p>`).join('')}</main>`,
      'html { scroll-padding-top: 200px } .bar { position: sticky; top: 0; background: #fff; height: 160px }',
    ),
  },
  {
    rule: 'focus-covered',
    style: 'a notice that lies over a menu',
    broken: withPages(
      `<nav class="row">${items}</nav><div class="over">Closed on Monday</div>${content}`,
      '.row { position: fixed; left: 0; bottom: 0 } .over { position: fixed; left: 0; bottom: 0; width: 100%; height: 12rem; background: #eee }',
    ),
    sound: withPages(
      `<nav class="row">${items}</nav><div class="over">Closed on Monday</div>${content}`,
      '.over { position: fixed; right: 0; bottom: 0; width: 9rem; height: 3rem; background: #eee }',
    ),
  },
  {
    rule: 'focus-trapped',
    style: 'a sidebar that keeps focus',
    broken: withPages(`<nav id="side"><ul>${items}</ul></nav>${content}<script>
      const links = [...document.querySelectorAll('#side a')];
      document.getElementById('side').addEventListener('keydown', (event) => {
        if (event.key !== 'Tab') return;
        event.preventDefault();
        const at = links.indexOf(document.activeElement) + (event.shiftKey ? -1 : 1);
        links[(at + links.length) % links.length].focus();
      });</script>`),
    sound: withPages(`<nav id="side"><ul>${items}</ul></nav>${content}`),
  },
  {
    rule: 'focus-navigates',
    style: 'a link that is followed by focus',
    broken: withPages(
      `<nav>${items.replace('href="/hides"', `href="/hides" onfocus="location.href = '/hides'"`)}</nav>${content}`,
    ),
    sound: withPages(
      `<nav>${items.replace('href="/hides"', 'href="/hides" onfocus="this.title = \'Hides\'"')}</nav>${content}`,
    ),
  },
  {
    rule: 'not-by-keyboard',
    style: 'spans with a handler',
    broken: withPages(
      `<header><div class="menu"><span onclick="location.href = '/hides'">Hides</span> <a href="/">Today</a> <a href="/tides">Tides</a></div></header>${content}`,
      'span { cursor: pointer }',
    ),
    sound: withPages(
      `<header><div class="menu" onclick="window.count = 1"><span>Marram Point</span> <a href="/">Today</a> <a href="/tides">Tides</a></div></header>${content}`,
    ),
  },
  {
    rule: 'not-by-keyboard',
    style: 'a link that is taken out of the order',
    broken: withPages(`<nav>${items.replace('<a href="/hides"', '<a tabindex="-1" href="/hides"')}</nav>${content}`),
    sound: withPages(
      `<nav><ul role="menubar">${items.replaceAll('<li>', '<li role="none">').replaceAll('<a ', '<a role="menuitem" tabindex="-1" ').replace('tabindex="-1"', 'tabindex="0"')}</ul></nav>${content}`,
    ),
  },
  {
    rule: 'focus-order',
    style: 'a row that is turned round',
    broken: withPages(
      `<nav><ul class="row">${items}</ul></nav>${content}`,
      '.row { display: flex; flex-direction: row-reverse; gap: 1rem; list-style: none }',
    ),
    sound: withPages(
      `<nav dir="rtl"><ul class="row">${items}</ul></nav>${content}`,
      '.row { display: flex; gap: 1rem; list-style: none }',
    ),
  },
  {
    rule: 'focus-order',
    style: 'a footer in columns',
    broken: withPages(
      `${content}<footer><nav><ul class="tall">${items}</ul></nav></footer>`,
      '.tall { display: grid } .tall li:last-child { order: -1 }',
    ),
    sound: withPages(
      `${content}<footer><nav><ul class="tall">${items}${items}</ul></nav></footer>`,
      '.tall { columns: 2 }',
    ),
  },
  {
    rule: 'focus-not-shown',
    style: 'no outline, and nothing instead',
    broken: withPages(`${nav}${content}`, 'a:focus { outline: none }'),
    sound: withPages(
      `${nav}${content}`,
      'a:focus { outline: none } a:focus-visible { background: #003300; color: #ffffff }',
    ),
  },
  {
    rule: 'focus-not-shown',
    style: 'an outline of the color of the paper',
    broken: withPages(
      `${nav}${content}`,
      'body { background: #fff } a:focus-visible { outline: 2px solid #fff; outline-offset: 1px }',
    ),
    sound: withPages(
      `${nav}${content}`,
      'body { background: #fff } a:focus-visible { outline: 2px solid #123; outline-offset: 1px }',
    ),
  },
  {
    rule: 'focus-hard-to-see',
    style: 'a pale ring',
    broken: withPages(`${nav}${content}`, 'body { background: #fff } a:focus-visible { outline: 2px solid #ccc }'),
    sound: withPages(`${nav}${content}`, 'body { background: #fff } a:focus-visible { outline: 2px solid #777 }'),
  },
  {
    rule: 'state-low-contrast',
    style: 'a link that goes pale under the mouse',
    broken: withPages(`${nav}${content}`, 'body { background: #fff } a { color: #234 } a:hover { color: #aaa }'),
    sound: withPages(`${nav}${content}`, 'body { background: #fff } a { color: #234 } a:hover { color: #555 }'),
  },
  {
    rule: 'skip-link-stays',
    style: 'a script that keeps the browser from going there',
    broken: withPages(
      `<a href="#content" onclick="event.preventDefault()">Skip to content</a>${nav}<div id="content"><h1>Hides</h1><p><a href="/?x">X</a></p></div>`,
    ),
    sound: withPages(
      `<a href="#content">Skip to content</a>${nav}<div id="content"><h1>Hides</h1><p><a href="/?x">X</a></p></div>`,
    ),
  },
];
