import {
  createContext,
  createElement,
  forwardRef,
  memo,
  useCallback,
  useContext,
  version,
  type ComponentPropsWithRef,
  type HTMLAttributes,
  type MouseEvent,
  type ReactNode,
  type Ref,
} from 'react';
import type { LiveMarks } from '../core/site/live-marks.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { isActionEvent, markedView } from '../core/view/menu-view.ts';
import { partOf, type ViewElement, type ViewNode, type ViewSlot } from '../core/view/view.ts';
import { isPlainClick } from '../dom/clicks.ts';
import { LinksContext, PrintedLink, printLink } from './links.tsx';
import { MarksContext, useMark } from './live-marks.ts';
import { SurroundingsContext } from './trail-context.ts';

/** What the app puts into a view, and where the view's events go. Held in a context, so that views need no props. */
export interface ViewSurroundings {
  readonly slots: Readonly<Record<string, (about: string) => ReactNode>>;
  readonly send: (event: unknown) => void;
  /** What marks the items of the view's menu, where the view leaves that open. */
  readonly marks?: LiveMarks;
}

/** Apart from the slots, so that an element with none in it does not render again when they change. */
const SendContext = createContext<ViewSurroundings['send']>(() => undefined);

/** The view whose parts the app arranges. */
const PartsContext = createContext<ViewElement | null>(null);

const SlotsContext = createContext<ViewSurroundings['slots']>({});

/** Attributes that React knows under another name than HTML does. */
const reactNames: Readonly<Record<string, string>> = {
  class: 'className',
  tabindex: 'tabIndex',
  hreflang: 'hrefLang',
  for: 'htmlFor',
  autocomplete: 'autoComplete',
  spellcheck: 'spellCheck',
};

/** Since version 19, React takes this attribute for a boolean; before, it writes what it is given. */
const inert = Number.parseInt(version, 10) >= 19 ? true : '';

/** Attributes that it takes for booleans in every version: an empty text would be no. */
const booleans = ['hidden', 'disabled'];

export interface ViewRootProps {
  readonly view: ViewElement;
  readonly surroundings: ViewSurroundings;
  /** What the app adds to the outermost element: a class beside ours, any attribute, any handler. */
  readonly attributes?: ComponentPropsWithRef<'div'>;
  readonly elementRef?: Ref<HTMLElement>;
  /** The whole view, where the app arranges its parts itself and `view` is only what holds them. */
  readonly parts?: ViewElement | null;
}

/** Prints a view with React. */
export function ViewRoot({ view, surroundings, attributes = {}, elementRef, parts = null }: ViewRootProps): ReactNode {
  const act = useContext(SurroundingsContext)?.act;
  const { send: sendToView } = surroundings;
  const send = useCallback(
    (event: unknown) => {
      if (isActionEvent(event)) act?.(event.action);
      else sendToView(event);
    },
    [act, sendToView],
  );
  const { className, ...others } = attributes;
  const props = { ...propsOf(view), ...handlersOf(view, send), ...others, ref: elementRef };
  const classes = [view.attributes['class'], className].filter(Boolean).join(' ');
  return (
    <SendContext.Provider value={send}>
      <SlotsContext.Provider value={surroundings.slots}>
        <MarksContext.Provider value={surroundings.marks ?? null}>
          <PartsContext.Provider value={parts}>
            {createElement(view.tag, { ...props, className: classes || undefined }, ...view.children.map(print))}
          </PartsContext.Provider>
        </MarksContext.Provider>
      </SlotsContext.Provider>
    </SendContext.Provider>
  );
}

/**
 * Prints one part of a view. What has something to wait for is a component of its own, so that only that part renders
 * again: a list, what shows a mark, what sends an event, a slot. All else is printed with what holds it.
 */
function print(node: ViewNode): ReactNode {
  if (typeof node === 'string') return node;
  const key = keyOf(node);
  if ('slot' in node) return <PrintedSlot key={key} node={node} />;
  if (node.item) return <PrintedMark key={key} node={node} item={node.item} />;
  if (node.on) return <PrintedControl key={key} node={node} />;
  if (node.tag === 'ul') return <PrintedList key={key} node={node} />;
  return printElement(node, propsOf(node), key);
}

function printElement(node: ViewElement, props: Readonly<Record<string, unknown>>, key?: string): ReactNode {
  const children = node.children.map(print);
  if (node.tag === 'a') return <PrintedLink key={key} attributes={{ ...props, children }} />;
  return createElement(node.tag, key === undefined ? props : { ...props, key }, ...children);
}

export interface PartProps extends HTMLAttributes<HTMLElement> {
  /**
   * Which part: of a `Navbar` its `brand`, `start`, `navigation` (the landmark, with toggle and menu), or `toggle` and
   * `menu` by themselves, in that order within one element, and `end`; of a `Sidebar` its `head`, or `start`, `rail`,
   * `close` and `search` by themselves, `menu` (the landmark) and `foot`.
   */
  readonly name: string;
}

/**
 * One part of the component around it, wherever the app's own markup wants it. Nothing where there is none now.
 *
 * @example
 * <Navbar>
 *   <Part name="brand"><Logo /></Part>
 *   <Part name="list" />
 * </Navbar>
 */
export const Part = forwardRef<HTMLElement, PartProps>(function Part({ name, className, ...attributes }, ref) {
  const view = useContext(PartsContext);
  const send = useContext(SendContext);
  const part = view && partOf(view, name);
  if (!part) return null;
  const classes = [part.attributes['class'], className].filter(Boolean).join(' ');
  const own = handlersOf(part, send);
  // The app may listen too; it is told first, and takes nothing away.
  const both = Object.entries(own).map(([event, handle]) => {
    const told = (attributes as Record<string, unknown>)[event];
    const handleBoth = (given: MouseEvent) => {
      if (typeof told === 'function') (told as (given: MouseEvent) => void)(given);
      handle(given);
    };
    return [event, handleBoth];
  });
  const props = { ...propsOf(part), ...attributes, ...(Object.fromEntries(both) as object), className: classes };
  return <PrintedPartElement node={part} attributes={props} elementRef={ref} />;
});

interface PartElementProps {
  readonly node: ViewElement;
  readonly attributes: Readonly<Record<string, unknown>>;
  readonly elementRef: Ref<HTMLElement>;
}

function PrintedPartElement({ node, attributes, elementRef }: PartElementProps): ReactNode {
  // A link component of the app's own may know of no ref: it is given one only where somebody wants it.
  return printElement(node, elementRef ? { ...attributes, ref: elementRef } : attributes);
}

interface MarkProps {
  readonly node: ViewElement;
  readonly item: MenuItem;
}

/** Renders again only when its part of the view has changed, or its item's mark. */
const PrintedMark = memo(function PrintedMark({ node: atRest, item }: MarkProps): ReactNode {
  const links = useContext(LinksContext);
  const node = markedView(atRest, useMark(item));
  if (node.on) return <PrintedControl node={node} />;
  const props = propsOf(node);
  const children = node.children.map(print);
  return node.tag === 'a' ? printLink({ ...props, children }, links) : createElement(node.tag, props, ...children);
});

const PrintedControl = memo(function PrintedControl({ node }: { readonly node: ViewElement }): ReactNode {
  const send = useContext(SendContext);
  return printElement(node, { ...propsOf(node), ...handlersOf(node, send) });
});

const PrintedList = memo(function PrintedList({ node }: { readonly node: ViewElement }): ReactNode {
  const children = node.children.length > longList ? printParts(node.children) : node.children.map(print);
  return createElement(node.tag, propsOf(node), ...children);
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

function propsOf(node: ViewElement): Record<string, unknown> {
  const props: Record<string, unknown> = {};
  for (const name in node.attributes) props[reactNames[name] ?? name] = node.attributes[name];
  if ('inert' in props) props['inert'] = inert;
  for (const name of booleans) if (name in props) props[name] = true;
  return props;
}

/** A click that the browser would follow in this tab does that instead; any other is the browser's. */
function inPlaceOfLink(handle: () => void): (event: MouseEvent) => void {
  return (event) => {
    if (!isPlainClick(event.nativeEvent)) return;
    event.preventDefault();
    handle();
  };
}

type Handler = (() => void) | ((event: MouseEvent) => void);

function handlersOf(node: ViewElement, send: (event: unknown) => void): Record<string, Handler> {
  const handlers: Record<string, Handler> = {};
  for (const [name, event] of Object.entries(node.on ?? {})) {
    const handle = () => send(event);
    handlers[`on${name.charAt(0).toUpperCase()}${name.slice(1)}`] = node.tag === 'a' ? inPlaceOfLink(handle) : handle;
  }
  return handlers;
}
