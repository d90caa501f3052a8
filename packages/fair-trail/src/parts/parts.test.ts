import * as fc from 'fast-check';
import { describe, expect, test, vi } from 'vitest';
import { defineSite } from '../core/site/define.ts';
import { locate } from '../core/site/locate.ts';
import { anyAddress, anySite, marram } from '../core/site/site.samples.ts';
import { isViewElement, partOf, type ViewElement } from '../core/view/view.ts';
import { BreadcrumbsPart } from './breadcrumbs.ts';
import { FooterPart } from './footer.ts';
import { NavbarPart, type NavbarOptions } from './navbar.ts';
import type { NavigationPart } from './navigation-part.ts';
import { NoticePart } from './notice.ts';
import { SidebarPart, type SidebarPartOptions } from './sidebar.ts';
import { surroundingsOf } from './surroundings.ts';
import { TabLinksPart } from './tab-links.ts';
import { TabsPart, type TabsPartOptions } from './tabs.ts';

/** What holds of every part by itself, without a document: what it draws, and when it draws the same. */

const site = defineSite(marram);
const ignore = () => undefined;
const trail = surroundingsOf({ site }, null, ignore);

function shared(url: string, id = 'x') {
  return { trail, position: locate(site, url), url, id };
}

const noSlots = { brand: false, start: false, end: false, icon: false };
const bar = (url: string, more: Partial<NavbarOptions> = {}): NavbarOptions => ({
  ...shared(url),
  slots: { ...noSlots },
  ...more,
});
const sidebar = (url: string, more: Partial<SidebarPartOptions> = {}): SidebarPartOptions => ({
  ...shared(url),
  slots: { icon: false, start: false, foot: false, panel: false },
  ...more,
});
const tabs: TabsPartOptions['tabs'] = [
  { id: 'map', label: 'Map' },
  { id: 'log', label: 'Log' },
  { id: 'old', label: 'Old', disabled: true },
];
const tabsAt = (url: string, more: Partial<TabsPartOptions> = {}): TabsPartOptions => ({
  ...shared(url),
  tabs,
  label: 'Hide',
  slots: { icon: false },
  ...more,
});

/** Everything that elements of the view report. */
function eventsIn<Event>(view: ViewElement<Event>): readonly Event[] {
  const below = view.children.filter(isViewElement<Event>).flatMap(eventsIn);
  return view.click === undefined ? below : [view.click, ...below];
}

const urls = ['/', '/hides', '/hides/reedbed', '/species', '/nowhere'];

interface Case {
  readonly name: string;
  /** A new part and the options at an address, as one that can be driven without knowing which it is. */
  readonly make: () => Driven;
}

interface Driven {
  readonly view: (url: string) => ViewElement<unknown> | null;
  readonly fresh: (url: string) => ViewElement<unknown> | null;
  readonly drawn: (url: string) => void;
  /** Sends what the view reports, by its place among all that it does. */
  readonly send: (url: string, index: number) => void;
}

function driven<Options, State, Event>(
  Part: new (options: Options) => NavigationPart<Options, State, Event>,
  optionsAt: (url: string) => Options,
): () => Driven {
  return () => {
    const part = new Part(optionsAt('/'));
    return {
      view: (url) => part.view(optionsAt(url)),
      // Another part that never drew anything, in the same state.
      fresh: (url) => new Part(optionsAt('/')).view(optionsAt(url), part.read()),
      drawn: (url) => part.drawn(optionsAt(url)),
      send: (url, index) => {
        const view = part.view(optionsAt(url));
        const events = view ? eventsIn(view) : [];
        const event = events[index % Math.max(1, events.length)];
        if (event !== undefined) part.send(event);
      },
    };
  };
}

const cases: readonly Case[] = [
  { name: 'a bar', make: driven(NavbarPart, bar) },
  { name: 'a bar that the app controls', make: driven(NavbarPart, (url) => bar(url, { expanded: true })) },
  {
    name: 'a sidebar',
    make: driven(SidebarPart, (url) => sidebar(url, { rail: true, search: true, annex: ['hides'] })),
  },
  { name: 'tabs', make: driven(TabsPart, tabsAt) },
  {
    name: 'tab links',
    make: driven(TabLinksPart, (url) => ({ ...shared(url), menu: 'main', label: 'Main', slots: { icon: false } })),
  },
  {
    name: 'breadcrumbs',
    make: driven(BreadcrumbsPart, (url) => ({
      ...shared(url),
      siblings: true,
      fold: 'always' as const,
      slots: { icon: false, separator: false },
    })),
  },
  {
    name: 'a footer',
    make: driven(FooterPart, (url) => ({
      ...shared(url),
      menu: 'main',
      slots: { icon: false, form: false, foot: false },
    })),
  },
  { name: 'a notice', make: driven(NoticePart, () => ({ trail, name: 'tower' })) },
];

const step = fc.record({ url: fc.constantFrom(...urls), event: fc.option(fc.nat(40)), isDrawn: fc.boolean() });

describe.each(cases)('$name', ({ make }) => {
  test('draws what one draws that knows nothing of before, and the same object where nothing changed', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const part = make();
        for (const { url, event, isDrawn } of steps) {
          if (event !== null) part.send(url, event);
          const view = part.view(url);
          expect(view).toEqual(part.fresh(url));
          expect(part.view(url)).toBe(view);
          if (isDrawn) part.drawn(url);
        }
      }),
      { numRuns: 150 },
    );
  });
});

test('a drawing that is given up leaves no trace: only what is said to be drawn counts', () => {
  const part = new NavbarPart(bar('/'));
  const before = part.read();
  part.view(bar('/hides', { label: 'Other', expanded: true }));
  part.view(bar('/species'));
  expect(part.read()).toBe(before);
  expect(part.view(bar('/'))).toEqual(new NavbarPart(bar('/')).view(bar('/')));
});

test('a bar that the app controls asks each time, and shows what the app says', () => {
  const onToggle = vi.fn();
  const options = bar('/', { expanded: false, onToggle });
  const part = new NavbarPart(options);
  part.drawn(options);
  for (let time = 0; time < 100; time += 1) part.send({ type: 'toggle' });
  expect(onToggle.mock.calls).toEqual(Array.from({ length: 100 }, () => [true]));
  const toggle = () => {
    const view = part.view(options);
    return view && partOf(view, 'toggle')?.attributes['aria-expanded'];
  };
  expect(toggle()).toBe('false');
  const agreed = bar('/', { expanded: true, onToggle });
  const view = part.view(agreed);
  expect(view && partOf(view, 'toggle')?.attributes['aria-expanded']).toBe('true');
});

test('tabs that the app controls ask, and the selected one stays', () => {
  const onSelect = vi.fn();
  const options = tabsAt('/', { selected: 'map', onSelect });
  const part = new TabsPart(options);
  part.drawn(options);
  part.send({ type: 'press', id: 'log' });
  part.send({ type: 'press', id: 'log' });
  expect(onSelect.mock.calls).toEqual([['log'], ['log']]);
  expect(part.shown(options).state.selected).toBe('map');
});

test('tabs follow the address, and write to it', () => {
  const navigate = vi.fn();
  const own = { ...trail, navigate };
  const at = (url: string) => tabsAt(url, { trail: own, linkedTo: { query: 'part' } });
  const part = new TabsPart(at('/hides?part=log'));
  expect(part.shown(at('/hides?part=log')).state.selected).toBe('log');
  part.drawn(at('/hides?part=log'));
  part.send({ type: 'press', id: 'map' });
  part.drawn(at('/hides?part=log'));
  expect(navigate).toHaveBeenCalledWith('/hides?part=map', { history: 'replace' });
  // An address that names a disabled tab, or none, selects the first that can be.
  part.drawn(at('/hides?part=old'));
  expect(part.shown(at('/hides?part=old')).state.selected).toBe('map');
});

test('who listens hears of a change, and what waits for the drawing is done after it', () => {
  const options = sidebar('/', { annex: ['hides'] });
  const navigate = vi.fn();
  const own = { ...options, trail: { ...trail, navigate } };
  const part = new SidebarPart(own);
  const listener = vi.fn();
  const stop = part.subscribe(listener);
  part.send({ type: 'choose', id: 'hides' });
  expect(listener).toHaveBeenCalled();
  expect(navigate).not.toHaveBeenCalled();
  // A drawing of the state before is not the one that is waited for.
  part.drawn(own, { ...part.read() });
  expect(navigate).not.toHaveBeenCalled();
  part.drawn(own);
  expect(navigate).toHaveBeenCalledWith('/?annex=hides', { history: 'push' });
  stop();
  listener.mockClear();
  part.send({ type: 'rail' });
  expect(listener).not.toHaveBeenCalled();
});

test('on random sites, what a bar draws at an address does not depend on where the visitor was', () => {
  fc.assert(
    fc.property(anySite, fc.array(anyAddress, { minLength: 1, maxLength: 5 }), (definition, way) => {
      const known = defineSite(definition);
      const other = defineSite(definition);
      const at = (of: typeof known, url: string): NavbarOptions => ({
        ...bar('/'),
        trail: surroundingsOf({ site: of }, null, ignore),
        position: locate(of, url),
      });
      const part = new NavbarPart(at(known, '/'));
      for (const url of way) {
        part.drawn(at(known, url));
        expect(part.view(at(known, url))).toEqual(new NavbarPart(at(other, url)).view(at(other, url)));
      }
    }),
    { numRuns: 200 },
  );
});
