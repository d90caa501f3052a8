import { StrictMode } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { serverHistory } from '../core/router/server-history.ts';
import { defineSite } from '../core/site/define.ts';
import { lazyPage, type Page } from './page.ts';
import { Stage } from './stage.tsx';
import { usePosition } from './trail-context.ts';
import { Trail } from './trail.tsx';
import { mount } from './mount.samples.tsx';
import {
  borrowAddress,
  controlledPage,
  histories,
  Lab,
  lab,
  LabPage,
  labPages,
  labSite,
  LatePage,
  shownAddress,
  shownMarks,
  StatePage,
} from './router-lab.samples.tsx';

const heading = (name: string) => page.getByRole('heading', { level: 1, name, exact: true });
const inMenu = (name: string) => page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name });
const main = () => page.getByRole('main');

borrowAddress();

describe.each(histories)('by %s', (_, history) => {
  test('address, mark, title and focus go together, and come back together', async () => {
    mount(
      <StrictMode>
        <Lab history={history()} />
      </StrictMode>,
    );
    await inMenu('Hides').click();
    await expect.element(heading('Hides')).toHaveFocus();
    expect([shownAddress(), shownMarks(), document.title]).toEqual(['/hides', ['Hides'], 'Hides · Lab']);
    await inMenu('Tides').click();
    await expect.element(heading('Tides')).toHaveFocus();
    window.history.back();
    await expect.element(heading('Hides')).toBeVisible();
    await expect.poll(() => document.title).toBe('Hides · Lab');
    expect([shownAddress(), shownMarks()]).toEqual(['/hides', ['Hides']]);
    await expect.element(inMenu('Tides')).toHaveFocus();
    window.history.forward();
    await expect.element(heading('Tides')).toHaveFocus();
  });

  test('Back returns to the link, and every scrolled part to where it was, for late content too', async () => {
    mount(
      <>
        <Lab history={history()} pages={{ today: LatePage }} />
        <a href="/hides">Hides, at the foot of every page</a>
      </>,
    );
    const link = page.getByRole('link', { name: 'Hides below' });
    await expect.element(link).toBeInTheDocument();
    page.getByTestId('scroller').element().scrollTo(0, 220);
    link.element().scrollIntoView();
    await expect.poll(() => window.scrollY).toBeGreaterThan(500);
    // The driver may scroll once more to press the link: what counts is where the page stood as it was left.
    let before = 0;
    link.element().addEventListener('click', () => (before = window.scrollY));
    await link.click();
    await expect.element(heading('Hides')).toHaveFocus();
    expect(window.scrollY).toBe(0);
    window.history.back();
    await expect.element(heading('Just a moment')).toBeVisible();
    await expect.element(link).toHaveFocus();
    await expect.poll(() => Math.abs(window.scrollY - before)).toBeLessThan(2);
    expect(page.getByTestId('scroller').element().scrollTop).toBe(220);
  });

  test('a place on the page is scrolled to, and a moved page is found with what it was asked', async () => {
    mount(<Lab history={history()} />);
    await page.getByRole('link', { name: 'Moved' }).click();
    await expect.element(heading('Hides')).toBeVisible();
    expect(shownAddress()).toBe('/hides?from=text#map');
    await expect.element(page.getByRole('heading', { name: 'Map' })).toHaveFocus();
    await expect.poll(() => Math.abs(mapTop())).toBeLessThan(3);
    window.scrollTo(0, 0);
    await page.getByRole('link', { name: 'To the map' }).click();
    await expect.poll(() => Math.abs(mapTop())).toBeLessThan(3);
    await expect.element(heading('Hides')).toBeInTheDocument();
  });

  const mapTop = () => document.getElementById('map')?.getBoundingClientRect().top ?? 99;

  test('what the app keeps with an entry is there again after Back', async () => {
    mount(<Lab history={history()} pages={{ today: StatePage }} />);
    await page.getByRole('button', { name: 'Count 0' }).click();
    await page.getByRole('button', { name: 'Count 1' }).click();
    await inMenu('Hides').click();
    await expect.element(heading('Hides')).toBeVisible();
    window.history.back();
    await expect.element(page.getByRole('button', { name: 'Count 2' })).toBeVisible();
  });

  describe('a page with unsaved work', () => {
    const stay = page.getByRole('button', { name: 'Stay' });
    const leave = page.getByRole('button', { name: 'Leave' });
    const field = page.getByRole('textbox');

    /** Comes to the form from another page, and writes something. */
    async function writeSomething(): Promise<void> {
      mount(<Lab history={history()} />);
      await inMenu('Hides').click();
      await expect.element(heading('Hides')).toHaveFocus();
      await inMenu('Form').click();
      await expect.element(heading('Form')).toHaveFocus();
      await field.fill('Ruddy');
    }

    async function expectNothingChanged(): Promise<void> {
      await expect.element(field).toHaveValue('Ruddy');
      await expect.element(field).toHaveFocus();
      expect([shownAddress(), shownMarks(), document.title]).toEqual(['/form', ['Form'], 'Form · Lab']);
    }

    test('can refuse a link', async () => {
      await writeSomething();
      inMenu('Hides')
        .element()
        .dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));
      await stay.click();
      await expectNothingChanged();
      await inMenu('Hides').click();
      await leave.click();
      await expect.element(heading('Hides')).toHaveFocus();
      expect(shownMarks()).toEqual(['Hides']);
    });

    test('can refuse Back, and go back after all', async () => {
      await writeSomething();
      window.history.back();
      await stay.click();
      await expectNothingChanged();
      window.history.back();
      await leave.click();
      await expect.element(heading('Hides')).toBeVisible();
      await expect.poll(shownAddress).toBe('/hides');
      // Forward leads to the form again: nothing of the way was lost by asking.
      window.history.forward();
      await expect.element(heading('Form')).toBeVisible();
    });

    test('has the browser ask before the tab is closed', async () => {
      await writeSomething();
      const closing = () => {
        const event = new Event('beforeunload', { cancelable: true });
        window.dispatchEvent(event);
        return event.defaultPrevented;
      };
      expect(closing()).toBe(true);
      await field.fill('');
      await expect.poll(closing).toBe(false);
    });
  });
});

describe('a page that is loaded when it is needed', () => {
  test('leaves the last one in place meanwhile, and says after a moment that it is on its way', async () => {
    const { page: tides, loads } = controlledPage();
    mount(<Lab history={memoryHistory('/')} pages={{ tides }} eagerness={null} />);
    await expect.element(heading('Today')).toBeVisible();
    await inMenu('Tides').click();
    await expect.poll(shownMarks).toEqual(['Tides']);
    await expect.element(main()).toHaveAttribute('aria-busy', 'true');
    await expect.element(inMenu('Tides')).toHaveAttribute('data-ft-pending');
    await expect.element(heading('Today')).toBeVisible();
    expect(document.title).toBe('Today · Lab');
    loads[0]?.resolve(LabPage);
    await expect.element(heading('Tides')).toHaveFocus();
    expect(document.title).toBe('Tides · Lab');
    await expect.element(main()).not.toHaveAttribute('aria-busy');
    await expect.element(inMenu('Tides')).not.toHaveAttribute('data-ft-pending');
    // Once is enough.
    await inMenu('Today').click();
    await inMenu('Tides').click();
    await expect.element(heading('Tides')).toHaveFocus();
    expect(loads.length).toBe(1);
  });

  test('says that it is on its way if there is no last one', async () => {
    const { page: tides, loads } = controlledPage();
    mount(<Lab history={memoryHistory('/tides')} pages={{ tides }} />);
    await expect.element(main()).toHaveTextContent('Loading…');
    loads[0]?.resolve(LabPage);
    await expect.element(heading('Tides')).toBeVisible();
    // The visitor came by themselves, and is wherever they want to be.
    await expect.element(heading('Tides')).not.toHaveFocus();
  });

  test('is given up when another one is wanted', async () => {
    const { page: tides, loads, aborted } = controlledPage();
    mount(<Lab history={memoryHistory('/')} pages={{ tides }} eagerness={null} />);
    await inMenu('Tides').click();
    await expect.poll(() => loads.length).toBe(1);
    await inMenu('Hides').click();
    await expect.element(heading('Hides')).toHaveFocus();
    expect(aborted()).toBe(1);
    loads[0]?.resolve(LabPage);
    await expect.element(heading('Hides')).toBeVisible();
    expect([shownMarks(), document.title]).toEqual([['Hides'], 'Hides · Lab']);
  });

  test('that is not available says so, keeps the way to others, and can be tried again', async () => {
    const { page: tides, loads } = controlledPage();
    mount(<Lab history={memoryHistory('/')} pages={{ tides }} eagerness={null} />);
    await inMenu('Tides').click();
    await expect.poll(() => loads.length).toBe(1);
    loads[0]?.reject(new Error('ebb'));
    await expect.element(heading('This page could not be shown')).toHaveFocus();
    expect(lab.warnings).toEqual([expect.objectContaining({ code: 'page-failed', cause: new Error('ebb') })]);
    await page.getByRole('button', { name: 'Try again' }).click();
    loads[1]?.resolve(LabPage);
    await expect.element(heading('Tides')).toHaveFocus();
  });

  test('that could not be loaded is asked for again when one comes back to it', async () => {
    const { page: tides, loads } = controlledPage();
    mount(<Lab history={memoryHistory('/')} pages={{ tides }} eagerness={null} />);
    await inMenu('Tides').click();
    await expect.poll(() => loads.length).toBe(1);
    loads[0]?.reject(new Error('ebb'));
    await expect.element(heading('This page could not be shown')).toBeVisible();
    await inMenu('Hides').click();
    await expect.element(heading('Hides')).toHaveFocus();
    await inMenu('Tides').click();
    await expect.poll(() => loads.length).toBe(2);
    loads[1]?.resolve(LabPage);
    await expect.element(heading('Tides')).toHaveFocus();
  });

  test('offline, says that, and tries again by itself', async () => {
    const online = vi.spyOn(navigator, 'onLine', 'get').mockReturnValue(false);
    const { page: tides, loads } = controlledPage();
    mount(<Lab history={memoryHistory('/')} pages={{ tides }} eagerness={null} />);
    await inMenu('Tides').click();
    await expect.poll(() => loads.length).toBe(1);
    loads[0]?.reject(new Error('offline'));
    await expect.element(heading('You are offline, and this page has not been loaded yet')).toBeVisible();
    online.mockRestore();
    window.dispatchEvent(new Event('online'));
    await expect.poll(() => loads.length).toBe(2);
    loads[1]?.resolve(LabPage);
    await expect.element(heading('Tides')).toBeVisible();
  });

  test('that throws is no end of the rest', async () => {
    const quiet = vi.spyOn(console, 'error').mockReturnValue();
    let isBroken = true;
    const Broken: Page = (props) => {
      if (isBroken) throw new Error('a wave');
      return <LabPage {...props} />;
    };
    mount(<Lab history={memoryHistory('/')} pages={{ tides: Broken }} />);
    await inMenu('Tides').click();
    await expect.element(heading('This page could not be shown')).toBeVisible();
    await inMenu('Hides').click();
    await expect.element(heading('Hides')).toBeVisible();
    await inMenu('Tides').click();
    await expect.element(heading('This page could not be shown')).toBeVisible();
    isBroken = false;
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect.element(heading('Tides')).toHaveFocus();
    quiet.mockRestore();
  });

  test('and waits for something of its own is arrived at once that is there', async () => {
    let isThere = false;
    let tell: () => void = () => undefined;
    const waiting = new Promise<void>((resolve) => {
      tell = resolve;
    });
    const Suspended: Page = (props) => {
      // eslint-disable-next-line @typescript-eslint/only-throw-error -- this is how a component suspends in React 18
      if (!isThere) throw waiting;
      return <LabPage {...props} />;
    };
    mount(<Lab history={memoryHistory('/')} pages={{ tides: Suspended }} />);
    await inMenu('Tides').click();
    await expect.element(heading('Today')).not.toBeInTheDocument();
    expect(document.title).toBe('Today · Lab');
    isThere = true;
    tell();
    await expect.element(heading('Tides')).toHaveFocus();
    expect(document.title).toBe('Tides · Lab');
  });

  test.each([
    ['moderate', true],
    ['eager', true],
    ['immediate', true],
    ['conservative', false],
    [null, false],
  ] as const)('with eagerness %s, pointing at a link loads ahead: %s', async (eagerness, isLoaded) => {
    const { page: tides, loads } = controlledPage();
    mount(<Lab history={memoryHistory('/')} pages={{ tides }} eagerness={eagerness} />);
    await expect.element(heading('Today')).toBeVisible();
    await inMenu('Tides').hover();
    if (isLoaded) await expect.poll(() => loads.length).toBe(1);
    await inMenu('Tides').click();
    await expect.poll(() => loads.length).toBe(1);
    loads[0]?.resolve(LabPage);
    await expect.element(heading('Tides')).toBeVisible();
  });
});

describe('layouts and stages within stages', () => {
  test('what pages share stays as it is, and the reader is taken to what is new', async () => {
    mount(<Lab history={memoryHistory('/guide/first')} />);
    const notes = page.getByRole('textbox', { name: 'Notes' });
    await notes.fill('kept');
    await main().getByRole('link', { name: 'Second' }).click();
    await expect.element(page.getByRole('heading', { name: 'Chapter Second' })).toHaveFocus();
    await expect.element(notes).toHaveValue('kept');
    expect(document.querySelectorAll('main').length).toBe(1);
    await inMenu('Hides').click();
    await expect.element(heading('Hides')).toHaveFocus();
    await inMenu('Guide').click();
    await expect.element(heading('Guide to Guide')).toHaveFocus();
  });

  test('a layout can have its pages announced, and focus stays then', async () => {
    const Quiet = () => (
      <>
        <a href="/guide/second">On to the second</a>
        <Stage />
      </>
    );
    mount(
      <Trail site={labSite} history={memoryHistory('/guide/first')}>
        <Stage pages={labPages} layouts={{ guide: { layout: Quiet, arrival: 'announce' } }} />
      </Trail>,
    );
    const link = page.getByRole('link', { name: 'On to the second' });
    await link.click();
    await expect.element(page.getByRole('heading', { name: 'Chapter Second' })).toBeVisible();
    await expect.element(page.getByRole('status')).toHaveTextContent('Second · Lab');
    await expect.element(link).toHaveFocus();
  });

  test('a layout stays with its page while one outside of it loads', async () => {
    const { page: tides, loads } = controlledPage();
    mount(<Lab history={memoryHistory('/guide/first')} pages={{ tides }} eagerness={null} />);
    await expect.element(page.getByRole('heading', { name: 'Chapter First' })).toBeVisible();
    await inMenu('Tides').click();
    await expect.element(main()).toHaveAttribute('aria-busy', 'true');
    expect([...document.querySelectorAll('h1, h2')].map(({ textContent }) => textContent)).toEqual([
      'Guide to First',
      'Chapter First',
    ]);
    loads[0]?.resolve(LabPage);
    await expect.element(heading('Tides')).toHaveFocus();
  });

  test('a page that stays while another one loads is where it was', async () => {
    const { page: tides, loads } = controlledPage();
    const seen: (string | undefined)[] = [];
    const Watching: Page = () => {
      seen.push(usePosition().entry?.id);
      return <h1>Watching</h1>;
    };
    mount(<Lab history={memoryHistory('/')} pages={{ tides, today: Watching }} eagerness={null} />);
    await expect.element(heading('Watching')).toBeVisible();
    await inMenu('Tides').click();
    await expect.element(main()).toHaveAttribute('aria-busy', 'true');
    expect(new Set(seen)).toEqual(new Set(['today']));
    loads[0]?.resolve(LabPage);
    await expect.element(heading('Tides')).toBeVisible();
  });
});

describe('bad input: the visitor stays, and one warning says why', () => {
  beforeEach(async () => {
    mount(<Lab />);
    await expect.element(heading('Today')).toBeVisible();
  });

  test.each([
    ['//evil.example', 'address-elsewhere'],
    ['\\\\evil.example', 'address-elsewhere'],
    ['/\\evil.example', 'address-elsewhere'],
    ['/\t/evil.example', 'address-elsewhere'],
    ['https://evil.example/hides', 'address-elsewhere'],
    ['javascript:alert(1)', 'address-unsafe'],
    ['java\nscript:alert(1)', 'address-unsafe'],
    ['data:text/html,x', 'address-unsafe'],
    ['http://[', 'address-unreadable'],
    [`/hides?${'x'.repeat(70_000)}`, 'address-too-long'],
  ])('%s', (url, code) => {
    lab.navigate(url);
    expect(lab.warnings.map((warning) => warning.code)).toEqual([code]);
    expect(lab.warnings[0]?.message.length).toBeLessThan(200);
    expect([shownAddress(), shownMarks()]).toEqual(['/', ['Today']]);
  });

  test.each(['/%2F%2Fevil.example', '/%zz', '/hides/%E0%A4%A'])('%s is a page that is not there', async (url) => {
    lab.navigate(url);
    await expect.element(heading('Page not found')).toBeVisible();
    expect([location.host, lab.warnings]).toEqual([location.host, []]);
  });

  test.each([
    ['throws', vi.fn().mockThrow(new DOMException('too many', 'SecurityError'))],
    ['does nothing', () => undefined],
  ])('a history that %s', async (_, refuse) => {
    const refusing = vi.spyOn(window.history, 'pushState').mockImplementation(refuse);
    await inMenu('Hides').click();
    expect(lab.warnings.map(({ code }) => code)).toEqual(['history-refused']);
    await expect.element(heading('Today')).toBeVisible();
    expect([shownAddress(), shownMarks(), document.title]).toEqual(['/', ['Today'], 'Today · Lab']);
    refusing.mockRestore();
    await inMenu('Hides').click();
    await expect.element(heading('Hides')).toBeVisible();
  });
});

test('a history that refuses after the page has agreed to be left does not leave the visitor stuck', async () => {
  mount(<Lab />);
  await inMenu('Form').click();
  await page.getByRole('textbox').fill('Ruddy');
  const refusing = vi.spyOn(window.history, 'pushState').mockReturnValue();
  await inMenu('Hides').click();
  await page.getByRole('button', { name: 'Leave' }).click();
  await expect.poll(() => lab.warnings.map(({ code }) => code)).toEqual(['history-refused']);
  refusing.mockRestore();
  await inMenu('Hides').click();
  await page.getByRole('button', { name: 'Leave' }).click();
  await expect.element(heading('Hides')).toHaveFocus();
});

test.each([{ fairTrail: 7 }, { fairTrail: { key: 1 } }, 'text', { of: 'another app' }])(
  'a history entry that holds %j is taken over, and the rest of it kept',
  async (foreign) => {
    history.replaceState(foreign, '', '/hides');
    mount(<Lab />);
    await inMenu('Tides').click();
    await expect.element(heading('Tides')).toBeVisible();
    history.back();
    await expect.element(heading('Hides')).toBeVisible();
    if (typeof foreign === 'object' && 'of' in foreign) expect(history.state).toMatchObject(foreign);
  },
);

describe('a page change is a view transition', () => {
  test.each([
    ['where the browser has them and motion is wanted', {}, false, 1],
    ['but not for those who asked for less motion', {}, true, 0],
    ['nor where the app has none', { viewTransitions: false }, false, 0],
  ])('%s', async (_, options, isReduced, count) => {
    const matchMedia = window.matchMedia.bind(window);
    const media = vi.spyOn(window, 'matchMedia').mockImplementation((query) => {
      return query.includes('reduced-motion') ? ({ matches: isReduced } as MediaQueryList) : matchMedia(query);
    });
    const started = vi.spyOn(document, 'startViewTransition');
    mount(<Lab history={memoryHistory('/')} {...options} />);
    await expect.element(heading('Today')).toBeVisible();
    // Coming to the first page is no change, and neither is another query.
    lab.navigate('?sort');
    expect(started).not.toHaveBeenCalled();
    await inMenu('Hides').click();
    await expect.element(heading('Hides')).toHaveFocus();
    expect(started).toHaveBeenCalledTimes(count);
    started.mockRestore();
    media.mockRestore();
  });
});

test('a view transition ends as soon as a page that was loaded is drawn', async () => {
  const { page: tides, loads } = controlledPage();
  const started = vi.spyOn(document, 'startViewTransition');
  // The limit that a transition otherwise waits for never comes.
  const wait = window.setTimeout.bind(window);
  const timers = vi.spyOn(window, 'setTimeout').mockImplementation(((act: () => void, delay?: number) => {
    return delay === 500 ? 0 : wait(act, delay);
  }) as typeof window.setTimeout);
  mount(<Lab history={memoryHistory('/')} pages={{ tides }} eagerness={null} />);
  await expect.element(heading('Today')).toBeVisible();
  await inMenu('Tides').click();
  await expect.poll(() => loads.length).toBe(1);
  loads[0]?.resolve(LabPage);
  await expect.element(heading('Tides')).toHaveFocus();
  expect(started).toHaveBeenCalledTimes(2);
  for (const { value } of started.mock.results) await (value as ViewTransition).updateCallbackDone;
  timers.mockRestore();
  started.mockRestore();
});

test('a form is the browser’s', async () => {
  const sent = vi.fn((event: Event) => event.preventDefault());
  window.addEventListener('submit', sent, { once: true });
  const form = (
    <form action="/hides">
      <button>Search</button>
    </form>
  );
  mount(<Lab outside={form} />);
  await page.getByRole('button', { name: 'Search' }).click();
  expect([sent.mock.calls.length, shownAddress()]).toEqual([1, '/']);
});

describe('clicks', () => {
  test.each([
    ['that the app took', (link: HTMLElement) => link.addEventListener('click', (event) => event.preventDefault())],
    ['that the document took', () => document.addEventListener('click', preventOnce)],
  ])('%s are left alone', async (_, take) => {
    mount(<Lab />);
    await expect.element(heading('Today')).toBeVisible();
    const link = page.getByRole('link', { name: 'Tides in text' });
    take(link.element() as HTMLElement);
    await link.click();
    await expect.element(heading('Today')).toBeVisible();
    expect(shownAddress()).toBe('/');
  });

  const preventOnce = (event: Event) => {
    event.preventDefault();
    document.removeEventListener('click', preventOnce);
  };

  test('that a framework’s handler took are left alone', async () => {
    const taken = <a href="/tides" onClick={(event) => event.preventDefault()} children="Taken" />;
    mount(<Lab outside={taken} />);
    await page.getByRole('link', { name: 'Taken' }).click();
    await expect.element(heading('Today')).toBeVisible();
    expect(shownAddress()).toBe('/');
  });
});

describe('from a server', () => {
  const hydrated = async (html: string, app: React.ReactNode, act: (container: HTMLElement) => Promise<void>) => {
    const container = document.createElement('div');
    document.body.prepend(container);
    container.innerHTML = html;
    const errors = vi.spyOn(console, 'error');
    const recovered = vi.fn();
    const root = hydrateRoot(container, app, { onRecoverableError: recovered });
    await act(container);
    expect([recovered.mock.calls, errors.mock.calls]).toEqual([[], []]);
    root.unmount();
    container.remove();
    errors.mockRestore();
  };

  test('a page that was loaded on both sides is taken over', async () => {
    const tides = lazyPage(() => Promise.resolve({ default: LabPage }));
    await tides.load();
    history.replaceState(null, '', '/tides');
    const html = renderToString(<Lab history={serverHistory('/tides')} pages={{ tides }} />);
    expect(html).toContain('<h1>Tides</h1>');
    await hydrated(html, <Lab pages={{ tides }} />, async (container) => {
      await expect.poll(() => document.title).toBe('Tides · Lab');
      expect(container.querySelector('h1')?.textContent).toBe('Tides');
    });
  });

  test('a file that was rendered without the query it is opened with is right at first, and then corrected', async () => {
    const entries = [{ id: 'list', label: 'List {by}', href: '/list', query: ['by'] }];
    const site = defineSite({ name: 'x', entries });
    const ListPage: Page = ({ params }) => <h1>By {params['by'] ?? 'name'}</h1>;
    const app = (props: { history?: ReturnType<typeof serverHistory>; renderedUrl?: string }) => (
      <Trail site={site} {...props}>
        <Stage pages={{ list: ListPage }} />
      </Trail>
    );
    history.replaceState(null, '', '/list?by=year');
    await hydrated(
      renderToString(app({ history: serverHistory('/list') })),
      app({ renderedUrl: '/list' }),
      async (container) => {
        await expect.poll(() => container.querySelector('h1')?.textContent).toBe('By year');
      },
    );
  });
});

test('nothing is left behind', async () => {
  const { unmount } = mount(<Lab />);
  await inMenu('Hides').click();
  await expect.element(heading('Hides')).toBeVisible();
  unmount();
  await expect.poll(() => document.querySelector('[role=status]')).toBeNull();
  expect(history.scrollRestoration).toBe('auto');
  const click = new MouseEvent('click', { bubbles: true, cancelable: true });
  const link = document.createElement('a');
  link.href = '/tides';
  document.body.append(link);
  const stop = (event: Event) => {
    expect(event.defaultPrevented).toBe(false);
    event.preventDefault();
  };
  window.addEventListener('click', stop, { once: true });
  link.dispatchEvent(click);
  link.remove();
  await userEvent.keyboard('{Escape}');
});
