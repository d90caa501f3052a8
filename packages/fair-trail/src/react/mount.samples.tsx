import type { ReactNode } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { afterEach } from 'vitest';
import { page } from 'vitest/browser';
import type { SessionHistory } from '../core/router/history.ts';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import { everyEntry, type Site } from '../core/site/site.ts';
import { Navbar, type NavbarProps } from './navbar.tsx';
import type { Page } from './page.ts';
import { SkipLink } from './skip-link.tsx';
import { Stage } from './stage.tsx';
import { Trail, type TrailProps } from './trail.tsx';
import { marram } from '../core/site/site.samples.ts';
import '../styles/index.css';

const roots = new Map<Root, HTMLElement>();

/** Renders into a new element at the top of the page, which is taken away after the test. */
export function mount(content: ReactNode): {
  container: HTMLElement;
  render: (next: ReactNode) => void;
  unmount: () => void;
} {
  const container = document.createElement('div');
  document.body.prepend(container);
  const root = createRoot(container);
  roots.set(root, container);
  root.render(content);
  const unmount = () => {
    root.unmount();
    roots.delete(root);
    container.remove();
  };
  return { container, render: (next) => root.render(next), unmount };
}

afterEach(async () => {
  for (const [root, container] of roots) {
    root.unmount();
    container.remove();
  }
  roots.clear();
  document.documentElement.removeAttribute('style');
  document.documentElement.removeAttribute('dir');
  await page.viewport(1280, 800);
});

/** Says where it is, and is long enough to be scrolled. */
export const EchoPage: Page = ({ position, params }) => (
  <>
    <h1>
      {position.entry?.label} {Object.values(params).join(' ')}
    </h1>
    <p style={{ blockSize: '300vh' }}>Long</p>
    <a href="/hides">Hides below</a>
  </>
);

/** A page for each entry of a site. */
export const pagesOf = (of: Site) => Object.fromEntries([...everyEntry(of.entries)].map(({ id }) => [id, EchoPage]));

interface SampleAppProps extends Omit<TrailProps, 'site' | 'children'> {
  readonly definition?: SiteDefinition;
  readonly bar?: NavbarProps;
  readonly history?: SessionHistory;
}

export const site = defineSite(marram);

/** A whole little app: skip link, bar and stage, on a history in memory unless another is given. */
export function SampleApp({ definition, bar, history, ...trail }: SampleAppProps): ReactNode {
  const shown = definition ? defineSite(definition) : site;
  return (
    <Trail site={shown} {...(trail.url === undefined && { history: history ?? memoryHistory('/') })} {...trail}>
      <SkipLink />
      <Navbar {...bar} />
      <Stage pages={pagesOf(shown)} />
    </Trail>
  );
}

/** A site whose main menu has an item for each of these labels. */
export function siteWithLabels(labels: readonly string[], name = 'Marram'): SiteDefinition {
  const entries = labels.map((label, index) => ({ id: `e${index}`, label, href: index === 0 ? '/' : `/p${index}` }));
  return { name, entries, menus: { main: entries.map(({ id }) => id) } };
}
