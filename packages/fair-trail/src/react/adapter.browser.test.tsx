import { createContext, useContext, useEffect, useState, type MouseEvent, type ReactNode } from 'react';
import { expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { Breadcrumbs } from './breadcrumbs.tsx';
import type { LinkSlotProps } from './links.tsx';
import { Navbar } from './navbar.tsx';
import { SkipLink } from './skip-link.tsx';
import { usePosition, useTrail } from './trail-context.ts';
import { TrailLink } from './trail-link.tsx';
import { TrailAt } from './trail-at.tsx';
import { mount, site } from './mount.samples.tsx';

/**
 * Another router, small and stubborn: it shows a page some time after its link was activated, and only then counts the
 * address as changed; its link marks itself by its own rule, and prevents the browser's default before anyone else.
 */
interface SmallRouter {
  readonly path: string;
  readonly go: (path: string) => void;
}

const SmallRouterContext = createContext<SmallRouter>({ path: '/', go: () => undefined });

function SmallRouterProvider({ children }: { readonly children: ReactNode }): ReactNode {
  const [path, setPath] = useState('/');
  const [next, setNext] = useState<string | null>(null);
  useEffect(() => {
    if (next === null) return undefined;
    const timer = setTimeout(() => {
      setPath(next);
      setNext(null);
    }, 80);
    return () => clearTimeout(timer);
  }, [next]);
  return <SmallRouterContext.Provider value={{ path, go: setNext }}>{children}</SmallRouterContext.Provider>;
}

function SmallLink({ href, onClick, ...others }: LinkSlotProps): ReactNode {
  const { path, go } = useContext(SmallRouterContext);
  const follow = (event: MouseEvent<HTMLAnchorElement>) => {
    event.preventDefault();
    onClick?.(event);
    go(href);
  };
  return <a href={href} onClick={follow} aria-current={path.startsWith(href) ? 'page' : undefined} {...others} />;
}

function AppOnSmallRouter(): ReactNode {
  const { path, go } = useContext(SmallRouterContext);
  return (
    <TrailAt site={site} url={path} link={SmallLink} onNavigate={go}>
      <SkipLink />
      <Navbar end={<TrailLink entry="book">Book now</TrailLink>} />
      <Breadcrumbs />
      <Content />
    </TrailAt>
  );
}

function Content(): ReactNode {
  const { entry } = usePosition();
  const { navigate, router } = useTrail();
  return (
    <main>
      <h1>{entry?.label ?? 'Nowhere'}</h1>
      <button onClick={() => navigate('/species')}>To the species</button>
      <output>{router === null ? 'no router of ours' : 'ours'}</output>
    </main>
  );
}

const app = (
  <SmallRouterProvider>
    <AppOnSmallRouter />
  </SmallRouterProvider>
);
const heading = (name: string) => page.getByRole('heading', { level: 1, name });
const navigation = page.getByRole('navigation', { name: 'Main' });

function marked(): string[] {
  return [...document.querySelectorAll('[aria-current="page"], [aria-current="true"]')].map((link) => {
    return `${link.textContent} ${link.getAttribute('aria-current')}`;
  });
}

test('marks, breadcrumbs, title and focus follow the other router, and its own marks do not show', async () => {
  mount(app);
  await expect.element(heading('Today')).toBeVisible();
  expect([marked(), document.title]).toEqual([['Today page'], 'Today · Marram Point']);
  await navigation.getByRole('link', { name: 'Hides' }).click();
  await expect.element(heading('Hides')).toHaveFocus();
  expect([marked(), document.title]).toEqual([['Hides page', 'Hides page'], 'Hides · Marram Point']);
  await expect.element(page.getByRole('navigation', { name: 'Breadcrumbs' })).toHaveTextContent('TodayHides');
  await page.getByRole('link', { name: 'Book now' }).click();
  await expect.element(heading('Book')).toHaveFocus();
});

test('what the app does by itself goes out to the other router', async () => {
  mount(app);
  await expect.element(page.getByText('no router of ours')).toBeVisible();
  await page.getByRole('button', { name: 'To the species' }).click();
  await expect.element(heading('Species')).toHaveFocus();
});

test('a link chosen in the panel closes it, although its click was taken', async () => {
  await page.viewport(400, 800);
  mount(app);
  const toggle = page.getByRole('button', { name: 'Menu' });
  await toggle.click();
  await navigation.getByRole('link', { name: 'Hides' }).click();
  await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
  await expect.element(heading('Hides')).toHaveFocus();
});

test('a key follows a link as a click does', async () => {
  mount(app);
  await expect.element(heading('Today')).toBeVisible();
  (navigation.getByRole('link', { name: 'Hides' }).element() as HTMLElement).focus();
  await userEvent.keyboard('{Enter}');
  await expect.element(heading('Hides')).toHaveFocus();
});
