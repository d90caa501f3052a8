import { createApp, h, shallowRef, type App, type VNodeArrayChildren } from 'vue';
import { afterEach } from 'vitest';
import { page } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import { everyEntry, type Site } from '../core/site/site.ts';
import { required } from './given.ts';
import type { Page, PageProps } from './page.ts';
import '../styles/index.css';

const mounted = new Map<App, HTMLElement>();

/** Shows something of Vue in a new element at the top of the page, which is taken away after the test. */
export function mount(draw: () => VNodeArrayChildren): {
  readonly container: HTMLElement;
  readonly render: (next: () => VNodeArrayChildren) => void;
  readonly unmount: () => void;
} {
  const container = document.createElement('div');
  document.body.prepend(container);
  const drawn = shallowRef(draw);
  const app = createApp({ render: () => drawn.value() });
  app.config.warnHandler = (message, _, trace) => console.error(`${message}${trace}`);
  mounted.set(app, container);
  app.mount(container);
  const unmount = () => {
    if (!mounted.delete(app)) return;
    app.unmount();
    container.remove();
  };
  return { container, render: (next) => (drawn.value = next), unmount };
}

afterEach(async () => {
  for (const [app, container] of mounted) {
    app.unmount();
    container.remove();
  }
  mounted.clear();
  document.documentElement.removeAttribute('style');
  document.documentElement.removeAttribute('dir');
  await page.viewport(1280, 800);
});

/** Says where it is, and is long enough to be scrolled. */
export const EchoPage: Page = {
  props: { position: required<PageProps['position']>(), params: required<PageProps['params']>() },
  render(this: PageProps) {
    const label = [this.position.entry?.label, ...Object.values(this.params)].join(' ');
    return [
      h('h1', label),
      h('p', { style: { blockSize: '300vh' } }, 'Long'),
      h('a', { href: '/hides' }, 'Hides below'),
    ];
  },
};

const sites = new WeakMap<SiteDefinition, Site>();

/** One site for each definition, since another site is another router. */
export function siteFor(definition: SiteDefinition): Site {
  const site = sites.get(definition) ?? defineSite(definition);
  sites.set(definition, site);
  return site;
}

/** The same page for each entry of a site. */
export const pagesOf = (of: Site, page: Page = EchoPage) =>
  Object.fromEntries([...everyEntry(of.entries)].map(({ id }) => [id, page]));
