import type { ReactElement } from 'react';
import { jsx, jsxs } from 'react/jsx-runtime';

type Props = Readonly<Record<string, unknown>>;

/** They take the name of any element; React's types list those that they know. */
const one = jsx as (tag: string, props: Props, key?: string) => ReactElement;
const several = jsxs as typeof one;

/**
 * An element of the document, for React.
 *
 * Made as JSX makes it, and not by `createElement`, which copies the properties once more: a page has thousands.
 *
 * @param props with `children`, which keep their order where there are several
 */
export function hostElement(tag: string, props: Props, key?: string): ReactElement {
  return (Array.isArray(props['children']) ? several : one)(tag, props, key);
}
