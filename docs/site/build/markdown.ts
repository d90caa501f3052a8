import { existsSync } from 'node:fs';
import path from 'node:path';
import highlighter from 'highlight.js/lib/core';
import bash from 'highlight.js/lib/languages/bash';
import css from 'highlight.js/lib/languages/css';
import json from 'highlight.js/lib/languages/json';
import typescript from 'highlight.js/lib/languages/typescript';
import xml from 'highlight.js/lib/languages/xml';
import yaml from 'highlight.js/lib/languages/yaml';
import MarkdownIt, { type Token } from 'markdown-it';
import type { Block, MarkdownDocument, Variant } from '../src/markdown-document.ts';
import { addressOfFile, repository } from './addresses.ts';
import { slugOf } from './slug.ts';

for (const [name, language] of Object.entries({ bash, css, json, typescript, xml, yaml })) {
  highlighter.registerLanguage(name, language);
}
const languages: Readonly<Record<string, string>> = {
  ts: 'typescript',
  tsx: 'typescript',
  sh: 'bash',
  html: 'xml',
  vue: 'xml',
  json: 'json',
  css: 'css',
  yaml: 'yaml',
};

/** Stands in links and images for the base path, which is known only where the page is shown. */
const basePlaceholder = '%BASE%';

/** The captions that begin a variant of a code block: a paragraph of its own, in bold. */
const frameworks: Readonly<Record<string, Variant['framework']>> = { React: 'react', Vue: 'vue', HTML: 'html' };

/** A line such as `<!-- example: bar -->`, where the page shows a live example. */
const exampleMark = /^<!-- example: ([a-z-]+) -->\s*$/u;

interface Environment {
  /** The path of the file from the top of the repository. */
  readonly file: string;
  /** The ids that are in use on the page. */
  readonly ids: Map<string, number>;
  /** Called with the path of each image from the top of the repository. */
  readonly image: (file: string) => string;
}

const markdown = new MarkdownIt({ html: true, linkify: false, typographer: false });

markdown.renderer.rules.fence = (tokens, index) => {
  const token = tokens[index];
  const [word = '', ...rest] = token?.info.trim().split(/\s+/u) ?? [];
  const language = languages[word];
  const code = token?.content ?? '';
  const inner = language ? highlighter.highlight(code, { language }).value : markdown.utils.escapeHtml(code);
  const kind = rest.includes('signature') ? ' data-signature' : '';
  // A long line scrolls, so the block takes focus: it can then be scrolled by keys.
  return `<pre tabindex="0"${kind}><code>${inner}</code></pre>`;
};

// A table that is wider than the page scrolls by itself, by keys too.
markdown.renderer.rules['table_open'] = () => '<div class="table-scroller" tabindex="0"><table>';
markdown.renderer.rules['table_close'] = () => '</table></div>';

/** Reads the inline text of a token. */
const plainText = (token: Token | undefined): string =>
  (token?.children ?? [])
    .filter(({ type }) => type === 'text' || type === 'code_inline')
    .map(({ content }) => content)
    .join('');

function prepare(tokens: readonly Token[], environment: Environment, headings: MarkdownDocument['headings'][number][]) {
  for (const [index, token] of tokens.entries()) {
    if (token.type === 'heading_open') {
      const title = plainText(tokens[index + 1]);
      const slug = slugOf(title);
      const count = environment.ids.get(slug) ?? 0;
      environment.ids.set(slug, count + 1);
      const id = count === 0 ? slug : `${slug}-${count}`;
      token.attrSet('id', id);
      if (token.tag === 'h2') headings.push({ id, title });
    }
    // The policy of the site allows no style within the page.
    if (/^t[hd]_open$/u.test(token.type) && token.attrGet('style') === 'text-align:right') {
      token.attrs = [['class', 'figure']];
    }
    const markup = [token, ...(token.children ?? [])].find(({ type, content }) => {
      return (type === 'html_inline' || type === 'html_block') && !content.startsWith('<!--');
    });
    if (markup) {
      throw new Error(
        `${environment.file}: "${markup.content.trim()}" is markup. Put it into backticks, or write Markdown.`,
      );
    }
    for (const child of token.children ?? []) {
      if (child.type === 'link_open') child.attrSet('href', addressOfLink(child.attrGet('href') ?? '', environment));
      if (child.type === 'image')
        child.attrSet('src', environment.image(fileOfLink(child.attrGet('src') ?? '', environment)));
      if (child.type === 'image') child.attrSet('loading', 'lazy');
    }
  }
}

const fileOfLink = (target: string, { file }: Environment) => path.posix.join(path.posix.dirname(file), target);

function addressOfLink(href: string, environment: Environment): string {
  if (/^[a-z]+:/u.test(href) || href.startsWith('#')) return href;
  const [target = '', hash] = href.split('#', 2);
  const file = fileOfLink(target, environment);
  const address = addressOfFile(file);
  if (address === null || !existsSync(path.join(repository, file))) {
    throw new Error(`${environment.file}: the link to "${href}" leads to no page of the documentation. Correct it.`);
  }
  return `${basePlaceholder}${address}${hash === undefined ? '' : `#${hash}`}`;
}

/** The framework that a paragraph announces for the code after it; null for another paragraph. */
function frameworkAt(tokens: readonly Token[], index: number): Variant['framework'] | null {
  const caption = tokens[index + 1];
  if (tokens[index]?.type !== 'paragraph_open' || caption?.type !== 'inline') return null;
  return frameworks[/^\*\*(\w+)\*\*$/u.exec(caption.content)?.[1] ?? ''] ?? null;
}

/**
 * Makes a page of a Markdown file: its text as HTML, cut where a live example or a choice of frameworks stands.
 *
 * @param file the path of the file from the top of the repository
 * @param image returns the address of an image, given its path from the top of the repository
 * @throws Error for a link that leads nowhere, and for markup
 */
export function readMarkdown(text: string, file: string, image: (file: string) => string): MarkdownDocument {
  const environment: Environment = { file, ids: new Map(), image };
  const headings: MarkdownDocument['headings'][number][] = [];
  const tokens = markdown.parse(text, environment);
  prepare(tokens, environment, headings);
  const blocks: Block[] = [];
  let pending: Token[] = [];
  const flush = () => {
    if (pending.length > 0) {
      blocks.push({ type: 'html', html: markdown.renderer.render(pending, markdown.options, environment) });
    }
    pending = [];
  };
  for (let index = 0; index < tokens.length; index += 1) {
    const token = tokens[index];
    if (!token) continue;
    const example = token.type === 'html_block' ? exampleMark.exec(token.content)?.[1] : undefined;
    if (example !== undefined) {
      flush();
      blocks.push({ type: 'example', name: example });
      continue;
    }
    // Comments are for those who edit the file.
    if (token.type === 'html_block' && token.content.startsWith('<!--')) continue;
    const variants: Variant[] = [];
    for (let framework = frameworkAt(tokens, index); framework; framework = frameworkAt(tokens, index)) {
      let end = index + 3;
      const fences: Token[] = [];
      for (let fence = tokens[end]; fence?.type === 'fence'; fence = tokens[(end += 1)]) fences.push(fence);
      if (fences.length === 0) break;
      variants.push({ framework, html: markdown.renderer.render(fences, markdown.options, environment) });
      index = end;
    }
    if (variants.length > 0) {
      flush();
      blocks.push({ type: 'variants', variants });
      index -= 1;
    } else pending.push(token);
  }
  flush();
  const title = plainText(tokens[tokens.findIndex(({ type, tag }) => type === 'heading_open' && tag === 'h1') + 1]);
  const summary = plainText(tokens[tokens.findIndex(({ type }) => type === 'paragraph_open') + 1]);
  return { title, summary, headings, blocks };
}

/** A part of a page that a search can find. */
export interface SearchSection {
  readonly id: string;
  readonly page: string;
  readonly title: string;
  readonly text: string;
}

/** The sections of a Markdown file, each with the address of its heading. */
export function searchSections(text: string, file: string): readonly SearchSection[] {
  const address = addressOfFile(file) ?? '/';
  const environment: Environment = { file, ids: new Map(), image: () => '' };
  const tokens = markdown.parse(text, environment);
  prepare(tokens, environment, []);
  const sections: { id: string; page: string; title: string; text: string }[] = [];
  let page = '';
  for (const [index, token] of tokens.entries()) {
    if (token.type === 'heading_open' && (token.tag === 'h1' || token.tag === 'h2' || token.tag === 'h3')) {
      const title = plainText(tokens[index + 1]);
      page ||= title;
      const hash = token.tag === 'h1' ? '' : `#${token.attrGet('id') ?? ''}`;
      sections.push({ id: `${address}${hash}`, page, title, text: '' });
    } else if (token.type === 'inline') {
      const last = sections.at(-1);
      if (last && tokens[index - 1]?.type !== 'heading_open') last.text += `${plainText(token)} `;
    }
  }
  return sections;
}
