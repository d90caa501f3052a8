import { content, items, samplePage, withPages, type SiteTwins } from './site-twins.samples.ts';

const nav = (list = items) => `<nav aria-label="Main"><ul class="row">${list}</ul></nav>${content}`;
const row = '.row { display: flex; gap: 1rem; list-style: none; margin: 0; padding: 0 }';
const many = ['Today', 'Species', 'Hides', 'Ringing log', 'Tide tables', 'Visits', 'Support us', 'About']
  .map((label) => `<li><a href="/?${label.length}${label[0] ?? ''}">${label}</a></li>`)
  .join('');
const pages = (
  first: string,
  second: string,
  titles = ['Today · Marram Point', 'Hides · Marram Point'],
  narrowStyle = '',
) => {
  const style = `${row} @media (max-width: 600px) { #s:not(.open) { display: none } ${narrowStyle} } @media (min-width: 601px) { #b { display: none } }`;
  return { '/': samplePage(first, style, titles[0]), '/hides': samplePage(second, style, titles[1]) };
};
const sidebar = (isOpen: boolean) => `
  <button id="b" aria-expanded="false" aria-controls="s">Menu</button>
  <nav id="s" aria-label="Main"><ul>
    <li><a href="/">Today</a></li>
    <li><button id="o" aria-expanded="${isOpen}" aria-controls="g">Watch</button>
      <ul id="g"${isOpen ? '' : ' hidden'}><li><a href="/hides">Hides</a></li><li><a href="/?nets">Nets</a></li></ul></li>
  </ul></nav>
  <script>
    b.onclick = () => b.setAttribute('aria-expanded', String(s.classList.toggle('open')));
    o.onclick = () => { g.hidden = !g.hidden; o.setAttribute('aria-expanded', String(!g.hidden)); };
  </script>`;
const header = (list: string) => `<header><nav aria-label="Main"><ul class="row">${list}</ul></nav></header>`;
const three = [
  '<li><a href="/">Today</a></li>',
  '<li><a href="/hides">Hides</a></li>',
  '<li><a href="/?t">Tides</a></li>',
] as const;
const marked = (at: number) =>
  three.map((item, index) => (index === at ? item.replace('<a ', '<a aria-current="page" ') : item)).join('');

export const fitTwins: readonly SiteTwins[] = [
  {
    rule: 'menu-outside-window',
    style: 'a row that neither wraps nor scrolls',
    broken: withPages(nav(many), `${row} .row { white-space: nowrap }`),
    sound: withPages(nav(many), `${row} .row { white-space: nowrap; overflow-x: auto }`),
    widths: [320],
  },
  {
    rule: 'menu-outside-window',
    style: 'a page that cuts off what is too wide',
    broken: withPages(nav(many), `${row} .row { white-space: nowrap } body { overflow-x: hidden }`),
    sound: withPages(nav(many), `${row} .row { flex-wrap: wrap } body { overflow-x: hidden }`),
    widths: [320],
  },
  {
    rule: 'labels-overlap',
    style: 'cells of a fixed width',
    broken: withPages(
      nav(many),
      '.row { display: grid; grid-template-columns: repeat(8, 40px); list-style: none; padding: 0 } a { white-space: nowrap }',
    ),
    sound: withPages(
      nav(many),
      '.row { display: grid; grid-template-columns: repeat(8, max-content); gap: 1rem; list-style: none; padding: 0 }',
    ),
  },
  {
    rule: 'label-cut',
    style: 'boxes of a fixed width that hide the rest',
    broken: withPages(
      nav('<li><a href="/?x">Observations of the year</a></li>'),
      `${row} a { display: block; width: 90px; overflow: hidden; white-space: nowrap }`,
    ),
    sound: withPages(
      nav('<li><a href="/?x">Observations of the year</a></li>'),
      `${row} a { display: block; width: 90px; overflow: hidden; white-space: nowrap; text-overflow: ellipsis }`,
    ),
  },
  {
    rule: 'text-spacing-breaks',
    style: 'boxes that are just as wide as their labels',
    broken: withPages(
      nav('<li><a href="/?x">Observations</a></li><li><a href="/?y">Hides</a></li>'),
      `${row} a { display: block; width: 92px; height: 20px; overflow: hidden; font: 16px/20px sans-serif }`,
    ),
    sound: withPages(
      nav('<li><a href="/?x">Observations</a></li><li><a href="/?y">Hides</a></li>'),
      `${row} a { display: block; min-width: 92px; min-height: 20px; font: 16px/20px sans-serif }`,
    ),
  },
  {
    rule: 'large-text-breaks',
    style: 'a bar of a fixed height',
    broken: withPages(
      nav(),
      `${row}  a { height: 16px; display: block; overflow: hidden; font: 16px/16px sans-serif }`,
    ),
    sound: withPages(nav(), `${row} a { display: block; min-height: 24px; font: 1rem/1.5 sans-serif }`),
  },
  {
    rule: 'bar-takes-window',
    style: 'a pinned bar with a large logo',
    broken: withPages(
      `<header>${nav().replace('</nav>', '</nav></header>')}`,
      `${row} header { position: sticky; top: 0; height: 150px; background: #fff }`,
    ),
    sound: withPages(
      `<header>${nav().replace('</nav>', '</nav></header>')}`,
      `${row} header { height: 150px; background: #fff } @media (min-height: 30em) { header { position: sticky; top: 0 } }`,
    ),
    widths: [320],
  },
  {
    rule: 'motion-goes-on',
    style: 'a drawer that slides',
    broken: withPages(
      `<header><button id="b" aria-expanded="false">Menu</button><nav id="m"><ul>${items}</ul></nav></header>${content}<script>b.onclick = () => { m.classList.toggle('open'); b.setAttribute('aria-expanded', String(m.classList.contains('open'))); };</script>`,
      '#m { visibility: hidden; transform: translateX(-100%); transition: transform 0.8s, visibility 0.8s } #m.open { visibility: visible; transform: none }',
    ),
    sound: withPages(
      `<header><button id="b" aria-expanded="false">Menu</button><nav id="m"><ul>${items}</ul></nav></header>${content}<script>b.onclick = () => { m.classList.toggle('open'); b.setAttribute('aria-expanded', String(m.classList.contains('open'))); };</script>`,
      '#m { visibility: hidden; transform: translateX(-100%); transition: transform 0.8s, visibility 0.8s } #m.open { visibility: visible; transform: none } @media (prefers-reduced-motion: reduce) { #m { transition: none } }',
    ),
  },
  {
    rule: 'menu-order-differs',
    pages: 2,
    style: 'the current item first',
    broken: pages(
      header(marked(0)) + content,
      header(three[1].replace('<a ', '<a aria-current="page" ') + three[0] + three[2]) + content,
    ),
    sound: pages(header(marked(0)) + content, header(marked(1)) + content),
  },
  {
    rule: 'names-differ',
    pages: 2,
    style: 'two copies of a menu',
    broken: pages(header(marked(0)) + content, header(marked(1).replace('Tides', 'Water levels')) + content),
    sound: pages(header(marked(0)) + content, header(marked(1).replace('Hides', 'Hides (this page)')) + content),
  },
  {
    rule: 'narrow-menu-lacks',
    style: 'two copies, one of them too short',
    broken: withPages(
      `<nav aria-label="Main" class="wide"><ul>${items}</ul></nav><nav aria-label="Main" class="narrow"><ul><li><a href="/">Today</a></li></ul></nav>${content}`,
      '.narrow { display: none } @media (max-width: 600px) { .wide { display: none } .narrow { display: block } }',
    ),
    sound: withPages(
      `<header><button id="b" aria-expanded="false">Menu</button><nav id="m"><ul>${items}</ul></nav></header>${content}<script>b.onclick = () => { m.classList.toggle('open'); b.setAttribute('aria-expanded', String(m.classList.contains('open'))); };</script>`,
      '#b { display: none } @media (max-width: 600px) { #b { display: block } #m:not(.open) { display: none } }',
    ),
    widths: [320, 800],
  },
  {
    rule: 'narrow-menu-lacks',
    pages: 2,
    style: 'a sidebar behind a button, with a group that is open on its own pages alone',
    broken: pages(sidebar(false) + content, sidebar(true) + content, undefined, '#g li + li { display: none }'),
    sound: pages(sidebar(false) + content, sidebar(true) + content),
    widths: [320, 800],
  },
  {
    rule: 'titles-same',
    pages: 2,
    style: 'the name of the site on every page',
    broken: pages(header(marked(0)) + content, header(marked(1)) + content.replace('<h1>Hides', '<h1>Tides'), [
      'Marram Point',
      'Marram Point',
    ]),
    sound: pages(header(marked(0)) + content, header(marked(1)) + content.replace('<h1>Hides', '<h1>Tides')),
  },
  {
    rule: 'mark-moves-row',
    pages: 2,
    style: 'a bold label',
    broken: {
      '/': samplePage(header(marked(-1)) + content, `${row} [aria-current] { font-size: 1.5em }`),
      '/hides': samplePage(header(marked(1)) + content, `${row} [aria-current] { font-size: 1.5em }`),
    },
    sound: {
      '/': samplePage(header(marked(0)) + content, `${row} [aria-current] { text-decoration: none; background: #dfd }`),
      '/hides': samplePage(
        header(marked(1)) + content,
        `${row} [aria-current] { text-decoration: none; background: #dfd }`,
      ),
    },
  },
  {
    rule: 'dead-link',
    style: 'a page that was taken away',
    broken: {
      '/': samplePage(header(three.join('') + '<li><a href="/gone">Gone</a></li>') + content),
      '/hides': samplePage(''),
    },
    sound: { '/': samplePage(header(three.join('')) + content), '/hides': samplePage('') },
  },
];
