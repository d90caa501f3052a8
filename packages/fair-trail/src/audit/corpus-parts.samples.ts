/** A page with one defect, and its twin without it. Hand-written, each in a style of its own. */
export interface Twins {
  readonly rule: string;
  readonly style: string;
  /** What stands in the body. */
  readonly broken: string;
  readonly sound: string;
  /** Of both. Default: that of the hides. */
  readonly url?: string;
  /** Of the head of both. Default: a title. */
  readonly head?: string;
  /** Of the sound one alone, where it lies there. */
  readonly soundHead?: string;
  /** How many places are broken. Default: 1. */
  readonly count?: number;
}

export const main = '<main><h1>Hides</h1><p>Four hides look over the marsh.</p></main>';

/** In all but one menu a link to the page itself has the mark. */
export const list = (...items: readonly string[]) => `<ul>${items.map((item) => `<li>${item}</li>`).join('')}</ul>`;

export const today = '<a href="/">Today</a>';
export const hides = '<a href="/hides" aria-current="page">Hides</a>';
export const tides = '<a href="/tides">Tides</a>';
