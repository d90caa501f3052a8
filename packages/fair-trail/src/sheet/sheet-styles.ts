import type { Conditions } from './conditions.ts';
import { rewriteStyles } from './rewrite-styles.ts';

/** Where the specimens' stylesheets come from: texts of them, or whatever the document around the sheet has. */
export type SheetStyles = readonly string[] | 'document';

/** The stylesheets of one frame. */
export class FrameStyles {
  readonly #document: Document;
  /** Of the texts, in their order. */
  #constructed: readonly CSSStyleSheet[] = [];
  #texts: readonly string[] = [];
  #copies: readonly (HTMLLinkElement | HTMLStyleElement)[] = [];
  #conditions: Conditions;
  readonly #onChange: () => void;

  /** @param onChange told when a stylesheet that takes time to load has been applied */
  constructor(document: Document, conditions: Conditions, onChange: () => void) {
    this.#document = document;
    this.#conditions = conditions;
    this.#onChange = onChange;
  }

  /**
   * @param texts further stylesheets, after the others
   * @throws Error in a browser that has no constructed stylesheets
   */
  use(styles: SheetStyles, texts: readonly string[]): void {
    if (styles === 'document' && this.#copies.length === 0) this.#copyFrom(this.#document.defaultView?.parent.document);
    const wanted = [...(styles === 'document' ? [] : styles), ...texts];
    if (wanted.length === this.#texts.length && wanted.every((text, index) => text === this.#texts[index])) return;
    const Stylesheet = this.#document.defaultView?.CSSStyleSheet;
    if (!Stylesheet) return;
    this.#constructed = wanted.map((text, index) => {
      const known = this.#constructed[index];
      if (known && this.#texts[index] === text) return known;
      const sheet = new Stylesheet();
      sheet.replaceSync(text);
      return sheet;
    });
    this.#texts = wanted;
    this.#rewrite();
    this.#document.adoptedStyleSheets = [...this.#constructed];
  }

  under(conditions: Conditions): void {
    this.#conditions = conditions;
    this.#rewrite();
  }

  #rewrite(): void {
    for (const sheet of this.#constructed) rewriteStyles(sheet, this.#conditions);
    for (const { sheet } of this.#copies) if (sheet) this.#try(sheet);
  }

  /** Rules of another origin are not shown to scripts: they apply as they are. */
  #try(sheet: CSSStyleSheet): void {
    try {
      rewriteStyles(sheet, this.#conditions);
    } catch (error) {
      if (!(error instanceof Error) || error.name !== 'SecurityError') throw error;
    }
  }

  #copyFrom(source: Document | undefined): void {
    const originals = source?.querySelectorAll<HTMLLinkElement | HTMLStyleElement>('link[rel~="stylesheet"], style');
    this.#copies = [...(originals ?? [])].map((original) => {
      const copy = this.#document.importNode(original, true);
      // An attribute with a nonce cannot be read back: the property can.
      copy.nonce = original.nonce;
      if ('href' in copy && 'href' in original) copy.href = original.href;
      copy.addEventListener('load', () => {
        if (copy.sheet) this.#try(copy.sheet);
        this.#onChange();
      });
      this.#document.head.append(copy);
      return copy;
    });
    this.#rewrite();
  }
}
