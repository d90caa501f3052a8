import type { ElementType, ReactElement } from 'react';
import { jsx, jsxs } from 'react/jsx-runtime';

type Props = Readonly<Record<string, unknown>>;

const one = jsx as (type: ElementType, props: Props, key?: string) => ReactElement;
const several = jsxs as typeof one;

/**
 * An element of the document, or of a component, for React.
 *
 * Made as JSX makes it, and not by `createElement`, which copies the properties once more, and asks for keys of children
 * that keep their order.
 *
 * @param props with `children`, which keep their order where there are several
 */
export function printedElement(type: ElementType, props: Props, key?: string): ReactElement {
  return (Array.isArray(props['children']) ? several : one)(type, props, key);
}

/** As `printedElement`, for any tag: React's types list those that they know. */
export const hostElement = printedElement as (tag: string, props: Props, key?: string) => ReactElement;
