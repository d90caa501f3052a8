import type { BarOptions } from '../../../core/view/component-options.ts';
import { expect } from 'vitest';
import { page } from 'vitest/browser';
import type { Audience } from '../../../core/site/entry.ts';
import type { SiteDefinition } from '../../../core/site/definition.ts';

/** A bar that a contract asks for. */
export interface BarRequest extends Pick<
  BarOptions,
  'whenNarrow' | 'alwaysToggle' | 'hoverOpens' | 'held' | 'pinned' | 'givesWay' | 'backdrop'
> {
  readonly definition: SiteDefinition;
  /** Where the visitor is. Default: `/`. */
  readonly url?: string;
  /** Whether there is a button after the menu. */
  readonly end?: boolean;
  /** The audiences that the visitor is in, or `unknown`. Default: none. */
  readonly audience?: Audience;
  /** Called with the name of each action that is activated. */
  readonly onAction?: (action: string) => void;
}

/** Shows a bar for the menu `main`, and below it a page long enough to be scrolled; takes the last one away. */
export type MountBar = (request: BarRequest) => { readonly update: (request: BarRequest) => void };

export const navigation = page.getByRole('navigation', { name: 'Main' });
export const link = (name: string) => navigation.getByRole('link', { name, exact: true });
export const button = (name: string) => navigation.getByRole('button', { name, exact: true });
export const hides = button('Pages in Hides');
export const practical = button('Practical');
export const element = (locator: { element: () => Element }) => locator.element() as HTMLElement;

/** The links that can be seen, in the order of the document. */
export function seen(): string[] {
  return [...document.querySelectorAll('nav[aria-label="Main"] a')]
    .filter((one) => one.checkVisibility({ visibilityProperty: true }) && one.closest('[inert]') === null)
    .map((one) => one.textContent);
}

export function rectangles(selectors: readonly string[]): unknown[] {
  return selectors.flatMap((selector) =>
    [...document.querySelectorAll(selector)].map((one) => one.getBoundingClientRect().toJSON() as unknown),
  );
}

export async function focusOn(locator: { element: () => Element }): Promise<void> {
  await expect.poll(() => element(locator).isConnected).toBe(true);
  element(locator).focus();
}
