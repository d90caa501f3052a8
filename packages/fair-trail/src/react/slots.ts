import type { ReactNode } from 'react';

/** Whether the app has put something into a slot. */
export function isFilled(content: ReactNode): boolean {
  return content !== undefined && content !== null && content !== false;
}

/**
 * The properties of a component in two: those of these names, and the others.
 *
 * @param names those that are not given are not among the first
 */
export function splitProps<Props extends object, const Name extends keyof Props>(
  props: Props,
  names: readonly Name[],
): readonly [Pick<Props, Name>, Omit<Props, Name>] {
  const named: Partial<Props> = {};
  const others: Partial<Props> = {};
  const known: ReadonlySet<unknown> = new Set(names);
  for (const name of Object.keys(props) as (keyof Props)[]) {
    if (!known.has(name)) others[name] = props[name];
    // An option that is given as undefined is not given.
    else if (props[name] !== undefined) named[name] = props[name];
  }
  return [named as Pick<Props, Name>, others as Omit<Props, Name>];
}
