import { isProxy, toRaw, type PropType } from 'vue';

/** A property of any type that the app may leave out. */
export function optional<Type>(): { readonly type: PropType<Type | undefined>; readonly default: undefined } {
  // Checked by the compiler alone: no type of the run time stands for a union or a function with a signature.
  return { type: null as unknown as PropType<Type | undefined>, default: undefined };
}

/** A property that the app must give. */
export function required<Type>(): { readonly type: PropType<Type>; readonly required: true } {
  return { type: null as unknown as PropType<Type>, required: true };
}

/** A property that may be written as its name alone. One that is not given is undefined, and not false. */
export const flag = { type: Boolean as PropType<boolean | undefined>, default: undefined } as const;

/** A listener, or several for the same event, as Vue gives them. */
export type Listener<Parameters extends readonly unknown[]> =
  ((...given: Parameters) => void) | readonly ((...given: Parameters) => void)[];

/** Calls what listens. */
export function report<Parameters extends readonly unknown[]>(
  listener: Listener<Parameters> | undefined,
  ...given: Parameters
): void {
  if (typeof listener === 'function') listener(...given);
  else listener?.forEach((one) => one(...given));
}

/**
 * A value as it is now. Of one that Vue makes reactive, a copy: the parts compare by identity, and the app may change
 * what is in its lists. Reading all of it is what has the copy made again then.
 */
export function plain<Value>(value: Value): Value {
  if (!isProxy(value)) return value;
  if (Array.isArray(value)) return value.map((one: unknown) => plain(one)) as Value;
  const raw = toRaw(value) as object;
  // What has a class of its own, such as a lazy page, is no list of the app's.
  if (Object.getPrototypeOf(raw) !== Object.prototype) return raw as Value;
  return Object.fromEntries(Object.entries(value as object).map(([name, one]) => [name, plain(one)])) as Value;
}

type Given<Props, Name extends keyof Props> = { readonly [Key in Name]?: Exclude<Props[Key], undefined> };

/** The properties of these names that the app gives. */
export function givenOf<Props extends object, const Name extends keyof Props>(
  props: Props,
  names: readonly Name[],
): Given<Props, Name> {
  const given: { [Key in Name]?: Exclude<Props[Key], undefined> } = {};
  for (const name of names) {
    const value = props[name];
    if (value !== undefined) given[name] = plain(value as Exclude<Props[Name], undefined>);
  }
  return given;
}
