import { StrictMode } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { describe, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { Stage } from './stage.tsx';
import { usePosition, useTrail } from './trail-context.ts';
import { TrailLink } from './trail-link.tsx';
import { Trail } from './trail.tsx';
import { EchoPage, mount, pagesOf, SampleApp, site } from './mount.samples.tsx';

const heading = (name: string) => page.getByRole('heading', { level: 1, name });
const mainNavigation = page.getByRole('navigation', { name: 'Main' });

describe('a page change', () => {
  test('has the new title, page and mark, and moves focus to the new heading', async () => {
    mount(
      <StrictMode>
        <SampleApp />
      </StrictMode>,
    );
    await expect.element(heading('Today')).toBeVisible();
    expect(document.title).toBe('Today · Marram Point');
    await expect.element(heading('Today')).not.toHaveFocus();
    await mainNavigation.getByRole('link', { name: 'Hides' }).click();
    await expect.element(heading('Hides')).toHaveFocus();
    expect(document.title).toBe('Hides · Marram Point');
  });

  test('leaves the heading as it was once focus has gone on', async () => {
    mount(<SampleApp />);
    await mainNavigation.getByRole('link', { name: 'Hides' }).click();
    await expect.element(heading('Hides')).toHaveAttribute('tabindex', '-1');
    await userEvent.tab();
    await expect.element(heading('Hides')).not.toHaveAttribute('tabindex');
  });

  test('by Back and Forward restores how far each page was scrolled', async () => {
    const history = memoryHistory('/');
    mount(<SampleApp history={history} />);
    await expect.element(heading('Today')).toBeVisible();
    window.scrollTo(0, 640);
    (page.getByRole('link', { name: 'Hides below' }).element() as HTMLElement).click();
    await expect.element(heading('Hides')).toBeVisible();
    expect(window.scrollY).toBe(0);
    window.scrollTo(0, 210);
    history.traverse(-1);
    await expect.element(heading('Today')).toBeVisible();
    await expect.poll(() => window.scrollY).toBe(640);
    history.traverse(1);
    await expect.element(heading('Hides')).toBeVisible();
    await expect.poll(() => window.scrollY).toBe(210);
  });

  test('of the query alone moves neither focus nor scroll', async () => {
    const history = memoryHistory('/hides');
    let navigate: (url: string) => void = () => undefined;
    function Remote() {
      const { router, url } = useTrail();
      navigate = (next) => router?.navigate(next);
      return <output>{url}</output>;
    }
    mount(
      <Trail site={site} history={history}>
        <Remote />
        <Stage pages={pagesOf(site)} />
      </Trail>,
    );
    await expect.element(heading('Hides')).toBeVisible();
    window.scrollTo(0, 300);
    const link = page.getByRole('link', { name: 'Hides below' }).element() as HTMLElement;
    link.focus({ preventScroll: true });
    navigate('?sort=name');
    await expect.element(page.getByText('/hides?sort=name')).toBeInTheDocument();
    expect(window.scrollY).toBe(300);
    expect(document.activeElement).toBe(link);
  });

  test('to the address it is on begins the page again', async () => {
    mount(<SampleApp history={memoryHistory('/hides')} />);
    await expect.element(heading('Hides')).toBeVisible();
    window.scrollTo(0, 300);
    (mainNavigation.getByRole('link', { name: 'Hides' }).element() as HTMLElement).click();
    await expect.element(heading('Hides')).toHaveFocus();
    expect(window.scrollY).toBe(0);
  });

  test('scrolls to what the hash names', async () => {
    const history = memoryHistory('/');
    function Linked() {
      return (
        <Trail site={site} history={history}>
          <TrailLink entry="hides" hash="#foot" />
          <Stage pages={{ today: EchoPage, hides: () => <div style={{ blockSize: '200vh' }} children={foot} /> }} />
        </Trail>
      );
    }
    const foot = (
      <p id="foot" style={{ marginBlockStart: '120vh' }}>
        Foot
      </p>
    );
    mount(<Linked />);
    await page.getByRole('link', { name: 'Hides', exact: true }).click();
    await expect
      .poll(() => Math.abs(document.getElementById('foot')?.getBoundingClientRect().top ?? 99))
      .toBeLessThan(2);
  });
});

describe('the stage', () => {
  test.each([
    ['/species/curlew', 'curlew'],
    ['/nowhere', 'Page not found'],
    ['/hides/nowhere', 'Page not found'],
    ['/log', 'This page is not open to you'],
    ['/webcam', 'Webcam'],
  ])('at %s shows %s', async (url, title) => {
    const definition = {
      name: 'x',
      entries: [
        { id: 'hides', label: 'Hides', href: '/hides' },
        { id: 'species-page', label: 'Species', href: '/species/:slug' },
        { id: 'log', label: 'Log', href: '/log', audience: ['ringer'] },
        { id: 'webcam', label: 'Webcam', href: '/webcam', planned: true },
      ],
    };
    mount(<SampleApp url={url} definition={definition} />);
    await expect.element(heading(title)).toBeVisible();
    await expect.element(page.getByRole('main')).toHaveAttribute('id', 'main');
  });

  test('begins each address of one entry afresh', async () => {
    const history = memoryHistory('/species/curlew');
    mount(<SampleApp history={history} />);
    await expect.element(heading('curlew')).toBeVisible();
    const before = heading('curlew').element();
    history.push({ url: '/species/avocet', key: 'k' });
    history.traverse(-1);
    history.traverse(1);
    await expect.element(heading('avocet')).toBeVisible();
    expect(before.isConnected).toBe(false);
  });

  test('is where the skip link leads', async () => {
    mount(<SampleApp />);
    await expect.element(heading('Today')).toBeVisible();
    await userEvent.tab();
    const skip = page.getByRole('link', { name: 'Skip to content' });
    await expect.element(skip).toHaveFocus();
    await expect.poll(() => skip.element().getBoundingClientRect().top).toBeGreaterThanOrEqual(0);
    await userEvent.keyboard('{Enter}');
    await expect.element(page.getByRole('main')).toHaveFocus();
  });
});

test('breadcrumbs lead from home to the page, and are none on the home page', async () => {
  const records = { species: [{ params: { slug: 'curlew' }, label: 'Curlew' }] };
  const at = (url: string) => (
    <Trail site={site} url={url} records={records}>
      <Breadcrumbs className="mine" />
    </Trail>
  );
  const { render } = mount(at('/species/curlew'));
  const trail = page.getByRole('navigation', { name: 'Breadcrumbs' });
  await expect.element(trail).toHaveTextContent('TodaySpeciesCurlew');
  await expect.element(trail).toHaveClass('ft-breadcrumbs', 'mine');
  await expect.element(trail.getByRole('link', { name: 'Species' })).toHaveAttribute('href', '/species');
  expect(trail.element().querySelector('[aria-current=page]')?.textContent).toBe('Curlew');
  expect(trail.getByRole('link').elements().length).toBe(2);
  render(at('/'));
  await expect.element(trail).not.toBeInTheDocument();
});

test('a link to an entry takes its address and label from the site, and says when it is the page', async () => {
  mount(
    <Trail site={site} url="/species/curlew">
      <TrailLink entry="species-page" params={{ slug: 'curlew' }} search="?x" hash="#y" className="mine" />
      <TrailLink entry="species-page" params={{ slug: 'avocet' }}>
        Another
      </TrailLink>
      <TrailLink entry="species" />
    </Trail>,
  );
  const here = page.getByRole('link', { name: 'curlew' });
  await expect.element(here).toHaveAttribute('href', '/species/curlew?x#y');
  await expect.element(here).toHaveAttribute('aria-current', 'page');
  await expect.element(page.getByRole('link', { name: 'Another' })).not.toHaveAttribute('aria-current');
  await expect.element(page.getByRole('link', { name: 'Species' })).not.toHaveAttribute('aria-current');
});

describe('beside another router', () => {
  test('the address is what the app says, and clicks are left alone', async () => {
    const { render } = mount(<SampleApp url="/hides?x" />);
    await expect.element(mainNavigation.getByRole('link', { name: 'Hides' })).toHaveAttribute('aria-current', 'page');
    const prevented: boolean[] = [];
    const onClick = (event: Event) => {
      prevented.push(event.defaultPrevented);
      event.preventDefault();
    };
    window.addEventListener('click', onClick, { once: true });
    await mainNavigation.getByRole('link', { name: 'Today' }).click();
    expect(prevented).toEqual([false]);
    render(<SampleApp url="/species/curlew" />);
    await expect.element(mainNavigation.getByRole('link', { name: 'Species' })).toHaveAttribute('aria-current', 'true');
  });

  test('a change of query keeps the position itself', async () => {
    const seen = new Set<unknown>();
    function Watch() {
      seen.add(usePosition());
      return null;
    }
    const at = (url: string) => (
      <Trail site={site} url={url}>
        <Watch />
        <output>{url}</output>
      </Trail>
    );
    const { render } = mount(at('/hides'));
    await expect.element(page.getByText('/hides')).toBeInTheDocument();
    render(at('/hides?b'));
    await expect.element(page.getByText('/hides?b')).toBeInTheDocument();
    expect(seen.size).toBe(1);
  });
});

test('a server’s document is taken over without a warning', async () => {
  const container = document.createElement('div');
  document.body.prepend(container);
  container.innerHTML = renderToString(<SampleApp url="/species/curlew" />);
  const before = container.innerHTML;
  const errors = vi.spyOn(console, 'error');
  const recovered = vi.fn();
  const history = memoryHistory('/species/curlew');
  const root = hydrateRoot(container, <SampleApp history={history} />, { onRecoverableError: recovered });
  await expect.poll(() => document.title).toBe('curlew · Marram Point');
  expect(recovered).not.toHaveBeenCalled();
  expect(errors).not.toHaveBeenCalled();
  expect(container.innerHTML).toBe(before);
  root.unmount();
  container.remove();
  errors.mockRestore();
});

test('a component outside of a trail says what it needs', () => {
  expect(() => renderToString(<TrailLink entry="hides" />)).toThrow(/needs a Trail around it/u);
});
