import { useSyncExternalStore, type MouseEvent, type ReactNode } from 'react';
import { afterEach, expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { LanguageLinks } from './language-links.tsx';
import { FooterNav } from './footer-nav.tsx';
import type { LinkSlotProps } from './links.tsx';
import { Navbar } from './navbar.tsx';
import { Sidebar } from './sidebar.tsx';
import { TabLinks } from './tab-links.tsx';
import { TrailAt } from './trail-at.tsx';
import { TrailLink } from './trail-link.tsx';
import { mount } from './mount.samples.tsx';
import { openOtherRouter, type OtherRouter } from '../testing/other-router.samples.ts';
import { linkPaint } from '../testing/link-paint.samples.ts';

const entries = [
  { id: 'today', label: 'Today', href: '/', icon: 'sun' },
  {
    id: 'hides',
    label: 'Hides',
    href: '/hides',
    icon: 'hut',
    entries: [{ id: 'reedbed', label: 'Reedbed Hide', href: '/hides/reedbed', icon: 'hut' }],
  },
  { id: 'species', label: 'Species', href: '/species', icon: 'bird' },
] as const;

const site = defineSite({
  name: 'Marram Point',
  entries,
  menus: { main: ['today', { entry: 'hides', depth: 2 }, 'species'], tabs: ['hides', 'species'] },
});

/** As routers' link components do it: all that it is given goes to the link, and the rest is its own. */
function OwnLink({ children, ...others }: LinkSlotProps): ReactNode {
  return <a {...others}>{children}</a>;
}

const Icon = (name: string) => (
  <svg viewBox="0 0 24 24" aria-hidden="true">
    <title>{name}</title>
    <path d="M4 4h16v16H4z" />
  </svg>
);

function Shell({ url, link }: { readonly url: string; readonly link?: typeof OwnLink }): ReactNode {
  return (
    <TrailAt site={site} url={url} arrival="none" {...(link && { link })}>
      <Navbar icon={Icon} end={<TrailLink entry="species" data-ft-button="" />} />
      <Sidebar menu="main" label="Beside" icon={Icon} />
      <TabLinks menu="tabs" label="Parts" />
      <Breadcrumbs />
      <FooterNav menu="main" label="Foot" />
    </TrailAt>
  );
}

test.each(['/', '/hides', '/hides/reedbed', '/species'])(
  'with the link component of a router, every link is painted as without one: at %s',
  async (url) => {
    const { container, render } = mount(<Shell url={url} />);
    await expect.element(page.getByRole('navigation', { name: 'Main' })).toBeVisible();
    const plain = linkPaint(container);
    render(<Shell url={url} link={OwnLink} />);
    await expect.poll(() => container.querySelectorAll('[aria-current="false"]').length).toBeGreaterThan(2);
    expect(linkPaint(container)).toEqual(plain);
    expect(new Set(plain.map(({ paint }) => paint)).size).toBeGreaterThan(3);
  },
);

test('only the marked link has a painted mark, after each page change', async () => {
  const { render } = mount(<Shell url="/" link={OwnLink} />);
  const bar = page.getByRole('navigation', { name: 'Main' });
  const paintedMarks = () =>
    [...bar.element().querySelectorAll('.ft-link')].flatMap((link) => {
      const { borderTopColor } = getComputedStyle(link, '::before');
      return borderTopColor === 'rgba(0, 0, 0, 0)' || link.closest('.ft-panel') ? [] : [link.textContent];
    });
  for (const [url, label] of [
    ['/', 'Today'],
    ['/hides', 'Hides'],
    ['/hides/reedbed', 'Hides'],
    ['/species', 'Species'],
  ] as const) {
    await expect.element(bar).toBeVisible();
    render(<Shell url={url} link={OwnLink} />);
    await expect.poll(() => paintedMarks().map((text) => text.replace(/^\w+(?=[A-Z])/u, ''))).toEqual([label]);
  }
});

let router: OtherRouter | null = null;
afterEach(() => {
  router?.end();
  router = null;
  document.documentElement.lang = 'en';
});

function Follow({ href, onClick, ...others }: LinkSlotProps): ReactNode {
  const follow = (event: MouseEvent<HTMLAnchorElement>) => {
    onClick?.(event);
    event.preventDefault();
    router?.go(href);
  };
  return <a href={href} onClick={follow} {...others} />;
}

function usePath({ subscribe, path }: OtherRouter): string {
  return useSyncExternalStore(subscribe, path);
}

function Routed({ of }: { readonly of: OtherRouter }): ReactNode {
  const path = usePath(of);
  return (
    <TrailAt site={site} url={path} link={Follow} onNavigate={of.go}>
      <Navbar />
      <main>
        <h1>{path}</h1>
        {path === '/' && <Follow href="/hides/reedbed">Into the reeds</Follow>}
      </main>
    </TrailAt>
  );
}

const heading = (name: string) => page.getByRole('heading', { level: 1, name, exact: true });
const bar = page.getByRole('navigation', { name: 'Main' });
const species = bar.getByRole('link', { name: 'Species' });

test('Back puts focus on the link that was followed, in the bar and in the content, and Forward as well', async () => {
  router = openOtherRouter('/');
  mount(<Routed of={router} />);
  await species.click();
  await expect.element(heading('/species')).toHaveFocus();
  window.history.back();
  await expect.element(species).toHaveFocus();
  await page.getByRole('link', { name: 'Into the reeds' }).click();
  await expect.element(heading('/hides/reedbed')).toHaveFocus();
  await bar.getByRole('link', { name: 'Today' }).click();
  await expect.element(heading('/')).toHaveFocus();
  window.history.back();
  await expect.element(bar.getByRole('link', { name: 'Today' })).toHaveFocus();
  window.history.back();
  await expect.element(page.getByRole('link', { name: 'Into the reeds' })).toHaveFocus();
  window.history.forward();
  await expect.element(bar.getByRole('link', { name: 'Today' })).toHaveFocus();
});

test('Back to a page that was left by no link puts focus on its heading', async () => {
  router = openOtherRouter('/');
  mount(<Routed of={router} />);
  await expect.element(heading('/')).toBeVisible();
  router.go('/species');
  await expect.element(heading('/species')).toHaveFocus();
  window.history.back();
  await expect.element(heading('/')).toHaveFocus();
});

test('Back to a page that was left by a link in a panel puts focus on what opens the panel', async () => {
  router = openOtherRouter('/');
  mount(<Routed of={router} />);
  const trigger = bar.getByRole('button', { name: 'Pages in Hides' });
  await trigger.click();
  await expect.element(trigger).toHaveAttribute('aria-expanded', 'true');
  await userEvent.tab();
  await userEvent.keyboard('{Enter}');
  await expect.element(heading('/hides/reedbed')).toHaveFocus();
  window.history.back();
  await expect.element(trigger).toHaveFocus();
});

test('the language of the document follows the page, and what the head said of the loaded page goes with that', async () => {
  const inTwo = defineSite({
    name: 'Marram Point',
    languages: ['cy'],
    entries: [
      { id: 'today', label: { en: 'Today', cy: 'Heddiw' }, href: '/' },
      { id: 'hides', label: { en: 'Hides', cy: 'Cuddfannau' }, href: '/hides' },
    ],
    menus: { main: ['today', 'hides'] },
  });
  const data = Object.assign(document.createElement('script'), { type: 'application/ld+json' });
  data.toggleAttribute('data-ft-of-page', true);
  document.head.append(data);
  const of = (router = openOtherRouter('/hides'));
  function Bilingual(): ReactNode {
    return (
      <TrailAt site={inTwo} url={usePath(of)} link={Follow}>
        <Navbar />
        <LanguageLinks names={{ cy: 'Cymraeg' }} />
      </TrailAt>
    );
  }
  mount(<Bilingual />);
  await expect.poll(() => document.documentElement.lang).toBe('en');
  expect(data.isConnected).toBe(true);
  await page.getByRole('link', { name: 'Cymraeg' }).click();
  await expect.element(bar.getByRole('link', { name: 'Cuddfannau' })).toBeVisible();
  expect([document.documentElement.lang, document.title, data.isConnected]).toEqual([
    'cy',
    'Cuddfannau · Marram Point',
    false,
  ]);
});
