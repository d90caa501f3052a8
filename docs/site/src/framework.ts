import { useSyncExternalStore } from 'react';

/** The ways to write an app that the guides show. */
export const frameworks = [
  { id: 'react', label: 'React' },
  { id: 'vue', label: 'Vue' },
  { id: 'html', label: 'HTML' },
] as const;

export type Framework = (typeof frameworks)[number]['id'];

const key = 'documentation-framework';
const listeners = new Set<() => void>();
let chosen: Framework | null = null;

function isFramework(value: unknown): value is Framework {
  return frameworks.some(({ id }) => id === value);
}

function read(): Framework {
  if (chosen) return chosen;
  try {
    const stored = localStorage.getItem(key);
    chosen = isFramework(stored) ? stored : 'react';
  } catch {
    // Storage is blocked: the choice then lasts until the page is closed.
    chosen = 'react';
  }
  return chosen;
}

/** Chooses the framework of every code block, on this page and on later ones. */
export function chooseFramework(value: string): void {
  if (!isFramework(value)) return;
  chosen = value;
  try {
    localStorage.setItem(key, value);
  } catch {
    // See above.
  }
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The framework that the reader has chosen. Until they choose, and on the server: React. */
export function useFramework(): Framework {
  return useSyncExternalStore(subscribe, read, () => 'react');
}
