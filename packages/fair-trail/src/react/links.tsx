import {
  createContext,
  createElement,
  useContext,
  type AnchorHTMLAttributes,
  type ComponentType,
  type ReactNode,
} from 'react';

/** What a link component is given. It must pass all of it on to its `a` element, and let `aria-current` win. */
export interface LinkSlotProps extends AnchorHTMLAttributes<HTMLAnchorElement> {
  readonly href: string;
  readonly children?: ReactNode;
}

/** A component that follows a path in the way of the router that the app has. */
export type LinkSlot = ComponentType<LinkSlotProps>;

interface Links {
  readonly link: LinkSlot | null;
  /** How a link writes an address of the site. */
  readonly href: (url: string) => string;
}

export const LinksContext = createContext<Links>({ link: null, href: (url) => url });

/** Only paths are the site's own; a link to elsewhere is the browser's in every app. */
function isPath(href: unknown): href is string {
  return typeof href === 'string' && href.startsWith('/');
}

type Attributes = Readonly<Record<string, unknown>>;

/** Prints a link: with the app's own component where it has one, and for the app's own addresses. */
export function PrintedLink({ attributes }: { readonly attributes: Attributes }): ReactNode {
  return printLink(attributes, useContext(LinksContext));
}

/** For a component that has the links already: a menu has many, and each component costs. */
export function printLink(attributes: Attributes, { link, href }: Links): ReactNode {
  const { href: written } = attributes;
  if (!isPath(written)) return createElement('a', attributes);
  if (!link) return createElement('a', { ...attributes, href: href(written) });
  // A router's own link marks itself by its own rules, which are not ours; said outright, "false" overrules them.
  return createElement(link, { ...attributes, href: written, 'aria-current': ariaCurrentOf(attributes) ?? 'false' });
}

function ariaCurrentOf(attributes: Readonly<Record<string, unknown>>): LinkSlotProps['aria-current'] {
  return attributes['aria-current'] as LinkSlotProps['aria-current'];
}
