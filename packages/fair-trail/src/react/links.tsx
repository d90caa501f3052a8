import { createContext, type AnchorHTMLAttributes, type ComponentType, type ReactElement, type ReactNode } from 'react';
import { hostElement, printedElement } from './host-element.ts';

/** The properties of a link component. It must pass all of them to its `a` element, and `aria-current` must win. */
export interface LinkSlotProps extends AnchorHTMLAttributes<HTMLAnchorElement> {
  readonly href: string;
  readonly children?: ReactNode;
}

/** The link component of the app's router. */
export type LinkSlot = ComponentType<LinkSlotProps>;

export interface Links {
  /** Null if the browser's own element is used. */
  readonly link: LinkSlot | null;
  /** How a link writes an address of the site. */
  readonly href: (url: string) => string;
}

export const LinksContext = createContext<Links>({ link: null, href: (url) => url });

/** Prints a link: with the app's own component where it has one, and for the app's own addresses. */
export function linkElement(
  props: Readonly<Record<string, unknown>>,
  { link, href: written }: Links,
  key?: string,
): ReactElement {
  const { href } = props;
  // Only paths are the site's own; a link to elsewhere is the browser's in every app.
  if (typeof href !== 'string' || !href.startsWith('/')) return hostElement('a', props, key);
  if (!link) return hostElement('a', { ...props, href: written(href) }, key);
  // A router's own link marks itself by its own rules, which are not ours; said outright, "false" overrules them.
  const current = props['aria-current'] as LinkSlotProps['aria-current'];
  const own = { ...props, href, 'aria-current': current ?? 'false' } as const;
  return printedElement(link, own, key);
}
