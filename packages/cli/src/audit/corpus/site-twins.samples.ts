/** A site with one defect, and its twin without it: found by using them. Hand-written, each in a style of its own. */
export interface SiteTwins {
  readonly rule: string;
  readonly style: string;
  readonly broken: SampleSite;
  readonly sound: SampleSite;
  /** Other rules that are right about the broken one, and are tried as well. */
  readonly accept?: readonly string[];
  /** Default: 800 alone. */
  readonly widths?: readonly number[];
  /** How many pages are visited. Default: the first. */
  readonly pages?: number;
}

/** Pages by their paths; the audit begins at `/`. */
export type SampleSite = Readonly<Record<string, string>>;

/** A page in standards mode. */
export function samplePage(body: string, style = '', title = 'Hides · Marram Point'): string {
  const head = `<meta name="viewport" content="width=device-width, initial-scale=1"><title>${title}</title>`;
  return `<!doctype html><html lang="en"><head>${head}<style>${style}</style></head><body>${body}</body></html>`;
}

/** Content that is long enough to scroll. */
export const content = `<main><h1>Hides</h1>${'<p>Four hides look over the marsh, and one over the sea.</p>'.repeat(40)}<p><a href="/?end">The end</a></p></main>`;

/** A site of one page. */
export function one(body: string, style = ''): SampleSite {
  return { '/': samplePage(body, style) };
}

export const items =
  '<li><a href="/">Today</a></li><li><a href="/hides">Hides</a></li><li><a href="/tides">Tides</a></li>';

/** Pages that the items lead to, so that no link is dead. */
export function withPages(body: string, style = ''): SampleSite {
  return { '/': samplePage(body, style), '/hides': samplePage(body, style), '/tides': samplePage(body, style) };
}
