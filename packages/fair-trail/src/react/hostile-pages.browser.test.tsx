import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { page, server, userEvent } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { nested } from '../testing/sites.ts';
import sheet from '../styles/index.css?inline';
import { mount, SampleApp } from './mount.samples.tsx';

/** Pages that do to their components what pages do. Each test says what must hold there. */

const navigation = page.getByRole('navigation', { name: 'Main' });
const link = (name: string) => navigation.getByRole('link', { name, exact: true });
const hides = navigation.getByRole('button', { name: 'Pages in Hides' });
const html = (locator: { element: () => Element }) => locator.element() as HTMLElement;
const box = (locator: { element: () => Element }) => locator.element().getBoundingClientRect();

const added: Element[] = [];
const errors: unknown[] = [];
const onError = (event: ErrorEvent) => errors.push(event.message);

function addStyle(text: string): void {
  const style = document.createElement('style');
  style.textContent = text;
  document.head.append(style);
  added.push(style);
}

beforeEach(() => window.addEventListener('error', onError));
afterEach(() => {
  window.removeEventListener('error', onError);
  for (const element of added.splice(0)) element.remove();
  document.body.removeAttribute('style');
  expect(errors.splice(0)).toEqual([]);
});

const app = (url = '/') => <SampleApp definition={nested} history={memoryHistory(url)} />;

/** A visitor opens a panel, goes to a page in it, and finds the mark and the heading there. */
async function visit(): Promise<void> {
  await expect.element(link('Reedbed Hide')).not.toBeInTheDocument();
  await hides.click();
  await expect.element(link('Reedbed Hide')).toBeVisible();
  await link('Reedbed Hide').click();
  await expect.element(page.getByRole('heading', { level: 1 })).toHaveTextContent('Reedbed Hide');
  await expect.element(hides).toHaveAttribute('aria-expanded', 'false');
  await expect.element(link('Hides')).toHaveAttribute('aria-current', 'true');
  await expect.element(link('Reedbed Hide')).not.toBeInTheDocument();
}

describe.each([
  [
    'a reset of every element',
    '*, *::before, *::after { margin: 0; padding: 0; border: 0; box-sizing: border-box; font: inherit; vertical-align: baseline }',
  ],
  ['a margin and a border around everything', 'body * { margin: 2px; border: 1px solid transparent }'],
  [
    'a look of its own for every kind of element',
    'ul { list-style: disc; padding-left: 40px } li { line-height: 2 } a { color: blue; text-decoration: underline } button { background: #ddd; padding: 10px 20px; border: 2px outset }',
  ],
  ['its own marks of what is current', '[aria-current] { pointer-events: none; opacity: 0.5 }'],
])('on a page with %s', (_, style) => {
  test.each([1280, 320])('a bar works at %i px', async (width) => {
    // In no layer, it weighs more than all that is ours.
    addStyle(style);
    await page.viewport(width, 800);
    mount(app());
    if (width === 320) await page.getByRole('button', { name: 'Menu' }).click();
    await expect.element(link('Today')).toBeVisible();
    await expect.element(link('Reedbed Hide')).not.toBeInTheDocument();
    await hides.click();
    await expect.element(link('Reedbed Hide')).toBeVisible();
    expect(box(link('Reedbed Hide')).right).toBeLessThanOrEqual(width);
    await userEvent.keyboard('{Escape}');
    await expect.element(hides).toHaveAttribute('aria-expanded', 'false');
  });
});

test('where everything takes two seconds to change, what closes is out of reach at once, and gone in the end', async () => {
  addStyle('* { transition: all 2s !important }');
  mount(app());
  await hides.click();
  await expect.element(hides).toHaveAttribute('aria-expanded', 'true');
  await userEvent.keyboard('{Escape}');
  await expect.element(hides).toHaveAttribute('aria-expanded', 'false');
  const panel = document.getElementById(html(hides).getAttribute('aria-controls') ?? '');
  const takesFocus = () => {
    const inside = panel?.querySelector('a');
    inside?.focus();
    return document.activeElement === inside;
  };
  expect(takesFocus()).toBe(false);
  await expect
    .poll(() => panel?.querySelector('a')?.checkVisibility({ visibilityProperty: true }) ?? false)
    .toBe(false);
  expect(takesFocus()).toBe(false);
});

test.each([
  // WebKit's driver presses beside what is zoomed.
  ...(server.browser === 'webkit' ? [] : ['zoom: 1.5']),
  'transform: translate(10px, 5px)',
  'transform: scale(0.9)',
  'contain: layout style',
  'filter: grayscale(0.2)',
  'perspective: 500px',
  'will-change: transform',
])('within an ancestor with %s, a panel opens below its button and its links can be pressed', async (style) => {
  const { container } = mount(app());
  container.setAttribute('style', style);
  await expect.element(hides).toBeVisible();
  await hides.click();
  await expect.element(link('Lantern Room')).toBeVisible();
  expect(Math.abs(box(link('Reedbed Hide')).left - box(hides).left)).toBeLessThan(200);
  expect(box(link('Reedbed Hide')).top).toBeGreaterThanOrEqual(box(hides).top);
  await link('Lantern Room').click();
  await expect.element(page.getByRole('heading', { level: 1 })).toHaveTextContent('Lantern Room');
});

test('within a parent that cuts off what is beyond it, a panel can be reached by keyboard, and the page does not move', async () => {
  const { container } = mount(app());
  container.setAttribute('style', 'overflow: hidden; block-size: 120px');
  await expect.element(hides).toBeVisible();
  html(hides).focus();
  await userEvent.keyboard('{Enter}');
  await expect.element(link('Reedbed Hide')).toBeInTheDocument();
  await userEvent.tab();
  await expect.element(link('Reedbed Hide')).toHaveFocus();
  await userEvent.keyboard('{Escape}');
  await expect.element(hides).toHaveFocus();
});

test('in vertical writing every link is there, and a panel opens', async () => {
  document.body.setAttribute('style', 'writing-mode: vertical-rl');
  mount(app());
  await expect.element(link('Today')).toBeVisible();
  for (const name of ['Today', 'Hides', 'About'])
    expect(box(link(name)).width * box(link(name)).height).toBeGreaterThan(0);
  html(hides).focus();
  await userEvent.keyboard('{Enter}');
  await expect.element(link('Reedbed Hide')).toBeVisible();
  await userEvent.keyboard('{Escape}');
  await expect.element(hides).toHaveFocus();
});

test('with a base element, the skip link stays on the page, and addresses of the site are what the page says', async () => {
  const base = document.createElement('base');
  base.href = `${location.origin}/elsewhere/index.html`;
  document.head.prepend(base);
  added.push(base);
  const before = location.href;
  mount(app());
  const skip = page.getByRole('link', { name: 'Skip to content' });
  await expect.element(link('Today')).toBeVisible();
  html(skip).focus();
  await userEvent.keyboard('{Enter}');
  await expect.poll(() => document.activeElement?.closest('main, h1') !== null).toBe(true);
  expect(location.href.split('#')[0]).toBe(before.split('#')[0]);
  await visit();
});

describe('in a shadow root', () => {
  let root: ReturnType<typeof createRoot>;
  let shadow: ShadowRoot;
  beforeEach(() => {
    const host = document.createElement('div');
    document.body.prepend(host);
    added.push(host);
    shadow = host.attachShadow({ mode: 'open' });
    const style = document.createElement('style');
    // What is said of the root element is said of the host there.
    style.textContent = sheet.replaceAll(':root', ':host');
    const inner = document.createElement('div');
    shadow.append(style, inner);
    root = createRoot(inner);
    flushSync(() => root.render(app()));
  });
  afterEach(() => root.unmount());

  const find = (selector: string) => shadow.querySelector<HTMLElement>(selector);

  test('a panel opens, its links lead on, and Escape gives focus back', async () => {
    const trigger = find('button[aria-controls][aria-label], .ft-panel-trigger');
    if (!trigger) throw new Error('there is no trigger');
    await userEvent.click(trigger);
    await expect.poll(() => trigger.getAttribute('aria-expanded')).toBe('true');
    const inside = shadow.getElementById(trigger.getAttribute('aria-controls') ?? '')?.querySelector('a');
    inside?.focus();
    expect(shadow.activeElement).toBe(inside);
    expect(trigger.getAttribute('aria-expanded')).toBe('true');
    await userEvent.keyboard('{Escape}');
    await expect.poll(() => trigger.getAttribute('aria-expanded')).toBe('false');
    await expect.poll(() => shadow.activeElement).toBe(trigger);
  });

  test('a page change marks, and moves focus to the new heading', async () => {
    const about = [...shadow.querySelectorAll('nav a')].find((one) => one.textContent === 'About');
    if (!about) throw new Error('there is no link');
    await userEvent.click(about);
    await expect.poll(() => about.getAttribute('aria-current')).toBe('page');
    await expect.poll(() => shadow.activeElement?.textContent.trim()).toBe('About');
  });

  test('a press beside an open panel closes it', async () => {
    const trigger = find('.ft-panel-trigger');
    if (!trigger) throw new Error('there is no trigger');
    await userEvent.click(trigger);
    await expect.poll(() => trigger.getAttribute('aria-expanded')).toBe('true');
    const heading = find('h1');
    if (heading) await userEvent.click(heading);
    await expect.poll(() => trigger.getAttribute('aria-expanded')).toBe('false');
  });
});

test('another script that takes focus away each time ends nothing in a loop', async () => {
  const thief = document.createElement('input');
  document.body.append(thief);
  added.push(thief);
  let thefts = 0;
  const steal = (event: FocusEvent) => {
    if (event.target === thief) return;
    thefts += 1;
    thief.focus();
  };
  await page.viewport(320, 800);
  mount(<SampleApp definition={nested} bar={{ whenNarrow: 'screen' }} history={memoryHistory('/')} />);
  document.addEventListener('focusin', steal);
  try {
    await page.getByRole('button', { name: 'Menu' }).click();
    await new Promise((resolve) => setTimeout(resolve, 500));
    expect(thefts).toBeLessThan(20);
    // Where focus has left the menu, that has closed; where a press focuses no button, it is closed by another.
    const close = document.querySelector<HTMLElement>('.ft-toggle[aria-expanded="true"]');
    if (close) await userEvent.click(close);
    await expect.element(page.getByRole('button', { name: 'Menu' })).toHaveAttribute('aria-expanded', 'false');
    await expect.poll(() => document.querySelector('[inert]')).toBe(null);
  } finally {
    document.removeEventListener('focusin', steal);
  }
});

test('a page that the browser has translated goes on: pages change, panels open, marks move', async () => {
  mount(app());
  await expect.element(link('Today')).toBeVisible();
  const translate = () => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const texts: Text[] = [];
    while (walker.nextNode()) texts.push(walker.currentNode as Text);
    for (const text of texts) {
      if (!text.data.trim() || text.parentElement?.closest('script, style, font')) continue;
      // The very element that browsers put there.
      const made = (name: string) => document.createElement(name);
      const [outer, inner] = [made('font'), made('font')];
      inner.textContent = `${text.data}\u00A0`;
      outer.append(inner);
      text.replaceWith(outer);
    }
  };
  translate();
  const about = navigation.getByRole('link', { name: /^About/u });
  await about.click();
  await expect.element(about).toHaveAttribute('aria-current', 'page');
  await expect.element(page.getByRole('heading', { level: 1 })).toHaveTextContent('About');
  translate();
  const more = document.querySelector('.ft-panel-trigger');
  if (more) await userEvent.click(more);
  await expect.element(navigation.getByRole('link', { name: /^Reedbed Hide/u })).toBeVisible();
  await navigation.getByRole('link', { name: /^Reedbed Hide/u }).click();
  await expect.element(page.getByRole('heading', { level: 1 })).toHaveTextContent('Reedbed Hide');
});

test('elements that an extension inserts stay, and everything goes on around them', async () => {
  const { render } = mount(app());
  await expect.element(link('Today')).toBeVisible();
  for (const place of document.querySelectorAll('nav, nav ul, nav li, nav a, header, main')) {
    const first = document.createElement('span');
    first.className = 'of-an-extension';
    place.prepend(first);
    place.append(first.cloneNode());
  }
  await visit();
  render(<SampleApp definition={nested} history={memoryHistory('/about')} audience={['ringer']} />);
  await expect.element(link('About')).toBeVisible();
});

/** Takes container queries out of a stylesheet, and puts in what is there for browsers without them. */
function dropContainerQueries(rules: CSSGroupingRule | CSSStyleSheet): number {
  let dropped = 0;
  for (let index = rules.cssRules.length - 1; index >= 0; index -= 1) {
    const rule = rules.cssRules[index];
    if (rule instanceof CSSContainerRule) {
      rules.deleteRule(index);
      dropped += 1;
    } else if (rule instanceof CSSSupportsRule && rule.conditionText.includes('container-type')) {
      const texts = [...rule.cssRules].map(({ cssText }) => cssText);
      rules.deleteRule(index);
      for (const text of texts) rules.insertRule(text, index);
    } else if (rule instanceof CSSGroupingRule) dropped += dropContainerQueries(rule);
  }
  return dropped;
}

describe('without container queries', () => {
  test.each([320, 1280])('every link of a bar can be reached and pressed at %i px', async (width) => {
    await page.viewport(width, 800);
    addStyle(sheet);
    const own = [...document.querySelectorAll('style')].filter((style) => style.textContent.includes('ft-bar'));
    const texts = own.map((style) => style.textContent);
    let dropped = 0;
    for (const style of own) if (style.sheet) dropped += dropContainerQueries(style.sheet);
    try {
      expect(dropped).toBeGreaterThan(20);
      mount(app());
      await expect.element(page.getByRole('banner')).toBeVisible();
      const toggle = document.querySelector<HTMLElement>('.ft-toggle');
      if (toggle?.checkVisibility()) await userEvent.click(toggle);
      for (const name of ['Today', 'About']) {
        html(link(name)).focus();
        await expect.element(link(name)).toHaveFocus();
        expect(box(link(name)).left).toBeGreaterThanOrEqual(0);
        expect(box(link(name)).right).toBeLessThan(width + 1);
      }
      await link('About').click();
      await expect.element(page.getByRole('heading', { level: 1 })).toHaveTextContent('About');
    } finally {
      for (const [index, style] of own.entries()) style.textContent = texts[index] ?? '';
    }
  });
});
