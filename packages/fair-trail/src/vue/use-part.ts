import {
  computed,
  getCurrentInstance,
  inject,
  onActivated,
  onDeactivated,
  onMounted,
  onUnmounted,
  onUpdated,
  shallowRef,
  ssrContextKey,
  useSlots,
  type Ref,
  type ShallowRef,
  type Slots,
  type VNode,
} from 'vue';
import type { ViewElement } from '../core/view/view.ts';
import type { NavigationPart } from '../parts/navigation-part.ts';
import { useLinks } from './links.ts';
import { Printer, type Additions } from './printer.ts';
import { provideSlots } from './slots.ts';

/** A part, as a component of Vue uses it. */
export interface UsedPart<Part, Options, State, Event> {
  readonly part: Part;
  /** The state that is drawn. */
  readonly state: Readonly<Ref<State>>;
  /** What to draw now, with the options and the state that it is drawn from. To be called once in each drawing. */
  readonly draw: () => {
    readonly options: Options;
    readonly state: State;
    /** Null if there is nothing to draw. */
    readonly view: ViewElement<Event> | null;
  };
  /** Prints the outermost element of the view. */
  readonly print: (view: ViewElement<Event>, added: Additions) => VNode;
  /** Prints a part of the view that the app places itself. */
  readonly printPart: (view: ViewElement<Event>, added: Additions) => VNode;
}

/**
 * Binds a part to a component of Vue: draws its view again when its state changes, reports what the document shows, and
 * connects it to the element that its view became.
 *
 * @param create the part's class
 * @param optionsNow gives the options, from what Vue follows
 * @param others slots of a component around it, for those that it has not itself
 */
export function usePart<
  Options,
  State,
  Event,
  Part extends NavigationPart<Options, State, Event> = NavigationPart<Options, State, Event>,
>(
  create: new (options: Options) => Part & NavigationPart<Options, State, Event>,
  optionsNow: () => Options,
  others?: Slots,
): UsedPart<Part, Options, State, Event> {
  const part = new create(optionsNow());
  const state: ShallowRef<State> = shallowRef(isDrawnAlready() ? part.readRendered() : part.read());
  const drawn: { last: { readonly options: Options; readonly state: State } | null } = { last: null };
  provideSlots(useSlots(), others);
  const printer = usePrinter(part.send);
  let root: HTMLElement | null = null;
  let connection: { readonly root: HTMLElement; readonly end: () => void } | null = null;
  const disconnect = () => {
    connection?.end();
    connection = null;
  };
  const report = () => {
    if (connection?.root !== root) {
      disconnect();
      connection = root && { root, end: part.connect(root) };
    }
    if (drawn.last) part.drawn(drawn.last.options, drawn.last.state);
  };
  let stop: (() => void) | undefined;
  onMounted(() => {
    stop = part.subscribe(() => (state.value = part.read()));
    report();
    state.value = part.read();
  });
  onUpdated(report);
  // What a `KeepAlive` keeps is in no document for a while.
  onActivated(report);
  onDeactivated(disconnect);
  onUnmounted(() => {
    disconnect();
    stop?.();
  });
  const keepRoot = (element: unknown) => (root = element as HTMLElement | null);
  return {
    part,
    state,
    draw: () => {
      const options = optionsNow();
      const now = state.value;
      const view = part.view(options, now);
      drawn.last = { options, state: now };
      return { options, state: now, view };
    },
    print: (view, added) => printer.value.printWith(view, added, keepRoot),
    printPart: (view, added) => printer.value.printWith(view, added),
  };
}

/** A printer for the component. */
export function usePrinter<Event>(send: (event: Event) => void): { readonly value: Printer<Event> } {
  const links = useLinks();
  return computed(() => new Printer(send, links.value));
}

/** Whether a server draws the component, or has drawn it: then the first drawing must be what the server knows. */
function isDrawnAlready(): boolean {
  return Boolean(inject<unknown>(ssrContextKey, null)) || Boolean(getCurrentInstance()?.vnode.el);
}
