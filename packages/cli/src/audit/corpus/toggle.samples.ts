import { content, items, withPages, type SiteTwins } from './site-twins.samples.ts';

/** A button and what it opens; the script is what the twins differ in. */
const menu = (script: string, button = '<button id="b" aria-expanded="false" aria-controls="m">Menu</button>') =>
  `<header>${button}<nav id="m" hidden><ul>${items}</ul></nav></header>${content}<script>
    const b = document.getElementById('b'), m = document.getElementById('m');
    ${script}</script>`;
const flip = 'm.hidden = !m.hidden;';
const tell = 'b.setAttribute("aria-expanded", String(!m.hidden));';
const works = `b.addEventListener('click', () => { ${flip} ${tell} });`;
/** Over the page, and closed by Escape. */
const floating =
  'header { position: relative } #m { position: absolute; top: 100%; left: 0; background: #fff; padding: 1rem; width: 20rem }';
const escape = `document.addEventListener('keydown', (event) => { if (event.key === 'Escape' && !m.hidden) { m.hidden = true; ${tell} b.focus(); } });`;

/** A menu over the whole window. */
const overlayStyle =
  '#m { position: fixed; inset: 4rem 0 0; background: #fff; overflow: auto } #m:not([hidden]) { display: block } header { position: relative; z-index: 2 } .quiet { overflow: hidden }';

export const toggleTwins: readonly SiteTwins[] = [
  {
    rule: 'toggle-does-nothing',
    style: 'a button that no one listens to',
    broken: withPages(menu('')),
    sound: withPages(menu(works)),
  },
  {
    rule: 'toggle-does-nothing',
    style: 'a state that nothing is drawn from',
    broken: withPages(
      menu(
        `b.addEventListener('click', () => { b.setAttribute('aria-expanded', String(b.getAttribute('aria-expanded') === 'false')); });`,
      ),
    ),
    sound: withPages(menu(`b.addEventListener('click', () => setTimeout(() => { ${flip} ${tell} }, 400));`)),
  },
  {
    rule: 'toggle-does-nothing',
    style: 'an icon without aria-expanded',
    broken: withPages(menu('', '<button id="b" aria-label="Open menu">☰</button>')),
    sound: withPages(menu(works, '<button id="b" aria-label="Open menu">☰</button>')),
  },
  {
    rule: 'toggle-state-frozen',
    style: 'a state that is written once',
    broken: withPages(menu(`b.addEventListener('click', () => { ${flip} });`)),
    sound: withPages(menu(works)),
  },
  {
    rule: 'toggle-state-frozen',
    style: 'a state that stays when it closes',
    broken: withPages(menu(`b.addEventListener('click', () => { ${flip} b.setAttribute('aria-expanded', 'true'); });`)),
    sound: withPages(`<nav><details><summary>Menu</summary><ul>${items}</ul></details></nav>${content}`),
  },
  {
    rule: 'toggle-without-state',
    style: 'a button that says nothing of a state',
    broken: withPages(menu(`b.addEventListener('click', () => { ${flip} });`, '<button id="b">Menu</button>')),
    sound: withPages(
      `<header><button popovertarget="m">Menu</button><nav id="m" popover><ul>${items}</ul></nav></header>${content}`,
    ),
  },
  {
    rule: 'toggle-mouse-only',
    style: 'a div that is pressed',
    broken: withPages(menu(works, '<div id="b" role="button" tabindex="0" aria-expanded="false">Menu</div>')),
    sound: withPages(
      menu(
        `${works} b.addEventListener('keydown', (event) => { if (event.key === 'Enter' || event.key === ' ') { event.preventDefault(); b.click(); } });`,
        '<div id="b" role="button" tabindex="0" aria-expanded="false">Menu</div>',
      ),
    ),
  },
  {
    rule: 'toggle-mouse-only',
    style: 'a bare span with three strokes',
    broken: withPages(
      menu(
        works,
        '<span id="b"><svg width="30" height="30"><path d="M0 5h30M0 15h30M0 25h30" stroke="#000"/></svg></span>',
      ),
    ),
    sound: withPages(
      menu(
        works,
        '<button id="b" aria-label="Menu" aria-expanded="false"><svg width="30" height="30"><path d="M0 5h30M0 15h30M0 25h30" stroke="#000"/></svg></button>',
      ),
    ),
  },
  {
    rule: 'toggle-mouse-only',
    style: 'a label of a box that is not there, without a script',
    broken: withPages(
      `<header><input type="checkbox" id="open"><label for="open">Menu</label><nav><ul>${items}</ul></nav></header>${content}`,
      '#open { display: none } nav { display: none } #open:checked ~ nav { display: block }',
    ),
    sound: withPages(
      `<header><input type="checkbox" id="open"><label for="open">Menu</label><nav><ul>${items}</ul></nav></header>${content}`,
      '#open { position: absolute; opacity: 0 } #open:focus-visible + label { outline: 2px solid #123 } nav { display: none } #open:checked ~ nav { display: block }',
    ),
  },
  {
    rule: 'toggle-one-key',
    style: 'a div that knows Enter alone',
    broken: withPages(
      menu(
        `${works} b.addEventListener('keydown', (event) => { if (event.key === 'Enter') b.click(); });`,
        '<div id="b" role="button" tabindex="0" aria-expanded="false">Menu</div>',
      ),
    ),
    sound: withPages(menu(works)),
  },
  {
    rule: 'toggle-not-by-touch',
    style: 'a press of the mouse alone',
    broken: withPages(
      menu(
        `b.addEventListener('pointerdown', (event) => { if (event.pointerType === 'mouse') { ${flip} ${tell} } }); b.addEventListener('keydown', (event) => { if (event.key === 'Enter' || event.key === ' ') { ${flip} ${tell} } });`,
      ),
    ),
    sound: withPages(menu(works)),
  },
  {
    rule: 'toggle-stays-open',
    style: 'a button that only opens',
    broken: withPages(menu(`b.addEventListener('click', () => { m.hidden = false; ${tell} });`), floating),
    sound: withPages(menu(`${works}${escape}`), floating),
  },
  {
    rule: 'escape-ignored',
    style: 'a panel that lies over the text',
    broken: withPages(menu(works), floating),
    sound: withPages(menu(`${works}${escape}`), floating),
  },
  {
    rule: 'focus-lost-on-closing',
    style: 'a panel that takes focus with it',
    broken: withPages(
      menu(
        `${works} document.addEventListener('keydown', (event) => { if (event.key === 'Escape') { m.hidden = true; ${tell} } });`,
      ),
      floating,
    ),
    sound: withPages(menu(`${works}${escape}`), floating),
  },
  {
    rule: 'panel-out-of-window',
    style: 'a pinned menu that is longer than the window',
    broken: withPages(
      menu(`${works}${escape}`),
      'header { position: fixed; top: 0; width: 100%; background: #fff } li { height: 320px }',
    ),
    sound: withPages(
      menu(`${works}${escape}`),
      'header { position: fixed; top: 0; width: 100%; background: #fff } li { height: 320px } #m { max-height: 60vh; overflow: auto }',
    ),
  },
  {
    rule: 'panel-out-of-window',
    style: 'a panel that leaves the window on its left',
    broken: withPages(
      `<header><div class="at"><button id="b" aria-expanded="false">More</button><div id="m" hidden>${items}</div></div></header>${content}<script>const b = document.getElementById('b'), m = document.getElementById('m'); ${works}${escape}</script>`,
      '.at { position: relative; width: 6rem } #m { position: absolute; right: 0; width: 30rem; background: #fff }',
    ),
    sound: withPages(
      `<header><div class="at"><button id="b" aria-expanded="false">More</button><div id="m" hidden>${items}</div></div></header>${content}<script>const b = document.getElementById('b'), m = document.getElementById('m'); ${works}${escape}</script>`,
      '.at { position: relative; width: 6rem } #m { position: absolute; left: 0; width: 18rem; background: #fff }',
    ),
  },
  {
    rule: 'overlay-leaves-page',
    style: 'a menu over the window, the page behind it alive',
    broken: withPages(
      menu(`${works}${escape}`).replace('<h1>Hides</h1>', '<h1>Hides</h1><p><a href="/?first">First</a></p>'),
      overlayStyle,
    ),
    sound: withPages(
      menu(
        `b.addEventListener('click', () => { ${flip} ${tell} document.querySelector('main').inert = !m.hidden; document.documentElement.classList.toggle('quiet', !m.hidden); });${escape}`,
      ).replace('<h1>Hides</h1>', '<h1>Hides</h1><p><a href="/?first">First</a></p>'),
      overlayStyle,
    ),
  },
  {
    rule: 'overlay-scrolls-page',
    style: 'a menu over the window, the page behind it loose',
    broken: withPages(
      menu(
        `b.addEventListener('click', () => { ${flip} ${tell} document.querySelector('main').inert = !m.hidden; });${escape}`,
      ),
      overlayStyle,
    ),
    sound: withPages(
      menu(
        `b.addEventListener('click', () => { ${flip} ${tell} document.querySelector('main').inert = !m.hidden; document.documentElement.classList.toggle('quiet', !m.hidden); });${escape}`,
      ),
      overlayStyle,
    ),
  },
  {
    rule: 'opening-moves-page',
    style: 'a panel over the page that pushes the bar',
    broken: withPages(
      menu(
        `b.addEventListener('click', () => { ${flip} ${tell} document.body.style.paddingTop = m.hidden ? '' : '30px'; });${escape}`,
      ).replace('<button', '<a href="/?brand">Marram</a> <button'),
      floating,
    ),
    sound: withPages(menu(`${works}${escape}`).replace('<button', '<a href="/?brand">Marram</a> <button'), floating),
  },
  {
    rule: 'choice-navigates',
    style: 'a list of pages to choose from',
    broken: withPages(
      `<header><select aria-label="Page" onchange="location.href = this.value"><option value="/">Today</option><option value="/hides">Hides</option></select></header>${content}`,
    ),
    sound: withPages(
      `<header><form><select aria-label="Page"><option>Today</option><option>Hides</option></select><button>Go</button></form></header>${content}`,
    ),
  },
];
