import {
  createContext,
  createElement,
  memo,
  useContext,
  type ComponentPropsWithRef,
  type ReactNode,
  type Ref,
} from 'react';
import { PrintedLink } from './links.tsx';
import type { ViewElement, ViewNode, ViewSlot } from '../core/index.ts';

/** What the app puts into a view, and where the view's events go. Held in a context, so that views need no props. */
export interface ViewSurroundings {
  readonly slots: Readonly<Record<string, (about: string) => ReactNode>>;
  readonly send: (event: unknown) => void;
}

const Surroundings = createContext<ViewSurroundings>({ slots: {}, send: () => undefined });

/** Attributes that React knows under another name than HTML does. */
const reactNames: Readonly<Record<string, string>> = { class: 'className', tabindex: 'tabIndex' };

export interface ViewRootProps {
  readonly view: ViewElement;
  readonly surroundings: ViewSurroundings;
  /** What the app adds to the outermost element: a class beside ours, any attribute, any handler. */
  readonly attributes?: ComponentPropsWithRef<'div'>;
  readonly elementRef?: Ref<HTMLElement>;
}

/** Prints a view with React. */
export function ViewRoot({ view, surroundings, attributes = {}, elementRef }: ViewRootProps): ReactNode {
  const { className, ...others } = attributes;
  const props = { ...propsOf(view, surroundings.send), ...others, ref: elementRef };
  const classes = [view.attributes['class'], className].filter(Boolean).join(' ');
  return (
    <Surroundings.Provider value={surroundings}>
      {createElement(view.tag, { ...props, className: classes || undefined }, ...view.children.map(print))}
    </Surroundings.Provider>
  );
}

/** Renders again only when its part of the view has changed. */
const PrintedElement = memo(function PrintedElement({ node }: { readonly node: ViewElement }): ReactNode {
  const { send } = useContext(Surroundings);
  const props = propsOf(node, send);
  const children = node.children.map(print);
  if (node.tag === 'a') return createElement(PrintedLink, { attributes: { ...props, children } });
  return createElement(node.tag, props, ...children);
});

function PrintedSlot({ node }: { readonly node: ViewSlot }): ReactNode {
  return useContext(Surroundings).slots[node.slot]?.(node.about) ?? null;
}

function print(node: ViewNode): ReactNode {
  if (typeof node === 'string') return node;
  if ('slot' in node) return <PrintedSlot key={`slot/${node.slot}`} node={node} />;
  return <PrintedElement key={node.key} node={node} />;
}

function propsOf(node: ViewElement, send: (event: unknown) => void): Record<string, unknown> {
  const props: Record<string, unknown> = {};
  for (const [name, value] of Object.entries(node.attributes)) props[reactNames[name] ?? name] = value;
  for (const [name, event] of Object.entries(node.on ?? {})) {
    props[`on${name.charAt(0).toUpperCase()}${name.slice(1)}`] = () => send(event);
  }
  return props;
}
