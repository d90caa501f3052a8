import type { MarkdownDocument } from './markdown-document.ts';

type Load = () => Promise<{ readonly default: MarkdownDocument }>;

const files = {
  ...import.meta.glob<{ default: MarkdownDocument }>('../../*.md'),
  ...import.meta.glob<{ default: MarkdownDocument }>('../../guides/*.md'),
  ...import.meta.glob<{ default: MarkdownDocument }>('../../reference/*.md'),
  ...import.meta.glob<{ default: MarkdownDocument }>('../../rules/*.md'),
  ...import.meta.glob<{ default: MarkdownDocument }>('../../../{CONTRIBUTING,CHANGELOG,SECURITY}.md'),
};

/** What loads each document, by its address on the site. */
const loads: ReadonlyMap<string, Load> = new Map(
  Object.entries(files).map(([file, load]) => {
    const name = file.replace(/^(?:\.\.\/)+/u, '').replace(/\.md$/u, '');
    const address = file.startsWith('../../../') ? name.toLowerCase() : name.replace(/\/README$/u, '');
    return [`/${address}`, load];
  }),
);

/** The documents that have been loaded, by their address. */
const loaded = new Map<string, MarkdownDocument>();

/** The names of the audit's rules. */
export const ruleNames: readonly string[] = [...loads.keys()]
  .flatMap((address) => /^\/rules\/(.+)$/u.exec(address)?.[1] ?? [])
  .toSorted();

export const hasDocument = (address: string) => loads.has(address);

/**
 * Loads the document of an address, once.
 *
 * @throws Error for an address without one
 */
export async function loadDocument(address: string): Promise<MarkdownDocument> {
  const known = loaded.get(address);
  if (known) return known;
  const load = loads.get(address);
  if (!load) throw new Error(`The site has the address "${address}", but no Markdown file for it.`);
  const { default: document } = await load();
  loaded.set(address, document);
  return document;
}

/** The document of an address, if it has been loaded. */
export const loadedDocument = (address: string) => loaded.get(address) ?? null;
