import { StrictMode } from 'react';
import { afterEach, describe, expect, test } from 'vitest';
import { userEvent } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import { TrailLink } from '../react/trail-link.tsx';
import type { Conditions } from './conditions.ts';
import type { OwnSpecimens } from './own-table.tsx';
import type { SheetProps } from './sheet-props.ts';
import { Sheet } from './sheet.tsx';
import { mount } from '../react/mount.samples.tsx';
import { desk, nested } from '../testing/sites.ts';
import '../styles/sheet.css';

const own: OwnSpecimens = {
  name: 'signs',
  title: 'Signs',
  rows: [
    {
      label: 'Book',
      states: ['rest', 'hover'],
      draw: () => (
        <TrailLink entry="about" className="sign">
          Book
        </TrailLink>
      ),
    },
  ],
};

const style = document.createElement('style');
style.textContent = `
  .sign { color: rgb(1, 2, 3); }
  @media (hover: hover) { .sign:hover { color: rgb(4, 5, 6); } }
  @media (prefers-reduced-motion: reduce) { .sign { letter-spacing: 3px; } }
`;

function mountSheet(definition: SiteDefinition, props: Partial<SheetProps> = {}) {
  document.head.append(style);
  return mount(
    <StrictMode>
      <Sheet site={defineSite(definition)} own={[own]} {...props} />
    </StrictMode>,
  );
}

const address = location.href;

afterEach(() => {
  style.remove();
  history.replaceState(null, '', address);
});

function frame(name: string): Document {
  const found = document.querySelector<HTMLIFrameElement>(`iframe[data-ft-frame='${name}']`)?.contentDocument;
  if (!found?.body.firstElementChild) throw new Error(`The frame "${name}" is not drawn yet.`);
  return found;
}

const styleIn = (element: Element | null) => {
  if (!element) throw new Error('It is not there.');
  return (element.ownerDocument.defaultView ?? window).getComputedStyle(element);
};

const cell = (document: Document, state: string) => document.querySelector(`[data-ft-state='${state}'] .sign`);

describe('a sheet in an app of its own', () => {
  test('shows the app’s own parts by the app’s own stylesheets', async () => {
    mountSheet(nested);
    await expect.poll(() => styleIn(cell(frame('signs'), 'rest')).color).toBe('rgb(1, 2, 3)');
    await expect.poll(() => styleIn(cell(frame('signs'), 'hover')).color).toBe('rgb(4, 5, 6)');
  });

  test('answers what a stylesheet asks of the reader, and takes the answer back', async () => {
    const { container } = mountSheet(nested);
    const spacing = () => styleIn(cell(frame('signs'), 'rest')).letterSpacing;
    await expect.poll(spacing).toBe('normal');
    const motion = [...container.querySelectorAll('label')].find((label) => label.textContent.startsWith('Motion'));
    const select = motion?.querySelector('select') ?? container;
    await userEvent.selectOptions(select, 'reduce');
    await expect.poll(spacing).toBe('3px');
    await userEvent.selectOptions(select, 'no-preference');
    await expect.poll(spacing).toBe('normal');
  });

  test('draws slots, icons and annexes as the app gives them', async () => {
    mountSheet(desk, {
      own: [],
      icon: (name) => (name === 'grid' ? null : <svg className="drawing" data-name={name} />),
      brand: <b className="crest">Crest</b>,
      annex: ['reedbed'],
    });
    await expect.poll(() => frame('bar').querySelectorAll('.ft-brand .crest').length).toBe(2);
    await expect.poll(() => frame('bar').querySelectorAll('.ft-link .drawing').length).toBeGreaterThan(0);
    await expect.poll(() => document.querySelector('#sheet-icons .ft-sheet-fault')?.textContent).toContain('grid');
    await expect
      .poll(() => frame('sidebar').querySelectorAll("[data-ft-part='annex item'][data-ft-state='expanded']").length)
      .toBe(1);
  });

  test('holds the app’s own title, focus and address', async () => {
    document.title = 'The app';
    const button = document.createElement('button');
    document.body.append(button);
    button.focus();
    const reported: Conditions[] = [];
    mountSheet(nested, { onConditions: (conditions) => reported.push(conditions) });
    await expect.poll(() => frame('whole-page').querySelector('h1')?.textContent).toBe('Today');
    frame('whole-page').querySelector<HTMLElement>(".ft-bar a[href='/about']")?.click();
    await expect.poll(() => frame('whole-page').querySelector('h1')?.textContent).toBe('About');
    expect(document.title).toBe('The app');
    expect(document.activeElement).toBe(button);
    expect(new URLSearchParams(location.search).get('address')).toBe('/about');
    expect(reported.at(-1)).toMatchObject({ address: '/about' });
    button.remove();
  });

  test('leaves nothing behind', async () => {
    const before = document.body.children.length;
    const { unmount } = mountSheet(nested);
    await expect.poll(() => frame('motion').querySelector('.ft-bar')).not.toBeNull();
    unmount();
    expect(document.querySelectorAll('iframe')).toHaveLength(0);
    expect(document.body.children).toHaveLength(before);
    expect(document.documentElement.hasAttribute('data-ft-scripted')).toBe(false);
  });
});
