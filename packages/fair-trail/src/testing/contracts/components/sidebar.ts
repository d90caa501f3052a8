import type { SidebarOptions } from '../../../core/view/component-options.ts';
import { afterEach, beforeEach } from 'vitest';
import { page } from 'vitest/browser';
import { memoryKeys } from '../../../core/interaction/memory-keys.ts';
import type { SiteDefinition } from '../../../core/site/definition.ts';
import type { SiteRecords } from '../../../core/site/records.ts';

/** A sidebar that a contract asks for, with the menu `desk`, in a layout beside the site's pages. */
export interface SidebarRequest extends Pick<
  SidebarOptions,
  'groups' | 'search' | 'rail' | 'whenNarrow' | 'alwaysToggle' | 'annex' | 'markers'
> {
  /** Default: `desk`. */
  readonly definition?: SiteDefinition;
  /** Where the visitor is; null for where the browser is, as after a reload. Default: `/`. */
  readonly url?: string | null;
  readonly records?: SiteRecords;
  /** Whether it carries a text below an annex's list. */
  readonly panel?: boolean;
}

/** Shows it. The visitor's way is kept in the browser's own history. */
export type MountSidebar = (request: SidebarRequest) => {
  readonly update: (request: SidebarRequest) => void;
  readonly unmount: () => void;
};

export const navigation = page.getByRole('navigation', { name: 'Sidebar' });
export const link = (name: string) => navigation.getByRole('link', { name, exact: true });
export const button = (name: string) => navigation.getByRole('button', { name, exact: true });
export const nets = button('Pages in Nets');
export const instruments = button('Instruments');
export const menu = page.getByRole('button', { name: 'Menu' });
export const autumn = button('Autumn');
export const spring = button('Spring');
export const annex = (name: string) => page.getByRole('navigation', { name, exact: true });
export const html = (locator: { element: () => Element }) => locator.element() as HTMLElement;
export const box = (locator: { element: () => Element }) => locator.element().getBoundingClientRect();

/** The links of the sidebar that can be seen, in the order of the document. */
export function seen(): string[] {
  return [...document.querySelectorAll('nav[aria-label="Sidebar"] a')]
    .filter((one) => one.checkVisibility({ visibilityProperty: true }) && one.closest('[inert]') === null)
    .map((one) => one.textContent);
}

export const sessions = ['04-sep', '13-sep', '22-sep'].map((day) => ({ params: { day }, label: `Session of ${day}` }));
export const withSessions = { records: { sessions } };

/** Nothing is remembered from one test to the next. */
export function forgetBetweenTests(): void {
  const forget = () => {
    for (const key of Object.values(memoryKeys)) localStorage.removeItem(key);
  };
  beforeEach(forget);
  afterEach(forget);
}
