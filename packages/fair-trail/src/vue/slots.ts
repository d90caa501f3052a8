import {
  defineComponent,
  inject,
  onBeforeUpdate,
  provide,
  shallowRef,
  triggerRef,
  type InjectionKey,
  type Ref,
  type Slots,
  type VNode,
  type VNodeArrayChildren,
} from 'vue';

/** Finds what is in a slot of a view. */
type FindSlot = (name: string) => ((about: Readonly<Record<string, string>>) => VNodeArrayChildren) | undefined;

const slotsKey: InjectionKey<Readonly<Ref<FindSlot>>> = Symbol('slots');

/** Under other names in a view than in the app: what the default slot of a component is. */
const defaultNames: ReadonlySet<string> = new Set(['children', 'content']);

/**
 * Gives the slots of a component to its printed view. What is printed is kept, and so each slot is drawn by a component of
 * its own: it is drawn again whenever the app draws its content again.
 *
 * @param others those of a component around it, for what it has not itself
 */
export function provideSlots(slots: Slots, others?: Slots): void {
  const find = (name: string) => {
    const given = defaultNames.has(name) ? 'default' : name;
    return slots[given] ?? (given === 'default' ? undefined : others?.[given]);
  };
  const changed = provideContent(find);
  let last = { ...slots };
  onBeforeUpdate(() => {
    // A component is drawn again for a change of its own too. Slots that are new functions are of another drawing of the app.
    const isSame = Object.keys({ ...last, ...slots }).every((name) => last[name] === slots[name]);
    last = { ...slots };
    if (!isSame) changed();
  });
}

/**
 * As `provideSlots`, for a component that draws the content of its view's slots itself.
 *
 * @returns a function to be called when it draws something else in them, for another reason than Vue follows
 */
export function provideContent(find: FindSlot): () => void {
  const given = shallowRef(find);
  provide(slotsKey, given);
  return () => triggerRef(given);
}

/** What the app puts into one slot of a view. */
export const SlotContent = defineComponent({
  name: 'SlotContent',
  props: { name: { type: String, required: true }, about: { type: String, required: true } },
  setup(props) {
    const given = inject(slotsKey, null);
    return (): VNodeArrayChildren => {
      const { name, about } = props;
      return given?.value(name)?.(name === 'icon' ? { name: about } : { label: about }) ?? [];
    };
  },
});

/** A slot whose content is given nothing. */
export type PlainSlot = () => VNode[];

/** A slot whose content is given something. */
export type SlotGiven<Given> = (given: Given) => VNode[];
