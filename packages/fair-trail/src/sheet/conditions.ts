/** What the sheet is viewed under. All of it stands in the document's address, so that a view can be sent to someone. */
export interface Conditions {
  /** How wide the specimens are, in CSS pixels. */
  readonly width: number;
  /** The size of the text, in percent. */
  readonly text: number;
  /** `auto`: as the language is written. */
  readonly direction: 'auto' | 'ltr' | 'rtl';
  /** `system`: as the reader has asked their system for; so in `contrast` and `motion`. */
  readonly scheme: 'system' | 'light' | 'dark';
  /** A theme of the tokens file; `default` is the usual one. */
  readonly theme: string;
  readonly contrast: 'system' | 'no-preference' | 'more';
  readonly motion: 'system' | 'no-preference' | 'reduce';
  readonly density: 'dense' | 'usual' | 'roomy';
  /** The audiences that the visitor is in, or `unknown` while the app does not know yet. */
  readonly audience: readonly string[] | 'unknown';
  /** Null for the site's own. */
  readonly language: string | null;
  /** An address of the site, in its own language; null for the home page. */
  readonly address: string | null;
}

export const usualConditions: Conditions = {
  width: 1024,
  text: 100,
  direction: 'auto',
  scheme: 'system',
  theme: 'default',
  contrast: 'system',
  motion: 'system',
  density: 'usual',
  audience: [],
  language: null,
  address: null,
};

/** What a value can be, where it is one of few. */
export const choices = {
  direction: ['auto', 'ltr', 'rtl'],
  scheme: ['system', 'light', 'dark'],
  contrast: ['system', 'no-preference', 'more'],
  motion: ['system', 'no-preference', 'reduce'],
  density: ['dense', 'usual', 'roomy'],
} as const satisfies { readonly [Name in keyof Conditions]?: readonly Conditions[Name][] };

/** The widths that are offered: a small phone, a tablet, two windows of a computer. */
export const widthPresets = [320, 768, 1024, 1280] as const;

export const limits = {
  width: { least: 240, most: 2560 },
  text: { least: 100, most: 400 },
} as const;

type Choice = keyof typeof choices;

const choiceNames = Object.keys(choices) as readonly Choice[];

/**
 * Reads conditions from a query. What is missing or unknown has its default, and what is out of bounds the nearest bound: an address
 * that somebody has shortened still shows a sheet.
 */
export function readConditions(query: URLSearchParams): Conditions {
  const read: Record<string, unknown> = { ...usualConditions };
  for (const name of ['width', 'text'] as const) {
    const written = query.get(name);
    const number = written === null || written.trim() === '' ? Number.NaN : Number(written);
    if (Number.isFinite(number)) read[name] = withinLimits(name, number);
  }
  for (const name of choiceNames) {
    const written = query.get(name);
    if ((choices[name] as readonly (string | null)[]).includes(written)) read[name] = written;
  }
  for (const name of ['theme', 'language', 'address'] as const) {
    const written = query.get(name);
    if (written !== null && written !== '') read[name] = written;
  }
  const audience = query.get('audience');
  if (audience === 'unknown') read['audience'] = audience;
  else if (audience !== null) read['audience'] = unique(audience.split(',').map((name) => name.trim()));
  return read as unknown as Conditions;
}

function textOf(value: Conditions[keyof Conditions]): string {
  if (value === null) return '';
  return typeof value === 'object' ? value.join(',') : String(value);
}

/** A number that a condition can have: the nearest whole one within its limits. */
export function withinLimits(name: keyof typeof limits, value: number): number {
  const { least, most } = limits[name];
  return Math.min(most, Math.max(least, Math.round(value)));
}

/**
 * Writes conditions into a query, beside whatever else is in it. Defaults are left out, so that a plain view has a
 * plain address.
 */
export function writeConditions(conditions: Conditions, query = new URLSearchParams()): URLSearchParams {
  const written = new URLSearchParams(query);
  for (const [name, value] of Object.entries(conditions) as [keyof Conditions, Conditions[keyof Conditions]][]) {
    const text = textOf(value);
    const usual = usualConditions[name];
    const isUsual = Array.isArray(usual) ? text === '' : value === usual;
    if (isUsual || text === '') written.delete(name);
    else written.set(name, text);
  }
  return written;
}

function unique(names: readonly string[]): readonly string[] {
  return [...new Set(names)].filter((name) => name !== '' && name !== 'unknown');
}
