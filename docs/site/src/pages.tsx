import { Suspense, use, type ReactNode } from 'react';
import { everyEntry } from 'fair-trail';
import { lazyPage, useCurrentEntry, type Page, type StagePages } from 'fair-trail/react';
import { hasDocument, loadDocument, loadedDocument, ruleNames } from './documents.ts';
import { HomePage } from './home-page.tsx';
import { MarkdownPage } from './markdown-page.tsx';
import { RulesPage } from './rules-page.tsx';
import { site } from './site.ts';

/** The page of a Markdown file. */
function documentPage(address: string) {
  return lazyPage(async () => {
    const document = await loadDocument(address);
    const DocumentPage: Page = () => <MarkdownPage document={document} />;
    return DocumentPage;
  });
}

const rulePromises = new Map<string, ReturnType<typeof loadDocument>>();

/** A rule that was loaded before is there at once: on the server, and where the browser takes over what a server sent. */
function Rule({ address }: { readonly address: string }): ReactNode {
  const known = loadedDocument(address);
  if (known) return <MarkdownPage document={known} />;
  return <LateRule address={address} />;
}

function LateRule({ address }: { readonly address: string }): ReactNode {
  const promise = rulePromises.get(address) ?? loadDocument(address);
  rulePromises.set(address, promise);
  return <MarkdownPage document={use(promise)} />;
}

const RulePage: Page = () => {
  const rule = useCurrentEntry()?.params['rule'] ?? '';
  return (
    <Suspense>
      <Rule address={`/rules/${rule}`} />
    </Suspense>
  );
};

/** The page of each entry, by its id. What has no page of its own is the page of its Markdown file. */
export const pages: StagePages = {
  ...Object.fromEntries(
    [...everyEntry(site.entries)].flatMap(({ id, href }) =>
      href !== null && hasDocument(href) ? [[id, documentPage(href)] as const] : [],
    ),
  ),
  home: HomePage,
  rules: RulesPage,
  rule: RulePage,
  examples: lazyPage(async () => (await import('./examples/examples-page.tsx')).ExamplesPage),
  playground: lazyPage(async () => (await import('./playground/playground-page.tsx')).PlaygroundPage),
  search: lazyPage(async () => (await import('./search-page.tsx')).SearchPage),
};

/** The entries with params have a page for each of these. */
export const records = { rules: ruleNames.map((rule) => ({ params: { rule }, label: rule })) };

/** Loads what an address shows beyond its page: the text of a rule. */
export async function loadContent(pathname: string): Promise<void> {
  const rule = /\/(rules\/[^/]+)\/?(?:index\.html)?$/u.exec(pathname)?.[1];
  if (rule && hasDocument(`/${rule}`)) await loadDocument(`/${rule}`);
}
