import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { commands, page, userEvent } from 'vitest/browser';

declare module 'vitest/browser' {
  interface BrowserCommands {
    tap: (selector: string) => Promise<void>;
    tapInFrame: (selector: string) => Promise<void>;
  }
}

/** The built example in a frame of its own, which can be reloaded and sent back and forth without the test. */
let frame: HTMLIFrameElement;
const inside = page.frameLocator(page.getByTitle('observatory'));

beforeEach(() => {
  frame = document.createElement('iframe');
  frame.title = 'observatory';
  frame.style.border = '0';
  document.body.replaceChildren(frame);
  document.body.style.margin = '0';
  localStorage.clear();
  sessionStorage.clear();
});

afterEach(() => frame.remove());

function view(): Window {
  if (!frame.contentWindow) throw new Error('the frame is gone');
  return frame.contentWindow;
}

async function open(path: string, width = 1280, height = 800): Promise<void> {
  await page.viewport(width, height);
  frame.width = String(width);
  frame.height = String(height);
  frame.src = `/observatory${path}`;
  await new Promise((resolve) => frame.addEventListener('load', resolve, { once: true }));
  await expect.poll(heading, { timeout: 5000 }).not.toBeNull();
}

async function reload(): Promise<void> {
  const loaded = new Promise((resolve) => frame.addEventListener('load', resolve, { once: true }));
  view().location.reload();
  await loaded;
  await expect.poll(heading).not.toBeNull();
}

function heading(): string | null {
  return view().document.querySelector('h1')?.textContent ?? null;
}

/** What the bar itself marks: the label, with "page" or "true". Its panels have marks of their own. */
function marks(): string[] {
  const bar = 'nav[aria-label="Main"] > div > ul > li > [aria-current]';
  return [...view().document.querySelectorAll(bar)].map((element) => {
    return `${element.textContent} ${element.getAttribute('aria-current')}`;
  });
}

function crumbs(): string[] {
  return [...view().document.querySelectorAll('nav[aria-label="Breadcrumbs"] > ol > li > :is(a, span)')].map(
    (element) => element.textContent,
  );
}

describe('the mark is right', () => {
  test.each([
    ['/', 'Today at the point', ['Today page']],
    ['/?utm=1', 'Today at the point', ['Today page']],
    ['/hides', 'Hides', ['Hides page']],
    ['/hides/', 'Hides', ['Hides page']],
    ['/hides?from=mail#map', 'Hides', ['Hides page']],
    ['/hides/lantern-room', 'Lantern Room', ['Hides true']],
    ['/birds', 'Species', ['Species page']],
    ['/species/little-tern', 'Little tern', ['Species true']],
    ['/birds/little-tern/', 'Little tern', ['Species true']],
    ['/species/dodo', 'Page not found', ['Species true']],
    ['/visit/getting-here/causeway', 'Crossing the causeway', ['Visit true']],
    ['/about/nobody', 'Page not found', ['About true']],
    ['/nowhere', 'Page not found', []],
    ['/log', 'For ringers', []],
    ['/webcam', 'Tern raft webcam', []],
  ])('at %s', async (path, title, expected) => {
    await open(path);
    await expect.poll(heading).toBe(title);
    expect(marks()).toEqual(expected);
    await reload();
    expect([heading(), marks()]).toEqual([title, expected]);
  });

  test('on every page, after a click on every item of the bar, and after going all the way back', async () => {
    await open('/');
    const labels = ['Hides', 'Species', 'Tides', 'Visit', 'About'];
    for (const label of labels) {
      await inside.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: label }).click();
      await expect.poll(marks).toEqual([`${label} page`]);
      await expect.poll(() => view().document.title).toBe(`${label} · Marram Point Bird Observatory`);
      expect(view().document.activeElement?.tagName).toBe('H1');
    }
    for (const label of ['Visit', 'Tides', 'Species', 'Hides', 'Today']) {
      view().history.back();
      await expect.poll(marks).toEqual([`${label} page`]);
    }
    view().history.forward();
    await expect.poll(marks).toEqual(['Hides page']);
    expect(view().location.pathname).toBe('/observatory/hides');
  });
});

test('pages change without loading, and every link leads into the base path', async () => {
  await open('/');
  view().document.documentElement.dataset['kept'] = 'yes';
  await inside.getByRole('link', { name: 'Snow bunting' }).click();
  await expect.poll(heading).toBe('Snow bunting');
  expect(view().document.documentElement.dataset['kept']).toBe('yes');
  expect(crumbs()).toEqual(['Today', 'Species', 'Snow bunting']);
  const hrefs = [...view().document.querySelectorAll('a')].map((link) => link.getAttribute('href') ?? '');
  expect(hrefs.filter((href) => !/^(?:\/observatory\/|#main$|https:)/u.test(href))).toEqual([]);
});

test('Back and a reload restore how far a page was scrolled', async () => {
  await open('/species/curlew', 1280, 400);
  view().scrollTo(0, 180);
  // A real click would scroll to its target first, and that is then how far the page was scrolled.
  view().document.querySelector<HTMLElement>('main a[href$="/avocet"]')?.click();
  await expect.poll(heading).toBe('Avocet');
  expect(view().scrollY).toBe(0);
  view().history.back();
  await expect.poll(heading).toBe('Curlew');
  await expect.poll(() => view().scrollY).toBe(180);
  await reload();
  await expect.poll(() => view().scrollY).toBe(180);
});

test('signing in brings the ringing log, and lasts over a reload', async () => {
  await open('/log');
  expect(heading()).toBe('For ringers');
  await inside.getByRole('button', { name: 'Sign in' }).click();
  await expect.poll(heading).toBe('Ringing log');
  expect(marks()).toEqual(['Ringing log page']);
  await reload();
  expect(marks()).toEqual(['Ringing log page']);
  await inside.getByRole('button', { name: 'Sign out' }).click();
  await expect.poll(marks).toEqual([]);
});

describe.each([1280, 320])('on the way to a page, at %i px', (width) => {
  const busy = () => view().document.querySelector('main')?.getAttribute('aria-busy');
  const go = async (label: string) => {
    await inside.getByRole('main').getByRole('link', { name: label }).click();
  };

  test('a slow one is announced by signs, and comes', async () => {
    await open('/tides', width);
    await go('tide gauge');
    await expect.poll(busy).toBe('true');
    expect([heading(), marks(), view().location.pathname]).toEqual([
      'Tides',
      ['Tides true'],
      '/observatory/tides/gauge',
    ]);
    await expect.poll(heading, { timeout: 5000 }).toBe('Tide gauge');
    expect([busy(), view().document.title]).toEqual([null, 'Tide gauge · Marram Point Bird Observatory']);
    view().history.back();
    await expect.poll(heading).toBe('Tides');
    await expect.poll(() => view().document.activeElement?.textContent).toBe('tide gauge');
  });

  test('a failing one says so, and comes when it is tried again', async () => {
    await open('/tides', width);
    // Without a pointer, which would have the page loaded ahead while it rests: on a slow machine often enough for the
    // failures to be over before the page is shown.
    [...view().document.querySelectorAll<HTMLElement>('main a')]
      .find((link) => link.textContent === 'weather mast')
      ?.click();
    await expect.poll(heading).toBe('No answer from this page');
    // The button may vanish while it is pressed, since the page is there.
    const again = inside.getByRole('button', { name: 'Try again' });
    const press = async () => {
      if (heading() !== 'Weather mast') await again.click({ timeout: 3000 }).catch(() => undefined);
      return heading();
    };
    await expect.poll(press, { timeout: 20_000 }).toBe('Weather mast');
    expect(view().document.activeElement?.tagName).toBe('H1');
  });

  test('a half-filled form asks before it is left, and keeps what is in it', async () => {
    await open('/visit', width);
    await go('Book a visit');
    await inside.getByLabelText('Anything else').fill('A seat by the stove');
    view().history.back();
    await inside.getByRole('button', { name: 'Stay' }).click();
    expect([heading(), view().location.pathname]).toEqual(['Book a visit', '/observatory/visit/book']);
    await expect.element(inside.getByLabelText('Anything else')).toHaveValue('A seat by the stove');
    view().history.back();
    await inside.getByRole('button', { name: 'Leave' }).click();
    await expect.poll(heading).toBe('Visit');
  });

  test('an address that has moved leads on, with what it was asked', async () => {
    await open('/visit/booking?from=leaflet', width);
    await expect.poll(heading).toBe('Book a visit');
    expect(view().location.pathname + view().location.search).toBe('/observatory/visit/book?from=leaflet');
    expect(marks()).toEqual(['Visit true']);
  });
});

describe('at 320 px', () => {
  test('the menu works by mouse', async () => {
    await open('/', 320, 640);
    await inside.getByRole('button', { name: 'Menu' }).click();
    await inside.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Tides' }).click();
    await expect.poll(heading).toBe('Tides');
    expect(view().document.querySelector('.ft-toggle')?.getAttribute('aria-expanded')).toBe('false');
  });

  test('the menu works by touch', async () => {
    await open('/', 320, 640);
    await commands.tapInFrame('.ft-toggle');
    await commands.tapInFrame('nav a[href$="/visit"]');
    await expect.poll(heading).toBe('Visit');
    expect(marks()).toEqual(['Visit page']);
  });

  test('the menu works by keyboard', async () => {
    await open('/', 320, 640);
    const active = () => view().document.activeElement?.textContent;
    view().focus();
    for (const expected of [
      'Skip to content',
      'Plan your crossing',
      'Dismiss',
      'Marram Point Bird Observatory',
      'Menu',
    ]) {
      await userEvent.keyboard('{Tab}');
      expect(active()).toBe(expected);
    }
    await userEvent.keyboard('{Enter}');
    await userEvent.keyboard('{Tab}');
    expect(active()).toBe('Today');
    await userEvent.keyboard('{Escape}');
    expect(active()).toBe('Menu');
    await userEvent.keyboard(' ');
    await userEvent.keyboard('{Tab}');
    await userEvent.keyboard('{Tab}');
    await userEvent.keyboard('{Enter}');
    await expect.poll(heading).toBe('Hides');
    expect(view().document.activeElement?.tagName).toBe('H1');
  });
});

describe('the data desk', () => {
  const desk = inside.getByRole('navigation', { name: 'Data desk' });
  const annex = inside.getByRole('navigation', { name: 'Autumn 2026' });

  async function openDesk(path: string, width?: number): Promise<void> {
    await open('/');
    localStorage.setItem('observatory-signed-in', 'yes');
    await open(path, width);
  }

  test('is six levels deep, with the way there and the groups that hold it', async () => {
    await openDesk('/desk/seasons/autumn-2026/11-oct/round-2');
    await expect.poll(heading).toBe('Net round 2');
    expect(crumbs().slice(-6)).toEqual([
      'Ringing log',
      'Data desk',
      'Seasons',
      'Autumn 2026',
      '11 October',
      'Net round 2',
    ]);
    await open('/desk/nets/reedbed/east');
    await expect.element(desk.getByRole('link', { name: 'East ride' })).toHaveAttribute('aria-current', 'page');
    await expect.element(desk.getByRole('button', { name: 'Pages in Nets' })).toHaveAttribute('aria-expanded', 'true');
  });

  test('has the sessions of a season beside it, through pages, a reload and Back', async () => {
    await openDesk('/desk');
    await desk.getByRole('button', { name: 'Autumn 2026' }).click();
    await expect.element(annex.getByRole('heading', { name: 'Autumn 2026' })).toHaveFocus();
    await annex.getByRole('link', { name: '13 September' }).click();
    await expect.poll(heading).toBe('Session of 13 September');
    await expect.element(annex.getByRole('link', { name: '13 September' })).toHaveAttribute('aria-current', 'page');
    await reload();
    await expect.element(annex).toBeVisible();
    await annex.getByRole('button', { name: 'Close' }).click();
    await expect.element(annex).not.toBeInTheDocument();
    expect(heading()).toBe('Session of 13 September');
    view().history.back();
    await expect.element(annex).toBeVisible();
  });

  test('stays as narrow as it was left', async () => {
    await openDesk('/desk');
    await inside.getByRole('button', { name: 'Narrow to icons' }).click();
    await reload();
    await expect.element(inside.getByRole('button', { name: 'Widen to labels' })).toBeVisible();
    await expect.element(desk.getByRole('link', { name: 'Rota' })).toBeVisible();
  });

  test('is behind a toggle of its own where room is short', async () => {
    await openDesk('/desk', 360);
    const toggle = inside.getByRole('button', { name: 'Data desk', exact: true });
    await toggle.click();
    await desk.getByRole('link', { name: 'Rota' }).click();
    await expect.poll(heading).toBe('Rota');
    await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
  });

  test('is nothing to those who are not ringers', async () => {
    await open('/desk');
    await expect.poll(heading).toBe('For ringers');
    expect(view().document.querySelector('.ft-sidebar')).toBe(null);
  });
});

test('a part of a species page can be sent to someone', async () => {
  await open('/species/curlew');
  await inside.getByRole('tab', { name: 'Sightings' }).click();
  await expect.element(inside.getByRole('heading', { name: 'Highest count of each month' })).toBeVisible();
  expect(view().location.search).toBe('?part=sightings');
  await reload();
  await expect.element(inside.getByRole('tab', { name: 'Sightings' })).toHaveAttribute('aria-selected', 'true');
});

test('the hides stand beside each other, and the strip says which one this is', async () => {
  await open('/hides/reedbed');
  const strip = inside.getByRole('navigation', { name: 'Hides', exact: true });
  await expect.element(strip.getByRole('link', { name: 'Reedbed Hide' })).toHaveAttribute('aria-current', 'page');
  await strip.getByRole('link', { name: 'Lantern Room' }).click();
  await expect.poll(heading).toBe('Lantern Room');
  await expect.element(strip.getByRole('link', { name: 'Lantern Room' })).toHaveAttribute('aria-current', 'page');
});

test.each([
  [1280, '100%'],
  [1280, '200%'],
  [768, '100%'],
  [320, '100%'],
  [320, '200%'],
])('at %i px with text of %s no page is wider than the window', async (width, textSize) => {
  await open('/', width, 700);
  const paths = [...view().document.querySelectorAll<HTMLAnchorElement>('.ft-link, main a')]
    .filter((link) => link.origin === location.origin)
    .map((link) => link.pathname.replace('/observatory', ''));
  expect(new Set(paths).size).toBeGreaterThan(15);
  for (const path of new Set(paths)) {
    await open(path, width, 700);
    view().document.documentElement.style.fontSize = textSize;
    await new Promise((resolve) => view().requestAnimationFrame(resolve));
    await new Promise((resolve) => view().requestAnimationFrame(resolve));
    expect(view().document.documentElement.scrollWidth, path).toBeLessThanOrEqual(width);
  }
});
