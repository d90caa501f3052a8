import type { Conditions } from './conditions.ts';

export interface RootSettings {
  readonly conditions: Conditions;
  readonly language: string;
  readonly direction: 'ltr' | 'rtl';
}

/** Says on the root element of a frame what the conditions are, as a page would that had them. */
export function dressRoot(root: HTMLElement, { conditions, language, direction }: RootSettings): void {
  const { text, scheme, theme, density } = conditions;
  root.className = 'ft-sheet-frame';
  root.lang = language;
  root.dir = direction;
  root.style.fontSize = text === 100 ? '' : `${text}%`;
  root.style.colorScheme = scheme === 'system' ? 'light dark' : scheme;
  set(root, 'data-ft-scheme', scheme === 'system' ? null : scheme);
  set(root, 'data-ft-theme', theme === 'default' ? null : theme);
  set(root, 'data-ft-density', density === 'usual' ? null : density);
}

function set(element: Element, name: string, value: string | null): void {
  if (value === null) element.removeAttribute(name);
  else element.setAttribute(name, value);
}
