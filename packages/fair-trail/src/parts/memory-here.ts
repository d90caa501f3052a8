import type { MemoryName } from '../core/interaction/memory-keys.ts';
import { memoryOf, type Memory } from '../dom/memory.ts';

/** What this browser remembers; null on a server, which remembers nothing of a visitor. */
export function memoryHere(what: MemoryName): Memory | null {
  return typeof window === 'undefined' ? null : memoryOf(window, what);
}
