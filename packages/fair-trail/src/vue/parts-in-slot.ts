import { defineComponent, inject, provide, shallowRef, triggerRef, type InjectionKey, type Ref, type VNode } from 'vue';
import { partOf, type ViewElement } from '../core/view/view.ts';
import type { Additions } from './printer.ts';
import { required } from './given.ts';

type PrintPart = (name: string, added: Additions) => VNode | null;

/** Prints the parts of the view whose parts the app arranges. */
const partsKey: InjectionKey<Readonly<Ref<PrintPart | null>>> = Symbol('parts');

/**
 * For a component whose default slot holds its parts as the app arranges them.
 *
 * @param print prints a part of the view
 * @returns a function to be called with the view of each drawing
 */
export function provideParts<Event>(
  print: (part: ViewElement<Event>, added: Additions) => VNode,
): (view: ViewElement<Event> | null) => void {
  let view: ViewElement<Event> | null = null;
  const printPart = shallowRef<PrintPart | null>((name, added) => {
    const part = view && partOf(view, name);
    return part && print(part, added);
  });
  provide(partsKey, printPart);
  return (next) => {
    const isChange = view !== null && view !== next;
    view = next;
    if (isChange) triggerRef(printPart);
  };
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
export const Part = defineComponent({
  name: 'Part',
  inheritAttrs: false,
  props: {
    /**
     * Which part: of a `Navbar` its `brand`, `start`, `navigation` (the landmark, with toggle and menu), or `toggle` and
     * `menu` by themselves, in that order within one element, and `end`; of a `Sidebar` its `head`, or `start`, `rail`,
     * `close` and `search` by themselves, `menu` (the landmark) and `foot`.
     */
    name: required<string>(),
  },
  setup(props, { attrs }) {
    const print = inject(partsKey, null);
    return () => print?.value?.(props.name, attrs) ?? null;
  },
});
