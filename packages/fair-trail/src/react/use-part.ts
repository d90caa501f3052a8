import {
  useContext,
  useImperativeHandle,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
  type ForwardedRef,
  type ReactNode,
  type RefObject,
} from 'react';
import type { ViewElement } from '../core/view/view.ts';
import type { NavigationPart } from '../parts/navigation-part.ts';
import { LinksContext } from './links.tsx';
import { Printer } from './printer.ts';
import { useBrowserLayoutEffect } from './trail-context.ts';

export interface UsedPart<Part, State, Event> {
  readonly part: Part;
  readonly state: State;
  /** Null if there is nothing to draw. */
  readonly view: ViewElement<Event> | null;
  readonly printer: Printer<Event>;
  /** For the outermost element of the view. */
  readonly rootRef: RefObject<HTMLElement | null>;
}

/**
 * Binds a part to a component of React: draws its view again when its state changes, reports what the document shows, and
 * connects it to the element that its view became.
 *
 * @param create the part's class
 * @param icon draws an icon by its name
 */
export function usePart<
  Options,
  State,
  Event,
  Part extends NavigationPart<Options, State, Event> = NavigationPart<Options, State, Event>,
>(
  create: new (options: Options) => Part & NavigationPart<Options, State, Event>,
  options: Options,
  ref: ForwardedRef<HTMLElement>,
  icon?: (name: string) => ReactNode,
): UsedPart<Part, State, Event> {
  const [part] = useState(() => new create(options));
  const state = useSyncExternalStore(part.subscribe, part.read, part.readRendered);
  const view = part.view(options, state);
  const rootRef = useRef<HTMLElement>(null);
  const isDrawn = view !== null;
  // eslint-disable-next-line react-hooks/exhaustive-deps -- What is in the ref changes when the view comes or goes.
  useImperativeHandle<HTMLElement | null, HTMLElement | null>(ref, () => rootRef.current, [isDrawn]);
  const connection = useRef<Connection | null>(null);
  useBrowserLayoutEffect(() => {
    const root = rootRef.current;
    if (connection.current?.root !== root) {
      connection.current?.end();
      connection.current = root && { root, end: part.connect(root) };
    }
    part.drawn(options, state);
  });
  useBrowserLayoutEffect(
    () => () => {
      connection.current?.end();
      connection.current = null;
    },
    [],
  );
  return { part, state, view, printer: usePrinter(part.send, icon), rootRef };
}

interface Connection {
  readonly root: HTMLElement;
  readonly end: () => void;
}

/** What was printed holds for as long as icons are drawn, and links are written, in the same way. */
export function usePrinter<Event>(
  send: (event: Event) => void,
  icon: ((name: string) => ReactNode) | undefined,
): Printer<Event> {
  const links = useContext(LinksContext);
  return useMemo(() => new Printer({ send, icon, links }), [send, icon, links]);
}
