import type { ReactNode } from 'react';

/** Whether the app has put something into a slot. */
export function isFilled(content: ReactNode): boolean {
  return content !== undefined && content !== null && content !== false;
}

/** What draws the icons of a view; nothing for an item that has one only while it is marked. */
export function iconSlot(icon: ((name: string) => ReactNode) | undefined): (name: string) => ReactNode {
  return (name) => (name === '' ? null : (icon?.(name) ?? null));
}
