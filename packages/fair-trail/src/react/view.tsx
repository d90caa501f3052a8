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

/** Apart from the slots, so that an element with none in it does not render again when they change. */
const SendContext = createContext<ViewSurroundings['send']>(() => undefined);

const SlotsContext = createContext<ViewSurroundings['slots']>({});

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
    <SendContext.Provider value={surroundings.send}>
      <SlotsContext.Provider value={surroundings.slots}>
        {createElement(view.tag, { ...props, className: classes || undefined }, ...view.children.map(print))}
      </SlotsContext.Provider>
    </SendContext.Provider>
  );
}

/** Renders again only when its part of the view has changed. */
const PrintedElement = memo(function PrintedElement({ node }: { readonly node: ViewElement }): ReactNode {
  const send = useContext(SendContext);
  const props = propsOf(node, send);
  const children = node.children.length > longList ? printParts(node.children) : node.children.map(print);
  if (node.tag === 'a') return createElement(PrintedLink, { attributes: { ...props, children } });
  return createElement(node.tag, props, ...children);
});

/** From here on, a list is printed in parts, so that a change within it need not compare all of it. */
const longList = 100;

/** About how many children a part has. */
const partLength = 40;

/**
 * The children in parts. Where a part begins depends on the children's own keys, so that one that comes or goes changes
 * the part that it is in, and no other.
 */
function printParts(children: readonly ViewNode[]): ReactNode[] {
  const parts: ReactNode[] = [];
  let nodes: ViewNode[] = [];
  const end = () => {
    const [first] = nodes;
    if (first === undefined) return;
    parts.push(<PrintedPart key={keyOf(first)} nodes={nodes} />);
    nodes = [];
  };
  for (const child of children) {
    if (startsPart(keyOf(child))) end();
    nodes.push(child);
  }
  end();
  return parts;
}

const PrintedPart = memo(
  function PrintedPart({ nodes }: { readonly nodes: readonly ViewNode[] }): ReactNode {
    return nodes.map(print);
  },
  (one, other) =>
    one.nodes.length === other.nodes.length && one.nodes.every((node, index) => node === other.nodes[index]),
);

function keyOf(node: ViewNode): string {
  if (typeof node === 'string') return node;
  return 'slot' in node ? `slot/${node.slot}` : node.key;
}

/** The same answer for the same key, and yes for one in forty. */
function startsPart(key: string): boolean {
  let hash = 0;
  for (let index = 0; index < key.length; index += 1) hash = (hash * 31 + key.charCodeAt(index)) | 0;
  return hash % partLength === 0;
}

function PrintedSlot({ node }: { readonly node: ViewSlot }): ReactNode {
  return useContext(SlotsContext)[node.slot]?.(node.about) ?? null;
}

function print(node: ViewNode): ReactNode {
  if (typeof node === 'string') return node;
  if ('slot' in node) return <PrintedSlot key={keyOf(node)} node={node} />;
  return <PrintedElement key={keyOf(node)} node={node} />;
}

function propsOf(node: ViewElement, send: (event: unknown) => void): Record<string, unknown> {
  const props: Record<string, unknown> = {};
  for (const [name, value] of Object.entries(node.attributes)) props[reactNames[name] ?? name] = value;
  for (const [name, event] of Object.entries(node.on ?? {})) {
    props[`on${name.charAt(0).toUpperCase()}${name.slice(1)}`] = () => send(event);
  }
  return props;
}
