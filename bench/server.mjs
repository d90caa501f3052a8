/** Rendering bar, breadcrumbs and footer on a server, against bare React printing the same document. */
process.env['NODE_ENV'] = 'production';
const { createElement } = await import('react');
const { renderToString } = await import('react-dom/server');
const { JSDOM } = await import('jsdom');
const { defineSite } = await import('fair-trail');
const { Breadcrumbs, FooterNav, Navbar, Trail } = await import('fair-trail/react');
const { tellCompared } = await import('./in-browser.mjs');

const entries = Array.from({ length: 6 }, (_, section) => ({
  id: `s${section}`,
  label: `Section ${section}`,
  href: `/s${section}`,
  entries: Array.from({ length: 6 }, (__, page) => ({
    id: `s${section}-p${page}`,
    label: `Page ${section}.${page}`,
    href: `/s${section}/p${page}`,
  })),
}));
const menu = entries.map(({ id }) => ({ entry: id, depth: 2 }));
const site = defineSite({ name: 'B', entries, menus: { main: menu, footer: menu } });
// A server has one site, and each request another address.
const urls = Array.from({ length: 36 }, (_, index) => `/s${index % 6}/p${Math.floor(index / 6)}`);

const appAt = (url) =>
  createElement(Trail, { site, url }, createElement(Navbar), createElement(Breadcrumbs), createElement(FooterNav));

const reactNames = { class: 'className', tabindex: 'tabIndex' };

function shapeOf(node) {
  if (node.nodeType !== 1) return node.textContent;
  const props = [...node.attributes].map(({ name, value }) => [reactNames[name] ?? name, value]);
  return { tag: node.localName, props: Object.fromEntries(props), children: [...node.childNodes].map(shapeOf) };
}

function print(shape, key) {
  if (typeof shape === 'string') return shape;
  return createElement(shape.tag, { ...shape.props, key }, ...shape.children.map(print));
}

const Bare = ({ shapes }) => shapes.map(print);
const shapesAt = new Map(
  urls.map((url) => [url, [...new JSDOM(renderToString(appAt(url))).window.document.body.childNodes].map(shapeOf)]),
);

function timeOf(make) {
  const start = performance.now();
  for (const url of urls) renderToString(make(url));
  return (performance.now() - start) / urls.length;
}

export function benchServer() {
  const times = { library: [], hand: [], again: [] };
  const bare = (url) => createElement(Bare, { shapes: shapesAt.get(url) });
  for (let round = 0; round < 60; round += 1) {
    times.library.push(timeOf(appAt));
    times.hand.push(timeOf(bare));
    times.again.push(timeOf(bare));
  }
  tellCompared(times, 1.5, 'a server rendering bar, breadcrumbs and footer against bare React');
}
