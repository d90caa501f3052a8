/** A piece of code for one framework. */
export interface Variant {
  readonly framework: 'react' | 'vue' | 'html';
  readonly html: string;
}

/** A part of a page: text, a live example, or code for several frameworks to choose from. */
export type Block =
  | { readonly type: 'html'; readonly html: string }
  | { readonly type: 'example'; readonly name: string }
  | { readonly type: 'variants'; readonly variants: readonly Variant[] };

/** A page of the documentation, made from a Markdown file. */
export interface MarkdownDocument {
  readonly title: string;
  /** The first paragraph, as text. */
  readonly summary: string;
  /** The headings of the second level, in their order. */
  readonly headings: readonly { readonly id: string; readonly title: string }[];
  readonly blocks: readonly Block[];
}
