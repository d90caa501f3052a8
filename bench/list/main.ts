/** Making a bar of a list of 100 links: by the custom element, and by a script by hand that does as much. */
import 'fair-trail/elements';
import 'fair-trail/styles.css';

const groups = Array.from({ length: 10 }, (_, group) => {
  const pages = Array.from({ length: 9 }, (__, page) => `<li><a href="/g${group}/p${page}">Page ${page}</a></li>`);
  return `<li><a href="/g${group}">Group ${group}</a><ul>${pages.join('')}</ul></li>`;
});
const html = `<nav aria-label="Main"><ul>${groups.join('')}</ul></nav>`;

const app = document.getElementById('app');
if (!app) throw new Error('There is no element with the id "app".');

let count = 0;

/** The same document, marks, toggle, panels, keys and room, as someone would write them for this one list. */
function byHand(holder: HTMLElement): void {
  const id = `hand-${(count += 1)}`;
  const make = (tag: string, attributes: Readonly<Record<string, string>>, ...children: readonly Node[]) => {
    const element = document.createElement(tag);
    for (const [name, value] of Object.entries(attributes)) element.setAttribute(name, value);
    element.append(...children);
    return element;
  };
  const navigation = holder.querySelector('nav');
  const list = navigation?.querySelector('ul');
  if (!navigation || !list) return;
  const path = (pathname: string) => pathname.replace(/(?:\/index)?\.html?$/u, '').replace(/\/$/u, '') || '/';
  const here = path(location.pathname);
  const open = (trigger: Element | null) => {
    for (const other of holder.querySelectorAll('.ft-panel-trigger')) {
      other.setAttribute('aria-expanded', String(other === trigger && other.getAttribute('aria-expanded') === 'false'));
    }
  };
  list.className = 'ft-menu';
  list.setAttribute('role', 'list');
  const wrap = (link: HTMLAnchorElement) => {
    const label = make('span', { class: 'ft-label' }, ...link.childNodes);
    link.classList.add('ft-link');
    link.append(label);
    const own = path(link.pathname);
    if (own === here) link.setAttribute('aria-current', 'page');
    else if (own !== '/' && here.startsWith(`${own}/`)) link.setAttribute('aria-current', 'true');
  };
  for (const [index, item] of [...list.children].entries()) {
    item.classList.add('ft-menu-item');
    const link = item.querySelector('a');
    const nested = item.querySelector('ul');
    if (link) wrap(link);
    if (!nested || !link) continue;
    nested.className = 'ft-menu';
    nested.setAttribute('role', 'list');
    for (const below of nested.children) below.classList.add('ft-menu-item');
    for (const below of nested.querySelectorAll('a')) wrap(below);
    const text = link.textContent;
    item.setAttribute('data-ft-item', String(index));
    const sign = make('span', { class: 'ft-panel-sign', 'aria-hidden': 'true' });
    const trigger = make(
      'button',
      {
        class: 'ft-panel-trigger',
        type: 'button',
        'aria-expanded': 'false',
        'aria-controls': `${id}-${index}`,
        'aria-label': `Pages in ${text}`,
      },
      sign,
    );
    trigger.addEventListener('click', () => open(trigger));
    const content = make('div', { class: 'ft-panel-content' }, nested);
    item.append(
      trigger,
      make('div', { class: 'ft-panel', id: `${id}-${index}`, 'data-ft-form': 'list', 'data-ft-label': text }, content),
    );
  }
  const sign = make('span', { class: 'ft-toggle-sign', 'aria-hidden': 'true' });
  const word = make('span', { class: 'ft-label' }, document.createTextNode('Menu'));
  const toggle = make(
    'button',
    { class: 'ft-toggle', type: 'button', 'aria-expanded': 'false', 'aria-controls': id },
    sign,
    word,
  );
  toggle.addEventListener('click', () => {
    toggle.setAttribute('aria-expanded', String(toggle.getAttribute('aria-expanded') === 'false'));
  });
  navigation.classList.add('ft-bar-navigation');
  navigation.append(toggle, make('div', { class: 'ft-bar-panel', id }, list));
  const letters = list.textContent.length;
  const row = make(
    'div',
    { class: 'ft-bar-row', 'data-ft-row': '', 'data-ft-room': String(Math.ceil(letters / 2)), 'data-ft-form': 'panel' },
    navigation,
  );
  holder.append(make('header', { class: 'ft-bar' }, make('div', { class: 'ft-bar-room' }, row)));
  list.addEventListener('keydown', (event) => {
    if (!/^Arrow(?:Left|Right|Up|Down)$|^(?:Home|End)$/u.test(event.key)) return;
    const links = [...list.querySelectorAll<HTMLElement>('a, button')].filter((one) => one.checkVisibility());
    const at = links.indexOf(document.activeElement as HTMLElement);
    links[(at + (/Left|Up/u.test(event.key) ? links.length - 1 : 1)) % links.length]?.focus();
    event.preventDefault();
  });
  const leave = (event: Event) => {
    if (event instanceof KeyboardEvent ? event.key === 'Escape' : !holder.contains(event.target as Node)) open(null);
  };
  document.addEventListener('keydown', leave);
  document.addEventListener('pointerdown', leave);
  const observer = new ResizeObserver(() => {
    if (row.scrollWidth > row.clientWidth) row.setAttribute('data-ft-room', 'never');
  });
  observer.observe(row);
  ends.push(() => {
    observer.disconnect();
    document.removeEventListener('keydown', leave);
    document.removeEventListener('pointerdown', leave);
  });
}

const ends: (() => void)[] = [];

/** From the list in the document to the bar in it, in script. */
async function timeOf(version: 'library' | 'hand'): Promise<number> {
  const holder = document.createElement(version === 'library' ? 'trail-bar' : 'div');
  holder.innerHTML = html;
  const start = performance.now();
  app?.append(holder);
  if (version === 'hand') byHand(holder);
  // The element draws once what is under way has ended.
  await Promise.resolve();
  const time = performance.now() - start;
  if (!holder.querySelector('.ft-bar')) throw new Error('There is no bar.');
  await new Promise((resolve) => setTimeout(resolve));
  holder.remove();
  for (const end of ends.splice(0)) end();
  await new Promise((resolve) => setTimeout(resolve));
  return time;
}

const median = (times: readonly number[]) =>
  times.toSorted((one, other) => one - other)[Math.floor(times.length / 2)] ?? 0;

async function measure(rounds = 200) {
  const times = { library: [] as number[], hand: [] as number[], again: [] as number[] };
  for (let round = 0; round < rounds; round += 1) {
    times.library.push(await timeOf('library'));
    times.hand.push(await timeOf('hand'));
    times.again.push(await timeOf('hand'));
  }
  const of = (values: readonly number[]) => median(values.slice(Math.floor(rounds / 4)));
  return { library: of(times.library), hand: of(times.hand), again: of(times.again) };
}

Object.assign(window, { measure });
