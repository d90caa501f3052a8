import { createRef, useState, type ReactNode } from 'react';
import { renderToString } from 'react-dom/server';
import { describe, expect, test, vi } from 'vitest';
import { commands, page, userEvent } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import { Navbar } from './navbar.tsx';
import { Trail } from './trail.tsx';
import { mount, SampleApp, site, siteWithLabels } from './mount.samples.tsx';

const bar = page.getByRole('banner');
const navigation = page.getByRole('navigation', { name: 'Main' });
const toggle = page.getByRole('button', { name: 'Menu' });
const link = (name: string) => navigation.getByRole('link', { name });

/** The marked links, as the browser's own accessibility attributes say. */
function marks(): string[] {
  return [...document.querySelectorAll('nav [aria-current]')].map((element) => {
    return `${element.textContent} ${element.getAttribute('aria-current')}`;
  });
}

describe('with room', () => {
  test('the items stand in one row, and there is no toggle', async () => {
    mount(<SampleApp />);
    await expect.element(link('Hides')).toBeVisible();
    await expect.element(toggle).not.toBeInTheDocument();
    const tops = navigation
      .getByRole('link')
      .elements()
      .map((element) => element.getBoundingClientRect().top);
    expect(new Set(tops).size).toBe(1);
  });

  test('the page is marked, then the section, and the brand never', async () => {
    const history = memoryHistory('/hides/');
    mount(<SampleApp history={history} />);
    await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
    expect(marks()).toEqual(['Hides page']);
    await page.getByRole('link', { name: 'Marram Point' }).click();
    await expect.poll(marks).toEqual(['Today page']);
    await expect.element(page.getByRole('link', { name: 'Marram Point' })).not.toHaveAttribute('aria-current');
  });

  test('marking moves nothing', async () => {
    mount(<SampleApp />);
    await expect.element(link('Hides')).toBeVisible();
    const rectangles = () =>
      [...document.querySelectorAll('.ft-bar *')].map((element) => element.getBoundingClientRect());
    const before = rectangles();
    await link('Hides').click();
    await expect.poll(marks).toEqual(['Hides page']);
    expect(rectangles()).toEqual(before);
  });

  test('an audience that arrives brings its items', async () => {
    const { render } = mount(<SampleApp url="/" />);
    await expect.element(link('Hides')).toBeVisible();
    await expect.element(link('Ringing log')).not.toBeInTheDocument();
    render(<SampleApp url="/log/x" audience={['ringer']} />);
    await expect.element(link('Ringing log')).toHaveAttribute('aria-current', 'true');
  });

  test('while the audience is not known, empty cells are kept, and dividers and badges stand in the row', async () => {
    const definition = {
      name: 'x',
      entries: [
        { id: 'a', label: 'A', href: '/', badge: 'new' },
        { id: 'b', label: 'Secret', href: '/b', audience: ['ringer'] },
        { id: 'c', label: 'C', href: '/c' },
      ],
      menus: { main: ['a', 'b', { divider: true }, 'c'] },
    } as const;
    const { render } = mount(<SampleApp url="/" definition={definition} audience="unknown" />);
    await expect.element(link('A new')).toBeVisible();
    const cell = document.querySelector('.ft-reserved');
    expect(cell?.getBoundingClientRect().width).toBeGreaterThan(40);
    expect(cell?.getAttribute('aria-hidden')).toBe('true');
    expect(document.querySelector('.ft-bar')?.innerHTML).not.toContain('Secret');
    const tops = [...document.querySelectorAll('.ft-link, .ft-divider')].map((one) => one.getBoundingClientRect());
    expect(Math.max(...tops.map(({ top }) => top))).toBeLessThan(Math.min(...tops.map(({ bottom }) => bottom)));
    render(<SampleApp url="/" definition={definition} audience={['ringer']} />);
    await expect.element(link('Secret')).toBeVisible();
  });

  test('a link that opens a new tab says so', async () => {
    mount(<SampleApp url="/" />);
    const outside = navigation.getByRole('link', { name: 'Tide office (opens in a new tab)' });
    await expect.element(outside).toHaveAttribute('target', '_blank');
    await expect.element(outside).toHaveAttribute('rel', 'noopener');
  });
});

describe('without room', () => {
  test('the toggle opens and closes the menu by mouse', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp />);
    await expect.element(link('Hides')).not.toBeInTheDocument();
    await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
    await toggle.click();
    await expect.element(toggle).toHaveAttribute('aria-expanded', 'true');
    await expect.element(link('Hides')).toBeVisible();
    await toggle.click();
    await expect.element(link('Hides')).not.toBeInTheDocument();
  });

  test.each(['{Enter}', ' '])(
    'the key %j opens it, Tab goes into it, Escape closes it and gives focus back',
    async (key) => {
      await page.viewport(320, 700);
      mount(<SampleApp />);
      await expect.element(toggle).toBeVisible();
      (toggle.element() as HTMLElement).focus();
      await userEvent.keyboard(key);
      await expect.element(link('Today')).toBeVisible();
      await userEvent.tab();
      await expect.element(link('Today')).toHaveFocus();
      await userEvent.keyboard('{Escape}');
      await expect.element(toggle).toHaveFocus();
      await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
    },
  );

  test('a finger opens it, and a tap beside it closes it', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp />);
    await expect.element(toggle).toBeVisible();
    await commands.tap('.ft-toggle');
    await expect.element(link('Hides')).toBeVisible();
    await commands.tap('main p');
    await expect.element(link('Hides')).not.toBeInTheDocument();
  });

  test('a link that is chosen closes it, and focus goes to the new page, not back', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp />);
    await toggle.click();
    await link('Hides').click();
    await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
    await expect.element(page.getByRole('heading', { name: 'Hides' })).toHaveFocus();
  });

  test('focus that goes on past it closes it, so that it never covers what has focus', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp bar={{ end: <button type="button">Sign in</button> }} />);
    await toggle.click();
    await expect.element(link('Tide office')).toBeVisible();
    (link('Tide office').element() as HTMLElement).focus();
    await userEvent.tab();
    await expect.element(page.getByRole('button', { name: 'Sign in' })).toHaveFocus();
    await expect.element(toggle).toHaveAttribute('aria-expanded', 'true');
    await userEvent.tab();
    await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
  });

  test('opening moves nothing outside of it', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp />);
    await expect.element(toggle).toBeVisible();
    const outside = () =>
      ['.ft-toggle', '.ft-brand', '.ft-bar', 'main', 'h1'].map((selector) => {
        return document.querySelector(selector)?.getBoundingClientRect();
      });
    const before = outside();
    await toggle.click();
    await expect.element(link('Hides')).toBeVisible();
    expect(outside()).toEqual(before);
  });

  test('each link stands in the document once', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp />);
    await expect.element(toggle).toBeVisible();
    expect(document.querySelectorAll('a[href="/hides"]').length).toBe(2); // with the one in the page
  });
});

describe('across the switch', () => {
  test('what was measured is forgotten once the bar holds something else', async () => {
    await page.viewport(1000, 700);
    const wide = <span style={{ inlineSize: '600px' }}>Notice</span>;
    const { render } = mount(<SampleApp url="/" bar={{ end: wide }} />);
    await expect.element(toggle).toBeVisible();
    render(<SampleApp url="/" />);
    await expect.element(toggle).not.toBeInTheDocument();
    await expect.element(link('Hides')).toBeVisible();
  });

  test('the open menu closes, and focus on the toggle goes to the first link', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp />);
    await toggle.click();
    await page.viewport(1280, 800);
    await expect.element(link('Today')).toHaveFocus();
    await page.viewport(320, 700);
    await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
  });

  test('focus on a link stays there', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp />);
    await toggle.click();
    (link('Hides').element() as HTMLElement).focus();
    await page.viewport(1280, 800);
    await expect.element(toggle).not.toBeInTheDocument();
    await expect.element(link('Hides')).toHaveFocus();
  });
});

const long = 'A label as long as they come when a committee has met and every member had a word to add';
const labelSets: Readonly<Record<string, readonly string[]>> = {
  four: ['Today', 'Hides', 'Species', 'Tides'],
  ten: Array.from({ length: 10 }, (_, index) => `Number ${index + 1}`),
  sixty: Array.from({ length: 60 }, (_, index) => `Item ${index + 1}`),
  'one of 200 characters': ['Today', `${long} ${long}`.slice(0, 200)],
  'single letters': ['A', 'B', 'C'],
  Arabic: ['اليوم', 'المخابئ', 'الأنواع', 'المد والجزر', 'الزيارة'],
  Japanese: ['今日', '観察小屋', '鳥の種類', '潮汐', '訪問', '観測所について'],
  emoji: ['🦆🦆🦆', '🌊', '🔭🔭'],
  'one unbroken word': ['Today', 'Brachvogelbeobachtungsstationsverzeichnis'],
};

const slots = { start: <span>Beta</span>, end: <button type="button">Sign in to the hut</button> };

describe.each(['ltr', 'rtl'])('at every width, in %s', (direction) => {
  test.each(Object.keys(labelSets))('%s: one row or a toggle, and nothing sticks out', async (name) => {
    document.documentElement.dir = direction;
    mount(<SampleApp url="/" definition={siteWithLabels(labelSets[name] ?? [])} bar={slots} />);
    await expect.element(bar).toBeVisible();
    for (const textSize of ['100%', '200%']) {
      document.documentElement.style.fontSize = textSize;
      for (const width of [1280, 1100, 960, 820, 700, 600, 480, 400, 320]) {
        await page.viewport(width, 700);
        // Measuring has a frame to refine the switch in.
        await new Promise(requestAnimationFrame);
        await new Promise(requestAnimationFrame);
        const where = `${textSize} of text at ${width}px`;
        expect(document.documentElement.scrollWidth, where).toBeLessThanOrEqual(width);
        const links = [...document.querySelectorAll('.ft-link')].filter((element) =>
          element.checkVisibility({ visibilityProperty: true }),
        );
        const tops = new Set(links.map((element) => Math.round(element.getBoundingClientRect().top)));
        expect(tops.size, where).toBeLessThanOrEqual(1);
        const isNarrow = document.querySelector('.ft-toggle')?.checkVisibility();
        expect(links.length, where).toBe(isNarrow ? 0 : labelSets[name]?.length);
      }
    }
  });
});

test('without scripts every link is to be seen, inside the page, and no dead toggle', async () => {
  const printed = document.createElement('div');
  printed.innerHTML = renderToString(<SampleApp url="/" />);
  document.body.prepend(printed);
  for (const width of [320, 1280]) {
    await page.viewport(width, 700);
    await expect.element(toggle).not.toBeInTheDocument();
    const links = navigation.getByRole('link').elements();
    expect(links.length).toBe(4);
    for (const element of links) {
      const { left, right, height } = element.getBoundingClientRect();
      expect([left >= 0, right <= width, height > 0]).toEqual([true, true, true]);
    }
  }
  printed.remove();
});

test('a label that is HTML is shown as the text it is', async () => {
  const label = '<img src=x onerror="window.hacked=1"> & <b>bold</b>';
  mount(<SampleApp url="/" definition={siteWithLabels([label], '<i>name</i>')} />);
  await expect.element(navigation.getByText(label)).toBeInTheDocument();
  await expect.element(page.getByText('<i>name</i>')).toBeInTheDocument();
  expect(document.querySelector('.ft-bar img, .ft-bar b, .ft-bar i')).toBeNull();
});

test('controlled, it asks and follows the app', async () => {
  await page.viewport(320, 700);
  const asked = vi.fn();
  const { render } = mount(<SampleApp bar={{ expanded: false, onToggle: asked }} url="/" />);
  await toggle.click();
  expect(asked.mock.calls).toEqual([[true]]);
  await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
  render(<SampleApp bar={{ expanded: true, onToggle: asked }} url="/" />);
  await expect.element(link('Hides')).toBeVisible();
});

test('takes a ref, a class beside its own, and any attribute', async () => {
  const ref = createRef<HTMLElement>();
  mount(
    <Trail site={site} url="/">
      <Navbar ref={ref} className="mine" data-probe="yes" element="div" label="Hauptmenü" />
    </Trail>,
  );
  await expect.element(page.getByRole('navigation', { name: 'Hauptmenü' })).toBeVisible();
  expect(ref.current?.outerHTML).toMatch(/^<div class="ft-bar mine" data-probe="yes">/u);
});

test('two bars on a page keep to themselves', async () => {
  await page.viewport(320, 700);
  mount(
    <Trail site={site} url="/">
      <Navbar label="One" />
      <Navbar label="Two" menu="deep" element="div" />
    </Trail>,
  );
  const two = page.getByRole('navigation', { name: 'Two' });
  await two.getByRole('button', { name: 'Menu' }).click();
  await two.getByRole('button', { name: 'Practical' }).click();
  await expect.element(two.getByRole('link', { name: 'Visit' })).toBeVisible();
  await expect.element(page.getByRole('navigation', { name: 'One' }).getByRole('link')).not.toBeInTheDocument();
});

test('slots and icons stand where they belong, and change by themselves', async () => {
  function Counting(): ReactNode {
    const [count, setCount] = useState(0);
    const end = (
      <button type="button" onClick={() => setCount(count + 1)}>
        Clicked {count}
      </button>
    );
    return (
      <SampleApp
        url="/"
        bar={{ brand: <b>Brand</b>, end, icon: (name) => <i data-icon={name} /> }}
        definition={withIcon}
      />
    );
  }
  const withIcon = {
    name: 'x',
    entries: [{ id: 'a', label: 'A', href: '/', icon: 'sun' }],
    menus: { main: ['a'] },
  };
  mount(<Counting />);
  await page.getByRole('button', { name: 'Clicked 0' }).click();
  await expect.element(page.getByRole('button', { name: 'Clicked 1' })).toBeVisible();
  await expect.element(page.getByRole('link', { name: 'Brand' })).toHaveAttribute('href', '/');
  expect(document.querySelector('.ft-link [data-icon="sun"]')).not.toBeNull();
});

test('a menu without items leaves no empty landmark', async () => {
  mount(
    <Trail site={defineSite({ name: 'Bare', entries: [] })} url="/">
      <Navbar />
    </Trail>,
  );
  await expect.element(bar).toHaveTextContent('Bare');
  expect(document.querySelector('nav, button')).toBeNull();
});

test('nothing of it is left after it has gone', async () => {
  await page.viewport(320, 700);
  const counts = new Map<string, number>();
  const spies = [document, window].flatMap((target) => [
    vi.spyOn(target, 'addEventListener').mockImplementation(function (this: EventTarget, type, listener, options) {
      counts.set(type, (counts.get(type) ?? 0) + 1);
      const signal = typeof options === 'object' ? options.signal : undefined;
      EventTarget.prototype.addEventListener.call(target, type, listener, options);
      signal?.addEventListener('abort', () => counts.set(type, (counts.get(type) ?? 0) - 1));
    }),
    vi.spyOn(target, 'removeEventListener').mockImplementation(function (this: EventTarget, type, listener, options) {
      counts.set(type, (counts.get(type) ?? 0) - 1);
      EventTarget.prototype.removeEventListener.call(target, type, listener, options);
    }),
  ]);
  const { unmount } = mount(<SampleApp />);
  await toggle.click();
  await expect.element(link('Hides')).toBeVisible();
  // React keeps listeners of its own on the document as long as it lives; only ours are of these types.
  const ours = () => ['keydown', 'pointerdown', 'pagehide', 'popstate'].map((type) => counts.get(type) ?? 0);
  expect(ours().some((count) => count > 0)).toBe(true);
  expect(document.documentElement.hasAttribute('data-ft-scripted')).toBe(true);
  unmount();
  expect(ours()).toEqual([0, 0, 0, 0]);
  expect(document.documentElement.hasAttribute('data-ft-scripted')).toBe(false);
  expect(history.scrollRestoration).toBe('auto');
  for (const spy of spies) spy.mockRestore();
});
