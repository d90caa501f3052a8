import { useSyncExternalStore } from 'react';
import type { MemoryName } from '../core/interaction/memory-keys.ts';
import { type Memory, memoryOf } from '../dom/memory.ts';

const nothing: readonly string[] = [];
const nowhere = () => () => undefined;

/**
 * What is remembered, and where. While the app takes over what a server printed, nothing is, and it is not known either:
 * the server could not know.
 */
export function useMemory(
  what: MemoryName,
): readonly [names: readonly string[], memory: Memory | null, isKnown: boolean] {
  const memory = typeof window === 'undefined' ? null : memoryOf(window, what);
  const names = useSyncExternalStore(
    memory?.subscribe ?? nowhere,
    () => memory?.names() ?? nothing,
    () => nothing,
  );
  const isKnown = useSyncExternalStore(
    nowhere,
    () => true,
    () => false,
  );
  return [names, memory, isKnown];
}
