import { createContext, forwardRef, useContext, type HTMLAttributes, type ReactNode, type Ref } from 'react';
import { partOf, type ViewElement } from '../core/view/view.ts';
import { SlotsContext, type Printer, type SlotContents } from './printer.ts';
import { usePrinter } from './use-part.ts';

export interface PrintedViewProps<Event> {
  readonly view: ViewElement<Event>;
  readonly printer: Printer<Event>;
  readonly slots?: SlotContents;
  /** What the app adds to the outermost element: a class beside ours, any attribute, any handler. */
  readonly attributes?: object;
  readonly elementRef?: Ref<HTMLElement>;
  /** The whole view, where the app arranges its parts itself and `view` is only what holds them. */
  readonly whole?: ViewElement<Event> | null;
}

type PrintPart = (name: string, attributes: object, ref: Ref<HTMLElement>) => ReactNode;

/** Prints the parts of the view whose parts the app arranges. */
const PartsContext = createContext<PrintPart | null>(null);

const noSlots: SlotContents = {};

/** A view, with what the app adds to it. */
export function PrintedView<Event>(props: PrintedViewProps<Event>): ReactNode {
  const { view, printer, slots = noSlots, attributes = {}, elementRef = null, whole = null } = props;
  const printed = printer.printWith(view, { ...attributes }, elementRef);
  const filled = <SlotsContext.Provider value={slots}>{printed}</SlotsContext.Provider>;
  if (!whole) return filled;
  const printPart: PrintPart = (name, added, ref) => {
    const part = partOf(whole, name);
    return part && printer.printWith(part, { ...added }, ref);
  };
  return <PartsContext.Provider value={printPart}>{filled}</PartsContext.Provider>;
}

const ignore = () => undefined;

/** A view by itself, that reports to no one. */
export function DrawnView({
  view,
  slots,
}: {
  readonly view: ViewElement<unknown>;
  readonly slots: SlotContents;
}): ReactNode {
  return <PrintedView view={view} printer={usePrinter(ignore, slots['icon'])} slots={slots} />;
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
 * One part of the surrounding component, anywhere in your own markup. Renders nothing if the component has no such part
 * now.
 *
 * @example
 * <Navbar>
 *   <Part name="brand" />
 *   <SearchField />
 *   <Part name="navigation" />
 * </Navbar>
 */
export const Part = forwardRef<HTMLElement, PartProps>(function Part({ name, ...attributes }, ref) {
  const print = useContext(PartsContext);
  // eslint-disable-next-line react-hooks/refs -- It is given on to an element, and not read.
  return print?.(name, attributes, ref) ?? null;
});
