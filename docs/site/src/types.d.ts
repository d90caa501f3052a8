declare module '*.md' {
  import type { MarkdownDocument } from './markdown-document.ts';

  const document: MarkdownDocument;
  export default document;
}

declare module 'virtual:search-index' {
  /** The index as JSON. */
  const json: string;
  export default json;
}
