import { readFileSync } from 'node:fs';
import path from 'node:path';
import { escapeMarkup } from 'fair-trail/internal/core';
import { parse, type DefaultTreeAdapterMap } from 'parse5';
import type { NewEntry } from './new-entry.ts';
import { filesBelow } from './stage-pages.ts';

type Element = DefaultTreeAdapterMap['element'];

/** A page of HTML as those beside it: their head and what all of them share, and a heading of its own. Null if there are none. */
export function htmlPage(folder: string, entry: NewEntry): { readonly file: string; readonly text: string } | null {
  const pages = filesBelow(folder, /\.html$/u).map((file) => path.relative(folder, file).split(path.sep).join('/'));
  if (!pages.includes('index.html')) return null;
  const own = entry.href.slice(1);
  const isFolder = pages.some((page) => page.includes('/index.html')) || pages.length === 1;
  const file = isFolder ? `${own}/index.html` : `${own}.html`;
  // Relative addresses stay right in a page that is as deep.
  const depth = (page: string) => page.split('/').length;
  const other = pages.find((page) => page !== 'index.html' && depth(page) === depth(file)) ?? 'index.html';
  const text = readFileSync(path.join(folder, other), 'utf8');
  return { file: path.join(folder, file), text: withContent(text, entry) };
}

/** The page with nothing but a heading as its main content. */
function withContent(text: string, { label }: NewEntry): string {
  const document = parse(text, { sourceCodeLocationInfo: true });
  const heading = `<h1>${escapeMarkup(label)}</h1>`;
  const main = find(document.childNodes, 'main')?.sourceCodeLocation;
  const title = find(document.childNodes, 'title')?.sourceCodeLocation;
  let made = text;
  if (main?.startTag && main.endTag) {
    const margin = /^[ \t]*/u.exec(text.slice(text.lastIndexOf('\n', main.startOffset) + 1))?.[0] ?? '';
    made = `${made.slice(0, main.startTag.endOffset)}\n${margin}  ${heading}\n${margin}${made.slice(main.endTag.startOffset)}`;
  }
  if (title?.startTag && title.endTag) {
    made = made.slice(0, title.startTag.endOffset) + escapeMarkup(label) + made.slice(title.endTag.startOffset);
  }
  return made;
}

function find(nodes: readonly DefaultTreeAdapterMap['childNode'][], name: string): Element | undefined {
  for (const node of nodes) {
    if ('tagName' in node && node.tagName === name) return node;
    const found = 'childNodes' in node ? find(node.childNodes, name) : undefined;
    if (found) return found;
  }
  return undefined;
}
