import { useSyncExternalStore, type ReactNode } from 'react';

const key = 'documentation-scheme';
const schemes = ['system', 'light', 'dark'] as const;
type Scheme = (typeof schemes)[number];

const labels: Readonly<Record<Scheme, string>> = { system: 'System default', light: 'Light', dark: 'Dark' };
const listeners = new Set<() => void>();

/** The early script has written the remembered choice into the document. */
function read(): Scheme {
  const { scheme } = document.documentElement.dataset;
  return schemes.find((one) => one === scheme) ?? 'system';
}

function choose(scheme: string): void {
  const { dataset } = document.documentElement;
  dataset['scheme'] = scheme;
  if (scheme === 'system') delete dataset['ftScheme'];
  else dataset['ftScheme'] = scheme;
  try {
    localStorage.setItem(key, scheme);
  } catch {
    // Storage is blocked: the choice then lasts until the page is closed.
  }
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Chooses the color scheme of the site, and remembers it. Without scripts the system decides, and the field is not shown. */
export function SchemeChoice(): ReactNode {
  const scheme = useSyncExternalStore(subscribe, read, () => null);
  if (scheme === null) return <span className="scheme-place" />;
  return (
    <select
      className="field scheme-choice"
      aria-label="Color scheme"
      value={scheme}
      onChange={(event) => choose(event.target.value)}
    >
      {schemes.map((one) => (
        <option key={one} value={one}>
          {labels[one]}
        </option>
      ))}
    </select>
  );
}
