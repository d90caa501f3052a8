/**
 * What can go wrong while an app runs. Each is told once, where it happens, and the visitor stays where they are with
 * all that they had: nothing here is ever thrown. Documented in docs/warnings.md.
 */
const texts = {
  'address-unreadable': ['cannot be read as an address', 'Give a path of the site, such as "/visit".'],
  'address-elsewhere': [
    'is not on this website',
    'Lead there with a link; the router goes to addresses of its own only.',
  ],
  'address-unsafe': ['is no web address', 'Only "http" and "https" addresses of this website can be gone to.'],
  'address-too-long': ['is longer than 65 536 characters', 'Keep large values in the state of the history entry.'],
  'history-refused': [
    'was refused by the browser’s history',
    'A frame needs "allow-same-origin", and no browser takes hundreds of changes in a few seconds.',
  ],
  'may-leave-failed': ['could not be left, since "mayLeave" failed', 'Mend the function, or answer true in its place.'],
  'page-failed': ['could not be shown', 'See the error beside this; the visitor was offered to try again.'],
  'action-unheard': [
    'is an action of a menu that nobody listens to',
    'Give the Trail the property "onAction", which is called with the name of the action.',
  ],
  'layout-without-content': [
    'is shown in a layout that has no main content',
    'Put a Stage, or a "main" element, into the content of the Layout.',
  ],
} as const satisfies Readonly<Record<string, readonly [string, string]>>;

export type WarningCode = keyof typeof texts;

export const warningCodes = Object.keys(texts) as readonly WarningCode[];

export interface Warning {
  readonly code: WarningCode;
  /** What happened, with the address that it happened to. */
  readonly message: string;
  readonly remedy: string;
  /** What was thrown, where something was. */
  readonly cause?: unknown;
}

/** More of an address than this tells nobody anything. */
const longestQuote = 120;

export function warning(code: WarningCode, address: string, cause?: unknown): Warning {
  const [what, remedy] = texts[code];
  const quoted = address.length > longestQuote ? `${address.slice(0, longestQuote)}…` : address;
  return { code, message: `"${quoted}" ${what}.`, remedy, ...(cause !== undefined && { cause }) };
}
